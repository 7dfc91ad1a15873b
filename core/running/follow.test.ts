import { checkInClass } from '../catalog/keys';
import { entriesOf } from '../units/keyed';
import type { CheckKey } from '../catalog/checks';
import { toPlanFile, type PlanFile } from '../files/planFile';
import { composeClass } from '../compose/composeClass';
import { prepareClass, putPerson } from '../compose/prepared';
import { usualSolve } from '../compose/solve';
import { inventClass } from '../testing/inventClass';
import { beforeOf, findOption } from '../compose/readBack';
import { missesDrills } from '../compose/onLadder';
import {
  doorOf,
  isUnderWay,
  lateNow,
  listMoves,
  mergePlan,
  wishesNow,
  type PlacedPerson,
} from './follow';
import { planForAssistant, preparedForAssistant } from './assistantPlan';
import { hideChecks } from './hide';
import { mayTap, tapForAssistant } from './roles';
import { doorKey, replay } from './replay';
import type { FloorAct, Tap } from './tap';

const { input, wishes } = inventClass(6, 10);
const prepared = prepareClass(input);
const write = (asked = wishes, before = {}) =>
  toPlanFile(composeClass(null, prepared, asked, usualSolve, before), prepared, asked, {
    binding: [],
    relief: null,
  });
const begun = write();

const say = (...acts: FloorAct[]): Tap[] =>
  acts.map((act, index) => ({
    device: 't',
    seq: index + 1,
    at: { boot: 'a', monoMs: index * 1000, wallMs: index * 1000 },
    act,
  }));
const asks = (...acts: FloorAct[]) => wishesNow(replay(say(...acts)), begun, begun, prepared);
const [first, second, third] = prepared.people.map(({ id }) => id);

describe('what a class asks of its plan', () => {
  it('is nothing while everybody came and nobody is sore', () => {
    expect(asks({ kind: 'segment', index: 3, roundsDone: 0 })).toBeNull();
  });

  it('is a new one where something was opened to somebody since it was made, once', () => {
    const asked = (judged: number | undefined, openedAt: number) =>
      wishesNow(
        replay(say({ kind: 'segment', index: 0, roundsDone: 0 })),
        begun,
        { ...begun, ...(judged === undefined ? {} : { judged }) },
        prepared,
        3,
        openedAt,
      );
    expect([asked(undefined, 0), asked(3, 3), asked(2, 2)]).toEqual([null, null, null]);
    expect(asked(undefined, 3)).toMatchObject({ done: 0, sore: [] });
    expect(asked(2, 3)).not.toBeNull();
  });

  it('is a new one for who is missing, late or sore, with the rounds that are over', () => {
    const asked = asks(
      { kind: 'absent', person: first!, isAbsent: true },
      { kind: 'late', person: second!, round: 2 },
      { kind: 'sore', person: third!, place: 'wrist' },
      { kind: 'segment', index: 9, roundsDone: 1 },
    )!;
    expect(asked).toMatchObject({
      absent: [first],
      late: [{ person: second, round: 2 }],
      sore: [{ person: third, place: 'wrist' }],
      done: 1,
    });
    // The order stays as it was begun: what was drilled is known, and not chosen anew.
    const drills = begun.timeline.filter(({ kind }) => kind === 'drill');
    expect(drills.length).toBeGreaterThan(0);
    expect(asked.begun).toEqual(drills.map(({ drill }) => drill));
  });

  it('knows whoever comes for the first round from whoever was there for the drills', () => {
    const drilling = { kind: 'segment', index: 3, roundsDone: 0 } as const;
    const late = (round: number): FloorAct => ({ kind: 'late', person: first!, round });
    expect(asks(late(2), late(1), drilling)).toMatchObject({ late: [{ person: first, round: 1 }] });
    expect(asks(late(2), late(0), drilling)).toBeNull();
    // Who was not expected and is there from the start has done the drills like everybody.
    const expected = { ...begun, wishes: { ...begun.wishes, absent: [first!] } };
    const comes = say({ kind: 'absent', person: first!, isAbsent: false }, late(0));
    const wished = wishesNow(replay(comes), expected, expected, prepared)!;
    expect(wished).toMatchObject({ absent: [], late: [], inTime: [first] });
    const others = Object.fromEntries([[second!, { options: [] }]]);
    expect(missesDrills(first!, wished, others)).toBe(false);
    expect(missesDrills(first!, { ...wished, inTime: [] }, others)).toBe(true);
    const planned = { ...begun, wishes: { ...begun.wishes, late: [{ person: first!, round: 1 }] } };
    expect([...lateNow(replay([]), planned)]).toEqual([[first, 1]]);
    expect([...lateNow(replay(say(late(0))), planned)]).toEqual([[first, 0]]);
    const at = begun.timeline.findIndex(({ kind }) => kind === 'drill');
    const isBegun = (index: number) =>
      isUnderWay(replay(say({ kind: 'segment', index, roundsDone: 0 })), begun);
    expect([isBegun(at - 1), isBegun(at), isBegun(at + 1)]).toEqual([false, true, true]);
    expect(isUnderWay(replay([]), begun)).toBe(false);
  });

  it('is a new one on an evening for looking, for what was seen before the rounds alone', () => {
    const looking = { ...prepared, isLooking: true };
    const first = begun.timeline.findIndex(({ kind }) => kind === 'round');
    const at = (index: number, now = begun, judged = 1) =>
      wishesNow(
        replay(say({ kind: 'segment', index, roundsDone: 0 })),
        begun,
        now,
        looking,
        judged,
      );
    expect(at(2)).not.toBeNull();
    // Planned from it already, or begun with: what stands, stands.
    expect(at(2, { ...begun, judged: 1 })).toBeNull();
    expect(at(2, begun, 0)).toBeNull();
    expect(at(first)).toBeNull();
    expect(wishesNow(replay(say()), begun, begun, prepared, 1)).toBeNull();
  });

  it('is nothing again once the new plan stands, and the old one when it is taken back', () => {
    const gone: FloorAct = { kind: 'absent', person: first!, isAbsent: true };
    const plan = mergePlan(begun, write(asks(gone)!, beforeOf(begun)));
    expect(plan.timeline).toEqual(begun.timeline);
    expect(plan.rounds[0]!.people.some(({ id }) => id === first)).toBe(false);
    expect(wishesNow(replay(say(gone)), begun, plan, prepared)).toBeNull();
    const back = replay(say(gone, { kind: 'undo', tap: 't.1' }));
    expect(wishesNow(back, begun, plan, prepared)).toMatchObject({ absent: [] });
  });

  it('lets who had a stop sign lie down for the rest of the class', () => {
    const asked = asks({ kind: 'sign', person: second!, sign: 'tingling' })!;
    const plan = write(asked, beforeOf(begun));
    for (const { people } of plan.rounds) {
      const one = people.find(({ id }) => id === second)!;
      expect(findOption(prepared, second!, one.option)?.isRest).toBe(true);
    }
  });
});

describe('somebody who comes into a running class', () => {
  const [last] = prepared.people.slice(-1);
  // The class as it was begun without them.
  const smaller = { ...prepared, people: prepared.people.slice(0, -1) };
  const absent = [...wishes.absent, last!.id];
  const without = { ...write({ ...wishes, absent }), wishes: { ...begun.wishes } };
  const joined = putPerson(smaller, last!);
  const now = (...acts: FloorAct[]) => wishesNow(replay(say(...acts)), without, without, joined);

  it('is planned into the rounds to come, and the rounds behind stay as they were', () => {
    expect(joined.people).toEqual(prepared.people);
    const late: FloorAct = { kind: 'late', person: last!.id, round: 2 };
    const asked = now(late, { kind: 'segment', index: 9, roundsDone: 1 })!;
    expect(asked).toMatchObject({ done: 1, late: [{ person: last!.id, round: 2 }] });
    const plan = mergePlan(without, write(asked, beforeOf(without)));
    expect(plan.rounds[0]!.people).toEqual(without.rounds[0]!.people);
    for (const { people } of plan.rounds.slice(1)) {
      expect(people.some(({ id }) => id === last!.id)).toBe(true);
    }
    const state = replay(say(late, { kind: 'segment', index: 9, roundsDone: 1 }));
    expect(wishesNow(state, without, plan, joined)).toBeNull();
  });

  it('is nothing new while they are marked away', () => {
    const away: FloorAct = { kind: 'absent', person: last!.id, isAbsent: true };
    const asked = now(away);
    // The list of who is away changed; with them in it the plan stands.
    const plan = write(asked!, beforeOf(without));
    expect(wishesNow(replay(say(away)), without, plan, joined)).toBeNull();
  });

  it('is judged anew with everybody else as they were; what is closed now is never planned', () => {
    const one = prepared.people.find(({ id, options }) => {
      const planned = begun.rounds.at(-1)!.people.find((placed) => placed.id === id)?.option;
      return options.some((option) => option.id === planned && option.isRest !== true);
    })!;
    const resting = {
      ...one,
      options: one.options.filter(({ isRest }) => isRest),
      fallbacks: one.fallbacks.filter(({ isRest }) => isRest),
    };
    const closed = putPerson(prepared, resting);
    expect(closed.people.filter(({ id }) => id !== one.id)).toEqual(
      prepared.people.filter(({ id }) => id !== one.id),
    );
    const state = replay(say({ kind: 'segment', index: 9, roundsDone: 1 }));
    const asked = wishesNow(state, begun, begun, closed)!;
    expect(asked.done).toBe(1);
    const plan = toPlanFile(
      composeClass(null, closed, asked, usualSolve, beforeOf(begun)),
      closed,
      asked,
      { binding: [], relief: null },
    );
    const mine = (rounds: typeof plan.rounds) =>
      rounds.map(({ people }) => people.find(({ id }) => id === one.id)?.option ?? null);
    expect(mine(plan.rounds)[0]).toBe(mine(begun.rounds)[0]);
    for (const option of mine(plan.rounds).slice(1)) {
      expect(option === null || resting.options.some(({ id }) => id === option)).toBe(true);
    }
  });
});

describe('a check of the day', () => {
  const placed = { id: '1', confirmAtDoor: ['Neck ease', 'Talk test'] } as unknown as PlacedPerson;
  const keyOf = (label: string) => (label === 'Neck ease' ? 'neck-ease' : 'talk-test');
  const door = (answers: Partial<Record<CheckKey, boolean>>) =>
    doorOf(
      placed,
      { door: new Map(entriesOf(answers).map(([check, is]) => [doorKey('1', check), is])) },
      keyOf,
    );

  it('locks the stage until all are confirmed, and turns to the shape beside it at one no', () => {
    expect(door({})).toBe('ask');
    expect(door({ 'neck-ease': true })).toBe('ask');
    expect(door({ 'neck-ease': true, 'talk-test': true })).toBe('confirmed');
    expect(door({ 'neck-ease': true, 'talk-test': false })).toBe('instead');
    expect(doorOf({ ...placed, confirmAtDoor: [] }, { door: new Map() }, keyOf)).toBe('free');
  });
});

it('says who moves between two rounds, and only them', () => {
  const moves = listMoves(begun, 1);
  for (const { id, option, place } of begun.rounds[1]!.people) {
    const before = begun.rounds[0]!.people.find((one) => one.id === id)!;
    const isSame =
      before.option === option && JSON.stringify(before.place) === JSON.stringify(place);
    if (!isSame) expect(moves.map(({ person }) => person)).toContain(id);
  }
  expect(listMoves(begun, begun.rounds.length)).toEqual([]);
});

describe('an assistant', () => {
  const hide = hideChecks([
    { check: 'neck-ease', label: 'Neck ease' },
    { check: 'talk-test', label: 'Talk test' },
  ]);

  it('sees a stage unlocked by the same answers as the teacher, under other names', () => {
    const placed = { id: '1', confirmAtDoor: ['Neck ease', 'Talk test'].map(hide) };
    const state = (...answers: [CheckKey, boolean][]) =>
      replay(
        say(
          ...answers.map(([check, isFine]): FloorAct => ({
            kind: 'door',
            person: '1',
            check,
            isFine,
          })),
        ).flatMap((tap) => tapForAssistant(tap, hide) ?? []),
      );
    const door = (...answers: [CheckKey, boolean][]) =>
      doorOf(placed as unknown as PlacedPerson, state(...answers), (label) =>
        checkInClass.parse(label),
      );
    expect(door(['neck-ease', true])).toBe('ask');
    expect(door(['neck-ease', true], ['talk-test', true])).toBe('confirmed');
    expect(door(['neck-ease', true], ['talk-test', false])).toBe('instead');
    expect(placed.confirmAtDoor.join()).not.toMatch(/neck|talk/i);
  });

  const healthWords = /neck|sore|pain|wrist|tingling|headache|caution|clinician|strain|ease|talk/i;

  it('is sent where and what, and no word of why', () => {
    const asked = { ...wishes, sore: [{ person: first!, place: 'neck' as const }] };
    const plan = planForAssistant(write(asked), hide);
    const own = preparedForAssistant(prepared, hide);
    const why = JSON.stringify([
      plan.wishes,
      plan.notes,
      plan.rounds.map(({ people }) => people.map((one) => [one.why, one.confirmAtDoor])),
      own.people.map(({ options, fallbacks, shut, weak, capacities }) => [
        shut,
        weak,
        capacities,
        [...options, ...fallbacks].map((option) => [option.why, option.atDoor]),
      ]),
    ]);
    expect(why.replaceAll('"sore":[]', '')).not.toMatch(healthWords);
    expect(plan.rounds[0]!.people.map(({ label }) => label)).toEqual(
      write(asked).rounds[0]!.people.map(({ label }) => label),
    );
  });

  it('is told nothing of checks that are the teacher’s alone, shipped or own', () => {
    const own = hideChecks([{ check: 'own-dizzy', label: 'Dizzy after', isPrivate: true }]);
    const slot = { isTogether: false, minutes: 1, people: [{ id: '1', why: 'x' }] };
    const checks = [
      { ...slot, check: 'own-dizzy', label: 'Dizzy after' },
      { ...slot, check: 'crown-control', label: 'Crown control' },
      { ...slot, check: 'hollow-hold', label: 'Hollow hold' },
    ] satisfies PlanFile['checks'];
    const named = (list: readonly { readonly check: string }[]) => list.map(({ check }) => check);
    expect(named(planForAssistant({ ...write(wishes), checks }, own).checks)).toEqual([
      'hollow-hold',
    ]);
    const withGain = checks.map((one) => ({ ...one, gain: 1 }));
    expect(named(preparedForAssistant({ ...prepared, checks: withGain }, own).checks)).toEqual([
      'hollow-hold',
    ]);
    const seen = {
      kind: 'seen',
      person: '1',
      value: 1,
      faults: [],
      side: null,
      base: null,
    } as const;
    const start = { kind: 'hold-start', hold: 'h', base: null, side: null } as const;
    const [mine, theirs, hidden, open] = say(
      { ...seen, check: 'own-dizzy' } as unknown as FloorAct,
      { ...seen, check: 'push-up-rung' } as unknown as FloorAct,
      { ...start, people: ['1'], check: 'own-dizzy' },
      { ...start, people: ['1'], check: 'hollow-hold' },
    ).map((tap) => tapForAssistant(tap, own)?.act ?? null);
    expect(mine).toBeNull();
    expect(theirs).toMatchObject({ check: 'push-up-rung' });
    expect(hidden).toMatchObject({ kind: 'hold-start', check: null });
    expect(open).toMatchObject({ check: 'hollow-hold' });
  });

  it('hears that somebody was stopped or confirmed at the door, not why or what was asked', () => {
    const [sign, sore, door, absent, before] = say(
      { kind: 'sign', person: '1', sign: 'tingling' },
      { kind: 'sore', person: '1', place: 'neck' },
      { kind: 'door', person: '1', check: 'neck-ease', isFine: false },
      { kind: 'absent', person: '1', isAbsent: true },
      // It would answer another question that has no name there either.
      { kind: 'door', person: '1', check: 'sore-before', isFine: false },
    ).map((tap) => tapForAssistant(tap, hide));
    expect([sign?.act, sore?.act]).toEqual([
      { kind: 'halt', person: '1' },
      { kind: 'halt', person: '1' },
    ]);
    expect(door?.act).toEqual({
      kind: 'door',
      person: '1',
      check: hide('neck-ease'),
      isFine: false,
    });
    expect([absent === null, before]).toEqual([false, null]);
  });

  it('may stop anybody, but neither end the class nor take back what the teacher said', () => {
    const may = (act: FloorAct, device = 'h') => mayTap('assistant', { ...say(act)[0]!, device });
    expect(may({ kind: 'sign', person: '1', sign: 'ringing' })).toBe(true);
    expect(may({ kind: 'hold-down', hold: 'x', person: '1' })).toBe(true);
    expect(may({ kind: 'end' })).toBe(false);
    expect(may({ kind: 'undo', tap: 'h.4' })).toBe(true);
    expect(may({ kind: 'undo', tap: 't.4' })).toBe(false);
    expect(mayTap('teacher', say({ kind: 'end' })[0]!)).toBe(true);
  });
});
