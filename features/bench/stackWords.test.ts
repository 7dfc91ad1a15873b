import { sayLayers } from './stackWords';

const pad = { piece: 'shoulder-pad', count: 2, face: 'flat', thicknessM: 0.03 } as const;
const block = { piece: 'foam-block', count: 1, face: 'side', thicknessM: 0.15 } as const;
const blanket = {
  piece: 'blanket',
  count: 1,
  face: 'flat',
  thicknessM: 0.02,
  isRefolded: true,
} as const;

it('says layers from below, the same one over the other once, and how a piece lies', () => {
  expect(sayLayers([block, pad, pad, pad, blanket])).toBe(
    '1 × foam block, on its side, then 3 layers of 2 × shoulder pad, then 1 × blanket, folded, folded once more',
  );
  expect(sayLayers([pad])).toBe('2 × shoulder pad');
});
