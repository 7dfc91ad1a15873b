import type { Page } from '@playwright/test';
import { chooseFile } from './ownServer';
import { expect } from './support';

/**
 * Chooses a picture of a painted person as a file, as somebody's photograph is chosen: what the
 * practice camera itself paints measures nobody.
 *
 * @param besides how many of them stand beside each other in it
 * @param cutShare how much is cut off at the top, where the feet are, as a share of the height
 */
export async function choosePhoto(page: Page, besides = 1, cutShare = 0): Promise<void> {
  await page.getByRole('button', { name: 'A practice picture' }).click();
  await expect(page.locator('svg image').first()).toHaveAttribute('href', /^blob:/);
  const address = await page.evaluate(
    async ([count, cut]) => {
      const picture = new Image();
      picture.src = document.querySelector('svg image')!.getAttribute('href')!;
      await picture.decode();
      const canvas = document.createElement('canvas');
      const cutPx = Math.round(cut * picture.naturalHeight);
      [canvas.width, canvas.height] = [count * picture.naturalWidth, picture.naturalHeight - cutPx];
      const context = canvas.getContext('2d')!;
      for (let place = 0; place < count; place += 1) {
        context.drawImage(picture, place * picture.naturalWidth, -cutPx);
      }
      return canvas.toDataURL('image/png');
    },
    [besides, cutShare] as const,
  );
  await chooseFile(page, 'Choose a picture', {
    name: 'photo.png',
    mimeType: 'image/png',
    buffer: Buffer.from(address.slice(address.indexOf(',') + 1), 'base64'),
  });
  await expect(page.getByText('How it is painted')).toBeHidden();
}
