/**
 * A school ready for use: the catalog as this teacher has it, with the bars, gates and open
 * branches of one profile. Everything that judges takes a school; nothing looks at a profile's name.
 */
import { InputProblem } from '../problem';
import { entriesOf, laidOver } from '../units/keyed';
import type { CheckKey, CheckSpec } from './checks';
import { checkTable } from './checks';
import { isCheckDemand, type CheckDemand, type Demand } from './demand';
import { drillTable, type DrillKey, type DrillSpec } from './drills';
import {
  cuesOf,
  profileIds,
  profileTable,
  settingsOf,
  type ProfileId,
  type ProfileSettings,
  type ProfileSpec,
} from './profiles';
import {
  branchTable,
  ladderIds,
  type BranchKey,
  type LadderId,
  type StageKey,
  type StageSpec,
} from './stage';
import { stageTable } from './stages';

/** All that can be named in a gate or on a ladder. */
export interface Catalog {
  readonly checks: Readonly<Record<CheckKey, CheckSpec>>;
  readonly stages: Readonly<Record<StageKey, StageSpec>>;
  readonly branches: Readonly<Record<BranchKey, { readonly label: string }>>;
  readonly drills: Readonly<Record<DrillKey, DrillSpec>>;
}

/** What ships; a teacher's own entries are laid over it. */
export const shippedCatalog: Catalog = {
  checks: checkTable,
  stages: stageTable,
  branches: branchTable,
  drills: drillTable,
};

/** A teacher's own rows, or shipped ones said otherwise. */
export type Entries = { readonly [Kind in keyof Catalog]?: Readonly<Partial<Catalog[Kind]>> };

export const withEntries = (catalog: Catalog, entries: Entries): Catalog => ({
  checks: laidOver(catalog.checks, entries.checks),
  stages: laidOver(catalog.stages, entries.stages),
  branches: laidOver(catalog.branches, entries.branches),
  drills: laidOver(catalog.drills, entries.drills),
});

/** What a copy changed against its origin, and nothing else. */
export interface ProfileChanges {
  readonly bars?: Readonly<Partial<Record<CheckKey, number>>>;
  readonly settings?: Partial<ProfileSettings>;
  readonly closedBranches?: readonly BranchKey[];
  readonly closedStages?: readonly StageKey[];
  readonly gates?: Readonly<Partial<Record<StageKey, readonly Demand[]>>>;
  readonly cues?: Readonly<Partial<Record<StageKey, string>>>;
}

/** A shipped profile (version 1 for ever) or one version of a copy. */
export interface ProfileVersion {
  readonly key: string;
  readonly label: string;
  readonly origin: ProfileId;
  readonly version: number;
  readonly changes: ProfileChanges;
}

const shippedProfiles: ReadonlyMap<ProfileId, ProfileVersion> = new Map(
  profileIds.map((id) => [
    id,
    { key: id, label: profileTable[id].label, origin: id, version: 1, changes: {} },
  ]),
);

export const shippedProfile = (id: ProfileId): ProfileVersion => shippedProfiles.get(id)!;

export interface CheckInSchool {
  readonly spec: CheckSpec;
  /** The whole bar, in the check's own unit. */
  readonly bar: number;
}

/** One way up to a stage, foot of the ladder first, with what it asks on the whole way. */
export interface WayUp {
  readonly path: readonly StageKey[];
  readonly demands: readonly Demand[];
}

export interface StageInSchool {
  readonly key: StageKey;
  readonly spec: StageSpec;
  /** What the stage itself asks. */
  readonly gate: readonly Demand[];
  /** Every way up that the school allows; none when the stage is closed in it. */
  readonly ways: readonly WayUp[];
  readonly cue?: string;
}

export interface School {
  readonly profile: ProfileVersion;
  readonly settings: ProfileSettings;
  readonly catalog: Catalog;
  readonly checks: ReadonlyMap<CheckKey, CheckInSchool>;
  readonly stages: ReadonlyMap<StageKey, StageInSchool>;
  /** Stage keys of each ladder, in the order of the catalog. */
  readonly ladders: Readonly<Record<LadderId, readonly StageKey[]>>;
}

/** The bar a demand asks for, in the check's unit. */
export function barOf(bar: number, { share, value, below }: CheckDemand): number {
  if (value !== undefined) return value;
  return bar * (share ?? 1) - (below ?? 0);
}

const isLessBetter = ({ scoring }: CheckSpec) => 'better' in scoring && scoring.better === 'less';

/** Does the one demand ask for more of the same check than the other? Of a distance more is less. */
export function isStricter(
  { bar, spec }: Pick<CheckInSchool, 'bar' | 'spec'>,
  one: CheckDemand,
  other: CheckDemand,
): boolean {
  const gap = barOf(bar, one) - barOf(bar, other);
  return isLessBetter(spec) ? gap < 0 : gap > 0;
}

/** The demands on a way up: a check asked for twice counts at its stricter bar (handbook 06). */
function collect(
  path: readonly StageKey[],
  gateOf: (stage: StageKey) => { gate: readonly Demand[]; replaces?: readonly CheckKey[] },
  checks: ReadonlyMap<CheckKey, CheckInSchool>,
): readonly Demand[] {
  const byKey = new Map<string, Demand>();
  for (const stage of path) {
    const { gate, replaces } = gateOf(stage);
    if (replaces) {
      for (const [key, demand] of byKey) {
        if (isCheckDemand(demand) && replaces.includes(demand.check)) byKey.delete(key);
      }
    }
    for (const demand of gate) {
      const key = isCheckDemand(demand)
        ? `${demand.check}/${demand.base ?? ''}`
        : JSON.stringify(demand);
      const known = byKey.get(key);
      if (known === undefined) byKey.set(key, demand);
      else if (isCheckDemand(demand) && isCheckDemand(known)) {
        const check = checks.get(demand.check);
        if (check !== undefined && isStricter(check, demand, known)) byKey.set(key, demand);
      }
    }
  }
  return [...byKey.values()];
}

/** Ways longer than this do not exist on a sound ladder; a circle in broken data ends here. */
const longestWay = 60;

function findPaths(
  stage: StageKey,
  stages: Catalog['stages'],
  isClosed: (key: StageKey) => boolean,
  length = 0,
): StageKey[][] {
  const spec = stages[stage];
  if (spec === undefined || isClosed(stage) || length > longestWay) return [];
  if (spec.after.length === 0) return [[stage]];
  return spec.after.flatMap((before) =>
    findPaths(before, stages, isClosed, length + 1).map((path) => [...path, stage]),
  );
}

/** @throws never for a catalog without problems (see validate); closed branches have no way up */
export function buildSchool(profile: ProfileVersion, catalog: Catalog = shippedCatalog): School {
  const origin: ProfileSpec = profileTable[profile.origin];
  const { changes } = profile;
  const checks = new Map<CheckKey, CheckInSchool>(
    entriesOf(catalog.checks).map(([key, spec]) => [
      key,
      { spec, bar: changes.bars?.[key] ?? spec.opensAt[profile.origin] },
    ]),
  );
  const closedBranches: readonly BranchKey[] = changes.closedBranches ?? origin.closedBranches;
  const stageAt = (key: StageKey): StageSpec => {
    const spec = catalog.stages[key];
    if (spec === undefined) throw new Error(`There is no stage ${key} in this catalog.`);
    return spec;
  };
  const isClosed = (key: StageKey) => {
    const { branch } = stageAt(key);
    return (
      (branch !== undefined && closedBranches.includes(branch)) ||
      (changes.closedStages ?? []).includes(key)
    );
  };
  const gateOf = (key: StageKey) => {
    const changed = changes.gates?.[key];
    if (changed) return { gate: changed };
    const spec = stageAt(key);
    return spec.gateByProfile?.[profile.origin] ?? spec;
  };
  const cues = { ...cuesOf(profile.origin), ...changes.cues };
  const ladders = Object.fromEntries(ladderIds.map((id) => [id, [] as StageKey[]])) as Record<
    LadderId,
    StageKey[]
  >;
  const stages = new Map<StageKey, StageInSchool>();
  for (const [key, spec] of entriesOf(catalog.stages)) {
    ladders[spec.family].push(key);
    stages.set(key, {
      key,
      spec,
      gate: gateOf(key).gate,
      ways: findPaths(key, catalog.stages, isClosed).map((path) => ({
        path,
        demands: collect(path, gateOf, checks),
      })),
      ...(cues[key] ? { cue: cues[key] } : {}),
    });
  }
  return {
    profile,
    settings: { ...settingsOf(origin), ...changes.settings },
    catalog,
    checks,
    stages,
    ladders,
  };
}

const shipped = new Map<ProfileId, School>();

/** A shipped profile over the shipped catalog. */
export function shippedSchool(id: ProfileId): School {
  let school = shipped.get(id);
  if (school === undefined) {
    school = buildSchool(shippedProfile(id));
    shipped.set(id, school);
  }
  return school;
}

/** @throws InputProblem `invalid` for a check that is not in the catalog */
export function getCheckIn(school: School, key: CheckKey): CheckInSchool {
  const found = school.checks.get(key);
  if (found === undefined)
    throw new InputProblem('invalid', `There is no check "${key}".`, ['check']);
  return found;
}

/** @throws InputProblem `invalid` for a stage that is not in the catalog */
export function getStageIn(school: School, key: StageKey): StageInSchool {
  const found = school.stages.get(key);
  if (found === undefined)
    throw new InputProblem('invalid', `There is no stage "${key}".`, ['stage']);
  return found;
}
