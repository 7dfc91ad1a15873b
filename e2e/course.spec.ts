import { expect, test } from './support';

test('lands on the made-up Thursday course, everyone at one scale', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Thursday, upside down');
  const row = page.getByRole('list', { name: /Set-ups/ });
  // One figure for each set-up, everybody's name under one of them.
  await expect(row.getByRole('link')).toHaveCount(14);
  const figures = await row.getByRole('img').count();
  expect(figures).toBeGreaterThan(5);
  expect(figures).toBeLessThanOrEqual(14);
  await expect(page.getByRole('img', { name: /^The room from above/ })).toBeVisible();
  const scales = await row.locator('svg[data-px-per-m]').evaluateAll((all) =>
    all.map((svg) => {
      const shown = svg.getBoundingClientRect().width;
      const drawn = (svg as SVGSVGElement).viewBox.baseVal.width;
      return ((shown / drawn) * Number(svg.getAttribute('data-px-per-m'))).toFixed(1);
    }),
  );
  expect(new Set(scales).size).toBe(1);
  await expect(page.getByText(/gives no medical advice/)).toBeVisible();
});

test('keeps health reasons off the opening screen, titles and addresses', async ({ page }) => {
  await page.goto('/');
  const text = (await page.locator('body').innerText()).toLowerCase();
  for (const word of ['glaucoma', 'eye', 'pregnan', 'wrist', 'pain', 'closed', 'medical cond']) {
    expect(text.replace(/wrists? apart/g, ''), word).not.toContain(` ${word}`);
  }
  expect(await page.title()).toBe('Tonight · Levitar');
});

test('switches units for every figure and back', async ({ page }) => {
  await page.goto('/people');
  const row = page.getByRole('row', { name: /Anselm Rook/ });
  await expect(row).toContainText('191 cm');
  await page.getByText('ft, in', { exact: true }).click();
  await expect(row).toContainText('6′ 3″');
  await page.getByText('cm', { exact: true }).click();
  await expect(row).toContainText('191 cm');
});

test('shows a proper page for addresses that lead nowhere', async ({ page }) => {
  for (const path of [
    '/people/0',
    '/people/abc',
    '/people/99999',
    '/nowhere',
    '/people/1/card/x',
  ]) {
    const response = await page.goto(path);
    expect(response!.status(), path).toBe(404);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Nothing here');
  }
});

test('answers with a content policy, and only to its own pages', async ({ request, baseURL }) => {
  const response = await request.get('/');
  const policy = response.headers()['content-security-policy'];
  expect(policy).toContain("default-src 'self'");
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic';/);
  expect(response.headers()['x-powered-by']).toBeUndefined();
  const foreign = await request.post('/', { headers: { origin: 'http://elsewhere.example' } });
  expect(foreign.status()).toBe(403);
  const bare = await request.post('/people/1');
  expect(bare.status()).toBe(403);
  const renamed = await request.get('/', { headers: { host: 'elsewhere.example' } });
  expect(renamed.status()).toBe(421);
  const own = await request.post('/', { headers: { origin: baseURL! } });
  expect(own.status()).not.toBe(403);
});
