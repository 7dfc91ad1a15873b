import { resolveBody } from '../body/body';
import { findStack } from './stack';
import { blocksUnderHands, platformUnder, stackUnder, supportUnderFeet } from './underWeight';

const body = resolveBody({ heightM: 1.7 });

it('never lays shoulders on a cushion or a bolster', () => {
  const soft = [{ piece: 'bolster-round', count: 6 }] as const;
  expect(findStack(stackUnder(platformUnder(body), 0.12, soft)).found).toBe(false);
});

it('is at least as wide as the mat under a narrow body', () => {
  const narrow = resolveBody({ heightM: 1.4 });
  expect(platformUnder(narrow).footprintM[0]).toBe(0.6);
  const wide = { ...body, lengths: { ...body.lengths, outerShoulderWidth: 0.58 } };
  expect(platformUnder(wide).footprintM[0]).toBeCloseTo(0.68, 9);
});

it('counts half of what there is for each hand', () => {
  const asked = stackUnder(blocksUnderHands, 0.08, [{ piece: 'foam-block', count: 5 }]);
  expect(asked.pieces).toEqual([{ piece: 'foam-block', count: 2 }]);
  expect(stackUnder(supportUnderFeet, 0.1, asked.pieces).pieces).toBe(asked.pieces);
});

it('stands feet on a seat where one is as high, and piles up nothing beside it', () => {
  const cupboard = [
    { piece: 'shoulder-pad', count: 8 },
    { piece: 'foam-block', count: 12 },
    { piece: 'chair', count: 1 },
  ] as const;
  const stack = (targetM: number) => findStack(stackUnder(supportUnderFeet, targetM, cupboard));
  expect(stack(0.45).layers).toEqual([
    { piece: 'chair', count: 1, face: 'flat', thicknessM: 0.45 },
  ]);
  expect(stack(0.2).layers.map(({ piece }) => piece)).not.toContain('chair');
  // Nobody lies with the shoulders on a chair.
  const under = findStack(stackUnder(platformUnder(body), 0.45, cupboard));
  expect(under.layers.map(({ piece }) => piece)).not.toContain('chair');
});
