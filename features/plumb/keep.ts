/** Keeping what was marked, with the picture only where the person has agreed. */
import { z } from 'zod';
import type { Sheet } from '@/core/plumb/marks';
import { keptBytes, keptPicture } from '@/core/plumb/sheet';
import { addPicture, removePicture } from '@/db/pictures';
import type { PersonRow } from '@/db/people';
import { finishErasing, noteErasing } from '@/server/files/erasing';
import { done, refuse, type Outcome } from '@/server/result';
import { aPerson, change, numberOf, work } from '@/server/useCase';

export const keepForm = keptPicture.pick({ width: true, height: true, sheet: true }).extend({
  /** The picture, base64; `null`: the marks alone. */
  jpeg: keptPicture.shape.jpeg,
  /** The person was asked just now, and said yes. */
  hasAsked: z.boolean(),
});
export type KeepForm = z.infer<typeof keepForm>;

/** Why no picture of somebody is kept; `null`: it may be. */
export function whyNoPicture(
  { cautions, pictureConsent }: Pick<PersonRow, 'cautions' | 'pictureConsent'>,
  hasAsked: boolean,
): string | null {
  if (cautions.includes('under-16')) {
    return 'No picture of anybody under 16 is kept. The marks can be.';
  }
  switch (pictureConsent) {
    case 'no':
      return 'This person has not agreed to pictures. The marks can be kept without one.';
    case 'ask':
      return hasAsked ? null : 'Ask first: this person wants to be asked each time.';
    case 'yes':
      return null;
  }
}

const [jpegStart, jpegEnd] = [
  [0xff, 0xd8],
  [0xff, 0xd9],
] as const;
/** Segments that say where, when and with what a picture was taken, or anything else in words. */
const isTelling = (marker: number) => (marker >= 0xe1 && marker <= 0xef) || marker === 0xfe;
const scanMarker = 0xda;

export type CleanJpeg =
  { readonly ok: true; readonly jpeg: Buffer } | { readonly ok: false; readonly problem: string };

const noJpeg: CleanJpeg = { ok: false, problem: 'This is no JPEG picture.' };

/** A JPEG without anything that is not needed to see it: what a camera or a browser wrote beside it goes. */
export function cleanJpeg(jpeg: Buffer): CleanJpeg {
  if (jpeg.length > keptBytes) {
    return { ok: false, problem: 'This picture is too large to be kept.' };
  }
  const isJpeg =
    jpeg[0] === jpegStart[0] &&
    jpeg[1] === jpegStart[1] &&
    jpeg[jpeg.length - 2] === jpegEnd[0] &&
    jpeg[jpeg.length - 1] === jpegEnd[1];
  if (!isJpeg) return noJpeg;
  const parts = [jpeg.subarray(0, 2)];
  for (let at = 2; at + 4 <= jpeg.length;) {
    const marker = jpeg[at + 1]!;
    if (jpeg[at] !== 0xff) return noJpeg;
    if (marker === scanMarker) {
      return { ok: true, jpeg: Buffer.concat([...parts, jpeg.subarray(at)]) };
    }
    const next = at + 2 + jpeg.readUInt16BE(at + 2);
    if (!isTelling(marker)) parts.push(jpeg.subarray(at, next));
    at = next;
  }
  return noJpeg;
}

/** @returns the number of what was kept */
export const keepPicture = change(
  [aPerson, keepForm],
  ({ db, today }, person, { jpeg, hasAsked, sheet, ...size }): Outcome<number> => {
    let picture: Buffer | null = null;
    if (jpeg !== null) {
      const why = whyNoPicture(person, hasAsked);
      if (why !== null) return refuse({ form: why });
      const cleaned = cleanJpeg(Buffer.from(jpeg, 'base64'));
      if (!cleaned.ok) return refuse({ form: cleaned.problem });
      picture = cleaned.jpeg;
    }
    return done(
      addPicture(db, {
        ...size,
        personId: person.id,
        on: today,
        sheet: sheet as Sheet,
        jpeg: picture,
      }),
    );
  },
);

const gone = 'This was deleted already.';

/** Deletes it for good, also what it leaves on the disk. */
export const deletePicture = work(
  [aPerson, numberOf(gone)],
  ({ db }, person, id): Outcome<{ readonly isErasePending: boolean }> => {
    const isGone = db.transaction((tx) => {
      const was = removePicture(tx, person.id, id);
      if (was) noteErasing(tx);
      return was;
    });
    if (!isGone) return refuse({ form: gone });
    return done({ isErasePending: !finishErasing() });
  },
);
