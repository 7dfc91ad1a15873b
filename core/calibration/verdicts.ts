/** Verdicts against what came after them, from the decisions that were written down. */
import type { CheckKey } from '../catalog/checks';
import type { CheckDemand } from '../catalog/demand';
import { walkDemand } from '../catalog/demand';
import { barOf, getStageIn, type School } from '../catalog/school';
import type { StageKey } from '../catalog/stage';
import { noCare } from '../caution/care';
import { openCase, type OpenedCase } from '../ladder/case';
import { byObstacle } from '../ladder/gate';
import { judge } from '../ladder/verdict';
import { opensStage, verdictKinds, type VerdictKind } from '../ladder/verdictKinds';
import { levelModel, onLogScale } from '../readiness/level';
import { isVoided, type CheckRecord, type Evidence } from '../readiness/record';
import { daysBetween, type Day } from '../units/day';

/** What was suggested for a stage on a day, and what the teacher decided. */
export interface Decided {
  readonly stage: StageKey;
  readonly suggested: VerdictKind;
  readonly decided: VerdictKind;
  readonly on: Day;
}

export interface VerdictCount {
  readonly kind: VerdictKind;
  readonly said: number;
  /** Checks of those gates looked at afterwards, and how many came within a tenth of the bar. */
  readonly looked: number;
  readonly came: number;
}

export interface Differing {
  /** The teacher went further than the suggestion, or less far, or another way. */
  readonly bolder: Sides;
  readonly stricter: Sides;
}

/** Who was right, by what was seen of the gate at the next look. */
export interface Sides {
  readonly times: number;
  readonly teacher: number;
  readonly suggestion: number;
  readonly unknown: number;
}

export interface GateCount {
  readonly check: CheckKey;
  readonly label: string;
  /** In how many judged gates it stood, and how often it was the one that decided. */
  readonly judged: number;
  readonly decided: number;
}

export interface VerdictsTold {
  readonly verdicts: readonly VerdictCount[];
  /** Advances, and how many of them were a step back within three meetings. */
  readonly advances: { readonly count: number; readonly steppedBack: number };
  readonly gates: readonly GateCount[];
  readonly differing: Differing;
}

const rules = {
  /** Looks later than this say little about a verdict. */
  lookDays: 42,
  meetings: 3,
} as const;

export interface PersonTold {
  readonly id: string;
  readonly evidence: Evidence;
  readonly decisions: readonly Decided[];
}

/** The record as it stood on a day. */
const until = (evidence: Evidence, day: Day): Evidence =>
  Object.fromEntries(
    Object.entries(evidence).map(([check, records = []]) => [
      check,
      records.filter(({ date }) => date <= day),
    ]),
  );

function caseOn(school: School, evidence: Evidence, day: Day, stage: StageKey): OpenedCase {
  const { family } = getStageIn(school, stage).spec;
  return openCase({
    asOf: day,
    school,
    evidence: until(evidence, day),
    care: noCare,
    consent: 'yes',
    present: { [family]: stage },
    equipment: [],
  });
}

function demandsOf(school: School, stage: StageKey): CheckDemand[] {
  const [way] = school.stages.get(stage)?.ways ?? [];
  return (way?.demands ?? [])
    .flatMap((one) => [...walkDemand(one)])
    .flatMap((one) => ('check' in one ? [one] : []));
}

/** Did the next look at a check within the days come within a tenth of its bar? `null`: no look. */
function nextLook(
  school: School,
  evidence: Evidence,
  demand: CheckDemand,
  on: Day,
): boolean | null {
  const found = school.checks.get(demand.check);
  if (found === undefined) return null;
  const { spec, bar } = found;
  const after = (evidence[demand.check] ?? []).filter(
    ({ date, base }) =>
      date > on &&
      daysBetween(on, date) <= rules.lookDays &&
      (demand.base === undefined || base === demand.base),
  );
  const [first] = [...after].sort((a, b) => (a.date < b.date ? -1 : 1));
  if (first === undefined) return null;
  return isNear(first, barOf(bar, demand), spec);
}

function isNear(
  record: CheckRecord,
  bar: number,
  spec: Parameters<typeof isVoided>[0] & { readonly scoring: { readonly kind: string } },
): boolean | null {
  if (isVoided(spec, record)) return false;
  const { kind } = spec.scoring;
  if (kind === 'hold' || kind === 'reps') {
    const near = onLogScale(kind, record.value) >= onLogScale(kind, levelModel.nearBar * bar);
    return !near && record.stoppedByTeacher === true ? null : near;
  }
  if (kind === 'pass' || kind === 'pass-of-last') return record.value >= 1;
  return null;
}

const datesOf = (evidence: Evidence): Day[] =>
  [
    ...new Set(
      Object.values(evidence).flatMap((records) => (records ?? []).map(({ date }) => date)),
    ),
  ].sort();

/** Was the stage a step back at one of the next meetings at which anything was seen? */
function steppedBack(school: School, { evidence }: PersonTold, { stage, on }: Decided): boolean {
  return datesOf(evidence)
    .filter((date) => date > on)
    .slice(0, rules.meetings)
    .some((date) => judge(stage, caseOn(school, evidence, date, stage)).kind === 'step-back');
}

export function tellVerdicts(school: School, people: readonly PersonTold[]): VerdictsTold {
  const counts = new Map<VerdictKind, { said: number; looked: number; came: number }>();
  const gates = new Map<CheckKey, { label: string; judged: number; decided: number }>();
  const advances = { count: 0, steppedBack: 0 };
  const bolder = { times: 0, teacher: 0, suggestion: 0, unknown: 0 };
  const stricter = { times: 0, teacher: 0, suggestion: 0, unknown: 0 };
  for (const person of people) {
    for (const one of person.decisions) {
      if (!school.stages.has(one.stage)) continue;
      const looks = demandsOf(school, one.stage).flatMap(
        (demand) => nextLook(school, person.evidence, demand, one.on) ?? [],
      );
      const count = counts.get(one.suggested) ?? { said: 0, looked: 0, came: 0 };
      count.said += 1;
      count.looked += looks.length;
      count.came += looks.filter(Boolean).length;
      counts.set(one.suggested, count);
      if (one.decided === 'advance') {
        advances.count += 1;
        if (steppedBack(school, person, one)) advances.steppedBack += 1;
      }
      countGate(school, person, one, gates);
      const isOpened = opensStage(one.decided);
      if (isOpened === opensStage(one.suggested)) continue;
      const sides = isOpened ? bolder : stricter;
      sides.times += 1;
      if (looks.length === 0) sides.unknown += 1;
      // All of the gate held: whoever opened it was right.
      else if (looks.every(Boolean) === isOpened) sides.teacher += 1;
      else sides.suggestion += 1;
    }
  }
  return {
    verdicts: verdictKinds.flatMap((kind) => {
      const count = counts.get(kind);
      return count === undefined ? [] : [{ kind, ...count }];
    }),
    advances,
    gates: [...gates].map(([check, count]) => ({ check, ...count })),
    differing: { bolder, stricter },
  };
}

function countGate(
  school: School,
  { evidence }: PersonTold,
  { stage, on }: Decided,
  gates: Map<CheckKey, { label: string; judged: number; decided: number }>,
): void {
  const { items } = judge(stage, caseOn(school, evidence, on, stage));
  const [worst] = items
    .filter(({ status, isAtDoor }) => status !== 'met' && !isAtDoor)
    .sort(byObstacle);
  for (const item of items) {
    if (!('check' in item.demand) || item.isAtDoor) continue;
    const { check } = item.demand;
    const known = gates.get(check) ?? { label: item.label, judged: 0, decided: 0 };
    known.judged += 1;
    if (item === worst) known.decided += 1;
    gates.set(check, known);
  }
}
