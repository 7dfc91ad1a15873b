/**
 * A teacher's own stages, branches, drills and checks: the file they travel in, and the way they
 * are laid over the shipped catalog. Own keys begin with `own-`, so that no later version of the
 * shipped catalog can ever mean something else by them.
 */
import { z } from 'zod';
import { cautionIds } from './cautions';
import { lineOf } from '../units/text';
import { bodyRegions, regions } from './regions';
import { cautionColumns, type CautionColumn } from './cautionColumns';
import { faultIds, type CheckSpec } from './checks';
import { demandSchema } from './demand';
import { namedBranch, namedCheck, ownKey, namedStage } from './namedKeys';
import type { OwnKey } from './ownKey';
import { pieceIds } from './pieces';
import { profileIds } from './profiles';
import { shippedCatalog, withEntries, type Catalog } from './school';
import { forearmHandsIds } from '../body/hands';
import { shapeIds } from '../shapes/registry';
import { stillIds } from '../shapes/stills';
import { setupIds } from '../setups/registry';
import { ladderIds, type StageSpec } from './stage';
import { validateCatalog, type CatalogProblem } from './validate';
import { getMove, moveIds } from '../atlas/moves';
import { helpIds } from '../atlas/help';
import { perIds } from './dose';
import { drillPositions, type DrillSpec } from './drills';
import { checkViews, instrumentIds } from './taking';
import { wayUpIds } from './waysUp';

/** How the hands lie in a shape, where that is not for anybody to choose. */
const hands = z.enum(forearmHandsIds).optional();
const oneLeg = z.literal(true).optional();
const moment = z
  .strictObject({ move: z.enum(moveIds), key: z.int().min(0).max(5) })
  .refine(({ move, key }) => key < getMove(move).keys.length, {
    path: ['key'],
    error: 'This movement has no such pose.',
  })
  .optional();

const everyColumn = Object.keys(cautionColumns) as [CautionColumn, ...CautionColumn[]];
const columns = z.array(z.enum(everyColumn));
const words = (most: number) =>
  z.string().overwrite(lineOf).min(1, 'Write something here.').max(most);
const loads = z.partialRecord(z.enum(regions), z.number().positive().max(1));
const strains = z.array(z.enum(bodyRegions)).default([]);

const per = z.enum(perIds).optional();
const spanOf = z.tuple([z.int().min(1).max(100), z.int().min(1).max(100)]);
const more = {
  sets: z.int().min(1).max(20).optional(),
  per,
  of: words(40).optional(),
  high: z.int().min(1).max(20).optional(),
  held: namedCheck.optional(),
};
const doseStep = z.union([
  z.strictObject({ seconds: z.number().positive().max(3600), ...more }),
  z.strictObject({ breaths: spanOf, ...more }),
  z.strictObject({ times: spanOf, ...more }),
  z.strictObject({ hold: z.literal(true), ...more }),
]);

export const ownStageSchema = z.strictObject({
  family: z.enum(ladderIds),
  label: words(60),
  sanskrit: z.string().max(60).optional(),
  branch: namedBranch.optional(),
  isAside: z.literal(true).optional(),
  after: z.array(namedStage).max(6),
  how: words(200),
  dose: words(140),
  round: z.array(doseStep).max(6).optional(),
  waysUp: z.array(z.enum(wayUpIds)).max(5).optional(),
  gate: z.array(demandSchema).max(12),
  faults: z.array(z.enum(faultIds)),
  stepDown: words(140),
  downTo: namedStage.optional(),
  assist: z.string().max(140).nullable(),
  exit: words(140),
  /** Drawn: how it is come into, how it is left, who helps; the nearest there is. */
  move: z.enum(moveIds).optional(),
  leave: z.enum(moveIds).optional(),
  help: z.enum(helpIds).optional(),
  counter: z.string().max(140).optional(),
  checkFirst: z.array(words(140)).max(6).optional(),
  /** A stage without a column would pass by every caution; it must say so by an empty list. */
  columns,
  loads,
  strains,
  sparesWrists: words(140).optional(),
  saysTo: z.partialRecord(z.enum(cautionIds), words(140)).optional(),
  feetUp: z.literal(true).optional(),
  needsWall: z.literal(true).optional(),
  mayAssist: z.literal(true).optional(),
  needsExit: z.literal(true).optional(),
  isFree: z.literal(true).optional(),
  isAttempt: z.literal(true).optional(),
  tries: z.int().min(1).max(20).optional(),
  isHop: z.literal(true).optional(),
  isLift: z.literal(true).optional(),
  recipe: z.enum(setupIds).optional(),
  shape: z
    .union([
      z.strictObject({ family: z.enum(shapeIds), hands, oneLeg, moment }),
      z.strictObject({ still: z.enum(stillIds), hands, moment }),
    ])
    .optional(),
});

const scoring = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('hold') }),
  z.strictObject({ kind: z.literal('reps') }),
  z.strictObject({
    kind: z.literal('pass'),
    passes: z.int().min(1).max(10),
    days: z.int().min(1).max(10),
  }),
  z.strictObject({ kind: z.literal('same-day') }),
  ...(['measure', 'level', 'rating'] as const).map((kind) =>
    z.strictObject({
      kind: z.literal(kind),
      unit: z.enum(['cm', 'degrees', 'percent', 'rung', 'points']),
      better: z.enum(['more', 'less']),
      readingError: z.number().min(0).max(100),
    }),
  ),
]);

const bar = z.number().positive();

export const ownCheckSchema = z.strictObject({
  label: words(60),
  scoring,
  opensAt: z.strictObject(
    Object.fromEntries(profileIds.map((id) => [id, bar])) as Record<
      (typeof profileIds)[number],
      typeof bar
    >,
  ),
  validDays: z.int().min(0).max(400),
  voidedBy: z.array(z.enum(faultIds)),
  hasSides: z.literal(true).optional(),
  byBase: z.literal(true).optional(),
  isSafety: z.literal(true).optional(),
  timedTogether: z.literal(true).optional(),
  /** What taking it loads, for the reserves of the evening. */
  loads: loads.optional(),
  /** What the cautions look at; one that does not say counts as all of it. */
  columns: columns.default(everyColumn),
  strains,
  isLevel: z.literal(true).optional(),
  /** The teacher's alone: assistants are not sent it. */
  isPrivate: z.literal(true).optional(),
  move: z.enum(moveIds).optional(),
  taking: z
    .strictObject({ view: z.enum(checkViews), instrument: z.enum(instrumentIds) })
    .optional(),
  method: words(300).optional(),
  /** What each level is called, from 0 on. */
  levels: z.array(words(80)).min(2).max(12).optional(),
  most: z.number().positive().max(3600),
});

export const ownDrillSchema = z.strictObject({
  label: words(60),
  sanskrit: z.string().max(60).optional(),
  how: words(200),
  serves: z.array(namedCheck).max(12),
  loads,
  dose: words(140),
  move: z.enum(moveIds).optional(),
  position: z.enum(drillPositions).optional(),
  leavesFloor: z.literal(true).optional(),
  work: z
    .strictObject({ sets: z.int().min(1).max(20), seconds: z.number().min(1).max(300) })
    .optional(),
  isClassOnly: z.literal(true).optional(),
  minutes: z.number().positive().max(60),
  pieces: z
    .array(z.strictObject({ piece: z.enum(pieceIds), count: z.int().min(1).max(20) }))
    .max(6),
  purpose: z.enum(['warms', 'strengthens', 'teaches', 'releases']),
  needsWall: z.literal(true).optional(),
  columns,
  strains,
  /** A stage whose gate must be open. */
  asStage: namedStage.optional(),
});

const ownBranchSchema = z.strictObject({ label: words(60) });

/** The file a teacher hands to a colleague. */
export const entriesFile = z.strictObject({
  format: z.literal('levitar-entries'),
  version: z.literal(1),
  stages: z.record(ownKey, ownStageSchema).default({}),
  branches: z.record(ownKey, ownBranchSchema).default({}),
  drills: z.record(ownKey, ownDrillSchema).default({}),
  checks: z.record(ownKey, ownCheckSchema).default({}),
});

export interface OwnEntries {
  readonly stages: Readonly<Record<OwnKey, StageSpec>>;
  readonly branches: Readonly<Record<OwnKey, { readonly label: string }>>;
  readonly drills: Readonly<Record<OwnKey, DrillSpec>>;
  readonly checks: Readonly<Record<OwnKey, CheckSpec>>;
}

export const noEntries: OwnEntries = { stages: {}, branches: {}, drills: {}, checks: {} };

export const entryKinds = ['stages', 'branches', 'drills', 'checks'] as const;
export type EntryKind = (typeof entryKinds)[number];

export const entrySchemas = {
  stages: ownStageSchema,
  branches: ownBranchSchema,
  drills: ownDrillSchema,
  checks: ownCheckSchema,
} as const satisfies Record<EntryKind, z.ZodType>;

/** Entries that were kept before they had to say what they ask of a body. */
function asAsked(entries: OwnEntries): OwnEntries {
  const fill = <Spec extends object>(table: Readonly<Record<OwnKey, Spec>>, usual: object) =>
    Object.fromEntries(
      Object.entries(table).map(([key, spec]) => [key, { ...usual, ...spec }]),
    ) as Readonly<Record<OwnKey, Spec>>;
  return {
    ...entries,
    stages: fill(entries.stages, { strains: [] }),
    drills: fill(entries.drills, { strains: [] }),
    checks: fill(entries.checks, { strains: [], columns: everyColumn }),
  };
}

/** The shipped catalog with a teacher's own entries laid over it, or what is wrong with them. */
export function layOver(
  entries: OwnEntries,
  catalog: Catalog = shippedCatalog,
): { readonly catalog: Catalog; readonly problems: readonly CatalogProblem[] } {
  const whole = withEntries(catalog, asAsked(entries));
  return { catalog: whole, problems: validateCatalog(whole) };
}
