/** After a class: review, practice at home, the weeks. */
import ICAL from 'ical.js';
import type { FloorAct } from '@/core/running/tap';
import type { CheckKey } from '@/core/catalog/checks';
import { getStage, type StageId } from '@/core/catalog/stages';
import { listDecisionsOf } from '@/db/decisions';
import { findPerson, listPeople } from '@/db/people';
import { database } from '../database';
import { addDays } from '@/core/units/day';
import { readHome, writeHomeCalendar, writeHomeText } from '@/features/home/read';
import { readCourseRecord, recordCsv, recordKinds } from '@/features/record/read';
import { undoDecision } from '@/features/person/decisions';
import { findLastClass } from '@/features/review/lastClass';
import {
  agreeWithRest,
  keepReview,
  readReview,
  reopenReview,
  reopenReviews,
} from '@/features/review/review';
import { must, withThrowawayStudio } from '@/features/testing/studio';
import { begin, hold, send, tapsOf } from '@/features/testing/floor';

withThrowawayStudio();

describe('afterwards', () => {
  it('goes through the evening person by person, agreed or not, and can be taken up again', () => {
    const { uid, people } = begin();
    const seen = (check: CheckKey, value: number): FloorAct => ({
      kind: 'seen',
      person: people[0]!,
      check,
      value,
      base: null,
      side: null,
      faults: [],
    });
    const noted = [seen('head-clearance', 3), seen('wrist-extension', 79), seen('push-up-rung', 3)];
    const passed = [seen('controlled-exit', 1), seen('controlled-exit', 1)];
    send(uid, tapsOf([...hold([people[0]!]), ...noted, ...passed, { kind: 'end' }]));
    const view = readReview(uid)!;
    const [first, second] = view.people;
    const one = view.people.find(({ id }) => String(id) === people[0])!;
    // With what was counted, each of them: a bare number says nothing.
    expect(one.seen).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/Dolphin hold: 10 s/),
        'Head clearance in dolphin: 3 cm',
        'Wrist extension: 79°',
        'Push-up ladder rung: 3 of 8 (knees, top quarter, pyramid 3-2-1)',
        'Controlled exit: passed, noted 2 times',
      ]),
    );
    const decision = { stage: first!.next!.stage, decided: first!.next!.kind, reason: '' };
    must(keepReview(uid, first!.id, { note: 'quiet and steady', decision }));
    const other = second!.next!.kind === 'stay' ? ('re-check' as const) : ('stay' as const);
    const differs = { stage: second!.next!.stage, decided: other, reason: '' };
    const refused = keepReview(uid, second!.id, { note: 'x', decision: differs });
    expect(refused).toMatchObject({ ok: false, problems: { reason: expect.any(String) } });
    expect(readReview(uid)!.people[1]).toMatchObject({ isDone: false, note: '' });
    const now = readReview(uid)!.people[0];
    expect(now).toMatchObject({
      isDone: true,
      note: 'quiet and steady',
      decided: first!.next!.kind,
    });
    must(reopenReview(uid, first!.id));
    expect(readReview(uid)!.people[0]!.isDone).toBe(false);
    expect(keepReview(uid, 9999, { note: '', decision: null }).ok).toBe(false);
    expect(readReview('nothing')).toBeNull();
  });

  it('is found by its place in the header once the class has ended, and not while it runs', () => {
    const { uid, people } = begin();
    expect(findLastClass()).toBeNull();
    send(uid, tapsOf([...hold([people[0]!]), { kind: 'end' }]));
    expect(findLastClass()).toBe(uid);
  });

  it('agrees with everybody who is no exception at once, as it was shown, and not otherwise', () => {
    const { uid, people } = begin();
    send(uid, tapsOf([{ kind: 'halt', person: people[0]! }, { kind: 'end' }]));
    const view = readReview(uid)!;
    const stopped = view.people.find(({ id }) => String(id) === people[0])!;
    expect(stopped.exception).toBe('was stopped');
    const asked = view.people
      .filter(({ exception }) => exception === null)
      .map(({ id, next }) => ({ id, kind: next?.kind ?? null }));
    expect(asked.length).toBeGreaterThan(5);
    const stood = listPeople(database()).map(({ present }) => present);
    const earlier = listDecisionsOf(
      database(),
      asked.map(({ id }) => id),
    ).map(({ id }) => id);
    const exceptional = { id: stopped.id, kind: stopped.next?.kind ?? null };
    expect(agreeWithRest(uid, [...asked, exceptional]).ok).toBe(false);
    const [one, ...others] = asked;
    const isOther = { id: one!.id, kind: one!.kind === 'stay' ? 're-check' : 'stay' } as const;
    expect(agreeWithRest(uid, [...others, isOther]).ok).toBe(false);
    // All or nothing.
    expect(readReview(uid)!.people.some(({ isDone }) => isDone)).toBe(false);
    must(agreeWithRest(uid, asked));
    const done = readReview(uid)!.people.filter(({ isDone }) => isDone);
    expect(done.map(({ id, decided }) => ({ id, kind: decided }))).toEqual(asked);
    // Beside what was decided stands what was suggested then, also for whoever has moved by it.
    const shown = view.people.filter(({ exception }) => exception === null);
    expect(done.map(({ next }) => [next?.stage, next?.kind])).toEqual(
      shown.map(({ next }) => [next?.stage, next?.kind]),
    );
    must(
      reopenReviews(
        uid,
        asked.map(({ id }) => id),
      ),
    );
    expect(readReview(uid)!.people.some(({ isDone }) => isDone)).toBe(false);
    // What was agreed to is taken back with it: nobody has moved, and nothing is decided.
    expect(
      listDecisionsOf(
        database(),
        asked.map(({ id }) => id),
      ).map(({ id }) => id),
    ).toEqual(earlier);
    expect(listPeople(database()).map(({ present }) => present)).toEqual(stood);
    expect(agreeWithRest('nothing', asked).ok).toBe(false);
  });

  it('agrees, and takes back, where agreeing moves somebody', () => {
    const { uid } = begin();
    send(uid, tapsOf([{ kind: 'end' }]));
    const moving = readReview(uid)!.people.filter(({ next }) => next?.kind === 'advance');
    expect(moving).not.toEqual([]);
    const { id, next } = moving[0]!;
    const rung = () => findPerson(database(), id)!.present[getStage(next!.stage as StageId).family];
    const before = rung();
    const decision = { stage: next!.stage, decided: 'advance' as const, reason: '' };
    must(keepReview(uid, id, { note: '', decision }));
    expect(rung()).toBe(next!.stage);
    // The same from the person's own page: the review is open again with it.
    const [made] = listDecisionsOf(database(), [id]).slice(-1);
    must(undoDecision(id, made!.id));
    expect(readReview(uid)!.people.find((one) => one.id === id)!.isDone).toBe(false);
    must(keepReview(uid, id, { note: '', decision }));
    must(reopenReview(uid, id));
    expect(rung()).toBe(before);
    expect(readReview(uid)!.people.find((one) => one.id === id)).toMatchObject({
      isDone: false,
      next: { stage: next!.stage },
    });
  });

  it('says what was seen several times once, and a stop with its word as one stop', () => {
    const { uid, people } = begin();
    const [person] = people;
    const kick = {
      kind: 'try',
      person: person!,
      what: 'kick',
      stage: 'FS10',
      base: 'forearms',
      round: 1,
      leg: 'left',
      reached: false,
      blocksKept: true,
      landing: null,
      isAssisted: false,
    } as const satisfies FloorAct;
    const halt: FloorAct = { kind: 'halt', person: person! };
    const up = {
      ...kick,
      reached: true,
      landing: 'soft',
      faults: ['knee-bends'],
    } satisfies FloorAct;
    send(uid, [
      ...tapsOf([
        kick,
        kick,
        { ...up, liftS: 4, exitS: 5 },
        up,
        halt,
        { kind: 'sore', person: person!, place: 'wrist' },
      ]),
      // Ten minutes later, again.
      ...tapsOf([halt]).map((tap) => ({
        ...tap,
        at: { ...tap.at, monoMs: tap.at.monoMs + 600_000, wallMs: tap.at.wallMs + 600_000 },
      })),
    ]);
    const { seen } = readReview(uid)!.people.find(({ id }) => String(id) === person)!;
    expect(seen).toEqual([
      'Blocks kept in the kick: passed, noted 4 times',
      'Controlled exit, on the forearms: passed, noted 2 times',
      '4 tries, 2 came up',
      '2 of 2 landed softly',
      '1 of 1 timed came down as slowly as up',
      'knee bends in 2 of 4 tries',
      'stopped 2 times',
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
        // A whole day ends where the next begins.
        expect(read.endDate.subtractDate(read.startDate).days).toBe(1);
      }
    }
    expect(readHome(9999)).toBeNull();
  });

  it.each([
    [3, null, 6],
    [5, null, 10],
    // An evening takes a day of practice, and another day takes its place.
    [5, 5, 5],
    [5, 1, 5],
    [3, 3, 3],
    [7, null, 14],
  ])('practises %s days of seven (next evening in %s days)', (days, evening, count) => {
    begin();
    const view = readHome(listPeople(database())[0]!.id)!;
    const [item] = view.practice.items;
    const evenings = evening === null ? [] : [addDays(view.today, evening)];
    const calendar = writeHomeCalendar({
      ...view,
      practice: { ...view.practice, items: [{ ...item!, days }] },
      evenings,
      next: evenings[0] ?? null,
    });
    const events = new ICAL.Component(ICAL.parse(calendar)).getAllSubcomponents('vevent');
    const dates = events.map((event) => new ICAL.Event(event).startDate.toString());
    expect(new Set(dates).size).toBe(count);
    for (const one of evenings) expect(dates).not.toContain(one);
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
