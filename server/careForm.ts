import { z } from 'zod';
import { cautionIds } from '@/core/catalog/cautions';

/** Consent to hands-on help and the cautions a person reports. */
export const careForm = z.strictObject({
  consent: z.enum(['yes', 'ask', 'no'], 'Yes, ask each time, or no.'),
  cautions: z.array(z.enum(cautionIds, 'Not in our list: ask, and refer if unsure.')),
});

export type CareForm = z.infer<typeof careForm>;
