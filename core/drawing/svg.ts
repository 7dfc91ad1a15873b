import {
  oneInkPatterns,
  palettes,
  strokes,
  type Palette,
  type PaperInk,
  type Stroke,
} from './palette';
import { rememberFor } from '../units/remember';
import type { Role, Scene, Shape } from './scene';

const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => escapes[sign]!);

type Run =
  | { readonly kind: 'path'; readonly role: Role; readonly d: string }
  | { readonly kind: 'text'; readonly shape: Extract<Shape, { kind: 'text' }> };

/** Neighbouring lines and paths of one role become one path: a tenth of the elements. */
function toRuns(shapes: readonly Shape[]): Run[] {
  const runs: Run[] = [];
  for (const shape of shapes) {
    if (shape.kind === 'text') {
      runs.push({ kind: 'text', shape });
      continue;
    }
    const d = shape.kind === 'path' ? shape.d : `M${shape.x1},${shape.y1}L${shape.x2},${shape.y2}`;
    const last = runs[runs.length - 1];
    // Filled shapes stay apart: merged, opposite windings would cut holes into each other.
    const isStroked = (strokes[shape.role] as Stroke).fill === undefined;
    const joins = isStroked && last?.kind === 'path' && last.role === shape.role;
    if (joins) runs[runs.length - 1] = { ...last, d: last.d + d };
    else runs.push({ kind: 'path', role: shape.role, d });
  }
  return runs;
}

type Colours = Readonly<Record<keyof Palette, string>>;

function paint(stroke: Stroke, colours: Colours): string {
  const parts = [`fill="${stroke.fill ? colours[stroke.fill] : 'none'}"`];
  if (stroke.stroke) {
    parts.push(`stroke="${colours[stroke.stroke]}" stroke-width="${stroke.widthPx ?? 1}"`);
  }
  if (stroke.isUnder) parts.push('paint-order="stroke"');
  if (stroke.dash) parts.push(`stroke-dasharray="${stroke.dash}"`);
  return parts.join(' ');
}

function element(run: Run, colours: Colours): string {
  switch (run.kind) {
    case 'path':
      return `<path d="${run.d}" ${paint(strokes[run.role], colours)}/>`;
    case 'text': {
      const { x, y, sizePx, anchor, role, text } = run.shape;
      return `<text x="${x}" y="${y}" font-size="${sizePx}" text-anchor="${anchor}" ${paint(strokes[role], colours)}>${escaped(text)}</text>`;
    }
    default:
      return run satisfies never;
  }
}

/** What a scene draws, as elements of a file, in given colours. */
export const toElements = (scene: Scene, colours: Colours): string =>
  toRuns(scene.shapes)
    .map((run) => element(run, colours))
    .join('\n');

const tones = Object.fromEntries(
  Object.keys(palettes.light).map((tone) => [tone, `var(--lv-${tone})`]),
) as Record<keyof Palette, string>;

/** A scene as a page takes it: its elements as one text, its size, and what it says. */
export interface Picture extends Pick<Scene, 'widthPx' | 'heightPx' | 'pxPerM' | 'sentences'> {
  readonly elements: string;
}

const onPage = rememberFor<Scene, Picture>();

/** A tenth of a pixel is less than anybody sees; paths are most of a page that draws a class. */
const coarsened = (elements: string) =>
  elements.replace(/ d="[^"]*"/g, (path) => path.replace(/(\.\d)\d+/g, '$1'));

/** The same for a page, whose scheme gives the colours. Whatever is text in it is escaped. */
export const toPicture = (scene: Scene): Picture =>
  onPage(scene, '', () => {
    const { widthPx, heightPx, pxPerM, sentences } = scene;
    return { widthPx, heightPx, pxPerM, sentences, elements: coarsened(toElements(scene, tones)) };
  });

/**
 * The scene as a standalone SVG file at its true scale: one drawing unit is `1 / pxPerM` metres, and
 * the file's size in millimetres makes it `scale` to 1 on paper.
 *
 * @param scale 15 draws a metre as 1000 / 15 mm
 */
export function toSvgFile(
  scene: Scene,
  title: string,
  { scale = 15, ink = 'tones' }: { readonly scale?: number; readonly ink?: PaperInk } = {},
): string {
  const palette = palettes[ink === 'one' ? 'oneInk' : 'light'];
  const mm = (px: number) => `${Math.round((px / scene.pxPerM) * (1000 / scale) * 10) / 10}mm`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(scene.widthPx)}" height="${mm(scene.heightPx)}" viewBox="0 0 ${scene.widthPx} ${scene.heightPx}" font-family="'Atkinson Hyperlegible Next', 'Helvetica', sans-serif" font-weight="600">`,
    `<title>${escaped(title)}</title>`,
    `<desc>${escaped(scene.sentences.join(' '))}</desc>`,
    ...(ink === 'one' ? [`<defs>${oneInkPatterns}</defs>`] : []),
    `<rect width="100%" height="100%" fill="${palette.paper}"/>`,
    toElements(scene, palette),
    '</svg>',
    '',
  ].join('\n');
}
