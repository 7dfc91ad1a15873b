/** From a judged person to what they may do tonight: the bridge between ladders and the composer. */
import { getStageIn } from '../catalog/school';
import type { LadderId, StageKey } from '../catalog/stage';
import type { OpenedCase } from '../ladder/case';
import { evaluateGate, hasReached } from '../ladder/gate';
import { restPass } from '../ladder/gatekeeper';
import { listNext } from '../ladder/stand';
import { judge } from '../ladder/verdict';
import { opensStage } from '../ladder/verdictKinds';
import { countRows } from '../pieces/rows';
import { withBeside } from './beside';
import { listInstead, type Measured } from './insteadOptions';
import {
  optionValues,
  type OptionContext,
  type PersonOptions,
  type PlannedOption,
  type Shut,
} from './option';
import { toOptions, toSupported, withoutHands, type Rank } from './stageOptions';

/** Each further step down, and each further one of the alternatives, is worth a little less. */
const furtherLess = { step: 0.03, leastStep: 0.2, instead: 0.02 } as const;

const resting: PlannedOption = {
  pass: restPass,
  id: 'rest',
  label: 'Rest, watching',
  role: 'rest',
  value: optionValues.rest,
  heightM: 0,
  pieces: [],
  props: [],
  loads: {},
  strains: [],
  why: 'nothing else is open tonight',
  atDoor: [],
  isRest: true,
};

/**
 * Everything one person may do in a round, judged: every rung that is open in the families of the
 * evening, above and below where they work, its side lines and branches, each with every way there
 * is to make it, and the shapes that stand in. The last is rest, for whoever is told to.
 */
export function listOptions(person: OpenedCase, context: OptionContext): PersonOptions {
  const options: PlannedOption[] = [];
  // The same shape is offered in every family: its set-up is worked out once.
  const measured: Measured = new Map();
  const shut: Shut[] = [];
  const seen = new Set<string>();
  const push = (option: PlannedOption) => {
    if (!seen.has(option.id)) options.push(option);
    seen.add(option.id);
  };
  for (const family of context.families) {
    for (const { stage, rank, isNear } of rankRungs(person, family)) {
      const verdict = judge(stage, person);
      const found = toOptions(stage, rank, verdict, person, context);
      if (typeof found !== 'string') {
        found.forEach(push);
        continue;
      }
      if (!isNear) continue;
      if (found === withoutHands && rank.role === 'next') {
        toSupported(stage, person, context).forEach(push);
      }
      const { label } = getStageIn(person.school, stage).spec;
      if (!shut.some((one) => one.stage === stage)) shut.push({ stage, label, why: found });
    }
    const instead = listInstead(family, person, context, measured);
    const order = [...new Set(instead.map(({ alternative }) => alternative))];
    for (const option of instead) {
      if (option.isRest) continue;
      push(lessBy(option, order.indexOf(option.alternative) * furtherLess.instead));
    }
  }
  push(resting);
  const [family] = context.families;
  const fallbacks = family === undefined ? [] : listInstead(family, person, context, measured);
  return { options: withBeside(options, countRows(context.pieces)), fallbacks, shut };
}

interface RankedRung {
  readonly stage: StageKey;
  readonly rank: Rank;
  /** Where somebody works, comes from or goes to: told why when it is shut. */
  readonly isNear: boolean;
}

/** The rungs of a ladder as they stand to somebody, what is worth most first. */
function rankRungs(person: OpenedCase, family: LadderId): RankedRung[] {
  const { school } = person;
  const present = person.present[family];
  const [next, ...asides] = listNext(person, family);
  const below = rungsBelow(person, present);
  // A rung that a first look need not open is left for another evening.
  const mayLead = (stage: StageKey) => {
    const { isAttempt, isFree, needsExit, columns } = getStageIn(school, stage).spec;
    return !isAttempt && !isFree && !needsExit && !columns.includes('neck');
  };
  const ranked = school.ladders[family].flatMap((stage): RankedRung[] => {
    const rung = (rank: Rank, isNear = false) => [{ stage, rank, isNear }];
    if (stage === next) return rung({ role: 'next', value: optionValues.next }, true);
    if (stage === present) return rung({ role: 'present', value: optionValues.present }, true);
    const steps = below.indexOf(stage);
    if (steps >= 0) {
      const value = optionValues.stepDown - steps * furtherLess.step;
      const least = Math.max(furtherLess.leastStep, value);
      return rung({ role: 'stepDown', value: least }, steps === 0);
    }
    if (asides.includes(stage)) return rung({ role: 'aside', value: optionValues.aside });
    const { after } = getStageIn(school, stage).spec;
    const isReached = after.length === 0 || after.some((one) => hasReached(school, present, one));
    if (isReached) return rung({ role: 'aside', value: optionValues.aside });
    if (!mayLead(stage)) return [];
    // What checks have opened was earned; what asks for nothing is climbed to, rung by rung.
    const isEarned = (evaluateGate(stage, person) ?? []).some(
      ({ standIn, isAtDoor }) => standIn === undefined && isAtDoor === undefined,
    );
    const rank = { role: 'ahead', value: optionValues.ahead } as const;
    return rung(isEarned ? rank : { ...rank, needsFirst: true });
  });
  return ranked.sort((a, b) => b.rank.value - a.rank.value);
}

/** What was climbed on the way to where somebody works, the nearest open one first. */
function rungsBelow(person: OpenedCase, present: StageKey | undefined): StageKey[] {
  const ways = present === undefined ? [] : (person.school.stages.get(present)?.ways ?? []);
  const [shortest] = [...ways].sort((a, b) => a.path.length - b.path.length);
  if (shortest === undefined) return [];
  const path = shortest.path.slice(0, -1).reverse();
  const open = path.filter((stage) => opensStage(judge(stage, person).kind));
  return [...open, ...path.filter((stage) => !open.includes(stage))];
}

const lessBy = (option: PlannedOption, less: number): PlannedOption => ({
  ...option,
  value: option.value - less,
});
