import type { PieceId } from '@/core/catalog/pieces';
import { anybodysWords } from '@/server/useCase';
import loadHighs, { type Highs } from 'highs';
import { composeInput } from '@/core/files/classFile';
import { planPrepared, runCompose } from '@/core/commands/composeCommand';
import { writeMarkdown } from '@/core/files/planMarkdown';
import { drillsOf } from '@/core/compose/drillsOf';
import { traceReserves } from '@/core/compose/curve';
import { beforeOf, findOption } from '@/core/compose/readBack';
import { checkPlan } from '@/core/testing/checkPlan';
import type { PlanFile } from '@/core/files/planFile';
import { toWishes } from '@/core/files/toWishes';
import { listPieces } from '@/db/cupboards';
import { listCoursePeople } from '@/db/people';
import { saveCare, saveRung, saveScreened } from '@/db/personChanges';
import { readCases } from './cases';
import { keepPlan, listCourseClasses, prepareAgain, takeFile } from '@/features/plan/change';
import { noteClearance, noteSign } from '@/features/person/careChanges';
import { exportClass, findStandingPlan, readClass, type ClassView } from './classViews';
import { today } from '../clock';
import { database } from '../database';
import { deletePerson } from '@/features/people/change';
import { changeCupboard, changeRoom, dropOwnPiece, keepOwnPiece } from '@/features/room/change';
import { findRoom } from './rooms';
import { readRoomView } from '@/features/room/read';
import { readSchool } from './schools';
import {
  addCourse,
  must,
  fillWithDemo,
  recordForm,
  withThrowawayStudio,
} from '@/features/testing/studio';
import { recordCheck } from '@/features/person/change';
import { someOf } from '@/core/testing/depth';

withThrowawayStudio();
let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

function openDemo(): ClassView {
  fillWithDemo();
  return readClass(null)!;
}

/** The people of the made-up course as the checker judges them, from the records alone. */
function casesOf(view: ClassView) {
  const db = database();
  const people = listCoursePeople(db, view.course.id);
  const school = readSchool(db, view.profile);
  const pieces = listPieces(db, view.course.id);
  const cases = readCases(db, people, () => ({ school, day: today(), pieces }));
  return people.map((person) => ({
    id: String(person.id),
    heightM: person.body.heightM,
    opened: cases.get(person.id)!,
  }));
}

const verify = (view: ClassView, plan: Parameters<typeof checkPlan>[0]) =>
  checkPlan(plan, {
    room: view.prepared.room,
    pieces: view.prepared.pieces,
    helpers: plan.wishes.helpers,
    people: casesOf(view),
  });

/** The plan of its evening is the same each time it is filled: composed once, and never changed. */
let proved: string | undefined;
function provedDemo({ prepared, wishes }: ClassView): PlanFile {
  proved ??= JSON.stringify(planPrepared(highs, prepared, toWishes(wishes)));
  return JSON.parse(proved) as PlanFile;
}

describe('the made-up course', () => {
  it('has a quick plan at once and a proved one, both within every hard rule', () => {
    const view = openDemo();
    const quick = findStandingPlan(view);
    expect(quick.stoppedBy).toBe('quick');
    expect(verify(view, quick)).toEqual([]);
    const proved = provedDemo(view);
    expect(verify(view, proved)).toEqual([]);
    expect(proved.gapPercent).toBeLessThanOrEqual(1.01);
    expect(proved.objective).toBeGreaterThanOrEqual(quick.objective - 1e-9);
    expect(proved.rounds[0]!.people).toHaveLength(14);
    // Everybody has a letter or rests, and every letter a line on the lay-out list.
    for (const { letter } of proved.rounds.flatMap(({ people }) => people)) {
      if (letter !== null) expect(proved.layOut.some((line) => line.letter === letter)).toBe(true);
    }
  });

  it.each(someOf(['handstand', 'headstand', 'shoulder-stand', 'arm-balance'] as const, 1))(
    'composes a %s evening within every hard rule',
    (family) => {
      const view = openDemo();
      const prepared = must(prepareAgain(view.course.id, { ...view.wishes, families: [family] }));
      const plan = planPrepared(highs, prepared, toWishes(view.wishes));
      expect(verify(view, plan)).toEqual([]);
    },
  );

  it('carries nothing of anybody’s health into the plan or its text', () => {
    const view = openDemo();
    const plan = provedDemo(view);
    const words = {
      heading: 'A *class*',
      startsAt: '18:30',
      nameOf: (id: string) => id,
      people: view.prepared.people,
      drills: drillsOf(view.prepared),
    };
    const text = writeMarkdown(plan, { ...words, units: 'cm' });
    // Along a wall in the studio's own units, in the rounds and on the list to lay out.
    const inFeet = writeMarkdown(plan, { ...words, units: 'in' });
    const along = / wall, \d\.\d to \d+\.\d m\b/g;
    const alongInFeet = / wall, \d+′\s\d+″ to \d+′\s\d+″/g;
    expect(text.match(along)!.length).toBeGreaterThan(plan.rounds.length);
    expect(inFeet.match(alongInFeet)).toHaveLength(text.match(along)!.length);
    expect(inFeet).not.toMatch(along);
    // Who sits something out is told what instead.
    expect(text).toMatch(/; instead, \d+/);
    expect(text).toContain('# A \\*class\\*');
    expect(text).toMatch(/- 18:30 Arrive/);
    for (const said of [JSON.stringify(plan), text, JSON.stringify(view.prepared)]) {
      for (const word of ['glaucoma', 'pregnan', 'osteopor', 'blood', 'vertigo', 'carpal']) {
        expect(said.toLowerCase()).not.toContain(word);
      }
    }
  });

  it('draws reserves between nothing and all, lowest before the rests', () => {
    const view = openDemo();
    const plan = findStandingPlan(view);
    for (const person of view.prepared.people) {
      const points = traceReserves(plan, person, drillsOf(view.prepared));
      expect(points.at(-1)!.minute).toBeCloseTo(plan.wishes.minutes, 6);
      for (const { reserves } of points) {
        for (const value of Object.values(reserves)) {
          expect(value).toBeGreaterThanOrEqual(0);
          expect(value).toBeLessThanOrEqual(1);
        }
      }
    }
    const [first] = view.prepared.people;
    const before = beforeOf(plan);
    expect(before[first!.id]!.options).toHaveLength(plan.rounds.length);
    expect(findOption(view.prepared, first!.id, before[first!.id]!.options[0]!)).toBeDefined();
  });
});

describe('keeping a plan', () => {
  it('says what has changed since, and no longer stands, until it is composed anew', () => {
    const view = openDemo();
    const plan = findStandingPlan(view);
    must(keepPlan(view.course.id, view.meeting.date, { wishes: view.wishes, plan, seen: 0 }));
    expect(readClass(view.course.id)!.outdated).toEqual([]);
    const placed = plan.rounds[0]!.people.find(
      ({ role }) => role === 'present' || role === 'next',
    )!;
    must(
      recordCheck(
        Number(placed.id),
        recordForm({ check: 'dolphin-hold', pain: true, painPlace: 'elsewhere' }),
      ),
    );
    const now = readClass(view.course.id)!;
    const { name } = now.members.find(({ id }) => id === placed.id)!;
    expect(now.outdated.join()).toContain(`${name}: ${placed.label} is no longer open`);
    expect(now.outdated.join()).not.toMatch(/pain|sore/);
    const standing = findStandingPlan(now);
    expect(standing).not.toEqual(plan);
    const seen = now.revision;
    must(keepPlan(view.course.id, view.meeting.date, { wishes: now.wishes, plan: standing, seen }));
    expect(readClass(view.course.id)!.outdated).toEqual([]);
  });

  it('shows it again, gives it to the second window, tells who wished otherwise, and forgets it with anybody in it', async () => {
    const view = openDemo();
    const plan = provedDemo(view);
    const keep = (change: object = {}) =>
      keepPlan(view.course.id, view.meeting.date, {
        ...{ wishes: view.wishes, plan, seen: 0 },
        ...change,
      });
    expect(must(keep())).toEqual({ revision: 1 });
    // The same evening from another screen: what stands stands, and is shown there too.
    const other = { ...plan, notes: ['made elsewhere'] };
    expect(must(keep({ plan: other }))).toMatchObject({ revision: 1, plan: { notes: plan.notes } });
    const refused = keep({ wishes: { ...view.wishes, helpers: view.wishes.helpers + 1 } });
    expect(refused.ok ? '' : refused.problems.form).toContain('Another window');
    const again = readClass(null)!;
    expect([again.revision, again.kept?.notes]).toEqual([1, plan.notes]);
    expect(findStandingPlan(again)).toEqual(again.kept);
    must(await deletePerson(Number(view.members[3]!.id)));
    expect(readClass(null)!.kept).toBeNull();
  });

  it('is not shown when something in it is no longer open to who does it', () => {
    const view = openDemo();
    const plan = provedDemo(view);
    must(keepPlan(view.course.id, view.meeting.date, { wishes: view.wishes, plan, seen: 0 }));
    const kick = plan.rounds.flatMap(({ people }) => people).find(({ role }) => role === 'next')!;
    database().run(
      `INSERT INTO stop_sign (person_id, sign, date) VALUES (${kick.id}, 'tingling', '${today()}')`,
    );
    const now = readClass(null)!;
    const standing = findStandingPlan(now);
    expect(standing.stoppedBy).toBe('quick');
    expect(verify(now, standing)).toEqual([]);
  });

  it('refuses wishes that cannot be and days that are none', () => {
    const view = openDemo();
    const plan = findStandingPlan(view);
    const form = { wishes: view.wishes, plan, seen: 0 };
    expect(keepPlan(view.course.id, 'Thursday', form).ok).toBe(false);
    expect(keepPlan(999, view.meeting.date, form).ok).toBe(false);
    expect(
      keepPlan(view.course.id, view.meeting.date, {
        ...form,
        wishes: { ...view.wishes, minutes: 4 },
      }).ok,
    ).toBe(false);
    expect(prepareAgain(view.course.id, { ...view.wishes, families: [] }).ok).toBe(false);
  });
});

describe('files', () => {
  it('goes out as a class that composes to the same plan, own stages left behind', () => {
    const view = openDemo();
    const file = exportClass(view.course.id)!;
    const parsed = composeInput.parse(JSON.parse(JSON.stringify(file)));
    const plan = runCompose(parsed, highs);
    const own = provedDemo(view);
    expect(plan.objective).toBeCloseTo(own.objective, 6);
    expect(exportClass(999)).toBeNull();
    saveRung(database(), Number(view.members[0]!.id), 'forearm-stand', 'own-stage-1', today());
    composeInput.parse(JSON.parse(JSON.stringify(exportClass(view.course.id))));
  });

  it('says of whoever was never asked that they never were', () => {
    const view = openDemo();
    const who = Number(view.members[0]!.id);
    saveScreened(database(), who, null);
    saveCare(database(), who, { consent: 'yes', cautions: [], otherWords: [], on: today() });
    const { people } = exportClass(view.course.id)!;
    expect(people.find(({ id }) => id === String(who))?.screenedOn).toBeNull();
  });

  it('carries a clinician’s word and a stop sign without the studio’s own numbers', () => {
    const view = openDemo();
    const who = Number(view.members[0]!.id);
    must(noteSign(who, { sign: 'ringing', date: today() }));
    must(
      noteClearance(who, {
        about: 'stop-sign',
        covers: ['mild'],
        ladders: [],
        notedOn: today(),
        until: today(),
      }),
    );
    const parsed = composeInput.parse(JSON.parse(JSON.stringify(exportClass(view.course.id))));
    expect(parsed.people.find(({ id }) => id === String(who))).toMatchObject({
      signs: [{ sign: 'ringing', date: today() }],
      clearances: [{ about: 'stop-sign' }],
    });
  });

  it('comes in as a class or a plan; anything else is refused by name and nothing is stored', () => {
    const view = openDemo();
    const file = JSON.stringify(exportClass(view.course.id));
    expect(must(takeFile(file))).toMatchObject({ kind: 'class' });
    const plan = JSON.stringify(findStandingPlan(view));
    expect(must(takeFile(plan))).toMatchObject({ kind: 'plan' });
    const told = (text: unknown) => {
      const outcome = anybodysWords(takeFile)(text);
      return outcome.ok ? '' : outcome.problems.form;
    };
    expect(told(JSON.stringify({ ...JSON.parse(file), colour: 1 }))).toMatch(/no field "colour"/);
    expect(told(JSON.stringify({ ...JSON.parse(file), version: 2 }))).toMatch(/version 2/);
    expect(told(JSON.stringify({ ...JSON.parse(plan), version: 9 }))).toMatch(/version 9/);
    expect(told('{')).toMatch(/JSON/);
    expect(told('{"format":"levitar-card"}')).toMatch(/levitar-card/);
    expect(told(7)).toMatch(/too large/);
    expect(readClass(null)!.revision).toBe(0);
  });

  it('knows the kinds of evening a course still has', () => {
    const view = openDemo();
    const classes = must(listCourseClasses(view.course.id));
    expect(classes.length).toBeGreaterThan(1);
    expect(classes.reduce((sum, { weeks }) => sum + weeks, 0)).toBeGreaterThan(3);
    expect(listCourseClasses(999).ok).toBe(false);
  });
});

describe('room and cupboard', () => {
  it('guesses a room until one is drawn, and refuses one that cannot be', () => {
    const id = addCourse();
    expect(findRoom(database(), id).isGuessed).toBe(true);
    const { room } = findRoom(database(), id);
    must(changeRoom(id, { ...room, widthM: 7.5 }));
    expect(findRoom(database(), id)).toMatchObject({ isGuessed: false, room: { widthM: 7.5 } });
    const told = changeRoom(id, {
      ...room,
      blocked: [{ wall: 'north', fromM: 3, toM: 2, what: '' }],
    });
    expect(told).toMatchObject({ ok: false, problems: { 'blocked.0.toM': expect.any(String) } });
    expect(changeRoom(999, room).ok).toBe(false);
    expect(anybodysWords(changeRoom)(id, { ...room, colour: 'red' }).ok).toBe(false);
  });

  it('counts worn pieces out, and own ones in, until they are taken out', () => {
    const id = addCourse();
    const piece = must(
      keepOwnPiece({
        label: 'Cedar plank',
        kind: 'pad',
        lengthM: 0.6,
        widthM: 0.3,
        thicknessM: 0.04,
        loadedM: 0.04,
        isFirm: true,
        stacks: true,
      }),
    );
    must(
      changeCupboard(id, [
        { piece: 'foam-block', count: 6, worn: 2 },
        { piece: piece as PieceId, count: 3 },
      ]),
    );
    const pieces = listPieces(database(), id);
    expect(pieces).toContainEqual({ piece: 'foam-block', count: 4 });
    expect(pieces.find((one) => one.piece === piece)).toMatchObject({
      count: 3,
      own: { label: 'Cedar plank', stacks: true },
    });
    expect(changeCupboard(id, [{ piece: 'foam-block', count: 1, worn: 2 }]).ok).toBe(false);
    expect(changeCupboard(id, [{ piece: 'own-99', count: 1 }]).ok).toBe(false);
    expect(readRoomView(id)!.own).toHaveLength(1);
    must(keepOwnPiece({ ...readRoomView(id)!.own[0]!.spec, label: 'Oak plank' }, piece));
    expect(readRoomView(id)!.own[0]!.spec.label).toBe('Oak plank');
    must(dropOwnPiece(piece));
    expect(listPieces(database(), id).map((one) => one.piece)).toEqual(['foam-block']);
    expect(dropOwnPiece(piece).ok).toBe(false);
    expect(anybodysWords(keepOwnPiece)({ label: '' }).ok).toBe(false);
  });
});
