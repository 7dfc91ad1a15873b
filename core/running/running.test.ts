/** A class is run at random, everything that can happen in it; what guards people holds throughout. */
import loadHighs, { type Highs } from 'highs';
import { painPlaces, painPlaceTable, stopSigns } from '../catalog/regions';
import { composeOutput, toPlanFile, type PlanFile } from '../files/planFile';
import { composeClass } from '../compose/composeClass';
import { prepareClass, putPerson, type PreparedClass, type Wishes } from '../compose/prepared';
import { beforeOf, findOption, isPlacementOpen } from '../compose/readBack';
import { usualSolve } from '../compose/solve';
import { seededRandom } from '../random';
import { checkPlan } from '../testing/checkPlan';
import { inventClass } from '../testing/inventClass';
import { mergePlan, wishesNow } from './follow';
import { replay, type FloorState } from './replay';
import type { FloorAct, Tap } from './tap';
import { tapId } from './taps';
import { seedsTo } from '../testing/depth';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

/** What guards people, broken by a plan for the rounds to come; in words. */
function findBroken(plan: PlanFile, state: FloorState, prepared: PreparedClass): string[] {
  const wrong: string[] = [];
  const done = state.roundsDone;
  const signed = new Set(state.halts.flatMap((one) => (one.sign ? [one.person] : [])));
  for (const { round, people } of plan.rounds.slice(done)) {
    const say = (words: string) => wrong.push(`round ${round}: ${words}`);
    const ids = people.map(({ id }) => id);
    if (new Set(ids).size !== ids.length) say('somebody is in two places');
    for (const { id } of prepared.people) {
      if (state.absent.has(id) === ids.includes(id)) say(`${id} is away and placed, or neither`);
    }
    for (const placed of people) {
      const { id } = placed;
      const option = findOption(prepared, id, placed.option);
      if (!isPlacementOpen(prepared, placed)) say(`${id} does what is closed: ${placed.option}`);
      if (signed.has(id) && option !== undefined && option.isRest !== true)
        say(`${id} goes on after a stop sign`);
      if (state.feetDown.get(id) === true && option?.feetUp === true)
        say(`${id} leaves the floor and keeps the feet down`);
      if (round < (state.late.get(id) ?? 1) && placed.option !== null)
        say(`${id} is placed before coming`);
      for (const { person, place } of state.halts) {
        if (person !== id || place === undefined) continue;
        const closed: readonly string[] = painPlaceTable[place].regions;
        const loaded = Object.keys(option?.loads ?? {}).filter((region) => closed.includes(region));
        if (loaded.length > 0) say(`${id} loads a sore ${loaded.join(', ')}`);
      }
    }
  }
  return wrong;
}

function runClass(seed: number): void {
  const random = seededRandom(seed * 31 + 5);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const { input, wishes: invented } = inventClass(seed, 3 + (seed % 6));
  const wishes: Wishes = { ...invented, rounds: 3, helpers: seed % 2 };
  let prepared = prepareClass({ ...input, ...wishes });
  const ids = prepared.people.map(({ id }) => id);
  // Every fourth by the solver, as on the floor; the others by the quick plan alone.
  const solver = seed % 4 === 0 ? highs : null;
  const write = (asked: Wishes, before: PlanFile | null) =>
    toPlanFile(
      composeClass(solver, prepared, asked, usualSolve, before === null ? {} : beforeOf(before)),
      prepared,
      asked,
      { binding: [], relief: null },
    );
  const begun = write(wishes, null);
  let plan = begun;
  const taps: Tap[] = [];
  const tap = (act: FloorAct) =>
    taps.push({
      device: 't',
      seq: taps.length + 1,
      at: { boot: 'a', monoMs: taps.length * 1000, wallMs: taps.length * 1000 },
      act,
    });
  let roundsDone = 0;
  const happenings: readonly (() => void)[] = [
    () => tap({ kind: 'absent', person: pick(ids), isAbsent: random() < 0.7 }),
    () => tap({ kind: 'late', person: pick(ids), round: roundsDone + 2 }),
    () => tap({ kind: 'sore', person: pick(ids), place: pick(painPlaces) }),
    () => tap({ kind: 'sign', person: pick(ids), sign: pick(stopSigns) }),
    () => tap({ kind: 'feet-down', person: pick(ids), isDown: random() < 0.8 }),
    () => {
      roundsDone = Math.min(roundsDone + 1, wishes.rounds - 1);
      tap({ kind: 'segment', index: 9 + roundsDone, roundsDone });
    },
    () => {
      const last = taps.findLast(({ act }) => act.kind !== 'segment' && act.kind !== 'undo');
      if (last !== undefined) tap({ kind: 'undo', tap: tapId(last) });
    },
    // Something was reported: half of what was open closes.
    () => {
      const one = pick(prepared.people);
      const left = one.options.filter(({ isRest }) => isRest === true || random() < 0.5);
      const open = new Set(left.map(({ id }) => id));
      prepared = putPerson(prepared, {
        ...one,
        options: left.filter(({ fallback }) => fallback === undefined || open.has(fallback)),
        fallbacks: one.fallbacks.filter(({ id }) => open.has(id)),
      });
    },
  ];
  for (let step = 0; step < 7; step += 1) {
    pick(happenings)();
    const state = replay(taps);
    const before = plan;
    const asked = wishesNow(state, begun, plan, prepared);
    if (asked !== null) plan = mergePlan(plan, write(asked, plan));
    const said = `seed ${seed}, step ${step}`;
    expect([said, composeOutput.safeParse(plan).success]).toEqual([said, true]);
    expect([said, findBroken(plan, state, prepared)]).toEqual([said, []]);
    const broken = checkPlan(plan, {
      room: input.room,
      pieces: input.pieces,
      helpers: wishes.helpers,
      people: input.people.map(({ id, opened, body }) => ({ id, opened, heightM: body.heightM })),
      // Who leaves or comes in the middle misses rounds, and may have room for one try alone.
    }).filter((words) => !/misses a round|tries only once/.test(words));
    expect([said, broken]).toEqual([said, []]);
    const whatWasDone = ({ rounds }: PlanFile) =>
      rounds
        .slice(0, roundsDone)
        .map(({ people }) => people.map(({ id, option }) => [id, option]).sort());
    expect([said, whatWasDone(plan)]).toEqual([said, whatWasDone(before)]);
    // The new plan answers it: nothing is asked again and again.
    expect([said, wishesNow(state, begun, plan, prepared)]).toEqual([said, null]);
  }
}

it('never places anybody with what is closed, sore, signed off or before they come', () => {
  for (const seed of seedsTo(14, 3)) runClass(seed);
});
