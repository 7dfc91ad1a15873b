import { expect, expectAccessible, goOn, openPerson, openPrivate, test } from './support';

test('changes measures and sees the distances follow; keeps what was typed wrongly', async ({
  page,
}) => {
  await openPerson(page, 'Corin Vale');
  await openPrivate(page);
  const height = page.getByLabel('Height');
  await expect(height).toHaveValue('175');
  const drawing = page.getByRole('img', { name: /open the set-up card/ });
  await expect(drawing).toHaveAccessibleName(/elbows 55 cm/);

  await height.fill('2.75 m');
  await page.getByRole('button', { name: 'Keep measures' }).click();
  await expect(page.getByText('Height must be between 120 cm and 220 cm.')).toBeVisible();
  await expect(height).toHaveValue('2.75 m');

  await height.fill('5\'9"');
  await page.getByRole('button', { name: /more measures/ }).click();
  await page.getByLabel(/Forearm, elbow to wrist/).fill('60');
  await page.getByRole('button', { name: 'Keep measures' }).click();
  await expect(page.getByText(/does not fit a height of 175 cm/)).toBeVisible();
  await expect(page.getByLabel(/Forearm, elbow to wrist/)).toHaveValue('60');

  await page.getByLabel(/Forearm, elbow to wrist/).fill('29');
  await page.getByRole('button', { name: 'Keep measures' }).click();
  await expect(drawing).toHaveAccessibleName(/elbows 59 cm/);
  await page.reload();
  await openPrivate(page);
  await expect(page.getByLabel('Height')).toHaveValue('5\'9"');
});

test('records checks, sees the verdict at once, and takes one back', async ({ page }) => {
  await openPerson(page, 'Halina Brook');
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict).toContainText('stay');
  await page.getByRole('button', { name: 'Record Dolphin, one leg up', exact: true }).click();
  const value = page.getByLabel('How long');
  await value.fill('-4');
  await page.getByRole('button', { name: 'Keep this record' }).click();
  await expect(page.getByText('A negative value cannot be.')).toBeVisible();
  await expect(value).toHaveValue('-4');

  await value.fill('4');
  await page.getByText('breaths of 5 s').click();
  await page.getByText('I stopped it').click();
  await page.getByRole('button', { name: 'Keep this record' }).click();
  const newest = page.getByRole('row').nth(1);
  await expect(newest).toContainText('at least 20 s (4 breaths)');

  await page.getByText('Pain', { exact: true }).click();
  await value.fill('1');
  await page.getByRole('button', { name: 'Keep this record' }).click();
  await expect(verdict).toContainText('not this one');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(verdict).toContainText('stay');
});

test('shows another shape and no card when a caution closes the stage', async ({ page }) => {
  await openPerson(page, 'Nilufar Dane');
  await openPrivate(page);
  await page.getByRole('combobox', { name: /Cautions this person/ }).fill('osteo');
  await page.getByRole('option', { name: 'Osteoporosis' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('Dolphin on a chair');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Set-up card', exact: true }).click();
  await expect(page.getByText('chair against the wall')).toBeVisible();
  await expect(page.getByText('Elbows from the wall')).toHaveCount(0);
  await expect(page.getByText('Osteoporosis')).toHaveCount(0);
});

test('keeps consent and never plans hands-on help against it', async ({ page }) => {
  await openPerson(page, 'Corin Vale');
  await openPrivate(page);
  const help = page.getByRole('radiogroup', { name: 'Hands-on help' });
  await help.getByText('no', { exact: true }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.reload();
  await openPrivate(page);
  await expect(help.getByRole('radio', { name: 'no', exact: true })).toBeChecked();
  // A consent of its own: to be touched is one thing, to be kept in a picture another.
  const pictures = page.getByRole('radiogroup', { name: 'Pictures that are kept' });
  await expect(pictures.getByRole('radio', { name: 'no', exact: true })).toBeChecked();
});

test('the whole way with the keyboard alone', { tag: '@deep' }, async ({ page }) => {
  const press = async (key: string, times = 1) => {
    for (let count = 0; count < times; count += 1) await page.keyboard.press(key);
  };
  const tabTo = async (name: string | RegExp) => {
    for (let count = 0; count < 80; count += 1) {
      await page.keyboard.press('Tab');
      const label = await page.evaluate(() => {
        const at = document.activeElement as HTMLElement | null;
        return at?.getAttribute('aria-label') ?? at?.innerText ?? '';
      });
      if (typeof name === 'string' ? label.trim() === name : name.test(label)) return;
    }
    throw new Error(`Tab never reached ${name}`);
  };
  await page.goto('/');
  await tabTo(/^Fenja$/);
  await press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Fenja Marsh' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('stay');
  await tabTo('Record Confidence, the student’s word');
  await press('Enter');
  await expect(page.getByLabel('How much')).toBeFocused();
  await page.keyboard.type('6');
  await press('Enter');
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText(/block in hands: open/);
  await expect(page.getByLabel('How much')).toBeFocused();
  // Measures, consent and cautions, by keys.
  await tabTo('Show body and cautions');
  await press('Enter');
  await page.getByLabel('Height').focus();
  await press('Control+a');
  await page.keyboard.type('164');
  await press('Enter');
  await expect(page.getByText('164 cm', { exact: false }).first()).toBeVisible();
  await page
    .getByRole('radiogroup', { name: 'Hands-on help' })
    .getByRole('radio', { name: 'yes', exact: true })
    .focus();
  await press('ArrowRight');
  await expect(
    page
      .getByRole('radiogroup', { name: 'Hands-on help' })
      .getByRole('radio', { name: 'ask each time' }),
  ).toBeChecked();
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.getByRole('combobox', { name: /Cautions this person/ }).focus();
  await page.keyboard.type('reflux');
  await expect(page.getByRole('option', { name: /Reflux/ })).toBeVisible();
  await press('ArrowDown');
  await press('Enter');
  await press('Escape');
  await expect(page.getByText('care: not after meals').first()).toBeVisible();
  await goOn(page, '/people/6');
  await tabTo('Set-up card');
  await press('Enter');
  await expect(page.getByText('Elbows from the wall')).toBeVisible();
  await tabTo('Print');
});

test('with less motion what folds still folds, and a colour that changes moves nothing', async ({
  page,
}) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openPerson(page, 'Corin Vale');
  await openPrivate(page);
  const foot = page.getByLabel(/Foot, heel to toe/);
  await expect(foot).toBeHidden();
  await page.getByRole('button', { name: /more measures/ }).click();
  await expect(foot).toBeVisible();
  // It has come to its end: what appears in it later is not cut off.
  const cut = page.locator('[style*="overflow: hidden"]', { has: foot });
  await expect(cut).toHaveCount(0);
  await page.getByRole('button', { name: 'Fewer measures' }).click();
  await expect(foot).toBeHidden();

  await page.evaluate(() => {
    const moved: string[] = [];
    document.addEventListener('transitionrun', ({ propertyName }) => moved.push(propertyName));
    Object.assign(window, { moved });
  });
  await page.emulateMedia({ reducedMotion: 'reduce', colorScheme: 'dark' });
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark');
  // Two frames: what was to begin has begun.
  await page.evaluate(
    () => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))),
  );
  const moved = await page.evaluate(() => (window as unknown as { moved: string[] }).moved);
  expect(moved).toEqual([]);
});
