import { resolveBody } from '../body/body';
import { ladderIds } from '../catalog/stage';
import type { PieceCount } from '../catalog/pieces';
import { getStage } from '../catalog/stages';
import { getWayUp } from '../catalog/waysUp';
import type { Evidence } from '../readiness/record';
import type { Capacities } from '../fatigue/reserve';
import { ago, everything, makeCase, twice, type CaseChange } from '../testing/cases';
import { distanceWords } from '../setups/distanceWords';
import { countRows, rowsTaken } from '../pieces/rows';
import { addPieces } from './needs';
import { withoutSore } from './leftOver';
import { listOptions } from './options';
import { findCapacities } from './strength';
import { isBearable, warmState } from './pace';

const context = {
  body: resolveBody({ heightM: 1.7 }),
  families: ['forearm-stand'],
  ceilingM: 2.8,
  pieces: [
    { piece: 'foam-block', count: 9 },
    { piece: 'strap-240', count: 3 },
    { piece: 'shoulder-pad', count: 8 },
    { piece: 'blanket', count: 8 },
    { piece: 'chair', count: 2 },
  ],
} as const;
const rows = countRows(context.pieces);
const present = { 'forearm-stand': 'FS9' } as const;
const options = (change: CaseChange = {}, more: object = {}) =>
  listOptions(makeCase({ present, ...change }), { ...context, ...more }).options;
const roles = (...args: Parameters<typeof options>) => options(...args).map(({ role }) => role);

describe('what one person may do tonight', () => {
  it('is the next rung, the present one, a step down, another shape, and rest', () => {
    expect([...new Set(roles())]).toEqual(['next', 'present', 'stepDown', 'alternative', 'rest']);
    expect([...new Set(options().map(({ stage }) => stage))]).toEqual([
      'FS10',
      'FS9',
      // And everything on the way, down to the floor.
      ...['FS8', 'FS7', 'FS6', 'FS5', 'FS4', 'FS3', 'FS2', 'FS1'],
      undefined,
    ]);
  });

  it('asks a few breaths of a hold that nobody has timed, on whichever base it is kept', () => {
    const doseOf = (stage: string, change: CaseChange, more: object = {}) =>
      options(change, more).find((one) => one.stage === stage)?.dose;
    const { 'dolphin-hold': _, ...untimed } = everything;
    expect(doseOf('FS5', { evidence: everything })).toBe('2 × 60 s');
    expect(doseOf('FS5', { evidence: untimed as Evidence })).toBe('2 × 25 s');
    for (const family of ladderIds) {
      expect(() => options({ evidence: {} }, { families: [family] })).not.toThrow();
    }
  });

  it('always ends with something that takes nothing', () => {
    expect(options().at(-1)).toMatchObject({ id: 'rest', pieces: [] });
    expect(options().at(-1)).not.toHaveProperty('alongM');
  });

  it('leaves out what the verdict does not open', () => {
    const weak: Evidence = { ...everything, 'dolphin-push-ups': [] };
    expect(options({ evidence: weak }).some(({ stage }) => stage === 'FS10')).toBe(false);
    expect([...new Set(roles({ care: { reports: ['eye'] } }))]).toEqual(['alternative', 'rest']);
  });

  it('offers the more supported version where hands are not laid on', () => {
    const almost: Evidence = {
      ...everything,
      confidence: [{ date: ago(7), value: 4, base: 'forearms' as const }],
    };
    const list = options({ evidence: almost, consent: 'no', present: { 'forearm-stand': 'FS8' } });
    // Hops open with support; their step down is the L, which stands by itself.
    expect(list[0]).toMatchObject({ stage: 'FS8', role: 'nextWithSupport' });
    expect(list[0]!.why).toMatch(/the more supported version of hops at the wall, hands off/);
    expect(list.some(({ needsHand }) => needsHand)).toBe(false);
  });

  it('eases a stage whose step down is no stage of its own, and never a try', () => {
    // Seen on one day only: open with support, and dolphin in motion has no assist.
    const nearly: Evidence = { ...everything, 'dolphin-hold': [{ date: ago(7), value: 120 }] };
    const list = options({ evidence: nearly, present: { 'forearm-stand': 'FS5' } });
    expect(list[0]).toMatchObject({ id: 'FS6+eased', stage: 'FS6', role: 'nextWithSupport' });
    expect(list[0]!.label).toMatch(/: knees down$/);
    const kick = options({ evidence: nearly, consent: 'no', present });
    expect(kick.some(({ stage }) => stage === 'FS10' || stage === 'FS9')).toBe(false);
  });

  it('takes for a stack what this body’s stack is made of, in the place of another shape too', () => {
    const shapes = (heightM: number) =>
      listOptions(makeCase({ present: { headstand: 'HS4' } }), {
        ...context,
        families: ['headstand'],
        body: resolveBody({ heightM }),
      }).fallbacks.find(({ alternative }) => alternative === 'shoulder-rest')!;
    expect(shapes(1.7).props).toEqual([{ piece: 'foam-block', count: 4 }]);
    expect(shapes(1.3).props).toEqual([{ piece: 'foam-block', count: 3 }]);
  });

  it('makes do with what the cupboard has, and says so', () => {
    const made = (present: NonNullable<CaseChange['present']>, pieces: readonly PieceCount[]) =>
      listOptions(makeCase({ present, evidence: everything }), {
        ...context,
        families: ['shoulder-stand', 'arm-balance'],
        pieces,
      });
    const idsOf = (...args: Parameters<typeof made>) => made(...args).options.map(({ id }) => id);
    const legsUp = { 'shoulder-stand': 'SS3' } as const;
    expect(idsOf(legsUp, [{ piece: 'bolster-rectangular', count: 1 }])).toContain('SS3');
    const rolled = made(legsUp, [{ piece: 'blanket', count: 3 }]);
    expect(rolled.options.find(({ id }) => id === 'SS3+rolled')).toMatchObject({
      label: 'Legs up the wall, hips on a bolster, rolled blankets in its place',
      pieces: [{ piece: 'blanket', count: 3 }],
    });
    expect(rolled.fallbacks.find(({ alternative }) => alternative === 'legs-up')?.pieces).toEqual([
      { piece: 'blanket', count: 3 },
    ]);
    expect(idsOf(legsUp, [{ piece: 'blanket', count: 2 }])).not.toContain('SS3+rolled');
    const crow = { 'arm-balance': 'CR6' } as const;
    const block = [{ piece: 'cork-block', count: 2 }] as const;
    expect(idsOf(crow, [{ piece: 'cushion', count: 1 }])).not.toContain('CR6+aheadBlock');
    expect(made(crow, block).options.find(({ id }) => id === 'CR6+aheadBlock')).toMatchObject({
      props: [{ piece: 'foam-block', count: 1 }],
    });
    // In the squat the feet stand on another one.
    expect(made(crow, block).options.find(({ id }) => id === 'CR4+aheadBlock')).toMatchObject({
      props: [{ piece: 'foam-block', count: 2 }],
    });
  });

  it('offers a shape that stands in with all that the cupboard makes of it, and nothing twice', () => {
    const legsUp = (...pieces: readonly PieceCount[]) =>
      options({ present: {} }, { pieces })
        .filter(({ alternative }) => alternative === 'legs-up')
        .map(({ id, pieces: taken }) => [id, taken[0]!.piece]);
    const flat = { piece: 'bolster-rectangular', count: 1 } as const;
    const round = { piece: 'bolster-round', count: 1 } as const;
    const blankets = { piece: 'blanket', count: 6 } as const;
    expect(legsUp(flat)).toEqual([['instead-legs-up', 'bolster-rectangular']]);
    expect(legsUp(round)).toEqual([['instead-legs-up+roundBolster', 'bolster-round']]);
    expect(legsUp(flat, round, blankets)).toEqual([
      ['instead-legs-up', 'bolster-rectangular'],
      ['instead-legs-up+roundBolster', 'bolster-round'],
      ['instead-legs-up+rolled', 'blanket'],
    ]);
    // Whoever leans into an upright bolster may lean into a blanket rolled as thick.
    const leans = options(
      { evidence: everything, present: { handstand: 'HB12' } },
      {
        families: ['handstand'],
        pieces: [blankets],
      },
    );
    expect(leans.map(({ id }) => id)).toContain('HB12+rolled');
  });

  it('says how far from the wall to whoever stands at one, and to nobody else', () => {
    const all = ladderIds.flatMap((family) =>
      options({ present: {} }, { families: [family] }).concat(options({}, { families: [family] })),
    );
    const figures = (isAtWall: boolean) =>
      all
        .filter(({ alongM }) => (alongM !== undefined) === isAtWall)
        .map(({ id, baseM, figures = [] }) => [
          id,
          baseM ?? figures.find((one) => distanceWords[one.id].isAtWall)?.metres,
        ]);
    expect(figures(false).filter(([, metres]) => metres !== undefined)).toEqual([]);
    expect(figures(true).filter(([, metres]) => metres !== undefined)).not.toHaveLength(0);
  });

  it('takes a hand where it is with support, asked first, and never against a no', () => {
    const almost: Evidence = {
      ...everything,
      confidence: [{ date: ago(7), value: 4, base: 'forearms' as const }],
    };
    const kick = (consent: 'yes' | 'ask' | 'no') =>
      options({ evidence: almost, consent }).find(({ stage }) => stage === 'FS10');
    expect(kick('yes')).toMatchObject({ role: 'nextWithSupport', needsHand: true });
    expect(kick('yes')).not.toHaveProperty('asksFirst');
    expect(kick('ask')).toMatchObject({ needsHand: true, asksFirst: true });
    expect(kick('no')).toBeUndefined();
  });

  it('widens the lane for the helper', () => {
    const almost: Evidence = {
      ...everything,
      confidence: [{ date: ago(7), value: 4, base: 'forearms' as const }],
    };
    const along = (evidence: Evidence) =>
      options({ evidence }).find(({ stage }) => stage === 'FS10')!.alongM!;
    expect(along(almost) - along(everything)).toBeCloseTo(0.6, 9);
  });

  it('leaves out what the ceiling does not allow', () => {
    expect(options({}, { ceilingM: 1.9 }).some(({ isAttempt }) => isAttempt)).toBe(false);
    const why = (more: object) =>
      listOptions(makeCase({ present }), { ...context, ceilingM: 1.9, ...more }).shut[0]!.why;
    expect(why({})).toMatch(/^needs \d\.\d\d m of height, the room has 1\.90 m$/);
    expect(why({ units: 'in' })).toMatch(/^needs \d′\s\d+″ of height, the room has 6′\s2″$/);
  });

  it('takes a lift or a wedge from the cupboard where one stands in for a check', () => {
    const low: Evidence = { ...everything, 'head-clearance': twice(0) };
    const kick = options({ evidence: low, equipment: ['forearm-lift'] }).find(
      ({ stage }) => stage === 'FS10',
    )!;
    expect(kick.pieces.some(({ piece }) => piece === 'shoulder-pad')).toBe(true);
    const stiff: Evidence = { ...everything, 'wrist-extension': twice(40) };
    const { options: onHands } = listOptions(
      makeCase({ present: { handstand: 'HB7' }, evidence: stiff, equipment: ['wedge'] }),
      { ...context, families: ['handstand'] },
    );
    expect(onHands.find(({ stage }) => stage === 'HB8')!.pieces).toContainEqual({
      piece: 'wedge',
      count: 1,
    });
  });

  it('names what is to be confirmed at the door', () => {
    const unasked: Evidence = { ...everything, 'neck-ease': [] };
    const { options: found } = listOptions(
      makeCase({ present: { 'shoulder-stand': 'SS3' }, evidence: unasked }),
      {
        ...context,
        families: ['shoulder-stand'],
      },
    );
    expect(found.find(({ stage }) => stage === 'SS5')!.atDoor).toEqual(['Neck ease']);
  });

  it('offers a shape of two families once', () => {
    const { options: found } = listOptions(makeCase({ present, care: { reports: ['eye'] } }), {
      ...context,
      families: ['forearm-stand', 'handstand', 'headstand'],
    });
    const ids = found.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('ways and fallbacks', () => {
  it('has a strap and a blanket in place of the block, worth a little less', () => {
    const kicks = options().filter(({ stage }) => stage === 'FS10');
    expect(kicks.map(({ variant }) => variant)).toEqual([undefined, 'strap', 'blanket']);
    expect(kicks[0]!.value).toBeGreaterThan(kicks[1]!.value);
    expect(kicks[1]!.value).toBeGreaterThan(kicks[2]!.value);
    // A long strap is also one of the straps there are.
    expect(kicks[1]!.pieces).toContainEqual({ piece: 'strap-180', count: 1 });
    expect(kicks[1]!.pieces).toContainEqual({ piece: 'strap-240', count: 1 });
  });

  it('puts a fallback beside what must be confirmed at the door, and both sets of props', () => {
    const { options: found } = listOptions(
      makeCase({
        present: { 'shoulder-stand': 'SS3' },
        evidence: { ...everything, 'neck-ease': [] },
      }),
      { ...context, families: ['shoulder-stand'] },
    );
    const asked = found.find(({ stage }) => stage === 'SS5')!;
    const beside = found.find(({ id }) => id === asked.fallback)!;
    expect(beside.atDoor).toEqual([]);
    for (const { piece, count } of beside.pieces) {
      const own = asked.pieces.find((one) => one.piece === piece)?.count ?? 0;
      expect(own).toBeGreaterThanOrEqual(count);
    }
    expect(asked.heightM).toBeGreaterThanOrEqual(beside.heightM);
  });

  it.each([
    ['nothing', []],
    ['blankets alone', [{ piece: 'blanket', count: 20 }]],
    [
      'a bolster and a chair',
      [
        { piece: 'bolster-rectangular', count: 1 },
        { piece: 'chair', count: 1 },
      ],
    ],
  ] as const)('lays beside it what the cupboard holds: %s', (_, pieces) => {
    const there = countRows(pieces);
    const isThere = (needs: readonly PieceCount[]) =>
      needs.every(({ piece, count }) => count <= (there[piece] ?? 0));
    const never = makeCase({
      present: { 'shoulder-stand': 'SS5', 'forearm-stand': 'FS9', headstand: 'HS5' },
      care: { isNeverScreened: true },
    });
    const found = ladderIds.flatMap(
      (family) => listOptions(never, { ...context, pieces, families: [family] }).options,
    );
    const asked = found.filter(({ atDoor }) => atDoor.length > 0);
    // What can be done itself does not fail for what would be done instead of it.
    const possible = asked.filter(({ props }) => isThere(rowsTaken(props)));
    expect(possible.length).toBeGreaterThan(3);
    expect(possible.filter((one) => !isThere(one.pieces)).map(({ id }) => id)).toEqual([]);
  });

  it('builds nothing that was measured of what is another size', () => {
    const thick = {
      label: 'Wool',
      kind: 'blanket',
      lengthM: 0.7,
      widthM: 0.5,
      thicknessM: 0.06,
      loadedM: 0.05,
      isFirm: false,
      stacks: true,
      refolds: true,
    } as const;
    const pieces: readonly PieceCount[] = [
      { piece: 'blanket', count: 4 },
      { piece: 'own-7', count: 10, own: thick },
      { piece: 'chair', count: 2 },
    ];
    const there = countRows(pieces);
    const stood = makeCase({ present: { 'shoulder-stand': 'SS7' } });
    const found = listOptions(stood, {
      ...context,
      body: resolveBody({ heightM: 1.6 }),
      pieces,
      families: ['shoulder-stand'],
    }).options;
    const stacked = found.filter(({ props }) =>
      props.some(({ own }) => own?.kind === 'blanket' && own.loadedM < 0.03),
    );
    expect(stacked.length).toBeGreaterThan(0);
    for (const { id, pieces: taken, props } of stacked) {
      const usual = props.find(({ own }) => own !== undefined && own.loadedM < 0.03)!;
      expect([id, there[usual.piece]]).toEqual([id, 4]);
      expect(taken).toContainEqual({ piece: usual.piece, count: usual.count });
    }
  });

  it('has something else beside where what stood there hurts now', () => {
    const never = makeCase({
      present: { 'shoulder-stand': 'SS3' },
      care: { isNeverScreened: true },
    });
    const found = listOptions(never, { ...context, families: ['shoulder-stand'] });
    const plough = ({ options: left }: Pick<typeof found, 'options'>) =>
      left.find(({ stage }) => stage === 'SS4')!;
    const before = plough(found).fallback;
    const hurting = {
      ...found,
      options: found.options.map((option) =>
        option.id === before ? { ...option, strains: ['wrist' as const] } : option,
      ),
    };
    const left = withoutSore(hurting, ['wrist'], rows);
    const { fallback } = plough({ options: left });
    expect(fallback).not.toBe(before);
    expect(left.find(({ id }) => id === fallback)!.atDoor).toEqual([]);
    // Whoever keeps what stood beside keeps the shape as it was.
    expect(plough({ options: withoutSore(found, ['wrist'], rows) })).toBe(plough(found));
    // With nothing beside it is not planned.
    const alone = found.options.filter(({ stage }) => stage === 'SS4');
    expect(withoutSore({ options: alone, fallbacks: [] }, ['wrist'], rows)).toEqual([]);
  });

  it('leaves whoever is sore nothing that loads it, and always something', () => {
    const found = listOptions(makeCase({ present }), context);
    const left = withoutSore(found, ['shoulder'], rows);
    expect(left.some(({ loads }) => (loads.shoulder ?? 0) > 0)).toBe(false);
    expect(left.some(({ role }) => role === 'alternative')).toBe(true);
    expect(withoutSore(found, ['elsewhere'], rows).at(-1)!.id).toBe('rest');
  });
});

describe('how often somebody may try', () => {
  it('follows from the holds that were seen', () => {
    const strong = findCapacities(makeCase());
    expect(strong.shoulder!.seconds).toBeGreaterThan(100);
    expect(findCapacities(makeCase({ evidence: {} }))).toEqual({});
    const { loads } = getStage('FS10');
    const short = { shoulder: { seconds: 12, referenceLoad: 0.6 } };
    const kick = { loads, isAttempt: true } as const;
    const bears = (capacities: Capacities, seconds: number) =>
      isBearable(warmState(loads, seconds, capacities), [kick, kick, kick], seconds, capacities);
    expect(bears(strong, 330)).toBe(true);
    // Three minutes a round leave a spent shoulder 90 s between tries: 1 - exp(-0.5) is under 0.6.
    expect(bears(short, 180)).toBe(false);
    expect(bears(strong, 180)).toBe(true);
  });

  it('adds pieces of two lists by kind', () => {
    const block = { piece: 'foam-block', count: 1 } as const;
    expect(addPieces([block], [block, { piece: 'chair', count: 1 }])).toEqual([
      { piece: 'foam-block', count: 2 },
      { piece: 'chair', count: 1 },
    ]);
  });
});

describe('what a round asks', () => {
  const spring = (evidence: Evidence) =>
    listOptions(makeCase({ profile: 'play-led', present: { handstand: 'HB8' }, evidence }), {
      ...context,
      families: ['handstand'],
    }).options.find(({ stage, wayUp }) => stage === 'HB10' && wayUp === 'straight-leg')!;

  it('lays out the strap where it stands in for the L, and not where the L was seen', () => {
    const { 'l-hold': _, ...without } = everything;
    expect(spring(without).props).toContainEqual({ piece: 'strap-180', count: 1 });
    expect(spring(everything).props).not.toContainEqual(
      expect.objectContaining({ piece: 'strap-180' }),
    );
  });

  it('is as many tries as the dose asks, and no more than somebody has in them', () => {
    const strong = spring(everything).tries!;
    const weak = spring({
      ...everything,
      'dolphin-hold': twice(25),
      'plank-hold': twice(25),
    }).tries!;
    expect(strong).toBe(getWayUp('straight-leg').tries);
    expect(weak).toBeLessThan(strong);
    expect(weak).toBeGreaterThanOrEqual(1);
  });
});
