/** A class of the demo on the floor, and taps for it, for the tests of the use cases. */
import type { FloorAct, Tap } from '@/core/running/tap';
import { listRecords } from '@/db/records';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { bundleOf } from '@/server/running/floorBundle';
import { beginClass, findClass, takeTaps, type Tapper } from '@/server/running/floor';
import { fillWithDemo, must } from './studio';

/** A class of the demo course that has just begun, or of what else the studio is filled with. */
export function begin(fill: () => unknown = fillWithDemo) {
  fill();
  const uid = must(beginClass(1));
  const row = findClass(uid)!;
  return { uid, row, people: bundleOf(row).members.map(({ id }) => id) };
}

let seq = 0;
let studio: string | undefined;

/** The number of the next tap: from one on in each studio, and so in each test. */
function nextSeq(): number {
  if (studio !== process.env.LEVITAR_DATA) {
    studio = process.env.LEVITAR_DATA;
    seq = 0;
  }
  seq += 1;
  return seq;
}

/** Taps at the desk, and those of a helper's tablet. */
export const teacherTaps: Tapper = { maySay: 'teacher', maySee: 'teacher', deviceId: null };
export const assistantTaps: Tapper = { maySay: 'assistant', maySee: 'assistant', deviceId: 1 };

/** Taps of a device one after the other, so far apart. */
export const tapsOf = (acts: readonly FloorAct[], device = 't', everyMs = 10_000): Tap[] =>
  acts.map((act) => {
    const next = nextSeq();
    return {
      device,
      seq: next,
      at: { boot: 'b', monoMs: next * everyMs, wallMs: 1e12 + next * everyMs },
      act,
    };
  });

export const send = (uid: string, taps: readonly unknown[], device = 't', tapper = teacherTaps) =>
  must(takeTaps(uid, { device, after: 0, taps }, tapper));

/** Somebody comes down after ten seconds, the clock is stopped after twenty. */
export const hold = (people: string[]): FloorAct[] => [
  { kind: 'hold-start', hold: 'h', check: 'dolphin-hold', base: null, side: null, people },
  { kind: 'hold-down', hold: 'h', person: people[0]! },
  { kind: 'hold-stop', hold: 'h' },
];

export const recordsToday = (id: string) =>
  listRecords(database(), [Number(id)]).filter(({ date }) => date === today());
