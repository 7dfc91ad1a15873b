import { InputProblem } from '../problem';
import { entriesOf } from '../units/keyed';
import { findGirthProblem, type Girths } from './girths';
import type { ForearmHandsId } from './hands';
import {
  fixedFractions,
  heightRangeM,
  lengthIds,
  lengthTable,
  massRangeKg,
  measuredSdM,
  plausibleShare,
  totals,
  type LengthId,
} from './lengths';

export type Basis = 'measured' | 'estimated';
/** Metres per length. */
export type Lengths = Readonly<Record<LengthId, number>>;

export interface BodyInput {
  readonly heightM: number;
  /** Nobody has said it: taken as usual, with all that this leaves open. */
  readonly isHeightGuessed?: true;
  readonly massKg?: number;
  /** Only what somebody measured, in metres. */
  readonly lengths?: Readonly<Partial<Record<LengthId, number>>>;
  /** Only what somebody measured, metres. */
  readonly girths?: Girths;
  /** How this person's hands lie in a forearm stand; absent: as the school has them. */
  readonly forearmHands?: ForearmHandsId;
}

/** A body with every length filled in. Metres and kilograms throughout. */
export interface Body {
  readonly heightM: number;
  /** One standard deviation of the height, metres; 0 where it was said. */
  readonly heightSdM: number;
  readonly massKg?: number;
  readonly forearmHands?: ForearmHandsId;
  /** As far as measured. */
  readonly girths?: Girths;
  readonly lengths: Lengths;
  readonly basis: Readonly<Record<LengthId, Basis>>;
  /** One standard deviation of each length, metres. */
  readonly sdM: Lengths;
  /** Ankle above a flat sole. */
  readonly ankleM: number;
  /** Ankle above the floor, standing on the balls of the feet. */
  readonly ankleOnBallM: number;
  /** Ear above the shoulder line. */
  readonly earM: number;
}

/** Where nobody has said a height: what is usual among adults, and how far off that may be. */
export const guessedHeight = { heightM: 1.68, sdM: 0.09 } as const;

/** What is wrong with a length somebody typed, as a sentence; nothing when it is plausible. */
export function findLengthProblem(id: LengthId, metres: number, heightM: number): string | null {
  const usual = lengthTable[id].fraction * heightM;
  const low = usual * plausibleShare.low;
  const high = usual * plausibleShare.high;
  if (metres >= low && metres <= high) return null;
  const cm = (m: number) => `${Math.round(m * 100)}`;
  return `${lengthTable[id].label}: ${cm(metres)} cm does not fit a height of ${cm(heightM)} cm; expected ${Math.ceil(low * 100)} to ${Math.floor(high * 100)} cm.`;
}

/**
 * Fills in a body from height and whatever was measured.
 *
 * Lengths nobody measured follow from height; a measured total (arm reach, leg reach) rescales
 * those of its parts that were not measured themselves (handbook 04).
 *
 * @throws InputProblem `out-of-range` for height, mass or a length that cannot be, `not-possible`
 * for a total that its own measured parts contradict.
 */
export function resolveBody(input: BodyInput): Body {
  const { heightM, massKg } = input;
  if (!(heightM >= heightRangeM.low && heightM <= heightRangeM.high)) {
    throw new InputProblem(
      'out-of-range',
      `Height must be between ${heightRangeM.low.toFixed(2)} and ${heightRangeM.high.toFixed(2)} m.`,
      ['heightM'],
    );
  }
  if (massKg !== undefined && !(massKg >= massRangeKg.low && massKg <= massRangeKg.high)) {
    throw new InputProblem(
      'out-of-range',
      `Body mass must be between ${massRangeKg.low} and ${massRangeKg.high} kg.`,
      ['massKg'],
    );
  }
  const measured = input.lengths ?? {};
  const lengths = {} as Record<LengthId, number>;
  for (const id of lengthIds) {
    const typed = measured[id];
    if (typed === undefined) {
      lengths[id] = lengthTable[id].fraction * heightM;
      continue;
    }
    const problem = findLengthProblem(id, typed, heightM);
    if (problem !== null || !Number.isFinite(typed)) {
      throw new InputProblem('out-of-range', problem ?? 'This is not a length.', ['lengths', id]);
    }
    lengths[id] = typed;
  }
  for (const total of ['armReach', 'sittingLegReach'] as const) {
    if (measured[total] !== undefined) rescaleParts(total, measured, lengths, heightM);
  }
  const basis = {} as Record<LengthId, Basis>;
  const sdM = {} as Record<LengthId, number>;
  for (const id of lengthIds) {
    basis[id] = measured[id] === undefined ? 'estimated' : 'measured';
    sdM[id] = basis[id] === 'measured' ? measuredSdM : lengths[id] * lengthTable[id].spread;
  }
  return {
    heightM,
    heightSdM: input.isHeightGuessed ? guessedHeight.sdM : 0,
    ...(massKg === undefined ? {} : { massKg }),
    ...(input.forearmHands === undefined ? {} : { forearmHands: input.forearmHands }),
    ...(input.girths === undefined ? {} : { girths: checkedGirths(input.girths, heightM) }),
    lengths,
    basis,
    sdM,
    ankleM: fixedFractions.ankle * heightM,
    ankleOnBallM: fixedFractions.ankleOnBall * heightM,
    earM: fixedFractions.ear * heightM,
  };
}

/** @throws InputProblem `out-of-range` for a girth that cannot be */
function checkedGirths(girths: Girths, heightM: number): Girths {
  for (const [id, metres] of entriesOf(girths)) {
    const problem = findGirthProblem(id, metres, heightM);
    if (problem !== null || !Number.isFinite(metres)) {
      throw new InputProblem('out-of-range', problem ?? 'This is not a girth.', ['girths', id]);
    }
  }
  return girths;
}

function rescaleParts(
  total: keyof typeof totals,
  measured: Partial<Record<LengthId, number>>,
  lengths: Record<LengthId, number>,
  heightM: number,
): void {
  const { parts, fixedFraction } = totals[total];
  const free = parts.filter((part) => measured[part] === undefined);
  if (free.length === 0) return;
  const taken = parts
    .filter((part) => measured[part] !== undefined)
    .reduce((sum, part) => sum + lengths[part], fixedFraction * heightM);
  const usual = free.reduce((sum, part) => sum + lengths[part], 0);
  const share = (lengths[total] - taken) / usual;
  if (share < plausibleShare.low || share > plausibleShare.high) {
    throw new InputProblem(
      'not-possible',
      `${lengthTable[total].label} leaves ${Math.round((lengths[total] - taken) * 100)} cm for ${free
        .map((part) => lengthTable[part].label.split(',')[0]!.toLowerCase())
        .join(' and ')}, which cannot be. Measure again.`,
      ['lengths', total],
    );
  }
  for (const part of free) lengths[part] *= share;
}
