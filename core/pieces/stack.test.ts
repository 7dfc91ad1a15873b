import fc from 'fast-check';
import { pieceIds, specOf, type PieceCount } from '../catalog/pieces';
import { findBorrow, findStack, type StackRequest } from './stack';

const flatKinds = ['flat-foam', 'shoulder-pad', 'book', 'blanket'] as const;

interface Tried {
  readonly height: number;
  readonly pieces: number;
  readonly isFirm: boolean;
}

/**
 * Every order of every layer over a footprint that one piece of each kind covers: rules checked one
 * by one on the finished pile, nothing shared with the solver.
 */
function tryEverything(
  { pieces, footprintM: [width, depth] }: StackRequest,
  most: number,
): Tried[] {
  interface Layer {
    kind: number;
    t: number;
    w: number;
    d: number;
    firm: boolean;
  }
  const layers: Layer[] = pieces.flatMap(({ piece }, kind) => {
    const s = specOf({ piece });
    const sizes: [number, number, number][] = [
      [s.lengthM, s.widthM, s.loadedM],
      [s.widthM, s.lengthM, s.loadedM],
    ];
    if (s.refolds) {
      sizes.push(
        [s.lengthM / 2, s.widthM, 2 * s.loadedM],
        [s.widthM, s.lengthM / 2, 2 * s.loadedM],
      );
    }
    return sizes
      .filter(([w, d]) => w >= width && d >= depth)
      .map(([w, d, t]) => ({ kind, t, w, d, firm: s.isFirm }));
  });
  const found: Tried[] = [];
  const pile: Layer[] = [];
  const grow = (height: number) => {
    for (const layer of layers) {
      const used = pile.filter(({ kind }) => kind === layer.kind).length;
      if (used >= pieces[layer.kind]!.count || height + layer.t > most) continue;
      const under = pile[pile.length - 1];
      if (under && (layer.w > under.w || layer.d > under.d || (layer.firm && !under.firm)))
        continue;
      pile.push(layer);
      found.push({
        height: height + layer.t,
        pieces: pile.length,
        isFirm: pile.every(({ firm }) => firm),
      });
      grow(height + layer.t);
      pile.pop();
    }
  };
  grow(0);
  return found;
}

const cupboards = fc
  .tuple(...flatKinds.map(() => fc.integer({ min: 0, max: 2 })))
  .map((counts): PieceCount[] => counts.map((count, i) => ({ piece: flatKinds[i]!, count })));

describe('the stack solver', () => {
  it('agrees with trying every pile of a small cupboard', () => {
    fc.assert(
      fc.property(fc.integer({ min: 15, max: 160 }), cupboards, (millimetres, pieces) => {
        const request = { targetM: millimetres / 1000, footprintM: [0.2, 0.2] as const, pieces };
        const all = tryEverything(request, request.targetM + 0.2);
        const fits = all.filter(({ height }) => Math.abs(height - request.targetM) <= 0.01 + 1e-9);
        const stack = findStack(request);
        expect(stack.found).toBe(fits.length > 0);
        if (fits.length === 0) return;
        const error = (h: number) => Math.abs(h - request.targetM);
        const best = Math.min(...fits.map(({ height }) => error(height)));
        const firm = fits.filter((f) => f.isFirm && error(f.height) <= best + 0.005 + 1e-9);
        const pool = firm.length > 0 ? firm : fits;
        const fewest = Math.min(...pool.map((f) => f.pieces));
        const least = Math.min(
          ...pool.filter((f) => f.pieces === fewest).map((f) => error(f.height)),
        );
        expect(stack.layers.reduce((sum, { count }) => sum + count, 0)).toBe(fewest);
        expect(error(stack.heightM!)).toBeCloseTo(least, 9);
      }),
      { numRuns: 150 },
    );
  });

  it('names the nearest heights on both sides', () => {
    const stack = findStack({
      targetM: 0.075,
      footprintM: [0.2, 0.2],
      pieces: [{ piece: 'flat-foam', count: 3 }],
    });
    expect(stack).toMatchObject({ found: false, heightM: null, layers: [] });
    expect(stack.nearest.below).toBeCloseTo(0.048, 10);
    expect(stack.nearest.above).toBeCloseTo(0.096, 10);
  });

  it('lays pieces side by side, firm below soft, a blanket folded once more', () => {
    const stack = findStack({
      targetM: 0.072,
      footprintM: [0.36, 0.36],
      pieces: [
        { piece: 'shoulder-pad', count: 2 },
        { piece: 'blanket', count: 1 },
      ],
    });
    expect(stack.layers.map(({ piece, isRefolded }) => [piece, isRefolded ?? false])).toEqual([
      ['shoulder-pad', false],
      ['blanket', true],
    ]);
    const wide = findStack({
      targetM: 0.048,
      footprintM: [0.5, 0.3],
      pieces: [{ piece: 'flat-foam', count: 4 }],
    });
    expect(wide.layers).toEqual([
      { piece: 'flat-foam', count: 3, face: 'flat', thicknessM: 0.048 },
    ]);
  });

  it('stands blocks on side and end at their nominal size', () => {
    const on = (targetM: number) =>
      findStack({
        targetM,
        toleranceM: 0.001,
        footprintM: [0.1, 0.1],
        pieces: [{ piece: 'foam-block', count: 1 }],
      }).layers[0]?.face;
    expect([on(0.097), on(0.15), on(0.23)]).toEqual(['flat', 'side', 'end']);
  });

  it('answers a target of nothing with nothing', () => {
    const pieces = [{ piece: 'blanket', count: 3 }] as const;
    expect(findStack({ targetM: 0, footprintM: [0.3, 0.3], pieces })).toMatchObject({
      found: true,
      heightM: 0,
      layers: [],
    });
  });

  it.each(['sacrum', 'shoulders', 'leans'] as const)(
    'lays everything flat under weight: %s',
    (bears) => {
      fc.assert(
        fc.property(
          fc.integer({ min: 30, max: 480 }),
          fc.array(fc.tuple(fc.constantFrom(...pieceIds), fc.integer({ min: 1, max: 5 })), {
            maxLength: 5,
          }),
          (millimetres, list) => {
            const stack = findStack({
              targetM: millimetres / 1000,
              toleranceM: 0.03,
              footprintM: bears === 'leans' ? [0.14, 0.09] : [0.28, 0.18],
              pieces: list.map(([piece, count]) => ({ piece, count })),
              bears,
            });
            for (const { piece, face } of stack.layers) {
              const { kind, isFirm } = specOf({ piece });
              expect(face).toBe('flat');
              expect(isFirm || (bears === 'shoulders' && kind === 'blanket')).toBe(true);
              if (bears === 'leans') expect(kind).toBe('block');
            }
            const [base] = stack.layers;
            if (bears === 'leans' && base !== undefined) {
              expect(specOf(base).lengthM * 2).toBeGreaterThanOrEqual(stack.heightM! - 1e-9);
            }
          },
        ),
        { numRuns: 150 },
      );
    },
  );

  it('stands a block on its end under nobody, and on its side only on the floor under a hand', () => {
    const request = {
      targetM: 0.23,
      footprintM: [0.1, 0.1] as const,
      pieces: [{ piece: 'foam-block' as const, count: 1 }],
    };
    expect(findStack(request).found).toBe(true);
    for (const bears of ['sacrum', 'shoulders', 'leans', 'forearms', 'hands'] as const)
      expect(findStack({ ...request, bears }).found).toBe(false);
    const hand = (targetM: number, count: number) =>
      findStack({
        targetM,
        footprintM: [0.15, 0.09],
        pieces: [{ piece: 'foam-block', count }],
        bears: 'hands',
      }).layers.map(({ face }) => face);
    expect(hand(0.15, 1)).toEqual(['side']);
    expect(hand(0.3, 2)).toEqual([]);
  });

  it('has nothing to say of an empty cupboard, and knows what to borrow', () => {
    const request = { targetM: 0.048, footprintM: [0.2, 0.2] as const, pieces: [] };
    expect(findStack(request)).toMatchObject({
      found: false,
      nearest: { below: null, above: null },
    });
    const borrow = findBorrow(request)!;
    expect(borrow.count).toBe(1);
    expect(Math.abs(borrow.heightM - 0.048)).toBeLessThanOrEqual(0.01 + 1e-9);
    expect(pieceIds).toContain(borrow.piece);
  });
});
