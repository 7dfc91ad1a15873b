/**
 * What can be dragged in each posture: which parameter, between which values, and where its mark
 * lies. One table; the bench and the command line's ranges do not know families by name.
 */
import type { Body } from '../body/body';
import type { FamilyId, Posture } from './families';
import type { FigureJoints, Point } from './joints';

export interface Dial {
  readonly parameter: string;
  readonly label: string;
  readonly unit: 'm' | 'deg' | 'share';
  readonly low: number;
  readonly high: number;
  /** Where the mark lies and which way it is dragged; absent: a dial beside the drawing only. */
  readonly mark?: {
    readonly at: (joints: FigureJoints, value: number) => Point;
    readonly axis: 'x' | 'y';
    /** Change of the parameter for one metre towards +x or up. */
    readonly sign: 1 | -1;
  };
  /** A usual value for this body. */
  readonly usual: (body: Body) => number;
}

const metres = (
  parameter: string,
  label: string,
  [low, high]: readonly [number, number],
  usual: Dial['usual'],
  mark?: Dial['mark'],
): Dial => ({ parameter, label, unit: 'm', low, high, usual, ...(mark ? { mark } : {}) });

const deg = (
  parameter: string,
  label: string,
  [low, high]: readonly [number, number],
  usual: number,
): Dial => ({ parameter, label, unit: 'deg', low, high, usual: () => usual });

/** Wall behind: pulling the hands away from it (towards +x) lengthens the base. */
const baseBehind = (label: string, share: number): Dial =>
  metres('baseM', label, [0.3, 1.6], ({ heightM }) => share * heightM, {
    at: () => [0, 0],
    axis: 'x',
    sign: 1,
  });
/** Wall ahead: towards it shortens the base. */
const baseAhead = (label: string, usual: Dial['usual']): Dial =>
  metres('baseM', label, [0, 1.2], usual, { at: () => [0, 0], axis: 'x', sign: -1 });

const footHeight = (share: number): Dial =>
  metres('footHeightM', 'Feet on the wall', [0.2, 1.5], ({ heightM }) => share * heightM, {
    at: ({ ankle }) => [ankle[0], ankle[1]],
    axis: 'y',
    sign: 1,
  });
const lead: Dial = metres('shoulderLeadM', 'Shoulders ahead', [-0.45, 0.3], () => 0, {
  at: ({ shoulder }) => shoulder,
  axis: 'x',
  sign: 1,
});
const ballAt = (parameter: string, label: string, share: number): Dial =>
  metres(parameter, label, [0.3, 2], ({ heightM }) => share * heightM, {
    at: ({ heel }) => heel,
    axis: 'x',
    sign: -1,
  });
const arch = deg('archDeg', 'Arch', [-20, 60], 0);

export const dialTable = {
  plank: [],
  kneePlank: [],
  dog: [
    ballAt('stanceM', 'Knuckles to feet', 0.68),
    { ...lead, usual: ({ heightM }) => -0.12 * heightM },
  ],
  shortDog: [
    baseBehind('Wrists from the wall', 0.5),
    { ...lead, usual: ({ heightM }) => -0.06 * heightM },
  ],
  raisedDog: [
    ballAt('stanceM', 'Knuckles to feet', 0.52),
    metres('supportHeightM', 'Under the feet', [0, 0.9], () => 0.45, {
      at: ({ heel }) => [heel[0] - 0.12, heel[1]],
      axis: 'y',
      sign: 1,
    }),
    lead,
  ],
  dolphin: [
    ballAt('elbowToBallM', 'Elbows to feet', 0.7),
    lead,
    deg('kneeBendDeg', 'Knees bent', [0, 90], 0),
  ],
  wallL: [baseBehind('Wrists from the wall', 0.53), footHeight(0.62)],
  forearmWallL: [baseBehind('Elbows from the wall', 0.53), footHeight(0.474)],
  handstandWall: [baseAhead('Wrists from the wall', ({ lengths }) => 2 * lengths.hand + 0.05)],
  forearmStandWall: [
    baseAhead('Elbows from the wall', ({ lengths }) => lengths.forearm + lengths.hand + 0.05),
  ],
  handstand: [arch],
  forearmStand: [arch],
  headstand: [arch],
  headstandBase: [ballAt('headToBallM', 'Crown to feet', 0.45)],
  headstandTuck: [],
  crow: [
    deg('elbowDeg', 'Elbow angle', [60, 175], 110),
    {
      parameter: 'kneeOnArm',
      label: 'Knee on the arm, 0 at the elbow',
      unit: 'share',
      low: 0,
      high: 1,
      usual: () => 0.6,
    },
  ],
  liftedTuck: [
    metres(
      'blockM',
      'Blocks under the hands',
      [0, 0.4],
      ({ lengths: l }) => Math.max(0, l.trunk + l.hipToSeat + 0.05 - l.forearm - l.upperArm),
      { at: ({ wrist }) => [wrist[0] + 0.06, wrist[1]], axis: 'y', sign: 1 },
    ),
  ],
  shoulderStand: [
    metres('platformM', 'Platform', [0, 0.24], ({ heightM }) => 0.083 * heightM, {
      at: ({ shoulder }) => shoulder,
      axis: 'y',
      sign: 1,
    }),
    deg('trunkDeg', 'Trunk from the floor', [60, 95], 85),
  ],
  plough: [
    metres('platformM', 'Platform', [0, 0.24], ({ heightM }) => 0.083 * heightM, {
      at: ({ shoulder }) => shoulder,
      axis: 'y',
      sign: 1,
    }),
    metres('toeSupportM', 'Under the toes', [0, 0.6], () => 0, {
      at: ({ heel }) => heel,
      axis: 'y',
      sign: 1,
    }),
  ],
} as const satisfies Record<FamilyId, readonly Dial[]>;

export const getDials = (family: FamilyId): readonly Dial[] => dialTable[family];

export type DialValues = Readonly<Record<string, number>>;

/** The usual values of every dial, rounded to whole centimetres and degrees. */
export function usualValues(family: FamilyId, body: Body): DialValues {
  return Object.fromEntries(
    getDials(family).map((dial) => {
      const value = Math.min(dial.high, Math.max(dial.low, dial.usual(body)));
      const step = dial.unit === 'deg' ? 1 : 0.01;
      return [dial.parameter, Math.round(value / step) * step];
    }),
  );
}

/** A posture from dial values; the values' names are the family's own. */
export const toPosture = (family: FamilyId, values: DialValues, oneLeg = false): Posture =>
  ({ family, ...values, ...(oneLeg ? { oneLeg } : {}) }) as unknown as Posture;
