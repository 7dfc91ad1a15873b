import { resolveBody } from '../body/body';
import { shapeIds } from '../shapes/registry';
import { guessBase } from './guessBase';
import type { MarkSet } from './marks';
import { figureOf } from './practice';
import { baseOfShape } from './shapeBase';

const marksOf = (places: Readonly<Record<string, readonly [number, number]>>): MarkSet =>
  Object.fromEntries(
    Object.entries(places).map(([name, [x, y]]) => [name, { x: 500 + 400 * x, y: 900 - 400 * y }]),
  );
const standing = {
  shoulder: [0, 1.4],
  hip: [0, 0.9],
  knee: [0, 0.5],
  ankle: [0, 0.1],
  wrist: [0.1, 0.9],
  elbow: [0, 1.15],
} as const;

it('tells hands from forearms in every shape, for small and tall', () => {
  const wrong = shapeIds.flatMap((shape) =>
    [1.5, 1.7, 1.95].flatMap((heightM) => {
      const { shoulder, hip, knee, ankle, wrist, elbow } = figureOf(
        resolveBody({ heightM }),
        shape,
      ).joints;
      const told = guessBase(marksOf({ shoulder, hip, knee, ankle, wrist, elbow }));
      // Head and forearms lie side by side.
      const base = baseOfShape(shape);
      const isRight = told === (base === 'head' ? 'forearms' : base);
      return isRight ? [] : [`${shape} ${heightM}: ${told}`];
    }),
  );
  expect(wrong).toEqual([]);
});

it('takes whoever stands to stand, and tells nothing of too little', () => {
  expect(guessBase(marksOf(standing))).toBe('feet');
  const { wrist: _, ...handless } = standing;
  expect(guessBase(marksOf(handless))).toBeNull();
  expect(guessBase({})).toBeNull();
});
