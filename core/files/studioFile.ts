/** Everything a studio holds as one file. People go by their uid, courses by a number of the file. */
import { checkKey, stageKey } from '../catalog/keys';
import { homeReport } from '../home/diary';
import { keptPicture } from '../plumb/sheet';
import { recordMeasureIds } from '../plumb/measureTable';
import { readings } from '../readiness/record';
import { z } from 'zod';
import { forearmHandsIds } from '../body/hands';
import { takenIds } from '../body/taken';
import { cautionColumns, type CautionColumn } from '../catalog/cautionColumns';
import { cautionIds } from '../catalog/cautions';
import { baseIds, faultIds } from '../catalog/checks';
import { entryKinds } from '../catalog/entries';
import { pieceKinds } from '../catalog/pieceKinds';
import { profileIds } from '../catalog/profiles';
import { painPlaces, stopSigns } from '../catalog/regions';
import { ladderIds } from '../catalog/stage';
import { verdictKinds } from '../ladder/verdictKinds';
import { heightRangeM, massRangeKg } from '../body/lengths';
import { tap, trySeconds, trySupports } from '../running/tap';
import { tryKinds } from '../catalog/tries';
import { wayUpIds } from '../catalog/waysUp';
import { lineOf } from '../units/text';
import { day } from './schemas';

const key = z.string().min(1).max(80);
/** Cleaned as the forms clean what is typed: one line each, nothing hidden in it. */
const words = (most: number) => z.string().overwrite(lineOf).max(most);
const name = z.string().overwrite(lineOf).min(1).max(80);
const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write a time as 18:30.');
const minutes = z.int().min(10).max(300);
const moment = z.int().min(0).max(4e12);
const columns = z.enum(Object.keys(cautionColumns) as [CautionColumn, ...CautionColumn[]]);
const side = z.enum(['left', 'right']).nullable();
const ref = z.int().min(1);
/** Where in a class something was read from. */
const origin = z.strictObject({ class: key, key: words(200) }).optional();
const anything = z.unknown();

export const studioPerson = z.strictObject({
  uid: key,
  name,
  heightM: z.number().min(heightRangeM.low).max(heightRangeM.high),
  heightTyped: words(40),
  massKg: z.number().min(massRangeKg.low).max(massRangeKg.high).nullable(),
  forearmHands: z
    .enum(forearmHandsIds)
    .nullable()
    .default(null)
    .meta({ description: 'Hands in a forearm stand; null: as the profile has them.' }),
  consent: z.enum(['yes', 'ask', 'no']),
  pictureConsent: z.enum(['yes', 'ask', 'no']).default('no'),
  painClearedOn: day.nullable(),
  screenedOn: day.nullable(),
  archivedOn: day.nullable(),
  otherWords: z.array(words(200)).max(40),
  lengths: z
    .array(
      z.strictObject({
        length: z.enum(takenIds),
        metres: z.number().min(0.01).max(3),
        typed: words(40),
      }),
    )
    .max(40),
  cautions: z.array(z.strictObject({ caution: z.enum(cautionIds), notedOn: day })).max(40),
  clearances: z
    .array(
      z.strictObject({
        about: z.enum([...cautionIds, 'stop-sign']),
        covers: z.array(columns),
        ladders: z.array(z.enum(ladderIds)).nullable(),
        notedOn: day,
        until: day,
      }),
    )
    .max(500),
  signs: z.array(z.strictObject({ sign: z.enum(stopSigns), date: day, from: origin })).max(1000),
  pains: z.array(z.strictObject({ place: z.enum(painPlaces), date: day, from: origin })).max(1000),
  rungs: z
    .array(z.strictObject({ family: z.enum(ladderIds), stage: stageKey, since: day }))
    .max(10),
  placings: z
    .array(z.strictObject({ family: z.enum(ladderIds), stage: stageKey.nullable(), on: day }))
    .max(10)
    .default([])
    .meta({ description: 'The teacher’s word of a day; without a stage: never seen.' }),
  pictures: z.array(keptPicture).max(2000).default([]),
  /** What was reported from home: practice, never evidence. */
  homeReports: z.array(homeReport).max(20_000).default([]),
  enrolled: z.array(ref).max(200),
  attendance: z
    .array(z.strictObject({ course: ref, date: day, came: z.boolean(), note: words(300) }))
    .max(5000),
  records: z.array(
    z.strictObject({
      check: checkKey,
      date: day,
      value: z.number().min(0).max(3600),
      breaths: z.number().min(0).max(1200).nullable().optional(),
      stoppedByTeacher: z.boolean().optional(),
      faults: z.array(z.enum(faultIds)).optional(),
      pain: z.boolean().optional(),
      painPlace: z.enum(painPlaces).nullable().optional(),
      side: side.optional(),
      base: z.enum(baseIds).nullable().optional(),
      readBy: z.enum(readings).optional(),
      measure: z.enum(recordMeasureIds).optional(),
      readingError: z.number().min(0).max(3600).optional(),
      from: origin,
    }),
  ),
  attempts: z.array(
    z.strictObject({
      date: day,
      what: z.enum(tryKinds),
      stage: stageKey.nullable(),
      base: z.enum(baseIds).nullable(),
      leg: side,
      reached: z.boolean(),
      blocksKept: z.boolean().nullable(),
      landing: z.enum(['soft', 'heavy']).nullable(),
      isAssisted: z.boolean(),
      wayUp: z.enum(wayUpIds).nullable().default(null),
      support: z.enum(trySupports).nullable().default(null),
      faults: z.array(z.enum(faultIds)).max(faultIds.length).default([]),
      liftS: trySeconds.nullable().default(null),
      exitS: trySeconds.nullable().default(null),
      from: origin,
    }),
  ),
  upside: z.array(
    z.strictObject({ date: day, seconds: z.number().min(0).max(86_400), class: key.optional() }),
  ),
  setups: z.array(
    z.strictObject({
      family: words(40),
      values: z.record(z.string(), z.number()),
      note: words(300),
      savedOn: day,
    }),
  ),
  decisions: z.array(
    z.strictObject({
      family: z.enum(ladderIds),
      stage: stageKey,
      madeOn: day,
      suggested: z.enum(verdictKinds),
      grounds: z.strictObject({
        reasons: z.array(z.string()),
        figures: z.array(
          z.strictObject({ label: z.string(), status: z.string(), text: z.string() }),
        ),
        profileLabel: z.string(),
        /** Where somebody stood before it moved them; null: nowhere on this ladder. */
        stoodAt: z.strictObject({ stage: stageKey, since: day }).nullable().optional(),
      }),
      profileKey: words(80),
      profileVersion: z.int(),
      /** Who decided, where that is known. */
      by: words(80).optional(),
      decided: z.enum(verdictKinds),
      reason: words(300),
      /** Place in this list of the earlier decision that this one corrects. */
      corrects: z.int().min(0).nullable(),
    }),
  ),
  reviews: z.array(
    z.strictObject({
      class: key,
      doneOn: day,
      decision: z.int().min(0).nullable(),
      /** Decisions on the evening's other ladders, by their places in the list. */
      besides: z.array(z.int().min(0)).max(10).optional(),
    }),
  ),
});

export const studioCourse = z.strictObject({
  ref,
  name,
  place: words(80),
  startsOn: day,
  startsAt: clock,
  minutes,
  profile: words(80),
  stage: stageKey,
  weeks: z.int().min(1).max(60),
  meetings: z
    .array(
      z.strictObject({
        date: day,
        startsAt: clock,
        minutes,
        room: words(80),
        family: z.enum(ladderIds).nullable(),
        peak: stageKey.nullable(),
      }),
    )
    .max(3000),
  cupboard: z
    .array(
      z.strictObject({
        piece: words(60),
        count: z.int().min(0).max(200),
        worn: z.int().min(0).max(200),
      }),
    )
    .max(200),
  room: anything,
  plans: z.array(z.strictObject({ day, wishes: anything, plan: anything })),
  classes: z.array(
    z.strictObject({
      uid: key,
      day,
      startedMs: moment,
      endedMs: moment.nullable(),
      bundle: anything,
      taps: z.array(tap),
    }),
  ),
});

export const studioFile = z.strictObject({
  format: z.literal('levitar-studio'),
  version: z.literal(1),
  exportedOn: day,
  settings: z.strictObject({
    units: z.enum(['cm', 'in']),
    breathSeconds: z.number().min(3).max(8),
    studio: words(60),
  }),
  profiles: z.array(
    z.strictObject({
      key: words(80),
      version: z.int(),
      label: words(80),
      origin: z.enum(profileIds),
      changes: z.record(z.string(), anything),
      savedOn: day,
      isRetired: z.boolean(),
    }),
  ),
  entries: z.array(
    z.strictObject({
      key: words(80),
      kind: z.enum(entryKinds),
      spec: z.record(z.string(), anything),
    }),
  ),
  ownPieces: z.array(
    z.strictObject({
      id: z.int(),
      label: words(60),
      kind: z.enum(pieceKinds),
      lengthM: z.number(),
      widthM: z.number(),
      thicknessM: z.number(),
      loadedM: z.number(),
      isFirm: z.boolean(),
      standsOnEdge: z.boolean(),
      refolds: z.boolean(),
      stacks: z.boolean(),
    }),
  ),
  courses: z.array(studioCourse).max(500),
  people: z.array(studioPerson).max(20_000),
});

/** Everything but what is read piece by piece. */
export const studioHead = studioFile.omit({ courses: true, people: true });

export type StudioHead = z.infer<typeof studioHead>;
export type StudioFile = z.infer<typeof studioFile>;
export type StudioPerson = StudioFile['people'][number];
export type StudioCourse = StudioFile['courses'][number];
