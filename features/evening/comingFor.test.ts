import type { PlanFile } from '@/core/files/planFile';
import { comingFor } from './comingFor';

const evening = (rounds: number, kinds: readonly string[]) =>
  ({
    rounds: Array.from({ length: rounds }, (_, index) => ({ round: index + 1 })),
    timeline: kinds.map((kind) => ({ kind })),
  }) as unknown as PlanFile;

it('has nothing to be late for where nothing comes before it', () => {
  const words = (plan: PlanFile) => comingFor(plan).map((one) => one.words);
  expect(words(evening(3, ['arrive', 'drill', 'round']))).toEqual([
    'after the drills',
    'from round 2',
    'from round 3',
  ]);
  expect(words(evening(2, ['arrive', 'checks', 'round']))).toEqual(['from round 2']);
  // An evening of drills alone: nothing is left to come for.
  expect(words(evening(0, ['arrive', 'drill']))).toEqual([]);
});
