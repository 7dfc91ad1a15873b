/**
 * Which checks a measure can feed, in one table: what of a picture or a clip may become a record,
 * and with what error. Source: handbook 13 "Errors"; limits where it is silent are
 * the product's own.
 */
import { getCheck, type BaseId, type CheckId, type CheckSpec } from '../catalog/checks';
import { isAsSlowOut } from '../running/exit';
import type { ClipReading } from './clip/clip';
import type { ClockStop } from './clip/clock';
import type { ShapeId } from '../shapes/postures';
import type { PlumbBase, StillInput } from './marks';
import type { ClipMeasureId, HeldMeasureId, Measured, RecordMeasureId } from './measureTable';
import type { StillReading } from './still';

/** What a picture or clip offers as a record; kept only by the teacher's tap. */
export interface Offer {
  readonly check: CheckId;
  readonly base: BaseId | null;
  readonly measure: RecordMeasureId;
  /** In the check's own unit; 1 or 0 for one that is passed or not. */
  readonly value: number;
  /** One standard deviation, in the same unit; 0 for what is passed or not. */
  readonly error: number;
  /** Why it is shown and not kept; absent: it may be kept. */
  readonly tooCoarse?: string;
}

/** A trunk that stands upright over the base set is within so many degrees. */
const uprightDeg = 10;
/** As far off as a range in degrees may be read and still say something: three of its own errors. */
const coarsestDeg = 15;
/** A hold read from frames further apart than this is no clock, seconds. */
const coarsestS = 1;
/** A landing softer than this is one (handbook 13). */
const softLandingMPerS = 1.5;

/** How a check is looked at: the shape it is taken in and what carries then. */
export interface CheckLook {
  /** `null`: lying or kneeling, in none of the shapes that have loads. */
  readonly shape: ShapeId | null;
  readonly base: PlumbBase;
}

/** Checks that a still can answer: the method "from a picture" stands beside their number. */
export const stillChecks = {
  'head-clearance': { shape: 'dolphin', base: 'forearms' },
  'straight-leg-raise': { shape: null, base: 'feet' },
  'shoulder-flexion': { shape: null, base: 'feet' },
  'wrist-extension': { shape: null, base: 'hands' },
  'upright-walk-in': { shape: 'headstandBase', base: 'head' },
} as const satisfies Partial<Record<CheckId, CheckLook>>;
export type StillCheck = keyof typeof stillChecks;
export const isStillCheck = (check: string): check is StillCheck =>
  Object.hasOwn(stillChecks, check);

const errorOf = ({ low, high }: Measured) => (high - low) / 2;
const baseIdOf = (base: PlumbBase): BaseId | null => (base === 'feet' ? null : base);

interface Context {
  readonly view: StillInput['view'];
  readonly base: PlumbBase;
  /** The shape that was chosen; none: what is seen is not said to be one. */
  readonly shape?: ShapeId | null;
  /** The bar of a check in this school, in its unit. */
  readonly barOf: (check: CheckId) => number;
}

/** A span on one side of a bar decides; one that holds it does not. */
function passed(found: Measured, isPast: (value: number) => boolean): boolean | null {
  const [low, high] = [isPast(found.low), isPast(found.high)];
  return low === high ? low : null;
}

const open = 'Its span holds the bar: measure again, closer or squarer.';

/**
 * Why a reading is too coarse for what it is to decide; `null`: it may be kept.
 *
 * @param error one standard deviation, in the unit of the check
 * @param bar of the check; absent: the strictest that ships
 */
export function findCoarse(
  { scoring, opensAt }: Pick<CheckSpec, 'scoring' | 'opensAt'>,
  error: number,
  bar = Math.max(...Object.values(opensAt)),
): string | null {
  switch (scoring.kind) {
    case 'measure':
      if (scoring.unit === 'degrees') {
        return error > coarsestDeg
          ? `The error of ${Math.round(error)}° is larger than what it decides.`
          : null;
      }
      return error > bar
        ? `The error of ${error.toFixed(1)} ${scoring.unit} is larger than what it decides.`
        : null;
    case 'hold':
      return error > coarsestS ? 'The frames lie too far apart for a clock.' : null;
    case 'reps':
    case 'pass':
    case 'pass-of-last':
    case 'same-day':
    case 'level':
    case 'rating':
      return null;
  }
}

/** A figure as a record of a check, `scale` times as large in the check's unit. */
function offer(
  check: CheckId,
  measure: RecordMeasureId,
  found: Measured | undefined,
  { base = null, scale = 1, bar }: { base?: BaseId | null; scale?: number; bar?: number } = {},
): Offer[] {
  if (found === undefined) return [];
  const error = errorOf(found) * scale;
  const tooCoarse = findCoarse(getCheck(check), error, bar);
  const value = found.value * scale;
  return [{ check, base, measure, value, error, ...(tooCoarse === null ? {} : { tooCoarse }) }];
}

/** A walk-in that stands upright, where its span decides. */
function offerOfWalkIn(found: Measured | undefined): Offer[] {
  if (found === undefined) return [];
  const isUpright = passed(found, (value) => Math.abs(value) <= uprightDeg);
  return [
    {
      check: 'upright-walk-in',
      base: null,
      measure: 'trunkLean',
      value: Math.abs(found.value) <= uprightDeg ? 1 : 0,
      error: 0,
      ...(isUpright === null ? { tooCoarse: open } : {}),
    },
  ];
}

/**
 * What a still offers: of each check only what is taken as the check is. Another shape that was
 * chosen, or another base, measures something else.
 */
export function offersOfStill(
  { measures }: StillReading,
  { view, base, shape = null, barOf }: Context,
): Offer[] {
  if (view !== 'side') return [];
  const isTakenSo = (check: StillCheck) => {
    const look: CheckLook = stillChecks[check];
    return look.base === base && (shape === null || shape === look.shape);
  };
  const rows: Readonly<Record<StillCheck, () => Offer[]>> = {
    'head-clearance': () =>
      offer('head-clearance', 'headClearance', measures.headClearance, {
        scale: 100,
        bar: barOf('head-clearance'),
      }),
    'straight-leg-raise': () =>
      offer('straight-leg-raise', 'straightLegRaise', measures.straightLegRaise),
    // Of somebody who lies: the leg says so.
    'shoulder-flexion': () =>
      measures.straightLegRaise === undefined
        ? []
        : offer('shoulder-flexion', 'shoulderAngle', measures.shoulderAngle),
    'wrist-extension': () => offer('wrist-extension', 'wristExtension', measures.wristExtension),
    'upright-walk-in': () => offerOfWalkIn(measures.trunkLean),
  };
  return (Object.keys(rows) as StillCheck[]).flatMap((check) =>
    isTakenSo(check) ? rows[check]() : [],
  );
}

/** How much the elbows crept apart between two pictures, cm: before and after clasping. */
export function offerOfDrift(
  before: StillReading,
  after: StillReading,
  { barOf }: Pick<Context, 'barOf'>,
): Offer[] {
  const [from, to] = [before.measures.elbowGap, after.measures.elbowGap];
  if (from === undefined || to === undefined) return [];
  const sd = Math.hypot(errorOf(from), errorOf(to));
  const value = to.value - from.value;
  const drift: Measured = { value, low: value - sd, high: value + sd, unit: 'm' };
  return offer('elbow-drift', 'elbowGap', drift, { scale: 100, bar: barOf('elbow-drift') });
}

/** A hold by the clock of the frames; none where there was none. */
const held = (
  check: CheckId,
  base: BaseId | null,
  measure: RecordMeasureId,
  found: Measured | undefined,
): Offer[] =>
  found === undefined || found.value <= 0 ? [] : offer(check, measure, found, { base });

/** Tries in which a foot reached the wall. */
function reachedWall({ events }: ClipReading): number {
  let isTrying = false;
  let hasReached = false;
  let count = 0;
  for (const { kind } of events) {
    if (kind === 'leaves-floor') {
      isTrying = true;
      hasReached = false;
    } else if (kind === 'touches-wall' && isTrying && !hasReached) {
      hasReached = true;
      count += 1;
    } else if (kind === 'lands') isTrying = false;
  }
  return count;
}

/** The bases that somebody is up on. */
export const upOn = ['hands', 'forearms', 'head'] as const satisfies readonly BaseId[];

/** Checks that a clip can answer: by what, on which bases, and whether it takes a wall. */
export const clipChecks = {
  'balance-off-wall': { by: 'hold', measure: 'offWallS', bases: upOn, atWall: true, clock: 'wall' },
  'wall-hold': { by: 'hold', measure: 'invertedS', bases: upOn, atWall: true, clock: 'floor' },
  'l-hold': { by: 'hold', measure: 'lHoldS', bases: upOn, atWall: false, clock: 'floor' },
  'tuck-hold': { by: 'hold', measure: 'tuckHoldS', bases: ['head'], atWall: false, clock: 'floor' },
  'hops-reaching': { by: 'hops', bases: ['hands'], atWall: true, clock: 'floor' },
  'controlled-exit': { by: 'exit', bases: upOn, atWall: false, clock: null },
} as const satisfies Partial<Record<CheckId, ClipLook>>;
type ClipLook = {
  readonly bases: readonly BaseId[];
  readonly atWall: boolean;
  /** What ends it on the clock without hands; `null`: no clock tells it, a clip does. */
  readonly clock: ClockStop | null;
} & (
  | { readonly by: 'hold'; readonly measure: ClipMeasureId | HeldMeasureId }
  | { readonly by: 'hops' | 'exit' }
);
export type ClipCheck = keyof typeof clipChecks;
export const isClipCheck = (check: string): check is ClipCheck => Object.hasOwn(clipChecks, check);

/** Those that the clock without hands tells. */
export type TimedCheck = {
  [Check in ClipCheck]: (typeof clipChecks)[Check]['clock'] extends null ? never : Check;
}[ClipCheck];
export const isTimedCheck = (check: ClipCheck): check is TimedCheck =>
  clipChecks[check].clock !== null;
export const timedChecks = (Object.keys(clipChecks) as ClipCheck[]).filter(isTimedCheck);

interface ClipContext {
  readonly base: PlumbBase;
  readonly hasWall: boolean;
  /** How long an L or a tuck was held in it. */
  readonly holds: Readonly<Partial<Record<HeldMeasureId, Measured>>>;
}

function offerOfHops(reading: ClipReading): Offer[] {
  const { hops } = reading.measures;
  if (hops === undefined || hops.value <= 0) return [];
  const value = reachedWall(reading);
  return [{ check: 'hops-reaching', base: null, measure: 'hops', value, error: 0 }];
}

function offerOfExit(
  { measures: { exitS, liftS, landingMPerS } }: ClipReading,
  on: BaseId,
): Offer[] {
  if (exitS === undefined || liftS === undefined || landingMPerS === undefined) return [];
  const isSlow = passed(exitS, (value) => value >= liftS.value);
  const isSoft = passed(landingMPerS, (value) => value <= softLandingMPerS);
  const times = { liftS: liftS.value, exitS: exitS.value };
  const value = isAsSlowOut(times, 0) === true && landingMPerS.value <= softLandingMPerS ? 1 : 0;
  // One clear no is a no.
  const isOpen = isSlow !== false && isSoft !== false && (isSlow === null || isSoft === null);
  return [
    {
      check: 'controlled-exit',
      base: on,
      measure: 'exitS',
      value,
      error: 0,
      ...(isOpen ? { tooCoarse: open } : {}),
    },
  ];
}

/** What a clip offers: each check on the bases it is taken on, at the wall where it takes one. */
export function offersOfClip(reading: ClipReading, { base, hasWall, holds }: ClipContext): Offer[] {
  const { measures } = reading;
  const on = baseIdOf(base);
  if (on === null) return [];
  return (Object.keys(clipChecks) as ClipCheck[]).flatMap((check): Offer[] => {
    const look: ClipLook = clipChecks[check];
    if (!look.bases.includes(on) || (look.atWall && !hasWall)) return [];
    switch (look.by) {
      case 'hold': {
        const { byBase } = getCheck(check);
        const found = { ...measures, ...holds }[look.measure];
        return held(check, byBase === true ? on : null, look.measure, found);
      }
      case 'hops':
        return offerOfHops(reading);
      case 'exit':
        return offerOfExit(reading, on);
    }
  });
}
