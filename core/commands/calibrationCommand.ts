import { z } from 'zod';
import { calibrate } from '../calibration/calibrate';
import { leaningWords, reliabilityRules, type Reliability } from '../calibration/reliability';
import type { PersonTold } from '../calibration/verdicts';
import { baseIds, checkIds, type CheckKey } from '../catalog/checks';
import { checkKey } from '../catalog/keys';
import { stageIds } from '../catalog/stages';
import { exact } from '../exact';
import { profileInput, readSchool } from '../files/personInput';
import { assertRecordable } from '../files/recordable';
import { day, recordInput } from '../files/schemas';
import { verdictKinds } from '../ladder/verdictKinds';
import type { CheckRecord } from '../readiness/record';

const person = z
  .string()
  .max(80)
  .default('')
  .meta({ description: 'Whose it is; absent: all of one person.' });

export const calibrationInput = z.strictObject({
  profile: profileInput,
  bins: z.int().min(2).max(20).default(reliabilityRules.bins),
  records: z.array(recordInput.extend({ person, check: z.enum(checkIds) })),
  decisions: z
    .array(
      z.strictObject({
        person,
        stage: z.enum(stageIds),
        suggested: z.enum(verdictKinds),
        decided: z.enum(verdictKinds),
        on: day,
      }),
    )
    .default([]),
});

const share = z.number().min(0).max(1).nullable();

const bin = z.object({
  low: z.number(),
  high: z.number(),
  count: z.int(),
  said: share,
  expected: share,
  came: share,
  cameLow: share,
  cameHigh: share,
});

const reliability = z.object({
  count: z.int(),
  came: share,
  brier: share,
  brierExpected: share,
  brierOfShare: share,
  z: z.number().nullable(),
  leaning: z.enum(['as-said', 'more-often', 'less-often', 'too-little']),
  words: z.string(),
  bins: z.array(bin),
});

const sides = z.object({
  times: z.int(),
  teacher: z.int(),
  suggestion: z.int(),
  unknown: z.int(),
});

export const calibrationOutput = reliability.extend({
  profile: z.object({ key: z.string(), version: z.number() }),
  undecided: z.int(),
  checks: z.array(
    reliability.extend({ check: checkKey, base: z.enum(baseIds).nullable(), label: z.string() }),
  ),
  verdicts: z.array(
    z.object({ kind: z.enum(verdictKinds), said: z.int(), looked: z.int(), came: z.int() }),
  ),
  advances: z.object({ count: z.int(), steppedBack: z.int() }),
  gates: z.array(
    z.object({ check: checkKey, label: z.string(), judged: z.int(), decided: z.int() }),
  ),
  differing: z.object({ bolder: sides, stricter: sides }),
  rounding: z.object({ holds: z.int(), fives: z.int(), isRounded: z.boolean() }),
});

const told = (one: Reliability) => ({
  count: one.count,
  came: one.came,
  brier: one.brier,
  brierExpected: one.brierExpected,
  brierOfShare: one.brierOfShare,
  z: one.z,
  leaning: one.leaning,
  words: leaningWords(one),
  bins: one.bins.map((each) => ({ ...each })),
});

/** Replays records without their future and tells how often what was said came. */
export function runCalibration(
  input: z.infer<typeof calibrationInput>,
): z.infer<typeof calibrationOutput> {
  const school = readSchool(input.profile);
  const people = new Map<
    string,
    {
      evidence: Partial<Record<CheckKey, CheckRecord[]>>;
      decisions: PersonTold['decisions'][number][];
    }
  >();
  const of = (id: string) => {
    const known = people.get(id) ?? { evidence: {}, decisions: [] };
    people.set(id, known);
    return known;
  };
  input.records.forEach(({ person: id, check, ...record }, index) => {
    assertRecordable(check, record.value, ['records', index, 'value']);
    (of(id).evidence[check] ??= []).push(exact(record));
  });
  for (const { person: id, ...decision } of input.decisions) of(id).decisions.push(decision);
  const found = calibrate(
    school,
    [...people].map(([id, one]) => ({ id, ...one })),
    input.bins,
  );
  const { key, version } = school.profile;
  return {
    profile: { key, version },
    ...told(found.all),
    undecided: found.undecided,
    checks: found.checks.map((one) => ({
      check: one.check,
      base: one.base,
      label: one.label,
      ...told(one),
    })),
    verdicts: found.verdicts.map((one) => ({ ...one })),
    advances: found.advances,
    gates: found.gates.map((one) => ({ ...one })),
    differing: found.differing,
    rounding: found.rounding,
  };
}
