/** From the taps of a class to how it stands: a pure function of the set, in any order. */
import type { CheckInClass } from '../catalog/keys';
import type { BaseId, FaultId, CheckKey } from '../catalog/checks';
import type { PainPlace, StopSign } from '../catalog/regions';
import type { PlanFile } from '../files/planFile';
import type { Side } from '../readiness/record';
import { readClock, type ClassClock, type Elapsed } from './clock';
import type { ActOf, FloorAct, Tap } from './tap';
import { tapId } from './taps';

export interface HoldPerson {
  readonly person: string;
  /** Null: still up, or up when the clock was stopped. */
  readonly down: Elapsed | null;
  readonly faults: readonly FaultId[];
}

export interface Hold {
  readonly id: string;
  readonly check: CheckKey | null;
  readonly base: BaseId | null;
  readonly side: Side | null;
  readonly people: readonly HoldPerson[];
  readonly startedMs: number;
  /** Which tap started it: the page that made it counts from its own clock. */
  readonly start: Tap;
  /** How long until the clock was stopped; null while it runs. */
  readonly stopped: Elapsed | null;
  /** The teacher's word on times the clocks disagree about; null: not asked yet. */
  readonly settled: boolean | null;
}

export interface Try extends Omit<ActOf<'try'>, 'kind'> {
  readonly id: string;
  readonly atMs: number;
}

export interface Seen extends Omit<ActOf<'seen'>, 'kind'> {
  readonly id: string;
}

/** Why somebody's attempt was ended. */
export interface Halt {
  readonly id: string;
  readonly person: string;
  readonly atMs: number;
  readonly sign?: StopSign;
  readonly place?: PainPlace;
}

export interface FloorState {
  readonly segment: number;
  readonly segmentSinceMs: number | null;
  /** The newest plan the class follows; null: the one it began with. */
  readonly plan: PlanFile | null;
  readonly holds: readonly Hold[];
  readonly tries: readonly Try[];
  readonly seen: readonly Seen[];
  readonly halts: readonly Halt[];
  readonly assists: readonly { readonly person: string; readonly round: number }[];
  /** By person and check: was it confirmed at the door? */
  readonly door: ReadonlyMap<string, boolean>;
  readonly absent: ReadonlySet<string>;
  /** Marked as come after all. */
  readonly present: ReadonlySet<string>;
  readonly late: ReadonlyMap<string, number>;
  /** Keeps the feet down tonight, or not after all. */
  readonly feetDown: ReadonlyMap<string, boolean>;
  /** Rounds that are over. */
  readonly roundsDone: number;
  readonly endedMs: number | null;
  /** Taps after the end: kept, and said. */
  readonly afterEnd: number;
  /** The newest tap that can be taken back, for each device. */
  readonly undoable: ReadonlyMap<string, Tap>;
}

export const doorKey = (person: string, check: CheckInClass) => `${person}/${check}`;

/** Acts that say something about the class; the others only carry it. */
const isSaid = ({ kind }: FloorAct) => kind !== 'anchor' && kind !== 'undo';

/**
 * Which taps count: those that no counting undo takes back. Names lead the way, not the order, so
 * that an undo that arrives first takes back what arrives later.
 */
function findStanding(taps: readonly Tap[]): Set<string> {
  const undoneBy = new Map<string, string[]>();
  for (const one of taps) {
    if (one.act.kind !== 'undo') continue;
    undoneBy.set(one.act.tap, [...(undoneBy.get(one.act.tap) ?? []), tapId(one)]);
  }
  const known = new Map<string, boolean>();
  const stands = (id: string): boolean => {
    const found = known.get(id);
    if (found !== undefined) return found;
    // An undo that names itself, or a ring of them, takes back nothing.
    known.set(id, true);
    const is = !(undoneBy.get(id) ?? []).some(stands);
    known.set(id, is);
    return is;
  };
  // In one order, so that even a ring comes out the same.
  const ids = taps.map(tapId).sort();
  return new Set(ids.filter(stands));
}

type Timed<Kind extends FloorAct['kind']> = Tap & { readonly act: ActOf<Kind> };

/** @param taps of one class, each once, in any order */
export function replay(taps: readonly Tap[]): FloorState {
  const clock = readClock(taps);
  const standing = findStanding(taps);
  const counted = clock.ordered.filter((one) => standing.has(tapId(one)) && isSaid(one.act));
  const of = <Kind extends FloorAct['kind']>(kind: Kind) =>
    counted.filter((one): one is Timed<Kind> => one.act.kind === kind);
  const last = <T>(list: readonly T[]) => list.at(-1);
  const segment = last(of('segment'));
  const end = of('end')[0];
  const endedMs = end === undefined ? null : clock.lineOf(end);
  const absent = new Map<string, boolean>();
  for (const { act } of of('absent')) absent.set(act.person, act.isAbsent);
  const late = new Map<string, number>();
  for (const { act } of of('late')) late.set(act.person, act.round);
  const feetDown = new Map<string, boolean>();
  for (const { act } of of('feet-down')) feetDown.set(act.person, act.isDown);
  const door = new Map<string, boolean>();
  for (const { act } of of('door')) door.set(doorKey(act.person, act.check), act.isFine);
  const undoable = new Map<string, Tap>();
  for (const one of counted) {
    // A new plan follows from what was marked: that is what is taken back.
    if (one.act.kind === 'plan') continue;
    const before = undoable.get(one.device);
    if (before === undefined || before.seq < one.seq) undoable.set(one.device, one);
  }
  return {
    segment: segment?.act.index ?? 0,
    segmentSinceMs: segment === undefined ? null : clock.lineOf(segment),
    plan: last(of('plan'))?.act.plan ?? null,
    holds: readHolds(clock, of),
    tries: of('try').map((one) => {
      const { kind: _, ...act } = one.act;
      return { ...act, id: tapId(one), atMs: clock.lineOf(one) };
    }),
    seen: of('seen').map((one) => {
      const { kind: _, ...act } = one.act;
      return { ...act, id: tapId(one) };
    }),
    halts: readHalts(clock, counted),
    assists: of('assist').map(({ act: { person, round } }) => ({ person, round })),
    door,
    absent: new Set([...absent].flatMap(([person, is]) => (is ? [person] : []))),
    present: new Set([...absent].flatMap(([person, is]) => (is ? [] : [person]))),
    late,
    feetDown,
    roundsDone: segment?.act.roundsDone ?? 0,
    endedMs,
    afterEnd:
      endedMs === null
        ? 0
        : counted.filter((one) => one !== end && clock.lineOf(one) > endedMs).length,
    undoable,
  };
}

function readHalts(clock: ClassClock, counted: readonly Tap[]): Halt[] {
  return counted.flatMap((one): Halt[] => {
    const { act } = one;
    if (act.kind !== 'halt' && act.kind !== 'sign' && act.kind !== 'sore') return [];
    return [
      {
        id: tapId(one),
        person: act.person,
        atMs: clock.lineOf(one),
        ...(act.kind === 'sign' ? { sign: act.sign } : {}),
        ...(act.kind === 'sore' ? { place: act.place } : {}),
      },
    ];
  });
}

function readHolds(
  clock: ClassClock,
  of: <Kind extends FloorAct['kind']>(kind: Kind) => Timed<Kind>[],
): Hold[] {
  const [stops, downs, faults, settles] = [
    of('hold-stop'),
    of('hold-down'),
    of('hold-fault'),
    of('hold-settle'),
  ];
  const halts = [...of('halt'), ...of('sign'), ...of('sore')].sort(
    (a, b) => clock.lineOf(a) - clock.lineOf(b),
  );
  const seen = new Set<string>();
  return of('hold-start').flatMap((start): Hold[] => {
    const { hold: id, check, base, side } = start.act;
    if (seen.has(id)) return [];
    seen.add(id);
    const mine = <T extends { act: { hold: string } }>(list: readonly T[]) =>
      list.filter(({ act }) => act.hold === id);
    const [stop] = mine(stops);
    const stopped = stop === undefined ? null : clock.elapsed(start, stop);
    const people = [...new Set(start.act.people)].map((person): HoldPerson => {
      const tapped = mine(downs).find(({ act }) => act.person === person);
      // Whoever is stopped in the middle of it has come down: they did not hold on to the end.
      const halted = halts.find(
        (one) =>
          one.act.person === person &&
          clock.lineOf(one) >= clock.lineOf(start) &&
          (stop === undefined || clock.lineOf(one) <= clock.lineOf(stop)),
      );
      const [came = null] = [tapped, halted]
        .flatMap((one) => (one === undefined ? [] : [clock.elapsed(start, one)]))
        .sort((a, b) => a.seconds - b.seconds);
      // Who came down after the clock was stopped was up when it stopped.
      const isAfter = came !== null && stopped !== null && came.seconds > stopped.seconds;
      const own = mine(faults).filter(({ act }) => act.person === person);
      return {
        person,
        down: isAfter ? null : came,
        faults: [...new Set(own.map(({ act }) => act.fault))],
      };
    });
    return [
      {
        id,
        check,
        base,
        side,
        people,
        startedMs: clock.lineOf(start),
        start,
        stopped,
        settled: mine(settles).at(-1)?.act.keep ?? null,
      },
    ];
  });
}

/** The clocks disagree about one of its times, and nobody has said yet what to do. */
export const needsWord = ({ settled, stopped, people }: Hold): boolean =>
  settled === null &&
  (stopped?.isApproximate === true || people.some(({ down }) => down?.isApproximate === true));

/** A stop sign was seen tonight: whatever the plan still says, they lie down. */
export const hasSign = ({ halts }: Pick<FloorState, 'halts'>, person: string): boolean =>
  halts.some((halt) => halt.person === person && halt.sign !== undefined);
