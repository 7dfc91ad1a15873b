import fc from 'fast-check';
import { pieceIds, pieceTable, type PieceCount, type ShippedPieceId } from '../catalog/pieces';
import { findForearmLift } from './lift';
import { findSpacer } from './spacer';
import { findStrap, loopLength } from './strap';

describe('strap loop', () => {
  it('is two straight runs and a turn round two arms', () => {
    // By hand at 1.70 m: w = 0.3468 + 0.0935 - 0.01, a = 0.0935.
    expect(loopLength(0.4303, 0.0935)).toBeCloseTo(2 * 0.3368 + Math.PI * 0.0935, 10);
    expect(loopLength(0.2, 0.2)).toBeCloseTo(Math.PI * 0.2, 10);
  });

  it('takes the shortest strap with a tail, and none that is not there', () => {
    const straps: PieceCount[] = [
      { piece: 'strap-300', count: 1 },
      { piece: 'strap-180', count: 0 },
      { piece: 'strap-240', count: 2 },
    ];
    expect(findStrap(0.97, straps)).toEqual({ piece: 'strap-240' });
    expect(findStrap(2.3, straps)).toEqual({ piece: 'strap-300' });
    expect(findStrap(2.9, straps)).toBeNull();
    expect(findStrap(0.97, [])).toBeNull();
  });
});

describe('arm spacer', () => {
  const faces = ['lengthM', 'widthM', 'thicknessM'] as const;
  const blocks = pieceIds.filter((id) => pieceTable[id].kind === 'block');

  /** Every choice of one to three faces, block by block: slow and plain. */
  function allSums(pieces: readonly PieceCount[]): { sum: number; count: number }[] {
    const single = pieces.flatMap(({ piece, count }) => {
      const known = piece as ShippedPieceId;
      return blocks.includes(known) ? Array.from({ length: Math.min(3, count) }, () => known) : [];
    });
    const found: { sum: number; count: number }[] = [];
    const visit = (index: number, sum: number, count: number) => {
      if (count > 0) found.push({ sum, count });
      if (count === 3) return;
      for (let next = index; next < single.length; next += 1) {
        for (const face of faces) visit(next + 1, sum + pieceTable[single[next]!][face], count + 1);
      }
    };
    visit(0, 0, 0);
    return found;
  }

  const cupboards = fc
    .tuple(...blocks.map(() => fc.integer({ min: 0, max: 3 })))
    .map((counts) => counts.map((count, index) => ({ piece: blocks[index]!, count })));

  it('agrees with trying everything', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.6, noNaN: true }), cupboards, (gap, pieces) => {
        const spacer = findSpacer(gap, pieces);
        const sums = allSums(pieces);
        if (sums.length === 0) {
          expect(spacer).toBeNull();
          return;
        }
        const nearest = Math.min(...sums.map(({ sum }) => Math.abs(sum - gap)));
        const close = sums.filter(({ sum }) => Math.abs(sum - gap) <= nearest + 0.01 + 1e-9);
        const fewest = Math.min(...close.map(({ count }) => count));
        const best = Math.min(
          ...close.filter(({ count }) => count === fewest).map(({ sum }) => Math.abs(sum - gap)),
        );
        expect(spacer!.faces).toHaveLength(fewest);
        expect(Math.abs(spacer!.errorM)).toBeCloseTo(best, 9);
      }),
      { numRuns: 60 },
    );
  });

  it('finds the faces for 25 cm from foam blocks: middle and short', () => {
    const spacer = findSpacer(0.2533, [{ piece: 'foam-block', count: 2 }])!;
    expect(spacer.faces.map(({ face }) => face).sort()).toEqual(['thickness', 'width']);
    expect(spacer.errorM).toBeCloseTo(-0.0033, 10);
  });
});

describe('forearm lift', () => {
  it('uses pads long enough for both arms before a stack under each', () => {
    const lift = findForearmLift(0.02, 0.44, [
      { piece: 'shoulder-pad', count: 1 },
      { piece: 'flat-foam', count: 2 },
    ]);
    expect(lift).toMatchObject({ piece: 'shoulder-pad', layers: 1, count: 1 });
  });

  it('needs the same under both arms where a pad is short', () => {
    expect(findForearmLift(0.03, 0.44, [{ piece: 'flat-foam', count: 1 }])).toBeNull();
    expect(findForearmLift(0.03, 0.44, [{ piece: 'flat-foam', count: 2 }])).toMatchObject({
      layers: 1,
      count: 2,
      heightM: 0.048,
    });
  });

  it('never lifts less than asked, and never on something soft', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.12, noNaN: true }), (needed) => {
        const lift = findForearmLift(needed, 0.44, [
          { piece: 'shoulder-pad', count: 9 },
          { piece: 'blanket', count: 9 },
        ]);
        expect(lift!.heightM).toBeGreaterThanOrEqual(needed - 1e-9);
        expect(lift!.piece).toBe('shoulder-pad');
      }),
    );
  });
});
