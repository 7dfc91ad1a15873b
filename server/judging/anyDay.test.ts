/** A studio used at random: whatever is done in whatever order, what it promises holds. */
import { readFileSync } from 'node:fs';
import { cautionIds } from '@/core/catalog/cautions';
import { painPlaces, stopSigns } from '@/core/catalog/regions';
import { toRecords } from '@/core/running/records';
import { replay } from '@/core/running/replay';
import type { FloorAct, Tap } from '@/core/running/tap';
import { tapId } from '@/core/running/taps';
import { seededRandom } from '@/core/random';
import { listClassRecords, listFloorClasses, listTaps } from '@/db/floor';
import { listPeople } from '@/db/people';
import { noteSign } from '@/features/person/careChanges';
import { changeCare, recordCheck } from '@/features/person/change';
import { readClass } from './classViews';
import { clearStudio } from '@/features/beginning/clearStudio';
import { today } from '../clock';
import { changeEnrolment } from '@/features/courses/change';
import { database, databaseFile } from '../database';
import { bundleOf } from '../running/floorBundle';
import { beginClass, findClass, takeTaps } from '../running/floor';
import { joinClass } from '@/features/floor/joinClass';
import { readHome, writeHomeText } from '@/features/home/read';
import { createPerson, deletePerson, mergeInto } from '@/features/people/change';
import { readCourseRecord } from '@/features/record/read';
import { keepReview, readReview } from '@/features/review/review';
import { readCatalog } from './schools';
import { takeStudioFile, writeStudioFile } from '../files/studioFile';
import {
  careOf,
  must,
  fillWithDemo,
  plainStudio,
  recordForm,
  withThrowawayStudio,
} from '@/features/testing/studio';
import { teacherTaps } from '@/features/testing/floor';
import { ofMany, someOf } from '@/core/testing/depth';

withThrowawayStudio();

const write = () => [...writeStudioFile()].join('');

interface Device {
  readonly name: string;
  readonly taps: Tap[];
  upTo: number;
}

/** Everything the classes hold about somebody in the record is what their taps say. */
function expectRecordsOfTaps(said: string): void {
  const db = database();
  const { checks } = readCatalog(db);
  const here = new Set(listPeople(db, true).map(({ id }) => String(id)));
  for (const { id, uid } of [1, 2].flatMap((course) => listFloorClasses(db, course))) {
    const row = findClass(uid)!;
    const members = new Set(bundleOf(row).members.map((member) => member.id));
    const wanted = toRecords(replay(listTaps(db, id).map(({ tap }) => tap)), checks)
      .filter(({ person }) => here.has(person) && members.has(person))
      .map(({ person, check, value }) => `${person} ${check} ${value}`);
    const kept = listClassRecords(db, id).map(
      ({ personId, check, value }) => `${personId} ${check} ${value}`,
    );
    expect([said, kept.sort()]).toEqual([said, wanted.sort()]);
  }
}

async function runStudio(seed: number): Promise<void> {
  const random = seededRandom(seed * 101 + 3);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const ids = () => listPeople(database()).map(({ id }) => id);
  const devices: Device[] = ['t', 'h'].map((name) => ({ name, taps: [], upTo: 0 }));
  const gone: string[] = [];
  let uid = '';
  let made = 0;

  const say = (act: FloorAct, device = pick(devices)) => {
    const seq = device.taps.length + 1;
    const at = { boot: device.name, monoMs: made * 3000, wallMs: 1e12 + made * 3000 };
    device.taps.push({ device: device.name, seq, at, act });
  };
  const member = () => pick(bundleOf(findClass(uid)!).members).id;
  const happenings: readonly (() => void | Promise<void>)[] = [
    () => void createPerson({ name: `Guest ${seed}-${made}!`, height: '170', courseId: 1 }),
    () => void joinClass(uid, { name: `Late ${seed}-${made}!`, height: '168' }),
    () => void joinClass(uid, { person: pick(ids()) }),
    () => void changeCare(pick(ids()), careOf({ cautions: [pick(cautionIds)] })),
    () => void noteSign(pick(ids()), { sign: pick(stopSigns), date: today() }),
    () => void recordCheck(pick(ids()), recordForm({ value: String(5 + made) })),
    () => void changeEnrolment(1, pick(ids()), random() < 0.5),
    async () => {
      const people = listPeople(database());
      if (people.length < 8) return;
      const one = pick(people);
      must(await deletePerson(one.id));
      gone.push(one.name, one.uid);
    },
    () => {
      const [keep, drop] = [pick(ids()), pick(ids())];
      // Refused where one of the two is in the class.
      if (keep !== drop) void mergeInto(keep, drop);
    },
    () => {
      const hold = `h${made}`;
      const people = [...new Set([member(), member(), member()])];
      const start = {
        kind: 'hold-start',
        hold,
        check: 'dolphin-hold',
        base: null,
        side: null,
      } as const;
      say({ ...start, people });
      made += 4;
      say({ kind: 'hold-down', hold, person: pick(people) });
      made += 4;
      say({ kind: 'hold-stop', hold });
    },
    () => say({ kind: 'sore', person: member(), place: pick(painPlaces) }),
    () => say({ kind: 'absent', person: member(), isAbsent: random() < 0.6 }),
    () => {
      const done = devices.flatMap(({ taps }) => taps).filter(({ act }) => act.kind !== 'undo');
      if (done.length > 0) say({ kind: 'undo', tap: tapId(pick(done)) });
    },
    // A delivery: a few of those that wait, some of them for the second time.
    () => {
      const device = pick(devices);
      const from = Math.max(0, device.upTo - Math.floor(random() * 3));
      const taps = device.taps.slice(from, device.upTo + 1 + Math.floor(random() * 6));
      const answer = must(takeTaps(uid, { device: device.name, after: 0, taps }, teacherTaps));
      device.upTo = answer.upTo;
    },
  ];

  fillWithDemo();
  uid = must(beginClass(1));
  for (let step = 0; step < ofMany(110, 25); step += 1) {
    made += 1;
    await pick(happenings)();
  }
  // Everything arrives in the end, and the class ends.
  say({ kind: 'end' }, devices[0]);
  for (const { name, taps } of devices) {
    expect(must(takeTaps(uid, { device: name, after: 0, taps }, teacherTaps)).upTo).toBe(
      taps.length,
    );
  }
  const said = `seed ${seed}`;
  expectRecordsOfTaps(said);

  // Every page answers, for everybody.
  expect(readCourseRecord(1, undefined)).not.toBeNull();
  expect(readClass(1)).not.toBeNull();
  const review = readReview(uid)!;
  for (const { id, suggested } of review.people) {
    const decisions = suggested.map(({ stage, kind }) => ({ stage, decided: kind, reason: '' }));
    must(keepReview(uid, id, { note: '', decisions }));
  }
  for (const id of ids()) expect(writeHomeText(readHome(id)!)).toContain('No medical advice');

  // Who was deleted is in no file of the studio.
  for (const words of gone) {
    for (const file of [databaseFile(), `${databaseFile()}-wal`]) {
      expect([said, words, readFileSync(file).includes(words)]).toEqual([said, words, false]);
    }
  }

  // An empty studio that takes the file in hands out the same file.
  const text = write();
  must(clearStudio(listPeople(database(), true).length));
  must(takeStudioFile(text, true));
  const [a, b] = [plainStudio(text), plainStudio(write())];
  expect(b.courses).toEqual(a.courses);
  expect(b.people).toEqual(a.people);
}

// The one in the middle each time.
for (const seed of someOf([1, 12, 2], 1)) {
  it(`keeps what it promises, whatever happens (${seed})`, () => runStudio(seed));
}
