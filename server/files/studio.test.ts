import { keysOf } from '@/core/units/keyed';
import type { StageKey } from '@/core/catalog/stage';
import { anybodysWords } from '@/server/useCase';
import ICAL from 'ical.js';
import { stageTable } from '@/core/catalog/stages';
import { cautionIds, cautionOutcomes } from '@/core/catalog/cautions';
import { verdictKinds } from '@/core/ladder/verdictKinds';
import { addDays } from '@/core/units/day';
import { listCourses, listMeetings } from '@/db/courses';
import { findPerson, listPeople } from '@/db/people';
import { findProfile } from '@/db/profiles';
import { explainEvidence } from '@/db/records';
import { today } from '../clock';
import {
  changeAttendance,
  changeCourse,
  changeEnrolment,
  changeMeeting,
  createCourse,
  createMeeting,
  dropCourse,
  dropMeeting,
} from '@/features/courses/change';
import { changeCupboard } from '@/features/room/change';
import { readCoursePage, readCourses, suggestArc, writeCalendar } from '@/features/courses/read';
import { database } from '../database';
import { readChecks, readLadders, readPeople, initialsOf } from '@/features/ladders/read';
import { createPerson, placeOnRung } from '@/features/people/change';
import { readPersonPage } from '@/features/person/read';
import {
  changeProfile,
  copyProfile,
  dropEntry,
  importEntries,
  importProfile,
  keepEntry,
  previewProfile,
  retireProfile,
} from '@/features/profiles/change';
import {
  readProfilePage,
  readProfiles,
  writeEntriesFile,
  writeProfileFile,
} from '@/features/profiles/read';
import { readRungPage } from '@/features/ladders/rungPage';
import { must, fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { readCourse } from '../judging/views';

withThrowawayStudio();

const form = (change: object = {}) => ({
  name: 'Tuesdays',
  place: 'Barn',
  startsOn: today(),
  startsAt: '18:00',
  minutes: 60,
  weeks: 3,
  profile: 'prop-led',
  ...change,
});
const demo = () => fillWithDemo();
const idOf = (name: string) => listPeople(database()).find((person) => person.name === name)!.id;

describe('courses and evenings', () => {
  it('makes a course with its weekly evenings, and changes each by hand', () => {
    const course = must(createCourse(form()));
    const [first, second] = listMeetings(database(), course);
    expect(second!.date).toBe(addDays(first!.date, 7));
    const evening = {
      date: addDays(first!.date, 1),
      startsAt: '19:00',
      minutes: 80,
      room: 'Attic',
      family: 'handstand',
      peak: 'HB8',
    } as const;
    must(changeMeeting(first!.id, evening));
    expect(readCoursePage(course)!.meetings[0]).toMatchObject({
      room: 'Attic',
      peakLabel: 'L at the wall',
    });
    expect(changeMeeting(first!.id, { ...evening, date: second!.date }).ok).toBe(false);
    expect(changeMeeting(first!.id, { ...evening, peak: 'FS5' }).ok).toBe(false);
    expect(changeMeeting(first!.id, { ...evening, minutes: 5 }).ok).toBe(false);
    expect(createMeeting(course, { ...evening, peak: null, family: null }).ok).toBe(false);
    must(createMeeting(course, { ...evening, date: addDays(first!.date, 30) }));
    must(dropMeeting(second!.id));
    expect(listMeetings(database(), course)).toHaveLength(3);
    expect(dropMeeting(second!.id).ok).toBe(false);
  });

  it.each([
    [{ name: '' }, 'name'],
    [{ startsAt: '25:00' }, 'startsAt'],
    [{ startsOn: '2026-02-30' }, 'startsOn'],
    [{ weeks: 0 }, 'weeks'],
    [{ profile: 'moon-led' }, 'profile'],
  ])('refuses the course %j by field', (change, field) => {
    const outcome = createCourse(form(change));
    expect(!outcome.ok && Object.keys(outcome.problems)).toEqual([field]);
    expect(listCourses(database())).toEqual([]);
  });

  it('enrols one person in two courses, and keeps who came with a line', () => {
    const [a, b] = [must(createCourse(form())), must(createCourse(form({ name: 'Fridays' })))];
    const ada = must(createPerson({ name: 'Ada', height: '170', courseId: a }));
    must(changeEnrolment(b, ada, true));
    expect(readPeople().rows[0]!.courses).toEqual(['Tuesdays', 'Fridays']);
    const [evening] = listMeetings(database(), a);
    must(changeAttendance(evening!.id, ada, { came: true }));
    must(changeAttendance(evening!.id, ada, { note: 'a good evening' }));
    expect(readPersonPage(ada)!.meetings).toMatchObject([{ came: true, note: 'a good evening' }]);
    must(changeEnrolment(a, ada, false));
    expect(readCoursePage(a)!.people).toEqual([]);
    must(changeCupboard(a, [{ piece: 'wedge', count: 2 }]));
    expect(anybodysWords(changeCupboard)(a, [{ piece: 'anvil', count: 2 }]).ok).toBe(false);
    must(dropCourse(a));
    expect(findPerson(database(), ada)).not.toBeNull();
    expect(readCourses().lines.map(({ course, enrolled }) => [course.name, enrolled])).toEqual([
      ['Fridays', 1],
    ]);
    expect(changeCourse(a, { name: 'x', place: '', profile: 'prop-led' }).ok).toBe(false);
  });

  it('writes a calendar that a strict reader takes, at the wall clock of the place', () => {
    demo();
    const [thursday] = listCourses(database());
    const { text, name } = writeCalendar(thursday!.id)!;
    expect(name).toBe('course-1.ics');
    const calendar = new ICAL.Component(ICAL.parse(text));
    const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    expect(events).toHaveLength(10);
    expect(events[0]!.startDate.toString()).toMatch(/T18:30:00$/);
    expect(events[0]!.duration.toSeconds()).toBe(75 * 60);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(10);
    expect(events[4]!.summary).toBe('Thursday, upside down, week 5: forearm stand');
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(text).not.toContain('Anselm');
    const empty = must(createCourse(form({ weeks: 1 })));
    must(dropMeeting(listMeetings(database(), empty)[0]!.id));
    expect(() => ICAL.parse(writeCalendar(empty)!.text)).not.toThrow();
    expect(writeCalendar(99)).toBeNull();
  });

  it('suggests families by how many their next rung opens to', () => {
    demo();
    const arc = suggestArc(1);
    expect(arc.length).toBeGreaterThan(2);
    for (const { family, peak, why } of arc) {
      expect(stageTable[peak as keyof typeof stageTable].family).toBe(family);
      expect(why).toMatch(/^opens to \d+/);
    }
  });
});

describe('the demo studio', () => {
  it('shows every verdict and every kind of caution at least once', () => {
    demo();
    const people = listPeople(database());
    expect(new Set(people.flatMap(({ cautions }) => cautions)).size).toBe(cautionIds.length);
    const pages = people.map(({ id }) => readPersonPage(id)!);
    const kinds = new Set(pages.map(({ verdict }) => verdict.kind));
    expect([...kinds].sort()).toEqual([...verdictKinds].sort());
    const outcomes = new Set(pages.map(({ verdict }) => verdict.caution.outcome));
    expect([...outcomes].sort()).toEqual([...cautionOutcomes].sort());
    expect(pages.some(({ verdict }) => verdict.caution.hasOpenSign)).toBe(true);
    expect(people.some(({ clearances }) => clearances.length > 0)).toBe(true);
    expect(people.some(({ otherWords }) => otherWords.length > 0)).toBe(true);
    // Each is explained, and none by a word of anybody's health.
    for (const { verdict } of pages) {
      expect(verdict.reasons[0]!.length).toBeGreaterThan(9);
      expect(verdict.reasons.join(' ')).not.toMatch(
        /glaucoma|pregnan|osteopor|concussion|migraine/i,
      );
    }
  });

  it('gives its Saturday people the verdicts their stories tell', () => {
    demo();
    const at = (name: string, stage: StageKey) => readPersonPage(idOf(name), stage)!.verdict;
    expect(at('Petra Lune', 'FS8').kind).toMatch(/^advance/);
    expect(at('Petra Lune', 'SS7').kind).toBe('stop');
    expect(at('Quentin Ash', 'FS10').kind).toMatch(/^advance/);
    expect(at('Quentin Ash', 'FS12').kind).toBe('stop');
    expect(at('Rosalind Fenn', 'FS8').caution.outcome).toBe('closed-today');
    expect(at('Viggo Lark', 'HS4').kind).toBe('stop');
    expect(at('Tobias Reed', 'FS1').cause).toBe('sign');
  });

  it('judges Thursdays by one profile and Saturdays by another', () => {
    demo();
    expect(readLadders(1).school.profile.key).toBe('prop-led');
    expect(readLadders(2).school.profile).toMatchObject({ key: 'own-1', label: 'Oakum, slow' });
    expect(readLadders(null).count).toBe(22);
    expect(readCourse()!.people.length).toBeGreaterThan(0);
  });
});

describe('ladders and checks', () => {
  it('puts everyone on one rung of each ladder they have begun, and names who waits for what', () => {
    demo();
    const { ladders, count } = readLadders(1);
    for (const ladder of ladders) {
      const here = ladder.rungs.flatMap((rung) => rung.here.map(({ id }) => id));
      expect(here.length + ladder.unplaced.length).toBe(count);
      expect(new Set(here).size).toBe(here.length);
    }
    const gate = ladders[0]!.rungs.find(({ stage }) => stage === 'FS10')!;
    expect(gate.waiting.length).toBeGreaterThan(1);
    for (const { forWhat } of gate.waiting) expect(forWhat.length).toBeGreaterThan(3);
    expect(initialsOf('Anselm van der Rook')).toBe('AR');
    expect(initialsOf('Öz')).toBe('Ö');
  });

  it('ranks the bottlenecks by how many they hold', () => {
    demo();
    const { bottlenecks } = readLadders(1);
    const counts = bottlenecks.map(({ people }) => people.length);
    expect(counts).toEqual([...counts].sort((a, b) => b - a));
    expect(counts[0]).toBeGreaterThan(1);
  });

  it('fits the short list into the minutes, and follows a record at once', () => {
    demo();
    const few = readChecks(3, 1);
    const many = readChecks(20, 1);
    expect(few.minutesUsed).toBeLessThanOrEqual(3);
    expect(many.slots.length).toBeGreaterThan(few.slots.length);
    expect(many.slots.some(({ isTogether }) => isTogether)).toBe(true);
    const anselm = idOf('Anselm Rook');
    const before = readPersonPage(anselm)!.standings[0]!.present;
    must(placeOnRung(anselm, { family: 'forearm-stand', stage: 'FS1' }));
    expect(before).toBe('FS10');
    expect(readPersonPage(anselm)!.standings[0]!.present).toBe('FS1');
  });

  it('reads a group’s evidence along the index, sorting nothing', () => {
    demo();
    const plan = explainEvidence(database(), [1, 2, 3]).join('\n');
    expect(plan).toContain('USING INDEX check_record_person');
    expect(plan).not.toMatch(/SCAN check_record|TEMP B-TREE/);
  });

  it('opens a rung with all of its content for anybody’s size', () => {
    demo();
    const view = readRungPage('HB8', idOf('Bettina Quill'))!;
    expect(view.person?.name).toBe('Bettina Quill');
    expect(view.gate).toContain('wrist extension or wedge');
    expect(view.before.map(({ stage }) => stage)).toEqual(['HB6b', 'HB7']);
    expect(view.recipe!.distances.length).toBeGreaterThan(2);
    expect(readRungPage('own-not-there', null)).toBeNull();
    for (const stage of keysOf(stageTable)) expect(readRungPage(stage, null)).not.toBeNull();
  });

  it('draws a person’s checks with points, bands, the bar and how long they are good for', () => {
    demo();
    const { histories } = readPersonPage(idOf('Halina Brook'))!;
    const oneLeg = histories.find(({ check }) => check === 'dolphin-one-leg')!;
    expect(oneLeg.bands.map(({ side }) => side)).toEqual(['left', 'right']);
    expect(oneLeg.sideRatio).toBeLessThan(0.8);
    expect(oneLeg.bar).toBe(15);
    for (const { points } of oneLeg.bands) {
      for (const { low, middle, high } of points) {
        expect(low).toBeLessThan(middle);
        expect(middle).toBeLessThan(high);
      }
    }
    const idris = readPersonPage(idOf('Idris Falk'))!.histories.find(
      ({ check }) => check === 'dolphin-hold',
    )!;
    expect(idris.points.some(({ kind }) => kind === 'voided')).toBe(true);
    expect(
      histories
        .find(({ check }) => check === 'dolphin-hold')!
        .points.some(({ kind }) => kind === 'at-least'),
    ).toBe(true);
  });
});

describe('profiles', () => {
  it('copies, previews who would turn, keeps versions, and retires', () => {
    demo();
    const key = must(copyProfile('prop-led', 'Mine'));
    const changes = { bars: { 'dolphin-hold': 200 } };
    const preview = must(previewProfile(key, changes));
    expect(preview.changes.map(({ name }) => name)).toContain('Halina Brook');
    expect(findProfile(database(), key)!.version).toBe(1);
    expect(must(changeProfile(key, { label: 'Mine', changes, seen: 1 }))).toBe(2);
    const stale = changeProfile(key, { label: 'Mine', changes: {}, seen: 1 });
    expect(!stale.ok && stale.problems.form).toContain('another window');
    expect(findProfile(database(), key, 1)!.changes).toEqual({});
    expect(findProfile(database(), key)!.changes).toEqual(changes);
    must(changeCourse(1, { name: 'Thursday', place: '', profile: key }));
    expect(readLadders(1).school.profile).toMatchObject({ key, version: 2 });
    must(retireProfile(key));
    expect(readProfilePage(key)).toBeNull();
    // A course whose copy is gone goes on with a shipped one.
    expect(readLadders(1).count).toBe(14);
  });

  it('refuses a change that makes no sense, and says where', () => {
    const key = must(copyProfile('play-led', 'Mine'));
    const wrong = { gates: { FS8: [{ check: 'cartwheel' }] } };
    expect(must(previewProfile(key, wrong)).problems[0]).toContain('stage FS8');
    const outcome = changeProfile(key, { label: 'Mine', changes: wrong, seen: 1 });
    expect(!outcome.ok && Object.keys(outcome.problems)).toContain('stage FS8');
    expect(changeProfile(key, { label: '', changes: {}, seen: 1 }).ok).toBe(false);
    expect(changeProfile('prop-led', { label: 'x', changes: {}, seen: 1 }).ok).toBe(false);
    expect(copyProfile('prop-led', '').ok).toBe(false);
  });

  it('travels as a file and comes back as a copy', () => {
    demo();
    const text = JSON.stringify(writeProfileFile('own-1'));
    const key = must(importProfile(text));
    expect(findProfile(database(), key)).toMatchObject({
      // The one it was written from is still here: no two of one name.
      label: 'Oakum, slow 2',
      origin: 'prop-led',
    });
    expect(readProfiles().copies).toHaveLength(2);
    for (const bad of ['{', '{}', text.replace('"version":1', '"version":7')]) {
      expect(importProfile(bad).ok).toBe(false);
    }
    expect(writeProfileFile('own-99')).toBeNull();
  });
});

describe('own entries', () => {
  const check = {
    label: 'Wall walk, steps',
    scoring: { kind: 'reps' },
    opensAt: { 'prop-led': 6, 'strength-led': 6, 'play-led': 6 },
    validDays: 28,
    voidedBy: [],
    most: 60,
  };
  const { gate: _, ...rest } = stageTable.HB8;
  const stage = {
    ...rest,
    label: 'Walk up the wall',
    after: ['HB8'],
    isAside: true,
    gate: [{ check: 'own-wall-walk' }],
  };

  it('stand on the ladder beside the shipped ones, and go only when nothing stands on them', () => {
    demo();
    expect(keepEntry('stages', 'own-walk-up', stage).ok).toBe(false);
    must(keepEntry('checks', 'own-wall-walk', check));
    must(keepEntry('stages', 'own-walk-up', stage));
    expect(readLadders(1).ladders[2]!.rungs.at(-1)).toMatchObject({ stage: 'own-walk-up' });
    expect(readRungPage('own-walk-up', idOf('Bettina Quill'))!.verdict!.kind).toBe('stay');
    expect(dropEntry('checks', 'own-wall-walk').ok).toBe(false);
    must(placeOnRung(idOf('Bettina Quill'), { family: 'handstand', stage: 'own-walk-up' }));
    must(dropEntry('stages', 'own-walk-up'));
    // Somebody who stood on it is still shown, and judged on the rest.
    expect(readPersonPage(idOf('Bettina Quill'))!.standings).toHaveLength(5);
    must(dropEntry('checks', 'own-wall-walk'));
  });

  it('refuse shipped names, broken shapes and words too long', () => {
    expect(anybodysWords(keepEntry)('stages', 'FS1', stage).ok).toBe(false);
    expect(keepEntry('checks', 'own-x', { ...check, most: -1 }).ok).toBe(false);
    expect(anybodysWords(keepEntry)('tricks', 'own-x', check).ok).toBe(false);
    expect(keepEntry('checks', 'own-x', { ...check, label: 'x'.repeat(90) }).ok).toBe(false);
    expect(dropEntry('checks', 'own-x').ok).toBe(false);
    must(keepEntry('checks', 'own-x', check));
    const again = keepEntry('checks', 'own-x', { ...check, label: 'Another' });
    expect(!again.ok && again.problems.label).toContain('already');
  });

  it('travel in a file, all of them or none', () => {
    must(keepEntry('checks', 'own-wall-walk', check));
    must(keepEntry('stages', 'own-walk-up', stage));
    const file = writeEntriesFile();
    must(dropEntry('stages', 'own-walk-up'));
    must(dropEntry('checks', 'own-wall-walk'));
    const broken = { ...file, checks: {} };
    expect(importEntries(JSON.stringify(broken)).ok).toBe(false);
    expect(readProfiles().ownCount).toBe(0);
    expect(must(importEntries(JSON.stringify(file)))).toBe(2);
    expect(readProfiles().ownCount).toBe(2);
    expect(importEntries('[]').ok).toBe(false);
  });
});
