import fc from 'fast-check';
import { resolveBody, type Body } from '../../body/body';
import { lengthIds, type LengthId } from '../../body/lengths';
import { takenIds, takenTable } from '../../body/taken';
import { distanceOf } from '../../posture/geometry';
import { pointsOf } from '../../posture/joints';
import { drawMeasure, takingOf } from './measure';
import { lyingArm } from './outlines';
import { frameOf } from './side';
import { sidePx } from './tape';
import { takings } from './taking';

const heights = fc.double({ min: 1.2, max: 2.2, noNaN: true });

/** What a picture’s tape is as long as, metres; `null` where the picture is not to scale. */
function shownM(id: LengthId, body: Body): number | null {
  const taking = takingOf(id, body);
  switch (taking.kind) {
    case 'side':
      return distanceOf(taking.tape.from, taking.tape.to);
    case 'front':
      return taking.acrossM;
    case 'above':
      return null;
  }
}

describe('how a measure is taken', () => {
  it('is shown by a tape as long as the length itself, on any body', () => {
    fc.assert(
      fc.property(heights, (heightM) => {
        const body = resolveBody({ heightM });
        for (const id of lengthIds) {
          const shown = shownM(id, body);
          if (shown !== null)
            expect([id, shown]).toEqual([id, expect.closeTo(body.lengths[id], 3)]);
        }
      }),
      { numRuns: 30 },
    );
  });

  it('shows the whole tape, and keeps everybody above the floor', () => {
    const body = resolveBody({ heightM: 1.7, massKg: 62 });
    for (const id of takenIds) {
      const taking = takingOf(id, body);
      if (taking.kind !== 'side') continue;
      const frame = frameOf(taking.window);
      for (const [x, y] of [taking.tape.from, taking.tape.to]) {
        for (const at of [frame.x(x), frame.y(y)]) {
          expect([id, at > 2 && at < sidePx - 2]).toEqual([id, true]);
        }
      }
      for (const [, y] of pointsOf(taking.joints)) expect(y).toBeGreaterThan(-0.01);
    }
  });

  it('begins at the wall where its words say so, and has the wall, chair or book they name', () => {
    const body = resolveBody({ heightM: 1.7, massKg: 62 });
    for (const id of lengthIds) {
      const { howTo } = takenTable[id];
      const taking = takingOf(id, body);
      const has = {
        wall:
          taking.kind === 'side'
            ? taking.wall !== undefined
            : taking.kind === 'front' && taking.isBetween,
        book:
          taking.kind === 'side'
            ? taking.book !== undefined
            : taking.kind === 'front' && taking.isBetween,
        chair: taking.kind === 'side' && taking.hasChair === true,
      };
      expect([id, has]).toEqual([
        id,
        {
          wall: howTo.includes('wall'),
          book: howTo.includes('book'),
          chair: howTo.includes('chair'),
        },
      ]);
      if (taking.kind === 'side' && /from the wall/.test(howTo)) {
        expect([id, taking.tape.from[0]]).toEqual([id, expect.closeTo(taking.wall!.x, 6)]);
      }
    }
  });

  it('takes an arm on a table where it is as wide as it is', () => {
    const body = resolveBody({ heightM: 1.7 });
    const { tape } = lyingArm(body, sidePx);
    const pxPerM = sidePx / 0.66;
    expect((tape.bottom - tape.top) / pxPerM).toBeCloseTo(body.lengths.upperArmThickness, 3);
  });

  it('is drawn for every measure, each in a picture of its own', () => {
    const drawn = takenIds.map((id) => JSON.stringify(drawMeasure(id).shapes));
    expect(new Set(drawn).size).toBe(takenIds.length);
    expect(Object.keys(takings).sort()).toEqual([...lengthIds].sort());
  });
});
