/** What can be dragged in a shape: which parameter, between which values, and where its mark lies. */
import type { Body } from '../body/body';
import type { FigureJoints, Point } from '../posture/joints';
import type { DistanceId } from '../setups/distanceWords';
import { platformUnder, type UnderWeight } from '../pieces/underWeight';

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
  /** A usual value for this body, where no set-up says one. */
  readonly usual: (body: Body) => number;
  /** The distance of a set-up that this dial is. */
  readonly is?: DistanceId;
  /** What is stacked to this height bears weight. */
  readonly stacks?: (body: Body) => UnderWeight;
}

/** One whose parameter is known by name. */
export type DialOf<Name extends string> = Dial & { readonly parameter: Name };

export type DialValues = Readonly<Record<string, number>>;

type More = Pick<Dial, 'mark' | 'is' | 'stacks'>;

export const metres = <Name extends string>(
  parameter: Name,
  label: string,
  [low, high]: readonly [number, number],
  usual: Dial['usual'],
  more: More = {},
): DialOf<Name> => ({ parameter, label, unit: 'm', low, high, usual, ...more });

export const deg = <Name extends string>(
  parameter: Name,
  label: string,
  [low, high]: readonly [number, number],
  usual: number,
): DialOf<Name> => ({ parameter, label, unit: 'deg', low, high, usual: () => usual });

const atOrigin = (): Point => [0, 0];

/** Wall behind: pulling the hands away from it (towards +x) lengthens the base. */
export const baseBehind = (label: string, share: number): Dial =>
  metres('baseM', label, [0.3, 1.6], ({ heightM }) => share * heightM, {
    is: 'base',
    mark: { at: atOrigin, axis: 'x', sign: 1 },
  });

/** Wall ahead: towards it shortens the base. */
export const baseAhead = (label: string, usual: Dial['usual']): Dial =>
  metres('baseM', label, [0, 1.2], usual, {
    is: 'base',
    mark: { at: atOrigin, axis: 'x', sign: -1 },
  });

export const footHeight = (share: number): Dial =>
  metres('footHeightM', 'Feet on the wall', [0.2, 1.5], ({ heightM }) => share * heightM, {
    is: 'footHeight',
    mark: { at: ({ ankle }) => [ankle[0], ankle[1]], axis: 'y', sign: 1 },
  });

export const lead: Dial = metres('shoulderLeadM', 'Shoulders ahead', [-0.45, 0.3], () => 0, {
  mark: { at: ({ shoulder }) => shoulder, axis: 'x', sign: 1 },
});

export const ballAt = (parameter: string, label: string, share: number): Dial =>
  metres(parameter, label, [0.3, 2], ({ heightM }) => share * heightM, {
    mark: { at: ({ heel }) => heel, axis: 'x', sign: -1 },
  });

export const arch = deg('archDeg', 'Arch', [-20, 60], 0);

export const platformDial: Dial = metres(
  'platformM',
  'Platform',
  [0, 0.24],
  ({ heightM }) => 0.083 * heightM,
  {
    is: 'platformHeight',
    mark: { at: ({ shoulder }) => shoulder, axis: 'y', sign: 1 },
    stacks: platformUnder,
  },
);
