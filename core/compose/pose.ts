/** From what is prepared and wished to the running order, and the rounds as a problem. */
import { entriesOf } from '../units/keyed';
import type { Highs } from 'highs';
import { closedRegions, type BodyRegion } from '../catalog/regions';
import type { DrillKey, DrillSpec } from '../catalog/drills';
import { drillLiftsFeet, regionsOf } from '../ladder/asked';
import { freshState, type FatigueState } from '../fatigue/reserve';
import { checksTonight } from './checksTonight';
import { countBeside, hasRoomForOne } from './clearFloor';
import type { DrillChoice } from './drillChoice';
import { planDrills } from './planDrills';
import { keepingFeetDown, withoutSore } from './leftOver';
import type { PlannedOption } from './option';
import { bearing, isBearable } from './pace';
import { deepestLane, type Ground } from './places';
import type { PreparedClass, PreparedPerson, Wishes } from './prepared';
import { drillsOf } from './drillsOf';
import type { Before, ComposePerson, PersonPin, RoundsProblem } from './problem';
import { countRows, factsOfRows } from '../pieces/rows';
import type { Room } from '../room/room';
import { missesDrills, placeOnLadder } from './onLadder';
import { listSittingOut } from './sittingOut';
import { settleSteps, shareOut, spareChoices, type Budget, type SpareChoice } from './budget';
import { layOutTime, stateAtRounds, type TimelineItem } from './timeline';

/** What stood before, by student; for changing as little as can be. */
export type BeforeById = Readonly<Record<string, Before>>;

/** Everything the rounds are solved from; kept beside a plan to ask "what if". */
export interface Posed {
  readonly problem: RoundsProblem;
  readonly people: readonly PreparedPerson[];
  readonly ground: Ground;
  readonly budget: Budget;
  readonly timeline: readonly TimelineItem[];
  readonly drills: DrillChoice;
  readonly starts: ReadonlyMap<string, FatigueState>;
  readonly roundSeconds: number;
}

type DrillList = readonly (readonly [DrillKey, DrillSpec])[];

function withFeetDown(
  person: PreparedPerson,
  drills: DrillList,
  rows: Readonly<Record<string, number>>,
): PreparedPerson {
  const options = keepingFeetDown(person.options, rows);
  const up = drills.flatMap(([drill, spec]) => (drillLiftsFeet(spec) ? [drill] : []));
  return {
    ...person,
    options,
    fallbacks: keepingFeetDown(person.fallbacks, rows),
    gone: [
      ...(person.gone ?? []),
      ...person.options.filter(({ id }) => !options.some((option) => option.id === id)),
    ],
    closedDrills: [...new Set([...person.closedDrills, ...up])],
  };
}

/** Those who come, with what is left to whoever is sore. */
function presentPeople(
  prepared: PreparedClass,
  { absent, sore, feetDown = [] }: Wishes,
): PreparedPerson[] {
  const drills = entriesOf(drillsOf(prepared));
  const rows = countRows(prepared.pieces);
  return prepared.people
    .filter(({ id }) => !absent.includes(id))
    .map((person) => (feetDown.includes(person.id) ? withFeetDown(person, drills, rows) : person))
    .map((person) => {
      const places = sore.filter((one) => one.person === person.id);
      if (places.length === 0) return person;
      // All at once: what stands in for one sore place must not load another.
      const options = withoutSore(
        person,
        places.map(({ place }) => place),
        rows,
      );
      const closed = new Set<BodyRegion>(places.flatMap(({ place }) => closedRegions(place)));
      const soreDrills = drills.flatMap(([drill, spec]) =>
        regionsOf(spec).some((region) => closed.has(region)) ? [drill] : [],
      );
      return {
        ...person,
        options,
        gone: [
          ...(person.gone ?? []),
          ...person.options.filter(({ id }) => !options.some((option) => option.id === id)),
        ],
        closedDrills: [...new Set([...person.closedDrills, ...soreDrills])],
        checkLoads: [],
      };
    });
}

/**
 * Without what takes a clear circle that the room has nowhere, nobody being at a wall: one who is
 * tall does not take a free stand from those who are not.
 */
function withinRoom(room: Room, people: readonly PreparedPerson[]): PreparedPerson[] {
  const fits = (option: PlannedOption) =>
    option.needsCircle === undefined || hasRoomForOne(room, option.radiusM ?? 0, option.heightM);
  return people.map((person) =>
    person.options.every(fits)
      ? person
      : {
          ...person,
          options: person.options.filter(fits),
          gone: [...(person.gone ?? []), ...person.options.filter((option) => !fits(option))],
        },
  );
}

/** Circles the floor takes at the size of the largest in use. */
function poseGround({ room, spans }: PreparedClass, people: readonly PreparedPerson[]) {
  const options = people.flatMap((person) => person.options);
  const free = options.filter(({ needsCircle }) => needsCircle);
  const circleM = Math.max(0, ...free.map(({ radiusM }) => radiusM ?? 0));
  const { most, rules, placeBeside } = countBeside(room, spans, {
    depthM: deepestLane(options),
    radiusM: circleM,
    heightM: Math.max(0, ...free.map(({ heightM }) => heightM)),
    most: people.filter((person) => person.options.some((one) => one.needsCircle)).length,
  });
  return { ground: { room, spans, placeBeside }, circles: most, circleRules: rules };
}

/** Everything up to the rounds, and the rounds as a problem. */
export function poseClass(
  highs: Highs | null,
  prepared: PreparedClass,
  wishes: Wishes,
  before: BeforeById = {},
): Posed {
  const coming = presentPeople(prepared, wishes);
  const isLooking = prepared.isLooking === true;
  const budgetInput = { ...wishes, families: prepared.families, isLooking };
  const shared = shareOut(budgetInput);
  // Minutes that no check is worth go to the drills.
  const hasChecks = wishes.begun !== undefined || checksTonight(prepared, wishes).length > 0;
  const checkMinutes = hasChecks ? Math.min(prepared.checkMinutes, shared.checks) : 0;
  // Where everybody would sit the cool-down out, its minutes go elsewhere.
  const mayCool =
    coming.length === 0 ||
    coming.some(
      (person) => listSittingOut({ kind: 'release', drill: 'cool-down' }, [person]).length === 0,
    );
  const budget = {
    ...shared,
    ...(mayCool ? {} : { release: 0 }),
    checks: checkMinutes,
    drills: shared.drills + shared.checks - checkMinutes,
  };
  const { choice, steps } = planDrills(highs, prepared, wishes, coming, budget);
  const drilled = wishes.begun ?? choice.drills.map(({ drill }) => drill);
  const people = withinRoom(prepared.room, coming).map((person) =>
    placeOnLadder(person, prepared, missesDrills(person.id, wishes, before) ? [] : drilled),
  );
  const lay = (settleMinutes: number, spare: SpareChoice) =>
    layOutTime({
      ...budgetInput,
      budget,
      steps,
      checkMinutes,
      settleMinutes,
      spare,
      isOwnOrder: wishes.order !== undefined,
    });
  const isOverruled = (id: string) =>
    wishes.pins.some((pin) => pin.kind === 'tired' && pin.person === id);
  const missing = new Set(
    people.flatMap(({ id }) => (missesDrills(id, wishes, before) ? [id] : [])),
  );
  // Who was not there for the drills is rested, and cold: no longer pause helps them.
  const trying = people.filter(
    ({ id, options }) => !missing.has(id) && options.some(({ isAttempt }) => isAttempt),
  );
  const readyAt = (timeline: readonly TimelineItem[]) => {
    const starts = new Map(
      people.map((person) => [
        person.id,
        missing.has(person.id) ? freshState : stateAtRounds(timeline, person),
      ]),
    );
    const round = timeline.find(({ kind }) => kind === 'round')?.minutes ?? wishes.roundMinutes;
    const roundSeconds = 60 * (round + wishes.resetMinutes);
    const fit = trying.filter(({ id, options, capacities }) =>
      options.some(
        (option) =>
          option.isAttempt && isBearable(starts.get(id)!, [option], roundSeconds, capacities),
      ),
    ).length;
    return { timeline, starts, roundSeconds, fit };
  };
  const { spare = 'drills' } = wishes;
  // The shortest pause before the rounds with which as many as can are fit to try; minutes left over
  // go elsewhere than asked only where that lets more of them.
  const orders = [spare, ...spareChoices.filter((one) => one !== spare && one !== 'rest')];
  let ready = readyAt(lay(settleSteps[0]!, spare));
  for (const order of orders) {
    for (const minutes of settleSteps) {
      if (ready.fit === trying.length) break;
      const other = readyAt(lay(minutes, order));
      if (other.fit > ready.fit) ready = other;
    }
  }
  const { roundSeconds } = ready;
  const { ground, circles, circleRules } = poseGround(prepared, people);
  const problem: RoundsProblem = {
    rounds: budget.rounds,
    walls: prepared.spans.map(({ id, wall, fromM, toM, lowestM }) => ({
      id,
      side: wall,
      lengthM: toM - fromM,
      lowestM,
      deepM: wall === 'north' || wall === 'south' ? prepared.room.depthM : prepared.room.widthM,
    })),
    circles,
    circleRules,
    pieces: countRows(prepared.pieces),
    rowFacts: factsOfRows(prepared.pieces),
    helpers: Array<number>(budget.rounds).fill(wishes.helpers),
    done: Math.min(wishes.done, budget.rounds),
    people: people.map((person): ComposePerson => {
      const { id, options, capacities } = person;
      const late = wishes.late.find((one) => one.person === id);
      const stood = before[id];
      const bears = bearing<PlannedOption>(ready.starts.get(id)!, roundSeconds, capacities);
      return {
        id,
        options: withOld(options, person, stood, wishes.done),
        mostAttempts: budget.rounds,
        ...(isOverruled(id)
          ? {}
          : {
              isBearable: (sequence) => bears(sequence as (PlannedOption | null)[]),
            }),
        pins: pinsOf(id, wishes, options),
        ...(late === undefined ? {} : { fromRound: Math.max(0, late.round - 1) }),
        ...(stood === undefined ? {} : { before: stood }),
      };
    }),
  };
  return {
    problem,
    people,
    ground,
    budget,
    timeline: ready.timeline,
    drills: choice,
    starts: ready.starts,
    roundSeconds,
  };
}

/** What somebody did in rounds that are over stays known, though it would be shut from now on. */
function withOld(
  options: readonly PlannedOption[],
  person: PreparedPerson,
  stood: Before | undefined,
  done: number,
): readonly PlannedOption[] {
  if (stood === undefined || done === 0) return options;
  return options.concat(
    [...person.options, ...person.fallbacks, ...(person.gone ?? [])]
      .filter(
        ({ id }) =>
          stood.options.slice(0, done).includes(id) && !options.some((option) => option.id === id),
      )
      .map((option) => ({ ...option, isPast: true as const })),
  );
}

function pinsOf(id: string, { pins }: Wishes, options: readonly PlannedOption[]): PersonPin[] {
  return pins.flatMap((pin): PersonPin[] => {
    if (pin.kind === 'student' && pin.person === id) {
      // What is shut to this student is no wish: it is reported, and asks nothing of the plan.
      if (!options.some((option) => option.id === pin.option)) return [];
      return [{ option: pin.option, ...roundOf(pin) }];
    }
    return pin.kind === 'station' && pin.person === id ? [{ wall: pin.span, ...roundOf(pin) }] : [];
  });
}

export const roundOf = ({ round }: { readonly round?: number | undefined }) =>
  round === undefined ? {} : { round: round - 1 };
