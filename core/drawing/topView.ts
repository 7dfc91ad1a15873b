/** Set-ups from above, to scale, wall on the right; for whatever the side view cannot show. */
import type { Body } from '../body/body';
import type { Distance, DistanceId } from '../setups/distance';
import { getSetup, type SetupId } from '../setups/registry';
import type { Spacer } from '../pieces/spacer';
import { formatFigure, type LengthUnits } from '../units/length';
import {
  hatchedBox,
  hatchStrip,
  levelDimension,
  uprightDimension,
  type DimensionText,
} from './dimensions';
import { line, makeFrame, rectangle, rounded, type Frame, type Scene, type Shape } from './scene';

interface TopInput {
  readonly body: Body;
  readonly recipe: SetupId;
  readonly distances: readonly Distance[];
  readonly spacer?: Spacer;
  readonly units: LengthUnits;
}

const sheet = { widthPx: 420, heightPx: 210, textPx: 15 } as const;
const mat = { lengthM: 1.83, widthM: 0.61 } as const;
const hatchPx = 9;

/** The view from above, or `null` where the side view says it all. */
export function drawTopView(input: TopInput): Scene | null {
  const view = getSetup(input.recipe).topView;
  if (view === undefined) return null;
  const drawn = { platform: drawPlatform, arms: drawArms, lane: drawLane }[view](input);
  return { widthPx: sheet.widthPx, heightPx: sheet.heightPx, ...drawn };
}

type Drawn = Pick<Scene, 'pxPerM' | 'shapes' | 'sentences'>;

const find = (distances: readonly Distance[], id: DistanceId) =>
  distances.find((distance) => distance.id === id);

function textOf(distance: Distance, units: LengthUnits): DimensionText {
  return {
    text: formatFigure(Math.max(0, distance.metres), units),
    sizePx: sheet.textPx,
    isEstimated: distance.basis === 'estimated',
  };
}

function wallOf(frame: Frame): Shape[] {
  const x = frame.x(0);
  return [
    ...hatchStrip(x, 12, sheet.heightPx - 46, hatchPx),
    line('wall', x, 12, x, sheet.heightPx - 46),
  ];
}

/** A mat at the wall with the place for wrists or elbows, as wide as the mat. */
function drawLane({ distances, body, units }: TopInput): Drawn {
  const base = find(distances, 'base')!;
  const pxPerM = Math.min(190, (sheet.widthPx - 70) / Math.max(mat.lengthM, base.metres + 0.4));
  const middle = 14 + (mat.widthM / 2) * pxPerM;
  const frame = makeFrame(pxPerM, sheet.widthPx - hatchPx - 24, middle);
  const apart = find(distances, 'handWidth') ?? find(distances, 'elbowWidth');
  const half = (apart?.metres ?? body.lengths.shoulderJointWidth) / 2;
  const markX = frame.x(-base.metres);
  const marks = [half, -half].map((y): Shape => {
    const cy = frame.y(y);
    return {
      kind: 'path',
      role: 'figure',
      d: `M${rounded(markX - 7)},${cy}a7,7 0 1 1 14,0a7,7 0 1 1 -14,0Z`,
    };
  });
  const rowY = middle + (mat.widthM / 2) * pxPerM + 26;
  return {
    pxPerM,
    shapes: [
      rectangle(
        'prop',
        frame.x(-mat.lengthM),
        frame.y(mat.widthM / 2),
        mat.lengthM * pxPerM,
        mat.widthM * pxPerM,
      ),
      line('strap', markX, frame.y(mat.widthM / 2), markX, frame.y(-mat.widthM / 2)),
      ...marks,
      ...wallOf(frame),
      ...levelDimension(markX, frame.x(0), rowY, rowY - 14, textOf(base, units)),
    ],
    sentences: [
      `From above: a mat at the wall, the tape mark ${formatFigure(base.metres, units)} ${units} from it.`,
    ],
  };
}

/** Two arms side by side, seen along them: the loop round them, or the blocks between. */
function drawArms({ distances, body, spacer, units }: TopInput): Drawn {
  const { upperArmThickness } = body.lengths;
  const loop = find(distances, 'strapLoop');
  const gap = find(distances, 'spacerGap');
  // As far apart as the loop or the space between listed holds them.
  const apart =
    loop !== undefined
      ? (loop.metres - Math.PI * upperArmThickness) / 2
      : (gap?.metres ?? 0) + upperArmThickness;
  const pxPerM = 420;
  const middleX = sheet.widthPx / 2;
  const frame = makeFrame(pxPerM, middleX, 84);
  const r = rounded((upperArmThickness / 2) * pxPerM);
  const [left, right] = [frame.x(-apart / 2), frame.x(apart / 2)];
  const cy = frame.y(0);
  const arms = [left, right].map((x): Shape => ({
    kind: 'path',
    role: 'figure',
    d: `M${rounded(x - r)},${cy}a${r},${r} 0 1 1 ${2 * r},0a${r},${r} 0 1 1 ${-2 * r},0Z`,
  }));
  const band: Shape = {
    kind: 'path',
    role: 'strap',
    d: `M${left},${rounded(cy - r - 3)}H${right}A${r + 3},${r + 3} 0 0 1 ${right},${rounded(cy + r + 3)}H${left}A${r + 3},${r + 3} 0 0 1 ${left},${rounded(cy - r - 3)}Z`,
  };
  let at = frame.x(-apart / 2) + r;
  const boxes = (spacer?.faces ?? []).flatMap(({ metres }) => {
    const box = hatchedBox(at, cy - 26, metres * pxPerM, 52);
    at += metres * pxPerM;
    return box;
  });
  const shown = gap ?? loop!;
  const rowY = cy + r + 44;
  const [from, to] = gap ? [left + r, right - r] : [left - r, right + r];
  return {
    pxPerM,
    shapes: [
      ...arms,
      ...(loop ? [band] : boxes),
      ...levelDimension(from, to, rowY, cy + r + 4, {
        ...textOf(shown, units),
        text: formatFigure(gap ? gap.metres : apart + upperArmThickness, units),
      }),
      ...(loop
        ? [
            {
              kind: 'text',
              role: 'dimensionText',
              text: `loop ${shown.basis === 'estimated' ? '~' : ''}${formatFigure(loop.metres, units)} all the way round`,
              sizePx: sheet.textPx,
              anchor: 'middle',
              x: middleX,
              y: rowY + 30,
            } satisfies Shape,
          ]
        : []),
    ],
    sentences: [
      gap
        ? `Two forearms ${formatFigure(gap.metres, units)} ${units} apart, blocks between.`
        : `A strap round both arms, ${formatFigure(loop!.metres, units)} ${units} long.`,
    ],
  };
}

/** Pads, shoulder line and head between them and the wall. */
function drawPlatform({ distances, body, units }: TopInput): Drawn {
  const shoulderLine = find(distances, 'shoulderLineToWall')!;
  const edge = find(distances, 'headEdgeToWall')!;
  const { outerShoulderWidth, upperArm, shoulderToCrown } = body.lengths;
  const depth = upperArm + 0.1;
  const width = outerShoulderWidth + 0.1;
  const pxPerM = Math.min(190, (sheet.widthPx - 60) / (edge.metres + depth + 0.1));
  const middle = 14 + (width / 2) * pxPerM;
  const frame = makeFrame(pxPerM, sheet.widthPx - hatchPx - 14, middle);
  const headX = frame.x(-shoulderLine.metres + shoulderToCrown * 0.62);
  const bottom = middle + (width / 2) * pxPerM;
  return {
    pxPerM,
    shapes: [
      ...hatchedBox(
        frame.x(-edge.metres - depth),
        frame.y(width / 2),
        depth * pxPerM,
        width * pxPerM,
      ),
      {
        kind: 'path',
        role: 'figure',
        d: `M${rounded(headX - 0.11 * pxPerM)},${middle}a${rounded(0.11 * pxPerM)},${rounded(0.075 * pxPerM)} 0 1 1 ${rounded(0.22 * pxPerM)},0a${rounded(0.11 * pxPerM)},${rounded(0.075 * pxPerM)} 0 1 1 ${rounded(-0.22 * pxPerM)},0Z`,
      },
      line(
        'strap',
        frame.x(-shoulderLine.metres),
        frame.y(outerShoulderWidth / 2),
        frame.x(-shoulderLine.metres),
        frame.y(-outerShoulderWidth / 2),
      ),
      ...wallOf(frame),
      ...levelDimension(
        frame.x(-edge.metres),
        frame.x(0),
        bottom + 22,
        bottom,
        textOf(edge, units),
      ),
      ...levelDimension(
        frame.x(-shoulderLine.metres),
        frame.x(0),
        bottom + 46,
        bottom + 22,
        textOf(shoulderLine, units),
      ),
      ...uprightDimension(
        frame.x(-edge.metres - depth) - 14,
        frame.y(width / 2),
        frame.y(-width / 2),
        frame.x(-edge.metres - depth),
        { text: formatFigure(width, units), sizePx: sheet.textPx, isEstimated: true },
      ),
    ],
    sentences: [
      `From above: the folded edge ${formatFigure(edge.metres, units)} and the shoulders ${formatFigure(shoulderLine.metres, units)} ${units} from the wall, head between.`,
    ],
  };
}
