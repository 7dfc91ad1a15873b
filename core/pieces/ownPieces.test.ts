import { resolveBody } from '../body/body';
import { pieceCount, pieceSpec } from '../catalog/ownPiece';
import { listKinds, pieceTable, specOf, type PieceCount, type PieceSpec } from '../catalog/pieces';
import { forearmKickSetup } from '../setups/forearmKick';
import { getSetup, type SetupId } from '../setups/registry';
import { plank } from '../testing/ownPieces';
import { metresOf } from '../setups/setup';
import { findForearmLift } from './lift';
import { findSpacer } from './spacer';
import { findStack } from './stack';
import {
  asMeasured,
  countRows,
  factsOfRows,
  listEachOnce,
  moreLabel,
  propWords,
  rowsTaken,
  rowsUpFrom,
} from './rows';
import { findStrap } from './strap';

const own = (name: string, count: number, spec: Partial<PieceSpec>): PieceCount => ({
  piece: `own-${name}`,
  count,
  own: {
    label: `Own ${name}`,
    ...plank,
    ...spec,
  },
});

describe('a piece of one’s own', () => {
  it('makes the stack that the shipped ones cannot', () => {
    const request = { targetM: 0.105, footprintM: [0.5, 0.35] as const, toleranceM: 0.002 };
    const shipped: PieceCount[] = [{ piece: 'shoulder-pad', count: 6 }];
    expect(findStack({ ...request, pieces: shipped }).found).toBe(false);
    const stack = findStack({ ...request, pieces: [...shipped, own('plank', 3, {})] });
    expect(stack.heightM).toBeCloseTo(0.105, 9);
    expect(new Set(stack.layers.map(({ piece }) => piece))).toEqual(new Set(['own-plank']));
    expect(stack.layers.reduce((sum, { thicknessM }) => sum + thicknessM, 0)).toBeCloseTo(0.105, 9);
    expect(specOf(stack.layers[0]!).label).toBe('Own plank');
  });

  it('is rolled for a bolster with the blankets that ship', () => {
    const rolledOf = (pieces: readonly PieceCount[]) => {
      const input = { body: resolveBody({ heightM: 1.7 }), profile: 'prop-led', pieces } as const;
      const setup = getSetup('legs-up');
      return setup.ways(input, setup.solve(input)).ways.some(({ variant }) => variant === 'rolled');
    };
    const wool = own('wool', 2, { kind: 'blanket' });
    expect(rolledOf([wool])).toBe(false);
    expect(rolledOf([wool, { piece: 'blanket', count: 1 }])).toBe(true);
    expect(rolledOf([own('slab', 3, {})])).toBe(false);
  });

  it('is a bolster or a chair where a set-up asks for one', () => {
    const body = resolveBody({ heightM: 1.7 });
    const solve = (id: SetupId, ...pieces: readonly PieceCount[]) =>
      getSetup(id).solve({ body, profile: 'prop-led', pieces });
    const flat = own('flat', 1, { kind: 'bolster', thicknessM: 0.15, loadedM: 0.12 });
    const round = own('round', 1, {
      kind: 'bolster',
      widthM: 0.18,
      thicknessM: 0.18,
      loadedM: 0.17,
    });
    const stool = own('stool', 1, { kind: 'furniture', thicknessM: 0.45, loadedM: 0.45 });
    expect(solve('legs-up').cautions).toHaveLength(1);
    expect(solve('legs-up', flat).cautions).toEqual([]);
    expect(solve('legs-up', round).cautions).toEqual([]);
    expect(solve('chair-shoulder-stand').cautions).toContain('No chair at hand.');
    expect(solve('chair-shoulder-stand', stool).cautions).not.toContain('No chair at hand.');
    // The hands stand as far out as this one is thick.
    const base = (...pieces: readonly PieceCount[]) =>
      metresOf(solve('bolster-lean', ...pieces).distances, 'base')!;
    const shipped: PieceCount = { piece: 'bolster-round', count: 1 };
    expect(base(shipped) - base(round)).toBeCloseTo(
      pieceTable['bolster-round'].thicknessM - 0.18,
      9,
    );
    expect(base(shipped, round)).toBe(base(shipped));
    expect(solve('bolster-lean', flat).cautions[0]).toMatch(/^No round bolster/);
  });

  it('is as high as it was measured, under the calves and under the toes', () => {
    const solve = (id: SetupId, more: object, ...pieces: readonly PieceCount[]) =>
      getSetup(id).solve({
        body: resolveBody({ heightM: 1.75 }),
        profile: 'prop-led',
        pieces,
        ...more,
      });
    const low = own('stool', 1, { kind: 'furniture', thicknessM: 0.4, loadedM: 0.4 });
    const shipped: PieceCount = { piece: 'chair', count: 1 };
    const figures = (...pieces: readonly PieceCount[]) => {
      const { distances } = solve('sacrum-stack', {}, ...pieces);
      return (['sacrumHeight', 'seatHeight'] as const).map((id) => metresOf(distances, id));
    };
    const [usual, unsaid] = figures(shipped);
    expect(unsaid).toBeUndefined();
    expect(usual).toBeGreaterThan(0.05);
    const [lower, seat] = figures(low);
    expect(usual! - lower!).toBeCloseTo(pieceTable.chair.loadedM - 0.4, 9);
    expect(seat).toBe(0.4);
    // Nobody knows which of both somebody gets.
    expect(figures(shipped, low)).toEqual([usual, undefined]);
    const toeRest = (chair: PieceCount) => {
      const { distances, notes } = solve('platform', { straightLegRaiseDeg: 65 }, chair);
      return { at: metresOf(distances, 'toeRest')!, said: notes.join(' ') };
    };
    const { at, said } = toeRest(shipped);
    expect(at).toBeGreaterThan(0.4);
    expect(said === toeRest(low).said).toBe(at > pieceTable.chair.loadedM);
  });

  it('spaces arms, ties loops, lifts forearms and goes between the hands', () => {
    const wedge = own('brick', 1, {
      kind: 'block',
      lengthM: 0.26,
      widthM: 0.14,
      thicknessM: 0.111,
      loadedM: 0.111,
    });
    expect(findSpacer(0.111, [wedge])).toMatchObject({
      errorM: 0,
      faces: [{ piece: 'own-brick', face: 'thickness' }],
    });
    expect(findStrap(3.5, [own('rope', 1, { kind: 'strap', lengthM: 4 })])).toMatchObject({
      piece: 'own-rope',
    });
    expect(findForearmLift(0.03, 0.5, [own('pad', 2, {})])).toMatchObject({
      piece: 'own-pad',
      heightM: 0.035,
    });
    const body = resolveBody({ heightM: 1.7 });
    const setup = forearmKickSetup({ body, profile: 'prop-led', pieces: [wedge] });
    expect(setup.block).toMatchObject({ acrossM: 0.26, depthM: 0.14, heightM: 0.111 });
  });

  it('is refused with sides that cannot be, and needs its faces', () => {
    const { own: spec } = own('pad', 1, {});
    expect(pieceSpec.safeParse(spec).success).toBe(true);
    for (const wrong of [
      { loadedM: 0.05 },
      { thicknessM: 0.5 },
      { lengthM: 0.3 },
      { label: ' ' },
      { colour: 'red' },
    ]) {
      expect([wrong, pieceSpec.safeParse({ ...spec, ...wrong }).success]).toEqual([wrong, false]);
    }
    expect(pieceCount.safeParse({ piece: 'own-pad', count: 1 }).success).toBe(false);
    expect(pieceCount.safeParse({ piece: 'anvil', count: 1 }).success).toBe(false);
    expect(() => specOf({ piece: 'own-pad' })).toThrow(/without its faces/);
  });

  it('stands after the shipped ones, added up', () => {
    const list = listKinds([
      own('b', 1, {}),
      { piece: 'chair', count: 2 },
      own('a', 1, {}),
      { piece: 'foam-block', count: 1 },
      { piece: 'chair', count: 1 },
    ]);
    expect(list.map(({ piece, count }) => [piece, count])).toEqual([
      ['foam-block', 1],
      ['chair', 3],
      ['own-a', 1],
      ['own-b', 1],
    ]);
  });
});

describe('rows of the cupboard', () => {
  const plank = own('plank', 3, {});
  // As high as the shipped one, to half a centimetre.
  const like = own('like', 4, { loadedM: 0.031 });
  const slab = own('slab', 2, { kind: 'other' });
  const cupboard: PieceCount[] = [
    plank,
    like,
    slab,
    { piece: 'shoulder-pad', count: 6 },
    { piece: 'strap-180', count: 2 },
    { piece: 'strap-240', count: 3 },
  ];

  it('count a piece of one’s own for its kind and for itself', () => {
    expect(countRows(cupboard)).toEqual({
      'own-like': 4,
      // A stack is measured to the pad: a thicker one is another height, and stands for none.
      'own-plank': 3,
      'own-slab': 2,
      'shoulder-pad': 10,
      'strap-180': 5,
      'strap-240': 3,
    });
    expect(rowsTaken([{ ...like, count: 2 }])).toEqual([
      { piece: 'shoulder-pad', count: 2 },
      { piece: 'own-like', count: 2 },
    ]);
    expect(rowsTaken([{ ...plank, count: 2 }])).toEqual([{ piece: 'own-plank', count: 2 }]);
    expect(rowsTaken([{ piece: 'shoulder-pad', count: 2 }])).toEqual([
      { piece: 'shoulder-pad', count: 2 },
    ]);
  });

  it('tell what ships from one’s own of another size, where something was measured to it', () => {
    const thick = own('thick', 6, {
      kind: 'blanket',
      thicknessM: 0.05,
      loadedM: 0.04,
      refolds: true,
    });
    const shelf: PieceCount[] = [{ piece: 'blanket', count: 4 }, thick];
    const measured = asMeasured(shelf, { piece: 'blanket', count: 3 });
    expect(specOf(measured)).toMatchObject({ kind: 'blanket', loadedM: 0.022, refolds: true });
    const there = countRows(shelf);
    // Any blanket is lain on; as high as was measured are the four.
    expect(rowsTaken([measured]).map(({ piece, count }) => [count, there[piece]])).toEqual([
      [3, 10],
      [3, 4],
    ]);
    const facts = factsOfRows(shelf);
    expect(facts[measured.piece]).toEqual({
      label: 'Blanket, folded, 2.2 cm high',
      within: 'blanket',
    });
    // A towel is no blanket, and stays what it is.
    const withTowels = countRows([...shelf, { piece: 'towel', count: 9 }]);
    expect([withTowels.blanket, withTowels[measured.piece], withTowels.towel]).toEqual([10, 4, 9]);
    // What is as high is the same, however it is folded; what nobody has of one's own is as it was.
    const like = own('like', 6, { ...thick.own, lengthM: 0.9, loadedM: 0.024 });
    expect(asMeasured([shelf[0]!, like], { piece: 'blanket' })).toEqual({ piece: 'blanket' });
    expect(asMeasured(shelf, { piece: 'foam-block' })).toEqual({ piece: 'foam-block' });
    expect(asMeasured([{ ...thick, count: 0 }], { piece: 'blanket' })).toEqual({
      piece: 'blanket',
    });
  });

  it('tell every kind apart that has sides, and give each the row of its kind', () => {
    const cases = [
      ['foam-block', { lengthM: 0.25 }, true],
      ['foam-block', { widthM: 0.154 }, false],
      ['thin-foam-block', { thicknessM: 0.065, loadedM: 0.063 }, true],
      ['cork-block', { loadedM: 0.085 }, true],
      ['shoulder-pad', { widthM: 0.2 }, true],
      ['shoulder-pad', { widthM: 0.5 }, false],
      ['bolster-round', { thicknessM: 0.25, widthM: 0.25, loadedM: 0.22 }, true],
      ['bolster-rectangular', { lengthM: 0.8 }, false],
      ['chair', { thicknessM: 0.4, loadedM: 0.4 }, true],
      ['bench', { lengthM: 1.6 }, false],
    ] as const;
    for (const [piece, change, isTold] of cases) {
      const { words: _, atHome: __, mark: ___, effort: ____, ...spec } = pieceTable[piece];
      const other = own('other', 1, { ...spec, ...change });
      const shelf = [{ piece, count: 1 }, other];
      const measured = asMeasured(shelf, { piece, count: 1 });
      expect([piece, change, measured.piece !== piece]).toEqual([piece, change, isTold]);
      const there = countRows(shelf);
      expect(rowsTaken([measured]).map((row) => there[row.piece])).toEqual(isTold ? [2, 1] : [2]);
    }
  });

  it('say what one more of them counts for as well', () => {
    const facts = factsOfRows(cupboard);
    expect(rowsUpFrom('own-like', facts)).toEqual(['own-like', 'shoulder-pad']);
    expect(rowsUpFrom('own-plank', facts)).toEqual(['own-plank']);
    expect(rowsUpFrom('own-slab', facts)).toEqual(['own-slab']);
    expect(rowsUpFrom('strap-300', facts)).toEqual(['strap-300', 'strap-240', 'strap-180']);
    expect(facts['own-slab']).toEqual({ label: 'Own slab' });
  });

  it('are fetched once, though a long strap would do for a short one', () => {
    const inUse = [
      { row: 'strap-180' as const, used: 4, of: 5 },
      { row: 'strap-240' as const, within: 'strap-180' as const, used: 3, of: 3 },
    ];
    expect(listEachOnce(inUse).map(({ row, used, of }) => [row, used, of])).toEqual([
      ['strap-180', 1, 2],
      ['strap-240', 3, 3],
    ]);
  });

  it('are called what a teacher calls them', () => {
    expect(propWords([slab, { piece: 'chair', count: 1 }])).toBe('2 × Own slab, 1 chair');
    expect(propWords([{ piece: 'own-7', count: 2, label: 'Low stool' }])).toBe('2 × Low stool');
    expect(moreLabel('own-slab', 1, 'Own slab')).toBe('one more Own slab');
    expect(moreLabel('own-slab', 3, 'Own slab')).toBe('3 more of “Own slab”');
    expect(moreLabel('foam-block', 3)).toBe('3 more blocks');
  });
});
