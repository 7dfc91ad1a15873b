/**
 * A class ready for composing: everybody judged, everything counted, nothing of anybody's health
 * left in it. Plain data, so that it can be handed to a worker or kept.
 */
import type { ClosedKey } from '../running/closedKey';
import type { CheckKey } from '../catalog/checks';
import { resolveBody, type BodyInput } from '../body/body';
import type { DrillBook, DrillKey } from '../catalog/drills';
import type { PieceCount } from '../catalog/pieces';
import type { BodyRegion, PainPlace, RegionLoads } from '../catalog/regions';
import { getCheckIn, getStageIn, type School } from '../catalog/school';
import type { LadderId, StageKey } from '../catalog/stage';
import type { ThemeId } from '../catalog/themes';
import type { Capacities } from '../fatigue/reserve';
import type { OpenedCase } from '../ladder/case';
import { basesUp, regionsOfCheck } from '../ladder/checkShape';
import { isOpenOnceAsked, isOpenUnasked, thingOfCounter, type Pass } from '../ladder/gatekeeper';
import { listCares, listRefused, type CareLine } from '../ladder/ledger';
import type { Refusal } from '../ladder/refusal';
import { isLittleKnown } from '../ladder/gatesAhead';
import { planChecks, type CheckSlot } from '../ladder/checkPlan';
import { rankChecks, type CheckWorth } from '../ladder/tonight';
import type { KeptDistance } from '../setups/kept';
import { keptDistances } from '../setups/registry';
import type { LengthUnits } from '../units/length';
import { rememberFor } from '../units/remember';
import {
  keepApart,
  partNeighbours,
  roomRules,
  usableSpans,
  type Room,
  type Span,
} from '../room/room';
import { listClosedChecks, listClosedDrills, listDrillPasses } from './openToday';
import type { PlannedOption, Shut } from './option';
import { listOptions } from './options';
import { findCapacities, listWeakChecks } from './strength';
import { listTooLarge } from './clearFloor';
import { deepestLane } from './places';
import { shareOut, type BudgetInput, type SpareChoice } from './budget';

export interface ClassPerson {
  readonly id: string;
  readonly body: BodyInput;
  /** Distances found by trying. */
  readonly kept?: readonly KeptDistance[];
  readonly opened: OpenedCase;
}

/** A choice of the teacher's. Rounds count from 1, as people say them. */
export type Pin =
  | {
      readonly kind: 'student';
      readonly person: string;
      readonly option: string;
      readonly round?: number;
    }
  | {
      readonly kind: 'station';
      readonly person: string;
      readonly span: string;
      readonly round?: number;
    }
  | { readonly kind: 'drill'; readonly drill: DrillKey; readonly use: boolean }
  /** The teacher overrules tiredness for this student, and answers for it. */
  | { readonly kind: 'tired'; readonly person: string };

/** What the teacher wants of the evening, and what happened at the door. */
export interface Wishes {
  readonly minutes: number;
  readonly rounds: number;
  readonly roundMinutes: number;
  readonly resetMinutes: number;
  /** Assistants throughout; the teacher is not one of them. */
  readonly helpers: number;
  readonly seed: number;
  readonly absent: readonly string[];
  /** Comes in time for this round, counted from 1. */
  readonly late: readonly { readonly person: string; readonly round: number }[];
  readonly sore: readonly { readonly person: string; readonly place: PainPlace }[];
  /** Keep the feet down tonight: they asked, and nobody asks why. */
  readonly feetDown?: readonly string[];
  readonly pins: readonly Pin[];
  /** A running order of the teacher's own: these drills, this long, in this order. */
  readonly order?: readonly { readonly drill: DrillKey; readonly minutes: number }[];
  /** What the evening is about besides; absent: the families alone. */
  readonly theme?: ThemeId;
  /** Where leftover minutes go; absent: to the drills. */
  readonly spare?: SpareChoice;
  /** Rounds that are over. */
  readonly done: number;
  /** The drills of a class that runs, as it was begun; absent: those that are chosen now. */
  readonly begun?: readonly DrillKey[];
  /** Expected late or not at all, and there from the start; absent: nobody. */
  readonly inTime?: readonly string[];
}

export interface PreparedPerson {
  readonly id: string;
  readonly heightM: number;
  readonly options: readonly PlannedOption[];
  readonly fallbacks: readonly PlannedOption[];
  /** Was open when the class began and is no longer: only for the rounds behind. */
  readonly gone?: readonly PlannedOption[];
  readonly shut: readonly Shut[];
  readonly capacities: Capacities;
  readonly weak: readonly { readonly check: CheckKey; readonly weight: number }[];
  readonly closedDrills: readonly DrillKey[];
  /** Drills that the gatekeeper lets them into; absent in classes begun before it was said. */
  readonly drillPasses?: Readonly<Partial<Record<DrillKey, Pass>>>;
  /** Families whose counterpose is closed to this person; absent in classes begun before it was asked. */
  readonly closedCounters?: readonly LadderId[];
  /** Those of them that open when the first questions are asked at the door and nothing is named. */
  readonly askedCounters?: readonly LadderId[];
  /** What the gatekeeper refuses tonight, for the teacher alone. */
  readonly refused?: readonly Refusal[];
  /** What to do differently in a drill, or after a family's holds; for the teacher alone. */
  readonly cares?: readonly CareLine[];
  /** Checks whose shape is closed to this person; absent in classes begun before it was asked. */
  readonly closedChecks?: readonly ClosedKey[];
  /** Loads of the holds among the checks worth taking from this person tonight. */
  readonly checkLoads: readonly RegionLoads[];
}

export interface PreparedSlot extends Omit<CheckSlot, 'people'> {
  readonly people: readonly { readonly id: string; readonly why: string }[];
  /** Regions that its shape loads or strains; absent in classes begun before it was said. */
  readonly regions?: readonly BodyRegion[];
  /** A foot leaves the floor. */
  readonly feetUp?: true;
}

export interface PreparedClass {
  readonly profile: { readonly key: string; readonly version: number };
  readonly room: Room;
  readonly spans: readonly Span[];
  readonly pieces: readonly PieceCount[];
  readonly families: readonly LadderId[];
  /** What the school has to choose from; absent in classes kept before there were own ones. */
  readonly drills?: DrillBook;
  /** What lies below each rung of these families; absent in classes kept before it was asked. */
  readonly below?: Readonly<Partial<Record<StageKey, readonly StageKey[]>>>;
  readonly people: readonly PreparedPerson[];
  readonly checks: readonly PreparedSlot[];
  readonly checkMinutes: number;
  /** Little is known of most who come: the evening is for looking. */
  readonly isLooking?: boolean;
}

export interface ClassInput extends BudgetInput {
  readonly room: Room;
  readonly pieces: readonly PieceCount[];
  readonly people: readonly ClassPerson[];
  readonly school: School;
  /** How long this studio counts a breath; absent: as is usual. */
  readonly breathSeconds?: number;
  /** What lengths are said in; absent: metres. */
  readonly units?: LengthUnits;
}

/** What one person brings to a class, whoever else comes. */
interface Brought {
  readonly person: Omit<PreparedPerson, 'checkLoads'>;
  readonly ranked: readonly CheckWorth[];
  readonly isLittleKnown: boolean;
}

type EveningOf = Pick<ClassInput, 'families' | 'pieces' | 'breathSeconds' | 'units'> & {
  readonly ceilingM: number;
};

/** Cases do not change: what was found for one is found for as long as it is the same one. */
const brought = rememberFor<OpenedCase, Brought>();

const bring = ({ opened, ...rest }: ClassPerson, evening: EveningOf): Brought =>
  brought(opened, JSON.stringify([rest, evening]), () => findBrought({ opened, ...rest }, evening));

function findBrought({ id, body, kept = [], opened }: ClassPerson, evening: EveningOf): Brought {
  const { families } = evening;
  const context = { ...evening, body: resolveBody(body), kept: keptDistances(kept) };
  return {
    person: {
      id,
      heightM: body.heightM,
      ...listOptions(opened, context),
      capacities: findCapacities(opened),
      weak: listWeakChecks(opened, families),
      closedDrills: listClosedDrills(opened),
      drillPasses: listDrillPasses(opened),
      closedChecks: listClosedChecks(opened),
      closedCounters: families.filter((family) => !isOpenUnasked(opened, thingOfCounter(family))),
      askedCounters: families.filter((family) => isOpenOnceAsked(opened, thingOfCounter(family))),
      refused: listRefused(opened, families),
      cares: listCares(opened, families),
    },
    ranked: rankChecks(opened, families),
    isLittleKnown: isLittleKnown(opened, families),
  };
}

function toPreparedSlot(
  { people: own, ...slot }: CheckSlot,
  people: readonly ClassPerson[],
  school: School,
): PreparedSlot {
  const { spec } = getCheckIn(school, slot.check);
  const up = basesUp(school, spec);
  return {
    ...slot,
    people: own.map(({ id, why }) => ({ id: people[id]!.id, why })),
    regions: regionsOfCheck(school, spec),
    ...(up.includes(null) || (slot.base !== undefined && up.includes(slot.base))
      ? { feetUp: true as const }
      : {}),
  };
}

/**
 * Judges everybody and counts everything: the slow half, done where the records are. Whoever was
 * judged for the same evening before is not judged again.
 */
export function prepareClass(input: ClassInput): PreparedClass {
  const { room, pieces, families, people, school } = input;
  const { breathSeconds, units } = input;
  const evening = {
    families,
    pieces,
    ceilingM: room.ceilingM,
    ...(breathSeconds === undefined ? {} : { breathSeconds }),
    ...(units === undefined ? {} : { units }),
  };
  const each = people.map((person) => bring(person, evening));
  const ranked = each.map((one, index) => ({ id: index, ranked: one.ranked }));
  const unknown = each.filter((one) => one.isLittleKnown).length;
  // Where little is known of most who come, the evening is for looking (handbook 08).
  const isLooking = unknown > people.length / 2;
  const budget = shareOut({ ...input, isLooking });
  const { slots, minutesUsed } =
    budget.checks > 0
      ? planChecks(school, ranked, budget.checks, isLooking)
      : { slots: [], minutesUsed: 0 };
  const prepared = each.map(({ person }, index): PreparedPerson => ({
    ...person,
    closedDrills: [
      ...new Set([
        ...person.closedDrills,
        ...listTooLarge(school.catalog.drills, room, person.heightM),
      ]),
    ],
    checkLoads: slots
      .filter(({ people: own }) => own.some((one) => one.id === index))
      .flatMap(({ check }) => school.checks.get(check)?.spec.loads ?? []),
  }));
  return {
    profile: { key: school.profile.key, version: school.profile.version },
    room,
    spans: spansFor(room, prepared),
    pieces,
    families,
    drills: school.catalog.drills,
    below: listBelow(school, families),
    checks: slots.map((slot) => toPreparedSlot(slot, people, school)),
    checkMinutes: Math.ceil(minutesUsed * 2) / 2,
    ...(isLooking ? { isLooking } : {}),
    people: prepared,
  };
}

function listBelow(
  school: School,
  families: readonly LadderId[],
): NonNullable<PreparedClass['below']> {
  const rungs = families.flatMap((family) => school.ladders[family]);
  return Object.fromEntries(
    rungs.map((rung) => {
      const paths = getStageIn(school, rung).ways.flatMap(({ path }) => path);
      return [rung, [...new Set(paths)].filter((one) => one !== rung)] as const;
    }),
  );
}

const openOf = ({ options, fallbacks }: PreparedPerson) => [...options, ...fallbacks];

function spansFor(room: Room, people: readonly PreparedPerson[]): Span[] {
  const options = people.flatMap(openOf).filter(({ alongM }) => alongM !== undefined);
  const bodies = people.map(({ heightM }) => roomRules.arcShare * heightM);
  const deep = deepestLane(options);
  // Legs on their way up reach as far out as the arc they describe about the base.
  const arc = Math.max(deep, ...options.map(({ baseM = 0 }) => baseM + Math.max(0, ...bodies)));
  const tries = options.filter(({ isAttempt }) => isAttempt).map(({ heightM }) => heightM);
  return partNeighbours(keepApart(room, usableSpans(room, arc), deep), Math.min(...tries));
}

/** Puts one person into a class that is running, or anew; everybody else stays as judged. */
export function putPerson(prepared: PreparedClass, person: PreparedPerson): PreparedClass {
  const before = prepared.people.find(({ id }) => id === person.id);
  const open = new Set(openOf(person).map(({ id }) => id));
  const gone = [...(before === undefined ? [] : openOf(before)), ...(before?.gone ?? [])].filter(
    ({ id }) => !open.has(id),
  );
  const own = gone.length === 0 ? person : { ...person, gone };
  const people =
    before === undefined
      ? [...prepared.people, own]
      : prepared.people.map((one) => (one === before ? own : one));
  return { ...prepared, spans: spansFor(prepared.room, people), people };
}
