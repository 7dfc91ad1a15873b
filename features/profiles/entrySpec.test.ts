import { ownKey } from '@/core/catalog/namedKeys';
import { noEntries, layOver, ownCheckSchema, ownStageSchema } from '@/core/catalog/entries';
import type { StageSpec } from '@/core/catalog/stage';
import type { CheckSpec } from '@/core/catalog/checks';
import { trySpecOf } from '@/core/catalog/tries';
import { sayMethod } from '@/core/catalog/taking';
import {
  keyFor,
  ownCheckKinds,
  toCheckSpec,
  toStageSpec,
  type CheckForm,
  type StageForm,
} from './entrySpec';

const stage: StageForm = {
  label: 'Wall walk, up',
  family: 'handstand',
  after: 'HB6',
  branch: '',
  how: 'Belly to the wall, feet walk up.',
  dose: '3',
  stepDown: 'Short dog',
  exit: 'Walk down',
  columns: ['light', 'wrists'],
  regions: ['wrist', 'shoulder'],
  checks: ['plank-hold', 'l-hold'],
  move: 'plank',
  leave: '',
  shape: 'family:handstandWall',
  isFree: false,
  needsWall: true,
  tried: '',
  waysUp: [],
  faults: [],
};

describe('entries from the forms', () => {
  it('get keys that the catalog takes, whatever is typed', () => {
    expect(keyFor('Wall walk, up!')).toBe('own-wall-walk-up');
    for (const label of ['É à', '???', 'x'.repeat(200), '-a-']) {
      expect(ownKey.safeParse(keyFor(label)).success).toBe(true);
    }
  });

  it('are stages the catalog takes, by base where a check has one', () => {
    const spec = toStageSpec(stage);
    expect(ownStageSchema.safeParse(spec).success).toBe(true);
    expect(spec.gate).toEqual([{ check: 'plank-hold' }, { check: 'l-hold', base: 'hands' }]);
    const { problems } = layOver({
      ...noEntries,
      stages: { 'own-wall-walk-up': spec as unknown as StageSpec },
    });
    expect(problems).toEqual([]);
  });

  it.each([
    ['headstand', 'head'],
    ['forearm-stand', 'forearms'],
    ['arm-balance', 'hands'],
  ] as const)('stand on what carries the weight on their ladder: %s', (family, base) => {
    const { gate } = toStageSpec({ ...stage, family, after: '', checks: ['l-hold'] });
    expect(gate).toEqual([{ check: 'l-hold', base }]);
  });

  it('load what tires and strain the rest, so that pain there closes them', () => {
    const spec = toStageSpec({ ...stage, regions: ['wrist', 'leg', 'back'] });
    expect(spec.loads).toEqual({ wrist: 0.7 });
    expect(spec.strains).toEqual(['leg', 'back']);
    expect(ownStageSchema.safeParse(spec).success).toBe(true);
  });

  it('are tries that ask for the student’s own word, say how they are tried and what is watched for', () => {
    const spec = toStageSpec({ ...stage, tried: 'lift', faults: ['ribs-flare'] });
    expect(spec).toMatchObject({ isAttempt: true, isLift: true, faults: ['ribs-flare'] });
    expect(spec.gate).toContainEqual({ check: 'confidence', base: 'hands' });
    expect(trySpecOf(ownStageSchema.parse(spec) as StageSpec)).toMatchObject({ kind: 'lift' });
    // Once is enough; and what is held asks nobody.
    const twice = toStageSpec({ ...stage, tried: 'hop', checks: ['confidence'] });
    expect(twice.gate).toEqual([{ check: 'confidence', base: 'hands' }]);
    expect(toStageSpec(stage)).not.toHaveProperty('isAttempt');
    const { problems } = layOver({
      ...noEntries,
      stages: { 'own-wall-walk-up': spec as unknown as StageSpec },
    });
    expect(problems).toEqual([]);
  });

  it('have ways up where a leg springs to a wall on the hands, and nowhere else', () => {
    const waysUp = ['straight-leg', 'straddle'] as const;
    const hop = { ...stage, tried: 'hop', needsWall: true, waysUp } as const;
    const spec = ownStageSchema.parse(toStageSpec(hop)) as StageSpec;
    expect(trySpecOf(spec).ways.map(({ id, isTogether }) => [id, isTogether])).toEqual([
      ['straight-leg', undefined],
      ['straddle', true],
    ]);
    for (const other of [
      { needsWall: false },
      { tried: 'lift' },
      { tried: '' },
      { family: 'forearm-stand' },
      { waysUp: [] },
    ] as const) {
      expect(toStageSpec({ ...hop, ...other })).not.toHaveProperty('waysUp');
    }
  });

  it('ask for a way out where there is no support', () => {
    expect(toStageSpec({ ...stage, isFree: true, shape: '' })).toMatchObject({
      isFree: true,
      needsExit: true,
    });
    expect(toStageSpec({ ...stage, shape: '' })).not.toHaveProperty('shape');
  });

  const check: CheckForm = {
    label: 'Mine',
    kind: 'hold',
    bar: 3,
    validDays: 28,
    hasSides: true,
    isPrivate: true,
    view: 'behind',
    instrument: 'count',
    method: ' Knees stay over the toes. ',
    levels: 'none\n half \n\nthree quarters\nwhole',
    voidedBy: ['sag'],
    move: '',
    columns: ['wrists'],
    regions: ['wrist'],
  };

  it.each(ownCheckKinds)('are checks the catalog takes: %s', (kind) => {
    const spec = toCheckSpec({ ...check, kind });
    expect(spec).toMatchObject({ columns: ['wrists'], strains: ['wrist'], voidedBy: ['sag'] });
    expect(ownCheckSchema.safeParse(spec).success).toBe(true);
    const { problems } = layOver({
      ...noEntries,
      checks: { 'own-mine': spec as unknown as CheckSpec },
    });
    expect(problems).toEqual([]);
  });

  it('are checks that say how they are taken, and what their levels are called', () => {
    const spec = toCheckSpec({ ...check, kind: 'level' });
    expect(sayMethod(spec)).toBe('From behind, counted. Knees stay over the toes.');
    expect(spec).toMatchObject({ levels: ['none', 'half', 'three quarters', 'whole'], most: 3 });
    expect(sayMethod(toCheckSpec({ ...check, method: ' ' }))).toBe('From behind, counted.');
    // Without names there is nothing to choose from.
    const nameless = toCheckSpec({ ...check, kind: 'level', levels: '' });
    expect(ownCheckSchema.safeParse(nameless).error?.issues[0]?.path).toEqual(['levels']);
    // A bar above the last level is not reached by anybody.
    const { problems } = layOver({
      ...noEntries,
      checks: {
        'own-mine': toCheckSpec({ ...check, kind: 'level', bar: 4 }) as unknown as CheckSpec,
      },
    });
    expect(problems).toMatchObject([{}, {}, {}]);
  });
});
