import { checkTable, type BaseId, type CheckId } from '@/core/catalog/checks';
import { resolveBody } from '@/core/body/body';
import type { Side } from '@/core/readiness/record';
import { addDays, type Day } from '@/core/units/day';
import type { NewRecord } from '@/db/records';
import type { DemoPerson } from './people';
import { normalDraw } from './random';

export const weeks = 8;
const profile = 'prop-led';
/** Day-to-day noise of a hold or a count, on the log scale. */
export const noise = 0.14;
/** Share of the present ability with which people began, eight weeks ago. */
export const startShare = 0.7;
/** The teacher ends a group hold at this many times the bar. */
export const groupStop = 1.35;

const weekly: readonly { check: CheckId; every: number; base?: BaseId }[] = [
  { check: 'forearm-plank-hold', every: 2 },
  { check: 'dolphin-hold', every: 1 },
  { check: 'dolphin-push-ups', every: 2 },
  { check: 'dolphin-one-leg', every: 2 },
  { check: 'head-clearance', every: 4 },
  { check: 'confidence', every: 1, base: 'forearms' },
];

export type Draft = Omit<NewRecord, 'personId'>;

/**
 * Eight weekly meetings of noisy records for one invented person, the last of them a week before
 * the coming meeting (or earlier, for who has been away).
 *
 * @param lastMeeting day of the newest meeting that has taken place
 */
export function demoRecords(
  person: DemoPerson,
  lastMeeting: Day,
  random: () => number,
): readonly Draft[] {
  const records: Draft[] = [];
  const lastSeen = person.lastSeen ?? 1;
  for (let ago = weeks; ago >= lastSeen; ago -= 1) {
    if (ago === person.missesMeeting) continue;
    const date = addDays(lastMeeting, -7 * (ago - 1));
    const grown = startShare + (1 - startShare) * ((weeks - ago) / (weeks - 1));
    for (const { check, every, base } of weekly) {
      if ((ago - lastSeen) % every !== 0) continue;
      const sides: (Side | null)[] = check === 'dolphin-one-leg' ? ['left', 'right'] : [null];
      for (const side of sides) {
        records.push(drawRecord(person, { check, date, side, base: base ?? null, grown }, random));
      }
    }
  }
  const newest = records[records.length - 1];
  if (person.hasPain && newest) {
    records.push({ ...newest, pain: true, painPlace: person.painPlace ?? null });
  }
  return records;
}

interface Slot {
  readonly check: CheckId;
  readonly date: Day;
  readonly side: Side | null;
  readonly base: BaseId | null;
  readonly grown: number;
}

function drawRecord(person: DemoPerson, slot: Slot, random: () => number): Draft {
  const { check, date, side, base } = slot;
  const drawn = drawValue(person, slot, random);
  const { voidedBy } = checkTable[check] as { voidedBy: readonly string[] };
  const { habit } = person;
  const hasFault = habit !== undefined && voidedBy.includes(habit.fault) && random() < habit.chance;
  return {
    check,
    date,
    value: drawn.value,
    breaths: null,
    stoppedByTeacher: drawn.isStopped,
    faults: hasFault ? [habit.fault] : [],
    pain: false,
    painPlace: null,
    side,
    base,
  };
}

function drawValue(
  person: DemoPerson,
  { check, side, grown }: Slot,
  random: () => number,
): { value: number; isStopped: boolean } {
  const spec = checkTable[check];
  const bar = spec.opensAt[profile];
  if (check === 'confidence') {
    const value = Math.round(person.confidence + 0.6 * normalDraw(random));
    return { value: Math.min(10, Math.max(0, value)), isStopped: false };
  }
  if (check === 'head-clearance') {
    const { lengths } = resolveBody(person);
    const centimetres = (lengths.upperArm + 0.03 - lengths.shoulderToCrown) * 100;
    return {
      value: Math.max(0, Math.round(centimetres + 0.4 * normalDraw(random))),
      isStopped: false,
    };
  }
  const share = side === 'right' ? (person.rightShare ?? 1) : 1;
  const true_ = bar * person.ability * share * grown * Math.exp(noise * normalDraw(random));
  const stop = bar * groupStop;
  const isStopped = spec.scoring.kind === 'hold' && true_ > stop;
  return { value: Math.max(1, Math.round(isStopped ? stop : true_)), isStopped };
}
