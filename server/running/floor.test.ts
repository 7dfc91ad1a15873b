import { asTeacher } from '../network/testingAsker';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { baseIds, type BaseId } from '@/core/catalog/checks';
import { painPlaces } from '@/core/catalog/regions';
import { shippedSchool } from '@/core/catalog/school';
import { isOutOfHold, saidTonight } from '@/core/running/holdOut';
import type { FloorAct } from '@/core/running/tap';
import { openCase } from '@/core/ladder/case';
import { addDays } from '@/core/units/day';
import { listAttendance, listMeetings } from '@/db/courses';
import { listAttempts, listTaps, listUpsideTime } from '@/db/floor';
import { withOtherPeople, withoutPerson } from '@/db/classPeople';
import { careOf, findPerson } from '@/db/people';
import { savePainCleared, saveScreened } from '@/db/personChanges';
import { listRecords } from '@/db/records';
import { notePainGone } from '@/features/person/change';
import { keepPlan } from '@/features/plan/change';
import { findStandingPlan, readClass } from '../judging/classViews';
import { today } from '../clock';
import { database, databaseFile } from '../database';
import { beginClass, findClass, takeTaps } from './floor';
import { bundleFor, bundleOf, type FloorBundle, type FloorCheck } from './floorBundle';
import { judgeInRunningClasses } from './floorJudge';
import { deletePerson } from '@/features/people/change';
import { readFloorDays } from '@/features/record/read';
import { readReview } from '@/features/review/review';
import { run } from '../run';
import { must, fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { begin, tapsOf, send, hold, recordsToday, teacherTaps } from '@/features/testing/floor';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

jest.mock('next/headers', () => ({ headers: () => Promise.resolve(asTeacher()) }));
withThrowawayStudio();

describe('a class on the floor', () => {
  it('is begun once a day, and writes what was held into the record as it happens', () => {
    const { uid, people } = begin();
    expect(must(beginClass(1))).toBe(uid);
    const [a, b] = people;
    const answer = send(uid, tapsOf(hold([a!, b!])));
    expect(answer).toMatchObject({ upTo: 3, taps: [], refused: 0 });
    expect(recordsToday(a!)).toMatchObject([{ check: 'dolphin-hold', value: 10 }]);
    expect(recordsToday(b!)).toMatchObject([{ value: 20, stoppedByTeacher: true }]);
    expect(listUpsideTime(database(), [Number(a)]).at(-1)).toMatchObject({ seconds: 10 });
  });

  it('keeps an assistant’s device from asking whoever said something before, without saying what', () => {
    const { row, people } = begin();
    const [sore, down] = people as [string, string];
    const bundle = bundleOf(row);
    let closed = 0;
    for (const place of painPlaces) {
      const wishes = { ...bundle.plan.wishes, sore: [{ person: sore, place }], feetDown: [down] };
      const own = { ...bundle, plan: { ...bundle.plan, wishes } };
      const theirs = bundleFor('assistant', own);
      expect(theirs.plan.wishes).toMatchObject({ sore: [], feetDown: [] });
      const asks = (of: FloorBundle, id: string, spec: FloorCheck, base: BaseId | null) =>
        isOutOfHold(
          of.prepared.people.find((one) => one.id === id)!,
          spec,
          base,
          saidTonight({ halts: [] }, of.plan.wishes, of === own),
          of.plan.wishes.feetDown?.includes(id),
        );
      for (const spec of theirs.checks) {
        for (const base of spec.byBase ? baseIds : [null]) {
          for (const id of people) {
            const isOut = asks(own, id, spec, base);
            expect([place, spec.check, base, id, asks(theirs, id, spec, base)]).toEqual([
              place,
              spec.check,
              base,
              id,
              isOut,
            ]);
            if (isOut) closed += 1;
          }
        }
      }
    }
    expect(closed).toBeGreaterThan(50);
  });

  it('keeps a delivery that comes twice once, refuses one with a gap before it, and hands it on', () => {
    const { uid, row, people } = begin();
    const taps = tapsOf([
      ...hold(people.slice(0, 2)),
      { kind: 'segment', index: 4, roundsDone: 0 },
    ]);
    // What does not continue the row is refused as a whole, and never acknowledged.
    expect(
      takeTaps(uid, { device: 't', after: 0, taps: [taps[0], taps[2]] }, teacherTaps),
    ).toMatchObject({
      reason: 'apart',
      upTo: 0,
    });
    expect(listTaps(database(), row.id)).toEqual([]);
    expect(send(uid, taps).upTo).toBe(4);
    expect(send(uid, taps).upTo).toBe(4);
    expect(listTaps(database(), row.id).map(({ tap }) => tap.seq)).toEqual([1, 2, 3, 4]);
    const other = must(takeTaps(uid, { device: 'h', after: 0, taps: [] }, teacherTaps));
    expect(other.taps).toEqual(taps);
    expect(
      must(takeTaps(uid, { device: 'h', after: other.after, taps: [] }, teacherTaps)).taps,
    ).toEqual([]);
  });

  it('opens what waits for the first questions as soon as they are answered, and closes it when that is taken back', () => {
    const { uid, people } = begin();
    const [asked, other] = people;
    const db = database();
    for (const id of [asked!, other!]) saveScreened(db, Number(id), null);
    judgeInRunningClasses(db, Number(asked));
    judgeInRunningClasses(db, Number(other));
    const closedTo = (id: string) => {
      const { prepared } = bundleOf(findClass(uid)!);
      return prepared.people.find((one) => one.id === id)!.closedChecks!;
    };
    const before = closedTo(asked!);
    const others = closedTo(other!);
    const door = { kind: 'door', person: asked!, check: 'screening' } as const;
    send(uid, tapsOf([{ ...door, isFine: true }]));
    expect(findPerson(db, Number(asked))!.screenedOn).toBe(today());
    expect(closedTo(asked!).length).toBeLessThan(before.length);
    expect(closedTo(other!)).toEqual(others);
    const due = () =>
      bundleOf(findClass(uid)!).members.flatMap((one) => (one.isScreeningDue ? one.id : []));
    expect(due()).toContain(other);
    expect(due()).not.toContain(asked);
    // An assistant is told of neither.
    const { members } = bundleFor('assistant', bundleOf(findClass(uid)!));
    expect(members.some((one) => 'isScreeningDue' in one || 'isAskedFromHome' in one)).toBe(false);
    send(uid, tapsOf([{ kind: 'undo', tap: 't.1' }]));
    expect(due()).toContain(asked);
    expect(findPerson(db, Number(asked))!.screenedOn).toBeNull();
    expect(closedTo(asked!)).toEqual(before);
  });

  it('opens what hurt before once it is said to be gone, not what hurts tonight, and closes it again', () => {
    const { uid } = begin();
    const db = database();
    const members = () => bundleOf(findClass(uid)!).members;
    const sore = members().filter((one) => one.isSoreBefore === true);
    expect(sore.map(({ name }) => name)).toEqual(['Kestrel Odum']);
    const { id } = sore[0]!;
    const cleared = () => findPerson(db, Number(id))!.painClearedOn;
    const closedTo = () =>
      bundleOf(findClass(uid)!).prepared.people.find((one) => one.id === id)!.closedChecks!;
    const [was, before] = [cleared(), closedTo()];
    const door = { kind: 'door', person: id, check: 'sore-before' } as const;
    send(uid, tapsOf([{ ...door, isFine: false }]));
    expect([cleared(), closedTo()]).toEqual([was, before]);
    send(uid, tapsOf([{ ...door, isFine: true }]));
    expect(cleared()).toBe(today());
    expect(closedTo().length).toBeLessThan(before.length);
    expect(members().some((one) => one.isSoreBefore)).toBe(false);
    // And what stands was planned before that.
    const { revision, openedAt } = bundleOf(findClass(uid)!);
    expect(openedAt).toBe(revision);
    // No check is recorded, and an assistant's device is told of none of it.
    expect(recordsToday(id)).toEqual([]);
    const theirs = JSON.stringify(bundleFor('assistant', bundleOf(findClass(uid)!)));
    expect(theirs).not.toMatch(/gone(Before)?"|sore-before|isSoreBefore|how is it today/i);
    // In a file the class speaks of them under another id, and of nobody once they are deleted.
    const kept = bundleOf(findClass(uid)!).goneBefore;
    expect(kept).toEqual([{ person: id, was }]);
    expect(withOtherPeople({ goneBefore: kept }, new Map([[id, 'other']]))).toEqual({
      goneBefore: [{ person: 'other', was }],
    });
    expect(withoutPerson({ goneBefore: kept }, id)).toEqual({ goneBefore: [] });
    // What hurts tonight is another matter.
    send(uid, tapsOf([{ kind: 'sore', person: id, place: 'shoulder' }]));
    expect(closedTo().length).toBeLessThan(before.length);
    expect(careOf(findPerson(db, Number(id))!).pains).toContainEqual({
      date: today(),
      place: 'shoulder',
    });
    send(uid, tapsOf([{ kind: 'undo', tap: 't.2' }]));
    expect([cleared(), closedTo()]).toEqual([was, before]);
    expect(members().find((one) => one.id === id)).toMatchObject({ isSoreBefore: true });
  });

  it('leaves what is noted at the desk meanwhile as it is, and what stood before where it was', () => {
    const { uid } = begin();
    const db = database();
    const { id } = bundleOf(findClass(uid)!).members.find((one) => one.isSoreBefore === true)!;
    const cleared = () => findPerson(db, Number(id))!.painClearedOn;
    const door = { kind: 'door', person: id, check: 'sore-before' } as const;
    // Long gone, and something since: saying so and taking it back leaves the earlier word.
    const long = addDays(today(), -300);
    savePainCleared(db, Number(id), long);
    send(uid, tapsOf([{ ...door, isFine: true }]));
    expect(cleared()).toBe(today());
    send(uid, tapsOf([{ ...door, isFine: false }]));
    expect(cleared()).toBe(long);
    // A later word than the class’s stands, whenever its taps are delivered, and taken back or not.
    const later = addDays(today(), 1);
    savePainCleared(db, Number(id), later);
    send(uid, tapsOf([{ ...door, isFine: true }]));
    expect(cleared()).toBe(later);
    send(uid, tapsOf([{ ...door, isFine: false }]));
    expect(cleared()).toBe(later);
    savePainCleared(db, Number(id), long);
    // Not yet, at the door; gone, at the desk: later taps do not close it again.
    must(notePainGone(Number(id)));
    send(uid, tapsOf([{ kind: 'segment', index: 2, roundsDone: 0 }]));
    expect(cleared()).toBe(today());
  });

  it('takes a record back with its tap, and leaves those of other days alone', () => {
    const { uid, people } = begin();
    const before = listRecords(database(), [Number(people[0])]).length;
    send(uid, tapsOf(hold(people.slice(0, 1))));
    expect(listRecords(database(), [Number(people[0])])).toHaveLength(before + 1);
    send(uid, tapsOf([{ kind: 'undo', tap: 't.1' }]));
    expect(listRecords(database(), [Number(people[0])])).toHaveLength(before);
  });

  it('keeps a place for what cannot be read, so that the queue never sticks', () => {
    const { uid, row } = begin();
    const [good] = tapsOf([{ kind: 'segment', index: 2, roundsDone: 0 }]);
    const answer = send(uid, [
      good,
      { ...good, seq: 2, act: { kind: 'cartwheel' } },
      { ...good, seq: 3, act: { kind: 'halt', person: 'nobody' } },
      { ...good, seq: 4, at: { ...good!.at, monoMs: 5 } },
    ]);
    expect(answer).toMatchObject({ upTo: 4, refused: 2 });
    expect(listTaps(database(), row.id)).toHaveLength(4);
    expect(takeTaps('no-such-class', { device: 't', after: 0, taps: [] }, teacherTaps).ok).toBe(
      false,
    );
    expect(takeTaps(uid, { device: 't', after: 0, taps: 'x' }, teacherTaps).ok).toBe(false);
  });

  it('closes what loads a sore place and everything after a sign, from that moment on', () => {
    const { uid, people } = begin();
    const [sore, signed] = people;
    send(uid, tapsOf([{ kind: 'sore', person: sore!, place: 'shoulder' }]));
    send(uid, tapsOf([{ kind: 'sign', person: signed!, sign: 'ringing' }]));
    const open = (id: string) => {
      const person = findPerson(database(), Number(id))!;
      const { consent, present } = person;
      const school = shippedSchool('prop-led');
      const care = careOf(person);
      return openCase({
        asOf: today(),
        school,
        evidence: {},
        care,
        consent,
        present,
        equipment: [],
      });
    };
    expect([...open(sore!).pains[0]!.regions]).toEqual(['shoulder', 'scapula']);
    expect(open(signed!).sign).toMatchObject({ sign: 'ringing', date: today() });
    must(notePainGone(Number(sore)));
    // Noted on the same day: it stays until a later class.
    expect(open(sore!).pains).toHaveLength(1);
  });

  it('counts tries, and says who came once it has ended', () => {
    const { uid, people } = begin();
    const kick: FloorAct = {
      kind: 'try',
      person: people[0]!,
      what: 'kick',
      stage: 'FS10',
      base: 'forearms',
      round: 1,
      leg: 'left',
      reached: true,
      blocksKept: true,
      landing: 'soft',
      isAssisted: false,
    };
    send(
      uid,
      tapsOf([kick, kick, { kind: 'absent', person: people[1]!, isAbsent: true }, { kind: 'end' }]),
    );
    const mine = listAttempts(database(), [Number(people[0])]).filter(
      ({ date }) => date === today(),
    );
    expect(mine).toHaveLength(2);
    expect(recordsToday(people[0]!).map(({ check }) => check)).toEqual([
      'blocks-kept',
      'controlled-exit',
      'blocks-kept',
      'controlled-exit',
    ]);
    const evening = listMeetings(database(), 1).find(({ date }) => date === today())!;
    const came = new Map(
      listAttendance(database(), [evening.id]).map((one) => [String(one.personId), one.came]),
    );
    expect([came.get(people[0]!), came.get(people[1]!)]).toEqual([true, false]);
    send(uid, tapsOf([kick]));
    expect(
      listAttempts(database(), [Number(people[0])]).filter(({ date }) => date === today()),
    ).toHaveLength(3);
    expect(readFloorDays(Number(people[0])).at(-1)).toMatchObject({
      tries: 3,
      reached: 3,
      left: 3,
    });
  });

  it('forgets a deleted person in every tap and bundle, also on the disk', async () => {
    const { uid, people } = begin();
    send(uid, tapsOf(hold([people[0]!, people[1]!])));
    send(uid, tapsOf([{ kind: 'sore', person: people[0]!, place: 'wrist' }]));
    const { name } = findPerson(database(), Number(people[0]))!;
    const copy = path.join(path.dirname(databaseFile()), 'before-5.sqlite');
    database().run(`VACUUM INTO '${copy}'`);
    expect(readFileSync(copy).includes(name)).toBe(true);
    expect(must(await deletePerson(Number(people[0]))).copiesLeft).toEqual([]);
    expect(readFileSync(copy).includes(name)).toBe(false);
    const row = findClass(uid)!;
    expect(JSON.stringify(row.bundle)).not.toContain(name);
    const taps = listTaps(database(), row.id).map(({ tap }) => tap);
    expect(JSON.stringify(taps.map(({ act }) => act))).not.toContain(`"${people[0]}"`);
    expect(taps).toHaveLength(4);
    expect(readFileSync(databaseFile()).includes(name)).toBe(false);
    // A tap about them that was still on its way changes nothing.
    const late = send(uid, tapsOf([{ kind: 'sore', person: people[0]!, place: 'wrist' }]));
    expect(late.refused).toBe(1);
    expect(recordsToday(people[1]!)).toHaveLength(1);
  });
});

it('says that the disk is full, keeps nothing of it, and stays readable', async () => {
  const { uid, people } = begin();
  const pages = database().all<{ page_count: number }>('PRAGMA page_count')[0]!.page_count;
  database().run(`PRAGMA max_page_count = ${pages}`);
  const acts = Array.from({ length: 400 }, (): FloorAct => ({ kind: 'halt', person: people[0]! }));
  const taps = tapsOf(acts);
  const full = expect.objectContaining({ code: 'SQLITE_FULL' });
  expect(() => send(uid, taps)).toThrow(full);
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const outcome = await run(() => {
    send(uid, taps);
    return { ok: true, value: undefined };
  });
  jest.restoreAllMocks();
  expect(outcome).toMatchObject({ problems: { form: expect.stringMatching(/disk is full/) } });
  expect(listTaps(database(), findClass(uid)!.id)).toEqual([]);
  expect(readReview(uid)!.people).toHaveLength(people.length);
  database().run('PRAGMA max_page_count = 1000000');
  expect(send(uid, taps).upTo).toBe(400);
});

it('who was planned away and did not come was away, and who came all the same was there', () => {
  fillWithDemo();
  const view = readClass(1)!;
  const [a = '', b = ''] = view.members.map(({ id }) => id);
  const wishes = { ...view.wishes, absent: [a, b] };
  must(
    keepPlan(1, view.meeting.date, {
      seen: view.revision,
      wishes,
      plan: findStandingPlan({ ...view, wishes, kept: null }),
    }),
  );
  const uid = must(beginClass(1));
  send(uid, tapsOf([{ kind: 'absent', person: b!, isAbsent: false }, { kind: 'end' }]));
  const evening = listMeetings(database(), 1).find(({ date }) => date === today())!;
  const came = new Map(
    listAttendance(database(), [evening.id]).map((one) => [String(one.personId), one.came]),
  );
  expect([came.get(a!), came.get(b!)]).toEqual([false, true]);
  const reviewed = readReview(uid)!.people.filter(({ id }) => [a, b].includes(String(id)));
  expect(reviewed.map(({ came: is }) => is)).toEqual([false, true]);
});

it('a hold goes on for the others when somebody in it was deleted meanwhile', async () => {
  const { uid, people } = begin();
  const [a, b] = people;
  const taps = tapsOf([
    {
      kind: 'hold-start',
      hold: 'h',
      check: 'dolphin-hold',
      base: null,
      side: null,
      people: [a!, b!],
    },
    { kind: 'hold-down', hold: 'h', person: a! },
    { kind: 'hold-stop', hold: 'h' },
  ]);
  must(await deletePerson(Number(a)));
  expect(send(uid, taps)).toMatchObject({ upTo: 3, refused: 1 });
  expect(recordsToday(b!)).toMatchObject([{ check: 'dolphin-hold', value: 20 }]);
  expect(JSON.stringify(listTaps(database(), findClass(uid)!.id))).not.toContain(`"${a}"`);
});
