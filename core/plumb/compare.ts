/** Two pictures of one person, or one and the computed figure, laid over each other on the base. */
import type { Body } from '../body/body';
import { radians } from '../posture/geometry';
import type { Point } from '../posture/joints';
import type { MarkName, MarkSet, Sheet } from './marks';
import { stillMeasureIds, type Measured, type StillMeasureId } from './measureTable';
import { basePoint, type StillReading } from './still';

export type Places = Readonly<Partial<Record<MarkName, Point>>>;

/** A picture as places in metres, ahead positive, the base point at nought. */
export interface LaidDown {
  readonly near: Places;
  readonly far: Places;
  /** Metres are the person's own trunk's, not the picture's. */
  readonly isByTrunk: boolean;
}

/**
 * The marks of a side picture, levelled and scaled, on their base point; `null` where there is
 * nothing to lay them down on, or nothing that says how large they are.
 */
export function layDown(
  sheet: Pick<Sheet, 'view' | 'marks' | 'base' | 'facing'>,
  { tiltDeg, metresPerPixel }: Pick<StillReading, 'tiltDeg' | 'metresPerPixel'>,
  body: Body,
): LaidDown | null {
  if (sheet.view !== 'side') return null;
  const { near, far } = sheet.marks;
  const base = near[basePoint[sheet.base]];
  if (base === undefined) return null;
  const { shoulder, hip } = near;
  const trunkPx =
    shoulder === undefined || hip === undefined
      ? 0
      : Math.hypot(shoulder.x - hip.x, shoulder.y - hip.y);
  if (metresPerPixel === null && trunkPx === 0) return null;
  const scale = metresPerPixel?.nominal ?? body.lengths.trunk / trunkPx;
  const turn = radians(tiltDeg);
  const way = sheet.facing === 'left' ? -1 : 1;
  const places = (set: MarkSet): Places =>
    Object.fromEntries(
      Object.entries(set).map(([name, { x, y }]) => {
        const [dx, dy] = [x - base.x, y - base.y];
        return [
          name,
          [
            way * (dx * Math.cos(turn) + dy * Math.sin(turn)) * scale,
            (dx * Math.sin(turn) - dy * Math.cos(turn)) * scale,
          ],
        ];
      }),
    );
  return { near: places(near), far: places(far), isByTrunk: metresPerPixel === null };
}

/** One measure of two readings. */
export interface Change {
  readonly id: StillMeasureId;
  readonly before: Measured;
  readonly after: Measured;
  /** After less before, with one deviation of both together. */
  readonly change: Measured;
  /** The change is larger than what both readings are off. */
  readonly isClear: boolean;
}

const errorOf = ({ low, high }: Measured) => (high - low) / 2;

/** What two readings have in common. */
export function compareReadings(
  before: Pick<StillReading, 'measures'>,
  after: Pick<StillReading, 'measures'>,
): Change[] {
  return stillMeasureIds.flatMap((id): Change[] => {
    const [from, to] = [before.measures[id], after.measures[id]];
    if (from === undefined || to === undefined) return [];
    const sd = Math.hypot(errorOf(from), errorOf(to));
    const value = to.value - from.value;
    return [
      {
        id,
        before: from,
        after: to,
        change: { value, low: value - sd, high: value + sd, unit: to.unit },
        isClear: Math.abs(value) > sd,
      },
    ];
  });
}
