/** A JPEG without what its camera, its phone or a program wrote beside the picture. */
import { keptBytes } from '../plumb/sheet';

export type CleanJpeg =
  | { readonly ok: true; readonly jpeg: Uint8Array }
  | { readonly ok: false; readonly problem: string };

const mark = { prefix: 0xff, start: 0xd8, end: 0xd9, scan: 0xda } as const;

/** Segments that say where, when and with what a picture was taken, or anything else in words. */
const isTelling = (marker: number) => (marker >= 0xe1 && marker <= 0xef) || marker === 0xfe;
/** Within a scan: a byte that only looks like a marker, or a place to begin again at. */
const isOfScan = (marker: number) => marker === 0x00 || (marker >= 0xd0 && marker <= 0xd7);

const noJpeg: CleanJpeg = { ok: false, problem: 'This is no JPEG picture.' };

/** Where the picture data that begins here ends: at the next marker; -1 where the file ends first. */
function endOfScan(jpeg: Uint8Array, from: number): number {
  for (let at = from; at + 1 < jpeg.length; at += 1) {
    if (jpeg[at] !== mark.prefix) continue;
    const marker = jpeg[at + 1]!;
    if (marker !== mark.prefix && !isOfScan(marker)) return at;
  }
  return -1;
}

function join(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/**
 * What has to be there to see the picture, and nothing else: no words between its scans, and nothing
 * after its end either, where phones put a second picture, or a film.
 *
 * @returns a sentence where it is no JPEG, or larger than what is kept (`keptBytes`)
 */
export function cleanJpeg(jpeg: Uint8Array): CleanJpeg {
  if (jpeg.length > keptBytes) {
    return { ok: false, problem: 'This picture is too large to be kept.' };
  }
  if (jpeg[0] !== mark.prefix || jpeg[1] !== mark.start) return noJpeg;
  const parts = [jpeg.subarray(0, 2)];
  let scans = 0;
  for (let at = 2; at + 2 <= jpeg.length;) {
    const marker = jpeg[at + 1]!;
    if (jpeg[at] !== mark.prefix) return noJpeg;
    if (marker === mark.end) {
      return scans === 0 ? noJpeg : { ok: true, jpeg: join([...parts, jpeg.subarray(at, at + 2)]) };
    }
    if (at + 4 > jpeg.length) return noJpeg;
    const next = at + 2 + jpeg[at + 2]! * 256 + jpeg[at + 3]!;
    if (next < at + 4 || next > jpeg.length) return noJpeg;
    const until = marker === mark.scan ? endOfScan(jpeg, next) : next;
    if (until < 0) return noJpeg;
    if (marker === mark.scan) scans += 1;
    if (!isTelling(marker)) parts.push(jpeg.subarray(at, until));
    at = until;
  }
  return noJpeg;
}
