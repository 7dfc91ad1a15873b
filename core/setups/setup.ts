import type { Body, Lengths } from '../body/body';
import type { ForearmHandsId } from '../body/hands';
import {
  refOf,
  specOf,
  type PieceCount,
  type PieceRef,
  type PieceSpec,
  type ShippedPieceId,
} from '../catalog/pieces';
import type { ProfileId, ProfileSettings } from '../catalog/profiles';
import type { WayUpId } from '../catalog/waysUp';
import { asMeasured, countRows, rowsServed } from '../pieces/rows';
import type { Spacer } from '../pieces/spacer';
import type { Stack } from '../pieces/stack';
import type { ShapeId } from '../shapes/postures';
import type { Placed, Rest, ShapeDimension, WallFace } from '../shapes/shape';
import { asFound, measureDistance, type Distance, type Wording } from './distance';
import { distanceWords, type DistanceId } from './distanceWords';
import { keptKey, type KeptDistances, type Sharing } from './kept';
import type { SetupId } from './registry';

/** What is measured of a person, beyond lengths; degrees. Absent: never measured. */
export interface Ranges {
  /** Hamstrings: moves the platform and the plough. */
  readonly straightLegRaiseDeg?: number;
  /** Arms overhead with the back flat: lets the elbows out. */
  readonly shoulderFlexionDeg?: number;
  /** Palm flat, forearm over it: asks for a wedge, or hands turned out. */
  readonly wristExtensionDeg?: number;
}

/** What a set-up is worked out from. */
export interface SetupInput extends Ranges {
  readonly body: Body;
  readonly profile: ProfileId;
  /** A profile copy's own figures and methods; absent: the shipped profile's. */
  readonly settings?: ProfileSettings;
  readonly pieces: readonly PieceCount[];
  readonly kept?: KeptDistances;
  /** How somebody comes up; absent: the usual way. */
  readonly wayUp?: WayUpId;
  /** Only the distances are wanted: no stack is looked for. */
  readonly isBare?: true;
}

/** One set-up: its distances, what is stacked, and what to say with it. */
export interface SetupResult {
  readonly distances: readonly Distance[];
  readonly stack?: Stack;
  readonly spacer?: Spacer;
  /** What lies or stands at the wall and bears nothing, from the wall out and up; metres. */
  readonly atWall?: { readonly widthM: number; readonly highM: number };
  /** The block between the hands: where it begins ahead of the wrists, how far along and up it reaches; metres. */
  readonly inHands?: { readonly fromM: number; readonly alongM: number; readonly highM: number };
  /** What lies ahead of the hands for the forehead, and bears nothing; metres. */
  readonly ahead?: { readonly widthM: number; readonly highM: number };
  /** What cannot be had or must be watched; sentences. */
  readonly cautions: readonly string[];
  readonly notes: readonly string[];
}

/** A figure as it is set out. */
export type SetFigure = Pick<Distance, 'id' | 'metres'>;

/** What stands in for the block, or how the hands lie that need none; each as it is added to a label. */
export const variantTable = {
  strap: 'strap version',
  blanket: 'blanket version',
  flat: 'hands flat',
  clasped: 'hands clasped',
  bare: 'no block to aim at',
  rolled: 'rolled blankets in its place',
  aheadBlock: 'a block for the forehead',
  roundBolster: 'with a round bolster',
} as const satisfies Readonly<Record<Exclude<ForearmHandsId, 'block'>, string>> &
  Readonly<Record<string, string>>;

export type Variant = keyof typeof variantTable;

/** One way to make a set-up, with the figures that way has. */
export interface SetupWay {
  /** Absent: the usual one. */
  readonly variant?: Variant;
  /** What is laid out. */
  readonly props: readonly PieceCount[];
  /** What it costs in worth against the usual way. */
  readonly less: number;
  readonly result: SetupResult;
}

export interface Ways {
  readonly ways: readonly SetupWay[];
  /** Why the cupboard cannot make it, where there is no way; a sentence. */
  readonly lack?: string;
}

/** What a set-up puts around the figure: its wall, what stands there, what is measured to them. */
export interface Around {
  readonly wall?: WallFace;
  readonly rests?: readonly Rest[];
  readonly dimensions?: readonly ShapeDimension[];
}

/** A measured set-up: one file each, all in the registry. */
export interface Setup {
  readonly label: string;
  readonly solve: (input: SetupInput) => SetupResult;
  /** How it is made from what is at hand. */
  readonly ways: (input: SetupInput, result: SetupResult) => Ways;
  /** Distances that some of the shapes of this set-up alone have. */
  readonly onlyFor?: Readonly<Partial<Record<DistanceId, readonly ShapeId[]>>>;
  /** Distances that are another set-up's. */
  readonly shares?: Sharing;
  /** What to look at before weight goes on; by the school and by what is laid out, where they differ. */
  readonly checkFirst:
    | readonly string[]
    | ((settings: ProfileSettings, distances: readonly SetFigure[]) => readonly string[]);
  readonly assist: string;
  readonly exit: string;
  /** Which view from above it has; absent: the side says it all. */
  readonly topView?: 'platform' | 'arms' | 'lane';
  /** `kick`: drawn with block, strap and the lean it forces. Absent: the posture it gives. */
  readonly sideView?: 'kick';
  /** The hands lie as the person or the school chooses. */
  readonly hasHands?: true;
  /** How the hands lie in it, whatever the person or the school chooses elsewhere. */
  readonly hands?: ForearmHandsId;
  /** What is drawn beside the figure, at the distances listed. */
  readonly around?: (result: SetupResult, placed: Placed, body: Body) => Around;
}

export const noAssist = 'None needed';

export const checkFirstOf = (
  { checkFirst }: Pick<Setup, 'checkFirst'>,
  settings: ProfileSettings,
  distances: readonly SetFigure[],
): readonly string[] =>
  typeof checkFirst === 'function' ? checkFirst(settings, distances) : checkFirst;

export const cm = (metres: number) => `${Math.round(metres * 100)} cm`;

/** So many at hand of what does for a piece, a teacher's own ones too. */
export const countOf = (pieces: readonly PieceCount[], id: ShippedPieceId): number =>
  countRows(pieces)[id] ?? 0;

/** What of it is at hand, to be measured to: the shipped piece before an own one; where none is, the shipped one. */
export function refAtHand(pieces: readonly PieceCount[], id: ShippedPieceId): PieceRef {
  const serving = pieces.filter((one) => one.count > 0 && rowsServed(one).includes(id));
  const own = serving.find(({ piece }) => piece !== id);
  return own === undefined || serving.some(({ piece }) => piece === id)
    ? asMeasured(pieces, { piece: id })
    : refOf(own);
}

/** Its faces. */
export const specAtHand = (pieces: readonly PieceCount[], id: ShippedPieceId): PieceSpec =>
  specOf(refAtHand(pieces, id));

/** A set-up that needs nothing but the floor, or these pieces. */
export const laidOut =
  (...props: readonly PieceCount[]): Setup['ways'] =>
  (_, result) => ({ ways: [{ props, less: 0, result }] });

/** The figure of a set-up, metres. @throws never: absent where the set-up does not measure it */
export const metresOf = (
  distances: readonly Pick<Distance, 'id' | 'metres'>[],
  id: DistanceId,
): number | undefined => distances.find((one) => one.id === id)?.metres;

interface Measured {
  readonly shares?: Sharing;
  /** The most this body reaches, metres: a distance kept beyond it counts no more. */
  readonly limits?: Readonly<Partial<Record<DistanceId, number>>>;
}

/** Measures one set-up for one person: what was found by trying wins over what is computed. */
export function measuring(
  { body, kept }: Pick<SetupInput, 'body' | 'kept'>,
  setup: SetupId,
  { shares, limits }: Measured = {},
) {
  const outgrown = new Set<string>();
  const findKept = (id: DistanceId) => {
    const found = kept?.get(keptKey(shares?.[id] ?? setup, id));
    if (found === undefined || found.metres <= (limits?.[id] ?? Infinity)) return found;
    outgrown.add(
      `${distanceWords[id].label}: the distance kept earlier is out of reach for this body; it is computed anew.`,
    );
    return undefined;
  };
  return {
    findKept,
    measure(id: DistanceId, figure: (lengths: Lengths) => number, wording?: Wording): Distance {
      const computed = measureDistance(body, id, figure, wording);
      const found = distanceWords[id].mayKeep ? findKept(id) : undefined;
      return found === undefined ? computed : asFound(computed, found.metres, found.on, found.note);
    },
    /** Sentences about what is kept and out of reach; empty mostly. */
    outgrown: (): readonly string[] => [...outgrown],
  };
}
