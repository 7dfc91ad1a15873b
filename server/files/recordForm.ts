import { sidesOfCheck } from '@/core/catalog/askedSides';
import { checkKey } from '@/core/catalog/keys';
import { z } from 'zod';
import { baseIds, faultIds, type CheckKey, type CheckSpec } from '@/core/catalog/checks';
import { findCoarse } from '@/core/plumb/feeds';
import { recordMeasureIds } from '@/core/plumb/measureTable';
import { readings } from '@/core/readiness/record';
import { isLengthCheck, sayValue } from '@/core/catalog/sayCheck';
import { painPlaces } from '@/core/catalog/regions';
import { findDayNumber, dayNumber, type Day } from '@/core/units/day';
import type { NewRecord } from '@/db/records';
import { done, refuse, toProblems, type Outcome } from '@/server/result';

/** One recorded check as typed. Values stay text until they are judged, so that they can be kept. */
export const recordForm = z.strictObject({
  check: checkKey,
  value: z.string().max(20),
  unit: z.enum(['plain', 'breaths'], 'Seconds or breaths.'),
  date: z.string(),
  stoppedByTeacher: z.boolean(),
  faults: z.array(z.enum(faultIds, 'This fault is not in our list.')),
  pain: z.boolean(),
  painPlace: z.enum(painPlaces, 'This place is not in our list.').nullable(),
  side: z.enum(['left', 'right'], 'Say which side.').nullable(),
  base: z.enum(baseIds, 'Say hands, forearms or head.').nullable(),
  /** Read off a picture, a clip or the camera; absent: by eye, by tape, by clock. */
  reading: z
    .strictObject({
      by: z.enum(readings),
      measure: z.enum(recordMeasureIds),
      /** One standard deviation, in the unit of the check. */
      error: z.number().min(0).max(3600),
    })
    .optional(),
});

export type RecordForm = z.infer<typeof recordForm>;

const oldestYears = 5;

interface RecordContext {
  readonly today: Day;
  readonly breathSeconds: number;
  /** Shipped checks and the teacher's own. */
  readonly checks: Readonly<Record<CheckKey, CheckSpec>>;
}

/** One that comes out of a file, in which anything may stand. */
export function readForeignRecord(
  input: unknown,
  context: RecordContext,
): Outcome<Omit<NewRecord, 'personId'>> {
  const parsed = recordForm.safeParse(input);
  return parsed.success ? readRecordForm(parsed.data, context) : refuse(toProblems(parsed.error));
}

/** Checks one typed record; seconds are stored, breaths remembered beside them. */
export function readRecordForm(
  form: RecordForm,
  context: RecordContext,
): Outcome<Omit<NewRecord, 'personId'>> {
  const spec = Object.hasOwn(context.checks, form.check) ? context.checks[form.check] : undefined;
  if (spec === undefined) return refuse({ check: 'This check is not in our list.' });
  const { kind } = spec.scoring;
  const problems: Record<string, string> = {};
  const typed = form.value.trim() === '' ? Number.NaN : Number(form.value.trim().replace(',', '.'));
  const inBreaths = form.unit === 'breaths' && kind === 'hold';
  const value = inBreaths ? typed * context.breathSeconds : typed;
  if (!Number.isFinite(value)) problems.value = 'Write a number.';
  else if (value < 0) problems.value = 'A negative value cannot be.';
  else if (value > spec.most)
    problems.value = `More than ${isLengthCheck(spec) ? sayValue(spec, spec.most, 'cm') : spec.most} cannot be.`;
  else if (isPassKind(kind) && value !== 0 && value !== 1)
    problems.value = 'Passed or not: 1 or 0.';
  else if (kind === 'reps' && !Number.isInteger(value)) problems.value = 'Whole repetitions only.';
  const day = findDayNumber(form.date);
  if (day === null) problems.date = 'Write a date.';
  else if (day > dayNumber(context.today)) problems.date = 'This date lies in the future.';
  else if (dayNumber(context.today) - day > oldestYears * 366) {
    problems.date = `Further back than ${oldestYears} years cannot be.`;
  }
  // A range without a side was the same on both.
  if (spec.hasSides && form.side === null && !sidesOfCheck(spec).includes('both')) {
    problems.side = 'Say which side.';
  }
  if (spec.byBase && form.base === null) problems.base = 'Say hands, forearms or head.';
  const { reading } = form;
  const coarse = reading && findCoarse(spec, reading.error);
  if (coarse) problems.form = coarse;
  if (Object.keys(problems).length > 0) return refuse(problems);
  return done({
    check: form.check,
    date: form.date,
    value,
    breaths: inBreaths ? typed : null,
    stoppedByTeacher: form.stoppedByTeacher && kind === 'hold',
    faults: form.faults,
    pain: form.pain,
    painPlace: form.pain ? form.painPlace : null,
    side: spec.hasSides ? form.side : null,
    base: spec.byBase ? form.base : null,
    ...(reading === undefined
      ? {}
      : { readBy: reading.by, measure: reading.measure, readingError: reading.error }),
  });
}

function isPassKind(kind: string): boolean {
  return kind === 'pass' || kind === 'pass-of-last' || kind === 'same-day';
}
