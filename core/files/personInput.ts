/** A person and a profile as the commands read them, and the case they make. */
import { exact } from '../exact';
import { z } from 'zod';
import { cautionColumns, type CautionColumn } from '../catalog/cautionColumns';
import { cautionIds } from '../catalog/cautions';
import { checkIds, type CheckId } from '../catalog/checks';
import { equipmentIds } from '../catalog/demand';
import { profileChangesSchema } from '../catalog/profileChanges';
import { profileIds } from '../catalog/profiles';
import { painPlaces, stopSigns } from '../catalog/regions';
import {
  buildSchool,
  shippedCatalog,
  shippedProfile,
  type ProfileVersion,
  type School,
} from '../catalog/school';
import { ladderIds } from '../catalog/stage';
import { stageIds, stageTable } from '../catalog/stages';
import { validateProfile } from '../catalog/validate';
import { openCase, type OpenedCase } from '../ladder/case';
import { InputProblem, type ProblemPath } from '../problem';
import type { CheckRecord, Evidence } from '../readiness/record';
import type { Day } from '../units/day';
import { assertRecordable } from './recordable';
import { day, recordInput } from './schemas';

const columns = z.enum(Object.keys(cautionColumns) as [CautionColumn, ...CautionColumn[]]);

export const profileInput = z
  .union([
    z.enum(profileIds),
    z.strictObject({ origin: z.enum(profileIds), changes: profileChangesSchema }),
  ])
  .meta({ description: 'A shipped profile, or a copy: its origin and what it changed.' });

export const personInput = z.strictObject({
  consent: z.enum(['yes', 'ask', 'no']),
  present: z.partialRecord(z.enum(ladderIds), z.enum(stageIds)).default({}),
  placings: z
    .partialRecord(z.enum(ladderIds), z.strictObject({ stage: z.enum(stageIds), on: day }))
    .optional()
    .meta({
      description: 'The teacher’s word: where somebody was seen to work in control, and when.',
    }),
  equipment: z.array(z.enum(equipmentIds)).default([]),
  cautions: z.array(z.enum(cautionIds)).default([]),
  otherWords: z
    .array(z.string().min(1).max(200))
    .default([])
    .meta({ description: 'Reports in no list. They never open anything.' }),
  clearances: z
    .array(
      z.strictObject({
        about: z.enum([...cautionIds, 'stop-sign']),
        covers: z.array(columns),
        ladders: z.array(z.enum(ladderIds)).optional(),
        notedOn: day,
        until: day,
      }),
    )
    .default([]),
  signs: z.array(z.strictObject({ sign: z.enum(stopSigns), date: day })).default([]),
  pains: z
    .array(z.strictObject({ place: z.enum(painPlaces), date: day }))
    .default([])
    .meta({ description: 'Pain reported outside a check.' }),
  painClearedOn: day.optional(),
  screenedOn: day
    .nullable()
    .optional()
    .meta({ description: 'When health was asked about last; null: never, so asked at the door.' }),
  records: z
    .array(
      recordInput.extend({ check: z.enum(checkIds), painPlace: z.enum(painPlaces).optional() }),
    )
    .default([]),
});

export type PersonInput = z.infer<typeof personInput>;

function readProfile(profile: z.infer<typeof profileInput>): ProfileVersion {
  if (typeof profile === 'string') return shippedProfile(profile);
  return { key: 'copy', label: 'copy', version: 1, ...exact(profile) };
}

/** @throws InputProblem for changes that make no sense */
export function readSchool(profile: z.infer<typeof profileInput>): School {
  const version = readProfile(profile);
  const [problem] = validateProfile(version, shippedCatalog);
  if (problem) {
    throw new InputProblem('invalid', `${problem.where} ${problem.message}.`, [
      'profile',
      'changes',
    ]);
  }
  return buildSchool(version);
}

/** @throws InputProblem with a path under `at` for records and rungs that cannot be */
export function readCase(
  person: PersonInput,
  school: School,
  asOf: Day,
  at: ProblemPath,
): OpenedCase {
  const evidence: Partial<Record<CheckId, CheckRecord[]>> = {};
  person.records.forEach(({ check, ...record }, index) => {
    const path = [...at, 'records', index];
    assertRecordable(check, record.value, [...path, 'value']);
    if (record.date > asOf) {
      throw new InputProblem('future-date', `${record.date} lies after ${asOf}.`, [
        ...path,
        'date',
      ]);
    }
    (evidence[check] ??= []).push(exact(record));
  });
  if (person.painClearedOn !== undefined && person.painClearedOn > asOf) {
    throw new InputProblem('future-date', `${person.painClearedOn} lies after ${asOf}.`, [
      ...at,
      'painClearedOn',
    ]);
  }
  for (const [family, { stage, on }] of Object.entries(person.placings ?? {})) {
    const path = [...at, 'placings', family];
    if (stageTable[stage].family !== family) {
      throw new InputProblem('invalid', `${stage} is not on this ladder.`, [...path, 'stage']);
    }
    if (on > asOf) {
      throw new InputProblem('future-date', `${on} lies after ${asOf}.`, [...path, 'on']);
    }
  }
  for (const [family, stage] of Object.entries(person.present)) {
    if (stageTable[stage].family !== family) {
      throw new InputProblem('invalid', `${stage} is not on this ladder.`, [
        ...at,
        'present',
        family,
      ]);
    }
  }
  return openCase({
    asOf,
    school,
    evidence: evidence as Evidence,
    care: {
      reports: person.cautions,
      otherWords: person.otherWords,
      clearances: exact(person.clearances),
      signs: person.signs,
      pains: person.pains,
      ...(person.painClearedOn === undefined ? {} : { painClearedOn: person.painClearedOn }),
      ...(person.screenedOn === null ? { isNeverScreened: true as const } : {}),
    },
    consent: person.consent,
    // The teacher's word makes its stage the present one where nothing else is said.
    present: {
      ...Object.fromEntries(
        Object.entries(person.placings ?? {}).map(([family, { stage }]) => [family, stage]),
      ),
      ...person.present,
    },
    ...(person.placings === undefined ? {} : { placings: person.placings }),
    equipment: person.equipment,
  });
}
