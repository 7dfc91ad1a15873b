import type { Body } from '../body/body';
import { InputProblem } from '../problem';
import { poseShape, type ShapeRef } from '../shapes/posed';
import { getShape, shapeIds } from '../shapes/registry';
import { getStill, stillIds } from '../shapes/stills';
import type { Palette } from './palette';
import type { Scene } from './scene';
import { drawStillPosed } from './still';
import { toElements } from './svg';

/** A card of one sheet: every shape there is, as large as on a card and as small as 40 mm. */
const sheet = {
  columns: 6,
  cellPx: 300,
  largePx: 260,
  smallPx: 151,
  gapPx: 16,
  textPx: 14,
} as const;

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
  const columns = 4;
  const width = columns * stepX + sheet.gapPx;
  const height = Math.ceil(cells.length / columns) * stepY + sheet.gapPx;
  const drawn = cells.map(({ ref, label }, index) => {
    const x = sheet.gapPx + (index % columns) * stepX;
    const y = sheet.gapPx + Math.floor(index / columns) * stepY;
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
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-weight="600">`,
    `<rect width="100%" height="100%" fill="${palette.paper}"/>`,
    ...drawn,
    '</svg>',
    '',
  ].join('\n');
}
