/** A copy taken back in the middle of an evening: nothing of the class and nothing of the copy is lost. */
import { getSettings, listCourses } from '@/db/courses';
import { listAttempts, listTaps } from '@/db/floor';
import { listRecords } from '@/db/records';
import { makeCopyNow } from '../copies/copies';
import { restoreCopy } from '../copies/restore';
import { database } from '../database';
import { createPairing, joinDevice, findDeviceBy, dropDevice } from '../network/devices';
import { beginClass, findClass, takeTaps } from './floor';
import { deletePerson } from '@/features/people/change';
import { must, withThrowawayStudio } from '@/features/testing/studio';
import {
  assistantTaps,
  begin,
  hold,
  recordsToday,
  send,
  tapsOf,
  teacherTaps,
} from '@/features/testing/floor';

withThrowawayStudio();

const back = async (name: string) => must(await restoreCopy({ name, passphrase: '' }));

it('keeps every tap of today’s class, its record, and the row that a tablet goes on with', async () => {
  const { uid, people } = begin();
  const [a, b, c] = people;
  send(uid, tapsOf(hold([a!, b!])));
  const eraBefore = getSettings(database()).era;
  const copy = await makeCopyNow('hand');
  // After the copy: another hold, and somebody is deleted.
  const later = tapsOf([
    { kind: 'hold-start', hold: 'h2', check: 'dolphin-hold', base: null, side: null, people: [b!] },
    { kind: 'hold-down', hold: 'h2', person: b! },
    { kind: 'hold-stop', hold: 'h2' },
    { kind: 'end' },
  ]);
  send(uid, later);
  must(await deletePerson(Number(c)));
  await back(copy);
  const row = findClass(uid)!;
  expect(listTaps(database(), row.id).map(({ tap }) => tap.seq)).toEqual([1, 2, 3, 4, 5, 6, 7]);
  expect(row.endedMs).not.toBeNull();
  // The evening is in the record although its last tap came before the copy was taken back.
  expect(recordsToday(b!)).toHaveLength(2);
  expect(listRecords(database(), [Number(c)])).toEqual([]);
  expect(getSettings(database()).era).not.toBe(eraBefore);
  const [next] = tapsOf([{ kind: 'segment', index: 2, roundsDone: 0 }]);
  expect(send(uid, [next])).toMatchObject({ upTo: 8, refused: 0 });
});

it('keeps a class whose course the copy does not know yet, or knows under another number', async () => {
  const empty = await makeCopyNow('hand');
  const { uid, people } = begin();
  send(uid, tapsOf(hold([people[0]!])));
  await back(empty);
  const row = findClass(uid)!;
  expect(listTaps(database(), row.id)).toHaveLength(3);
  expect(listCourses(database()).map(({ name }) => name)).toContain('Thursday, upside down');
  // Nobody of it is in the copy: there is nobody to write a record of.
  expect(listAttempts(database(), people.map(Number))).toEqual([]);
});

it('never gives the number of a device that was put out to another one', async () => {
  begin();
  const join = async (name: string) => {
    const { code } = must(await createPairing('assistant'));
    return findDeviceBy(must(joinDevice({ code, name })).token)!.id;
  };
  await join('First');
  const copy = await makeCopyNow('hand');
  const gone = await join('Second');
  const uid = must(beginClass(1));
  must(
    takeTaps(uid, { device: 'second', after: 0, taps: [] }, { ...assistantTaps, deviceId: gone }),
  );
  must(dropDevice(gone));
  await back(copy);
  const third = await join('Third');
  expect(third).toBeGreaterThan(gone);
  for (const deviceId of [third, null]) {
    const tapper = { ...(deviceId === null ? teacherTaps : assistantTaps), deviceId };
    expect(takeTaps(uid, { device: 'second', after: 0, taps: [] }, tapper)).toMatchObject({
      reason: 'not-yours',
    });
  }
});
