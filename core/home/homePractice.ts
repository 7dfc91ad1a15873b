/**
 * A short, honest practice to take home: drills towards the weakest gates, in doses from the
 * student's own level, with what a household has, and what is not tried alone. Everything passes
 * through the same cautions, pains and gates as in class. Source: handbook 08 "Home practice".
 */
import type { CheckId, CheckKey } from '../catalog/checks';
import { moveOfCheck } from '../catalog/checks';
import { sayDose, seconds, times, type DoseStep } from '../catalog/dose';
import type { DrillSpec } from '../catalog/drills';
import type { PieceCount } from '../catalog/pieces';
import { getStageIn } from '../catalog/school';
import { ladderIds, ladderTable, type LadderId, type StageKey } from '../catalog/stage';
import { isDrillOpen } from '../compose/openToday';
import { listWeakChecks } from '../compose/strength';
import { baseOfLadder } from '../running/follow';
import type { OpenedCase } from '../ladder/case';
import { isCheckOpen } from '../ladder/openChecks';
import {
  ruleOnCare,
  thingOfCheck,
  thingOfDrill,
  type Pass,
  type Thing,
} from '../ladder/gatekeeper';
import { listNext } from '../ladder/stand';
import { lopsidedUnder } from '../readiness/record';
import { toSetupInput, type Sized } from '../ladder/sized';
import { judge } from '../ladder/verdict';
import { fromLogScale } from '../readiness/level';
import { getSetup } from '../setups/registry';
import { homeRule, type HomeItem, type HomePractice, type NotAlone } from './homeItem';
import { findStandIn, type StandIn } from './household';
import { listRestful } from './restful';

interface LetHome {
  readonly pass: Pass;
  readonly watch: readonly string[];
}

/** What to watch, or `null` where a caution, pain, weight on the neck or novelty closes it. */
function letHome(person: OpenedCase, thing: Thing): LetHome | null {
  if (thing.columns.includes('neck') || (thing.loads.neck ?? 0) > 0.1) return null;
  const ruling = ruleOnCare(person, thing);
  return ruling.isOpen && !ruling.asksScreening ? ruling : null;
}

/** What keeps the base where nothing is weak. */
const baseCheck: CheckId = 'dolphin-hold';

/** What one person can do of a check, side by side: seconds or times. */
function levelsOf(person: OpenedCase, check: CheckKey) {
  const { spec } = person.school.checks.get(check)!;
  const histories = person.assessor.histories(check);
  const kind = spec.scoring.kind === 'reps' ? ('reps' as const) : ('hold' as const);
  const levels = histories.map(({ level, bar }) =>
    // Where nothing was seen: half the bar, as the model begins.
    level === null ? bar / 2 : fromLogScale(kind, level.mean),
  );
  return { spec, histories, kind, levels };
}

const ownSeconds = (levels: readonly number[]) =>
  Math.max(1, Math.round(Math.min(...levels) * homeRule.share));

function doseOf(
  person: OpenedCase,
  check: CheckKey,
): { dose: string; paced: readonly DoseStep[]; firstSide?: 'left' | 'right' } {
  const { spec, histories, kind, levels } = levelsOf(person, check);
  const own = ownSeconds(levels);
  const more = {
    sets: homeRule.sets,
    rest: homeRule.breathsBetween,
    ...(spec.hasSides ? { per: 'side' as const } : {}),
  };
  const paced = [kind === 'hold' ? seconds(own, more) : times(own, own, more)];
  const dose = sayDose(paced);
  const [left, right] = levels;
  if (!spec.hasSides || histories.some(({ level }) => level === null)) return { dose, paced };
  const ratio = Math.min(left!, right!) / Math.max(left!, right!);
  if (ratio >= lopsidedUnder) return { dose, paced };
  return { dose, paced, firstSide: left! < right! ? 'left' : 'right' };
}

/** A drill's dose, its hold no longer than this person's own sets. */
function drillDoseOf(person: OpenedCase, { dose }: DrillSpec): Pick<HomeItem, 'dose' | 'paced'> {
  const most = (held: CheckKey) =>
    person.school.checks.has(held) ? ownSeconds(levelsOf(person, held).levels) : Infinity;
  const own = (step: DoseStep): DoseStep =>
    'seconds' in step && step.held !== undefined
      ? { ...step, seconds: Math.min(step.seconds, most(step.held)) }
      : step;
  return {
    dose: sayDose(dose, most),
    paced: typeof dose === 'string' ? [] : dose.map(own),
  };
}

interface Candidate {
  readonly item: HomeItem;
  readonly worth: number;
}

/**
 * Weak checks and how much each weighs; one side that lags weighs as much as the weakest check
 * (handbook 03: it brings "other side first" homework). With none, what keeps the base.
 */
function findWeak(person: OpenedCase, families: readonly LadderId[]) {
  const weak = listWeakChecks(person, families);
  const lagging = [...person.school.checks].flatMap(([check, { spec }]) =>
    spec.home !== undefined && doseOf(person, check).firstSide !== undefined ? [check] : [],
  );
  const all = [
    ...lagging.map((check) => ({ check, weight: 1 })),
    ...weak.filter(({ check }) => !lagging.some((one) => one === check)),
  ];
  return all.length > 0 ? all : [{ check: baseCheck, weight: 1 }];
}

function holdCandidates(person: OpenedCase, weak: ReturnType<typeof findWeak>): Candidate[] {
  return weak.flatMap(({ check, weight }): Candidate[] => {
    const spec = person.school.checks.get(check)?.spec;
    if (spec?.home === undefined) return [];
    const { label, home } = spec;
    // What was never shown is not begun alone before the stage that it is shown in is open.
    const wasShown = (person.evidence[check] ?? []).length > 0;
    if (!wasShown && !isCheckOpen(person, check, undefined)) return [];
    const asked = thingOfCheck(person, check, undefined);
    const allowed =
      asked === null
        ? null
        : letHome(person, { ...asked, columns: [...asked.columns, ...home.columns] });
    if (allowed === null) return [];
    const item: HomeItem = {
      pass: allowed.pass,
      id: check,
      label,
      how: home.how,
      ...doseOf(person, check),
      move: moveOfCheck(spec, undefined),
      days: homeRule.daysStrength,
      towards: label,
      standIns: [],
      watch: allowed.watch,
    };
    // Practising the very thing is worth a little more than something that serves it.
    return [{ item, worth: weight * 1.2 }];
  });
}

function drillCandidates(
  person: OpenedCase,
  weak: ReturnType<typeof findWeak>,
  household: readonly PieceCount[],
): Candidate[] {
  return Object.entries(person.school.catalog.drills).flatMap(([id, drill]): Candidate[] => {
    if (drill.isClassOnly || drill.purpose === 'releases' || !isDrillOpen(person, drill)) return [];
    const allowed = letHome(person, thingOfDrill(person, drill));
    if (allowed === null) return [];
    const served = weak.filter(({ check }) => drill.serves.includes(check));
    if (served.length === 0) return [];
    const standIns = drill.pieces.map(({ piece, count }) => findStandIn(piece, count, household));
    // What nobody has at home cannot be sent home.
    if (standIns.some((one) => one === null)) return [];
    const [first] = [...served].sort((a, b) => b.weight - a.weight);
    return [
      {
        item: {
          pass: allowed.pass,
          id,
          label: drill.label,
          how: drill.how,
          ...drillDoseOf(person, drill),
          move: drill.move ?? null,
          days: drill.purpose === 'strengthens' ? homeRule.daysStrength : homeRule.daysEase,
          towards: person.school.checks.get(first!.check)?.spec.label ?? first!.check,
          standIns: standIns as StandIn[],
          watch: allowed.watch,
        },
        worth: served.reduce((sum, { weight }) => sum + weight, 0) * 0.9,
      },
    ];
  });
}

/** A stage of the wall that may be practised alone: reached, unassisted, its way out held. */
function wallItem(
  person: OpenedCase,
  sized: Sized,
  family: LadderId,
  stage: StageKey,
): HomeItem | null {
  const { spec } = getStageIn(person.school, stage);
  if (whyNotAlone(person, family, stage) !== null || spec.needsWall !== true) return null;
  if (spec.recipe === undefined) return null;
  const { pass, atDoor, caution } = judge(stage, person);
  // Nobody stands at the door of a home: what is asked first stays in class.
  if (pass === undefined || atDoor.length > 0) return null;
  const { distances } = getSetup(spec.recipe).solve(toSetupInput(person, sized, []));
  const base = distances.find(({ id }) => id === 'base');
  if (base === undefined) return null;
  const mark = baseOfLadder[family] === 'forearms' ? 'elbows' : 'wrists';
  return {
    pass,
    id: stage,
    label: spec.label,
    how: spec.how,
    dose: spec.dose,
    paced: spec.round ?? [],
    move: spec.move ?? null,
    days: homeRule.daysStrength,
    towards: spec.label,
    standIns: [],
    watch: caution.adaptations,
    wall: {
      label: `${mark} to the wall`,
      metres: base.metres,
      ...(base.found === undefined ? {} : { isFound: true as const }),
    },
  };
}

/** Why a stage stays in the room; `null` where it need not. No word of anybody's health. */
function whyNotAlone(person: OpenedCase, family: LadderId, stage: StageKey): string | null {
  const { spec } = getStageIn(person.school, stage);
  const isReached = person.present[family] === stage;
  if (spec.columns.includes('neck')) return 'weight on the neck stays in class';
  const verdict = judge(stage, person);
  if (verdict.kind === 'stop') return 'not for now';
  if (spec.isFree) return 'away from the wall only with somebody there';
  if (!isReached) return 'new: first in class';
  if (verdict.needsAssist || verdict.kind === 'advance-with-support') return 'with a helper only';
  if (spec.needsWall !== true && spec.isAttempt !== true) return null;
  const base = baseOfLadder[family];
  if (base === null) return spec.isAttempt ? 'first in class' : null;
  const exit = person.assessor.assess('controlled-exit', { base });
  if (exit.status !== 'met') return 'the way down is not sure enough yet';
  if (verdict.pass === undefined) return 'its checks first, in class';
  return verdict.atDoor.length > 0 ? 'asked first, in class' : null;
}

/** Towards what is weak, the worthiest first. */
const rank = (
  person: OpenedCase,
  weak: ReturnType<typeof findWeak>,
  household: readonly PieceCount[],
): HomeItem[] =>
  [...holdCandidates(person, weak), ...drillCandidates(person, weak, household)]
    .sort((a, b) => b.worth - a.worth || (a.item.id < b.item.id ? -1 : 1))
    .map(({ item }) => item);

/** Where each ladder's wall may be practised at alone. */
const wallItems = (person: OpenedCase, sized: Sized, families: readonly LadderId[]): HomeItem[] =>
  families.flatMap((family) => {
    const present = person.present[family];
    return present === undefined ? [] : (wallItem(person, sized, family, present) ?? []);
  });

/** All that the gatekeeper lets home to somebody, in no order: a sheet takes a few of it. */
export const listOpenAtHome = (
  person: OpenedCase,
  sized: Sized,
  families: readonly LadderId[],
  household: readonly PieceCount[],
): HomeItem[] => [
  ...rank(person, findWeak(person, families), household),
  ...wallItems(person, sized, families),
  ...listRestful(person),
];

/**
 * @param families the ladders the practice looks at: those of the course
 * @param household what is at home; a usual household where nothing is known
 */
export function planHomePractice(
  person: OpenedCase,
  sized: Sized,
  families: readonly LadderId[],
  household: readonly PieceCount[],
): HomePractice {
  const weak = findWeak(person, families);
  const notAlone = ladderIds.flatMap((family): NotAlone[] => {
    const present = person.present[family];
    if (present === undefined && !families.includes(family)) return [];
    const [next] = listNext(person, family);
    const stages = [present, next].filter((stage): stage is StageKey => stage !== undefined);
    return stages.flatMap((stage): NotAlone[] => {
      const why = whyNotAlone(person, family, stage);
      const { label } = getStageIn(person.school, stage).spec;
      return why === null ? [] : [{ stage, label: `${ladderTable[family].label}: ${label}`, why }];
    });
  });
  const painful = person.pains.some(({ regions }) => regions.size >= 7);
  if (person.sign !== null || painful) {
    return {
      items: listRestful(person).slice(0, 1),
      notAlone,
      instead:
        'Rest until a clinician has been asked. Nothing upside down, nothing on the arms, nothing on the neck.',
    };
  }
  const ranked = rank(person, weak, household);
  const items: HomeItem[] = [];
  const perCheck = new Map<string, number>();
  for (const item of ranked) {
    // Two for the same check are enough: the others look after something else.
    const already = perCheck.get(item.towards) ?? 0;
    if (already >= 2 || items.length >= homeRule.most - 1) continue;
    perCheck.set(item.towards, already + 1);
    items.push(item);
  }
  for (const wall of wallItems(person, sized, families)) {
    if (items.length < homeRule.most) items.push(wall);
  }
  const kind = listRestful(person);
  for (const item of [...ranked, ...kind]) {
    const isIn = items.some(({ id }) => id === item.id);
    const wanted = kind.includes(item) ? homeRule.least : homeRule.least + 1;
    if (!isIn && items.length < wanted) items.push(item);
  }
  return { items, notAlone, instead: null };
}
