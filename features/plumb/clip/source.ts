'use client';

/** Where the pictures of a clip come from: a file or a recording on this device, or paint. */
import type { Body } from '@/core/body/body';
import type { KickWish } from '@/core/plumb/practiceClip';
import { clipSize } from '@/core/plumb/practiceClip';
import { paintKick } from '../practice';

export interface FrameSource {
  readonly width: number;
  readonly height: number;
  readonly durationS: number;
  /** To practise on: it is nobody. */
  readonly isPainted: boolean;
  /** The picture at a moment, painted on the canvas given, which takes its size. */
  readonly paint: (canvas: HTMLCanvasElement, atS: number) => Promise<void>;
  readonly close: () => void;
}

export type SourceOutcome =
  | { readonly ok: true; readonly source: FrameSource }
  | { readonly ok: false; readonly problem: string };

/** Ten pictures a second: fine enough for events to a tenth. */
export const framesPerS = 10;
/** As long as a clip is read, seconds. */
export const longestClipS = 20;
/** The longer side that is read, pixels: the reader looks at less. */
const longestSide = 960;
/** Until a video says how long it is, or shows a picture, milliseconds. */
const patienceMs = 8_000;
const mostBytes = 500_000_000;

const cannotPlay =
  'This file is no clip that the browser can play. MP4 or WebM will do; a still can be taken from it with any player.';

const refused = (problem: string): SourceOutcome => ({ ok: false, problem });

/** Waits for one event of an element; gives up when another says that it cannot be, or in time. */
function once(element: HTMLElement, event: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const done = (settle: () => void) => () => {
      clearTimeout(timer);
      element.removeEventListener(event, good);
      element.removeEventListener('error', bad);
      settle();
    };
    const good = done(resolve);
    const bad = done(() => reject(new Error(event)));
    const timer = setTimeout(bad, patienceMs);
    element.addEventListener(event, good);
    element.addEventListener('error', bad);
  });
}

/** What a recorder has just written does not say how long it is until it has been to its end. */
async function findDuration(video: HTMLVideoElement): Promise<number> {
  if (Number.isFinite(video.duration)) return video.duration;
  const known = once(video, 'durationchange');
  video.currentTime = 1e7;
  await known;
  return video.duration;
}

async function openVideo(blob: Blob): Promise<SourceOutcome> {
  const url = URL.createObjectURL(blob);
  const close = () => URL.revokeObjectURL(url);
  const video = document.createElement('video');
  video.muted = true;
  video.playsInline = true;
  video.preload = 'auto';
  try {
    const ready = once(video, 'loadeddata');
    video.src = url;
    await ready;
    const durationS = await findDuration(video);
    if (video.videoWidth === 0) throw new Error('no picture');
    if (durationS > longestClipS + 0.5) {
      close();
      return refused(
        `This clip is ${Math.round(durationS)} s long. Cut it to the try itself, at most ${longestClipS} s.`,
      );
    }
    const share = Math.min(1, longestSide / Math.max(video.videoWidth, video.videoHeight));
    const width = Math.round(video.videoWidth * share);
    const height = Math.round(video.videoHeight * share);
    return {
      ok: true,
      source: {
        width,
        height,
        durationS,
        isPainted: false,
        paint: async (canvas, atS) => {
          const to = Math.min(atS, durationS - 0.01);
          if (Math.abs(video.currentTime - to) > 1e-3) {
            const there = once(video, 'seeked');
            video.currentTime = to;
            await there;
          }
          canvas.width = width;
          canvas.height = height;
          canvas.getContext('2d')?.drawImage(video, 0, 0, width, height);
        },
        close,
      },
    };
  } catch {
    close();
    return refused(cannotPlay);
  }
}

/** A file as a phone makes it, or what was just recorded; every way to fail is a sentence. */
export async function openClipFile(file: Blob): Promise<SourceOutcome> {
  if (file.size === 0) return refused('This file is empty. Take the clip again.');
  if (file.size > mostBytes) return refused('This file is larger than 500 MB: cut the clip.');
  if (file.type.startsWith('image/')) {
    return refused('This is a picture: choose it under “Picture”.');
  }
  return openVideo(file);
}

/** A painted kick to the wall. */
export const paintedClip = (body: Body, wish: KickWish): FrameSource => ({
  width: clipSize.width,
  height: clipSize.height,
  durationS: clipSize.durationS,
  isPainted: true,
  paint: (canvas, atS) => {
    paintKick(canvas, body, wish, atS);
    return Promise.resolve();
  },
  close: () => undefined,
});
