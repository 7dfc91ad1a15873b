import { palettes, strokes, type Palette, type Stroke } from './palette';
import type { Scene, Shape } from './scene';

const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => escapes[sign]!);

function paint(stroke: Stroke, palette: Palette): string {
  const parts = [`fill="${stroke.fill ? palette[stroke.fill] : 'none'}"`];
  if (stroke.stroke) {
    parts.push(`stroke="${palette[stroke.stroke]}" stroke-width="${stroke.widthPx ?? 1}"`);
  }
  if (stroke.isUnder) parts.push('paint-order="stroke"');
  if (stroke.dash) parts.push(`stroke-dasharray="${stroke.dash}"`);
  return parts.join(' ');
}

function element(shape: Shape, palette: Palette): string {
  const look = paint(strokes[shape.role], palette);
  switch (shape.kind) {
    case 'path':
      return `<path d="${shape.d}" ${look}/>`;
    case 'line':
      return `<line x1="${shape.x1}" y1="${shape.y1}" x2="${shape.x2}" y2="${shape.y2}" ${look}/>`;
    case 'text':
      return `<text x="${shape.x}" y="${shape.y}" font-size="${shape.sizePx}" text-anchor="${shape.anchor}" ${look}>${escaped(shape.text)}</text>`;
    default:
      return shape satisfies never;
  }
}

/** What a scene draws, as elements of a file. */
export const toElements = (scene: Scene, palette: Palette): string =>
  scene.shapes.map((shape) => element(shape, palette)).join('\n');

/**
 * The scene as a standalone SVG file at its true scale: one drawing unit is `1 / pxPerM` metres, and
 * the file's size in millimetres makes it `scale` to 1 on paper.
 *
 * @param scale 15 draws a metre as 1000 / 15 mm
 */
export function toSvgFile(scene: Scene, title: string, scale = 15): string {
  const palette = palettes.light;
  const mm = (px: number) => `${Math.round((px / scene.pxPerM) * (1000 / scale) * 10) / 10}mm`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(scene.widthPx)}" height="${mm(scene.heightPx)}" viewBox="0 0 ${scene.widthPx} ${scene.heightPx}" font-family="'Atkinson Hyperlegible Next', 'Helvetica', sans-serif" font-weight="600">`,
    `<title>${escaped(title)}</title>`,
    `<desc>${escaped(scene.sentences.join(' '))}</desc>`,
    `<rect width="100%" height="100%" fill="${palette.paper}"/>`,
    toElements(scene, palette),
    '</svg>',
    '',
  ].join('\n');
}
