/** A breath pacer as data: what the next seconds hold. Whoever shows or sounds it drives the time. */
import { onceSeconds, sidesOf, type Dose, type DoseStep } from '../catalog/dose';

export type PaceSpec =
  /** So many breaths. */
  | { readonly kind: 'breaths'; readonly breaths: number }
  /** Three, two, one: so many holds of a few breaths each, up for a breath or two between them. */
  | {
      readonly kind: 'pyramid';
      readonly from: number;
      readonly breathsEach: number;
      readonly breathsHigh: number;
    }
  /** Held low for some breaths and high for some, so many times. */
  | {
      readonly kind: 'low-high';
      readonly times: number;
      readonly breathsLow: number;
      readonly breathsHigh: number;
    }
  /** Holds with resets between them. */
  | {
      readonly kind: 'rounds';
      readonly rounds: number;
      readonly holdSeconds: number;
      readonly resetSeconds: number;
    };

/** Whoever comes down before the set of the others is over, seconds after it began. */
export interface ComingDown {
  readonly seconds: number;
  readonly people: readonly string[];
}

export interface PaceStep {
  readonly kind: 'hold' | 'reset';
  readonly label: string;
  readonly seconds: number;
  /** Repetitions in it, which are counted in place of breaths. */
  readonly times?: number;
  /** Whoever has less of it than the others, in the order in which they come down. */
  readonly down?: readonly ComingDown[];
  /** Whoever has no further set. */
  readonly done?: readonly string[];
}

export interface PaceNow {
  readonly step: PaceStep;
  /** 0 is the first step. */
  readonly index: number;
  /** Breath or repetition of this step, counted from 1. */
  readonly breath: number;
  readonly breathsOfStep: number;
  readonly phase: 'in' | 'out';
  /** How full the breath is, 0 to 1. */
  readonly fullness: number;
  /** Seconds left of the step. */
  readonly leftSeconds: number;
  readonly isOver: boolean;
}

/** The steps of a spec, in order. Source: handbook 02 "Pyramid 3-2-1", 08 "Breath pacer". */
export function listPace(spec: PaceSpec, breathSeconds: number): PaceStep[] {
  switch (spec.kind) {
    case 'breaths':
      return [{ kind: 'hold', label: 'Hold', seconds: spec.breaths * breathSeconds }];
    case 'rounds': {
      const steps: PaceStep[] = [];
      for (let round = 1; round <= spec.rounds; round += 1) {
        if (round > 1) steps.push({ kind: 'reset', label: 'Reset', seconds: spec.resetSeconds });
        const label = `Round ${round} of ${spec.rounds}`;
        steps.push({ kind: 'hold', label, seconds: spec.holdSeconds });
      }
      return steps;
    }
    case 'pyramid': {
      const steps: PaceStep[] = [];
      for (let size = spec.from; size >= 1; size -= 1) {
        for (let hold = 1; hold <= size; hold += 1) {
          const label = `${size}: hold ${hold} of ${size}`;
          steps.push({ kind: 'hold', label, seconds: spec.breathsEach * breathSeconds });
          const isLast = size === 1;
          if (isLast) continue;
          const high = spec.breathsHigh;
          const up = `Up, ${high === 1 ? 'one breath' : `${high} breaths`}`;
          steps.push({ kind: 'reset', label: up, seconds: high * breathSeconds });
        }
      }
      return steps;
    }
    case 'low-high':
      return Array.from({ length: spec.times }, (_, index): PaceStep[] => {
        const of = `${index + 1} of ${spec.times}`;
        return [
          { kind: 'hold', label: `Low, ${of}`, seconds: spec.breathsLow * breathSeconds },
          { kind: 'hold', label: `High, ${of}`, seconds: spec.breathsHigh * breathSeconds },
        ];
      }).flat();
    default:
      return spec satisfies never;
  }
}

/** Seconds of the rest after a set. */
const usual = { rest: 10 } as const;

/** A set of a dose, and what follows it before the next. */
interface Paced {
  readonly set: readonly PaceStep[];
  readonly after: PaceStep;
}

/** How long one set takes, seconds; `null` where it lasts as long as it is good. */
function setSeconds(step: DoseStep, breathSeconds: number): number | null {
  if ('seconds' in step) return step.seconds;
  if ('breaths' in step) return step.breaths[1] * breathSeconds;
  if ('times' in step) return step.times[1] * onceSeconds(step, breathSeconds);
  return null;
}

/**
 * The steps of a dose: every set on every side it asks for, a short rest between them. The more of
 * a span is paced: whoever has done the less comes down before the bell.
 *
 * @param over how often the line holds the dose
 * @returns nothing where the dose has no length: words of a teacher's own, or as long as it is good
 */
export function listDosePace(dose: Dose, breathSeconds: number, over = 1): PaceStep[] {
  if (typeof dose === 'string') return [];
  const one = dose.flatMap((step): Paced[] => {
    const seconds = setSeconds(step, breathSeconds);
    if (seconds === null) return [];
    const sets = step.sets ?? 1;
    const after: PaceStep =
      step.rest === undefined
        ? { kind: 'reset', label: 'Change', seconds: usual.rest }
        : { kind: 'reset', label: 'Rest', seconds: step.rest * breathSeconds };
    const counted = 'times' in step ? { times: step.times[1] } : {};
    return sidesOf(step).flatMap((side) =>
      Array.from({ length: sets }, (_, nth): Paced => {
        const count = sets === 1 ? '' : `set ${nth + 1} of ${sets}`;
        const label = [step.of ?? '', side, count].filter((words) => words !== '').join(', ');
        if (step.high === undefined) {
          const held = label === '' ? 'Go' : label;
          return { set: [{ kind: 'hold', label: held, seconds, ...counted }], after };
        }
        const rest = label === '' ? '' : `, ${label}`;
        const high = step.high * breathSeconds;
        const set: PaceStep[] = [
          { kind: 'hold', label: `Low${rest}`, seconds, ...counted },
          { kind: 'hold', label: `High${rest}`, seconds: high },
        ];
        return { set, after };
      }),
    );
  });
  const all = Array.from({ length: over }, () => one).flat();
  return all.flatMap(({ set }, at): PaceStep[] => {
    const before = all[at - 1];
    return before === undefined || isGoingOn(set, before.set) ? [...set] : [before.after, ...set];
  });
}

/** Low and high follow each other without a rest: it is in the being high. */
const isGoingOn = (set: readonly PaceStep[], before: readonly PaceStep[] | undefined): boolean =>
  set.length > 1 && before !== undefined && before.length > 1;

export const paceSeconds = (steps: readonly PaceStep[]): number =>
  steps.reduce((sum, { seconds }) => sum + seconds, 0);

/**
 * Where a pace stands after so many seconds. The in-breath takes the first half.
 *
 * @throws RangeError without steps
 */
export function paceAt(
  steps: readonly PaceStep[],
  elapsedSeconds: number,
  breathSeconds: number,
): PaceNow {
  if (steps.length === 0) throw new RangeError('A pace has at least one step.');
  let left = Math.max(0, elapsedSeconds);
  let index = 0;
  while (index < steps.length - 1 && left >= steps[index]!.seconds - 1e-9) {
    left -= steps[index]!.seconds;
    index += 1;
  }
  const step = steps[index]!;
  const isOver = left >= step.seconds - 1e-9 && index === steps.length - 1;
  const within = Math.min(left, step.seconds);
  const breathsOfStep = step.times ?? Math.max(1, Math.round(step.seconds / breathSeconds));
  // A step that is no whole number of breaths stretches them a little, so that it ends on an out-breath.
  const own = step.seconds / breathsOfStep;
  const breath = Math.min(breathsOfStep, Math.floor(within / own + 1e-9) + 1);
  const share = isOver ? 1 : (within - (breath - 1) * own) / own;
  const phase = share < 0.5 ? 'in' : 'out';
  return {
    step: step!,
    index,
    breath,
    breathsOfStep,
    phase,
    fullness: phase === 'in' ? share * 2 : 2 - share * 2,
    leftSeconds: Math.max(0, step.seconds - within),
    isOver,
  };
}
