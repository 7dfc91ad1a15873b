import { equipmentTable, type CheckDemand, type Demand, type EquipmentId } from '../catalog/demand';
import { barOf, getCheckIn, getStageIn, type School, type WayUp } from '../catalog/school';
import type { CheckKey } from '../catalog/checks';
import type { StageKey } from '../catalog/stage';
import type { Assessment, CheckStatus } from '../readiness/assess';
import { isVoided } from '../readiness/record';
import { rememberFor } from '../units/remember';
import { inSentence } from '../units/words';
import { dayNumber, sayDay, type Day } from '../units/day';
import type { OpenedCase } from './case';

/** What does instead of a check, and so becomes part of the set-up or the plan. */
export type StandIn = EquipmentId | 'assist';

export interface GateItem extends Assessment {
  readonly demand: Demand;
  readonly label: string;
  /** Equipment or a helper's hands that open it in place of the check. */
  readonly standIn?: StandIn;
  /** A check of the day, not asked yet: open if confirmed at the door. */
  readonly isAtDoor?: true;
  /** Met by the teacher's word of a day, and not seen since. */
  readonly wordOf?: Day;
  /** Guards the student: never passed over with support. */
  readonly isSafety: boolean;
}

/** From furthest to nearest; the weakest link decides. */
const obstacleOrder: readonly CheckStatus[] = ['not-yet', 'unknown', 'stale', 'borderline', 'met'];
const rankOf = (item: GateItem) => (item.isAtDoor ? 3.5 : obstacleOrder.indexOf(item.status));

export function byObstacle(a: GateItem, b: GateItem): number {
  return rankOf(a) - rankOf(b) || (a.probability ?? 0) - (b.probability ?? 0);
}

/** How far a list of items is from open: smaller is further. */
const weakest = (items: readonly GateItem[]) => Math.min(5, ...items.map(rankOf));

/**
 * A stage's whole gate along the best of its ways up, item by item; `null` where the school keeps
 * the stage closed. Source: handbook 06 "A gate".
 */
export const evaluateGate = (stage: StageKey, person: OpenedCase): readonly GateItem[] | null =>
  gates(person, stage, () => findGate(stage, person));

/** A case does not change, and its gates are asked for rung after rung. */
const gates = rememberFor<OpenedCase, readonly GateItem[] | null>();

function findGate(stage: StageKey, person: OpenedCase): GateItem[] | null {
  const { ways } = getStageIn(person.school, stage);
  let best: { items: GateItem[]; unmet: number; worst: number } | null = null;
  for (const way of ways) {
    const items = evaluateWay(stage, way, person);
    const unmet = items.filter((item) => item.status !== 'met').length;
    const worst = weakest(items);
    if (best === null || worst > best.worst || (worst === best.worst && unmet < best.unmet)) {
      best = { items, unmet, worst };
    }
  }
  return best?.items ?? null;
}

const evaluateWay = (stage: StageKey, way: WayUp, person: OpenedCase) =>
  way.demands.map((demand) => byWord(stage, evaluateDemand(demand, person), person));

/** Only what the stage itself asks, for telling whether somebody still holds it. */
export function evaluateOwnGate(stage: StageKey, person: OpenedCase): GateItem[] {
  return getStageIn(person.school, stage).gate.map((demand) =>
    byWord(stage, evaluateDemand(demand, person), person),
  );
}

/** The teacher's word holds so many times as long as a record of the check does. */
const wordLasts = 2;

/**
 * What the teacher has seen stands for what nobody has recorded: for the stage they named and those
 * on the way to it, until it is old, or a record says otherwise. It stands in for no safety check
 * and not for the student's own word. Source: handbook 06 "The teacher's word".
 */
function byWord(stage: StageKey, item: GateItem, person: OpenedCase): GateItem {
  if (item.status !== 'unknown' && item.status !== 'stale') return item;
  const { school, placings, asOf } = person;
  const placing = placings?.[getStageIn(school, stage).spec.family];
  if (placing === undefined || placing.on > asOf) return item;
  if (!hasReached(school, placing.stage, stage)) return item;
  const checks = checksIn(item.demand);
  const age = dayNumber(asOf) - dayNumber(placing.on);
  const isCovered = checks.every((check) => {
    const { spec } = getCheckIn(school, check);
    const isTheirs = spec.isSafety === true || spec.scoring.kind === 'rating';
    const isSince = (person.evidence[check] ?? []).some(({ date }) => date >= placing.on);
    return !isTheirs && !isSince && age <= wordLasts * spec.validDays;
  });
  if (checks.length === 0 || !isCovered || item.isSafety || item.isAtDoor) return item;
  return {
    ...item,
    status: 'met',
    wordOf: placing.on,
    reasons: [`by the teacher’s word of ${sayDay(placing.on)}, not measured`],
  };
}

/** Every check that a demand speaks of. */
function checksIn(demand: Demand): CheckKey[] {
  if ('check' in demand) return [demand.check];
  if ('anyOf' in demand) return demand.anyOf.flatMap(checksIn);
  if ('allOf' in demand) return demand.allOf.flatMap(checksIn);
  return [];
}

export function evaluateDemand(demand: Demand, person: OpenedCase): GateItem {
  if ('check' in demand) return evaluateCheck(demand, person);
  if ('with' in demand) return evaluateEquipment(demand, person);
  if ('assist' in demand) return evaluateAssist(demand, person);
  if ('practised' in demand) return evaluatePractised(demand, person);
  if ('opens' in demand) return evaluateOpens(demand, person);
  if ('anyOf' in demand)
    return pickBest(
      demand,
      demand.anyOf.map((one) => evaluateDemand(one, person)),
    );
  return pickWorst(
    demand,
    demand.allOf.map((one) => evaluateDemand(one, person)),
  );
}

function evaluateCheck(demand: CheckDemand, { school, assessor, asOf }: OpenedCase): GateItem {
  const { spec, bar } = getCheckIn(school, demand.check);
  const assessment = assessor.assess(demand.check, {
    threshold: barOf(bar, demand),
    ...(demand.base === undefined ? {} : { base: demand.base }),
    ...(demand.onDays === undefined ? {} : { onDays: demand.onDays }),
  });
  const isOfTheDay = spec.scoring.kind === 'same-day';
  const isAtDoor =
    isOfTheDay &&
    !assessor.histories(demand.check, demand.base)[0]!.records.some(({ date }) => date === asOf);
  return {
    ...assessment,
    ...(isAtDoor ? { isAtDoor, reasons: ['asked at the door'] } : {}),
    demand,
    label: spec.label,
    isSafety: spec.isSafety === true,
  };
}

const fixed = (demand: Demand, label: string, status: CheckStatus, reason: string): GateItem => ({
  demand,
  label,
  status,
  probability: null,
  threshold: 0,
  reasons: [reason],
  isSafety: false,
});

function evaluateEquipment(demand: { readonly with: EquipmentId }, person: OpenedCase): GateItem {
  const { label, isAlwaysThere } = equipmentTable[demand.with];
  const isThere = isAlwaysThere || person.equipment.includes(demand.with);
  return {
    ...fixed(
      demand,
      label,
      isThere ? 'met' : 'not-yet',
      isThere ? `open with ${label}` : 'not in the cupboard',
    ),
    ...(isThere ? { standIn: demand.with } : {}),
  };
}

function evaluateAssist(demand: Demand, { consent }: OpenedCase): GateItem {
  if (consent === 'no') return fixed(demand, 'A helper’s hands', 'not-yet', 'no hands-on help');
  const words = consent === 'ask' ? 'with a helper’s hands, asked first' : 'with a helper’s hands';
  return { ...fixed(demand, 'A helper’s hands', 'met', words), standIn: 'assist' };
}

function evaluatePractised(
  demand: Extract<Demand, { practised: StageKey }>,
  person: OpenedCase,
): GateItem {
  const { spec } = getStageIn(person.school, demand.practised);
  const isSeen = (demand.seenBy ?? []).some(({ check, base }) => {
    const rule = getCheckIn(person.school, check).spec;
    return (person.evidence[check] ?? []).some(
      (record) =>
        record.value > 0 && (base === undefined || record.base === base) && !isVoided(rule, record),
    );
  });
  const stands = hasReached(person.school, person.present[spec.family], demand.practised);
  return isSeen || stands
    ? fixed(demand, spec.label, 'met', 'practised')
    : fixed(demand, spec.label, 'unknown', 'not practised yet');
}

/** Does the way to `at` lead through `stage`? */
export function hasReached(school: School, at: StageKey | undefined, stage: StageKey): boolean {
  if (at === undefined) return false;
  if (at === stage) return true;
  const ways = school.stages.get(at)?.ways ?? [];
  return ways.some(({ path }) => path.includes(stage));
}

function evaluateOpens(demand: { readonly opens: StageKey }, person: OpenedCase): GateItem {
  const { spec } = getStageIn(person.school, demand.opens);
  const items = evaluateGate(demand.opens, person);
  if (items === null) return fixed(demand, spec.label, 'not-yet', 'closed in this profile');
  const worst = [...items].sort(byObstacle)[0];
  if (worst === undefined || worst.status === 'met') {
    return fixed(demand, spec.label, 'met', 'its gate is open');
  }
  const short = items.filter(({ status }) => status !== 'met').length;
  return {
    ...worst,
    demand,
    label: spec.label,
    reasons: [`${short} of its checks to go, ${inSentence(worst.label)} first`],
  };
}

/** Any one will do: the best decides. Where a thing stands in for a check, the check is named. */
function pickBest(demand: Demand, items: readonly GateItem[]): GateItem {
  const best = items.reduce((found, item) => (rankOf(item) > rankOf(found) ? item : found));
  const first = items[0]!;
  if (best === first) return { ...first, demand };
  if (best.standIn === undefined) {
    return best.status === 'met'
      ? { ...best, demand }
      : {
          ...first,
          demand,
          reasons: [...first.reasons, `or ${inSentence(best.label)}: ${best.reasons[0]}`],
        };
  }
  return {
    ...first,
    demand,
    status: best.status,
    standIn: best.standIn,
    isSafety: best.isSafety,
    // The check by itself keeps its own word: what it says elsewhere is no contradiction.
    reasons: [`by itself ${first.reasons.join(', ')}`, best.reasons[best.reasons.length - 1]!],
  };
}

/** All of them: the worst decides; a helper's hands among them stay part of the plan. */
function pickWorst(demand: Demand, items: readonly GateItem[]): GateItem {
  const worst = [...items].sort(byObstacle)[0]!;
  const standIn = items.find((item) => item.standIn !== undefined)?.standIn;
  return {
    ...worst,
    demand,
    isSafety: items.some(({ isSafety }) => isSafety),
    ...(standIn === undefined ? {} : { standIn }),
    reasons: worst.status === 'met' ? items.flatMap(({ reasons }) => reasons) : worst.reasons,
  };
}
