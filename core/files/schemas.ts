import { z } from 'zod';
import { baseIds, checkIds, faultIds } from '../catalog/checks';
import { profileIds } from '../catalog/profiles';
import { findDayNumber } from '../units/day';

export const day = z
  .string()
  .refine((text) => findDayNumber(text) !== null, 'Write a date as YYYY-MM-DD.')
  .meta({ description: 'A calendar day, YYYY-MM-DD.' });

export const recordInput = z.strictObject({
  date: day,
  value: z
    .number()
    .min(0, 'A value cannot be negative.')
    .meta({ description: 'Seconds, repetitions, 1 or 0 for pass/fail, or the measure.' }),
  stoppedByTeacher: z.boolean().optional(),
  faults: z.array(z.enum(faultIds)).optional(),
  pain: z.boolean().optional(),
  side: z.enum(['left', 'right']).optional(),
  base: z.enum(baseIds).optional(),
});

export const readinessInput = z.strictObject({
  profile: z.enum(profileIds),
  asOf: day,
  check: z.enum(checkIds),
  base: z.enum(baseIds).optional(),
  records: z.array(recordInput),
});

export const readinessOutput = z.object({
  probability: z.number().min(0).max(1).nullable(),
  status: z.enum(['met', 'borderline', 'not-yet', 'stale', 'unknown']),
  level: z.object({ mean: z.number(), variance: z.number() }).optional(),
  threshold: z.number(),
  seenDays: z.int().optional(),
  reasons: z.array(z.string()),
  side: z.enum(['left', 'right']).optional(),
});
