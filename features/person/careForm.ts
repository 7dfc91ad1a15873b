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

/**
 * What this window wants and what another has kept meanwhile, as one: of each thing, what was
 * changed here since `before` stands, and of everything else what is there `now`.
 */
export function uniteCare(before: CareForm, mine: CareForm, now: CareForm): CareForm {
  const unite = <T>(was: readonly T[], wanted: readonly T[], there: readonly T[]): T[] => [
    ...there.filter((one) => wanted.includes(one) || !was.includes(one)),
    ...wanted.filter((one) => !was.includes(one) && !there.includes(one)),
  ];
  const either = <T>(was: T, wanted: T, there: T): T => (wanted === was ? there : wanted);
  const cautions = unite(before.cautions, mine.cautions, now.cautions);
  return {
    consent: either(before.consent, mine.consent, now.consent),
    pictureConsent: cautions.includes('under-16')
      ? 'no'
      : either(before.pictureConsent, mine.pictureConsent, now.pictureConsent),
    cautions,
    otherWords: unite(before.otherWords, mine.otherWords, now.otherWords),
  };
}
