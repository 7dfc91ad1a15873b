/** What somebody may do in a round, as the composer and the plan know it. */
import type { AlternativeId } from '../catalog/alternatives';
import type { DrillWork } from '../catalog/drills';
import type { PieceCount } from '../catalog/pieces';
import type { BodyRegion, RegionLoads } from '../catalog/regions';
import type { LadderId, StageKey, StageShape } from '../catalog/stage';
import type { WayUpId } from '../catalog/waysUp';
import type { Pass } from '../ladder/gatekeeper';
import type { OpenedCase } from '../ladder/case';
import { toSetupInput, type Sized } from '../ladder/sized';
import { distanceWords, type DistanceId } from '../setups/distanceWords';
import type { SetupId } from '../setups/registry';
import type { SetupInput, SetupResult, Variant } from '../setups/setup';
import type { LengthUnits } from '../units/length';
import type { RoundOption } from './problem';

/** What a round of each is worth, in one table (handbook 08: what it strives for). */
export const optionValues = {
  next: 1,
  nextWithSupport: 0.9,
  /** Open as well, one rung further: climbed to on the same evening, never skipped to. */
  ahead: 0.8,
  present: 0.7,
  /** A side line or a branch that is open. */
  aside: 0.55,
  stepDown: 0.45,
  alternative: 0.4,
  rest: 0.05,
} as const;

export type OptionRole = keyof typeof optionValues;
export const optionRoles = Object.keys(optionValues) as [OptionRole, ...OptionRole[]];

/** One figure of a set-up as it is set out. */
export interface PlannedFigure {
  readonly id: DistanceId;
  readonly metres: number;
  /** Found by trying, and kept. */
  readonly isFound?: true;
  /** Rests on a length that nobody has measured. */
  readonly isEstimated?: true;
}

/** An option as the plan file names it. */
export interface PlannedOption extends RoundOption {
  /** The gatekeeper's: without it nothing is an option. */
  readonly pass: Pass;
  readonly label: string;
  readonly stage?: StageKey;
  readonly alternative?: AlternativeId;
  readonly family?: LadderId;
  /** What stands in for the block. */
  readonly variant?: Variant;
  /** How they come up, where there is more than one way. */
  readonly wayUp?: WayUpId;
  readonly role: OptionRole;
  readonly why: string;
  /** What is laid out, by the row of the cupboard it comes from. */
  readonly props: readonly PieceCount[];
  readonly loads: RegionLoads;
  /** Strained besides: pain there closes it. */
  readonly strains: readonly BodyRegion[];
  readonly shape?: StageShape;
  readonly recipe?: SetupId;
  /** Wrist or elbow to the wall, metres, where a set-up measures it. */
  readonly baseM?: number;
  /** What is set out by the tape, that distance included; absent: nothing is measured. */
  readonly figures?: readonly PlannedFigure[];
  /** Radius of a clear circle, metres. */
  readonly radiusM?: number;
  /** Checks of the day to confirm first; the fallback stands beside it. */
  readonly atDoor: readonly string[];
  /** What is done where one of them is not confirmed: another option of the same person. */
  readonly fallback?: string;
  /** The student is asked before hands are laid on. */
  readonly asksFirst?: true;
  /** What a helper does. */
  readonly assist?: string;
  /** Tries in a round: as many as the dose asks and this student has in them. */
  readonly tries?: number;
  /** What is looked at before weight goes on. */
  readonly checkFirst?: readonly string[];
  /** What of it one round holds, in words. */
  readonly dose?: string;
  /** The same as work. */
  readonly work?: DrillWork;
  /** The same set by set, seconds; absent in classes begun before it was said. */
  readonly spans?: readonly number[];
  /** A foot leaves the floor: not for whoever keeps the feet down today. */
  readonly feetUp?: true;
  /** Holds nothing that the family's counterpose answers. */
  readonly sparesCounter?: true;
  /** What a teacher's own rung has in the place of the family's counterpose, in words. */
  readonly counter?: string;
  /** What to do differently and look at; for the teacher alone. */
  readonly watch?: readonly string[];
}

export interface OptionContext extends Sized {
  readonly families: readonly LadderId[];
  readonly ceilingM: number;
  readonly pieces: readonly PieceCount[];
  /** How long this studio counts a breath; absent: as is usual. */
  readonly breathSeconds?: number;
  /** What lengths are said in; absent: metres. */
  readonly units?: LengthUnits;
}

/** A stage that the verdict opens and something else does not. */
export interface Shut {
  readonly stage: StageKey;
  readonly label: string;
  readonly why: string;
}

export interface PersonOptions {
  readonly options: readonly PlannedOption[];
  /** Every shape that would do instead, in the order they are offered; for who gets sore tonight. */
  readonly fallbacks: readonly PlannedOption[];
  readonly shut: readonly Shut[];
}

/** What is set out by the tape; what only explains it stays on the card. */
export function figuresOf(result: SetupResult | null): Pick<PlannedOption, 'figures'> {
  const figures = (result?.distances ?? [])
    .filter(({ id }) => distanceWords[id].mayKeep)
    .map(({ id, metres, found, basis }): PlannedFigure => ({
      id,
      metres,
      ...(basis === 'estimated' ? { isEstimated: true as const } : {}),
      ...(found === undefined ? {} : { isFound: true as const }),
    }));
  return figures.length === 0 ? {} : { figures };
}

const inputs = new WeakMap<OpenedCase, WeakMap<OptionContext, SetupInput>>();

/** What set-ups are worked out from, for one person on one evening: always the same object. */
export function inputFor(person: OpenedCase, context: OptionContext): SetupInput {
  const own = inputs.get(person) ?? new WeakMap<OptionContext, SetupInput>();
  inputs.set(person, own);
  const input = own.get(context) ?? toSetupInput(person, context, context.pieces);
  own.set(context, input);
  return input;
}

/** A hold that is followed by a counterpose of its family. */
export const asksCounter = (
  option: PlannedOption | null,
  family: LadderId,
): option is PlannedOption =>
  option?.stage !== undefined && option.family === family && option.sparesCounter !== true;
