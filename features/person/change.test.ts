import { findStandingPlan, readClass } from '@/server/judging/classViews';
import { dropSetup, keepSetup } from './setups';
import { changeSettings } from '@/features/settings/change';
import { anybodysWords, reading } from '@/server/useCase';
import { mkdtempSync, rmSync } from 'node:fs';
import type { DistanceId } from '@/core/setups/distance';
import { forearmKickSetup } from '@/core/setups/forearmKick';
import { metresOf } from '@/core/setups/setup';
import os from 'node:os';
import path from 'node:path';
import { checkTable } from '@/core/catalog/checks';
import { addDays } from '@/core/units/day';
import { verdictKinds } from '@/core/ladder/verdictKinds';
import { demoPeople } from '@/demo/people';
import { bodyForm, readBodyForm } from './bodyForm';
import { changeBody, changeCare, notePainGone, recordCheck, undoRecord } from './change';
import { today } from '@/server/clock';
import { fillWithDemo } from '@/features/testing/studio';
import { toGateRow } from '@/server/judging/gateRows';
import { listTapeMarks } from '@/features/tonight/notes';
import { readPersonId } from '@/server/personId';
import { readForeignRecord as readRecordForm, type RecordForm } from '@/server/files/recordForm';
import { readBench, readCourse, readPerson } from '@/server/judging/views';

const body = (change: object = {}) => ({
  height: '168',
  mass: '',
  forearmHands: '' as const,
  lengths: {},
  ...change,
});
const record = (change: Partial<RecordForm> = {}): RecordForm => ({
  check: 'dolphin-hold',
  value: '40',
  unit: 'plain',
  date: '2026-11-19',
  stoppedByTeacher: false,
  faults: [],
  pain: false,
  painPlace: null,
  side: null,
  base: null,
  ...change,
});
const context = { today: '2026-11-19', breathSeconds: 5, checks: checkTable };

describe('the body form', () => {
  it('reads units as typed and remembers them', () => {
    const outcome = readBodyForm(body({ lengths: { forearm: '25.5', hand: '7 in' } }), 'cm');
    expect(outcome).toMatchObject({
      ok: true,
      value: {
        heightM: 1.68,
        heightTyped: '168 cm',
        massKg: null,
        lengths: [
          { length: 'hand', typed: '7 in' },
          { length: 'forearm', metres: 0.255, typed: '25.5 cm' },
        ],
      },
    });
  });

  it.each([
    [{ height: '2.5 m' }, 'height'],
    [{ height: '119' }, 'height'],
    [{ height: 'tall' }, 'height'],
    [{ mass: '12' }, 'mass'],
    [{ mass: 'NaN' }, 'mass'],
    [{ lengths: { forearm: '48' } }, 'lengths.forearm'],
    [{ lengths: { forearm: 'long' } }, 'lengths.forearm'],
    [{ lengths: { armReach: '40', forearm: '30', upperArm: '40' } }, 'lengths.armReach'],
    [{ lengths: { tail: '20' } }, 'lengths'],
    [{ extra: 1 }, 'form'],
  ])('refuses %j with a sentence by the field', (change, field) => {
    const read = reading([bodyForm], (form) => readBodyForm(form, 'cm'));
    const outcome = anybodysWords(read)(body(change));
    expect(outcome.ok).toBe(false);
    const problems = outcome.ok ? {} : outcome.problems;
    expect(Object.keys(problems)).toEqual([field]);
    expect(problems[field]!.length).toBeGreaterThan(10);
  });
});

describe('the record form', () => {
  it('stores seconds for breaths and remembers the breaths', () => {
    expect(readRecordForm(record({ value: '8', unit: 'breaths' }), context)).toMatchObject({
      ok: true,
      value: { value: 40, breaths: 8 },
    });
  });

  it('takes a range of both sides alike, and of one', () => {
    const range = (side: 'left' | null) =>
      readRecordForm({ ...record({ value: '75' }), check: 'straight-leg-raise', side }, context);
    expect(range(null)).toMatchObject({ ok: true, value: { side: null } });
    expect(range('left')).toMatchObject({ ok: true, value: { side: 'left' } });
    const hold = { ...record({ value: '20' }), check: 'side-forearm-plank' } as const;
    expect(readRecordForm(hold, context)).toMatchObject({
      ok: false,
      problems: { side: 'Say which side.' },
    });
  });

  it.each([
    [{ value: '-3' }, 'value'],
    [{ value: '' }, 'value'],
    [{ value: '4000' }, 'value'],
    [{ value: '900', unit: 'breaths' }, 'value'],
    [{ check: 'dolphin-push-ups', value: '4.5' }, 'value'],
    [{ check: 'paper-slip', value: '2' }, 'value'],
    [{ date: '2026-11-20' }, 'date'],
    [{ date: '2026-02-30' }, 'date'],
    [{ date: '1990-01-01' }, 'date'],
    [{ faults: ['giggles'] }, 'faults.0'],
    [{ reading: { by: 'picture', measure: 'headClearance', error: 9 } }, 'form'],
    [{ reading: { by: 'rumour', measure: 'headClearance', error: 1 } }, 'reading.by'],
    [{ check: 'cartwheel' }, 'check'],
    [{ check: 'dolphin-one-leg' }, 'side'],
    [{ check: 'confidence', value: '5' }, 'base'],
  ])('refuses %j with a sentence by the field', (change, field) => {
    const outcome = readRecordForm({ ...record(), ...change }, context);
    expect(!outcome.ok && Object.keys(outcome.problems)).toEqual([field]);
  });
});

describe('addresses', () => {
  it.each(['0', '-1', '1e3', '01', 'x', '1.5', '12345678901', ''])('refuses the id %j', (text) => {
    expect(readPersonId(text)).toBeNull();
  });
});

describe('on the demo course', () => {
  let folder: string;
  beforeAll(() => {
    folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-server-'));
    process.env.LEVITAR_DATA = folder;
    fillWithDemo();
  });
  afterAll(() => {
    (globalThis as { levitarDatabase?: { close: () => void } }).levitarDatabase?.close();
    rmSync(folder, { recursive: true, force: true });
  });
  const find = (name: string) => readCourse()!.people.find(({ person }) => person.name === name)!;

  it('shows fourteen people, every verdict, and the week', () => {
    const course = readCourse()!;
    expect(course.people).toHaveLength(demoPeople.length);
    expect(course.meeting.week).toBe(5);
    const kinds = new Set(course.people.map(({ verdict }) => verdict.kind));
    expect([...kinds].sort()).toEqual([...verdictKinds].sort());
  });

  it('tells the stories it was made for', () => {
    expect(forearmKickSetup(find('Dorit Amsel').setupInput).needsLift).toBe(true);
    expect(find('Gideon Sarr').verdict.alternative).toBe('calves-on-chair');
    expect(find('Jorun Pike').verdict.kind).toBe('re-check');
    expect(find('Halina Brook').verdict.helpMost[0]).toBe('Dolphin, one leg up');
    expect(find('Kestrel Odum').verdict.kind).toBe('stop');
  });

  it('lists what to tape on the floor, each mark once', () => {
    const plan = findStandingPlan(readClass(null)!);
    const marks = listTapeMarks(plan);
    expect(marks.length).toBeGreaterThan(0);
    expect([...marks].sort((a, b) => a - b)).toEqual(marks);
    expect(new Set(marks).size).toBe(marks.length);
  });

  it('records, changes the verdict, and takes the record back', () => {
    const { person, verdict } = find('Bettina Quill');
    expect(verdict.kind).toBe('advance');
    const outcome = recordCheck(person.id, record({ value: '5', date: today(), pain: true }));
    expect(find('Bettina Quill').verdict.kind).toBe('stop');
    expect(undoRecord(person.id, outcome.ok ? outcome.value : 0).ok).toBe(true);
    expect(find('Bettina Quill').verdict.kind).toBe('advance');
    expect(undoRecord(person.id, outcome.ok ? outcome.value : 0).ok).toBe(false);
  });

  it('stores nothing of a refused form', () => {
    const { person } = find('Anselm Rook');
    const before = readPerson(person.id)!;
    expect(recordCheck(person.id, record({ date: addDays(today(), 1) })).ok).toBe(false);
    expect(changeBody(person.id, body({ height: '300' })).ok).toBe(false);
    expect(
      anybodysWords(changeCare)(person.id, {
        consent: 'yes',
        cautions: ['hiccups'],
        otherWords: [],
      }).ok,
    ).toBe(false);
    expect(changeSettings({ breathSeconds: 30 }).ok).toBe(false);
    expect(changeBody(4711, body()).ok).toBe(false);
    const after = readPerson(person.id)!;
    expect(after.records).toHaveLength(before.records.length);
    expect(after.person).toEqual(before.person);
  });

  it('moves every distance when a length is measured', () => {
    const { person, setup } = find('Corin Vale');
    const typed = {
      height: '175',
      mass: '104',
      forearmHands: '' as const,
      lengths: { forearm: '30' },
    };
    expect(changeBody(person.id, typed).ok).toBe(true);
    const after = metresOf(find('Corin Vale').setup!.distances, 'base')!;
    expect(after - metresOf(setup!.distances, 'base')!).toBeCloseTo(0.3 - 0.146 * 1.75, 6);
  });

  it('lifts a stop for pain once the student says it is gone', () => {
    const { person } = find('Kestrel Odum');
    expect(notePainGone(person.id).ok).toBe(true);
    expect(find('Kestrel Odum').verdict.kind).not.toBe('stop');
  });

  it('gives the browser plain rows: figures, status, what voids', () => {
    const rows = find('Halina Brook').verdict.items.map((item) =>
      toGateRow(item, find('Halina Brook').opened.school),
    );
    const oneLeg = rows.find(({ check }) => check === 'dolphin-one-leg')!;
    expect(oneLeg).toMatchObject({
      sides: ['left', 'right'],
      valueKind: 'seconds',
      status: 'not-yet',
    });
    expect(oneLeg.figures).toMatch(/about \d+ s now, bar 15 s/);
    expect(oneLeg.voidedBy).toEqual(['sinks-on-block']);
  });

  it('keeps a set-up that was tried, and the card then says so', () => {
    const { person, setup } = find('Bettina Quill');
    const before = metresOf(setup!.distances, 'base')!;
    const form = {
      family: 'forearmStandWall',
      values: { baseM: 0.46 },
      note: '5 cm closer',
    } as const;
    const outcome = keepSetup(person.id, form);
    expect(outcome.ok).toBe(true);
    const after = (id: DistanceId) =>
      find('Bettina Quill').setup!.distances.find((one) => one.id === id)!;
    expect(after('base')).toMatchObject({ metres: 0.46, basis: 'measured', lowM: 0.46 });
    expect(after('base').why).toContain('5 cm closer');
    expect(after('gap').metres).toBeCloseTo(Math.max(0, 0.05 - (before - 0.46)), 6);
    expect(readBench()!.people.find(({ id }) => id === person.id)!.setups).toHaveLength(1);
    expect(dropSetup(person.id, outcome.ok ? outcome.value : 0).ok).toBe(true);
    expect(after('base').metres).toBeCloseTo(before, 9);
  });

  it.each([
    [{ family: 'cartwheel', values: {}, note: '' }],
    [{ family: 'forearmStandWall', values: {}, note: '' }],
    [{ family: 'forearmStandWall', values: { baseM: 9 }, note: '' }],
    [{ family: 'forearmStandWall', values: { baseM: 0.5, colour: 1 }, note: '' }],
    [{ family: 'forearmStandWall', values: { baseM: 0.5 }, note: 'x'.repeat(301) }],
    [{ family: 'wallL', values: { baseM: 1.6, footHeightM: 1.5 }, note: '' }],
  ])('refuses the set-up %j and keeps nothing', (form) => {
    const { person } = find('Bettina Quill');
    expect(anybodysWords(keepSetup)(person.id, form).ok).toBe(false);
    expect(readBench()!.people.find(({ id }) => id === person.id)!.setups).toEqual([]);
  });

  it('says in inches by how much a set-up is out of reach, where the studio measures so', () => {
    const { person } = find('Bettina Quill');
    const far = { family: 'wallL', values: { baseM: 1.6, footHeightM: 1.5 }, note: '' } as const;
    const say = () => {
      const outcome = keepSetup(person.id, far);
      return outcome.ok ? '' : outcome.problems.form!;
    };
    expect(say()).toMatch(/ \d+ cm too short\./);
    changeSettings({ units: 'in' });
    expect(say()).toMatch(/ \d+[¼½¾]? in too short\./);
    expect(say()).not.toContain('cm');
  });
});
