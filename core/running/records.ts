/** What the record keeps of a class: checks, tries, minutes upside down. Source: handbook 03, 06, 08. */
import { isKeyOf } from '../units/keyed';
import type { BaseId, CheckKey, CheckSpec, FaultId } from '../catalog/checks';
import { getWayUp } from '../catalog/waysUp';
import type { PainPlace, StopSign } from '../catalog/regions';
import { fatigueRule } from '../fatigue/reserve';
import type { Side } from '../readiness/record';
import { screeningKey, soreBeforeKey, type askedAside } from '../catalog/hiddenCheck';
import { isAsSlowOut } from './exit';
import { needsWord, type FloorState, type Hold, type Try } from './replay';

/** A record of a class; `key` is the same whenever the class is read again. */
export interface FloorRecord {
  readonly key: string;
  readonly person: string;
  readonly check: CheckKey;
  /** Seconds to a tenth, repetitions, 1 or 0, or the measure. */
  readonly value: number;
  readonly stoppedByTeacher: boolean;
  readonly faults: readonly FaultId[];
  readonly side: Side | null;
  readonly base: BaseId | null;
}

export interface FloorSign {
  readonly key: string;
  readonly person: string;
  readonly sign: StopSign;
}

export interface FloorPain {
  readonly key: string;
  readonly person: string;
  readonly place: PainPlace;
}

const tenth = (seconds: number) => Math.round(seconds * 10) / 10;

/** Best of ten: the hops of one evening are looked at in tens, the best ten count (handbook 03). */
const mostHops = 10;

/**
 * Records of the holds that are over. A hold whose clocks disagree waits for the teacher's word and
 * is left out when the word is no; somebody ended by a stop in the middle of it is in `down`.
 */
function holdRecords(hold: Hold, checks: Readonly<Record<CheckKey, CheckSpec>>): FloorRecord[] {
  const { check, stopped, id, side, base } = hold;
  if (check === null || checks[check] === undefined) return [];
  if (needsWord(hold) || hold.settled === false) return [];
  return hold.people.flatMap(({ person, down, faults }): FloorRecord[] => {
    const until = down ?? stopped;
    if (until === null) return [];
    return [
      {
        key: `${id}/${person}`,
        person,
        check,
        value: tenth(until.seconds),
        stoppedByTeacher: down === null,
        faults,
        side,
        base,
      },
    ];
  });
}

const plain = { stoppedByTeacher: false, faults: [], side: null, base: null } as const;

/** Tries become counts and passes: hops that reached, blocks kept, exits under control. */
function tryRecords({ tries }: FloorState): FloorRecord[] {
  const records: FloorRecord[] = [];
  const people = [...new Set(tries.map(({ person }) => person))];
  for (const person of people) {
    const own = tries.filter((one) => one.person === person);
    const hops = own.filter(isStraightHop).map((one) => (reachedStraight(one) ? 1 : 0));
    if (hops.length > 0) {
      records.push({
        ...plain,
        key: `hops/${person}`,
        person,
        check: 'hops-reaching',
        value: bestOf(hops, mostHops),
      });
    }
    for (const { id, blocksKept, landing, base, isAssisted, ...one } of own) {
      if (blocksKept !== null) {
        const value = blocksKept ? 1 : 0;
        records.push({ ...plain, key: `${id}/blocks`, person, check: 'blocks-kept', value });
      }
      // A landing in somebody's hands says nothing about one's own way out.
      if (landing !== null && base !== null && !isAssisted) {
        const isDropping = isAsSlowOut(one) === false || one.faults?.includes('drops-out') === true;
        records.push({
          ...plain,
          key: `${id}/exit`,
          person,
          check: 'controlled-exit',
          value: landing === 'soft' && !isDropping ? 1 : 0,
          faults: [
            ...(landing === 'heavy' ? (['heavy-landing'] as const) : []),
            ...(isDropping ? (['drops-out'] as const) : []),
          ],
          base,
        });
      }
    }
  }
  return records;
}

/**
 * The check speaks of the straight leg and of the wall: a hop with bent knees or legs apart is another
 * thing, and so is one that goes to no wall.
 */
const isStraightHop = ({ what, wayUp, aim }: Try): boolean =>
  what === 'hop' &&
  aim !== 'up' &&
  (wayUp === null || wayUp === undefined || getWayUp(wayUp).isStraight === true);

const reachedStraight = ({ reached, faults = [] }: Try): boolean =>
  reached && !faults.includes('knee-bends');

function bestOf(hops: readonly number[], window: number): number {
  let best = 0;
  for (let from = 0; from < Math.max(1, hops.length - window + 1); from += 1) {
    const sum = hops.slice(from, from + window).reduce((total, one) => total + one, 0);
    best = Math.max(best, sum);
  }
  return best;
}

export function toRecords(
  state: FloorState,
  checks: Readonly<Record<CheckKey, CheckSpec>>,
): FloorRecord[] {
  const seen = state.seen
    .filter(({ check }) => checks[check] !== undefined)
    .map(({ id, person, check, value, faults, side, base }): FloorRecord => ({
      key: id,
      person,
      check,
      value,
      stoppedByTeacher: false,
      faults,
      side,
      base,
    }));
  const door = [...state.door].flatMap(([key, isFine]): FloorRecord[] => {
    const at = key.indexOf('/');
    const [person, check] = [key.slice(0, at), key.slice(at + 1)];
    // An assistant's device has names of its own for what is the teacher's alone.
    if (!isKeyOf(checks, check)) return [];
    return [{ ...plain, key: `door/${key}`, person, check, value: isFine ? 1 : 0 }];
  });
  return [
    ...state.holds.flatMap((hold) => holdRecords(hold, checks)),
    ...tryRecords(state),
    ...seen,
    ...door,
  ];
}

/** What was answered to one question of the door, by person. */
const answersTo = (
  { door }: FloorState,
  asked: (typeof askedAside)[number],
): { readonly person: string; readonly isFine: boolean }[] =>
  [...door].flatMap(([key, isFine]) => {
    const at = key.indexOf('/');
    return key.slice(at + 1) === asked ? [{ person: key.slice(0, at), isFine }] : [];
  });

/** Who was asked the first questions tonight, and whether anything was named. */
export const toScreened = (state: FloorState) => answersTo(state, screeningKey);

/** Who said at the door that what hurt before is gone. */
export const toGone = (state: FloorState): string[] =>
  answersTo(state, soreBeforeKey).flatMap(({ person, isFine }) => (isFine ? [person] : []));

export const toSigns = ({ halts }: FloorState): FloorSign[] =>
  halts.flatMap(({ id, person, sign }) => (sign === undefined ? [] : [{ key: id, person, sign }]));

export const toPains = ({ halts }: FloorState): FloorPain[] =>
  halts.flatMap(({ id, person, place }) =>
    place === undefined ? [] : [{ key: id, person, place }],
  );

/**
 * Seconds with the hips over the heart that were timed or counted, by person. A try counts for the
 * seconds of work that the fatigue model takes it for; what nobody timed is not in it.
 */
export function secondsUpsideDown(
  state: FloorState,
  checks: Readonly<Record<CheckKey, CheckSpec>>,
): ReadonlyMap<string, number> {
  const seconds = new Map<string, number>();
  const add = (person: string, more: number) =>
    seconds.set(person, (seconds.get(person) ?? 0) + more);
  for (const hold of state.holds) {
    if (hold.check !== null && checks[hold.check]?.isLevel) continue;
    if (needsWord(hold) || hold.settled === false) continue;
    for (const { person, down } of hold.people) {
      const until = down ?? hold.stopped;
      if (until !== null) add(person, until.seconds);
    }
  }
  for (const { person } of state.tries) add(person, fatigueRule.attemptSeconds);
  return seconds;
}
