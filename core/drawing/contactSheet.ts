import { getMove, moveIds } from '../atlas/moves';
import type { Body } from '../body/body';
import { InputProblem } from '../problem';
import { poseShape, type ShapeRef } from '../shapes/posed';
import { getShape, shapeIds } from '../shapes/registry';
import { getStill, stillIds } from '../shapes/stills';
import { oneInkPatterns, type Palette } from './palette';
import type { Scene } from './scene';
import { drawStillPosed } from './still';
import { drawStrip } from './strip';
import { toElements } from './svg';

/** A card of one sheet: every shape there is, as large as on a card and as small as 40 mm. */
const sheet = { columns: 4, largePx: 260, smallPx: 151, gapPx: 16, textPx: 14 } as const;

/** Every shape that can be drawn, with loads and without. */
export const listShapes = (): { readonly ref: ShapeRef; readonly label: string }[] => [
  ...shapeIds.map((family) => ({ ref: { family }, label: getShape(family).label })),
  ...stillIds.map((still) => ({ ref: { still }, label: getStill(still).label })),
];

function drawOne(ref: ShapeRef, label: string, body: Body, px: number): Scene | null {
  try {
    const posed = poseShape({ body }, ref, undefined, null);
    return drawStillPosed(
      label,
      body,
      { ...posed, dimensions: [] },
      {
        widthPx: px,
        heightPx: px,
        units: 'cm',
        isPlain: true,
      },
    );
  } catch (error) {
    // A body that cannot be in the shape has no drawing of it.
    if (error instanceof InputProblem) return null;
    throw error;
  }
}

/**
 * Every shape at two sizes on one sheet, to look at.
 *
 * @returns an SVG file
 */
export function drawContactSheet(body: Body, palette: Palette): string {
  const cells = listShapes();
  const stepY = sheet.largePx + sheet.textPx + 2 * sheet.gapPx;
  const stepX = sheet.largePx + sheet.smallPx + 2 * sheet.gapPx;
  const width = sheet.columns * stepX + sheet.gapPx;
  const height = Math.ceil(cells.length / sheet.columns) * stepY + sheet.gapPx;
  const drawn = cells.map(({ ref, label }, index) => {
    const x = sheet.gapPx + (index % sheet.columns) * stepX;
    const y = sheet.gapPx + Math.floor(index / sheet.columns) * stepY;
    const put = (px: number, dx: number, dy: number) => {
      const scene = drawOne(ref, label, body, px);
      return scene === null
        ? ''
        : `<g transform="translate(${x + dx} ${y + dy})">${toElements(scene, palette)}</g>`;
    };
    return [
      put(sheet.largePx, 0, 0),
      put(sheet.smallPx, sheet.largePx, sheet.largePx - sheet.smallPx),
      `<text x="${x}" y="${y + sheet.largePx + sheet.textPx + 4}" font-size="${sheet.textPx}" fill="${palette.ink}">${label}</text>`,
    ].join('');
  });
  return toSheet(width, height, drawn, palette);
}

const toSheet = (width: number, height: number, drawn: readonly string[], palette: Palette) =>
  [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-weight="600">`,
    `<defs>${oneInkPatterns}</defs>`,
    `<rect width="100%" height="100%" fill="${palette.paper}"/>`,
    ...drawn,
    '</svg>',
    '',
  ].join('\n');

const strips = { widthPx: 1560, heightPx: 110, rowPx: 146, gapPx: 36, textPx: 12 } as const;

/**
 * Every movement as a strip, on one sheet.
 *
 * @returns an SVG file
 */
export function drawMoveSheet(palette: Palette): string {
  let [x, y]: [number, number] = [sheet.gapPx, sheet.gapPx];
  const drawn = moveIds.map((id) => {
    const scene = drawStrip(getMove(id), { heightPx: strips.heightPx });
    if (x > sheet.gapPx && x + scene.widthPx > strips.widthPx) {
      [x, y] = [sheet.gapPx, y + strips.rowPx];
    }
    const at = x;
    x += scene.widthPx + strips.gapPx;
    return `<g transform="translate(${at} ${y})">${toElements(scene, palette)}<text y="${strips.heightPx + strips.textPx + 2}" font-size="${strips.textPx}" fill="${palette.ink}">${id}</text></g>`;
  });
  return toSheet(strips.widthPx, y + strips.rowPx, drawn, palette);
}
