/** A row of marked frames to events and measures. Source: handbook 13 "Command clip". */
import type { Point } from '../../posture/joints';
import { suggestFaults, type FaultFound } from '../faults';
import type { MarkName } from '../marks';
import {
  nearSideShare,
  type ClipMeasureId,
  type Measured,
  type MeasureSpec,
  clipMeasures,
} from '../measureTable';
import { spreadOf } from '../noise';
import type { LevelFrom } from '../picture';
import { toMeasured, turnRight, type StillReading } from '../still';
import { longestBridgeS, median, openClip, type Clip, type ClipInput, type Limb } from './frames';
import { massesIn } from './masses';
import { findTries, runsOf, type Run, type Tries, type Try } from './tries';

export const clipEventKinds = [
  'leaves-floor',
  'hips-over',
  'touches-wall',
  'leaves-wall',
  'lands',
] as const;
export type ClipEventKind = (typeof clipEventKinds)[number];

export interface ClipEvent {
  readonly kind: ClipEventKind;
  readonly atS: number;
}

export interface ClipReading {
  readonly tiltDeg: number;
  readonly levelFrom: LevelFrom;
  readonly metresPerPixel: StillReading['metresPerPixel'];
  readonly events: readonly ClipEvent[];
  readonly leadingLeg: Limb | null;
  readonly measures: Readonly<Partial<Record<ClipMeasureId, Measured>>>;
  readonly faults: readonly FaultFound[];
  readonly notes: readonly string[];
}

type Measures = Partial<Record<ClipMeasureId, Measured>>;

/** Seconds before take-off in which the shoulder stands where it stands. */
const beforeTakeOffS = 0.3;
/** How long the pelvis may still swing after the hips are over. */
const overshootS = 1;
const shortestSwayS = 1;
/** The last part of a landing, metres. */
const landingM = 0.2;
const slack = 1e-9;

function eventsOf(clip: Clip, { tries, isAtWall }: Tries): ClipEvent[] {
  const at = (kind: ClipEventKind, index: number): ClipEvent => ({ kind, atS: clip.times[index]! });
  const events = tries.flatMap((one): ClipEvent[] => {
    const over = one.inverted[0];
    const wall: ClipEvent[] = [];
    for (let index = Math.max(1, one.from); index <= (one.landed ?? one.to); index += 1) {
      if (one.isUnderWay && index === one.from) continue;
      if (isAtWall[index] === isAtWall[index - 1]) continue;
      wall.push(at(isAtWall[index] ? 'touches-wall' : 'leaves-wall', index));
    }
    return [
      ...(one.isUnderWay ? [] : [at('leaves-floor', one.from)]),
      ...(over === undefined || (one.isUnderWay && over.from === one.from)
        ? []
        : [at('hips-over', over.from)]),
      ...wall,
      ...(one.landed === null ? [] : [at('lands', one.landed)]),
    ];
  });
  return events.sort((a, b) => a.atS - b.atS);
}

const lengthOf = (clip: Clip, { from, to }: Run): number => clip.times[to]! - clip.times[from]!;

const longest = (clip: Clip, runs: readonly Run[]): Run | null =>
  runs.reduce<Run | null>(
    (best, run) => (best === null || lengthOf(clip, run) > lengthOf(clip, best) ? run : best),
    null,
  );

/** The try with the longest inverted stretch, else with the highest pelvis. */
function mainTry(clip: Clip, tries: readonly Try[]): Try | null {
  const hip = clip.track('hip', 'near').at;
  const longestOf = ({ inverted }: Try) => {
    const run = longest(clip, inverted);
    return run === null ? -1 : lengthOf(clip, run);
  };
  const heightOf = ({ highest }: Try) => hip[highest]![1];
  return tries.reduce<Try | null>((best, one) => {
    if (best === null) return one;
    const more = longestOf(one) - longestOf(best);
    return more > 0 || (more === 0 && heightOf(one) > heightOf(best)) ? one : best;
  }, null);
}

const one = (
  value: number,
  sd: number,
  unit: MeasureSpec['unit'],
  least = -Infinity,
): Measured => ({
  value,
  low: Math.max(least, value - sd),
  high: value + sd,
  unit,
});

class ClipMeter {
  readonly measures: Measures = {};

  constructor(
    private readonly clip: Clip,
    private readonly found: Tries,
    private readonly main: Try,
  ) {}

  private time(index: number): number {
    return this.clip.times[index]!;
  }

  /** To where the way up goes: the first inverted frame, else the highest pelvis. */
  private get top(): number {
    return this.main.inverted[0]?.from ?? this.main.highest;
  }

  private duration(id: ClipMeasureId, seconds: number): void {
    this.measures[id] = one(seconds, this.clip.intervalS, 's', 0);
  }

  /** Pixels to metres with the errors of scale and near side; nothing without a scale. */
  private metres(
    id: ClipMeasureId,
    pixels: number,
    sdPx: number,
    per = 1,
    least = -Infinity,
  ): void {
    const { scale } = this.clip;
    if (scale === null) return;
    const value = (pixels * scale.nominal) / per;
    const share = (scale.high - scale.low) / 2 / scale.nominal;
    const sd = Math.hypot((sdPx * scale.nominal) / per, value * share, value * nearSideShare);
    this.measures[id] = one(value, sd, clipMeasures[id].unit, least);
  }

  durations(): void {
    const { main, clip } = this;
    const [over] = main.inverted;
    const last = main.inverted.at(-1);
    if (over !== undefined && !main.isUnderWay) {
      this.duration('liftS', this.time(over.from) - this.time(main.from));
    }
    if (last !== undefined && main.landed !== null) {
      this.duration('exitS', this.time(main.landed) - this.time(last.to));
    }
    const stretch = longest(clip, main.inverted);
    if (stretch === null) return;
    this.duration('invertedS', lengthOf(clip, stretch));
    if (clip.wall === null) {
      clip.notes.push('No wall is marked: off the wall is all the time upside down.');
    }
    const off = this.offWall();
    this.duration('offWallS', off === null ? 0 : lengthOf(clip, off));
  }

  /** The longest inverted stretch with no foot at the wall. */
  private offWall(): Run | null {
    const { main, clip, found } = this;
    const isOff = found.isInverted.map((value, index) => {
      const isTouching = clip.wall !== null && found.isAtWall[index] === true;
      return value && !isTouching;
    });
    return longest(
      clip,
      main.inverted.flatMap((stretch) => runsOf(isOff, stretch)),
    );
  }

  touches(): void {
    const { main, clip, found } = this;
    if (clip.wall === null) return;
    const to = main.inverted.at(-1)?.to ?? main.to;
    let count = 0;
    for (let index = Math.max(1, main.from); index <= to; index += 1) {
      if (main.isUnderWay && index === main.from) continue;
      if (found.isAtWall[index] && !found.isAtWall[index - 1]) count += 1;
    }
    this.measures.wallTouches = { value: count, low: count, high: count, unit: 'count' };
  }

  /** The leading knee on the way up: the second smallest, so that one bad frame decides nothing. */
  knee(): void {
    const { main, clip } = this;
    const { leading } = main;
    if (leading === null) return;
    const angles: { readonly index: number; readonly bend: number }[] = [];
    for (let index = main.leadsFrom; index <= this.top; index += 1) {
      const bend = kneeBend((name, limb) => clip.track(name, limb).at[index] ?? null, leading);
      if (bend !== null) angles.push({ index, bend });
    }
    angles.sort((a, b) => Math.abs(b.bend) - Math.abs(a.bend));
    const chosen = angles[1] ?? angles[0];
    if (chosen === undefined) return;
    const picture = clip.pictures[chosen.index] ?? null;
    const spread =
      picture === null
        ? undefined
        : spreadOf(
            picture.noise,
            (values) => {
              const bend = kneeBend(picture.levelled(values).mark, leading);
              return bend === null ? new Map() : new Map([['bend', bend] as const]);
            },
            () => true,
          ).get('bend');
    this.measures.kneeMinDeg = toMeasured('kneeAngle', {
      value: chosen.bend,
      sd: spread?.sd ?? 0,
    });
  }

  drift(): void {
    const { main, clip } = this;
    if (main.isUnderWay) return;
    const shoulder = clip.track('shoulder', 'near').at;
    const before: number[] = [];
    for (let index = main.from - 1; index >= 0; index -= 1) {
      if (this.time(main.from) - this.time(index) > beforeTakeOffS + slack) break;
      const point = shoulder[index];
      if (point) before.push(point[0]);
    }
    if (before.length === 0) return;
    const mean = before.reduce((sum, x) => sum + x, 0) / before.length;
    let most = 0;
    for (let index = main.from; index <= this.top; index += 1) {
      const point = shoulder[index];
      if (point && Math.abs(point[0] - mean) > Math.abs(most)) most = point[0] - mean;
    }
    this.metres('shoulderDriftM', most, clip.markSd * Math.sqrt(1 + 1 / before.length));
  }

  overshoot(): void {
    const { main, clip } = this;
    const stretch = longest(clip, main.inverted);
    if (stretch === null) return;
    const hip = clip.track('hip', 'near').at;
    const places: number[] = [];
    let furthest = -Infinity;
    for (let index = stretch.from; index <= stretch.to; index += 1) {
      const [x] = hip[index]!;
      places.push(x);
      if (this.time(index) - this.time(stretch.from) <= overshootS + slack) {
        furthest = Math.max(furthest, x);
      }
    }
    const pixels = Math.max(0, furthest - median(places));
    this.metres('pelvisOvershootM', pixels, clip.markSd * Math.sqrt(1 + 1 / places.length), 1, 0);
  }

  sway(): void {
    const { clip } = this;
    const run = this.offWall();
    if (run === null || lengthOf(clip, run) < shortestSwayS - slack) return;
    const masses = massesIn(clip, run);
    if (masses === null) return;
    const mean = masses.places.reduce((sum, x) => sum + x, 0) / masses.places.length;
    const variance =
      masses.places.reduce((sum, x) => sum + (x - mean) ** 2, 0) / masses.places.length;
    const noise = (masses.noiseShare * clip.markSd) ** 2;
    const pixels = Math.sqrt(Math.max(0, variance - noise));
    // The deviation of a deviation over so many frames, of what is there and of what is noise.
    const sd = Math.sqrt((variance + noise) / (2 * masses.places.length));
    this.metres('swayM', pixels, sd, 1, 0);
  }

  /** How fast the first foot to land came down over its last part, from frames that were read. */
  landing(): void {
    const { main, clip } = this;
    if (main.landed === null || clip.scale === null) return;
    const mark = (['ankle', 'heel', 'toe'] as const).find((name) => {
      const { at } = clip.track(name, main.lands);
      return at[main.landed!] && at[main.landed! - 1];
    });
    if (mark === undefined) return;
    const { at, isReal } = clip.track(mark, main.lands);
    const drop = landingM / clip.scale.nominal;
    const end = at[main.landed]!;
    if (!isReal[main.landed]) return;
    for (let index = main.landed - 1; index >= main.from; index -= 1) {
      const point = at[index];
      if (!point || !isReal[index]) return;
      const height = point[1] - end[1];
      if (height < drop) continue;
      const below = at[index + 1]![1] - end[1];
      const share = (height - drop) / (height - below);
      const from = this.time(index) + share * (this.time(index + 1) - this.time(index));
      const seconds = this.time(main.landed) - from;
      if (seconds <= 0) return;
      this.metres('landingMPerS', drop, clip.markSd * Math.SQRT2, seconds, 0);
      return;
    }
  }
}

/** The signed bend of a knee, degrees; the near hip where the far one is not marked. */
function kneeBend(at: (name: MarkName, limb: Limb) => Point | null, limb: Limb): number | null {
  const hip = at('hip', limb) ?? at('hip', 'near');
  const [knee, ankle] = [at('knee', limb), at('ankle', limb)];
  if (hip === null || knee === null || ankle === null) return null;
  return turnRight([knee[0] - hip[0], knee[1] - hip[1]], [ankle[0] - knee[0], ankle[1] - knee[1]]);
}

/** Gaps that were too long to be bridged, in words. */
function noteGaps(clip: Clip): void {
  const hip = clip.track('hip', 'near').at;
  const shoulder = clip.track('shoulder', 'near').at;
  const isGood = clip.times.map((_, index) => hip[index] !== null && shoulder[index] !== null);
  let last = -1;
  isGood.forEach((good, index) => {
    if (!good) return;
    if (last >= 0 && index - last > 1) {
      const seconds = clip.times[index]! - clip.times[last]!;
      clip.notes.push(
        `Hip or shoulder is lost from ${clip.times[last]!.toFixed(1)} to ${clip.times[index]!.toFixed(1)} s, more than ${longestBridgeS} s: what was under way then is ended (${seconds.toFixed(1)} s).`,
      );
    }
    last = index;
  });
}

/**
 * Events and measures of a clip. Times in seconds, lengths in metres where there is a scale.
 *
 * @throws InputProblem for times that do not rise, and for what is no picture of a person
 */
export function readClip(input: ClipInput): ClipReading {
  const clip = openClip(input);
  noteGaps(clip);
  if (!clip.hasFarLeg) clip.notes.push('No far leg is marked: the near one stands for both.');
  if (clip.heightPx === null) {
    clip.notes.push('No frame shows shoulder, hip, knee and ankle: contacts cannot be told.');
  }
  const found = clip.heightPx === null ? null : findTries(clip);
  const tries = found?.tries ?? [];
  const main = found === null ? null : mainTry(clip, tries);
  const hops = tries.filter(({ isUnderWay }) => !isUnderWay).length;
  let measures: Measures = {};
  if (found !== null && main !== null) {
    const meter = new ClipMeter(clip, found, main);
    meter.durations();
    meter.touches();
    meter.knee();
    meter.drift();
    meter.overshoot();
    meter.sway();
    meter.landing();
    measures = meter.measures;
  }
  if (found !== null) measures.hops = { value: hops, low: hops, high: hops, unit: 'count' };
  const heightM =
    clip.picture.body?.heightM ??
    (clip.heightPx === null || clip.scale === null ? null : clip.heightPx * clip.scale.nominal);
  const { base, shape, isOverKnuckle } = input;
  return {
    tiltDeg: clip.picture.tiltDeg,
    levelFrom: clip.picture.levelFrom,
    metresPerPixel: clip.scale,
    events: found === null ? [] : eventsOf(clip, found),
    leadingLeg: main === null ? (clip.hasFarLeg ? null : 'near') : main.leading,
    measures,
    faults: suggestFaults(
      {
        view: 'clip',
        base,
        ...(shape === undefined ? {} : { shape }),
        ...(isOverKnuckle === undefined ? {} : { isOverKnuckle }),
      },
      measures,
      heightM,
    ),
    notes: clip.notes,
  };
}
