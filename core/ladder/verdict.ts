import { cautionColumns } from '../catalog/cautionColumns';
import type { AlternativeId } from '../catalog/alternatives';
import { getStageIn } from '../catalog/school';
import { ladderTable, type StageKey } from '../catalog/stage';
import type { CautionVerdict } from '../caution/evaluate';
import { chanceBars, chanceWords } from '../readiness/assessLevel';
import { isVoided } from '../readiness/record';
import { rememberFor } from '../units/remember';
import { inSentence } from '../units/words';
import { chooseAlternative } from './alternative';
import type { OpenedCase } from './case';
import { byObstacle, evaluateGate, evaluateOwnGate, hasReached, type GateItem } from './gate';
import { screeningQuestion } from './door';
import { ruleOnCare, thingOfStage, type CareCause, type Pass } from './gatekeeper';
import type { VerdictKind } from './verdictKinds';

export interface Verdict {
  readonly kind: VerdictKind;
  readonly stage: StageKey;
  /** Key and version of the profile it was made with. */
  readonly profile: { readonly key: string; readonly version: number };
  /** In plain words, the deciding one first. None of them names a health condition. */
  readonly reasons: readonly string[];
  /** Labels of the (at most two) checks that would help most. */
  readonly helpMost: readonly string[];
  /** Labels of the checks of the day that must be confirmed at the door first. */
  readonly atDoor: readonly string[];
  /** Present where the stage is open: what tells somebody to do it carries it. */
  readonly pass?: Pass;
  /** A helper's hands are part of it. */
  readonly needsAssist: boolean;
  readonly items: readonly GateItem[];
  readonly caution: CautionVerdict;
  /** What a stop stands on: a caution, an unanswered stop sign, pain not noted as gone. */
  readonly cause?: CareCause;
  /** What to do instead, when a caution, a sign or pain closes the stage. */
  readonly alternative?: AlternativeId;
}

/**
 * May this student do this stage on the day, and why? Source: handbook 06 "A gate".
 *
 * Stop comes before everything; stepping back before any judgement of the stage asked for; the
 * weakest link decides the rest.
 */
export const judge = (stage: StageKey, person: OpenedCase): Verdict =>
  verdicts(person, stage, () => findVerdict(stage, person));

/** A case does not change, nor does what is said of it. */
const verdicts = rememberFor<OpenedCase, Verdict>();

function findVerdict(stage: StageKey, person: OpenedCase): Verdict {
  const { spec } = getStageIn(person.school, stage);
  const gate = evaluateGate(stage, person);
  const items = gate ?? [];
  const present = person.present[spec.family];
  const ruling = ruleOnCare(person, thingOfStage(person, stage, spec));
  const { caution } = ruling;
  const obstacles = items
    .filter((item) => item.status !== 'met' && !item.isAtDoor)
    .sort(byObstacle);
  const { key, version } = person.school.profile;
  const base = {
    stage,
    profile: { key, version },
    items,
    caution,
    atDoor: [
      ...(ruling.isOpen && ruling.asksScreening ? [screeningQuestion.label] : []),
      ...items.filter((item) => item.isAtDoor).map(({ label }) => label),
    ],
    needsAssist: items.some(({ standIn }) => standIn === 'assist'),
    helpMost: [...new Set(obstacles.map(({ label }) => label))].slice(0, 2),
  };
  const stop = (cause: NonNullable<Verdict['cause']>, reason: string): Verdict => ({
    ...base,
    kind: 'stop',
    cause,
    reasons: [reason],
    helpMost: [],
    atDoor: [],
    needsAssist: false,
    alternative: chooseAlternative(spec.family, person),
  });

  if (!ruling.isOpen) {
    switch (ruling.cause) {
      case 'sign':
        return stop(
          'sign',
          `a stop sign on ${person.sign?.date ?? 'an earlier day'}: get help by the rules of the place; closed until a clinician’s word is noted`,
        );
      case 'care':
        return stop(
          'care',
          closedWords(
            caution,
            spec.columns.map((c) => cautionColumns[c]),
          ),
        );
      case 'pain':
        return stop('pain', `pain on ${ruling.pain!.date}, not noted as gone since`);
    }
  }
  if (gate === null) {
    return {
      ...base,
      kind: 'stay',
      reasons: [`the profile ${person.school.profile.label} keeps this branch closed`],
      helpMost: [],
      atDoor: [],
    };
  }
  // Stepping back speaks of the present stage and of what lies above it, of nothing below.
  const backReason =
    present !== undefined && (stage === present || hasReached(person.school, stage, present))
      ? findStepBack(present, person)
      : null;
  if (backReason !== null) return { ...base, kind: 'step-back', reasons: [backReason] };

  const reasons = obstacles.map((item) => `${item.label}: ${item.reasons.join(', ')}`);
  const has = (status: GateItem['status']) => obstacles.some((item) => item.status === status);
  if (has('not-yet') || has('unknown')) return { ...base, kind: 'stay', reasons };
  if (has('stale')) return { ...base, kind: 're-check', reasons };
  if (obstacles.some(({ isSafety }) => isSafety)) {
    return { ...base, kind: 'stay', reasons: [...reasons, 'a safety check is never passed over'] };
  }
  const doors = base.atDoor.map((label) => `${label}: open if confirmed at the door`);
  if (has('borderline') || base.needsAssist) {
    return {
      ...base,
      kind: 'advance-with-support',
      pass: ruling.pass,
      reasons: [
        ...reasons,
        ...words(items),
        ...standIns(items),
        describeSupport(stage, person, base.needsAssist),
        ...doors,
      ],
    };
  }
  return {
    ...base,
    kind: 'advance',
    pass: ruling.pass,
    reasons: [
      items.length === 0
        ? 'nothing is asked'
        : items.some(({ wordOf }) => wordOf !== undefined)
          ? 'every check met, or seen by the teacher'
          : 'every check met',
      ...words(items),
      ...standIns(items),
      ...doors,
    ],
  };
}

const closureWords = {
  refer: 'refer first',
  'closed-today': 'closed today',
  closed: 'closed until cleared',
} as const;

/** Why the next is refused while the present one of the same kind is done. */
const onlyForWords = {
  new: '; it is new to them, and what is long familiar stays open',
  free: '; away from the wall, and at the wall it may be open',
} as const;

function closedWords({ outcome, onlyFor }: CautionVerdict, columns: readonly string[]): string {
  const words = outcome === 'open' || outcome === 'care' ? 'closed' : closureWords[outcome];
  return `${words}: ${columns.join(', ')}${onlyFor === undefined ? '' : onlyForWords[onlyFor]}`;
}

/** What rests on the teacher's word alone, said so. */
function words(items: readonly GateItem[]): string[] {
  return items
    .filter(({ wordOf }) => wordOf !== undefined)
    .map((item) => `${item.label}: ${item.reasons[0]}`);
}

function standIns(items: readonly GateItem[]): string[] {
  return items
    .filter(({ standIn }) => standIn !== undefined && standIn !== 'assist')
    .map((item) => `${item.label}: ${item.reasons[item.reasons.length - 1]}`);
}

/** Help is never planned against the student's word on touch (handbook 07). */
function describeSupport(stage: StageKey, { school, consent }: OpenedCase, needsAssist: boolean) {
  const { assist, stepDown } = getStageIn(school, stage).spec;
  const supported = `the more supported version: ${inSentence(stepDown)}`;
  if (consent === 'no') return `no hands-on help; ${supported}`;
  if (assist === null) return supported;
  const ask = consent === 'ask' ? 'ask first: ' : '';
  const must = needsAssist ? 'only with the ' : '';
  return `${ask}${must}assist: ${inSentence(assist)}`;
}

function findStepBack(present: StageKey, person: OpenedCase): string | null {
  const inSchool = person.school.stages.get(present);
  // A stage of the teacher's own that has since been taken away holds nobody back.
  if (inSchool === undefined) return null;
  const own = evaluateOwnGate(present, person);
  const where = inSchool.spec.label;
  const fallen = own.find(
    (item) =>
      item.status === 'not-yet' &&
      item.probability !== null &&
      item.probability < chanceBars.borderline &&
      !isOfTheDay(item, person),
  );
  if (fallen) {
    return `${fallen.label}: the chance has fallen to ${chanceWords(fallen.probability!)} for the present stage, ${inSentence(where)}`;
  }
  return own.some((item) => hasVoidsInLastTwo(item, person))
    ? `faults in both of the last two meetings, at ${where} (${ladderTable[inSchool.spec.family].label.toLowerCase()})`
    : null;
}

/** "Not today" at the door closes today's stage; it is no sign of lost ground. */
function isOfTheDay({ demand }: GateItem, { school }: OpenedCase): boolean {
  return 'check' in demand && school.checks.get(demand.check)?.spec.scoring.kind === 'same-day';
}

/** A voiding fault on this check at each of the last two meetings where it was seen. */
function hasVoidsInLastTwo({ demand }: GateItem, { evidence, school }: OpenedCase): boolean {
  if (!('check' in demand)) return false;
  const spec = school.checks.get(demand.check)?.spec;
  if (spec === undefined) return false;
  const records = (evidence[demand.check] ?? []).filter(
    (record) => demand.base === undefined || record.base === demand.base,
  );
  const lastTwo = [...new Set(records.map((record) => record.date))].sort().slice(-2);
  return (
    lastTwo.length === 2 &&
    lastTwo.every((date) =>
      records.some(
        (record) => record.date === date && record.pain !== true && isVoided(spec, record),
      ),
    )
  );
}
