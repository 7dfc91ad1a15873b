/** In the middle of any class somebody leaves, hurts or keeps the feet down: the rest of it, anew. */
import { closedRegions, painPlaces } from '../catalog/regions';
import { toPlanFile, type PlanFile } from '../files/planFile';
import { seededRandom } from '../random';
import { checkPlan } from '../testing/checkPlan';
import { inventClass } from '../testing/inventClass';
import { inventWishes } from '../testing/inventWishes';
import { composeClass } from './composeClass';
import { prepareClass, type Wishes } from './prepared';
import { usualSolve } from './solve';
import type { KeptLetter } from './stations';
import { ofMany, someOf } from '../testing/depth';

const nothing = { binding: [], relief: null } as const;
/** Some at random, and those in which a letter changed hands. */
const seeds = [
  ...someOf(
    Array.from({ length: 36 }, (_, at) => 2 * at + 1),
    5,
  ),
  74,
  130,
  148,
];

/** A class before and after something happens to it; `null` where it has no round left to change. */
function interrupt(seed: number) {
  const random = seededRandom(seed * 17 + 3);
  const { input: invented, wishes: usual } = inventClass(seed);
  const ids = invented.people.map(({ id }) => id);
  const some = (share: number) => ids.filter(() => random() < share);
  const asked = inventWishes(seed, usual, ids);
  const input = { ...invented, ...asked };
  const prepared = prepareClass(input);
  const plan = composeClass(null, prepared, asked, { ...usualSolve, seed });
  const before = toPlanFile(plan, prepared, asked, nothing);
  const rounds = before.rounds.length;
  if (rounds < 2) return null;
  const done = 1 + Math.floor(random() * (rounds - 1));
  const wishes: Wishes = {
    ...asked,
    rounds,
    done,
    begun: before.timeline.flatMap(({ drill }) => drill ?? []),
    absent: [...new Set([...asked.absent, ...some(0.15)])],
    sore: [
      ...asked.sore,
      ...some(0.2).map((person) => ({
        person,
        place: painPlaces[Math.floor(random() * painPlaces.length)]!,
      })),
    ],
    feetDown: [...new Set([...(asked.feetDown ?? []), ...some(0.15)])],
  };
  const anew = composeClass(null, prepared, wishes, { ...usualSolve, seed }, plan.before);
  const letters = before.stations as readonly KeptLetter[];
  const after = toPlanFile(anew, prepared, wishes, { ...nothing, letters });
  return { input, wishes, done, before, after, anew };
}

const whatWas = ({ rounds }: PlanFile, done: number, gone: readonly string[]) =>
  rounds.slice(0, done).map(({ people }) =>
    people
      .filter(({ id }) => !gone.includes(id))
      .map(({ id, option, letter }) => [id, option, letter])
      .sort(),
  );

it('leaves what was, and asks of nobody what is closed to them now', () => {
  let interrupted = 0;
  for (const seed of seeds) {
    const made = interrupt(seed);
    if (made === null) continue;
    interrupted += 1;
    const { input, wishes, done, before, after, anew } = made;
    const { absent, sore, feetDown = [] } = wishes;
    expect([seed, whatWas(after, done, absent)]).toEqual([seed, whatWas(before, done, absent)]);
    const meant = new Map(before.stations.map(({ letter, option }) => [letter, option]));
    for (const { letter, option } of after.stations) {
      expect([seed, letter, option]).toEqual([seed, letter, meant.get(letter) ?? option]);
    }
    const wrong = checkPlan(after, {
      room: input.room,
      pieces: input.pieces,
      helpers: wishes.helpers,
      people: input.people.map(({ id, opened, body }) => ({ id, opened, heightM: body.heightM })),
    });
    const isBehind = (words: string) => Number(/^round (\d+)/.exec(words)?.[1] ?? Infinity) <= done;
    expect([seed, wrong.filter((words) => !isBehind(words))]).toEqual([seed, []]);
    for (const { id, option } of anew.rounds.slice(done).flatMap(({ people }) => people)) {
      if (option === null) continue;
      expect([seed, id, absent.includes(id)]).toEqual([seed, id, false]);
      if (feetDown.includes(id)) expect([seed, id, option.feetUp]).toEqual([seed, id, undefined]);
      const closed = new Set<string>(
        sore.filter(({ person }) => person === id).flatMap(({ place }) => closedRegions(place)),
      );
      const asks = option.isRest ? [] : [...Object.keys(option.loads), ...option.strains];
      expect([seed, id, option.id, asks.filter((region) => closed.has(region))]).toEqual([
        seed,
        id,
        option.id,
        [],
      ]);
    }
  }
  expect(interrupted).toBeGreaterThan(ofMany(20, 4));
});
