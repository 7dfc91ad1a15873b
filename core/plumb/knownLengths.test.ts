import { plank } from '../testing/ownPieces';
import { listKnownLengths } from './knownLengths';

it('knows the sides of firm pieces, those of one’s own first, and none that is too short', () => {
  const stool = {
    ...plank,
    label: 'Low stool',
    kind: 'furniture',
    lengthM: 0.4,
    widthM: 0.3,
  } as const;
  const own = listKnownLengths([
    { ...stool, thicknessM: 0.05 },
    { ...stool, kind: 'blanket' },
  ]);
  expect(own.slice(0, 2)).toEqual([
    { words: 'Low stool, long side', metres: 0.4 },
    { words: 'Low stool, middle side', metres: 0.3 },
  ]);
  expect(own.slice(2)).toEqual(listKnownLengths([]));
  expect(own).toContainEqual({ words: 'Foam block, long side', metres: 0.23 });
  expect(own.every(({ metres }) => metres >= 0.09)).toBe(true);
});
