import {
  expect,
  expectAccessible,
  goOn,
  holdScripts,
  openPerson,
  openPrivate,
  test,
} from './support';

test('five ladders show everyone, who waits for what, and a rung in full', async ({ page }) => {
  await page.goto('/ladders');
  await expect(page.getByRole('heading', { level: 2, name: 'Forearm stand' })).toBeVisible();
  await expect(page.getByText('14 people')).toBeVisible();
  const kick = page
    .getByRole('group')
    .filter({ hasText: 'Kick to the wall, block in hands' })
    .first();
  await kick.locator('summary').click();
  await expect(kick.getByText(/opens with: dolphin hold/)).toBeVisible();
  await expect(kick.getByRole('link', { name: 'Bettina Quill' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'What holds the group' })).toBeVisible();
  await expectAccessible(page);

  await kick.getByRole('link', { name: 'Open this rung' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Kick to the wall, block in hands',
  );
  for (const term of ['Dose', 'Opens with', 'Step down', 'Way out', 'Counterpose', 'Loads']) {
    await expect(page.getByText(term, { exact: true })).toBeVisible();
  }
  // The set-up first; how it is come into moves below it.
  const drawing = page.getByRole('img', { name: /Kick to the wall/ }).first();
  await expect(drawing).toHaveAccessibleName(/Anselm Rook/);
  await page.getByRole('combobox', { name: 'At whose size' }).click();
  await page.getByRole('option', { name: 'Bettina Quill' }).click();
  await expect(drawing).toHaveAccessibleName(/Bettina Quill/);
  await expectAccessible(page);
});

test('records for one after the other without closing, with a way back', async ({ page }) => {
  await page.goto('/checks?minutes=20');
  await expect(page.getByText(/of 20 min used/)).toBeVisible();
  // Which hold it is depends on what was recorded before.
  await page
    .getByRole('button', { name: /^Record .* hold one after the other$/ })
    .first()
    .click();
  const window = page.getByRole('dialog');
  const turns = window.getByRole('list', { name: 'Whose turn' }).getByRole('button');
  const first = await turns.first().innerText();
  await expect(window.getByRole('heading', { name: new RegExp(first) })).toBeVisible();
  await window.getByLabel('How long').fill('41');
  await page.keyboard.press('Enter');
  // The next person, the field ready for the next number.
  await expect(turns.nth(1)).toHaveAttribute('aria-current', 'step');
  await expect(window.getByLabel('How long')).toHaveValue('');
  await expect(window.getByLabel('How long')).toBeFocused();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(window).toHaveCount(0);
  await expectAccessible(page);
});

test('a teacher differs from the suggestion with a reason, and corrects it later', async ({
  page,
}) => {
  await openPerson(page, 'Nilufar Dane');
  const forearms = page.getByRole('heading', { level: 3, name: 'Forearm stand' });
  const ladders = page.getByRole('listitem').filter({ has: forearms });
  await ladders.getByRole('button', { name: 'Decide' }).click();
  const window = page.getByRole('dialog');
  await expect(window.getByText('Suggested:')).toBeVisible();
  await window.getByRole('radio', { name: 'with support' }).check();
  await window.getByRole('button', { name: 'Differ and keep' }).click();
  await expect(window.getByText(/You differ from the suggestion/)).toBeVisible();
  await window.getByLabel('Why you differ').fill('with my hand on her hips it is fine');
  await window.getByRole('button', { name: 'Differ and keep' }).click();
  await expect(window).toHaveCount(0);
  const kept = page
    .getByRole('listitem')
    .filter({ hasText: '“with my hand on her hips it is fine”' });
  await expect(kept).toContainText('suggested');
  await expect(kept).toContainText('decided with support');
  // With support the rung stays where it was.
  await expect(page.getByLabel('Works at, Forearm stand')).toHaveValue('FS3');
  await kept.getByRole('button', { name: 'Correct by a new one' }).click();
  await page.getByRole('dialog').getByRole('radio', { name: 'stay' }).check();
  await page.getByRole('dialog').getByRole('textbox').fill('too early after all');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /and keep/ })
    .click();
  await expect(page.getByText('corrects an earlier one')).toBeVisible();
  await expect(kept).toBeVisible();
});

test('a stop sign closes, and a clinician’s word lifts only what it names', async ({ page }) => {
  await openPerson(page, 'Dorit Amsel');
  await openPrivate(page);
  await page.getByRole('combobox', { name: 'Note a stop sign seen today' }).click();
  await page.getByRole('option', { name: 'ringing' }).click();
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict).toContainText('get help by the rules of the place');
  await page.getByRole('button', { name: 'Note a clinician’s word' }).click();
  const window = page.getByRole('dialog');
  await expect(window.getByText(/Levitar clears nobody/)).toBeVisible();
  // It lifts only what it names, so it has to name something.
  await window.getByRole('button', { name: 'Note it' }).click();
  await expect(window.getByText('Name at least one kind of shape it covers.')).toBeVisible();
  for (const kind of [
    'head below heart, mild',
    'inversions with little or no neck load',
    'neck-loading shapes',
    'weight on shoulders or the back of the head',
  ]) {
    await window.getByText(kind, { exact: true }).click();
  }
  await window.getByRole('button', { name: 'Note it' }).click();
  await expect(verdict).not.toContainText('get help');
  await expectAccessible(page);
});

test(
  'two windows on one person: the second is told, and nothing is lost',
  { tag: '@deep' },
  async ({ page, context }) => {
    await openPerson(page, 'Jorun Pike');
    await openPrivate(page);
    const other = await context.newPage();
    await other.goto(page.url());
    await openPrivate(other);
    await other.getByLabel('Body mass, kg').fill('63');
    await other.getByRole('button', { name: 'Keep measures' }).click();
    await expect(other.getByText('Measures kept')).toBeVisible();
    await page.getByLabel('Height').fill('167');
    await page.getByRole('button', { name: 'Keep measures' }).click();
    await expect(page.getByText(/Changed in another window meanwhile: body mass 63/)).toBeVisible();
    await expect(page.getByLabel('Height')).toHaveValue('167');
    await other.close();
  },
);

test(
  'people come in from a table with errors by line, and go back',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/people/import');
    await page
      .getByLabel('or paste the rows')
      .fill(
        'Full name;Tall;Touch\nMira Onn;171;yes\n;160;no\nTeo Vash;9 m;ask\nAnselm Rook;191;yes\n',
      );
    await page.getByRole('button', { name: 'Read what I pasted' }).click();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('0');
    await expect(page.getByLabel('Height')).toHaveValue('1');
    await page.getByRole('button', { name: 'Look at the rows' }).click();
    await expect(page.getByText('1 of 4 rows would come in')).toBeVisible();
    await expect(page.getByRole('row', { name: /^3 — no: no name/ })).toBeVisible();
    await expect(page.getByRole('row', { name: /^4 Teo Vash no: height outside/ })).toBeVisible();
    await expect(
      page.getByRole('row', { name: /^5 Anselm Rook no: this name is here already/ }),
    ).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Take 1 in' }).click();
    await expect(page.getByText('One person is here')).toBeVisible();
    await page.getByRole('button', { name: 'Take it all back' }).click();
    await expect(page.getByText('1 taken back.')).toBeVisible();
    await goOn(page, '/people');
    await expect(page.getByText('Mira Onn')).toHaveCount(0);
  },
);

test('finds, sorts and filters people; adds in two fields; deletes for good', async ({ page }) => {
  await page.goto('/people');
  await page.getByLabel('Name', { exact: true }).fill('Zora Testfall');
  await page.getByLabel('Height', { exact: true }).fill('168');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('Zora Testfall is here.')).toBeVisible();
  await page.getByLabel('Search by name').fill('zora');
  await expect(page.getByRole('row')).toHaveCount(2);
  await page.getByLabel('Search by name').fill('');
  await page.getByRole('button', { name: /^Name/ }).click();
  await expect(page.getByRole('row').nth(1)).toContainText('Zora Testfall');
  await page.getByRole('combobox', { name: 'Verdict' }).selectOption('stop');
  await expect(page.getByRole('row', { name: /Gideon Sarr/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Bettina Quill/ })).toHaveCount(0);
  await expectAccessible(page);

  await openPerson(page, 'Zora Testfall');
  await page.getByRole('button', { name: 'This entry' }).click();
  await page.getByRole('menuitem', { name: 'Delete for good' }).click();
  const window = page.getByRole('dialog');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    window.getByRole('link', { name: 'Take everything out as a file first' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('levitar-person.json');
  const go = window.getByRole('button', { name: 'Delete for good' });
  await expect(go).toBeDisabled();
  await window.getByLabel('Write the name to go on').fill('Zora Testfall');
  await go.click();
  await expect(page).toHaveURL(/\/people$/);
  await expect(page.getByText('Zora Testfall', { exact: true })).toHaveCount(0);
});

test(
  'whoever presses a name while the table comes goes where it leads',
  { tag: '@deep' },
  async ({ page }) => {
    const letCome = await holdScripts(page, 'Search by name');
    await page.goto('/people');
    const box = await page.getByRole('link', { name: 'Bettina Quill', exact: true }).boundingBox();
    await page.mouse.move(box!.x + 10, box!.y + box!.height / 2);
    await page.mouse.down();
    await letCome();
    // Long enough for the table to have come, had it not waited.
    await page.waitForTimeout(1_500);
    await expect(page.getByLabel('Search by name')).toHaveCount(0);
    await page.mouse.up();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bettina Quill');
  },
);

test(
  'whoever stands on a name by key stands on it still when the table has come',
  { tag: '@deep' },
  async ({ page }) => {
    const letCome = await holdScripts(page, 'Search by name');
    await page.goto('/people');
    const name = page.getByRole('link', { name: 'Corin Vale', exact: true });
    await name.focus();
    await expect(page.getByLabel('Search by name')).toHaveCount(0);
    await letCome();
    await expect(page.getByLabel('Search by name')).toBeVisible();
    await expect(name).toBeFocused();
  },
);

test(
  'a profile copy shows what it would change for whom, and is kept as a version',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/profiles');
    await page.getByRole('button', { name: 'Copy' }).first().click();
    await page.getByLabel('Name of the copy').fill('Strict dolphin');
    await page.getByRole('button', { name: 'Make the copy' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Strict dolphin');
    const bar = page.getByLabel('Dolphin hold', { exact: true });
    await bar.fill('200');
    const effect = page.getByRole('complementary');
    await expect(effect.getByText(/Halina Brook/)).toBeVisible();
    await effect.getByRole('button', { name: 'Keep as version 2' }).click();
    await expect(effect.getByText('at least 45 s → at least 200 s')).toBeVisible();
    await expectAccessible(page);

    await page.getByRole('button', { name: 'Handstand' }).click();
    await page.getByRole('button', { name: 'Change L at the wall' }).click();
    await page.getByRole('button', { name: 'Take out plank hold' }).click();
    await effect.getByRole('button', { name: 'Keep as version 3' }).click();
    await expect(effect.getByText('Gate of L at the wall')).toBeVisible();
    await effect.getByRole('button', { name: 'Put this copy away' }).click();
    await expect(page.getByText('Strict dolphin')).toHaveCount(0);
  },
);

test(
  'plans the weeks of a course and hands out its calendar',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/courses');
    await page.getByRole('link', { name: 'Saturday, slow and propped' }).click();
    await expect(page.getByText('Enrolled: 12')).toBeVisible();
    const evenings = page
      .getByRole('region', { name: 'Evenings' })
      .locator('button[aria-expanded]');
    const before = await evenings.count();
    await page.getByRole('button', { name: 'One more week' }).click();
    // Until then the form of another evening is open.
    await expect(evenings).toHaveCount(before + 1);
    await expect(evenings.last()).toHaveAttribute('aria-expanded', 'true');
    await page.getByLabel('Family').selectOption('arm-balance');
    await page.getByLabel('Peak').selectOption('CR4');
    await page.getByRole('button', { name: 'Keep this evening' }).click();
    await expect(
      page.getByText('Crow and arm balances: Squat with knees on the arms'),
    ).toBeVisible();
    await expectAccessible(page);
    const [calendar] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Calendar file' }).click(),
    ]);
    expect(calendar.suggestedFilename()).toMatch(/^course-\d+\.ics$/);
    await page.getByRole('button', { name: 'Drop this evening' }).click();
    await expect(page.getByText('Squat with knees on the arms, feet on a block')).toHaveCount(0);
  },
);

test('a stage of one’s own stands on its ladder', { tag: '@deep' }, async ({ page }) => {
  await page.goto('/entries');
  await page.getByLabel('Name', { exact: true }).fill('Walk up the wall');
  await page.getByLabel('Comes after').selectOption('HB6');
  await page.getByLabel('What to do').fill('Belly to the wall, feet walk up it.');
  await page.getByLabel('Dose').fill('3 walks');
  await page.getByLabel('Step down').fill('Short dog');
  await page.getByLabel('Way out').fill('Walk down');
  await page.getByRole('button', { name: 'Put it on the ladder' }).click();
  await expect(page.getByText('own-walk-up-the-wall')).toBeVisible();
  await expectAccessible(page);
  await goOn(page, '/ladders');
  await expect(page.getByText('Walk up the wall', { exact: true })).toBeVisible();
  await goOn(page, '/entries');
  await page.getByRole('button', { name: 'Take out' }).click();
  await expect(page.getByText('None yet.')).toBeVisible();
});

test('nothing scrolls sideways on a tablet', { tag: '@deep' }, async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  for (const path of [
    '/people',
    '/people/8',
    '/ladders',
    '/checks',
    '/courses/1',
    '/profiles/prop-led',
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const wide = await page.evaluate(
      () => document.documentElement.scrollWidth - window.innerWidth,
    );
    expect(wide, path).toBeLessThanOrEqual(1);
  }
});
