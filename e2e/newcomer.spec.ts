import { expect, expectAccessible, test } from './support';

test.use({ viewport: { width: 1024, height: 768 } });

test(
  'somebody new at the door is planned in; what is noted during the class counts in it at once',
  { tag: '@deep' },
  async ({ page, context }) => {
    test.setTimeout(300_000);
    await page.goto('/floor');
    await page
      .getByRole('listitem')
      .filter({ hasText: 'Thursday, upside down' })
      .getByRole('button', { name: 'Begin the class' })
      .click();
    await page.waitForURL(/\/floor\/[0-9a-f-]{36}$/);
    const everybody = page.getByRole('radiogroup', { name: / is$/ });
    await expect(everybody).toHaveCount(14);
    await page.getByRole('button', { name: 'Somebody new' }).click();
    const window = page.getByRole('dialog');
    await window.getByLabel('Name').fill('Odile Marsh');
    await window.getByLabel('Height').fill('far too tall');
    await window.getByRole('button', { name: 'Let them in' }).click();
    await expect(window.getByText('Write a height')).toBeVisible();
    await window.getByLabel('Height').fill('171');
    await window.getByRole('button', { name: 'Let them in' }).click();
    await expect(window.getByText(/Ask before anything upside down/)).toBeVisible();
    await expectAccessible(page);
    await window.getByRole('button', { name: 'Asked: nothing' }).click();
    await expect(everybody).toHaveCount(15);
    await expect(page.getByRole('radiogroup', { name: 'Odile is' })).toBeVisible();
    await expect(page.getByText(/planned anew in/)).toBeVisible({ timeout: 60_000 });

    const heading = page.getByRole('heading', { level: 1 });
    for (let count = 0; count < 30 && (await heading.innerText()) !== 'Round 1'; count += 1) {
      const before = await heading.innerText();
      await page.getByRole('button', { name: 'Next', exact: true }).click();
      await expect(heading).not.toHaveText(before);
    }
    const round = page.getByLabel('Everybody in this round');
    await expect(round.getByRole('button')).toHaveCount(15);
    const bettina = round.getByRole('button', { name: /Bettina/ });
    const doing = await bettina.innerText();

    // At the desk somebody notes what was said at the door.
    const desk = await context.newPage();
    await desk.goto('/people');
    await desk.getByRole('link', { name: 'Bettina Quill', exact: true }).click();
    await desk.getByRole('button', { name: 'Show body and cautions' }).click();
    await desk.getByRole('combobox', { name: /Cautions this person/ }).fill('glauc');
    await desk.getByRole('option', { name: /^Glaucoma/ }).click();
    await desk.keyboard.press('Escape');
    await expect(desk.getByRole('region', { name: 'Verdict' })).toContainText('not this one');
    // A page behind another one is drawn seldom.
    await page.bringToFront();
    await expect(bettina).not.toHaveText(doing, { timeout: 60_000, useInnerText: true });
    await expect(round.getByRole('button', { name: /Bettina/ })).not.toContainText('Wait', {
      timeout: 60_000,
    });
  },
);
