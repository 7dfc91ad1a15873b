import { seededRandom } from '../random';
import { listCuts } from './cuts';
import type { ComposePerson, RoundOption, RoundsProblem, WallSpace } from './problem';

const option = (id: string, more: Partial<RoundOption>): RoundOption => ({
  id,
  value: 1,
  heightM: 2,
  pieces: [],
  ...more,
});
const blocks = (count: number) =>
  option(`blocks-${count}`, { pieces: [{ piece: 'foam-block', count }] });
const lane = (alongM: number) => option(`lane-${alongM}`, { alongM });

const problem = (
  options: readonly RoundOption[],
  { pieces = 0, lengthM = 0 }: { pieces?: number; lengthM?: number },
): RoundsProblem => ({
  rounds: 1,
  walls: lengthM === 0 ? [] : [{ id: 'north', lengthM, lowestM: 3 } as WallSpace],
  circles: 0,
  pieces: { 'foam-block': pieces },
  helpers: [0],
  people: [{ options, mostAttempts: 2 } as unknown as ComposePerson],
});

it('lets one set of eight into twelve, not one and a half', () => {
  const [only, ...more] = listCuts(problem([blocks(8), blocks(4), blocks(2)], { pieces: 12 }));
  expect(more).toEqual([]);
  expect(only!.most).toBe(1);
  expect([8, 4, 2].map((count) => only!.takenBy(blocks(count), -1))).toEqual([1, 0, 0]);
});

it('counts whole lanes at their own wall alone', () => {
  const [only] = listCuts(problem([lane(0.9), lane(0.95)], { lengthM: 1.9 }));
  // Two of 95 cm fill it to the end; of the narrower ones two fit as well, and leave a rest.
  expect(only!.most).toBe(2);
  expect(only!.takenBy(lane(0.9), 0)).toBe(1);
  expect(only!.takenBy(lane(1.9), 0)).toBe(2);
  expect(only!.takenBy(lane(0.9), -1)).toBe(0);
});

it('takes for fitting what the room does: a hair too much is none', () => {
  const wide = lane(0.95 + 4e-10);
  const cuts = listCuts(problem([wide, lane(0.6)], { lengthM: 1.9 }));
  for (const cut of cuts) expect(2 * cut.takenBy(wide, 0)).toBeLessThanOrEqual(cut.most);
});

it('has nothing to say where what there is divides without a rest, or where none fit at all', () => {
  expect(listCuts(problem([blocks(3), blocks(4), blocks(6)], { pieces: 12 }))).toEqual([]);
  expect(listCuts(problem([blocks(5)], { pieces: 4 }))).toEqual([]);
});

it('forbids no set of people that the cupboard and the walls allow', () => {
  const random = seededRandom(77);
  const upTo = (most: number) => 1 + Math.floor(random() * most);
  let tight = 0;
  for (let trial = 0; trial < 400; trial += 1) {
    const pieces = upTo(20);
    const lengthM = Math.round(100 * (0.8 + 8 * random())) / 100;
    const options = [
      ...Array.from({ length: upTo(5) }, () => blocks(upTo(9))),
      ...Array.from({ length: upTo(5) }, () => lane(Math.round(100 * (0.6 + random())) / 100)),
    ];
    const cuts = listCuts(problem(options, { pieces, lengthM }));
    // Whoever still fits comes in, in some order.
    const inside: RoundOption[] = [];
    let [left, leftM] = [pieces, lengthM];
    for (let turn = 0; turn < 40; turn += 1) {
      const one = options[Math.floor(random() * options.length)]!;
      const count = one.pieces[0]?.count ?? 0;
      if (count > left || (one.alongM ?? 0) > leftM + 1e-9) continue;
      inside.push(one);
      [left, leftM] = [left - count, leftM - (one.alongM ?? 0)];
    }
    for (const cut of cuts) {
      const taken = inside.reduce((sum, one) => sum + cut.takenBy(one, 0), 0);
      expect(taken).toBeLessThanOrEqual(cut.most);
      if (taken === cut.most) tight += 1;
    }
  }
  // They are as narrow as they can be.
  expect(tight).toBeGreaterThan(200);
});
