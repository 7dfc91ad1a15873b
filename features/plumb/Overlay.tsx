'use client';

import { strokes, type Stroke } from '@/core/drawing/palette';
import { drawFigure } from '@/core/drawing/figure/figure';
import { makeFrame } from '@/core/drawing/scene';
import type { Body } from '@/core/body/body';
import { InputProblem } from '@/core/problem';
import type { MarkName, MarkSet, Pixel } from '@/core/plumb/marks';
import type { StillMeasureId } from '@/core/plumb/measureTable';
import { basePoint, type StillReading } from '@/core/plumb/still';
import { sayValue } from '@/core/plumb/words';
import { radians } from '@/core/posture/geometry';
import type { LengthUnits } from '@/core/units/length';
import { figureAt } from '@/core/plumb/practice';
import type { ImageSize, Sheet, Whose } from './sheet';
import classes from './plumb.module.css';

interface OverlayProps {
  /** Where it is asked for as a file: its name on the page. */
  readonly overlayId?: string | undefined;
  readonly image: ImageSize;
  readonly sheet: Sheet;
  readonly body: Body;
  readonly reading: StillReading | null;
  readonly units: LengthUnits;
  /** Picture pixels in one of the screen. */
  readonly perPx: number;
}

const chain = ['wrist', 'elbow', 'shoulder', 'hip', 'knee', 'ankle'] as const;
const head = ['shoulder', 'ear', 'crown'] as const;
const foot = ['ankle', 'heel', 'toe', 'ankle'] as const;
const hand = ['wrist', 'knuckle'] as const;
const across = ['wrist', 'elbow', 'shoulder', 'hip'] as const;

/** Angles written at their joints. */
const written: readonly { readonly id: StillMeasureId; readonly at: MarkName }[] = [
  { id: 'elbowAngle', at: 'elbow' },
  { id: 'shoulderAngle', at: 'shoulder' },
  { id: 'hipAngle', at: 'hip' },
  { id: 'kneeAngle', at: 'knee' },
];

const pointOf = (set: MarkSet, name: MarkName): Pixel | null => {
  const mark = set[name];
  return mark === undefined ? null : [mark.x, mark.y];
};

/** A path through what is marked of some names, in their order. */
function through(set: MarkSet, names: readonly MarkName[]): string {
  const points = names.flatMap((name) => {
    const point = pointOf(set, name);
    return point === null ? [] : [point];
  });
  return points.length < 2 ? '' : `M${points.map(([x, y]) => `${x},${y}`).join('L')}`;
}

/** The lines over the picture, in the language of the product's drawings. */
export function Overlay(props: OverlayProps) {
  const { overlayId, image, sheet, perPx } = props;
  const size = (px: number) => px * perPx;
  const { floor, wall, scale, marks } = sheet;
  const isSide = sheet.view === 'side';
  const line = (ends: readonly [Pixel, Pixel], className: string | undefined) => (
    <line
      x1={ends[0][0]}
      y1={ends[0][1]}
      x2={ends[1][0]}
      y2={ends[1][1]}
      className={className}
      strokeWidth={size(2)}
    />
  );
  const body = (whose: Whose, className: string | undefined) =>
    [chain, head, foot, hand].map((names, index) => (
      <path
        key={index}
        d={through(marks[whose], names)}
        className={className}
        strokeWidth={size(3)}
      />
    ));
  return (
    <svg
      id={overlayId}
      viewBox={`0 0 ${image.width} ${image.height}`}
      width={image.width}
      height={image.height}
      className={classes.overlay}
      aria-hidden="true"
    >
      {isSide && <Ghost {...props} />}
      {floor && line(floor, classes.chalk)}
      {isSide && wall && line(wall, classes.chalk)}
      {scale.kind === 'points' && line(scale.line, classes.brass)}
      {isSide ? (
        <>
          {body('far', classes.far)}
          {body('near', classes.near)}
          <PlumbLine {...props} />
          {written.map(({ id, at }) => (
            <Angle key={id} {...props} id={id} at={pointOf(marks.near, at)} />
          ))}
        </>
      ) : (
        across.map((name) => {
          const [left, right] = [pointOf(marks.left, name), pointOf(marks.right, name)];
          return left && right && <g key={name}>{line([left, right], classes.near)}</g>;
        })
      )}
    </svg>
  );
}

/** The person's own computed figure behind the picture's, with the base point on the base point. */
function Ghost({ sheet, body, reading }: OverlayProps) {
  const base = pointOf(sheet.marks.near, basePoint[sheet.base]);
  const scale = reading?.metresPerPixel;
  if (sheet.shape === null || base === null || !scale) return null;
  let joints;
  try {
    ({ joints } = figureAt(body, sheet.shape, reading.measures.baseToWall?.value ?? null));
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return null;
  }
  const [x, y] = joints[basePoint[sheet.base]];
  const pxPerM = 1 / scale.nominal;
  const frame = makeFrame(pxPerM, -x * pxPerM, y * pxPerM);
  const way = sheet.facing === 'left' ? -1 : 1;
  const look: Stroke = strokes.ghost;
  return (
    <g
      transform={`translate(${base[0]} ${base[1]}) rotate(${reading.tiltDeg}) scale(${way} 1)`}
      fill={`var(--lv-${look.fill ?? 'ghost'})`}
      opacity={0.42}
    >
      {drawFigure('ghost', frame, body, joints).map((part, index) =>
        part.kind === 'path' ? <path key={index} d={part.d} /> : null,
      )}
    </g>
  );
}

/** The upright through the base, and how far the shoulder stands from it. */
function PlumbLine({ image, sheet, reading, units, perPx }: OverlayProps) {
  const base = pointOf(sheet.marks.near, basePoint[sheet.base]);
  if (base === null || reading === null) return null;
  const turn = radians(reading.tiltDeg);
  const up: Pixel = [Math.sin(turn), -Math.cos(turn)];
  const along: Pixel = [Math.cos(turn), Math.sin(turn)];
  const reach = image.height * 0.86;
  const size = (px: number) => px * perPx;
  const shoulder = pointOf(sheet.marks.near, 'shoulder');
  const over = reading.measures.shoulderOverBase;
  const toWall = reading.measures.baseToWall;
  const height =
    shoulder === null ? 0 : (shoulder[0] - base[0]) * up[0] + (shoulder[1] - base[1]) * up[1];
  const foot: Pixel = [base[0] + up[0] * height, base[1] + up[1] * height];
  const wallPx =
    toWall === undefined || reading.metresPerPixel === null
      ? null
      : (toWall.value / reading.metresPerPixel.nominal) * (sheet.facing === 'left' ? -1 : 1);
  const low: Pixel = [base[0] - up[0] * size(26), base[1] - up[1] * size(26)];
  return (
    <>
      <line
        x1={base[0]}
        y1={base[1]}
        x2={base[0] + up[0] * reach}
        y2={base[1] + up[1] * reach}
        className={classes.upright}
        strokeWidth={size(1.6)}
        strokeDasharray={`${size(9)} ${size(5)}`}
      />
      {shoulder !== null && over !== undefined && (
        <Dimension
          from={foot}
          to={shoulder}
          words={sayValue(over, units)}
          perPx={perPx}
          asideY={-12}
        />
      )}
      {wallPx !== null && toWall !== undefined && (
        <Dimension
          from={low}
          to={[low[0] + along[0] * wallPx, low[1] + along[1] * wallPx]}
          words={sayValue(toWall, units)}
          perPx={perPx}
          asideY={18}
        />
      )}
    </>
  );
}

interface DimensionProps {
  readonly from: Pixel;
  readonly to: Pixel;
  readonly words: string;
  readonly perPx: number;
  /** Above or below the line, pixels of the screen. */
  readonly asideY: number;
}

function Dimension({ from, to, words, perPx, asideY }: DimensionProps) {
  return (
    <g>
      <line
        x1={from[0]}
        y1={from[1]}
        x2={to[0]}
        y2={to[1]}
        className={classes.brass}
        strokeWidth={2.4 * perPx}
      />
      <text
        x={(from[0] + to[0]) / 2}
        y={(from[1] + to[1]) / 2 + asideY * perPx}
        fontSize={17 * perPx}
        strokeWidth={4 * perPx}
        textAnchor="middle"
        className={classes.brassText}
      >
        {words}
      </text>
    </g>
  );
}

function Angle({
  id,
  at,
  sheet,
  reading,
  units,
  perPx,
}: OverlayProps & { readonly id: StillMeasureId; readonly at: Pixel | null }) {
  const found = reading?.measures[id];
  if (at === null || found === undefined) return null;
  // On the belly's side, where no plumb line runs.
  const way = sheet.facing === 'left' ? 1 : -1;
  return (
    <text
      x={at[0] + way * 16 * perPx}
      y={at[1] + 5 * perPx}
      fontSize={15 * perPx}
      strokeWidth={4 * perPx}
      textAnchor={way === 1 ? 'start' : 'end'}
      className={classes.angleText}
    >
      {sayValue(found, units)}
    </text>
  );
}
