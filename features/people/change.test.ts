import type { StageKey } from '@/core/catalog/stage';
import { anybodysWords } from '@/server/useCase';
import type { BodyForm } from '@/features/person/bodyForm';
import type { ClearanceForm } from '@/features/person/careChanges';
import Database from 'better-sqlite3';
import { addDays } from '@/core/units/day';
import { listEnrolments } from '@/db/courses';
import { findPerson, listPeople } from '@/db/people';
import { listRecords } from '@/db/records';
import {
  dropClearance,
  dropSign,
  noteClearance,
  noteScreened,
  undoScreened,
  noteSign,
} from '@/features/person/careChanges';
import { findRung } from '@/db/personChanges';
import {
  changeBody,
  changeCare,
  notePainGone,
  recordCheck,
  undoPainGone,
} from '@/features/person/change';
import { today } from '@/server/clock';
import { database, databaseFile } from '@/server/database';
import { decide, undoDecision, whyKept } from '@/features/person/decisions';
import { findDecision } from '@/db/decisions';
import { archivePeople, createPerson, mergeInto, placeOnRung, renamePerson } from './change';
import { readPersonPage } from '@/features/person/read';
import {
  addCourse as course,
  addPerson as add,
  careOf as care,
  must,
  recordForm as record,
  withThrowawayStudio,
} from '@/features/testing/studio';

withThrowawayStudio();

describe('adding people', () => {
  it('takes a name and a height as typed, and enrols at once', () => {
    const courseId = course();
    const id = must(createPerson({ name: ' Ada  ', height: '5\'6"', courseId }));
    expect(findPerson(database(), id)).toMatchObject({
      name: 'Ada',
      heightTyped: '5\'6"',
      consent: 'ask',
    });
    expect(findPerson(database(), add('Bo', '1.82'))!.body.heightM).toBeCloseTo(1.82, 9);
    expect(listEnrolments(database())).toEqual([{ courseId, personId: id }]);
  });

  it.each([
    [{ name: '  ' }, 'name'],
    [{ height: 'tall' }, 'height'],
    [{ height: '250' }, 'height'],
    [{ name: 'x'.repeat(81) }, 'name'],
  ])('refuses %j by field', (change, field) => {
    const outcome = createPerson({ name: 'Ada', height: '170', courseId: null, ...change });
    expect(!outcome.ok && Object.keys(outcome.problems)).toEqual([field]);
    expect(listPeople(database())).toEqual([]);
  });

  it('renames, puts away and brings back', () => {
    const id = add('Ada');
    must(renamePerson(id, 'Ada B'));
    must(archivePeople([id], true));
    expect(listPeople(database())).toEqual([]);
    expect(listPeople(database(), true)[0]).toMatchObject({ name: 'Ada B', archivedOn: today() });
    must(archivePeople([id], false));
    expect(listPeople(database())).toHaveLength(1);
    expect(renamePerson(4711, 'x').ok).toBe(false);
  });

  it('places on a rung of the right ladder only', () => {
    const id = add('Ada');
    must(placeOnRung(id, { family: 'handstand', stage: 'HB8' }));
    must(placeOnRung(id, { family: 'forearm-stand', stage: 'FS5' }));
    expect(findPerson(database(), id)!.present).toEqual({
      handstand: 'HB8',
      'forearm-stand': 'FS5',
    });
    expect(placeOnRung(id, { family: 'handstand', stage: 'FS5' }).ok).toBe(false);
    expect(placeOnRung(id, { family: 'handstand', stage: 'own-not-there' }).ok).toBe(false);
    must(placeOnRung(id, { family: 'handstand', stage: null }));
    expect(findPerson(database(), id)!.present).toEqual({ 'forearm-stand': 'FS5' });
  });
});

describe('two windows on the same person', () => {
  const body = (change: object = {}) => ({
    height: '170 cm',
    mass: '',
    forearmHands: '' as const,
    lengths: {},
    ...change,
  });

  it('tells the second what changed, overwrites nothing, and keeps it when saved again', () => {
    const id = add('Ada');
    const seen = body();
    must(changeBody(id, body({ height: '172', lengths: { forearm: '26' } }), seen));
    const second = changeBody(id, body({ mass: '60' }), seen);
    expect(second.ok).toBe(false);
    if (second.ok) return;
    expect(second.problems.form).toContain('height 172 cm (was 170 cm)');
    expect(second.problems.form).toContain('forearm');
    expect(findPerson(database(), id)!.body.massKg).toBeUndefined();
    must(changeBody(id, body({ height: '172', mass: '60' }), second.now as BodyForm));
    expect(findPerson(database(), id)!.body).toMatchObject({ heightM: 1.72, massKg: 60 });
  });

  it('does the same for consent and cautions', () => {
    const id = add('Ada');
    must(changeCare(id, care({ cautions: ['reflux'] }), care()));
    const second = changeCare(id, care({ consent: 'yes' }), care());
    expect(!second.ok && second.problems.form).toContain('now also reported: Reflux');
    expect(findPerson(database(), id)!.cautions).toEqual(['reflux']);
  });
});

describe('care', () => {
  const clearance = (change: Partial<ClearanceForm> = {}): ClearanceForm => ({
    about: 'osteoporosis',
    covers: ['light'],
    ladders: [],
    notedOn: today(),
    until: addDays(today(), 100),
    ...change,
  });

  it('notes a clinician’s word, which lifts only what it names, and takes it back', () => {
    const id = add('Ada');
    must(changeCare(id, care({ cautions: ['osteoporosis'] })));
    const kindAt = (stage: StageKey) => readPersonPage(id, stage)!.verdict.kind;
    expect(kindAt('FS8')).toBe('stop');
    const note = must(noteClearance(id, clearance()));
    expect(kindAt('FS8')).toBe('stay');
    expect(kindAt('SS7')).toBe('stop');
    must(dropClearance(id, note));
    expect(kindAt('FS8')).toBe('stop');
    expect(dropClearance(id, note).ok).toBe(false);
  });

  it.each([
    [{ about: 'eye' }, 'about'],
    [{ covers: [] }, 'covers'],
    [{ until: '2020-01-01' }, 'until'],
    [{ until: '2099-01-01' }, 'until'],
    [{ notedOn: '2099-01-01', until: '2099-02-01' }, 'notedOn'],
    [{ notedOn: 'soon' }, 'notedOn'],
  ])('refuses the word %j by field', (change, field) => {
    const id = add('Ada');
    must(changeCare(id, care({ cautions: ['osteoporosis'] })));
    const outcome = noteClearance(id, clearance(change as Partial<ClearanceForm>));
    expect(!outcome.ok && Object.keys(outcome.problems)).toEqual([field]);
  });

  it('closes everything head-down after a stop sign; only today’s slip is taken back', () => {
    const id = add('Ada');
    const sign = must(noteSign(id, { sign: 'ringing', date: today() }));
    expect(readPersonPage(id, 'FS3')!.verdict).toMatchObject({ kind: 'stop', cause: 'sign' });
    must(dropSign(id, sign));
    expect(readPersonPage(id, 'FS3')!.verdict.kind).not.toBe('stop');
    const old = must(noteSign(id, { sign: 'ringing', date: addDays(today(), -3) }));
    expect(dropSign(id, old).ok).toBe(false);
    expect(noteClearance(id, clearance({ about: 'stop-sign', covers: [] })).ok).toBe(false);
    must(noteClearance(id, clearance({ about: 'stop-sign', covers: ['mild'] })));
    expect(readPersonPage(id, 'FS3')!.verdict.kind).not.toBe('stop');
    expect(anybodysWords(noteSign)(id, { sign: 'giggles', date: today() }).ok).toBe(false);
  });

  it('keeps words in no list and the day of the screening', () => {
    const id = add('Ada');
    must(changeCare(id, care({ otherWords: ['an old knee'] })));
    must(noteScreened(id));
    expect(findPerson(database(), id)).toMatchObject({
      otherWords: ['an old knee'],
      screenedOn: today(),
    });
    expect(readPersonPage(id, 'FS8')!.verdict.caution.adaptations).toEqual([
      'not in our list: ask, and refer if unsure',
    ]);
    expect(changeCare(id, care({ otherWords: ['x'.repeat(81)] })).ok).toBe(false);
  });

  it('keeps contradictory records of one day, both of them', () => {
    const id = add('Ada');
    must(recordCheck(id, record({ check: 'neck-ease', value: '1' })));
    must(recordCheck(id, record({ check: 'neck-ease', value: '0' })));
    expect(listRecords(database(), [id]).map(({ value }) => value)).toEqual([1, 0]);
    expect(readPersonPage(id, 'SS6')!.verdict.kind).toBe('stay');
  });
});

describe('what was tapped by mistake', () => {
  it('is asked when it was asked before, or never', () => {
    const id = add('Ada');
    expect(must(noteScreened(id))).toBeNull();
    expect(must(noteScreened(id))).toBe(today());
    must(undoScreened(id, { was: null }));
    expect(findPerson(database(), id)!.screenedOn).toBeNull();
    // What was noted anew since, or never today, is not undone.
    expect(undoScreened(id, { was: '2020-01-01' })).toMatchObject({ ok: false });
    must(noteScreened(id));
    expect(undoScreened(id, { was: addDays(today(), 1) })).toMatchObject({ ok: false });
  });

  it('closes again what pain that was said to be gone had closed', () => {
    const id = add('Ada');
    const on = addDays(today(), -7);
    must(recordCheck(id, record({ date: on, pain: true, painPlace: 'wrist' })));
    const isClosed = () => readPersonPage(id, 'HB2')!.verdict.kind === 'stop';
    expect(isClosed()).toBe(true);
    const was = must(notePainGone(id));
    expect(isClosed()).toBe(false);
    must(undoPainGone(id, { was }));
    expect(isClosed()).toBe(true);
    expect(undoPainGone(id, { was: today() })).toMatchObject({ ok: false });
  });

  it('goes back to the rung, and to the day since when', () => {
    const id = add('Ada');
    const rung = { family: 'forearm-stand' } as const;
    const since = addDays(today(), -40);
    expect(must(placeOnRung(id, { ...rung, stage: 'FS3', since }))).toBeNull();
    const stood = must(placeOnRung(id, { ...rung, stage: 'FS5' }));
    expect(stood).toEqual({ stage: 'FS3', since });
    must(placeOnRung(id, { ...rung, ...stood! }));
    expect(findRung(database(), id, 'forearm-stand')).toEqual(stood);
    const tomorrow = addDays(today(), 1);
    expect(placeOnRung(id, { ...rung, stage: 'FS3', since: tomorrow })).toMatchObject({
      ok: false,
    });
  });
});

describe('decisions', () => {
  it('keeps suggestion and decision with what they stood on, and moves the rung', () => {
    const id = add('Ada');
    must(decide(id, { stage: 'FS3', decided: 'advance', reason: '', corrects: null }));
    const [first] = readPersonPage(id)!.decisions;
    expect(first).toMatchObject({
      stage: 'FS3',
      suggested: 'advance',
      decided: 'advance',
      profileKey: 'prop-led',
      profileVersion: 1,
    });
    expect(findPerson(database(), id)!.present['forearm-stand']).toBe('FS3');
  });

  it('asks why when the teacher differs, and lets a later one correct it', () => {
    const id = add('Ada');
    const differ = {
      stage: 'FS5',
      decided: 'advance-with-support',
      reason: '',
      corrects: null,
    } as const;
    expect(decide(id, differ)).toMatchObject({
      ok: false,
      problems: { reason: expect.any(String) },
    });
    const made = must(decide(id, { ...differ, reason: 'she is ready with a hand' }));
    // With support the rung stays where it was.
    expect(findPerson(database(), id)!.present['forearm-stand']).toBeUndefined();
    must(decide(id, { stage: 'FS5', decided: 'stay', reason: '', corrects: made }));
    const [second, first] = readPersonPage(id)!.decisions;
    expect(first!.grounds.figures[0]!.label).toBe('Forearm plank hold');
    expect(second).toMatchObject({ corrects: made, decided: 'stay' });
    expect(decide(id, { ...differ, reason: 'x', corrects: 999 }).ok).toBe(false);
  });

  it('takes back what was decided a moment ago, and the rung with it', () => {
    const id = add('Ada');
    const rungs = () => findPerson(database(), id)!.present;
    const first = must(
      decide(id, { stage: 'FS3', decided: 'advance', reason: '', corrects: null }),
    );
    const after = must(
      decide(id, { stage: 'FS3', decided: 'step-back', reason: 'tired', corrects: first }),
    );
    const below = rungs()['forearm-stand'];
    expect(below).not.toBe('FS3');
    // What something came after is part of the story.
    expect(undoDecision(id, first)).toMatchObject({ ok: false });
    must(undoDecision(id, after));
    expect(rungs()).toEqual({ 'forearm-stand': 'FS3' });
    must(undoDecision(id, first));
    expect(rungs()).toEqual({});
    expect(readPersonPage(id)!.decisions).toEqual([]);
    expect(undoDecision(id, first)).toMatchObject({ ok: false });
  });

  it('leaves the rung where it was put by hand since', () => {
    const id = add('Ada');
    const made = must(decide(id, { stage: 'FS3', decided: 'advance', reason: '', corrects: null }));
    must(placeOnRung(id, { family: 'forearm-stand', stage: 'FS5' }));
    must(undoDecision(id, made));
    expect(findPerson(database(), id)!.present['forearm-stand']).toBe('FS5');
  });

  it('lets nobody take back what is another’s, or of another day', () => {
    const [id, other] = [add('Ada'), add('Bo')];
    const made = must(decide(id, { stage: 'FS3', decided: 'advance', reason: '', corrects: null }));
    expect(undoDecision(other, made)).toMatchObject({ ok: false });
    const row = findDecision(database(), made)!;
    expect(whyKept(database(), row, addDays(today(), 1))).toMatch(/another day/);
    // Decisions of before this was written down do not know where somebody stood.
    const { stoodAt: _, ...grounds } = row.grounds;
    expect(whyKept(database(), { ...row, grounds }, today())).toMatch(/is not known/);
    expect(whyKept(database(), row, today())).toBeNull();
  });

  it('never lets a stop be decided away', () => {
    const id = add('Ada');
    must(changeCare(id, care({ cautions: ['eye'] })));
    const outcome = decide(id, {
      stage: 'FS3',
      decided: 'advance',
      reason: 'please',
      corrects: null,
    });
    expect(!outcome.ok && outcome.problems.decided).toContain('not decided away');
  });

  it('is refused by the database itself when somebody tries to change it', () => {
    const id = add('Ada');
    must(decide(id, { stage: 'FS3', decided: 'advance', reason: '', corrects: null }));
    const raw = new Database(databaseFile());
    expect(() => raw.prepare("UPDATE decision SET reason = 'other'").run()).toThrow(
      /never changed/,
    );
    raw.close();
  });
});

describe('merging two entries of one person', () => {
  it('moves everything, unites what restricts, and leaves one', () => {
    const keep = add('Ada');
    const drop = add('Ada B', '171');
    must(changeCare(keep, care({ consent: 'yes', cautions: ['reflux'] })));
    must(changeCare(drop, care({ consent: 'no', cautions: ['eye'], otherWords: ['old knee'] })));
    must(recordCheck(drop, record({ pain: true, painPlace: 'neck' })));
    must(placeOnRung(drop, { family: 'handstand', stage: 'HB2' }));
    must(decide(drop, { stage: 'HB5', decided: 'advance', reason: '', corrects: null }));
    must(mergeInto(keep, drop));
    const merged = readPersonPage(keep)!;
    expect([...merged.person.cautions].sort()).toEqual(['eye', 'reflux']);
    expect(merged.person).toMatchObject({
      consent: 'no',
      otherWords: ['old knee'],
      painClearedOn: null,
    });
    expect(merged.person.present.handstand).toBe('HB5');
    expect(merged.records).toHaveLength(1);
    expect(merged.decisions).toHaveLength(1);
    expect(findPerson(database(), drop)).toBeNull();
    expect(mergeInto(keep, keep).ok).toBe(false);
  });
});
