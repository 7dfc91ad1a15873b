import type { PlannedOption } from '@/core/compose/option';
import { pieceTable, type PieceCount } from '@/core/catalog/pieces';
import { drawStation, toMarks, type DrawingContext } from './marks';

const context = (more: object = {}): DrawingContext =>
  ({
    prepared: { pieces: [] },
    members: [{ id: '1', name: 'Ada Lind', body: { heightM: 1.7 }, ...more }],
    school: {
      origin: 'prop-led',
      settings: {
        forearmGapM: 0.05,
        shoulderLiftM: 0.03,
        handLMethod: 'sitting',
        platformMethod: 'innerLeg',
        neckFlexionDeg: 55,
      },
    },
    units: 'cm',
  }) as unknown as DrawingContext;

const option = {
  id: 'HB8',
  label: 'L at the wall',
  why: '',
  stage: 'HB8',
  recipe: 'hand-L',
  shape: { family: 'wallL' },
  alongM: 0.9,
  figures: [
    { id: 'base', metres: 0.83 },
    { id: 'footHeight', metres: 1.02 },
  ],
} as unknown as PlannedOption;

const texts = (more: object = {}) =>
  drawStation(option, '1', context(more), { pxPerM: 80 })!.shapes.flatMap((one) =>
    one.kind === 'text' && one.role === 'dimensionText' ? [one.text] : [],
  );

describe('a station’s drawing', () => {
  it('has the figure that the plan lists, also on a device that is told no more', () => {
    expect(texts()).toEqual(['83']);
  });

  it('has the person’s own figures where they are known', () => {
    expect(texts({ kept: [] })).toEqual(['~90']);
    const kept = [{ setup: 'hand-L', distance: 'base', metres: 0.8, on: '2026-11-02', note: '' }];
    expect(texts({ kept })).toEqual(['80']);
  });

  it('is drawn at the distance of its own way up, also beside what was kept', () => {
    const hop = (wayUp: 'straight-leg' | 'bent-knee', metres: number) =>
      drawStation(
        {
          ...option,
          id: `HB11+${wayUp}`,
          stage: 'HB11',
          recipe: 'hand-kick',
          shape: { family: 'handstandWall' },
          wayUp,
          figures: [{ id: 'base', metres }],
        },
        '1',
        context({ kept: [] }),
        { pxPerM: 80 },
      )!.shapes.flatMap((one) =>
        one.kind === 'text' && one.role === 'dimensionText' ? [one.text] : [],
      );
    expect(hop('straight-leg', 0.42)).toContain('~42');
    expect(hop('bent-knee', 0.4)).toContain('~40');
  });

  it('is none for somebody who is not in the class', () => {
    expect(drawStation(option, '2', context(), { pxPerM: 80 })).toBeNull();
  });
});

describe('a place on the plan of the room', () => {
  const marksOf = (props: readonly PieceCount[]) => {
    const { prepared, members } = context();
    const people = [{ id: '1', options: [{ ...option, props }], fallbacks: [] }];
    const plan = {
      rounds: [{ people: [{ id: '1', option: 'HB8', letter: 'A', place: { kind: 'aside' } }] }],
      spans: [],
    };
    return toMarks(plan as never, 0, { ...prepared, people } as never, members);
  };

  it('shows blocks and bolsters of one’s own as those that ship', () => {
    const { label: _, ...block } = pieceTable['foam-block'];
    const tall = { ...block, label: 'Tall block', thicknessM: 0.115 };
    const slab = { ...block, label: 'Slab', kind: 'other' } as const;
    const countOf = (...props: PieceCount[]) => marksOf(props)[0]!.blocks;
    expect(countOf({ piece: 'foam-block', count: 2 })).toBe(2);
    expect(countOf({ piece: 'own-3', count: 2, own: tall })).toBe(2);
    expect(countOf({ piece: 'own-4', count: 2, own: slab })).toBe(0);
    expect(countOf({ piece: 'mat', count: 1 })).toBe(0);
  });
});
