'use client';

import { useMemo, useState } from 'react';
import { resolveBody, type Body } from '@/core/body/body';
import { shapeTable } from '@/core/catalog/shapes';
import type { BenchGhost } from '@/core/drawing/bench';
import type { FamilyId } from '@/core/posture/families';
import { UnreachableProblem } from '@/core/posture/geometry';
import { getDials, toPosture, usualValues, type DialValues } from '@/core/posture/handles';
import { computeLoads, type Loads } from '@/core/posture/loads';
import { InputProblem } from '@/core/problem';
import type { DistanceId } from '@/core/setup/distance';
import { getRecipe, type RecipeId } from '@/core/setup/recipes';
import type { BenchPerson, BenchView } from '@/server/views';

/** A body nobody has entered: a height typed on the bench. */
const strangerHeightM = 1.7;

export type Compare = 'nobody' | 'person' | 'shape';

export interface BenchState {
  readonly personId: number | null;
  readonly heightM: number;
  readonly family: FamilyId;
  readonly values: DialValues;
  readonly oneLeg: boolean;
  readonly compare: Compare;
  readonly otherPersonId: number | null;
  readonly otherFamily: FamilyId;
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

/** Which distances of which set-up a shape's dials begin with, so that bench and card agree. */
const beginnings: Readonly<
  Partial<Record<FamilyId, { recipe: RecipeId; dials: Readonly<Record<string, DistanceId>> }>>
> = {
  forearmStandWall: { recipe: 'forearm-kick', dials: { baseM: 'base' } },
  forearmWallL: { recipe: 'forearm-L', dials: { baseM: 'base', footHeightM: 'footHeight' } },
  wallL: { recipe: 'hand-L', dials: { baseM: 'base', footHeightM: 'footHeight' } },
  handstandWall: { recipe: 'hand-kick', dials: { baseM: 'base' } },
  shoulderStand: { recipe: 'platform', dials: { platformM: 'platformHeight' } },
  plough: { recipe: 'platform', dials: { platformM: 'platformHeight' } },
  liftedTuck: { recipe: 'lifted-tuck', dials: { blockM: 'blockHeight' } },
};

/** The newest values kept for this person in this shape, else those of its set-up. */
function startValues(
  { people, profile, pieces }: BenchView,
  personId: number | null,
  family: FamilyId,
  body: Body,
): DialValues {
  const setups = people.find(({ id }) => id === personId)?.setups ?? [];
  const kept = setups.filter((setup) => setup.family === family).at(-1);
  if (kept) return kept.values;
  const usual = usualValues(family, body);
  const beginning = beginnings[family];
  if (!beginning) return usual;
  const { distances } = getRecipe(beginning.recipe).solve({ body, profile, pieces });
  const fromSetup = Object.entries(beginning.dials).map(([dial, id]) => {
    const found = distances.find((distance) => distance.id === id);
    return [dial, found ? Math.round(found.metres * 100) / 100 : usual[dial]];
  });
  return { ...usual, ...Object.fromEntries(fromSetup) };
}

function trySolve(
  body: Body,
  family: FamilyId,
  values: DialValues,
  oneLeg: boolean,
): Loads | string {
  try {
    return computeLoads(body, toPosture(family, values, oneLeg));
  } catch (error) {
    if (error instanceof UnreachableProblem || error instanceof InputProblem) return error.message;
    throw error;
  }
}

/** Everything the bench knows; the posture follows each change, or stays at the last possible one. */
export function useBench(view: BenchView, firstPersonId: number | null, firstFamily: FamilyId) {
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

  const wanted = trySolve(body, state.family, state.values, state.oneLeg);
  const isReached = typeof wanted !== 'string';
  const fallback = useMemo(() => {
    const values = usualValues(state.family, body);
    const loads = trySolve(body, state.family, values, state.oneLeg);
    return typeof loads === 'string' ? null : { values, loads };
  }, [body, state.family, state.oneLeg]);
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
      const mayLift = 'mayLiftLeg' in shapeTable[next.family];
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
