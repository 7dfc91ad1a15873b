import { resolveBody } from '../body/body';
import type { PieceCount } from '../catalog/pieces';
import { pieceTable } from '../catalog/pieces';
import { distanceIds, distanceWords, type DistanceId } from './distanceWords';
import type { KeptDistance } from './kept';
import { getSetup, homeOf, keptDistances, setupIds, type SetupId } from './registry';
import { keptFromSaved, savedOfIds, type SavedOf } from './saved';
import type { SetupInput } from './setup';

const pieces: readonly PieceCount[] = [
  { piece: 'foam-block', count: 6 },
  { piece: 'shoulder-pad', count: 8 },
  { piece: 'flat-foam', count: 8 },
  { piece: 'strap-240', count: 2 },
  { piece: 'chair', count: 1 },
];
const body = resolveBody({ heightM: 1.7 });
const usual: SetupInput = { body, profile: 'prop-led', pieces, straightLegRaiseDeg: 70 };

const row = (setup: SetupId, distance: DistanceId, metres: number, on = '2026-11-10') =>
  ({ setup, distance, metres, on, note: '' }) satisfies KeptDistance;
const solve = (
  setup: SetupId,
  kept: readonly KeptDistance[] = [],
  more: Partial<SetupInput> = {},
) => getSetup(setup).solve({ ...usual, ...more, kept: keptDistances(kept) });
const find = (setup: SetupId, id: DistanceId, kept: readonly KeptDistance[] = []) =>
  solve(setup, kept).distances.find((one) => one.id === id)!;

const keepable = setupIds.flatMap((setup) =>
  solve(setup)
    .distances.filter(({ id }) => distanceWords[id].mayKeep)
    .map(({ id, metres }) => ({ setup, id, metres })),
);

describe('a distance found by trying', () => {
  it.each(keepable)('wins in $setup: $id', ({ setup, id, metres }) => {
    const found = find(setup, id, [row(setup, id, metres + 0.01)]);
    expect(found.metres).toBeCloseTo(metres + 0.01, 9);
    expect(found.found).toMatchObject({ on: '2026-11-10' });
    expect(found.found!.computedM).toBeCloseTo(metres, 9);
    expect(found.lowM).toBe(found.highM);
    expect(found.why).toContain('found by trying');
  });

  it.each(keepable)('counts wherever $setup: $id is measured', ({ setup, id, metres }) => {
    const home = homeOf(setup, id);
    for (const other of keepable) {
      if (other.id !== id || homeOf(other.setup, id) !== home) continue;
      expect(find(other.setup, id, [row(setup, id, metres + 0.01)]).metres).toBeCloseTo(
        metres + 0.01,
        9,
      );
    }
  });

  it('of one set-up leaves another with the same name alone', () => {
    const before = find('hand-L', 'base').metres;
    expect(find('hand-L', 'base', [row('forearm-kick', 'base', 0.4)]).metres).toBe(before);
    expect(find('forearm-L', 'base', [row('hand-L', 'base', 0.8)]).found).toBeUndefined();
  });

  it('is the newest, and of two on a day the later one', () => {
    const rows = [
      row('box', 'base', 0.9, '2026-11-12'),
      row('box', 'base', 0.95, '2026-11-03'),
      row('box', 'base', 0.92, '2026-11-12'),
    ];
    expect(find('box', 'base', rows).metres).toBe(0.92);
  });

  it('takes along what follows from it', () => {
    const gap = find('forearm-kick', 'base', [row('forearm-kick', 'gap', 0.12)]);
    expect(gap.metres).toBeCloseTo(find('forearm-kick', 'base').metres + 0.07, 9);
    const line = row('platform', 'shoulderLineToWall', 0.8);
    expect(find('platform', 'headEdgeToWall', [line]).metres).toBeCloseTo(
      0.8 - body.lengths.thumb,
      9,
    );
    const edge = row('platform', 'headEdgeToWall', 0.7);
    expect(find('platform', 'shoulderLineToWall', [edge]).metres).toBeCloseTo(
      0.7 + body.lengths.thumb,
      9,
    );
    const wide = [row('forearm-L', 'elbowWidth', body.lengths.shoulderJointWidth + 0.04)];
    const looser = find('strap-forearm', 'strapLoop', wide).metres;
    expect(looser - find('strap-forearm', 'strapLoop').metres).toBeCloseTo(0.08, 9);
    expect(
      find('arm-spacer', 'spacerGap', wide).metres - find('arm-spacer', 'spacerGap').metres,
    ).toBeCloseTo(0.04, 9);
  });

  it('sets the stack that is built for it', () => {
    const low = solve('platform', [row('platform', 'platformHeight', 0.056)]);
    expect(low.stack!.heightM).toBeCloseTo(0.056, 2);
    expect(solve('chair-shoulder-stand', [row('platform', 'platformHeight', 0.056)]).stack).toEqual(
      low.stack,
    );
  });

  it.each<[SetupId, DistanceId]>([
    ['forearm-kick', 'base'],
    ['forearm-L', 'base'],
    ['hand-kick', 'base'],
    ['hand-L', 'base'],
    ['box', 'base'],
    ['bolster-lean', 'base'],
    ['platform', 'platformHeight'],
  ])('beyond the reach of this body counts no more: %s, %s', (setup, id) => {
    const result = solve(setup, [row(setup, id, 2.4)]);
    const computed = find(setup, id);
    expect(result.distances.find((one) => one.id === id)!.metres).toBeCloseTo(computed.metres, 9);
    expect(result.cautions[0]).toContain('out of reach for this body');
  });

  it('is never a method’s figure or one the body alone decides', () => {
    const facts = distanceIds.filter((id) => !distanceWords[id].mayKeep);
    expect(facts).toContain('headClearance');
    expect(facts).toContain('base.table');
    expect(find('hand-L', 'base.table', [row('hand-L', 'base.table', 0.5)]).found).toBeUndefined();
  });
});

describe('what was kept on the bench', () => {
  it('is a distance of the set-up that its shape is set up by', () => {
    const kept = keptFromSaved([
      { family: 'wallL', values: { baseM: 0.8, footHeightM: 1 }, note: 'x', savedOn: '2026-11-01' },
      { family: 'handstand', values: { archDeg: 3 }, note: '', savedOn: '2026-11-01' },
      { family: 'strap-handstand', values: { strapLoop: 1 }, note: '', savedOn: '2026-11-02' },
    ]);
    expect(kept).toEqual([
      { setup: 'hand-L', distance: 'base', metres: 0.8, on: '2026-11-01', note: 'x' },
      { setup: 'hand-L', distance: 'footHeight', metres: 1, on: '2026-11-01', note: 'x' },
      { setup: 'strap-handstand', distance: 'strapLoop', metres: 1, on: '2026-11-02', note: '' },
    ]);
  });

  it('says nothing by a dial that stands at nothing', () => {
    const row = (family: SavedOf, values: Record<string, number>) =>
      keptFromSaved([{ family, values, note: '', savedOn: '2026-11-01' }]);
    expect(row('dolphin', { elbowToBallM: 1, shoulderLeadM: 0, kneeBendDeg: 0, liftM: 0 })).toEqual(
      [],
    );
    expect(
      row('plough', { platformM: 0.14, toeSupportM: 0 }).map(({ distance }) => distance),
    ).toEqual(['platformHeight']);
    expect(row('dolphin', { liftM: 0.06 })).toMatchObject([
      { setup: 'forearm-kick', distance: 'forearmLift', metres: 0.06 },
    ]);
    const kept = keptDistances(row('dolphin', { liftM: 0.06 }));
    expect(
      getSetup('head-clearance')
        .solve({ ...usual, kept })
        .distances.find(({ id }) => id === 'forearmLift')!.metres,
    ).toBe(0.06);
  });

  it('is told apart by its name: no shape is called like a set-up', () => {
    expect(new Set(savedOfIds).size).toBe(savedOfIds.length);
  });
});

describe('ways to make a set-up', () => {
  it('have the distances of what is in the hands', () => {
    const { ways } = getSetup('forearm-kick').ways(usual, solve('forearm-kick'));
    const base = (variant?: string) =>
      ways.find((way) => way.variant === variant)!.result.distances.find(({ id }) => id === 'base')!
        .metres;
    const depth = pieceTable['foam-block'].widthM;
    expect(base() - base('strap')).toBeCloseTo(
      Math.max(0, body.lengths.knuckle + depth - body.lengths.hand),
      9,
    );
    expect(base('blanket')).toBe(base('strap'));
  });
});

describe('ranges that were measured', () => {
  it('let the elbows out where the shoulders do not open, and the strap with them', () => {
    const stiff = { shoulderFlexionDeg: 150 };
    const width = (more: Partial<SetupInput>) =>
      solve('forearm-L', [], more).distances.find(({ id }) => id === 'elbowWidth')!.metres;
    expect(width(stiff) - width({})).toBeCloseTo(0.03, 9);
    expect(width({ shoulderFlexionDeg: 170 })).toBe(width({}));
    expect(solve('forearm-L', [], stiff).notes.join(' ')).toContain('150° overhead');
    const loop = (more: Partial<SetupInput>) =>
      solve('strap-forearm', [], more).distances[0]!.metres;
    expect(loop(stiff) - loop({})).toBeCloseTo(0.06, 9);
  });

  it('raise the toes of the plough as the legs fold less', () => {
    const rest = (straightLegRaiseDeg: number) =>
      solve('platform', [], { straightLegRaiseDeg }).distances.find(({ id }) => id === 'toeRest')!
        .metres;
    expect(rest(70)).toBeGreaterThan(rest(90));
    expect(rest(130)).toBe(0);
  });
});

describe('the low block of a shoulder rest, kept further out', () => {
  const at = (metres: number, more: Partial<SetupInput> = {}) =>
    solve('shoulder-rest', [row('shoulder-rest', 'lowBlockOut', metres)], more);
  const blocks = (count: number) => ({ pieces: [{ piece: 'foam-block', count }] as const });
  const columns = ({ notes }: { readonly notes: readonly string[] }) =>
    notes.filter((note) => note.startsWith('Two columns'));

  it('carries what lies across it while half of its depth is on it', () => {
    for (const metres of [0.03, 0.05, 0.07, 0.075]) {
      const { stack, cautions, notes } = at(metres);
      expect(stack).toEqual(solve('shoulder-rest').stack);
      expect(cautions).toEqual([]);
      expect(columns({ notes })).toEqual([]);
    }
  });

  it('carries it no more beyond that: what tips is refused, with what to do', () => {
    for (const metres of [0.08, 0.12, 0.17]) {
      const result = at(metres);
      const { stack, cautions } = result;
      expect(cautions).toHaveLength(1);
      expect(cautions[0]).toContain(`At ${Math.round(metres * 100)} cm`);
      expect(cautions[0]).toContain('8 cm or nearer, or 18 cm or further');
      expect(stack).toMatchObject({ found: false, heightM: null, layers: [] });
      // Nobody is given it, however full the shelves are.
      const kept = keptDistances([row('shoulder-rest', 'lowBlockOut', metres)]);
      expect(getSetup('shoulder-rest').ways({ ...usual, kept }, result)).toEqual({
        ways: [],
        lack: cautions[0],
      });
    }
  });

  it('leaves a second column to carry it, counted with the rest', () => {
    const before = solve('shoulder-rest').stack!;
    const result = at(0.18);
    expect(result.cautions).toEqual([]);
    expect(columns(result)).toHaveLength(1);
    expect(result.stack!.heightM).toBe(before.heightM);
    expect(result.stack!.layers[0]!.count).toBe(before.layers[0]!.count + 1);
    expect(result.stack!.layers.slice(1)).toEqual(before.layers.slice(1));
    const { ways } = getSetup('shoulder-rest').ways(usual, result);
    const taken = (list: (typeof ways)[number]['props']) =>
      list.reduce((sum, { count }) => sum + count, 0);
    expect(taken(ways[0]!.props)).toBe(
      before.layers.reduce((sum, { count }) => sum + count, 0) + 1,
    );
  });

  it('says what is missing where the cupboard holds one column alone', () => {
    const layers = at(0.2, blocks(9)).stack!.layers.reduce((sum, { count }) => sum + count, 0);
    expect(at(0.2, blocks(layers)).cautions).toEqual([]);
    const short = at(0.2, blocks(layers - 1));
    expect(short.cautions).toEqual(['One more foam block is needed for the column at the wall.']);
    expect(short.stack!.found).toBe(false);
    // What it takes with fuller shelves shows what is missing.
    const input = {
      ...usual,
      ...blocks(layers - 1),
      kept: keptDistances([row('shoulder-rest', 'lowBlockOut', 0.2)]),
    };
    const { ways } = getSetup('shoulder-rest').ways(input, short);
    expect(ways[0]!.props.reduce((sum, { count }) => sum + count, 0)).toBeGreaterThan(layers - 1);
  });

  it('is computed anew where the hands find no hold on it', () => {
    const { distances, cautions } = at(0.6);
    expect(distances.find(({ id }) => id === 'lowBlockOut')!.metres).toBe(0.05);
    expect(cautions.join()).toContain('out of reach');
  });
});
