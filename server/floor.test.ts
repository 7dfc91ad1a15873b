import { readFileSync } from 'node:fs';
import path from 'node:path';
import { openCase } from '@/core/ladder/case';
import { shippedSchool } from '@/core/catalog/school';
import type { FloorAct, Tap } from '@/core/floor/tap';
import { seedDemo } from '@/demo/course';
import { listAttendance, listMeetings } from '@/db/courses';
import { listAttempts, listTaps, listUpsideTime } from '@/db/floor';
import { careOf, findPerson, listCoursePeople, listPeople } from '@/db/people';
import { listRecords } from '@/db/records';
import { changeCare, notePainGone, recordCheck } from './changes';
import { keepPlan } from './classChanges';
import { findStandingPlan, readClass } from './classViews';
import { today } from './clock';
import { database, databaseFile } from './database';
import { createPairing, dropDevice, findDeviceBy, joinDevice, readDevices } from './devices';
import { beginClass, bundleOf, findClass, takeTaps } from './floor';
import { bundleFor } from './floorBundle';
import { joinClass } from './floorJoin';
import { ruleOn, isFromNetwork } from './gate';
import { readHome, writeHomeCalendar, writeHomeText } from './homePractice';
import { deletePerson } from './peopleChanges';
import { readCourseRecord, readFloorDays, recordCsv, recordKinds } from './record';
import { keepReview, readReview, reopenReview } from './review';
import { run } from './run';
import { addPerson, must, recordForm, withThrowawayStudio } from './testing';
import ICAL from 'ical.js';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

withThrowawayStudio();

function begin() {
  seedDemo(database(), today());
  const uid = must(beginClass(1));
  const row = findClass(uid)!;
  return { uid, row, people: bundleOf(row).members.map(({ id }) => id) };
}

let seq = 0;
beforeEach(() => {
  seq = 0;
});
const tapsOf = (acts: readonly FloorAct[], device = 't', everyMs = 10_000): Tap[] =>
  acts.map((act) => {
    seq += 1;
    return {
      device,
      seq,
      at: { boot: 'b', monoMs: seq * everyMs, wallMs: 1e12 + seq * everyMs },
      act,
    };
  });
const send = (uid: string, taps: readonly unknown[], device = 't', role = 'teacher' as const) =>
  must(takeTaps(uid, { device, after: 0, taps }, role));

const hold = (people: string[]): FloorAct[] => [
  { kind: 'hold-start', hold: 'h', check: 'dolphin-hold', base: null, side: null, people },
  { kind: 'hold-down', hold: 'h', person: people[0] },
  { kind: 'hold-stop', hold: 'h' },
];

const recordsToday = (id: string) =>
  listRecords(database(), [Number(id)]).filter(({ date }) => date === today());

describe('a class on the floor', () => {
  it('is begun once a day, and writes what was held into the record as it happens', () => {
    const { uid, people } = begin();
    expect(must(beginClass(1))).toBe(uid);
    const [a, b] = people;
    const answer = send(uid, tapsOf(hold([a, b])));
    expect(answer).toMatchObject({ upTo: 3, taps: [], refused: 0 });
    expect(recordsToday(a)).toMatchObject([{ check: 'dolphin-hold', value: 10 }]);
    expect(recordsToday(b)).toMatchObject([{ value: 20, stoppedByTeacher: true }]);
    expect(listUpsideTime(database(), [Number(a)]).at(-1)).toMatchObject({ seconds: 10 });
  });

  it('keeps a delivery that comes twice once, waits for one that is missing, and hands it on', () => {
    const { uid, row, people } = begin();
    const taps = tapsOf([
      ...hold(people.slice(0, 2)),
      { kind: 'segment', index: 4, roundsDone: 0 },
    ]);
    expect(send(uid, [taps[0], taps[2]]).upTo).toBe(1);
    expect(send(uid, taps).upTo).toBe(4);
    expect(send(uid, taps).upTo).toBe(4);
    expect(listTaps(database(), row.id).map(({ tap }) => tap.seq)).toEqual([1, 2, 3, 4]);
    const other = must(takeTaps(uid, { device: 'h', after: 0, taps: [] }, 'teacher'));
    expect(other.taps).toEqual(taps);
    expect(
      must(takeTaps(uid, { device: 'h', after: other.after, taps: [] }, 'teacher')).taps,
    ).toEqual([]);
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
      { ...good, seq: 4 },
    ]);
    expect(answer).toMatchObject({ upTo: 4, refused: 2 });
    expect(listTaps(database(), row.id)).toHaveLength(4);
    expect(takeTaps('no-such-class', { device: 't', after: 0, taps: [] }, 'teacher').ok).toBe(
      false,
    );
    expect(takeTaps(uid, { device: 't', after: 0, taps: 'x' }, 'teacher').ok).toBe(false);
  });

  it('closes what loads a sore place and everything after a sign, from that moment on', () => {
    const { uid, people } = begin();
    const [sore, signed] = people;
    send(uid, tapsOf([{ kind: 'sore', person: sore, place: 'shoulder' }]));
    send(uid, tapsOf([{ kind: 'sign', person: signed, sign: 'ringing' }]));
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
    expect([...open(sore).pains[0].regions]).toEqual(['shoulder', 'scapula']);
    expect(open(signed).sign).toMatchObject({ sign: 'ringing', date: today() });
    must(notePainGone(Number(sore)));
    // Noted on the same day: it stays until a later class.
    expect(open(sore).pains).toHaveLength(1);
  });

  it('counts tries, and says who came once it has ended', () => {
    const { uid, people } = begin();
    const kick: FloorAct = {
      kind: 'try',
      person: people[0],
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
      tapsOf([kick, kick, { kind: 'absent', person: people[1], isAbsent: true }, { kind: 'end' }]),
    );
    const mine = listAttempts(database(), [Number(people[0])]).filter(
      ({ date }) => date === today(),
    );
    expect(mine).toHaveLength(2);
    expect(recordsToday(people[0]).map(({ check }) => check)).toEqual([
      'blocks-kept',
      'controlled-exit',
      'blocks-kept',
      'controlled-exit',
    ]);
    const evening = listMeetings(database(), 1).find(({ date }) => date === today())!;
    const came = new Map(
      listAttendance(database(), [evening.id]).map((one) => [String(one.personId), one.came]),
    );
    expect([came.get(people[0]), came.get(people[1])]).toEqual([true, false]);
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

  it('forgets a deleted person in every tap and bundle, also on the disk', () => {
    const { uid, people } = begin();
    send(uid, tapsOf(hold([people[0], people[1]])));
    send(uid, tapsOf([{ kind: 'sore', person: people[0], place: 'wrist' }]));
    const { name } = findPerson(database(), Number(people[0]))!;
    const copy = path.join(path.dirname(databaseFile()), 'before-5.sqlite');
    database().run(`VACUUM INTO '${copy}'`);
    expect(readFileSync(copy).includes(name)).toBe(true);
    expect(must(deletePerson(Number(people[0]))).copiesLeft).toEqual([]);
    expect(readFileSync(copy).includes(name)).toBe(false);
    const row = findClass(uid)!;
    expect(JSON.stringify(row.bundle)).not.toContain(name);
    const taps = listTaps(database(), row.id).map(({ tap }) => tap);
    expect(JSON.stringify(taps.map(({ act }) => act))).not.toContain(`"${people[0]}"`);
    expect(taps).toHaveLength(4);
    expect(readFileSync(databaseFile()).includes(name)).toBe(false);
    // A tap about them that was still on its way changes nothing.
    const late = send(uid, tapsOf([{ kind: 'sore', person: people[0], place: 'wrist' }]));
    expect(late.refused).toBe(1);
    expect(recordsToday(people[1])).toHaveLength(1);
  });
});

it('says that the disk is full, keeps nothing of it, and stays readable', async () => {
  const { uid, people } = begin();
  const [{ page_count: pages }] = database().all<{ page_count: number }>('PRAGMA page_count');
  database().run(`PRAGMA max_page_count = ${pages}`);
  const acts = Array.from({ length: 400 }, (): FloorAct => ({ kind: 'halt', person: people[0] }));
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
  seedDemo(database(), today());
  const view = readClass(1)!;
  const [a, b] = view.members.map(({ id }) => id);
  const wishes = { ...view.wishes, absent: [a, b] };
  must(
    keepPlan(1, view.meeting.date, {
      seen: view.revision,
      wishes,
      plan: findStandingPlan({ ...view, wishes, kept: null }),
    }),
  );
  const uid = must(beginClass(1));
  send(uid, tapsOf([{ kind: 'absent', person: b, isAbsent: false }, { kind: 'end' }]));
  const evening = listMeetings(database(), 1).find(({ date }) => date === today())!;
  const came = new Map(
    listAttendance(database(), [evening.id]).map((one) => [String(one.personId), one.came]),
  );
  expect([came.get(a), came.get(b)]).toEqual([false, true]);
  const reviewed = readReview(uid)!.people.filter(({ id }) => [a, b].includes(String(id)));
  expect(reviewed.map(({ came: is }) => is)).toEqual([false, true]);
});

it('a hold goes on for the others when somebody in it was deleted meanwhile', () => {
  const { uid, people } = begin();
  const [a, b] = people;
  const taps = tapsOf([
    {
      kind: 'hold-start',
      hold: 'h',
      check: 'dolphin-hold',
      base: null,
      side: null,
      people: [a, b],
    },
    { kind: 'hold-down', hold: 'h', person: a },
    { kind: 'hold-stop', hold: 'h' },
  ]);
  must(deletePerson(Number(a)));
  expect(send(uid, taps)).toMatchObject({ upTo: 3, refused: 1 });
  expect(recordsToday(b)).toMatchObject([{ check: 'dolphin-hold', value: 20 }]);
  expect(JSON.stringify(listTaps(database(), findClass(uid)!.id))).not.toContain(`"${a}"`);
});

describe('somebody at the door', () => {
  it('is let in, added to the course, and judged like everybody else', () => {
    const { uid, people } = begin();
    const id = must(joinClass(uid, { name: 'Odile Marsh', height: '171' }));
    const bundle = bundleOf(findClass(uid)!);
    expect(bundle.members.map((member) => member.id)).toEqual([...people, id]);
    const judged = bundle.prepared.people.find((one) => one.id === id)!;
    expect(judged.options.length).toBeGreaterThan(0);
    // Nothing was seen of them yet: neither a neck nor a wall is open.
    for (const option of judged.options) {
      if (option.role === 'alternative') continue;
      expect([option.alongM, option.loads.neck ?? 0]).toEqual([undefined, 0]);
    }
    expect(bundle.revision).toBe(1);
    expect(listCoursePeople(database(), 1).map((one) => String(one.id))).toContain(id);
    // Their taps count from now on.
    expect(send(uid, tapsOf(hold([id, people[0]])))).toMatchObject({ refused: 0, revision: 1 });
    expect(recordsToday(id)).toHaveLength(1);
  });

  it('may be somebody known; nobody without a name, a height or a class comes in', () => {
    const { uid, people } = begin();
    const known = addPerson('Teo Lind');
    expect(must(joinClass(uid, { person: known }))).toBe(String(known));
    const before = listPeople(database()).length;
    expect(joinClass(uid, { name: '', height: '170' }).ok).toBe(false);
    expect(joinClass(uid, { name: 'A', height: 'tall' }).ok).toBe(false);
    expect(joinClass(uid, { person: 9999 }).ok).toBe(false);
    expect(joinClass('nothing', { name: 'A', height: '170' }).ok).toBe(false);
    send(uid, tapsOf([{ kind: 'end' }]));
    expect(joinClass(uid, { name: 'A', height: '170' })).toMatchObject({
      problems: { form: 'This class has ended.' },
    });
    expect(listPeople(database())).toHaveLength(before);
    expect(bundleOf(findClass(uid)!).members).toHaveLength(people.length + 1);
  });

  it('who is reported something during the class is closed in it at once', () => {
    const { uid, people } = begin();
    const planned = (id: string) =>
      bundleOf(findClass(uid)!).prepared.people.find((one) => one.id === id)!;
    const isDown = ({ isRest }: { isRest?: boolean }) => isRest !== true;
    expect(planned(people[0]).options.filter(isDown).length).toBeGreaterThan(0);
    must(changeCare(Number(people[0]), { consent: 'no', cautions: ['eye'], otherWords: [] }));
    const { members, prepared, revision } = bundleOf(findClass(uid)!);
    expect(revision).toBe(1);
    expect(members.find(({ id }) => id === people[0])!.consent).toBe('no');
    const now = prepared.people.find(({ id }) => id === people[0])!;
    expect(now.options.some(({ role }) => role === 'present' || role === 'next')).toBe(false);
    expect(prepared.people.slice(1).map(({ id }) => id)).toEqual(people.slice(1));
    // Pain said while something is recorded closes what loads the place.
    const record = { check: 'dolphin-hold', value: '20', pain: true, painPlace: 'shoulder' };
    must(recordCheck(Number(people[1]), recordForm(record)));
    const sore = bundleOf(findClass(uid)!);
    expect(sore.revision).toBe(2);
    expect(
      sore.prepared.people[1].options.filter(({ loads }) => (loads.shoulder ?? 0) > 0),
    ).toEqual([]);
    // Once the class has ended, it stays as it was.
    send(uid, tapsOf([{ kind: 'end' }]));
    must(changeCare(Number(people[1]), { consent: 'no', cautions: [], otherWords: [] }));
    expect(bundleOf(findClass(uid)!).revision).toBe(2);
  });
});

describe('an assistant', () => {
  it('is sent a class without a word of anybody’s health', () => {
    const { uid, people } = begin();
    send(uid, tapsOf([{ kind: 'sign', person: people[0], sign: 'tingling' }]));
    send(uid, tapsOf([{ kind: 'door', person: people[1], check: 'neck-ease', isFine: false }]));
    // Also of somebody who came in late, or was judged anew.
    must(joinClass(uid, { name: 'Odile Marsh', height: '171' }));
    must(changeCare(Number(people[2]), { consent: 'ask', cautions: ['eye'], otherWords: [] }));
    const bundle = bundleFor('assistant', bundleOf(findClass(uid)!));
    const answer = must(takeTaps(uid, { device: 'h', after: 0, taps: [] }, 'assistant'));
    const text = JSON.stringify([bundle.plan, bundle.prepared, bundle.members, answer.taps]);
    expect(text).not.toMatch(/caution|clinician|pain|tingling|ringing|headache|neck-ease|massKg/i);
    expect(bundle.prepared.people.every(({ shut, weak }) => shut.length + weak.length === 0)).toBe(
      true,
    );
    expect(bundle.members.every(({ consent }) => ['yes', 'ask', 'no'].includes(consent))).toBe(
      true,
    );
    expect(answer.taps.map(({ act }) => act.kind)).toEqual(['halt', 'door']);
  });

  it('cannot end the class, whatever its device sends', () => {
    const { uid, row } = begin();
    const [end] = tapsOf([{ kind: 'end' }], 'h');
    const answer = must(takeTaps(uid, { device: 'h', after: 0, taps: [end] }, 'assistant'));
    expect(answer).toMatchObject({ refused: 1, upTo: 1 });
    expect(findClass(row.uid)!.endedMs).toBeNull();
  });
});

describe('the network door', () => {
  const wrong = (code: string) => String((Number(code) + 1) % 1e8).padStart(8, '0');

  it('lets a device in once by its code, knows it by its token, and puts it out', async () => {
    const { code } = must(await createPairing('assistant'));
    expect(code).toMatch(/^\d{8}$/);
    expect(joinDevice({ code: '1', name: 'x' }).ok).toBe(false);
    const spaced = `${code.slice(0, 4)} ${code.slice(4)}`;
    const { token, role } = must(joinDevice({ code: spaced, name: 'Tablet' }));
    expect(role).toBe('assistant');
    expect(joinDevice({ code, name: 'Another' }).ok).toBe(false);
    expect(findDeviceBy(token)).toMatchObject({ name: 'Tablet', role: 'assistant' });
    expect(findDeviceBy(`${token}x`)).toBeNull();
    expect(findDeviceBy(undefined)).toBeNull();
    const bytes = readFileSync(`${databaseFile()}-wal`);
    expect(bytes.includes(token)).toBe(false);
    expect(bytes.includes(code)).toBe(false);
    must(dropDevice(readDevices()[0].id));
    expect(findDeviceBy(token)).toBeNull();
    expect(dropDevice(99).ok).toBe(false);
  });

  it('voids a code after five wrong tries, and after five minutes', async () => {
    const { code } = must(await createPairing('teacher'));
    for (let index = 0; index < 5; index += 1) {
      expect(joinDevice({ code: wrong(code), name: 'x' }).ok).toBe(false);
    }
    expect(joinDevice({ code, name: 'x' }).ok).toBe(false);
    const later = must(await createPairing('teacher'));
    jest.spyOn(Date, 'now').mockReturnValue(later.expiresMs + 1);
    expect(joinDevice({ code: later.code, name: 'x' }).ok).toBe(false);
    jest.restoreAllMocks();
    expect((await createPairing('owner')).ok).toBe(false);
  });

  it('opens to an assistant what a running class needs, and nothing else', () => {
    const uid = '01234567-89ab-cdef-0123-456789abcdef';
    const rule = (path: string, role: 'teacher' | 'assistant' | null, isAction = false) =>
      ruleOn({ path, role, isReading: !isAction, isAction }).kind;
    const send = (path: string, role: 'teacher' | 'assistant' | null) =>
      ruleOn({ path, role, isReading: false, isAction: false }).kind;
    for (const path of ['/floor', `/floor/${uid}`, '/solver']) {
      expect(rule(path, 'assistant')).toBe('pass');
      expect(rule(path, null)).toBe('pair');
      // A form sent to a page may be an action without saying so.
      expect(send(path, 'assistant')).toBe('closed');
      expect(send(path, 'teacher')).toBe('pass');
    }
    expect(send(`/floor/${uid}/taps`, 'assistant')).toBe('pass');
    expect(send(`/floor/${uid}/taps`, null)).toBe('pair');
    expect([send('/pair/join', null), send('/pair', null)]).toEqual(['pass', 'pair']);
    const closed = [
      '/',
      '/people',
      '/people/1',
      '/settings/studio',
      `/review/${uid}`,
      '/plan/class',
    ];
    for (const path of [...closed, '/floor/scale', '/floor/../people', '/floor/x', '/devices']) {
      expect(rule(path, 'assistant')).toBe('closed');
      expect(rule(path, null)).toBe('pair');
      expect(rule(path, 'teacher')).toBe('pass');
    }
    // An action is called by its number, from whatever page.
    expect(rule('/floor', 'assistant', true)).toBe('closed');
    expect(rule('/pair', null, true)).toBe('pair');
    expect(isFromNetwork('abc', 'abc')).toBe(true);
    for (const mark of [null, '', 'abd', 'abcd']) expect(isFromNetwork(mark, 'abc')).toBe(false);
    expect(isFromNetwork('', '')).toBe(false);
  });
});

describe('afterwards', () => {
  it('goes through the evening person by person, agreed or not, and can be taken up again', () => {
    const { uid, people } = begin();
    send(uid, tapsOf([...hold([people[0]]), { kind: 'end' }]));
    const view = readReview(uid)!;
    const [first, second] = view.people;
    const one = view.people.find(({ id }) => String(id) === people[0])!;
    expect(one.seen.some((line) => /Dolphin hold: 10\.0 s/.test(line))).toBe(true);
    const decision = { stage: first.next!.stage, decided: first.next!.kind, reason: '' };
    must(keepReview(uid, first.id, { note: 'quiet and steady', decision }));
    const other = second.next!.kind === 'stay' ? 're-check' : 'stay';
    const differs = { stage: second.next!.stage, decided: other, reason: '' };
    const refused = keepReview(uid, second.id, { note: 'x', decision: differs });
    expect(refused).toMatchObject({ ok: false, problems: { reason: expect.any(String) } });
    expect(readReview(uid)!.people[1]).toMatchObject({ isDone: false, note: '' });
    const now = readReview(uid)!.people[0];
    expect(now).toMatchObject({
      isDone: true,
      note: 'quiet and steady',
      decided: first.next!.kind,
    });
    must(reopenReview(uid, first.id));
    expect(readReview(uid)!.people[0].isDone).toBe(false);
    expect(keepReview(uid, 9999, { note: '', decision: null }).ok).toBe(false);
    expect(readReview('nothing')).toBeNull();
  });

  it('says what was seen several times once, and a stop with its word as one stop', () => {
    const { uid, people } = begin();
    const [person] = people;
    const kick: FloorAct = {
      kind: 'try',
      person,
      what: 'kick',
      stage: 'FS10',
      base: 'forearms',
      round: 1,
      leg: 'left',
      reached: false,
      blocksKept: true,
      landing: null,
      isAssisted: false,
    };
    const halt: FloorAct = { kind: 'halt', person };
    send(uid, [
      ...tapsOf([kick, kick, kick, halt, { kind: 'sore', person, place: 'wrist' }]),
      // Ten minutes later, again.
      ...tapsOf([halt]).map((tap) => ({
        ...tap,
        at: { ...tap.at, monoMs: tap.at.monoMs + 600_000, wallMs: tap.at.wallMs + 600_000 },
      })),
    ]);
    const { seen } = readReview(uid)!.people.find(({ id }) => String(id) === person)!;
    expect(seen).toEqual([
      'Blocks kept in the kick: yes, 3 times',
      '3 tries, 0 reached the wall',
      'stopped, 2 times',
    ]);
  });

  it('sends a practice home as text and as a calendar that a strict reader opens', () => {
    begin();
    for (const { id } of listPeople(database())) {
      const view = readHome(id)!;
      const text = writeHomeText(view);
      expect(text).toContain('No medical advice');
      for (const { label } of view.practice.items) expect(text).toContain(label);
      const calendar = new ICAL.Component(ICAL.parse(writeHomeCalendar(view)));
      const events = calendar.getAllSubcomponents('vevent');
      // Also when the next evening is tomorrow: there is something for the days around it.
      expect(events.length).toBeGreaterThan(1);
      for (const event of events) {
        const read = new ICAL.Event(event);
        expect(view.evenings).not.toContain(read.startDate.toString());
        expect(read.summary).toBe('Practice');
        expect(read.startDate.isDate).toBe(true);
        expect(read.uid).toMatch(/@levitar$/);
      }
    }
    expect(readHome(9999)).toBeNull();
  });

  it('looks back over the weeks, every chart with its figures', () => {
    begin();
    const record = readCourseRecord(1, undefined)!;
    expect(record.weeks.length).toBeGreaterThan(2);
    expect(record.weeks.every(({ came, of }) => came <= of)).toBe(true);
    expect(record.weeks.some(({ tries }) => tries > 0)).toBe(true);
    const moved = record.flow.links.filter(({ from, to }) => from !== to);
    expect(moved.length).toBeGreaterThan(2);
    for (const kind of recordKinds) expect(typeof recordCsv(record, kind)).toBe('string');
    expect(recordCsv(record, 'weeks').split('\r\n')).toHaveLength(record.weeks.length + 1);
    expect(readCourseRecord(1, 'handstand')!.family).toBe('handstand');
  });
});
