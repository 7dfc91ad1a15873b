/** From a judged person to what they may do tonight: the bridge between ladders and the composer. */
import { baseIds } from '../catalog/checks';
import { alternativeIds, getAlternative, type AlternativeId } from '../catalog/alternatives';
import type { DrillKey, DrillSpec } from '../catalog/drills';
import {
  closedRegions,
  type BodyRegion,
  type PainPlace,
  type RegionLoads,
} from '../catalog/regions';
import { getStageIn } from '../catalog/school';
import { inSentence } from '../units/words';
import type { LadderId, StageKey, StageShape, StageSpec } from '../catalog/stage';
import { passTo } from '../ladder/alternative';
import type { OpenedCase } from '../ladder/case';
import {
  careFor,
  isOpenUnasked,
  letThrough,
  liftsFeet,
  restPass,
  type Pass,
  regionsOf,
  thingOfAlternative,
  thingOfCheck,
  thingOfDrill,
} from '../ladder/gatekeeper';
import { closedKey } from '../running/closedKey';
import { listNext } from '../ladder/stand';
import { judge, opensStage, type Verdict } from '../ladder/verdict';
import type { Capacities } from '../fatigue/reserve';
import { fromLogScale } from '../readiness/level';
import type { PieceCount } from '../catalog/pieces';
import { spaceFor, wallLane } from '../room/space';
import { pace, triesBorne } from './pace';
import { addPieces, findLiftPieces, findSetup, type StageWay } from './needs';
import type { SetupId } from '../setups/registry';
import { toSetupInput, type Sized } from '../ladder/sized';
import { distanceWords, type DistanceId } from '../setups/distanceWords';
import type { SetupResult, Variant } from '../setups/setup';
import type { RoundOption } from './problem';
import { rowsTaken } from './resources';

/** What a round of each is worth, in one table (handbook 08: what it strives for). */
export const optionValues = {
  next: 1,
  nextWithSupport: 0.9,
  present: 0.7,
  stepDown: 0.45,
  alternative: 0.4,
  rest: 0.05,
} as const;

export type OptionRole = keyof typeof optionValues;
export const optionRoles = Object.keys(optionValues) as [OptionRole, ...OptionRole[]];

/** One figure of a set-up as it is set out. */
export interface PlannedFigure {
  readonly id: DistanceId;
  readonly metres: number;
  /** Found by trying, and kept. */
  readonly isFound?: true;
}

/** What is set out by the tape; what only explains it stays on the card. */
function figuresOf(result: SetupResult | null): Pick<PlannedOption, 'figures'> {
  const figures = (result?.distances ?? [])
    .filter(({ id }) => distanceWords[id].mayKeep)
    .map(({ id, metres, found }): PlannedFigure => ({
      id,
      metres,
      ...(found === undefined ? {} : { isFound: true as const }),
    }));
  return figures.length === 0 ? {} : { figures };
}

/** An option as the plan file names it. */
export interface PlannedOption extends RoundOption {
  /** The gatekeeper's: without it nothing is an option. */
  readonly pass: Pass;
  readonly label: string;
  readonly stage?: StageKey;
  readonly alternative?: AlternativeId;
  readonly family?: LadderId;
  /** What stands in for the block. */
  readonly variant?: Variant;
  readonly role: OptionRole;
  readonly why: string;
  /** What is laid out, by the row of the cupboard it comes from. */
  readonly props: readonly PieceCount[];
  readonly loads: RegionLoads;
  /** Strained besides: pain there closes it. */
  readonly strains: readonly BodyRegion[];
  readonly shape?: StageShape;
  readonly recipe?: SetupId;
  /** Wrist or elbow to the wall, metres, where a set-up measures it. */
  readonly baseM?: number;
  /** What is set out by the tape, that distance included; absent: nothing is measured. */
  readonly figures?: readonly PlannedFigure[];
  /** Radius of a clear circle, metres. */
  readonly radiusM?: number;
  /** Checks of the day to confirm first; the fallback stands beside it. */
  readonly atDoor: readonly string[];
  /** What is done where one of them is not confirmed: another option of the same person. */
  readonly fallback?: string;
  /** The student is asked before hands are laid on. */
  readonly asksFirst?: true;
  /** What a helper does. */
  readonly assist?: string;
  /** Tries in a round: as many as the dose asks and this student has in them. */
  readonly tries?: number;
  /** A foot leaves the floor: not for whoever keeps the feet down today. */
  readonly feetUp?: true;
  /** What to do differently and look at; for the teacher alone. */
  readonly watch?: readonly string[];
}

export interface OptionContext extends Sized {
  readonly families: readonly LadderId[];
  readonly ceilingM: number;
  readonly pieces: readonly PieceCount[];
}

/** A stage that the verdict opens and something else does not. */
export interface Shut {
  readonly stage: StageKey;
  readonly label: string;
  readonly why: string;
}

export interface PersonOptions {
  readonly options: readonly PlannedOption[];
  /** Every shape that would do instead, in the order they are offered; for who gets sore tonight. */
  readonly fallbacks: readonly PlannedOption[];
  readonly shut: readonly Shut[];
}

const usualBaseM = 0.5;
/** Alternatives and other shapes on a mat or a chair stay under this. */
const lowShapeM = 1.5;

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
  why: 'nothing else is free in this round',
  atDoor: [],
  isRest: true,
};

/** Everything one person may do in a round, judged; the last takes nothing. */
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
    const present = person.present[family];
    const [next] = listNext(person, family);
    const below = rungsBelow(person, present);
    const before = below.find((stage) => opensStage(judge(stage, person).kind)) ?? below[0];
    for (const [stage, role] of [
      [next, 'next'],
      [present, 'present'],
      [before, 'stepDown'],
    ] as const) {
      if (stage === undefined || options.some((one) => one.stage === stage)) continue;
      const found = toOptions(stage, role, judge(stage, person), person, context);
      if (typeof found === 'string') {
        const { label } = getStageIn(person.school, stage).spec;
        if (found === withoutHands && role === 'next') {
          toSupported(stage, person, context).forEach(push);
        }
        if (!shut.some((one) => one.stage === stage)) shut.push({ stage, label, why: found });
      } else found.forEach(push);
    }
    const open = listInstead(family, person, context, measured);
    // The one that is offered, and the first ones after it that need no wall, or nothing at all.
    const plain = open.find(({ alongM }) => alongM === undefined);
    const bare = open.find((one) => one.alongM === undefined && one.pieces.length === 0);
    [open[0], plain, bare].forEach((option, index) => {
      if (option !== undefined && !option.isRest) push(lessBy(option, index * furtherLess));
    });
  }
  push(resting);
  const [family] = context.families;
  const fallbacks = family === undefined ? [] : listInstead(family, person, context, measured);
  return { options: withFallbacks(options), fallbacks, shut };
}

/** What was climbed on the way to where somebody works, the nearest first. */
function rungsBelow({ school }: OpenedCase, present: StageKey | undefined): StageKey[] {
  const ways = present === undefined ? [] : (school.stages.get(present)?.ways ?? []);
  const [shortest] = [...ways].sort((a, b) => a.path.length - b.path.length);
  return shortest === undefined ? [] : shortest.path.slice(0, -1).reverse();
}

/**
 * Beside whatever must be confirmed at the door stands the best that need not be, in the same
 * place. Both sets of props are out, and only one of them is used: the larger count of each.
 */
function withFallbacks(options: readonly PlannedOption[]): PlannedOption[] {
  return options.map((option) => {
    if (option.atDoor.length === 0) return option;
    const fits = options.filter(
      (other) =>
        other.atDoor.length === 0 &&
        other.needsCircle === undefined &&
        (other.alongM === undefined || option.alongM !== undefined) &&
        (other.needsHand === undefined || option.needsHand !== undefined) &&
        (other.isAttempt === undefined || option.isAttempt !== undefined),
    );
    const [beside] = [...fits].sort((a, b) => b.value - a.value);
    const most = new Map(option.pieces.map(({ piece, count }) => [piece, count]));
    for (const { piece, count } of beside!.pieces) {
      most.set(piece, Math.max(most.get(piece) ?? 0, count));
    }
    return {
      ...option,
      fallback: beside!.id,
      pieces: [...most].map(([piece, count]) => ({ piece, count })),
      heightM: Math.max(option.heightM, beside!.heightM),
      ...(option.alongM === undefined
        ? {}
        : { alongM: Math.max(option.alongM, beside!.alongM ?? 0) }),
    };
  });
}

/** @returns a sentence where something other than the ladder shuts it */
function toOptions(
  stage: StageKey,
  role: 'next' | 'present' | 'stepDown',
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
  const input = toSetupInput(person, context, context.pieces);
  const setup = findSetup(spec, input);
  const [usual] = setup.ways;
  if (usual === undefined) return setup.lack ?? 'the cupboard cannot make its set-up';
  const baseOf = ({ result }: StageWay) => result?.distances.find(({ id }) => id === 'base');
  const space = spaceFor(spec, context.body, {
    baseM: baseOf(usual)?.metres ?? usualBaseM,
    hasHelper: needsHand,
  });
  if (space.heightM > context.ceilingM + 1e-9) {
    return `needs ${space.heightM.toFixed(2)} m of height, the room has ${context.ceilingM.toFixed(2)} m`;
  }
  const uses = (standIn: string) => verdict.items.some((item) => item.standIn === standIn);
  const lift = uses('forearm-lift') ? findLiftPieces(input) : [];
  const wedge = uses('wedge') ? [{ piece: 'wedge', count: 1 } as const] : [];
  const strap = uses('strap') ? [{ piece: 'strap-180', count: 1 } as const] : [];
  const kind = role === 'next' && isSupported ? 'nextWithSupport' : role;
  const watch = verdict.caution.adaptations;
  const asked = spec.tries ?? pace.attemptsEachRound;
  const tries = spec.isAttempt === true ? triesBorne(spec.loads, asked, findCapacities(person)) : 0;
  const toWay = (way: StageWay): PlannedOption => {
    const { variant, props: own, less } = way;
    const base = baseOf(way);
    const props = addPieces(own, lift, wedge, strap);
    const isPlain = !needsHand && space.kind !== 'circle' && verdict.atDoor.length === 0;
    const isTry = spec.isAttempt === true && !isEased;
    const label = isEased ? `${spec.label}: ${inSentence(spec.stepDown)}` : spec.label;
    return {
      pass,
      id: [stage, isEased ? 'eased' : undefined, variant].filter(Boolean).join('+'),
      stage,
      family: spec.family,
      ...(variant === undefined ? {} : { variant }),
      label: variant === undefined ? label : `${label}, ${variant} version`,
      role: kind,
      value: optionValues[kind] - less,
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
      ...(isTry ? { isAttempt: true as const, tries } : {}),
      ...(liftsFeet(spec) ? { feetUp: true as const } : {}),
      ...(watch.length === 0 ? {} : { watch }),
      ...(isPlain && (space.kind === 'lane' || props.length > 0)
        ? { canShare: true as const }
        : {}),
      why: verdict.reasons[0]!,
      atDoor: verdict.atDoor,
    };
  };
  return setup.ways.map(toWay);
}

const withoutHands = 'only with support, and without hands-on help';

/**
 * Where a stage opens with support and hands are not laid on, the more supported version: the stage
 * that its step down is, if that is open as it stands.
 */
function toSupported(
  stage: StageKey,
  person: OpenedCase,
  context: OptionContext,
): readonly PlannedOption[] {
  const { downTo } = getStageIn(person.school, stage).spec;
  if (downTo === undefined || !person.school.stages.has(downTo)) return [];
  const verdict = judge(downTo, person);
  if (verdict.kind !== 'advance') return [];
  const found = toOptions(downTo, 'next', verdict, person, context);
  if (typeof found === 'string') return [];
  return found.map((option): PlannedOption => ({
    ...option,
    role: 'nextWithSupport',
    value: option.value - optionValues.next + optionValues.nextWithSupport,
    why: `the more supported version of ${inSentence(getStageIn(person.school, stage).spec.label)}, hands off`,
  }));
}

/** Each step down the list of alternatives is worth a little less. */
const furtherLess = 0.05;

const lessBy = (option: PlannedOption, less: number): PlannedOption => ({
  ...option,
  value: option.value - less,
});

/** Every shape that is open instead, in the order they are offered (handbook 07 "Always open"). */
function listInstead(
  family: LadderId,
  person: OpenedCase,
  context: OptionContext,
  measured: Measured,
): PlannedOption[] {
  return alternativeIds
    .flatMap((id) => {
      const pass = passTo(id, family, person);
      return pass === null ? [] : [{ id, pass }];
    })
    .flatMap(({ id, pass }) => toAlternative(id, pass, family, person, context, measured) ?? []);
}

/** What is set out for each alternative, as far as it was worked out; `null`: it cannot be made. */
type Measured = Map<AlternativeId, Pick<PlannedOption, 'figures' | 'props'> | null>;

function measureInstead(
  id: AlternativeId,
  spec: StageSpec | undefined,
  person: OpenedCase,
  context: OptionContext,
  measured: Measured,
): Pick<PlannedOption, 'figures' | 'props'> | null {
  const known = measured.get(id);
  if (known !== undefined) return known;
  const { pieces } = getAlternative(id);
  const found =
    spec?.recipe === undefined
      ? null
      : findSetup(spec, toSetupInput(person, context, context.pieces));
  const [way] = found?.ways ?? [];
  // What stands on a stack takes what its stack is made of, for this body.
  const made =
    found === null
      ? { props: pieces }
      : way === undefined
        ? null
        : { ...figuresOf(way.result), props: way.props.length > 0 ? way.props : pieces };
  measured.set(id, made);
  return made;
}

function toAlternative(
  id: AlternativeId,
  pass: Pass,
  family: LadderId,
  person: OpenedCase,
  context: OptionContext,
  measured: Measured,
): PlannedOption | null {
  const { school } = person;
  const { body } = context;
  const {
    label,
    loads,
    strains,
    stage,
    columns,
    shape: own,
    needsWall: atWall,
    isRest,
  } = getAlternative(id);
  const spec = stage === undefined ? undefined : school.stages.get(stage)?.spec;
  const needsWall = spec?.needsWall === true || atWall === true;
  const lane = wallLane(body, usualBaseM);
  const shape = spec?.shape ?? own ?? undefined;
  const made = measureInstead(id, spec, person, context, measured);
  if (made === null) return null;
  const { watch } = careFor(person, thingOfAlternative(person, getAlternative(id), family));
  return {
    pass,
    id: `instead-${id}`,
    alternative: id,
    family,
    label,
    role: 'alternative',
    value: isRest ? optionValues.rest : optionValues.alternative,
    heightM: lowShapeM,
    ...(needsWall ? { alongM: lane.alongM, outM: lane.outM } : {}),
    ...(shape === undefined ? {} : { shape }),
    ...made,
    pieces: rowsTaken(made.props),
    ...(liftsFeet(spec ?? { columns }) ? { feetUp: true as const } : {}),
    ...(watch.length === 0 ? {} : { watch }),
    loads,
    strains,
    why: 'the same place in the class',
    atDoor: [],
    ...(isRest ? { isRest: true as const } : {}),
  };
}

/** What is left to somebody who says at the door that it hurts: the same functions, one place more. */
export function withoutSore(
  { options, fallbacks }: Pick<PersonOptions, 'options' | 'fallbacks'>,
  places: readonly PainPlace[],
): PlannedOption[] {
  const sore = new Set(places.flatMap((place) => [...closedRegions(place)]));
  const loadsSore = (option: PlannedOption) => regionsOf(option).some((region) => sore.has(region));
  const left = options.filter((option) => !loadsSore(option));
  const instead = fallbacks.find((option) => !loadsSore(option));
  const known = new Set(left.map(({ id }) => id));
  const more = instead === undefined || known.has(instead.id) ? [] : [instead];
  // A fallback that now hurts is none; what needs one is not planned without it.
  return [...more, ...left].filter(({ fallback }) => fallback === undefined || known.has(fallback));
}

/** What is left to somebody who keeps the feet down today; why is nobody's to ask. */
export const keepingFeetDown = (options: readonly PlannedOption[]): PlannedOption[] => {
  const left = options.filter(({ feetUp }) => feetUp !== true);
  const known = new Set(left.map(({ id }) => id));
  return left.filter(({ fallback }) => fallback === undefined || known.has(fallback));
};

/**
 * May this person do this drill? What leaves the floor or puts weight on the crown asks for what its
 * stage asks for, and nothing that would have to be asked at the door first: a drill is no filler.
 */
export function passToDrill(person: OpenedCase, drill: DrillSpec): Pass | null {
  const pass = letThrough(person, thingOfDrill(person, drill));
  if (pass === null) return null;
  const { asStage } = drill;
  if (asStage === undefined) return pass;
  if (!person.school.stages.has(asStage)) return null;
  const { kind, atDoor } = judge(asStage, person);
  return opensStage(kind) && atDoor.length === 0 ? pass : null;
}

export const isDrillOpen = (person: OpenedCase, drill: DrillSpec): boolean =>
  passToDrill(person, drill) !== null;

/** The drills that are open to somebody: what is not among them is not told to them. */
export const listDrillPasses = (person: OpenedCase): Readonly<Record<DrillKey, Pass>> =>
  Object.fromEntries(
    Object.entries(person.school.catalog.drills).flatMap(([key, drill]) => {
      const pass = passToDrill(person, drill);
      return pass === null ? [] : [[key, pass] as const];
    }),
  );

/** Drills that cautions, pains and gates keep from this person. */
export function listClosedDrills(person: OpenedCase): DrillKey[] {
  return Object.entries(person.school.catalog.drills).flatMap(([key, drill]) => {
    return isDrillOpen(person, drill) ? [] : [key];
  });
}

/** Checks whose shape a caution, a sign or pain closes, by base where they are kept apart by base. */
export function listClosedChecks(person: OpenedCase): string[] {
  return [...person.school.checks].flatMap(([check, { spec }]) =>
    (spec.byBase ? baseIds : [null]).flatMap((base) => {
      const thing = thingOfCheck(person, check, base ?? undefined);
      const isOpen = thing !== null && isOpenUnasked(person, thing);
      return isOpen ? [] : [closedKey(check, base)];
    }),
  );
}

/** Checks that keep somebody from the next stage, the weakest first, with what they count for. */
export function listWeakChecks(
  person: OpenedCase,
  families: readonly LadderId[],
): { readonly check: string; readonly weight: number }[] {
  const weights = new Map<string, number>();
  for (const family of families) {
    const [next] = listNext(person, family);
    if (next === undefined) continue;
    const verdict = judge(next, person);
    if (verdict.kind === 'stop') continue;
    verdict.items
      .filter(({ status, isAtDoor }) => status !== 'met' && !isAtDoor)
      .forEach((item, index) => {
        if (!('check' in item.demand)) return;
        const weight = 1 / (index + 1);
        const known = weights.get(item.demand.check) ?? 0;
        weights.set(item.demand.check, Math.max(known, weight));
      });
  }
  return [...weights].map(([check, weight]) => ({ check, weight }));
}

/** Seconds a student can hold, where the holds behind it were seen. */
export function findCapacities(person: OpenedCase): Capacities {
  const secondsOf = (check: 'dolphin-hold' | 'plank-hold' | 'hollow-hold'): number | null => {
    const level = person.school.checks.has(check)
      ? person.assessor.histories(check)[0]!.level
      : null;
    return level === null ? null : fromLogScale('hold', level.mean);
  };
  const dolphin = secondsOf('dolphin-hold');
  const plank = secondsOf('plank-hold');
  const hollow = secondsOf('hollow-hold');
  return {
    ...(dolphin === null
      ? {}
      : {
          shoulder: { seconds: dolphin, referenceLoad: 0.6 },
          scapula: { seconds: dolphin, referenceLoad: 0.6 },
        }),
    ...(plank === null ? {} : { wrist: { seconds: plank, referenceLoad: 0.7 } }),
    ...(hollow === null ? {} : { core: { seconds: hollow, referenceLoad: 0.9 } }),
  };
}
