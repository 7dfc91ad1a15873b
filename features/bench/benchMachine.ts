/**
 * The bench without a screen: whose body, which shape, its dials; the posture that follows them, or
 * the last one that closed.
 */
import { resolveBody, type Body } from '@/core/body/body';
import type { BenchGhost } from '@/core/drawing/bench';
import type { ShapeId } from '@/core/shapes/postures';
import { UnreachableProblem } from '@/core/posture/geometry';
import type { DialValues } from '@/core/shapes/dials';
import { getShape } from '@/core/shapes/registry';
import { getDials, toPosture, usualValues, valuesFrom } from '@/core/shapes/values';
import { computeLoads, type Loads, type MeasuredRanges } from '@/core/shapes/loads';
import { InputProblem } from '@/core/problem';
import { getSetup, keptDistances } from '@/core/setups/registry';
import { forearmsAlong, type AlongLine } from '@/core/setups/forearms';
import type { SetupInput } from '@/core/setups/setup';
import { toMeasuredRanges } from '@/core/shapes/posed';
import type { BenchPerson, BenchView } from '@/server/judging/views';

/** A body nobody has entered: a height typed on the bench, metres. */
export const strangerHeights = { usual: 1.7, low: 1.2, high: 2.2 } as const;

export type Compare = 'nobody' | 'person' | 'shape';

export interface BenchState {
  readonly personId: number | null;
  readonly heightM: number;
  readonly shape: ShapeId;
  readonly values: DialValues;
  readonly oneLeg: boolean;
  readonly compare: Compare;
  readonly otherPersonId: number | null;
  readonly otherShape: ShapeId;
}

/** A posture that closed, and the body it closed for. */
export interface Reached {
  readonly body: Body;
  readonly values: DialValues;
  readonly loads: Loads;
}

function bodyOf(people: readonly BenchPerson[], personId: number | null, heightM: number): Body {
  const person = people.find(({ id }) => id === personId);
  return resolveBody(person?.body ?? { heightM });
}

/** What the set-ups of a person, or of a body nobody has entered, are worked out from. */
export function benchInput(
  { people, profile, profileSettings, pieces }: BenchView,
  personId: number | null,
  body: Body,
): SetupInput {
  const person = people.find(({ id }) => id === personId);
  return {
    body,
    profile,
    settings: profileSettings,
    pieces,
    ...person?.ranges,
    kept: keptDistances(person?.kept ?? []),
  };
}

/** The newest values kept for this person in this shape, else those of its set-up. */
function startValues(
  view: BenchView,
  personId: number | null,
  shape: ShapeId,
  body: Body,
): DialValues {
  const setups = view.people.find(({ id }) => id === personId)?.setups ?? [];
  const saved = setups.filter((setup) => setup.family === shape).at(-1);
  const input = benchInput(view, personId, body);
  // The main one first: of two that measure the same, its figure counts.
  const distances = getShape(shape).setups.flatMap(
    (setup) => getSetup(setup).solve({ ...input, isBare: true }).distances,
  );
  const solved = valuesFrom(getDials(shape), body, distances);
  // What no set-up measures stays as it was kept; the rest has its newest figure from there.
  return Object.fromEntries(
    getDials(shape).map(({ parameter, unit, low, high, is }) => {
      const isSolved = is !== undefined && distances.some(({ id }) => id === is);
      const value = (isSolved ? undefined : saved?.values[parameter]) ?? solved[parameter];
      const step = unit === 'm' ? 100 : 1;
      return [
        parameter,
        Math.min(high, Math.max(low, unit === 'share' ? value! : Math.round(value! * step) / step)),
      ];
    }),
  );
}

function trySolve(
  body: Body,
  shape: ShapeId,
  values: DialValues,
  oneLeg: boolean,
  ranges: MeasuredRanges = {},
): Loads | string {
  try {
    return computeLoads(body, toPosture(shape, values, oneLeg), ranges);
  } catch (error) {
    if (error instanceof UnreachableProblem || error instanceof InputProblem) return error.message;
    throw error;
  }
}

/** What is shown of a state. */
export interface Held {
  readonly body: Body;
  readonly values: DialValues;
  readonly loads: Loads | null;
  /** How forearms and hands run, in shapes that have chosen hands. */
  readonly along: AlongLine;
  /** Why the posture cannot follow the dials any further; `null`: it does. */
  readonly problem: string | null;
  readonly ghost?: BenchGhost;
}

export interface BenchMachine {
  readonly state: BenchState;
  /** The last posture that closed for this body in this shape. */
  readonly reached: Reached | null;
}

export function beginBench(
  view: BenchView,
  personId: number | null,
  shape: ShapeId,
  heightM: number = strangerHeights.usual,
): BenchMachine {
  const body = bodyOf(view.people, personId, heightM);
  return {
    state: {
      personId,
      heightM,
      shape,
      values: startValues(view, personId, shape, body),
      oneLeg: false,
      compare: 'nobody',
      otherPersonId: view.people.find(({ id }) => id !== personId)?.id ?? null,
      otherShape: shape === 'dolphin' ? 'forearmWallL' : 'dolphin',
    },
    reached: null,
  };
}

const rangesOf = ({ people }: BenchView, { personId }: BenchState): MeasuredRanges =>
  toMeasuredRanges(people.find(({ id }) => id === personId)?.ranges ?? {});

const solve = (view: BenchView, state: BenchState, body: Body): Loads | string =>
  trySolve(body, state.shape, state.values, state.oneLeg, rangesOf(view, state));

const alongOf = (view: BenchView, personId: number | null, body: Body): AlongLine =>
  forearmsAlong(benchInput(view, personId, body));

function ghostOf(
  view: BenchView,
  state: BenchState,
  body: Body,
  values: DialValues | undefined,
): BenchGhost | undefined {
  if (state.compare === 'nobody') return undefined;
  const otherId = state.compare === 'person' ? state.otherPersonId : state.personId;
  const otherBody = state.compare === 'person' ? bodyOf(view.people, otherId, state.heightM) : body;
  const shape = state.compare === 'shape' ? state.otherShape : state.shape;
  // Another person in the very same set-up; another shape at its usual one.
  const own = state.compare === 'person' && values ? values : usualValues(shape, otherBody);
  const loads = trySolve(otherBody, shape, own, false);
  if (typeof loads === 'string') return undefined;
  return { body: otherBody, shape, loads, along: alongOf(view, otherId, otherBody) };
}

/** The posture that is shown: of the dials where it closes, else the last one that did. */
export function holdBench(view: BenchView, { state, reached }: BenchMachine): Held {
  const body = bodyOf(view.people, state.personId, state.heightM);
  const along = alongOf(view, state.personId, body);
  const wanted = solve(view, state, body);
  if (typeof wanted !== 'string') {
    const ghost = ghostOf(view, state, body, state.values);
    const held = { body, along, values: state.values, loads: wanted, problem: null };
    return { ...held, ...(ghost && { ghost }) };
  }
  const usual = { ...state, values: usualValues(state.shape, body) };
  const fallback = solve(view, usual, body);
  const last =
    reached ??
    (typeof fallback === 'string' ? null : { body, values: usual.values, loads: fallback });
  const ghost = ghostOf(view, state, body, last?.values);
  return {
    body,
    along,
    values: last?.values ?? state.values,
    loads: last?.loads ?? null,
    problem: wanted,
    ...(ghost && { ghost }),
  };
}

/** For another height: what stood at its own place moves to the new one, what was turned stays. */
function outgrow(view: BenchView, { shape, heightM, values }: BenchState, nextM: number) {
  const own = startValues(view, null, shape, bodyOf(view.people, null, heightM));
  const next = startValues(view, null, shape, bodyOf(view.people, null, nextM));
  return Object.fromEntries(
    Object.entries(values).map(([parameter, value]) => [
      parameter,
      value === own[parameter] ? (next[parameter] ?? value) : value,
    ]),
  );
}

/** A part of the state changed. Another body or shape begins at its own set-up. */
export function changeBench(
  view: BenchView,
  machine: BenchMachine,
  part: Partial<BenchState>,
): BenchMachine {
  const { state } = machine;
  const next = { ...state, ...part };
  if (part.shape !== undefined || part.personId !== undefined) {
    const body = bodyOf(view.people, next.personId, next.heightM);
    const mayLift = getShape(next.shape).mayLiftLeg === true;
    return {
      state: {
        ...next,
        oneLeg: next.oneLeg && mayLift,
        values: startValues(view, next.personId, next.shape, body),
      },
      reached: null,
    };
  }
  // A posture another body could reach says nothing about this one.
  if (part.heightM !== undefined && state.personId === null) {
    return { state: { ...next, values: outgrow(view, state, part.heightM) }, reached: null };
  }
  const body = bodyOf(view.people, state.personId, state.heightM);
  const closed = solve(view, state, body);
  return {
    state: next,
    reached:
      typeof closed === 'string' ? machine.reached : { body, values: state.values, loads: closed },
  };
}

/** A dial turned, within its range, from where the posture is. */
export function turnBench(
  view: BenchView,
  machine: BenchMachine,
  parameter: string,
  value: number,
): BenchMachine {
  const dial = getDials(machine.state.shape).find((one) => one.parameter === parameter);
  if (dial === undefined) return machine;
  const kept = Math.min(dial.high, Math.max(dial.low, value));
  const { values } = holdBench(view, machine);
  return changeBench(view, machine, { values: { ...values, [parameter]: kept } });
}
