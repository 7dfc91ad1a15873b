import { z } from 'zod';
import { resolveBody } from '@/core/body/body';
import { forearmHandsIds } from '@/core/body/hands';
import { heightRangeM, massRangeKg } from '@/core/body/lengths';
import { bodyOfTaken, takenIds, type TakenId } from '@/core/body/taken';
import { InputProblem } from '@/core/problem';
import {
  formatHeight,
  parseHeight,
  parseLength,
  unitOfBareHeight,
  type LengthUnits,
} from '@/core/units/length';
import type { BodyChange } from '@/db/personChanges';
import { done, refuse, type Outcome } from '@/server/result';

/** The body form as typed. An empty length means: not measured. */
export const bodyForm = z.strictObject({
  height: z.string().max(40),
  mass: z.string().max(40),
  /** Empty: as the school has them. */
  forearmHands: z.enum(['', ...forearmHandsIds]),
  lengths: z.partialRecord(z.enum(takenIds), z.string().max(40)),
});

export type BodyForm = z.infer<typeof bodyForm>;

export interface TypedHeight {
  readonly heightM: number;
  /** As it was typed, its unit with it. */
  readonly heightTyped: string;
}

/** A height as typed; where it is none, or nobody's, the words for the field `height`. */
export function readHeight(text: string, units: LengthUnits): Outcome<TypedHeight> {
  const heightM = parseHeight(text, units);
  if (heightM === null) return refuse({ height: 'Write a height, such as 168 or 5\'6".' });
  const { low, high } = heightRangeM;
  if (heightM < low || heightM > high) {
    return refuse({
      height: `Height must be between ${formatHeight(low, units)} and ${formatHeight(high, units)}.`,
    });
  }
  const unit = unitOfBareHeight(text, units);
  const heightTyped = unit === null ? withUnit(text.trim(), units) : `${text.trim()} ${unit}`;
  return done({ heightM, heightTyped });
}

/** Checks a typed body against the person it describes; nothing is stored here. */
export function readBodyForm(form: BodyForm, units: LengthUnits): Outcome<BodyChange> {
  const problems: Record<string, string> = {};
  const height = readHeight(form.height, units);
  if (!height.ok) Object.assign(problems, height.problems);
  const massText = form.mass.trim().replace(',', '.');
  const massKg = massText === '' ? null : Number(massText);
  if (massKg !== null && !(massKg >= massRangeKg.low && massKg <= massRangeKg.high)) {
    problems.mass = `Body mass must be between ${massRangeKg.low} and ${massRangeKg.high} kg.`;
  }
  const lengths: { length: TakenId; metres: number; typed: string }[] = [];
  for (const length of takenIds) {
    const typed = form.lengths[length]?.trim() ?? '';
    if (typed === '') continue;
    const metres = parseLength(typed, units);
    if (metres === null) problems[`lengths.${length}`] = 'This is not a length.';
    else lengths.push({ length, metres, typed: withUnit(typed, units) });
  }
  if (Object.keys(problems).length > 0 || !height.ok) return refuse(problems);
  const { heightM } = height.value;
  const change: BodyChange = {
    ...height.value,
    massKg,
    forearmHands: form.forearmHands === '' ? null : form.forearmHands,
    lengths,
  };
  try {
    resolveBody({
      heightM,
      ...bodyOfTaken(lengths),
    });
  } catch (error) {
    // Lengths and girths stand in one list of fields.
    if (error instanceof InputProblem) {
      return refuse({ [error.path.join('.').replace(/^girths\./, 'lengths.')]: error.message });
    }
    throw error;
  }
  return done(change);
}

/** A bare number keeps the unit it was typed in, so that switching units never changes it. */
function withUnit(typed: string, units: LengthUnits): string {
  if (!/^[\d.,/¼½¾\s]+$/.test(typed)) return typed;
  if (units === 'cm' && /^\d([.,]\d+)?$/.test(typed) && Number(typed.replace(',', '.')) < 3) {
    return `${typed} ${Number(typed.replace(',', '.')) >= heightRangeM.low ? 'm' : 'cm'}`;
  }
  return `${typed} ${units}`;
}
