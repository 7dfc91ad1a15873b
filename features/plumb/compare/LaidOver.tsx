import type { Body } from '@/core/body/body';
import { drawFigure } from '@/core/drawing/figure/figure';
import { makeFrame } from '@/core/drawing/scene';
import type { LaidDown, Places } from '@/core/plumb/compare';
import type { MarkName } from '@/core/plumb/marks';
import type { FigureJoints } from '@/core/posture/joints';
import classes from './compare.module.css';

interface LaidOverProps {
  readonly before: LaidDown | null;
  readonly after: LaidDown | null;
  /** The computed figure, on the same base point. */
  readonly figure: { readonly joints: FigureJoints; readonly base: MarkName } | null;
  readonly body: Body;
  readonly label: string;
}

const pxPerM = 240;
const size = { width: 620, height: 600, floorY: 560 } as const;
const middleX = 330;
const lines = [
  ['wrist', 'elbow', 'shoulder', 'hip', 'knee', 'ankle'],
  ['shoulder', 'ear', 'crown'],
  ['ankle', 'heel', 'toe', 'ankle'],
] as const satisfies readonly (readonly MarkName[])[];

/** Two lines of one body over each other, hands on hands. */
export function LaidOver({ before, after, figure, body, label }: LaidOverProps) {
  const at = ([x, y]: readonly [number, number]) =>
    `${(middleX + x * pxPerM).toFixed(1)},${(size.floorY - y * pxPerM).toFixed(1)}`;
  const draw = (places: Places, className: string | undefined) =>
    lines.map((names, index) => {
      const points = names.flatMap((name) => {
        const place = places[name];
        return place === undefined ? [] : [at(place)];
      });
      return points.length < 2 ? null : (
        <polyline key={index} points={points.join(' ')} className={className} />
      );
    });
  const ghost = figure === null ? null : figure.joints[figure.base as 'wrist'];
  return (
    <svg
      viewBox={`0 0 ${size.width} ${size.height}`}
      role="img"
      aria-label={label}
      className={classes.drawing}
    >
      {figure !== null && ghost !== null && (
        <g className={classes.ghost}>
          {drawFigure(
            'ghost',
            makeFrame(pxPerM, middleX - ghost[0] * pxPerM, size.floorY + ghost[1] * pxPerM),
            body,
            figure.joints,
          ).map((part, index) => (part.kind === 'path' ? <path key={index} d={part.d} /> : null))}
        </g>
      )}
      <line x1={0} x2={size.width} y1={size.floorY} y2={size.floorY} className={classes.floor} />
      <line x1={middleX} x2={middleX} y1={10} y2={size.floorY} className={classes.upright} />
      {before !== null && draw(before.near, classes.before)}
      {after !== null && draw(after.near, classes.after)}
    </svg>
  );
}
