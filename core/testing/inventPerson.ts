/** Made-up people with cautions, notes, signs and pains, and what the watcher is told of them. */
import type { CheckKey } from '../catalog/checks';
import { alternativeIds, getAlternative } from '../catalog/alternatives';
import { cautionColumns, type CautionColumn } from '../catalog/cautionColumns';
import { cautionIds } from '../catalog/cautions';
import { drillTable } from '../catalog/drills';
import { painPlaces, stopSigns } from '../catalog/regions';
import { ladderIds } from '../catalog/stage';
import { getStage, stageIds, type StageId } from '../catalog/stages';
import type { Care, Clearance } from '../caution/care';
import { isDrillOpen, listClosedChecks } from '../compose/openToday';
import { isOpenTo } from '../ladder/alternative';
import type { OpenedCase } from '../ladder/case';
import { judge } from '../ladder/verdict';
import { opensStage } from '../ladder/verdictKinds';
import { seededRandom } from '../random';
import { ago, asOf, everything, makeCase } from './cases';
import { whyClosed, type Told, type Watched } from './watcher';

export const allColumns = Object.keys(cautionColumns) as CautionColumn[];

/** Somebody made up; a failure names the seed. */
export function inventPerson(seed: number) {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const some = <T>(list: readonly T[], share: number) => list.filter(() => random() < share);
  const reports = some(cautionIds, 0.06);
  const clearances: Clearance[] = [...some(reports, 0.4), ...some(['stop-sign'] as const, 0.3)].map(
    (about) => ({
      about,
      covers: some(allColumns, 0.6),
      ...(random() < 0.3 ? { ladders: some(ladderIds, 0.5) } : {}),
      notedOn: ago(pick([-2, 0, 20, 60])),
      until: ago(pick([-90, -1, 0, 3])),
    }),
  );
  const signs = random() < 0.1 ? [{ sign: pick(stopSigns), date: ago(pick([-1, 0, 9, 40])) }] : [];
  const pains = random() < 0.3 ? [{ place: pick(painPlaces), date: ago(pick([0, 7, 21])) }] : [];
  const painClearedOn = random() < 0.3 ? ago(pick([-1, 0, 3, 10, 30])) : undefined;
  const care: Partial<Care> = {
    reports,
    clearances,
    signs,
    pains,
    ...(painClearedOn === undefined ? {} : { painClearedOn }),
  };
  const present = Object.fromEntries(
    ladderIds.map((family) => [
      family,
      pick(stageIds.filter((stage) => getStage(stage).family === family)),
    ]),
  );
  const evidence = Object.fromEntries(
    Object.entries(everything).filter(() => random() < 0.8),
  ) as typeof everything;
  const person = makeCase({ care, present, evidence, consent: pick(['yes', 'ask', 'no']) });
  const who: Watched = { care: person.care, asOf, pains };
  return { person, who };
}

const isBelow = (stage: string, at: string): boolean =>
  stage === at || getStage(at as StageId).after.some((before) => isBelow(stage, before));

export function tellStage(person: OpenedCase, id: StageId): Told {
  const { family, isFree } = getStage(id);
  return {
    id,
    ladder: family,
    isNew: !isBelow(id, person.present[family]!),
    isFree: isFree === true,
  };
}

export const isShown = (person: OpenedCase, checks: readonly CheckKey[]) =>
  checks.some((check) => (person.evidence[check] ?? []).length > 0);

export const tellDrill = (person: OpenedCase, id: keyof typeof drillTable): Told => ({
  id,
  isNew: !isShown(person, drillTable[id].serves),
});

/** Half shoulder stand and wrists: the bolster takes their place (12). */
export const isSpared = (who: Watched, told: Told) =>
  told.id === 'SS5' && /wrist/.test(whyClosed(who, told) ?? '');

export interface WatchCount {
  /** What was told, and what was kept from somebody by the handbook's own tables. */
  readonly told: number;
  readonly kept: number;
  /** Told although the handbook closes it; empty for a sound gatekeeper. */
  readonly wrong: readonly string[];
}

const watchedHolds = ['forearm-plank-hold', 'plank-hold', 'dolphin-hold', 'hollow-hold'];

/** Stages, drills, alternatives and holds of one made-up person against the watcher. */
export function watchPerson(seed: number): WatchCount {
  const { person, who } = inventPerson(seed);
  const random = seededRandom(seed + 1_000_000);
  const wrong: string[] = [];
  let told = 0;
  let kept = 0;
  const watch = (asked: Told, isTold: boolean, isSpare = false) => {
    const why = whyClosed(who, asked);
    if (!isTold) {
      if (why !== null) kept += 1;
      return;
    }
    told += 1;
    if (why !== null && !isSpare) wrong.push(`seed ${seed} is told ${asked.id}, closed by ${why}`);
  };
  for (let turn = 0; turn < 4; turn += 1) {
    const id = stageIds[Math.floor(random() * stageIds.length)]!;
    const asked = tellStage(person, id);
    watch(asked, opensStage(judge(id, person).kind), isSpared(who, asked));
  }
  for (const id of Object.keys(drillTable) as (keyof typeof drillTable)[]) {
    watch(tellDrill(person, id), isDrillOpen(person, drillTable[id]));
  }
  for (const id of alternativeIds) {
    const { stage } = getAlternative(id);
    if (stage !== undefined) watch(tellStage(person, stage), isOpenTo(id, 'handstand', person));
  }
  const closed = new Set<string>(listClosedChecks(person));
  for (const id of watchedHolds) watch({ id }, !closed.has(id));
  return { told, kept, wrong };
}
