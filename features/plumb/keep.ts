/** Keeping what was marked, with the picture only where the person has agreed. */
import { z } from 'zod';
import type { Sheet } from '@/core/plumb/marks';
import { cleanJpeg } from '@/core/files/jpeg';
import { keptPicture } from '@/core/plumb/sheet';
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
      picture = Buffer.from(cleaned.jpeg);
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
