import type { Page } from '@playwright/test';
import { chooseFile } from './ownServer';
import { expect } from './support';

/**
 * Chooses a picture of a painted person as a file, as somebody's photograph is chosen: what the
 * practice camera itself paints measures nobody.
 *
 * @param besides how many of them stand beside each other in it
 */
export async function choosePhoto(page: Page, besides = 1): Promise<void> {
  await page.getByRole('button', { name: 'A practice picture' }).click();
  await expect(page.locator('svg image').first()).toHaveAttribute('href', /^blob:/);
  const address = await page.evaluate(async (count) => {
    const picture = new Image();
    picture.src = document.querySelector('svg image')!.getAttribute('href')!;
    await picture.decode();
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [count * picture.naturalWidth, picture.naturalHeight];
    const context = canvas.getContext('2d')!;
    for (let place = 0; place < count; place += 1) {
      context.drawImage(picture, place * picture.naturalWidth, 0);
    }
    return canvas.toDataURL('image/png');
  }, besides);
  await chooseFile(page, 'Choose a picture', {
    name: 'photo.png',
    mimeType: 'image/png',
    buffer: Buffer.from(address.slice(address.indexOf(',') + 1), 'base64'),
  });
  await expect(page.getByText('How it is painted')).toBeHidden();
}
