/** A rung of a ladder as something to do in a round: every way there is to make it tonight. */
import { optionIdOf } from './optionId';
import { getStageIn } from '../catalog/school';
import { getWayUp, type WayUpId } from '../catalog/waysUp';
import { ladderTable, type Counterpose, type StageKey, type StageSpec } from '../catalog/stage';
import type { OpenedCase } from '../ladder/case';
import { liftsFeet } from '../ladder/asked';
import { evaluateDemand } from '../ladder/gate';
import { judge, type Verdict } from '../ladder/verdict';
import { spaceFor } from '../room/space';
import { beforeWeight } from '../setups/beforeWeight';
import { variantTable, type SetupInput, type Variant } from '../setups/setup';
import { sayTooLow } from '../units/along';
import { rememberFor } from '../units/remember';
import { inSentence } from '../units/words';
import { usualBaseM } from './insteadOptions';
import { addPieces, findLiftPieces, findSetup, type StageWay } from './needs';
import {
  figuresOf,
  inputFor,
  optionValues,
  type OptionContext,
  type OptionRole,
  type PlannedOption,
} from './option';
import { pace, triesBorne } from './pace';
import { rowsTaken } from '../pieces/rows';
import { doseInRound, limitsAt, sayTries } from './roundDose';
import { findCapacities, isTimedOf } from './strength';

/** Where a rung stands to somebody, and what a round of it is worth. */
export interface Rank {
  readonly role: OptionRole;
  readonly value: number;
  /** The rung before must be done on the same evening: nobody skips one. */
  readonly needsFirst?: true;
}

/** Said of a stage that opens with support alone, for whom nobody may touch. */
export const withoutHands = 'only with support, and without hands-on help';

/** A way up that is not the school's own first one. */
const otherWayLess = 0.05;

/** @returns a sentence where something other than the ladder shuts it */
export function toOptions(
  stage: StageKey,
  rank: Rank,
  verdict: Verdict,
  person: OpenedCase,
  context: OptionContext,
): PlannedOption[] | string {
  const { pass } = verdict;
  if (pass === undefined) return verdict.reasons[0] ?? verdict.kind;
  const { spec } = getStageIn(person.school, stage);
  const isSupported = verdict.kind === 'advance-with-support';
  const needsHand = isSupported && spec.assist !== null && person.consent !== 'no';
  // With support and no hands-on help, only the more supported version is open: not this stage.
  const isEased = isSupported && !needsHand;
  if (isEased && (verdict.needsAssist || spec.downTo !== undefined || spec.isAttempt === true)) {
    return withoutHands;
  }
  const input = inputFor(person, context);
  const uses = (standIn: string) => verdict.items.some((item) => item.standIn === standIn);
  const extra = [
    uses('forearm-lift') ? findLiftPieces(input) : [],
    uses('wedge') ? [{ piece: 'wedge', count: 1 } as const] : [],
    uses('strap') ? [{ piece: 'strap-180', count: 1 } as const] : [],
  ];
  const kind = rank.role === 'next' && isSupported ? 'nextWithSupport' : rank.role;
  const value = rank.role === 'next' && isSupported ? optionValues.nextWithSupport : rank.value;
  const watch = verdict.caution.adaptations;
  const isTry = spec.isAttempt === true && !isEased;
  const capacities = findCapacities(person);
  const dose =
    isTry || spec.round === undefined
      ? null
      : doseInRound(
          spec.round,
          spec.loads,
          capacities,
          limitsAt(spec, person.school.settings, context, isTimedOf(person)),
        );

  const toWay = (way: StageWay, up: WayUpId | undefined, order: number): PlannedOption | string => {
    const { variant, props: own, less } = way;
    const first = beforeWeight(spec, person.school.settings, way.result?.distances ?? []);
    const base = way.result?.distances.find(({ id }) => id === 'base');
    const space = spaceFor(spec, context.body, {
      baseM: base?.metres ?? usualBaseM,
      hasHelper: needsHand,
      isStraddle: up !== undefined && getWayUp(up).isStraddle === true,
    });
    if (space.heightM > context.ceilingM + 1e-9) {
      return sayTooLow(space.heightM, context.ceilingM, context.units ?? 'cm');
    }
    const props = addPieces(own, ...extra);
    const isPlain = !needsHand && space.kind !== 'circle' && verdict.atDoor.length === 0;
    const asked = (up === undefined ? spec.tries : getWayUp(up).tries) ?? pace.attemptsEachRound;
    const tries = isTry ? triesBorne(spec.loads, asked, capacities) : 0;
    return {
      pass,
      id: optionIdOf(stage, { isEased, wayUp: up, variant }),
      same: stage,
      ...(spec.after.length === 0 ? {} : { above: spec.after }),
      ...(rank.needsFirst ? { needsFirst: true as const } : {}),
      stage,
      family: spec.family,
      ...(variant === undefined ? {} : { variant }),
      ...(up === undefined ? {} : { wayUp: up }),
      label: labelOf(spec, isEased, up, variant),
      role: kind,
      value: value - less - order * otherWayLess,
      heightM: space.heightM,
      ...(space.kind === 'lane' ? { alongM: space.alongM, outM: space.outM } : {}),
      ...(space.kind === 'circle' ? { needsCircle: true as const, radiusM: space.radiusM } : {}),
      ...(base === undefined ? {} : { baseM: base.metres }),
      ...figuresOf(way.result),
      ...(spec.shape === undefined ? {} : { shape: spec.shape }),
      ...(spec.recipe === undefined ? {} : { recipe: spec.recipe }),
      props,
      pieces: rowsTaken(props),
      loads: spec.loads,
      strains: spec.strains,
      ...(needsHand ? { needsHand: true as const, assist: spec.assist! } : {}),
      ...(needsHand && person.consent === 'ask' ? { asksFirst: true as const } : {}),
      ...(isTry ? { isAttempt: true as const, tries, dose: sayTries(tries) } : {}),
      ...(dose === null ? {} : { dose: dose.words, work: dose.work, spans: dose.spans }),
      ...(first.length === 0 ? {} : { checkFirst: first }),
      ...(liftsFeet(spec) ? { feetUp: true as const } : {}),
      ...(isAnswered(spec) ? {} : { sparesCounter: true as const }),
      ...(spec.counter === undefined ? {} : { counter: spec.counter }),
      ...(watch.length === 0 ? {} : { watch }),
      ...(isPlain && (space.kind === 'lane' || props.length > 0)
        ? { canShare: true as const }
        : {}),
      why: verdict.reasons[0]!,
      atDoor: verdict.atDoor,
    };
  };
  const found: PlannedOption[] = [];
  let lack: string | undefined;
  waysUpFor(spec, person).forEach((up, order) => {
    const setup = findSetup(spec, withWayUp(input, up));
    lack ??= setup.ways.length === 0 ? (setup.lack ?? noCupboard) : undefined;
    for (const way of setup.ways) {
      const option = toWay(way, up, order);
      if (typeof option === 'string') lack ??= option;
      else found.push(option);
    }
  });
  return found.length === 0 ? (lack ?? noCupboard) : found;
}

/** A hold that the family's counterpose answers, or one of its own. */
function isAnswered({ family, columns, counter }: StageSpec): boolean {
  if (counter !== undefined) return true;
  const { answers }: Counterpose = ladderTable[family].counter;
  return answers === undefined || columns.some((column) => answers.includes(column));
}

const noCupboard = 'the cupboard cannot make its set-up';

const byWayUp = rememberFor<SetupInput, SetupInput>();
const withWayUp = (input: SetupInput, wayUp: WayUpId | undefined): SetupInput =>
  wayUp === undefined ? input : byWayUp(input, wayUp, () => ({ ...input, wayUp }));

/** The ways up that are open to somebody, the school's own first; `undefined`: there is but one. */
function waysUpFor(spec: StageSpec, person: OpenedCase): readonly (WayUpId | undefined)[] {
  const { waysUp = [] } = spec;
  if (waysUp.length === 0) return [undefined];
  const keepsHollow = evaluateDemand({ check: 'hollow-hold' }, person).status === 'met';
  const open = waysUp.filter((id) => keepsHollow || getWayUp(id).asksHollow === undefined);
  const own = person.school.settings.wayUp;
  return [...open].sort((a, b) => Number(b === own) - Number(a === own));
}

function labelOf(
  spec: StageSpec,
  isEased: boolean,
  up: WayUpId | undefined,
  variant: Variant | undefined,
): string {
  const own = isEased ? `${spec.label}: ${inSentence(spec.stepDown)}` : spec.label;
  const way = up === undefined ? own : `${own}, ${getWayUp(up).label}`;
  return variant === undefined ? way : `${way}, ${variantTable[variant]}`;
}

/**
 * Where a stage opens with support and hands are not laid on, the more supported version: the stage
 * that its step down is, if that is open as it stands.
 */
export function toSupported(
  stage: StageKey,
  person: OpenedCase,
  context: OptionContext,
): readonly PlannedOption[] {
  const { downTo } = getStageIn(person.school, stage).spec;
  if (downTo === undefined || !person.school.stages.has(downTo)) return [];
  const verdict = judge(downTo, person);
  if (verdict.kind !== 'advance') return [];
  const rank = { role: 'next', value: optionValues.nextWithSupport } as const;
  const found = toOptions(downTo, rank, verdict, person, context);
  if (typeof found === 'string') return [];
  return found.map((option): PlannedOption => ({
    ...option,
    role: 'nextWithSupport',
    why: `the more supported version of ${inSentence(getStageIn(person.school, stage).spec.label)}, hands off`,
  }));
}
