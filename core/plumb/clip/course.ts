/** A clip over time: heights and the way to the wall, the frames that tell most, and subtitles. */
import type { ClipEvent, ClipEventKind, ClipReading } from './clip';
import { openClip, type ClipInput, type Limb } from './frames';
import { wallAt } from '../still';
import type { MarkName } from '../marks';

export interface CoursePoint {
  readonly atS: number;
  /** Above the floor, or above the lowest that a foot has been, metres; `null` where unknown. */
  readonly hips: number | null;
  readonly nearFoot: number | null;
  readonly farFoot: number | null;
  /** From the foot that is closer to it, metres; `null` without a wall. */
  readonly toWall: number | null;
}

const footMarks = ['toe', 'heel', 'ankle'] as const satisfies readonly MarkName[];

/**
 * Heights over time, metres; nothing without a scale.
 *
 * @throws InputProblem as `readClip` does
 */
export function courseOf(input: ClipInput): CoursePoint[] {
  const clip = openClip(input);
  const { scale, wall } = clip;
  if (scale === null) return [];
  const pointsOf = (limb: Limb, index: number) =>
    footMarks.flatMap((name) => {
      const point = clip.track(name, limb).at[index];
      return point ? [point] : [];
    });
  const limbs = ['near', 'far'] as const;
  const ground =
    clip.floorY ??
    Math.min(
      ...clip.times.flatMap((_, index) =>
        limbs.flatMap((limb) => pointsOf(limb, index).map(([, y]) => y)),
      ),
    );
  const toM = (pixels: number) => pixels * scale.nominal;
  const lowest = (limb: Limb, index: number) => {
    const ys = pointsOf(limb, index).map(([, y]) => y);
    return ys.length === 0 ? null : toM(Math.min(...ys) - ground);
  };
  return clip.times.map((atS, index): CoursePoint => {
    const hip = clip.track('hip', 'near').at[index];
    const gaps =
      wall === null
        ? []
        : limbs.flatMap((limb) =>
            pointsOf(limb, index).flatMap(([x, y]) => {
              const at = wallAt(wall, y);
              return at === null ? [] : [Math.abs(toM(at - x))];
            }),
          );
    return {
      atS,
      hips: hip ? toM(hip[1] - ground) : null,
      nearFoot: lowest('near', index),
      farFoot: clip.hasFarLeg ? lowest('far', index) : null,
      toWall: gaps.length === 0 ? null : Math.min(...gaps),
    };
  });
}

export const eventWords: Readonly<Record<ClipEventKind, string>> = {
  'leaves-floor': 'last foot off',
  'hips-over': 'hips over',
  'touches-wall': 'at the wall',
  'leaves-wall': 'off the wall',
  lands: 'first foot down',
};

export interface TellingFrame {
  readonly atS: number;
  readonly words: string;
}

/** As many pictures as tell a try. */
const mostTelling = 6;
const beforeS = 0.4;

/** The moments that tell a try: before it, its events, and the middle of what is held. */
export function tellingFrames(
  { events, measures }: Pick<ClipReading, 'events' | 'measures'>,
  times: readonly number[],
): TellingFrame[] {
  const [first, last] = [times[0], times.at(-1)];
  if (first === undefined || last === undefined) return [];
  const clamp = (atS: number) => Math.min(last, Math.max(first, atS));
  const off = events.find(({ kind }) => kind === 'leaves-floor');
  const over = events.find(({ kind }) => kind === 'hips-over');
  const lands = events.find(({ kind, atS }) => kind === 'lands' && atS > (over?.atS ?? first));
  const all: TellingFrame[] = [
    { atS: clamp((off?.atS ?? first) - beforeS), words: 'before' },
    ...events.map(({ kind, atS }) => ({ atS, words: eventWords[kind] })),
    ...(over !== undefined && measures.invertedS !== undefined
      ? [{ atS: clamp(over.atS + measures.invertedS.value / 2), words: 'held' }]
      : []),
    ...(lands === undefined ? [{ atS: last, words: 'the end' }] : []),
  ];
  const sorted = all.sort((a, b) => a.atS - b.atS);
  const chosen: TellingFrame[] = [];
  for (const one of sorted) {
    if (chosen.some(({ atS }) => Math.abs(atS - one.atS) < 1e-6)) continue;
    chosen.push(one);
  }
  // Of many tries the first ones and the end: the strip stays one row.
  return chosen.length <= mostTelling
    ? chosen
    : [...chosen.slice(0, mostTelling - 1), chosen.at(-1)!];
}

const stamp = (seconds: number): string => {
  const ms = Math.round(seconds * 1000);
  const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
  return `${two(ms / 3_600_000)}:${two((ms / 60_000) % 60)}:${two((ms / 1000) % 60)}.${String(ms % 1000).padStart(3, '0')}`;
};

/** As long as an event stands under the picture, seconds. */
const shownS = 0.6;

/** Events as WebVTT, to be laid under the clip by whatever plays it. */
export function writeVtt(events: readonly ClipEvent[]): string {
  const cues = events.map(({ kind, atS }, index) => {
    const next = events.slice(index + 1).find((one) => one.atS > atS);
    const to = Math.min(atS + shownS, next?.atS ?? Infinity);
    return `${index + 1}\n${stamp(atS)} --> ${stamp(to)}\n${eventWords[kind]}\n`;
  });
  return ['WEBVTT\n', ...cues].join('\n');
}
