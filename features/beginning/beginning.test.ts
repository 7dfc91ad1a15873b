/** From nothing to a class: the use cases behind the guided beginning. */
import { resolveBody } from '@/core/body/body';
import { measureDistance } from '@/core/setups/distance';
import { tapId } from '@/core/running/taps';
import { createCourse } from '@/features/courses/change';
import { createRoster, placeByWord } from '@/features/people/change';
import { changeCare } from '@/features/person/change';
import { begin, send, tapsOf } from '@/features/testing/floor';
import { must, withThrowawayStudio } from '@/features/testing/studio';
import { findPerson, listCoursePeople } from '@/db/people';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { readClass } from '@/server/judging/classViews';
import { readPerson } from '@/server/judging/views';
import { findClass } from '@/server/running/floor';
import { bundleOf } from '@/server/running/floorBundle';
import { readBeginning, readPlacing } from './read';
import { firstOpenStep, nextStep, stepHref } from './steps';

withThrowawayStudio();

const makeCourse = () =>
  must(
    createCourse({
      name: 'Mondays',
      place: 'Hall',
      startsOn: today(),
      startsAt: '18:30',
      minutes: 75,
      weeks: 4,
      profile: 'prop-led',
      family: 'forearm-stand',
    }),
  );

const roster = (courseId: number) =>
  must(
    createRoster({
      courseId,
      lines: [
        { name: 'Ada', height: '172' },
        { name: 'Bo', height: '' },
        { name: 'Cleo', height: "5'6" },
      ],
    }),
  );

describe('the guided beginning', () => {
  it('knows what there is, and goes on at the first step that has nothing', () => {
    expect(firstOpenStep(readBeginning(null).done)).toBe('place');
    const course = makeCourse();
    expect(firstOpenStep(readBeginning(course).done)).toBe('people');
    expect(roster(course)).toBe(3);
    const { done, people } = readBeginning(course);
    expect(firstOpenStep(done)).toBe('room');
    expect(people.map(({ hasHeight }) => hasHeight)).toEqual([true, false, true]);
    expect(nextStep('class')).toBeNull();
    expect(stepHref('room', course)).toBe(`/begin/room?course=${course}`);
  });

  it('takes a list as a whole or not at all, and doubles nobody', () => {
    const course = makeCourse();
    const wrong = createRoster({
      courseId: course,
      lines: [
        { name: 'Ada', height: '172' },
        { name: 'Bo', height: 'tall' },
      ],
    });
    expect(wrong).toMatchObject({ ok: false });
    expect(listCoursePeople(database(), course)).toEqual([]);
    roster(course);
    expect(roster(course)).toBe(0);
    expect(listCoursePeople(database(), course)).toHaveLength(3);
  });

  it('takes an unknown height as usual, with all that this leaves open', () => {
    const course = makeCourse();
    roster(course);
    const [ada, bo] = listCoursePeople(database(), course);
    expect(bo!.body.isHeightGuessed).toBe(true);
    expect(ada!.body.isHeightGuessed).toBeUndefined();
    const spread = (body: typeof bo) => {
      const { lowM, highM } = measureDistance(resolveBody(body!.body), 'base', (l) => 2 * l.hand);
      return highM - lowM;
    };
    expect(spread(bo)).toBeGreaterThan(1.5 * spread(ada));
    // The pages of somebody without a height open all the same.
    expect(readPerson(bo!.id)!.person.heightTyped).toBe('');
  });

  it('keeps the teacher’s word of the day, and "never seen" as one', () => {
    const course = makeCourse();
    roster(course);
    const [ada, bo] = listCoursePeople(database(), course);
    must(placeByWord(ada!.id, { family: 'forearm-stand', stage: 'FS5' }));
    must(placeByWord(bo!.id, { family: 'forearm-stand', stage: null }));
    expect(findPerson(database(), ada!.id)).toMatchObject({
      present: { 'forearm-stand': 'FS5' },
      placings: { 'forearm-stand': { stage: 'FS5', on: today() } },
    });
    expect(findPerson(database(), bo!.id)!.placings['forearm-stand']).toEqual({
      stage: null,
      on: today(),
    });
    expect(placeByWord(ada!.id, { family: 'headstand', stage: 'FS5' })).toMatchObject({
      ok: false,
    });
    const view = readPlacing(course)!;
    expect(view.people[0]!.said['forearm-stand']).toBe('FS5');
    expect(view.people[1]!.said['forearm-stand']).toBeNull();
    expect(view.people[2]!.said['forearm-stand']).toBeUndefined();
    expect(view.rungs['forearm-stand'].map(({ stage }) => stage).slice(0, 3)).toEqual([
      'FS1',
      'FS2',
      'FS3',
    ]);
    expect(view.families).toEqual(['forearm-stand']);
  });

  it('offers nobody a shape in the placing that is closed to them', () => {
    const course = makeCourse();
    roster(course);
    const [ada] = listCoursePeople(database(), course);
    must(
      changeCare(ada!.id, {
        consent: 'ask',
        pictureConsent: 'no',
        cautions: ['eye'],
        otherWords: [],
      }),
    );
    // Not by another door either: "never seen" is the one word left.
    expect(placeByWord(ada!.id, { family: 'headstand', stage: 'HS5' })).toMatchObject({
      ok: false,
      problems: { stage: expect.stringContaining('closed') },
    });
    must(placeByWord(ada!.id, { family: 'headstand', stage: null }));
    const view = readPlacing(course)!;
    expect(view.people[0]!.closed).toContain('FS10');
    expect(view.people[1]!.closed).not.toContain('FS10');
  });
});

it('tells the pictures of a row apart, by what moves or by what is used', () => {
  const course = makeCourse();
  roster(course);
  const { rungs } = readPlacing(course)!;
  const alike = Object.values(rungs).flatMap((row) =>
    row.flatMap(({ stage, move, picture, pieces }, at) =>
      row.slice(0, at).flatMap((before) => {
        const isSame =
          before.move !== move &&
          before.picture?.elements === picture?.elements &&
          JSON.stringify(before.pieces) === JSON.stringify(pieces);
        return isSame ? [[before.stage, stage]] : [];
      }),
    ),
  );
  expect(alike).toEqual([]);
  const used = (stage: string) =>
    rungs['forearm-stand'].find((one) => one.stage === stage)!.pieces.map(({ piece }) => piece);
  expect([used('FS3'), used('FS4'), used('FS5')]).toEqual([['strap-180'], ['foam-block'], []]);
});

describe('an evening for looking, on the floor', () => {
  const firstEvening = () => {
    const course = makeCourse();
    roster(course);
    return course;
  };

  it('judges anew when a hold that was a check is over, so that the rounds can follow', () => {
    const { uid, people } = begin(() => void firstEvening());
    expect(readClass(null)!.prepared.isLooking).toBe(true);
    const stages = () =>
      bundleOf(findClass(uid)!).prepared.people[0]!.options.map(({ stage }) => stage);
    expect(stages()).not.toContain('FS4');
    const before = bundleOf(findClass(uid)!).revision;
    const hold = [
      {
        kind: 'hold-start' as const,
        hold: 'h1',
        check: 'forearm-plank-hold' as const,
        base: null,
        side: null,
        people: [people[0]!],
      },
      { kind: 'hold-stop' as const, hold: 'h1' },
    ];
    const taps = tapsOf(hold).map((tap, index) => ({
      ...tap,
      at: {
        ...tap.at,
        monoMs: tap.at.monoMs + 60_000 * index,
        wallMs: tap.at.wallMs + 60_000 * index,
      },
    }));
    const answer = send(uid, taps);
    expect(answer.revision).toBeGreaterThan(before);
    // Once seen, with support: the block comes within reach on the same evening.
    expect(stages()).toContain('FS4');
  });

  it('judges whoever was counted as soon as the count is noted, and back when it is taken back', () => {
    const { uid, people } = begin(() => void firstEvening());
    const judged = (index: number) => bundleOf(findClass(uid)!).prepared.people[index]!;
    const [before, other] = [judged(0), judged(1)];
    const seen = {
      kind: 'seen' as const,
      person: people[0]!,
      check: 'dolphin-push-ups' as const,
      value: 30,
      base: null,
      side: null,
      faults: [],
    };
    const [counted] = tapsOf([seen]);
    const first = send(uid, [counted!]).revision;
    expect(first).toBe(1);
    expect(judged(0)).not.toEqual(before);
    expect(judged(1)).toEqual(other);
    const back = { kind: 'undo' as const, tap: tapId(counted!) };
    expect(send(uid, tapsOf([back])).revision).toBe(2);
    expect(judged(0)).toEqual(before);
  });

  it('is not planned anew by going on, nor by what says nothing new of anybody', () => {
    const { uid, people } = begin(() => void firstEvening());
    const go = (index: number) => ({ kind: 'segment' as const, index, roundsDone: 0 });
    expect(send(uid, tapsOf([go(1), go(2), go(30), go(2)])).revision).toBe(0);
    const halt = { kind: 'halt' as const, person: people[0]! };
    expect(send(uid, tapsOf([halt])).revision).toBe(0);
    // Nothing was counted: taking the end of an attempt back tells nothing of anybody.
    expect(send(uid, tapsOf([{ kind: 'undo', tap: 'nobody/1' }])).revision).toBe(0);
  });

  it('judges anew when a fault is added to a hold after the clock has stopped', () => {
    const { uid, people } = begin(() => void firstEvening());
    const person = people[0]!;
    const hold = 'h1';
    const check = 'forearm-plank-hold' as const;
    const later = <T extends { at: { monoMs: number; wallMs: number } }>(
      tap: T,
      ms: number,
    ): T => ({
      ...tap,
      at: { ...tap.at, monoMs: tap.at.monoMs + ms, wallMs: tap.at.wallMs + ms },
    });
    const [start, stop, fault] = tapsOf([
      { kind: 'hold-start', hold, check, base: null, side: null, people: [person] },
      { kind: 'hold-stop', hold },
      { kind: 'hold-fault', hold, person, fault: 'sag' },
    ]);
    const stages = () =>
      bundleOf(findClass(uid)!).prepared.people[0]!.options.map(({ stage }) => stage);
    const held = send(uid, [start!, later(stop!, 60_000)]).revision;
    expect(stages()).toContain('FS4');
    expect(send(uid, [later(fault!, 61_000)]).revision).toBe(held + 1);
    expect(stages()).not.toContain('FS4');
  });
});
