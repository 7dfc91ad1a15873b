import { cautionColumns, type CautionId } from '../catalog/cautions';
import { checkIds } from '../catalog/checks';
import { getStage, type StageId } from '../catalog/stages';
import { chooseAlternative, evaluateCautions, type CautionVerdict } from '../caution/evaluate';
import type { AlternativeId } from '../catalog/alternatives';
import { chanceBars, chanceWords } from '../readiness/assessLevel';
import { isVoided } from '../readiness/record';
import { dayNumber, type Day } from '../units/day';
import { evaluateGate, evaluateOwnGate, type GateInput, type GateItem } from './gate';

export const verdictKinds = [
  'advance',
  'advance-with-support',
  'stay',
  're-check',
  'step-back',
  'stop',
] as const;
export type VerdictKind = (typeof verdictKinds)[number];

export type Consent = 'yes' | 'ask' | 'no';

export interface VerdictInput extends GateInput {
  readonly stage: StageId;
  readonly cautions: readonly CautionId[];
  readonly consent: Consent;
  /** Where the student works now; absent: not placed yet. */
  readonly presentStage?: StageId;
  /** Newest day on which the teacher noted that earlier pain is gone. */
  readonly painClearedOn?: Day;
}

export interface Verdict {
  readonly kind: VerdictKind;
  readonly stage: StageId;
  readonly profile: GateInput['profile'];
  /** In plain words, the deciding one first. None of them names a health condition. */
  readonly reasons: readonly string[];
  /** Labels of the (at most two) checks that would help most. */
  readonly helpMost: readonly string[];
  readonly items: readonly GateItem[];
  readonly caution: CautionVerdict;
  /** What to do instead, when a caution closes the stage. */
  readonly alternative?: AlternativeId;
}

/** How far an item is from met, worst first. */
const obstacleOrder = ['not-yet', 'unknown', 'stale', 'borderline', 'met'] as const;

/**
 * May this student do this stage tonight, and why? Source: handbook 06 "A gate".
 *
 * Stop comes before everything; stepping back before any judgement of the stage asked for; the
 * weakest link decides the rest.
 */
export function judge(input: VerdictInput): Verdict {
  const spec = getStage(input.stage);
  const items = evaluateGate(input.stage, input);
  const caution = evaluateCautions(input.cautions, spec.column);
  const base = { stage: input.stage, profile: input.profile, items, caution };
  const obstacles = items.filter((item) => item.status !== 'met').sort(byObstacle);
  const helpMost = obstacles.slice(0, 2).map((item) => item.label);

  if (!caution.isOpen) {
    return {
      ...base,
      kind: 'stop',
      reasons: [`closed for ${cautionColumns[spec.column]}`],
      helpMost: [],
      alternative: chooseAlternative(input.cautions),
    };
  }
  const painDay = findOpenPain(input);
  if (painDay !== null) {
    return {
      ...base,
      kind: 'stop',
      reasons: [`pain on ${painDay}, not noted as gone since`],
      helpMost: [],
    };
  }
  const backReason = findStepBack(input);
  if (backReason !== null) {
    return { ...base, kind: 'step-back', reasons: [backReason], helpMost };
  }
  const has = (status: GateItem['status']) => items.some((item) => item.status === status);
  const reasons = obstacles.map((item) => `${item.label}: ${item.reasons.join(', ')}`);
  if (has('not-yet') || has('unknown')) return { ...base, kind: 'stay', reasons, helpMost };
  if (has('stale')) return { ...base, kind: 're-check', reasons, helpMost };
  if (has('borderline')) {
    return {
      ...base,
      kind: 'advance-with-support',
      reasons: [...reasons, describeSupport(input)],
      helpMost,
    };
  }
  return { ...base, kind: 'advance', reasons: ['every check met', ...standIns(items)], helpMost };
}

function byObstacle(a: GateItem, b: GateItem): number {
  const rank = (item: GateItem) => obstacleOrder.indexOf(item.status);
  return rank(a) - rank(b) || (a.probability ?? 0) - (b.probability ?? 0);
}

function standIns(items: readonly GateItem[]): string[] {
  return items
    .filter((item) => item.standIn !== undefined)
    .map((item) => `${item.label}: ${item.reasons[item.reasons.length - 1]}`);
}

/** Help is never planned against the student's word on touch (handbook 07). */
function describeSupport({ stage, consent }: VerdictInput): string {
  const { assist, stepDown } = getStage(stage);
  const supported = `the more supported version: ${stepDown.toLowerCase()}`;
  if (consent === 'no' || assist === null) return `no hands-on help; ${supported}`;
  const ask = consent === 'ask' ? 'ask first: ' : '';
  return `${ask}assist: ${assist.charAt(0).toLowerCase()}${assist.slice(1)}`;
}

function findOpenPain({ evidence, painClearedOn }: VerdictInput): Day | null {
  let newest: Day | null = null;
  for (const check of checkIds) {
    for (const record of evidence[check] ?? []) {
      if (record.pain && (newest === null || record.date > newest)) newest = record.date;
    }
  }
  if (newest === null) return null;
  const isCleared = painClearedOn !== undefined && dayNumber(painClearedOn) > dayNumber(newest);
  return isCleared ? null : newest;
}

function findStepBack(input: VerdictInput): string | null {
  const { presentStage } = input;
  if (presentStage === undefined) return null;
  const own = evaluateOwnGate(presentStage, input);
  const fallen = own.find(
    (item) =>
      item.status === 'not-yet' &&
      item.probability !== null &&
      item.probability < chanceBars.borderline,
  );
  if (fallen) {
    return `${fallen.label}: the chance has fallen to ${chanceWords(fallen.probability!)} for the present stage, ${getStage(presentStage).label.toLowerCase()}`;
  }
  return own.some((item) => hasVoidsInLastTwo(item, input))
    ? `faults in both of the last two meetings, at ${getStage(presentStage).label}`
    : null;
}

/** A voiding fault on this check at each of the last two meetings where it was seen. */
function hasVoidsInLastTwo({ demand }: GateItem, { evidence }: VerdictInput): boolean {
  const records = (evidence[demand.check] ?? []).filter(
    (record) => demand.base === undefined || record.base === demand.base,
  );
  const lastTwo = [...new Set(records.map((record) => record.date))].sort().slice(-2);
  return (
    lastTwo.length === 2 &&
    lastTwo.every((date) =>
      records.some((record) => record.date === date && isVoided(demand.check, record)),
    )
  );
}
