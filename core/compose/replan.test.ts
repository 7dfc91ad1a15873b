import loadHighs, { type Highs } from 'highs';
import { painPlaces, painPlaceTable } from '../catalog/regions';
import { toPlanFile } from '../files/planFile';
import { checkPlan } from '../testing/checkPlan';
import { inventClass } from '../testing/inventClass';
import { findBinding, withMore } from './binding';
import { moreWords } from './bindingWords';
import { composeClass } from './composeClass';
import { poseClass } from './pose';
import { findOption } from './readBack';
import { prepareClass, type Pin, type PreparedClass, type Wishes } from './prepared';
import { findRelief, listAsks } from './relief';
import { solveRounds, usualSolve } from './solve';
import { findPurchases, purchaseWords } from './shopping';
import { ofMany } from '../testing/depth';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const [seed, people] = [6, 10];
const { input, wishes: invented } = inventClass(seed, people);
const wishes: Wishes = { ...invented, minutes: 90, rounds: 3, helpers: 1 };
const prepared = prepareClass({ ...input, ...wishes });

const compose = (
  change: Partial<Wishes> = {},
  of: PreparedClass = prepared,
  before?: ReturnType<typeof composeClass>,
) => composeClass(highs, of, { ...wishes, ...change }, usualSolve, before?.before ?? {});

const verify = (plan: ReturnType<typeof composeClass>, change: Partial<Wishes> = {}) =>
  checkPlan(toPlanFile(plan, prepared, { ...wishes, ...change }, { binding: [], relief: null }), {
    room: input.room,
    pieces: input.pieces,
    helpers: wishes.helpers,
    people: input.people.map(({ id, opened, body }) => ({ id, opened, heightM: body.heightM })),
  });

const optionOf = (plan: ReturnType<typeof composeClass>, id: string, round: number) =>
  plan.rounds[round]!.people.find((one) => one.id === id)?.option?.id ?? null;

/** Rounds of somebody's evening that are not as they were. */
const countMoved = (
  a: ReturnType<typeof composeClass>,
  b: ReturnType<typeof composeClass>,
  ids: readonly string[],
) =>
  ids.reduce(
    (sum, id) =>
      sum + a.rounds.filter((_, round) => optionOf(a, id, round) !== optionOf(b, id, round)).length,
    0,
  );

describe('pins', () => {
  it('are kept, for one round or for all of them', () => {
    const plan = compose();
    const person = prepared.people.find(({ options }) => options.length > 4)!;
    const other = person.options.find(
      ({ id, isRest }) => !isRest && id !== optionOf(plan, person.id, 0),
    )!;
    const one: Pin = { kind: 'student', person: person.id, option: other.id, round: 2 };
    const pinned = compose({ pins: [one] });
    expect(pinned.pins).toEqual([{ pin: one, isKept: true }]);
    expect(optionOf(pinned, person.id, 1)).toBe(other.id);
    expect(verify(pinned, { pins: [one] })).toEqual([]);
    const { round: _, ...always } = one;
    const all = compose({ pins: [always] });
    expect(all.rounds.map((_, round) => optionOf(all, person.id, round))).toEqual(
      all.rounds.map(() => other.id),
    );
  });

  it('that break a hard rule are reported with a reason and change nothing else', () => {
    const person = prepared.people[0]!;
    const shut: Pin = { kind: 'student', person: person.id, option: 'HB15' };
    const gone: Pin = { kind: 'student', person: 'nobody', option: 'rest' };
    const nowhere: Pin = { kind: 'station', person: person.id, span: 'north-9' };
    const late: Pin = { kind: 'student', person: person.id, option: 'rest', round: 6 };
    const plan = compose({ pins: [shut, gone, nowhere, late] });
    expect(plan.pins.map(({ isKept }) => isKept)).toEqual([false, false, false, false]);
    for (const { why } of plan.pins) expect(why!.length).toBeGreaterThan(5);
    expect(verify(plan)).toEqual([]);
  });

  it('that want a stage that is shut say why this one is, not one whose name begins alike', () => {
    const [person, ...others] = prepared.people;
    const why = { HB1: 'the first rung is closed', HB15: 'the late one waits for a way out' };
    const closed = {
      ...person!,
      shut: (['HB1', 'HB15'] as const).map((stage) => ({ stage, label: stage, why: why[stage] })),
      options: person!.options.filter(({ id }) => !id.startsWith('HB1')),
    };
    const pins: Pin[] = ['HB15', 'HB15+towel', 'HB1'].map((option) => ({
      kind: 'student',
      person: person!.id,
      option,
    }));
    const plan = compose({ pins }, { ...prepared, people: [closed, ...others] });
    expect(plan.pins.map((one) => one.why)).toEqual([why.HB15, why.HB15, why.HB1]);
  });

  it('that contradict each other leave a plan, and say so', () => {
    const person = prepared.people.find(({ options }) => options.length > 3)!;
    const [a, b] = person.options.map(({ id }) => id);
    const pins: Pin[] = [
      { kind: 'student', person: person.id, option: a! },
      { kind: 'student', person: person.id, option: b! },
    ];
    const plan = compose({ pins });
    expect(plan.pins.filter(({ isKept }) => !isKept).length).toBeGreaterThan(0);
    expect(plan.pins.find(({ isKept }) => !isKept)!.why).toMatch(/contradict/);
  });

  it('take drills in and leave drills out', () => {
    const plan = compose({
      pins: [
        { kind: 'drill', drill: 'boat', use: true },
        { kind: 'drill', drill: 'wrist-lifts', use: false },
      ],
    });
    const drills = plan.timeline.flatMap(({ drill }) => drill ?? []);
    expect(drills).toContain('boat');
    expect(drills).not.toContain('wrist-lifts');
  });
});

describe('changing a plan', () => {
  it('after one absence moves hardly anybody', () => {
    const plan = compose();
    const [gone, ...others] = prepared.people.map(({ id }) => id);
    const after = compose({ absent: [gone!] }, prepared, plan);
    expect(after.rounds[0]!.people.map(({ id }) => id)).toEqual(others);
    const slots = others.length * plan.rounds.length;
    expect(countMoved(plan, after, others)).toBeLessThanOrEqual(slots / 4);
  });

  it('leaves rounds that are over as they were, and gives nothing before somebody comes', () => {
    const plan = compose();
    const change = { done: 1, late: [{ person: 'p2', round: 2 }], pins: [] };
    const after = compose(change, prepared, plan);
    for (const { id } of prepared.people.filter(({ id }) => id !== 'p2')) {
      expect(optionOf(after, id, 0)).toBe(optionOf(plan, id, 0));
    }
    const late = compose({ late: [{ person: 'p2', round: 3 }] });
    expect([optionOf(late, 'p2', 0), optionOf(late, 'p2', 1)]).toEqual([null, null]);
  });

  it('takes everything that loads it from who is sore, drills and checks as well', () => {
    const plan = compose({ sore: [{ person: 'p1', place: 'shoulder' }] });
    for (const { people: placed } of plan.rounds) {
      const option = placed.find(({ id }) => id === 'p1')!.option;
      expect(option?.loads.shoulder ?? 0).toBe(0);
    }
  });

  it('takes it from the rounds to come as well, whatever stood or was pinned there', () => {
    const plan = compose();
    for (const { id, options } of prepared.people) {
      const loaded = options.find(({ loads }) => (loads.shoulder ?? 0) > 0);
      if (loaded === undefined) continue;
      const change = {
        done: 1,
        sore: [{ person: id, place: 'shoulder' as const }],
        pins: [{ kind: 'student' as const, person: id, option: loaded.id }],
      };
      const after = compose(change, prepared, plan);
      // What was done before it was sore stays in the round behind.
      expect(optionOf(after, id, 0)).toBe(optionOf(plan, id, 0));
      for (const round of after.rounds.slice(1)) {
        const option = round.people.find((one) => one.id === id)!.option;
        expect(option?.loads.shoulder ?? 0).toBe(0);
      }
    }
  });

  it('leaves nothing that loads either of two sore places', () => {
    for (const one of painPlaces) {
      for (const two of painPlaces) {
        const sore = prepared.people.flatMap(({ id }) =>
          [one, two].map((place) => ({ person: id, place })),
        );
        const closed: readonly string[] = [one, two].flatMap((place) => [
          ...painPlaceTable[place].regions,
        ]);
        for (const { id, options } of poseClass(null, prepared, { ...wishes, sore }).problem
          .people) {
          const loaded = options.filter((option) =>
            Object.keys(findOption(prepared, id, option.id)!.loads).some((region) =>
              closed.includes(region),
            ),
          );
          expect([one, two, loaded.map((option) => option.id)]).toEqual([one, two, []]);
        }
      }
    }
  });

  it('keeps a pin for the rounds to come, whatever was done before', () => {
    const plan = compose();
    for (const { id, options } of prepared.people) {
      const rest = options.find(({ isRest }) => isRest)!;
      const pin: Pin = { kind: 'student', person: id, option: rest.id };
      const after = compose({ done: 1, pins: [pin] }, prepared, plan);
      expect(after.pins).toEqual([{ pin, isKept: true }]);
      expect([1, 2].map((round) => optionOf(after, id, round))).toEqual([rest.id, rest.id]);
      expect(optionOf(after, id, 0)).toBe(optionOf(plan, id, 0));
    }
  });

  it('overrules tiredness only where the teacher says so', () => {
    const posed = poseClass(null, prepared, {
      ...wishes,
      pins: [{ kind: 'tired', person: 'p3' }],
    });
    const free = posed.problem.people.filter(({ isBearable }) => isBearable === undefined);
    expect(free.map(({ id }) => id)).toEqual(['p3']);
  });
});

describe('what would free it', () => {
  /** Everybody pinned to what they would do best, with a cupboard and a wall that do not hold it. */
  const tight: PreparedClass = {
    ...prepared,
    people: prepared.people.slice(0, ofMany(people, 6)),
    pieces: [],
    spans: prepared.spans.map((span) => ({ ...span, toM: span.fromM + 0.9 })),
  };
  const pins = tight.people.flatMap(({ id, options }): Pin[] => {
    const best = options.find((one) => one.alongM !== undefined && one.pieces.length > 0);
    return best === undefined ? [] : [{ kind: 'student', person: id, option: best.id }];
  });

  it('really makes the class feasible, at least cost, and prices nothing that guards people', () => {
    expect(pins.length).toBeGreaterThan(1);
    const posed = poseClass(highs, tight, { ...wishes, pins });
    const plan = solveRounds(highs, posed.problem, usualSolve);
    expect(plan.assignment.some(({ brokenPins }) => brokenPins > 0)).toBe(true);
    const relief = findRelief(highs, posed.problem, plan.assignment)!;
    expect(relief.more.length).toBeGreaterThan(0);
    for (const { what } of relief.more) expect(['piece', 'wall', 'helper']).toContain(what);
    const free = solveRounds(highs, withMore(posed.problem, relief.more), usualSolve);
    const unmet = listAsks(posed.problem, free.assignment).map(({ person }) => person);
    expect(unmet.filter((id) => !relief.beyond.includes(id))).toEqual([]);
    // A little less of any of it is not enough.
    for (const one of relief.more.filter(({ what }) => what === 'piece')) {
      const less = relief.more.map((more) =>
        more === one ? { ...one, more: one.more - 1 } : more,
      );
      const short = solveRounds(highs, withMore(posed.problem, less), usualSolve);
      expect(listAsks(posed.problem, short.assignment).length).toBeGreaterThan(unmet.length);
    }
    expect(relief.more.map((one) => moreWords(one)).join()).not.toMatch(/undefined|NaN/);
  });

  it('is not asked where everything was given', () => {
    const posed = poseClass(highs, prepared, wishes);
    const plan = solveRounds(highs, posed.problem, usualSolve);
    if (listAsks(posed.problem, plan.assignment).length > 0) return;
    expect(findRelief(highs, posed.problem, plan.assignment)).toBeNull();
  });

  it('values more by solving again: a gain is one, and never for a clear circle', () => {
    const posed = poseClass(highs, tight, wishes);
    const plan = solveRounds(highs, posed.problem, usualSolve);
    const steps: number[] = [];
    const binding = findBinding(highs, posed, plan, usualSolve, {
      prepared: tight,
      wishes,
      onStep: (done) => steps.push(done),
    });
    expect(steps).toEqual(binding.map((_, index) => index + 1));
    expect(binding.some(({ gain }) => gain !== null && gain > 0)).toBe(true);
    const [best] = binding;
    if (best!.what !== 'minutes') {
      const more = solveRounds(highs, withMore(posed.problem, [best!]), usualSolve);
      expect(more.objective).toBeGreaterThan(plan.objective);
    }
    expect(binding.map(({ what }) => what as string)).not.toContain('floor');
  });

  it('names what to get for the weeks to come', () => {
    const steps: number[] = [];
    const found = findPurchases(highs, [{ prepared: tight, wishes, weeks: 3 }], (done) =>
      steps.push(done),
    );
    expect(found.length).toBeGreaterThan(0);
    expect(steps.length).toBeGreaterThan(0);
    const [first, second] = found;
    expect(first!.gain / first!.count).toBeGreaterThanOrEqual(
      (second?.gain ?? 0) / (second?.count ?? 1),
    );
    expect(purchaseWords(found)).toMatch(/^(?:One|\d+) more .* would serve/);
    expect(purchaseWords([])).toMatch(/holds what/);
  });
});
