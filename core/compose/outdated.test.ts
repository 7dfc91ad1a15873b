/** A plan that nothing is said against holds in the class as it is now. */
import { pieceTable, type PieceCount } from '../catalog/pieces';
import { toPlanFile } from '../files/planFile';
import { seededRandom } from '../random';
import { assertRoom, wallIds, wallLength, type Room } from '../room/room';
import { checkPlan } from '../testing/checkPlan';
import { inventClass } from '../testing/inventClass';
import { inventWishes } from '../testing/inventWishes';
import { composeClass } from './composeClass';
import { listOutdated } from './outdated';
import { prepareClass, type ClassInput } from './prepared';
import { usualSolve } from './solve';
import { ofMany, seedsTo } from '../testing/depth';

const composed = new Map<number, ReturnType<typeof composeAnew>>();

function compose(seed: number) {
  const known = composed.get(seed) ?? composeAnew(seed);
  composed.set(seed, known);
  return known;
}

function composeAnew(seed: number) {
  const { input, wishes } = inventClass(seed);
  const prepared = prepareClass(input);
  const plan = composeClass(null, prepared, wishes, { ...usualSolve, seed });
  const file = toPlanFile(plan, prepared, wishes, { binding: [], relief: null });
  return { file, input, wishes };
}

const outdated = (file: ReturnType<typeof composeAnew>['file'], input: ClassInput) =>
  listOutdated(file, prepareClass(input), (id) => id);

/** A room with one thing of it another: a wall moved, a door hung, a stretch blocked, a beam. */
function changeRoom(room: Room, random: () => number): Room {
  const between = (low: number, high: number) => low + (high - low) * random();
  const wall = wallIds[Math.floor(random() * wallIds.length)]!;
  const length = wallLength(room, wall);
  const fromM = between(0, Math.max(0.1, length - 1));
  const toM = Math.min(length, fromM + between(0.7, 1.2));
  const whats: (() => Room)[] = [
    () => ({ ...room, widthM: between(0.6, 1) * room.widthM }),
    () => ({ ...room, depthM: between(0.6, 1) * room.depthM }),
    () => ({ ...room, doors: [...room.doors, { wall, fromM, toM, opensIn: random() < 0.7 }] }),
    () => ({ ...room, blocked: [...room.blocked, { wall, fromM, toM, what: '' }] }),
    () => ({
      ...room,
      low: [
        ...room.low,
        {
          xM: between(0, room.widthM - 0.5),
          yM: between(0, room.depthM - 0.5),
          widthM: 1.5,
          depthM: 1.5,
          heightM: Math.min(room.ceilingM - 0.05, between(1.4, 2.3)),
          what: '',
        },
      ],
    }),
    () => ({ ...room, ceilingM: between(0.7, 1) * room.ceilingM }),
  ];
  return whats[Math.floor(random() * whats.length)]!();
}

const isRoom = (room: Room) => {
  try {
    assertRoom(room);
    return room.ceilingM >= 1.5;
  } catch {
    return false;
  }
};

it('says nothing against a plan that was just made', () => {
  for (const seed of seedsTo(24, 6)) {
    const { file, input } = compose(seed);
    expect([seed, outdated(file, input)]).toEqual([seed, []]);
  }
});

it('nor against one for whom somebody is sore, late, away or keeps the feet down', () => {
  for (const seed of seedsTo(40, 8)) {
    const { input: invented, wishes: usual } = inventClass(seed);
    const wishes = inventWishes(
      seed,
      usual,
      invented.people.map(({ id }) => id),
    );
    const input = { ...invented, ...wishes };
    const prepared = prepareClass(input);
    const plan = composeClass(null, prepared, wishes, { ...usualSolve, seed });
    const file = toPlanFile(plan, prepared, wishes, { binding: [], relief: null });
    const said = outdated(file, input);
    expect([seed, said]).toEqual([seed, []]);
  }
});

it('is silent of a changed room or cupboard only where every hard rule still holds', () => {
  let silent = 0;
  let told = 0;
  for (const seed of seedsTo(120, 30)) {
    const random = seededRandom(seed * 31 + 7);
    const { file, input, wishes } = compose((seed % ofMany(24, 6)) + 1);
    const room = changeRoom(input.room, random);
    if (!isRoom(room)) continue;
    const isShort = random() < 0.2;
    const pieces = input.pieces.map((one) =>
      isShort && random() < 0.3 ? { ...one, count: Math.floor(one.count * random()) } : one,
    );
    const now = { ...input, room, pieces };
    if (outdated(file, now).length > 0) {
      told += 1;
      continue;
    }
    silent += 1;
    const wrong = checkPlan(file, {
      room,
      pieces,
      helpers: wishes.helpers,
      people: now.people.map(({ id, opened, body }) => ({ id, opened, heightM: body.heightM })),
    });
    expect([seed, wrong]).toEqual([seed, []]);
  }
  // Both happen often enough for this to say something.
  expect(Math.min(silent, told)).toBeGreaterThan(ofMany(20, 4));
});

it('takes a lane at a wall that the plan does not know for no place at all', () => {
  const { file, input } = Array.from({ length: 20 }, (_, index) => compose(index + 1)).find(
    ({ file: { rounds } }) =>
      rounds.some(({ people }) => people.some(({ place }) => place.kind === 'lane')),
  )!;
  expect(outdated({ ...file, spans: [] }, input).join()).toContain(
    'the room no longer has the place of',
  );
});

it('names whose distances moved with their body, and nobody else’s', () => {
  const made = Array.from({ length: 20 }, (_, index) => compose(index + 1)).find(
    ({ file: { stations, layOut } }) =>
      stations.some(({ baseM }) => baseM !== undefined) && layOut.length > 0,
  )!;
  const { file, input } = made;
  const taped = file.rounds
    .flatMap(({ people }) => people)
    .find(({ letter }) =>
      file.stations.some((one) => one.letter === letter && one.baseM !== undefined),
    );
  if (taped === undefined) throw new Error('nobody is at the tape in this class');
  const people = input.people.map((one) =>
    one.id === taped.id ? { ...one, body: { heightM: one.body.heightM + 0.12 } } : one,
  );
  const said = outdated(file, { ...input, people }).join('; ');
  expect(said).toMatch(new RegExp(`distances are others for .*\\b${taped.id}\\b`));
});

it('says how many pieces are laid out and how many there are', () => {
  const { file, input } = compose(3);
  const [need] = file.rounds[0]!.pieces.filter(({ used }) => used > 0);
  const said = outdated(file, { ...input, pieces: [] });
  expect(said.join('; ')).toContain(`are laid out, there are 0`);
  expect(need).toBeDefined();
});

describe('pieces of another size', () => {
  /** As many of one's own, of another size, in the place of most of what ships. */
  const otherSizes = (pieces: ClassInput['pieces'], left = 0): PieceCount[] =>
    pieces.flatMap((one): PieceCount[] => {
      const { piece, count } = one;
      if (piece !== 'foam-block' && piece !== 'blanket') return [one];
      const { words: _, atHome: __, mark: ___, effort: ____, ...spec } = pieceTable[piece];
      const thicknessM = spec.thicknessM + 0.015;
      const own = { ...spec, label: `Own ${piece}`, thicknessM, loadedM: spec.loadedM + 0.015 };
      return [
        { piece, count: Math.min(left, count) },
        { piece: `own-${piece}`, count, own },
      ];
    });

  it('are none of those that something was measured to', () => {
    let said = 0;
    // In the first of them some are laid out.
    for (const seed of [1, ...seedsTo(24, 5).slice(1)]) {
      const { file, input } = compose(seed);
      const changed = outdated(file, { ...input, pieces: otherSizes(input.pieces, 2) }).join('; ');
      if (/cm high are laid out, there are \d/.test(changed)) said += 1;
      // Beside what ships they take nothing away.
      const beside = [...input.pieces, ...otherSizes(input.pieces)];
      expect([seed, outdated(file, { ...input, pieces: beside }).join()]).toEqual([
        seed,
        expect.not.stringMatching(/laid out/),
      ]);
    }
    expect(said).toBeGreaterThan(0);
  });

  it('leave a plan as it is when they are gone again', () => {
    let looked = 0;
    for (const seed of seedsTo(12, 4)) {
      const { input, wishes } = inventClass(seed);
      const both = { ...input, pieces: [...input.pieces, ...otherSizes(input.pieces)] };
      const prepared = prepareClass(both);
      const plan = composeClass(null, prepared, wishes, { ...usualSolve, seed });
      const file = toPlanFile(plan, prepared, wishes, { binding: [], relief: null });
      const lists = file.rounds.flatMap(({ pieces }) => pieces);
      const isOfOwn = lists.some(({ row, used }) => /^own-(foam|blanket)/.test(row) && used > 0);
      const isFew = lists.some(
        ({ row, used }) =>
          used > (input.pieces.find(({ piece }) => piece === row)?.count ?? Infinity),
      );
      if (isOfOwn || isFew) continue;
      looked += 1;
      expect([seed, outdated(file, input).filter((one) => /laid out/.test(one))]).toEqual([
        seed,
        [],
      ]);
    }
    expect(looked).toBeGreaterThan(ofMany(2, 0));
  });
});
