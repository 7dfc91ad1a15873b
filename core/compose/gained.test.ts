/** What has come since a plan was made is told; what was there already, or has gone, is not. */
import { pieceTable } from '../catalog/pieces';
import { toPlanFile, type PlanFile } from '../files/planFile';
import { inventClass } from '../testing/inventClass';
import { composeClass } from './composeClass';
import { listGained } from './gained';
import { listOutdated } from './outdated';
import { prepareClass, type ClassInput } from './prepared';
import { usualSolve } from './solve';

const nameOf = (id: string) => `person ${id}`;

function plan(seed: number) {
  const { input, wishes } = inventClass(seed);
  const prepared = prepareClass(input);
  const file = toPlanFile(
    composeClass(null, prepared, wishes, { ...usualSolve, seed }),
    prepared,
    wishes,
    {
      binding: [],
      relief: null,
    },
  );
  return { input, file };
}

const gained = (file: PlanFile, input: ClassInput) => listGained(file, prepareClass(input), nameOf);

it.each([1, 2, 3, 4, 5])('class %i: nothing has come to what it was planned with', (seed) => {
  const { input, file } = plan(seed);
  expect(gained(file, input)).toEqual([]);
  // Less is told as what no longer holds, if at all.
  expect(gained(file, { ...input, pieces: [] })).toEqual([]);
  const { room } = input;
  expect(gained(file, { ...input, room: { ...room, widthM: room.widthM - 0.5 } })).toEqual([]);
});

it('counts what the cupboard has more of, an own piece by its name, and stands all the same', () => {
  const { input, file } = plan(3);
  const more: ClassInput = {
    ...input,
    pieces: [
      ...input.pieces,
      { piece: 'cloth', count: 1 },
      { piece: 'cloth', count: 2 },
      { piece: 'own-1', count: 2, own: { ...pieceTable['thin-foam-block'], label: 'Cork slab' } },
    ],
  };
  expect(gained(file, more)[0]).toBe('the cupboard has more: 3 cloths and 2 × Cork slab');
  expect(listOutdated(file, prepareClass(more), nameOf)).toEqual([]);
});

it('says that the room has grown, and tells floor from wall', () => {
  const { input, file } = plan(2);
  const { room } = input;
  expect(gained(file, { ...input, room: { ...room, widthM: room.widthM + 2 } })).toEqual(
    expect.arrayContaining(['there is more wall', 'the room is larger']),
  );
});

it('names the rungs that have opened, and to whom', () => {
  const { input, file } = plan(4);
  const open = file.restsOn!.open;
  const [first] = open.filter(({ stages }) => stages.length > 0);
  const [stage] = first!.stages;
  const before: PlanFile = {
    ...file,
    restsOn: {
      ...file.restsOn!,
      open: open.map((one) =>
        one.id === first!.id
          ? { ...one, stages: one.stages.filter((other) => other !== stage) }
          : one,
      ),
    },
  };
  const label = prepareClass(input)
    .people.find(({ id }) => id === first!.id)!
    .options.find((option) => option.stage === stage)!.label;
  expect(gained(before, input)).toEqual([`newly open: ${label} (${nameOf(first!.id)})`]);
  const none = { ...file.restsOn!, open: open.map(({ id }) => ({ id, stages: [] })) };
  expect(gained({ ...file, restsOn: none }, input).join()).toMatch(/everybody|people/);
});

it('says nothing of a plan that was kept before this was written down', () => {
  const { input, file } = plan(1);
  const { restsOn: _, ...old } = file;
  expect(
    gained(old, { ...input, pieces: [...input.pieces, { piece: 'chair', count: 9 }] }),
  ).toEqual([]);
});
