'use client';

import { useMemo, useState } from 'react';
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
import type { SetupInput } from '@/core/setups/setup';
import { toMeasuredRanges } from '@/core/shapes/posed';
import type { BenchPerson, BenchView } from '@/server/judging/views';

/** A body nobody has entered: a height typed on the bench. */
const strangerHeightM = 1.7;

export type Compare = 'nobody' | 'person' | 'shape';

export interface BenchState {
  readonly personId: number | null;
  readonly heightM: number;
  readonly family: ShapeId;
  readonly values: DialValues;
  readonly oneLeg: boolean;
  readonly compare: Compare;
  readonly otherPersonId: number | null;
  readonly otherFamily: ShapeId;
}

/** The last posture that closed, and the body it closed for. */
interface Reached {
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
  family: ShapeId,
  body: Body,
): DialValues {
  const setups = view.people.find(({ id }) => id === personId)?.setups ?? [];
  const saved = setups.filter((setup) => setup.family === family).at(-1);
  const input = benchInput(view, personId, body);
  // The main one first: of two that measure the same, its figure counts.
  const distances = getShape(family).setups.flatMap(
    (setup) => getSetup(setup).solve({ ...input, isBare: true }).distances,
  );
  const solved = valuesFrom(getDials(family), body, distances);
  // What no set-up measures stays as it was kept; the rest has its newest figure from there.
  return Object.fromEntries(
    getDials(family).map(({ parameter, unit, low, high, is }) => {
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
  family: ShapeId,
  values: DialValues,
  oneLeg: boolean,
  ranges: MeasuredRanges = {},
): Loads | string {
  try {
    return computeLoads(body, toPosture(family, values, oneLeg), ranges);
  } catch (error) {
    if (error instanceof UnreachableProblem || error instanceof InputProblem) return error.message;
    throw error;
  }
}

/** Everything the bench knows; the posture follows each change, or stays at the last possible one. */
export function useBench(view: BenchView, firstPersonId: number | null, firstFamily: ShapeId) {
  const { people } = view;
  const [state, setState] = useState<BenchState>(() => {
    const body = bodyOf(people, firstPersonId, strangerHeightM);
    return {
      personId: firstPersonId,
      heightM: strangerHeightM,
      family: firstFamily,
      values: startValues(view, firstPersonId, firstFamily, body),
      oneLeg: false,
      compare: 'nobody',
      otherPersonId: people.find(({ id }) => id !== firstPersonId)?.id ?? null,
      otherFamily: firstFamily === 'dolphin' ? 'forearmWallL' : 'dolphin',
    };
  });
  const body = useMemo(
    () => bodyOf(people, state.personId, state.heightM),
    [people, state.personId, state.heightM],
  );
  const [reached, setReached] = useState<Reached | null>(null);

  const ranges = useMemo(
    () => toMeasuredRanges(people.find(({ id }) => id === state.personId)?.ranges ?? {}),
    [people, state.personId],
  );
  const wanted = trySolve(body, state.family, state.values, state.oneLeg, ranges);
  const isReached = typeof wanted !== 'string';
  const fallback = useMemo(() => {
    const values = usualValues(state.family, body);
    const loads = trySolve(body, state.family, values, state.oneLeg, ranges);
    return typeof loads === 'string' ? null : { values, loads };
  }, [body, state.family, state.oneLeg, ranges]);
  // A posture another body could reach says nothing about this one.
  const last = reached?.body === body ? reached : null;
  const heldValues = isReached ? state.values : (last ?? fallback)?.values;
  const heldLoads = isReached ? wanted : (last ?? fallback)?.loads;

  const ghost = useMemo<BenchGhost | undefined>(() => {
    if (state.compare === 'nobody') return undefined;
    const otherBody =
      state.compare === 'person' ? bodyOf(people, state.otherPersonId, state.heightM) : body;
    const family = state.compare === 'shape' ? state.otherFamily : state.family;
    // Another person in the very same set-up; another shape at its usual one.
    const values =
      state.compare === 'person' && heldValues ? heldValues : usualValues(family, otherBody);
    const loads = trySolve(otherBody, family, values, false);
    return typeof loads === 'string' ? undefined : { body: otherBody, family, loads };
  }, [people, body, state, heldValues]);

  const change = (part: Partial<BenchState>) => {
    if (isReached) setReached({ body, values: state.values, loads: wanted });
    setState((old) => {
      const next = { ...old, ...part };
      const movesOn = part.family !== undefined || part.personId !== undefined;
      if (!movesOn) return next;
      setReached(null);
      const nextBody = bodyOf(people, next.personId, next.heightM);
      const mayLift = getShape(next.family).mayLiftLeg === true;
      return {
        ...next,
        oneLeg: next.oneLeg && mayLift,
        values: startValues(view, next.personId, next.family, nextBody),
      };
    });
  };

  const turn = (parameter: string, value: number) => {
    const dial = getDials(state.family).find((candidate) => candidate.parameter === parameter);
    if (!dial) return;
    const kept = Math.min(dial.high, Math.max(dial.low, value));
    change({ values: { ...(heldValues ?? state.values), [parameter]: kept } });
  };

  return {
    state,
    body,
    change,
    turn,
    ghost,
    values: heldValues ?? state.values,
    loads: heldLoads ?? null,
    problem: isReached ? null : wanted,
  };
}

export type Bench = ReturnType<typeof useBench>;
