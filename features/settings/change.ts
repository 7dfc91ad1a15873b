/** Settings of the studio: units, names, how long things wait. */
import { z } from 'zod';
import { paperInks } from '@/core/drawing/palette';
import { exact } from '@/core/exact';
import { lineOf } from '@/core/units/text';
import { saveSettings } from '@/db/courses';
import { done } from '@/server/result';
import { isPossibleScale, scaleAddressWords } from '@/server/scale/scaleAddress';
import { change } from '@/server/useCase';

const settingsForm = z.strictObject({
  units: z.enum(['cm', 'in'], 'Centimetres or inches.').optional(),
  paperInk: z.enum(paperInks, 'Tones, or one ink.').optional(),
  studio: z.string().transform(lineOf).pipe(z.string().max(60, 'At most 60 signs.')).optional(),
  deskName: z.string().transform(lineOf).pipe(z.string().max(40, 'At most 40 signs.')).optional(),
  deskIdleMinutes: z
    .int('Whole minutes.')
    .min(1, 'At least one minute.')
    .max(240, 'At most 240 minutes.')
    .optional(),
  deviceIdleDays: z
    .int('Whole days.')
    .min(1, 'At least one day.')
    .max(400, 'At most 400 days.')
    .optional(),
  breathSeconds: z
    .number('Write a number.')
    .min(3, 'A breath takes at least 3 s.')
    .max(8, 'A breath takes at most 8 s.')
    .optional(),
  scaleAddress: z
    .string()
    .trim()
    .max(200, 'At most 200 signs.')
    .refine((text) => text === '' || isPossibleScale(text), scaleAddressWords)
    .transform((text) => (text === '' ? null : text))
    .optional(),
});

export const changeSettings = change([settingsForm], ({ db }, form) => {
  saveSettings(db, exact(form));
  return done(undefined);
});
