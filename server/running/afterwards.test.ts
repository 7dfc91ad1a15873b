/** After a class: review, practice at home, the weeks. */
import ICAL from 'ical.js';
import type { FloorAct } from '@/core/running/tap';
import type { CheckKey } from '@/core/catalog/checks';
import { listDecisionsOf } from '@/db/decisions';
import { addCourse, enrol } from '@/db/courses';
import { saveBundle } from '@/db/floor';
import { findPerson, listPeople } from '@/db/people';
import { bundleOf } from './floorBundle';
import { today } from '../clock';
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
  type ReviewPerson,
  type Suggested,
} from '@/features/review/review';
import { shownOf } from '@/features/review/shown';
import { must, withThrowawayStudio } from '@/features/testing/studio';
import { begin, hold, send, tapsOf } from '@/features/testing/floor';

withThrowawayStudio();

const agreeing = ({ suggested }: Pick<ReviewPerson, 'suggested'>) =>
  suggested.map(({ stage, kind }) => ({ stage, decided: kind, reason: '' }));

const isMoving = (suggested: Suggested | undefined) => suggested?.kind === 'advance';

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
    const decisions = agreeing(first!);
    expect(decisions).toHaveLength(1);
    must(keepReview(uid, first!.id, { note: 'quiet and steady', decisions }));
    const [next] = second!.suggested;
    const other = next!.kind === 'stay' ? ('re-check' as const) : ('stay' as const);
    const differs = { stage: next!.stage, decided: other, reason: '' };
    const refused = keepReview(uid, second!.id, { note: 'x', decisions: [differs] });
    expect(refused).toMatchObject({
      ok: false,
      problems: { 'decisions.0.reason': expect.any(String) },
    });
    expect(readReview(uid)!.people[1]).toMatchObject({ isDone: false, note: '' });
    const now = readReview(uid)!.people[0];
    expect(now).toMatchObject({
      isDone: true,
      note: 'quiet and steady',
      suggested: [{ decided: first!.suggested[0]!.kind }],
    });
    must(reopenReview(uid, first!.id));
    expect(readReview(uid)!.people[0]!.isDone).toBe(false);
    expect(keepReview(uid, 9999, { note: '', decisions: [] }).ok).toBe(false);
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
      .map((person) => ({ id: person.id, shown: shownOf(person) }));
    expect(asked.length).toBeGreaterThan(5);
    const stood = listPeople(database()).map(({ present }) => present);
    const earlier = listDecisionsOf(
      database(),
      asked.map(({ id }) => id),
    ).map(({ id }) => id);
    const exceptional = { id: stopped.id, shown: shownOf(stopped) };
    expect(agreeWithRest(uid, [...asked, exceptional]).ok).toBe(false);
    const [one, ...others] = asked;
    const [shown] = one!.shown;
    const kind = shown!.kind === 'stay' ? ('re-check' as const) : ('stay' as const);
    const isOther = { id: one!.id, shown: [{ ...shown!, kind }] };
    expect(agreeWithRest(uid, [...others, isOther]).ok).toBe(false);
    expect(agreeWithRest(uid, [...others, { id: one!.id, shown: [] }]).ok).toBe(false);
    // All or nothing.
    expect(readReview(uid)!.people.some(({ isDone }) => isDone)).toBe(false);
    must(agreeWithRest(uid, asked));
    const done = readReview(uid)!.people.filter(({ isDone }) => isDone);
    // Beside what was decided stands what was suggested then, also for whoever has moved by it.
    expect(done.map((person) => ({ id: person.id, shown: shownOf(person) }))).toEqual(asked);
    for (const { suggested } of done) {
      for (const { kind: was, decided } of suggested) expect(decided).toBe(was);
    }
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
    const moving = readReview(uid)!.people.filter(({ suggested }) => isMoving(suggested[0]));
    expect(moving).not.toEqual([]);
    const { id, suggested } = moving[0]!;
    const { family, stage } = suggested[0]!;
    const rung = () => findPerson(database(), id)!.present[family];
    const before = rung();
    const decisions = agreeing(moving[0]!);
    must(keepReview(uid, id, { note: '', decisions }));
    expect(rung()).toBe(stage);
    // The same from the person's own page: the review is open again with it.
    const [made] = listDecisionsOf(database(), [id]).slice(-1);
    must(undoDecision(id, made!.id));
    expect(readReview(uid)!.people.find((one) => one.id === id)!.isDone).toBe(false);
    must(keepReview(uid, id, { note: '', decisions }));
    must(reopenReview(uid, id));
    expect(rung()).toBe(before);
    expect(readReview(uid)!.people.find((one) => one.id === id)).toMatchObject({
      isDone: false,
      suggested: [{ stage }],
    });
  });

  it('decides on every ladder of the evening, all or nothing, each with its own way back', () => {
    const { uid, row } = begin();
    send(uid, tapsOf([{ kind: 'end' }]));
    const db = database();
    const bundle = bundleOf(row);
    const families = ['forearm-stand', 'headstand', 'handstand'] as const;
    saveBundle(db, row.id, { ...bundle, plan: { ...bundle.plan, families } });
    const people = () => readReview(uid)!.people;
    const of = (id: number) => people().find((one) => one.id === id)!;
    const rungs = (id: number) => findPerson(db, id)!.present;
    // The first ladder speaks of everybody, the others of whoever stands on them.
    for (const { id, suggested } of people()) {
      const [first, ...others] = suggested.map(({ family }) => family);
      expect(first).toBe('forearm-stand');
      for (const family of others) expect([id, rungs(id)[family]]).not.toEqual([id, undefined]);
    }
    const one = people().find(
      ({ suggested }) =>
        suggested.length > 1 &&
        suggested.every(({ kind }) => kind !== 'stop') &&
        suggested.slice(1).some(isMoving),
    )!;
    const at = one.suggested.findIndex((suggested, index) => index > 0 && isMoving(suggested));
    const { family, stage } = one.suggested[at]!;
    const stood = rungs(one.id);
    const known = listDecisionsOf(db, [one.id]).length;
    const decisions = agreeing(one);
    const wrong = decisions.with(at, { ...decisions[at]!, decided: 'stay' });
    expect(keepReview(uid, one.id, { note: '', decisions: wrong })).toMatchObject({
      ok: false,
      problems: { [`decisions.${at}.reason`]: expect.any(String) },
    });
    expect([listDecisionsOf(db, [one.id]).length, rungs(one.id)]).toEqual([known, stood]);
    must(keepReview(uid, one.id, { note: '', decisions }));
    expect(rungs(one.id)[family]).toBe(stage);
    expect(of(one.id).suggested.map(({ decided, kind }) => [kind, decided])).toEqual(
      one.suggested.map(({ kind }) => [kind, kind]),
    );
    // One of them taken back from the person's own page: the others stand, and the review with them.
    const made = listDecisionsOf(db, [one.id]).slice(known);
    must(undoDecision(one.id, made.find((decision) => decision.family === family)!.id));
    expect(rungs(one.id)).toEqual(stood);
    expect(of(one.id)).toMatchObject({ isDone: true });
    expect(of(one.id).suggested.map(({ decided }) => decided === null)).toEqual(
      one.suggested.map((_, index) => index === at),
    );
    // Looked at again, all of it goes back; agreed with in one tap, and back once more.
    must(reopenReview(uid, one.id));
    expect(listDecisionsOf(db, [one.id])).toHaveLength(known);
    must(agreeWithRest(uid, [{ id: one.id, shown: shownOf(one) }]));
    expect(listDecisionsOf(db, [one.id])).toHaveLength(known + one.suggested.length);
    must(reopenReviews(uid, [one.id]));
    expect([listDecisionsOf(db, [one.id]).length, rungs(one.id)]).toEqual([known, stood]);
  });

  it('judges by the school of the evening, whatever other course somebody is in', () => {
    const { uid } = begin();
    send(uid, tapsOf([{ kind: 'end' }]));
    const db = database();
    const other = addCourse(db, {
      name: 'Sooner',
      place: '',
      startsOn: today(),
      startsAt: '06:00',
      minutes: 60,
      weeks: 10,
      profile: 'strength-led',
      stage: 'FS10',
    });
    const asked = readReview(uid)!.people;
    for (const { id } of asked) enrol(db, other, id);
    const shown = asked.flatMap((person) =>
      person.exception === null ? [{ id: person.id, shown: shownOf(person) }] : [],
    );
    const now = readReview(uid)!.people.map(shownOf);
    expect(now).toEqual(asked.map(shownOf));
    must(agreeWithRest(uid, shown));
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
