/** The promises about the floor and the record: a queue caught up, ten years of one studio. */
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { FloorAct } from '@/core/running/tap';
import { checkIds } from '@/core/catalog/checks';
import { stageIds } from '@/core/catalog/stages';
import { addDays } from '@/core/units/day';
import { addCourse, addMeeting, enrol, saveAttendance } from '@/db/courses';
import { addAttempts } from '@/db/floor';
import { addPerson, saveRung } from '@/db/personChanges';
import { addRecord } from '@/db/records';
import { seedDemo } from '@/demo/course';
import { seededRandom } from '@/demo/random';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { bundleOf } from '@/server/running/floorBundle';
import { beginClass, findClass, takeTaps, type Tapper } from '@/server/running/floor';
import { readPersonPage } from '@/features/person/read';
import { readCourseRecord, readFloorDays } from '@/features/record/read';
import { forgetJudged } from '@/server/judging/forget';
import { writeStudioFile } from '@/server/files/studioFile';
import { copiesAtRest, makeCopyNow } from '@/server/copies/copies';
import { drawRecord } from './ladders';
import { medianOf, print, timeCall } from './timing';

interface Holder {
  levitarDatabase?: { close: () => void } | undefined;
}

const atDesk: Tapper = { maySay: 'teacher', maySee: 'teacher', deviceId: null };

async function withFolder(work: () => unknown): Promise<void> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-bench-'));
  process.env.LEVITAR_DATA = folder;
  const holder = globalThis as Holder;
  holder.levitarDatabase?.close();
  holder.levitarDatabase = undefined;
  forgetJudged();
  await work();
  rmSync(folder, { recursive: true, force: true });
}

function benchQueue(): void {
  seedDemo(database(), today());
  const begun = beginClass(1);
  if (!begun.ok) throw new Error('The class did not begin.');
  const people = bundleOf(findClass(begun.value)!).members.map(({ id }) => id);
  const acts = Array.from({ length: 500 }, (_, index): FloorAct => {
    const person = people[index % people.length];
    if (index % 4 > 0) {
      const [base, stage] = ['forearms', 'FS10'] as const;
      const leg = index % 2 === 0 ? 'left' : 'right';
      const rest = {
        round: 1,
        reached: true,
        blocksKept: null,
        landing: null,
        isAssisted: false,
        wayUp: null,
        support: null,
        faults: [],
      };
      return { kind: 'try', person: person!, what: 'kick', stage, base, leg, ...rest };
    }
    const plain = { base: null, side: null, faults: [] };
    return { kind: 'seen', person: person!, check: 'dolphin-push-ups', value: 6, ...plain };
  });
  const taps = acts.map((act, index) => ({
    device: 't',
    seq: index + 1,
    at: { boot: 'b', monoMs: index * 900, wallMs: 1e12 + index * 900 },
    act,
  }));
  const start = process.hrtime.bigint();
  const outcome = takeTaps(begun.value, { device: 't', after: 0, taps }, atDesk);
  const median = Number(process.hrtime.bigint() - start) / 1e6;
  if (!outcome.ok || outcome.value.upTo !== 500) throw new Error('The queue was not taken in.');
  print({
    name: '500 queued taps taken in and written into the record',
    median,
    unit: 'ms',
    target: 2000,
  });
}

const people = 500;
const recordsEach = 500;
const courseSize = 24;
const years = 10;

/** Ten years: everybody has been here once, the last course holds two dozen of them. */
function fillYears(): void {
  const db = database();
  const random = seededRandom(9);
  const day = today();
  db.transaction((tx) => {
    const course = addCourse(tx, {
      name: 'The newest',
      place: '',
      startsOn: addDays(day, -63),
      startsAt: '18:00',
      minutes: 75,
      weeks: 10,
      profile: 'prop-led',
      stage: 'FS10',
    });
    const evenings = Array.from({ length: 10 }, (_, week) =>
      addMeeting(tx, {
        courseId: course,
        date: addDays(day, -7 * (9 - week)),
        startsAt: '18:00',
        minutes: 75,
        room: '',
        family: 'forearm-stand',
        peak: null,
      }),
    );
    for (let index = 0; index < people; index += 1) {
      const id = addPerson(tx, { name: `Person ${index}`, heightM: 1.7, heightTyped: '1.7 m' });
      saveRung(tx, id, 'forearm-stand', stageIds[index % 10]!, day);
      const isIn = index >= people - courseSize;
      if (isIn) {
        enrol(tx, course, id);
        for (const evening of evenings) saveAttendance(tx, evening, id, { came: random() < 0.9 });
      }
      for (let count = recordsEach - 1; count >= 0; count -= 1) {
        const check = checkIds[Math.floor(random() * checkIds.length)]!;
        const date = addDays(day, -Math.floor((count * 365 * years) / recordsEach));
        addRecord(tx, {
          personId: id,
          check: check!,
          breaths: null,
          faults: [],
          pain: false,
          painPlace: null,
          ...drawRecord(check, date, random),
        });
      }
      addAttempts(
        tx,
        Array.from({ length: 40 }, (_, count) => ({
          personId: id,
          date: addDays(day, -7 * (count % 10)),
          what: 'hop' as const,
          stage: 'FS9',
          base: 'forearms' as const,
          leg: 'left' as const,
          reached: random() < 0.5,
          blocksKept: null,
          landing: null,
          isAssisted: false,
          wayUp: null,
          support: null,
          faults: [],
          liftS: null,
          exitS: null,
        })),
      );
    }
  });
}

async function benchYears(): Promise<void> {
  fillYears();
  const size = `${people} people, ${people * recordsEach} records`;
  const cold = (name: string, work: () => unknown) =>
    print({
      name,
      median: timeCall(
        () => {
          forgetJudged();
          return work();
        },
        { runs: 12 },
      ),
      unit: 'ms',
      target: 300,
    });
  cold(`The weeks of a course, ${size}`, () => readCourseRecord(1, undefined));
  cold(`One person’s page, ${size}`, () => [readPersonPage(people), readFloorDays(people)]);
  global.gc?.();
  const before = process.memoryUsage().rss;
  let most = before;
  let bytes = 0;
  const start = process.hrtime.bigint();
  for (const piece of writeStudioFile()) {
    bytes += piece.length;
    most = Math.max(most, process.memoryUsage().rss);
  }
  const seconds = Number(process.hrtime.bigint() - start) / 1e9;
  print({
    name: `Everything as one file, ${(bytes / 1e6).toFixed(0)} MB, ${size}`,
    median: seconds,
    unit: 's',
    target: 10,
  });
  print({
    name: 'Most memory of the process meanwhile',
    median: most / 1e6,
    unit: 'MB',
    target: 400,
  });
  await benchCopy();
}

/** One tap after the other, each as its own delivery; stops when told. @returns milliseconds each */
async function tapUntil(uid: string, from: number, isOver: () => boolean): Promise<number[]> {
  const times: number[] = [];
  while (!isOver()) {
    const seq = from + times.length;
    const at = { boot: 'b', monoMs: seq * 500, wallMs: 1e12 + seq * 500 };
    const act = { kind: 'segment', index: seq % 20, roundsDone: 0 };
    const start = process.hrtime.bigint();
    const outcome = takeTaps(
      uid,
      { device: 't', after: 0, taps: [{ device: 't', seq, at, act }] },
      atDesk,
    );
    if (!outcome.ok) throw new Error('A tap was not taken in.');
    times.push(Number(process.hrtime.bigint() - start) / 1e6);
    // As taps come: the process does something else in between.
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  return times;
}

/** A copy of all of it, checked, while taps go on. */
async function benchCopy(): Promise<void> {
  const begun = beginClass(1);
  if (!begun.ok) throw new Error('The class did not begin.');
  let left = 120;
  const calm = await tapUntil(begun.value, 1, () => (left -= 1) < 0);
  let isOver = false;
  const start = process.hrtime.bigint();
  let seconds = 0;
  const copying = makeCopyNow('hand').then(() => {
    seconds = Number(process.hrtime.bigint() - start) / 1e9;
    isOver = true;
  });
  const busy = await tapUntil(begun.value, calm.length + 1, () => isOver);
  await copying;
  await copiesAtRest();
  print({
    name: 'A copy of ten years, checked, while taps go on',
    median: seconds,
    unit: 's',
    target: 3,
  });
  const [before, meanwhile] = [medianOf(calm), medianOf(busy)];
  print({ name: 'A tap before it', median: before, unit: 'ms' });
  print({
    name: `A tap meanwhile, ${busy.length} of them`,
    median: meanwhile,
    unit: 'ms',
    target: Math.round(2 * before),
  });
}

export async function benchFloor(): Promise<void> {
  await withFolder(benchQueue);
  await withFolder(benchYears);
}
