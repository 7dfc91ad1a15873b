import { z } from 'zod';
import { lineOf } from '@/core/units/text';
import { cautionIds } from '@/core/catalog/cautions';

/** Consent to hands-on help and the cautions a person reports. */
export const careForm = z.strictObject({
  consent: z.enum(['yes', 'ask', 'no'], 'Yes, ask each time, or no.'),
  /** Pictures that are kept. */
  pictureConsent: z.enum(['yes', 'ask', 'no'], 'Yes, ask each time, or no.'),
  cautions: z.array(z.enum(cautionIds, 'Not in our list: ask, and refer if unsure.')),
  /** Reports in the teacher's own words. */
  otherWords: z
    .array(z.string().overwrite(lineOf).min(1).max(80, 'At most 80 signs.'))
    .max(8, 'At most eight lines.'),
});

export type CareForm = z.infer<typeof careForm>;
