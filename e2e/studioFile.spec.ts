import { chooseFile } from './ownServer';
import { expect, handOut, test } from './support';

test('everything comes out as one file; a broken one says its line', async ({ page }) => {
  await page.goto('/settings');
  const file = await handOut(page);
  await chooseFile(page, 'Take a file in', file);
  await expect(page.getByText(/are here already: what is here stays/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  const broken = {
    name: 'a.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{\n"format":\n}'),
  };
  await chooseFile(page, 'Take a file in', broken);
  await expect(page.getByText(/on line 3.*Nothing was stored/)).toBeVisible();
  const rows = {
    name: 'a.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,check,date,value\nX,y,z,1'),
  };
  await chooseFile(page, 'Take records in', rows);
  await expect(page.getByText('Line 2: nobody of this name or uid')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it in' })).toBeDisabled();
});
