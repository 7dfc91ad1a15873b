/** A solved plan in full: places, ledgers, what became of the pins, and what there is to say. */
import type { RowInUse } from '../pieces/rows';
import { counted } from '../units/words';
import type { DrillBook } from '../catalog/drills';
import type { LadderId } from '../catalog/stage';
import { rungOfOption } from './optionId';
import { listDrills } from './drillChoice';
import { asksCounter, type PlannedOption } from './option';
import { placeEverybody, type Place } from './places';
import { roundOf, type BeforeById, type Posed } from './pose';
import type { Pin, PreparedClass, Wishes } from './prepared';
import { drillsOf } from './drillsOf';
import { outAsWished } from './saidBefore';
import {
  countTurns,
  firstOpen,
  keepsPin,
  stationKey,
  type Pattern,
  type RoundsProblem,
} from './problem';
import { composeWeights } from './worth';
import { solveQuickly, type RoundsPlan } from './solve';
import { parts } from './budget';
import { sayOrder } from './sayOrder';
import { closeTime, type TimelineItem } from './timeline';
import { addUp } from './usage';

export interface PlannedPerson {
  readonly id: string;
  /** `null`: not there in this round, or out. */
  readonly option: PlannedOption | null;
  readonly place: Place;
  /** Takes turns at the station with this one. */
  readonly sharesWith?: string;
}

export interface PlannedRound {
  readonly people: readonly PlannedPerson[];
  readonly pieces: readonly RowInUse[];
  /** Hands lent, the teacher's included. */
  readonly handsUsed: number;
  readonly handsOf: number;
  readonly teacherHelps: boolean;
}

export interface PinReport {
  readonly pin: Pin;
  readonly isKept: boolean;
  /** Why it is not kept, in words. */
  readonly why?: string;
}

export interface ClassPlan {
  readonly objective: number;
  readonly bound: number;
  readonly gapPercent: number;
  readonly stoppedBy: RoundsPlan['stoppedBy'];
  /** The rounds and the drills, each by itself. */
  readonly parts: {
    readonly rounds: { readonly objective: number; readonly bound: number };
    readonly drills: { readonly objective: number; readonly bound: number };
  };
  readonly leastShare: number;
  readonly timeline: readonly TimelineItem[];
  readonly rounds: readonly PlannedRound[];
  /** By student: option ids by round and the wall, for a later re-plan. */
  readonly before: BeforeById;
  readonly pins: readonly PinReport[];
  /** What the teacher should know; sentences. */
  readonly notes: readonly string[];
}

/** A solved plan with places, ledgers, pins and what there is to say. */
export function writePlan(
  posed: Posed,
  plan: RoundsPlan,
  prepared: PreparedClass,
  wishes: Wishes,
): ClassPlan {
  const { problem, ground, drills } = posed;
  const placed = plan.assignment.map((pattern, index) => ({
    id: problem.people[index]!.id,
    pattern,
  }));
  const places = placeEverybody(placed, problem.rounds, ground, problem.done);
  const usage = addUp(plan.assignment, problem.rounds);
  const rows = new Set(usage.pieces.flatMap((round) => [...round.keys()]));
  const rounds = Array.from({ length: problem.rounds }, (_, round): PlannedRound => {
    const hands = usage.hands[round]!;
    return {
      handsUsed: hands,
      handsOf: problem.helpers[round]!,
      teacherHelps: hands > problem.helpers[round]!,
      pieces: [...rows].map((row) => ({
        row,
        used: usage.pieces[round]!.get(row) ?? 0,
        of: problem.pieces[row] ?? 0,
        ...problem.rowFacts?.[row],
      })),
      people: placed.map(({ id, pattern }): PlannedPerson => {
        const place = places[round]!.get(id)!;
        const partner = findPartner(placed, id, pattern, round, places[round]!);
        return {
          id,
          option: pattern.options[round] as PlannedOption | null,
          place,
          ...(partner === undefined ? {} : { sharesWith: partner }),
        };
      }),
    };
  });
  // Who finds no floor of their own takes turns, and turns count as turns do at a wall.
  const turned = rounds.flatMap(({ people }) => people.filter(isTurned));
  const lost = turned.reduce(
    (sum, { option }) => sum + (1 - composeWeights.shared) * (option?.value ?? 0),
    0,
  );
  const objective = plan.objective + drills.value - lost;
  const bound = plan.bound + drills.bound;
  const pins = reportPins(posed, plan.assignment, prepared, wishes);
  const held = prepared.families.filter((family) => {
    const isOut = outAsWished({ kind: 'counter', family }, wishes, drillsOf(prepared));
    return rounds.some(({ people }) =>
      people.some(
        ({ id, option }) =>
          asksCounter(option, family) && mayCounter(prepared, id, family) && !isOut(id),
      ),
    );
  });
  const timeline = closeTime(posed.timeline, held, { ...wishes, budget: posed.budget });
  return {
    objective,
    bound,
    gapPercent: objective > 0 ? (100 * (bound - objective)) / objective : 0,
    stoppedBy: plan.stoppedBy,
    parts: {
      rounds: { objective: plan.objective - lost, bound: plan.bound },
      drills: { objective: drills.value, bound: drills.bound },
    },
    leastShare: plan.leastShare,
    timeline,
    rounds,
    before: Object.fromEntries(
      placed.map(({ id, pattern }) => [
        id,
        { options: pattern.options.map((option) => option?.id ?? null), wall: pattern.wall },
      ]),
    ),
    pins,
    notes: describe(posed, plan.assignment, rounds, wishes, timeline, drillsOf(prepared), prepared),
  };
}

/**
 * Nobody is asked for a counterpose because of somebody who would sit it out. Whoever is asked at the
 * door before the shape is asked before what follows it.
 */
function mayCounter({ people }: PreparedClass, id: string, family: LadderId): boolean {
  const own = people.find((person) => person.id === id);
  return (
    own?.closedCounters?.includes(family) !== true || own.askedCounters?.includes(family) === true
  );
}

function findPartner(
  placed: readonly { readonly id: string; readonly pattern: Pattern }[],
  id: string,
  pattern: Pattern,
  round: number,
  places: ReadonlyMap<string, Place>,
): string | undefined {
  if (!pattern.shares || pattern.options[round] === null) return undefined;
  const own = places.get(id);
  const key = stationKey(pattern);
  const same = placed.filter((other) => stationKey(other.pattern) === key);
  if (own?.kind === 'lane') {
    return same.find((other) => {
      const theirs = places.get(other.id);
      return other.id !== id && theirs?.kind === 'lane' && theirs.fromM === own.fromM;
    })?.id;
  }
  const at = same.findIndex((other) => other.id === id);
  return same[at % 2 === 0 ? at + 1 : at - 1]?.id;
}

function reportPins(
  { problem, people, drills }: Posed,
  assignment: readonly Pattern[],
  prepared: PreparedClass,
  wishes: Wishes,
): PinReport[] {
  const find = (id: string) => people.findIndex((person) => person.id === id);
  return wishes.pins.map((pin): PinReport => {
    if (pin.kind === 'drill') {
      const isIn = drills.drills.some(({ drill }) => drill === pin.drill);
      if (isIn === pin.use) return { pin, isKept: true };
      const can = listDrills({
        drills: drillsOf(prepared),
        people,
        pieces: prepared.pieces,
      }).some(({ drill }) => drill === pin.drill);
      const why = !pin.use
        ? 'the running order of your own has it'
        : can
          ? 'the minutes do not hold it'
          : 'the cupboard does not hold its pieces, or it is closed to everybody here';
      return { pin, isKept: false, why };
    }
    const at = find(pin.person);
    if (at < 0) return { pin, isKept: false, why: 'not here tonight' };
    if (pin.kind === 'tired') return { pin, isKept: true };
    const person = people[at]!;
    const round = pin.round;
    const from = firstOpen(problem.people[at]!, problem.done);
    if (round !== undefined && round > problem.rounds) {
      return { pin, isKept: false, why: `there are ${problem.rounds} rounds` };
    }
    if (pin.kind === 'student') {
      const own = person.options.some((option) => option.id === pin.option);
      if (!own) {
        const wanted = rungOfOption(pin.option);
        const shut = person.shut.find(({ stage }) => stage === wanted);
        return { pin, isKept: false, why: shut?.why ?? 'not open to this student tonight' };
      }
      const isKept = keepsPin(assignment[at]!, { option: pin.option, ...roundOf(pin) }, from);
      return isKept ? { pin, isKept } : { pin, isKept, why: whyNot(problem, at) };
    }
    const span = problem.walls.find(({ id }) => id === pin.span);
    if (span === undefined) return { pin, isKept: false, why: 'this room has no such stretch' };
    const isKept = keepsPin(assignment[at]!, { wall: pin.span, ...roundOf(pin) }, from);
    return isKept ? { pin, isKept } : { pin, isKept, why: whyNot(problem, at) };
  });
}

/** Is there any evening of this student's that keeps the pins, were the room theirs alone? */
function whyNot(problem: RoundsProblem, at: number): string {
  const person = problem.people[at]!;
  const alone = { ...problem, people: [person], helpers: problem.helpers.map(() => 1) };
  const plan = solveQuickly(alone, 1);
  return plan.assignment[0]!.brokenPins === 0
    ? 'it would take what others hold: pins against pins, or more than there is'
    : 'no evening of this student keeps it: tired or not warm by then, a low ceiling, too few tries, or pins that contradict each other';
}

const isTurned = ({ place, option }: PlannedPerson): boolean =>
  place.kind === 'aside' && option !== null && option.isRest !== true;

function describe(
  { budget, drills, people, problem }: Posed,
  assignment: readonly Pattern[],
  rounds: readonly PlannedRound[],
  wishes: Wishes,
  timeline: readonly TimelineItem[],
  book: DrillBook,
  { pieces }: Pick<PreparedClass, 'pieces'>,
): string[] {
  const notes: string[] = [];
  if (budget.rounds < wishes.rounds) {
    notes.push(
      budget.rounds === 0
        ? `${wishes.minutes} min hold arriving, drills, counterposes and rest, and no rounds: from ${budget.leastMinutes} min on there is room for two.`
        : `${wishes.minutes} min hold ${counted(budget.rounds, 'round')} after a warm-up, not ${wishes.rounds}.`,
    );
  }
  const rest = timeline.find(({ kind }) => kind === 'rest')?.minutes ?? 0;
  if (rest > parts.rest.high && wishes.spare !== 'rest') {
    notes.push(
      `${Math.round(rest - parts.rest.high)} min are more than drills and rounds fill: add a round, or make the class shorter.`,
    );
  }
  notes.push(...sayOrder(wishes, timeline, drills.drills, book, { people, pieces }));
  if (people.length === 0) notes.push('Nobody comes: there is nothing to plan.');
  if (problem.walls.length === 0 && people.length > 0) {
    notes.push('No wall of this room can be used: everybody works on the floor.');
  }
  if (drills.cold.length > 0 && budget.rounds > 0) {
    notes.push(
      `No drill warms ${drills.cold.join(' and ')} for a minute in the time there is: tries that need them are left out.`,
    );
  }
  const idle = problem.people.filter((_, index) => countTurns(assignment[index]!) === 0);
  if (budget.rounds > 0 && idle.length > 0) {
    notes.push(
      `${idle.length === 1 ? 'One student rests' : `${idle.length} students rest`} throughout: nothing else is open, or nothing is left.`,
    );
  }
  rounds.forEach(({ people: placed }, index) => {
    const aside = placed.filter(isTurned).length;
    if (aside > 0) {
      notes.push(
        `Round ${index + 1}: the floor has no clear mat for ${aside}; let ${aside === 1 ? 'this one' : 'them'} take turns with a neighbour.`,
      );
    }
  });
  return notes;
}
