/** What a drill says of itself. Source: handbook 03 "Drills". */
import type { MoveId } from '../atlas/moves';
import type { CautionColumn } from './cautionColumns';
import type { CheckKey } from './checks';
import type { Dose } from './dose';
import type { PieceId } from './pieces';
import type { LadderId, StageKey } from './stage';
import type { BodyRegion, RegionLoads } from './regions';

export type DrillPurpose = 'warms' | 'strengthens' | 'teaches' | 'releases';

/** What somebody is on while they do it: a class that keeps these together is not a rush. */
export const positionTable = {
  standing: { label: 'standing' },
  seated: { label: 'seated' },
  kneeling: { label: 'on the knees' },
  hands: { label: 'on the hands' },
  forearms: { label: 'on the forearms' },
  back: { label: 'on the back' },
} as const;
export type DrillPosition = keyof typeof positionTable;
export const drillPositions = Object.keys(positionTable) as [DrillPosition, ...DrillPosition[]];

/** Parts of what belongs before a family's holds; one drill of each will do. */
export type PreparationPart = 'wrists' | 'shoulders' | 'triceps' | 'neck' | 'curl' | 'crown';

export interface DrillWork {
  readonly sets: number;
  readonly seconds: number;
}

export interface DrillSpec {
  readonly label: string;
  readonly sanskrit?: string;
  readonly how: string;
  /** Drawn; of a teacher’s own, the nearest they chose. */
  readonly move?: MoveId;
  /** Checks it works towards. */
  readonly serves: readonly CheckKey[];
  readonly loads: RegionLoads;
  readonly dose: Dose;
  /** Which part of what belongs before a family's holds it is. */
  readonly prepares?: Readonly<Partial<Record<LadderId, PreparationPart>>>;
  /** Absent for a teacher’s own that does not say: then it stands by itself. */
  readonly position?: DrillPosition;
  /** Sets, and the seconds of each; read off the dose (a breath 5 s, a short movement 3 s). */
  readonly work?: DrillWork;
  /** Stays in the room: weight on the neck, or a jump that nobody watches. */
  readonly isClassOnly?: true;
  readonly minutes: number;
  /** Per student. */
  readonly pieces: readonly { readonly piece: PieceId; readonly count: number }[];
  readonly purpose: DrillPurpose;
  readonly needsWall?: true;
  /** Weight on the hands, head below the heart: what the cautions look at. */
  readonly columns: readonly CautionColumn[];
  /** Strained besides what is loaded: pain there closes it too. */
  readonly strains: readonly BodyRegion[];
  /** A hop away from every wall: it wants a clear circle, as a try does. */
  readonly leavesFloor?: true;
  /** Leaves the floor, or weights the crown: asks for what this stage asks for. */
  readonly asStage?: StageKey;
  /** The same thing as these rungs: where it was done, a round of one of them is the second time. */
  readonly sameAs?: readonly StageKey[];
}

/** A row of the shipped table: it says where it is done, and has a drawing. */
export type ShippedDrill = DrillSpec & { readonly position: DrillPosition; readonly move: MoveId };

export const none: DrillSpec['pieces'] = [];
export const blocks = (count: number) => [{ piece: 'foam-block', count } as const];
export const still: DrillSpec['columns'] = [];

/** Share of an own drill's minutes that is work, in as many sets; the rest of them is rest. */
const usualWork = { share: 0.4, sets: 3 } as const;

/** Sets and seconds of a drill; where its author gave none, from its minutes. */
export const workOf = ({ work, minutes }: DrillSpec): DrillWork =>
  work ?? {
    sets: usualWork.sets,
    seconds: Math.round((60 * minutes * usualWork.share) / usualWork.sets),
  };
