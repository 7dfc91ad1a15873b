import { loadPicture } from './picture';

/** What the browser makes of the file that is chosen next; `null`: nothing. */
let opened: { readonly width: number; readonly height: number } | null = null;
const closed: string[] = [];

beforeEach(() => {
  closed.length = 0;
  globalThis.createImageBitmap = () =>
    opened === null
      ? Promise.reject(new Error('no picture'))
      : Promise.resolve({
          ...opened,
          close: () => closed.push('closed'),
        } as unknown as ImageBitmap);
  HTMLCanvasElement.prototype.getContext = () => null;
  HTMLCanvasElement.prototype.toBlob = (take) => take(new Blob(['x']));
  URL.createObjectURL = () => 'blob:picture';
});

const file = (type = 'image/jpeg', bytes = 'x') => new File([bytes], 'photo', { type });
const problemOf = async (one: File) => {
  const outcome = await loadPicture(one);
  return outcome.ok ? null : outcome.problem;
};

it('makes a large picture as small as marks are fine, in its own proportions', async () => {
  opened = { width: 8000, height: 4000 };
  expect(await loadPicture(file())).toEqual({
    ok: true,
    picture: { url: 'blob:picture', width: 2400, height: 1200 },
  });
  expect(closed).toEqual(['closed']);
});

it('takes no preview, and no strip, on which nobody can be marked', async () => {
  opened = { width: 96, height: 128 };
  expect(await problemOf(file())).toMatch(/at least 120 pixels each way/);
  opened = { width: 12_000, height: 400 };
  expect(await problemOf(file())).toMatch(/at least 120 pixels each way/);
  opened = { width: 120, height: 160 };
  expect(await problemOf(file())).toBeNull();
});

it('says in a sentence what is no picture', async () => {
  opened = null;
  expect(await problemOf(file())).toMatch(/JPEG, PNG or WebP/);
  expect(await problemOf(file('image/jpeg', ''))).toMatch(/empty/);
  expect(await problemOf(file('video/mp4'))).toMatch(/film/);
});
