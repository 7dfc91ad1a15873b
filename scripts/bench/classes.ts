/** Whole classes through the composer: people, room and cupboard as they come. */
import loadHighs from 'highs';
import { composeClass } from '@/core/compose/composeClass';
import { prepareClass, type PreparedClass, type Wishes } from '@/core/compose/prepared';
import { usualSolve } from '@/core/compose/solve';
import type { Room } from '@/core/room/room';
import { inventClass } from '@/core/testing/inventClass';
import { medianOf, print } from './timing';

const seeds = [6, 17, 29];

interface Made {
  readonly prepared: PreparedClass;
  readonly wishes: Wishes;
}

/** Floor for one: a mat, what is kept free beside it and a share of the ways between, m². */
const floorEach = 2.6;

/** The same room, as much wider and deeper as so many people need. */
function widen(room: Room, people: number): Room {
  const times = Math.max(1, Math.sqrt((floorEach * people) / (room.widthM * room.depthM)));
  const scaled = (metres: number) => Math.round(metres * times * 20) / 20;
  return {
    ...room,
    widthM: scaled(room.widthM),
    depthM: scaled(room.depthM),
    blocked: room.blocked.map((one) => ({
      ...one,
      fromM: scaled(one.fromM),
      toM: scaled(one.toM),
    })),
    low: room.low.map((one) => ({ ...one, depthM: scaled(one.depthM) })),
  };
}

/** @param isCrowded in the room as it was invented, however little of it there is */
function makeClass(seed: number, people: number, isCrowded = false): Made {
  const { input, wishes: usual } = inventClass(seed, people);
  const wishes: Wishes = { ...usual, minutes: 90, rounds: 4, helpers: 1 };
  const room = isCrowded ? input.room : widen(input.room, people);
  return { prepared: prepareClass({ ...input, ...wishes, room }), wishes };
}

const timed = (work: () => unknown): number => {
  const start = process.hrtime.bigint();
  work();
  return Number(process.hrtime.bigint() - start) / 1e6;
};

export async function benchClasses(): Promise<void> {
  const highs = await loadHighs();
  for (const [people, quickTarget, target] of [
    [14, 200, 3000],
    [24, 200, 5000],
    [48, 200, 10_000],
  ] as const) {
    const classes = seeds.map((seed) => makeClass(seed, people));
    const figure = (name: string, work: (made: Made) => number, bar?: number) =>
      print({
        name: `${name}, whole class of ${people}, 4 rounds`,
        median: medianOf(classes.map(work)),
        unit: 'ms',
        ...(bar === undefined ? {} : { target: bar }),
      });
    figure(
      'Quick plan',
      ({ prepared, wishes }) => timed(() => composeClass(null, prepared, wishes, usualSolve)),
      quickTarget,
    );
    const gaps: number[] = [];
    const plans = new Map<Made, ReturnType<typeof composeClass>>();
    figure(
      'Proved plan',
      (made) =>
        timed(() => {
          const plan = composeClass(highs, made.prepared, made.wishes, usualSolve);
          gaps.push(plan.gapPercent);
          plans.set(made, plan);
        }),
      target,
    );
    console.log(`  gaps: ${gaps.map((gap) => `${gap.toFixed(2)} %`).join(', ')}`);
    figure(
      'Again after one absence',
      (made) => {
        const plan = plans.get(made)!;
        const absent = [made.prepared.people[0]!.id];
        const wishes = { ...made.wishes, absent, done: 1 };
        return timed(() => composeClass(highs, made.prepared, wishes, usualSolve, plan.before));
      },
      1000,
    );
  }
  const crowded = seeds.map((seed) => {
    const { prepared, wishes } = makeClass(seed, 24, true);
    const { room } = prepared;
    const { gapPercent } = composeClass(highs, prepared, wishes, usualSolve);
    return `${Math.round(room.widthM * room.depthM)} m²: ${gapPercent.toFixed(2)} %`;
  });
  console.log(
    `24 in rooms as they come, where turns are taken on the floor: ${crowded.join(', ')}`,
  );
  const { rss } = process.memoryUsage();
  print({
    name: 'Memory of the whole process, solver included',
    median: rss / 1e6,
    unit: 'MB',
    target: 400,
  });
}
