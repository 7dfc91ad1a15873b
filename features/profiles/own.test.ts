/** What is a teacher's own, or a person's own, reaches every screen that shipped things reach. */
import type { StageKey } from '@/core/catalog/stage';
import { anybodysWords } from '@/server/useCase';
import { asTeacher } from '@/server/network/testingAsker';
import loadHighs from 'highs';
import { toWishes } from '@/core/files/toWishes';
import { planPrepared } from '@/core/commands/composeCommand';
import { drillTable } from '@/core/catalog/drills';
import { getStage } from '@/core/catalog/stages';
import { composeClass } from '@/core/compose/composeClass';
import type { PlannedOption } from '@/core/compose/option';
import { usualSolve } from '@/core/compose/solve';
import { planHomePractice } from '@/core/home/homePractice';
import { usualHousehold } from '@/core/home/household';
import { openCase } from '@/core/ladder/case';
import { resolveBody } from '@/core/body/body';
import { listCoursePeople } from '@/db/people';
import { saveRung } from '@/db/personChanges';
import { changeBody, recordCheck } from '@/features/person/change';
import { dropSetup, keepSetup } from '@/features/person/setups';
import { findStandingPlan, readClass } from '@/server/judging/classViews';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { findClass } from '@/server/running/floor';
import { bundleFor } from '@/server/running/floorBundle';
import { bundleOf } from '@/server/running/floorBundle';
import { keepEntry } from './change';
import { readRungPage } from '@/features/ladders/rungPage';
import { readSchool } from '@/server/judging/schools';
import { must, fillWithDemo, recordForm, withThrowawayStudio } from '@/features/testing/studio';
import { begin } from '@/features/testing/floor';
import { readPerson } from '@/server/judging/views';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));
jest.mock('next/headers', () => ({ headers: () => Promise.resolve(asTeacher()) }));
withThrowawayStudio();

const ownDrill = {
  label: 'Wall press, elbows in',
  how: 'Stand an arm from the wall and press it away.',
  serves: Object.keys({
    'dolphin-hold': 1,
    'dolphin-one-leg': 1,
    'dolphin-push-ups': 1,
    'forearm-plank-hold': 1,
    'hollow-hold': 1,
    'wall-hold': 1,
    'elbow-drift': 1,
    'controlled-exit': 1,
    'shoulder-flexion': 1,
  }),
  loads: { shoulder: 0.3, scapula: 0.3 },
  dose: '3 sets of 20 s',
  work: { sets: 3, seconds: 20 },
  minutes: 2,
  pieces: [],
  purpose: 'strengthens',
  columns: [],
};

describe('a drill of the teacher’s own', () => {
  const keep = () => must(keepEntry('drills', 'own-wall-press', ownDrill));

  it('is chosen for a plan, by the solver and at once', async () => {
    fillWithDemo();
    keep();
    const view = readClass(null)!;
    expect(Object.keys(view.prepared.drills!)).toEqual(
      expect.arrayContaining([...Object.keys(drillTable), 'own-wall-press']),
    );
    const lineOf = (plan: ReturnType<typeof findStandingPlan>) =>
      plan.timeline.find(({ drill }) => drill === 'own-wall-press');
    const proved = planPrepared(await loadHighs(), view.prepared, toWishes(view.wishes));
    expect(lineOf(proved)).toMatchObject({ label: 'Wall press, elbows in' });
    expect(lineOf(findStandingPlan(view))).toBeDefined();
    const pinned = composeClass(
      null,
      view.prepared,
      {
        ...toWishes(view.wishes),
        pins: [{ kind: 'drill', drill: 'own-wall-press', use: false }],
      },
      usualSolve,
    );
    expect(pinned.timeline.map(({ drill }) => drill)).not.toContain('own-wall-press');
    expect(pinned.pins[0]!.isKept).toBe(true);
  }, 60_000);

  it('stands in an order of one’s own, and leaves it when it is gone', () => {
    fillWithDemo();
    keep();
    const { prepared, wishes } = readClass(null)!;
    const order = [
      { drill: 'own-wall-press', minutes: 3 },
      { drill: 'hollow', minutes: 3 },
    ] as const;
    const drillsIn = (from: typeof prepared) =>
      composeClass(null, from, { ...toWishes(wishes), order }, usualSolve).timeline.flatMap(
        ({ drill, kind }) => (drill === undefined || kind !== 'drill' ? [] : [drill]),
      );
    expect(drillsIn(prepared)).toEqual(order.map(({ drill }) => drill));
    const { 'own-wall-press': _, ...drills } = prepared.drills!;
    expect(drillsIn({ ...prepared, drills })).toEqual(['hollow']);
  });

  it('is closed to whom its columns or a sore place close it, like any other', () => {
    fillWithDemo();
    must(keepEntry('drills', 'own-wall-press', { ...ownDrill, columns: ['mild'] }));
    const { prepared, course } = readClass(null)!;
    const closed = listCoursePeople(database(), course.id).filter(({ pains }) =>
      pains.some(({ place }) => place === 'shoulder'),
    );
    for (const { id } of closed) {
      const own = prepared.people.find((one) => one.id === String(id))!;
      expect(own.closedDrills).toContain('own-wall-press');
    }
    const anybodyClosed = prepared.people.filter(({ closedDrills }) =>
      closedDrills.includes('own-wall-press'),
    );
    expect(anybodyClosed.length).toBeGreaterThan(0);
    expect(anybodyClosed.length).toBeLessThan(prepared.people.length);
  });

  it('goes home, unless it stays in the room', () => {
    fillWithDemo();
    keep();
    const [person] = listCoursePeople(database(), 1);
    const body = resolveBody(person!.body);
    const practice = (more: object) =>
      planHomePractice(
        openCase({
          asOf: today(),
          school: {
            ...readSchool(database(), 'prop-led'),
            catalog: {
              ...readSchool(database(), 'prop-led').catalog,
              drills: { 'own-wall-press': { ...ownDrill, ...more } } as never,
            },
          },
          evidence: {},
          care: { reports: [], otherWords: [], clearances: [], signs: [] },
          consent: 'yes',
          present: { 'forearm-stand': 'FS3' },
          equipment: [],
        }),
        { body },
        ['forearm-stand'],
        usualHousehold,
      ).items.map(({ id }) => id);
    expect(practice({})).toContain('own-wall-press');
    expect(practice({ isClassOnly: true })).not.toContain('own-wall-press');
  });

  it('is said on the floor, with its own words', () => {
    const { uid } = begin(() => {
      fillWithDemo();
      keep();
    });
    const bundle = bundleOf(findClass(uid)!);
    expect(bundle.plan.timeline.map(({ drill }) => drill)).toContain('own-wall-press');
    expect(bundle.drills['own-wall-press']).toMatchObject({
      how: ownDrill.how,
      dose: ownDrill.dose,
    });
  });
});

describe('what is measured of a person', () => {
  const someone = () => {
    fillWithDemo();
    const [person] = listCoursePeople(database(), 1);
    return person;
  };
  const figures = (rung: StageKey, id: number) => readRungPage(rung, id)!.recipe!.distances;
  const metres = (rung: StageKey, id: number, distance: string) =>
    figures(rung, id).find((one) => one.id === distance)?.metres;

  it('moves the platform and the plough when a leg raise is recorded', () => {
    const { id } = someone()!;
    const before = metres('SS7', id, 'headEdgeToWall')!;
    must(recordCheck(id, recordForm({ check: 'straight-leg-raise', value: '60' })));
    expect(before - metres('SS7', id, 'headEdgeToWall')!).toBeCloseTo(0.1, 9);
    expect(metres('SS9', id, 'toeRest')).toBeGreaterThan(0.3);
    expect(metres('SS7', id, 'toeRest')).toBeUndefined();
  });

  it('marks what is beyond the shoulders, and lets the elbows out', () => {
    const { id } = someone()!;
    const before = metres('FS8', id, 'elbowWidth')!;
    must(recordCheck(id, recordForm({ check: 'shoulder-flexion', value: '145' })));
    expect(metres('FS8', id, 'elbowWidth')! - before).toBeCloseTo(0.04, 9);
    const judged = readPerson(id, 'FS11')!;
    expect(judged.setupInput.shoulderFlexionDeg).toBe(145);
  });
});

describe('a distance found by trying', () => {
  const optionOf = (person: number, stage: string): PlannedOption =>
    readClass(null)!
      .prepared.people.find(({ id }) => id === String(person))!
      .options.find((one) => one.stage === stage)!;

  it('is on the card, in the plan, on the floor, at home and on the rung alike', () => {
    fillWithDemo();
    const ready = readClass(null)!.prepared.people.flatMap(({ id, options }) =>
      options.flatMap(({ stage, variant, baseM }) =>
        stage !== undefined && variant === undefined && baseM !== undefined
          ? [{ id: Number(id), stage, baseM }]
          : [],
      ),
    );
    expect(ready.length).toBeGreaterThan(3);
    for (const { id, stage, baseM } of ready) {
      const setup = getStage(stage as never).recipe!;
      const kept = must(
        keepSetup(id, { family: setup, values: { base: baseM - 0.04 }, note: 'closer' }),
      );
      const now = optionOf(id, stage);
      expect(now.baseM).toBeCloseTo(baseM - 0.04, 9);
      expect(now.figures!.find((one) => one.id === 'base')).toMatchObject({ isFound: true });
      const rung = readRungPage(stage, id)!.recipe!.distances.find((one) => one.id === 'base')!;
      expect(rung.metres).toBeCloseTo(baseM - 0.04, 9);
      expect(rung.found).toMatchObject({ note: 'closer' });
      const card = readPerson(id, stage)!.setup!.distances.find((one) => one.id === 'base')!;
      expect(card.metres).toBe(rung.metres);
      const plan = findStandingPlan(readClass(null)!);
      const station = plan.stations.find(
        (one) => one.option === stage && one.people.includes(String(id)),
      );
      if (station) expect(station).toMatchObject({ isFound: true });
      must(dropSetup(id, kept));
      expect(optionOf(id, stage).baseM).toBeCloseTo(baseM, 9);
    }
  });

  it('is a width, a height or a loop as well', () => {
    fillWithDemo();
    const { id } = listCoursePeople(database(), 1)[0]!;
    must(keepSetup(id, { family: 'platform', values: { platformHeight: 0.09 }, note: '' }));
    must(keepSetup(id, { family: 'strap-forearm', values: { strapLoop: 0.9 }, note: '' }));
    const find = (rung: StageKey, distance: string) =>
      readRungPage(rung, id)!.recipe!.distances.find((one) => one.id === distance)!.metres;
    expect(find('SS8', 'platformHeight')).toBe(0.09);
    expect(find('SS6', 'platformHeight')).toBe(0.09);
    expect(find('FS3', 'strapLoop')).toBe(0.9);
  });

  it.each([
    [{ family: 'platform', values: { platformHeight: 0.6 }, note: '' }, /out of reach/],
    [
      { family: 'platform', values: { 'shoulderLineToWall.legReach': 0.6 }, note: '' },
      /not a figure of this set-up/,
    ],
    [{ family: 'platform', values: { base: 0.6 }, note: '' }, /not a figure of this set-up/],
    [{ family: 'hand-L', values: { base: -0.6 }, note: '' }, /out of range/],
    [{ family: 'hand-L', values: {}, note: '' }, /no set-up/],
    [{ family: 'cartwheel', values: { base: 0.6 }, note: '' }, /neither a shape/],
  ])('is refused where it cannot be: %j', (form, words) => {
    fillWithDemo();
    const { id } = listCoursePeople(database(), 1)[0]!;
    const outcome = anybodysWords(keepSetup)(id, form);
    expect(outcome.ok).toBe(false);
    expect(JSON.stringify(outcome)).toMatch(words);
  });

  it('counts no more when the body was measured anew and no longer reaches', () => {
    fillWithDemo();
    const { id } = listCoursePeople(database(), 1)[0]!;
    must(keepSetup(id, { family: 'hand-kick', values: { base: 1.9 }, note: '' }));
    must(changeBody(id, { height: '140', mass: '', forearmHands: '' as const, lengths: {} }));
    const { distances, cautions } = readRungPage('HB11', id)!.recipe!;
    expect(distances.find((one) => one.id === 'base')!.metres).toBeLessThan(0.5);
    expect(cautions[0]).toMatch(/out of reach/);
  });
});

/** Every name under which something stands, however deep; numbered places are one. */
function keysOf(value: unknown, at = ''): string[] {
  if (Array.isArray(value)) return [...new Set(value.flatMap((one) => keysOf(one, `${at}[]`)))];
  if (typeof value !== 'object' || value === null) return [at];
  return Object.entries(value).flatMap(([key, one]) => keysOf(one, `${at}.${key}`));
}

describe('what an assistant is sent', () => {
  it('has these names and no others', () => {
    const { uid } = begin();
    const row = findClass(uid)!;
    const bundle = bundleOf(row);
    // Fields that nobody let out, wherever they turn up.
    const [first] = bundle.members;
    const secret = { ...bundle, secret: 1, members: [{ ...first, secret: 1 }, ...bundle.members] };
    const [person] = bundle.prepared.people;
    const more = {
      ...secret,
      prepared: {
        ...bundle.prepared,
        secret: 1,
        people: [
          {
            ...person,
            secret: 1,
            options: person!.options.map((option) => ({ ...option, secret: 1 })),
          },
        ],
      },
      plan: {
        ...bundle.plan,
        secret: 1,
        rounds: bundle.plan.rounds.map((round) => ({
          ...round,
          secret: 1,
          people: round.people.map((one) => ({ ...one, secret: 1 })),
        })),
      },
    };
    const sent = bundleFor('assistant', more as never);
    expect(JSON.stringify(sent)).not.toContain('secret');
    expect(Object.keys(sent.members[0]!).sort()).toEqual(['body', 'consent', 'id', 'name']);
    const names = keysOf(sent.members).map((key) => key.replace(/lengths\..*/, 'lengths'));
    expect([...new Set(names)].sort()).toEqual(
      ['[].id', '[].name', '[].consent', '[].body.heightM', '[].body.lengths']
        .filter((name) => names.includes(name))
        .sort(),
    );
    const options = keysOf(sent.prepared.people).filter((key) => key.startsWith('[].options'));
    for (const hidden of ['loads', 'isFound', 'why.', 'kept', 'ranges']) {
      expect(options.some((key) => key.includes(`.${hidden}`) && !key.endsWith('.loads'))).toBe(
        false,
      );
    }
  });

  it('is not told how a figure came about', () => {
    fillWithDemo();
    const { id } = listCoursePeople(database(), 1)[0]!;
    saveRung(database(), id, 'forearm-stand', 'FS10', today());
    must(keepSetup(id, { family: 'forearm-kick', values: { base: 0.46 }, note: 'sore on Monday' }));
    const { uid } = begin(() => undefined);
    const bundle = bundleOf(findClass(uid)!);
    expect(JSON.stringify(bundle.members)).toContain('sore on Monday');
    expect(JSON.stringify(bundleFor('assistant', bundle))).not.toContain('sore on Monday');
  });
});
