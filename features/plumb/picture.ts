'use client';

import { keptBytes, keptSidePx } from '@/core/plumb/sheet';

/** A picture on this device: right way up, not too large, without its metadata. It goes nowhere. */

export interface LoadedPicture {
  /** An address of this page alone. */
  readonly url: string;
  readonly width: number;
  readonly height: number;
}

export type PictureOutcome =
  | { readonly ok: true; readonly picture: LoadedPicture }
  | { readonly ok: false; readonly problem: string };

/** The longer side of what is kept in memory, pixels: finer than anybody sets a mark. */
const longestSide = 2400;
/** The shorter side that somebody can still be marked on, pixels, as it is shown. */
const shortestSide = 120;
/** Larger files are no pictures of a phone. */
const mostBytes = 60_000_000;

const problem = (words: string): PictureOutcome => ({ ok: false, problem: words });

async function toPicture(canvas: HTMLCanvasElement): Promise<PictureOutcome> {
  const blob = await new Promise<Blob | null>((resolve) => {
    canvas.toBlob(resolve, 'image/png');
  });
  return blob === null
    ? problem('This picture is too large for this browser: make it smaller first.')
    : {
        ok: true,
        picture: {
          url: URL.createObjectURL(blob),
          width: canvas.width,
          height: canvas.height,
        },
      };
}

/** Reads a file as a phone makes it; every way in which that can fail is a sentence. */
export async function loadPicture(file: File): Promise<PictureOutcome> {
  if (file.size === 0) return problem('This file is empty. Take the picture again.');
  if (file.size > mostBytes) return problem('This file is larger than 60 MB: choose a picture.');
  if (file.type.startsWith('video/')) {
    return problem('This is a film: choose it under “Clip”.');
  }
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return problem('This file is no picture that the browser can open. JPEG, PNG or WebP will do.');
  }
  const scale = Math.min(1, longestSide / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  if (Math.min(canvas.width, canvas.height) < shortestSide) {
    bitmap.close();
    return problem(
      `In this picture nobody can be marked: it needs at least ${shortestSide} pixels each way. Choose the picture itself, not its preview.`,
    );
  }
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return toPicture(canvas);
}

export type JpegOutcome =
  { readonly ok: true; readonly jpeg: string } | { readonly ok: false; readonly problem: string };

/** A loaded picture as it is kept: smaller, as a JPEG, base64. What is painted anew has no metadata. */
export async function toKeptJpeg({ url, width, height }: LoadedPicture): Promise<JpegOutcome> {
  const picture = new Image();
  picture.src = url;
  await picture.decode();
  const scale = Math.min(1, keptSidePx / Math.max(width, height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  for (const quality of [0.85, 0.7, 0.5]) {
    const address = canvas.toDataURL('image/jpeg', quality);
    const jpeg = address.slice(address.indexOf(',') + 1);
    if ((jpeg.length * 3) / 4 <= keptBytes) return { ok: true, jpeg };
  }
  return { ok: false, problem: 'This picture is too large to be kept. The marks can be.' };
}

/** A painted picture as if it had been taken. */
export const fromCanvas = toPicture;
