/** How much of a drill: as data, so that clocks, home sheets and words come from one thing. */
import type { CheckKey } from './checks';

/** What is done once: so long, so many breaths, or so many times. The second is the most. */
type Amount =
  | { readonly seconds: number }
  | { readonly breaths: readonly [least: number, most: number] }
  | {
      readonly times: readonly [least: number, most: number];
      /** What is led by the breath takes so many of them each time; absent: a short movement. */
      readonly breathsEach?: number;
    }
  /** As long as it is good. */
  | { readonly hold: true };

export const perIds = ['side', 'way', 'each'] as const;
type Per = (typeof perIds)[number];

/** One part of a dose. */
export type DoseStep = Amount & {
  readonly sets?: number;
  /** Done again on the other side, the other way, or for each of what the drill names. */
  readonly per?: Per;
  /** What is counted or held, where a dose has several: `rocks`. */
  readonly of?: string;
  /** After each set held low, so many breaths high before the next. */
  readonly high?: number;
  /** Breaths of rest after each set; absent: as long as a change takes. */
  readonly rest?: number;
  /** The check that the seconds are a hold of: at home nobody holds beyond their own. */
  readonly held?: CheckKey;
};

/** Parts one after the other; of a teacher's own drill, their words. */
export type Dose = readonly DoseStep[] | string;

type More = Pick<DoseStep, 'sets' | 'per' | 'of' | 'high' | 'rest' | 'held'>;
type MoreTimes = More & { readonly breathsEach?: number };

export const times = (least: number, most = least, more: MoreTimes = {}): DoseStep => ({
  times: [least, most],
  ...more,
});
export const breaths = (least: number, most = least, more: More = {}): DoseStep => ({
  breaths: [least, most],
  ...more,
});
export const seconds = (count: number, more: More = {}): DoseStep => ({ seconds: count, ...more });

/** Seconds of a short movement, done slowly. */
const shortSeconds = 3;

/** How long it takes to do something counted once, seconds. */
export const onceSeconds = (
  { breathsEach }: { readonly breathsEach?: number },
  breathSeconds: number,
): number => (breathsEach === undefined ? shortSeconds : breathsEach * breathSeconds);

const span = ([least, most]: readonly [number, number]) =>
  least === most ? String(least) : `${least}–${most}`;

const sideWords: Readonly<Record<Per, readonly string[]>> = {
  side: ['one side', 'the other side'],
  way: ['one way', 'the other way'],
  each: ['the first', 'the second'],
};

/** What one part is done on, one after the other; one empty word where it is done once. */
export const sidesOf = ({ per }: { readonly per?: Per }): readonly string[] =>
  per === undefined ? [''] : sideWords[per];

const perWords = { side: ' a side', way: ' each way', each: ' each' } as const;

function sayAmount(step: DoseStep, ownSeconds: (held: CheckKey) => number): string {
  const named = step.of === undefined ? '' : ` ${step.of}`;
  if ('seconds' in step) {
    const most = step.held === undefined ? Infinity : ownSeconds(step.held);
    return `${Math.min(step.seconds, most)} s${named}`;
  }
  if ('breaths' in step) {
    return `${span(step.breaths)} ${step.breaths[1] === 1 ? 'breath' : 'breaths'}${named}`;
  }
  if ('times' in step) {
    if (step.of !== undefined) return `${span(step.times)}${named}`;
    return step.times[1] === 1 ? 'once' : `${span(step.times)} times`;
  }
  return 'a hold';
}

/**
 * A dose in words.
 *
 * @param ownSeconds how long somebody holds of a check, seconds; absent: as the drill says
 */
export function sayDose(dose: Dose, ownSeconds: (held: CheckKey) => number = () => Infinity) {
  if (typeof dose === 'string') return dose;
  return dose
    .map((step) => {
      const sets = step.sets === undefined ? '' : `${step.sets} × `;
      const high = step.high === undefined ? '' : ` low, ${step.high} high`;
      const per = step.per === undefined ? '' : perWords[step.per];
      const rest = step.rest === undefined ? '' : `, ${step.rest} breaths between`;
      return `${sets}${sayAmount(step, ownSeconds)}${high}${per}${rest}`;
    })
    .join(', ');
}
