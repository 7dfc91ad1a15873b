import type { CSSProperties, ReactNode } from 'react';
import { strokes, type Stroke } from '@/core/drawing/palette';
import type { Role, Scene, Shape } from '@/core/drawing/scene';
import classes from './scene.module.css';

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

function look(role: Role) {
  const stroke: Stroke = strokes[role];
  return {
    fill: stroke.fill ? `var(--lv-${stroke.fill})` : 'none',
    ...(stroke.stroke ? { stroke: `var(--lv-${stroke.stroke})`, strokeWidth: stroke.widthPx } : {}),
    ...(stroke.isUnder ? { paintOrder: 'stroke' } : {}),
    ...(stroke.dash ? { strokeDasharray: stroke.dash } : {}),
  };
}

/** The width that makes the drawing true to scale on paper; its height follows. */
function printWidth(scene: Scene, printScale: number): CSSProperties {
  const millimetres = (scene.widthPx / scene.pxPerM) * (1000 / printScale);
  return { '--lv-print-width': `${millimetres.toFixed(1)}mm` } as CSSProperties;
}

interface SceneViewProps {
  readonly scene: Scene;
  /** Read out before the drawing's own sentences. */
  readonly label: string;
  /** On paper one metre measures 1000 / printScale mm: 15 draws 1 to 15. Absent: as on screen. */
  readonly printScale?: number;
  /** Fills its container; the scene's own size is then its shape only. */
  readonly isFluid?: boolean;
  /** Drawn on top, in the scene's own units: marks to drag. */
  readonly children?: ReactNode;
}

/** The only place where a scene becomes elements. */
export function SceneView({ scene, label, printScale, isFluid, children }: SceneViewProps) {
  const { widthPx, heightPx } = scene;
  return (
    <svg
      role={children ? 'group' : 'img'}
      aria-label={`${label}. ${scene.sentences.join(' ')}`}
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      width={isFluid ? '100%' : widthPx}
      height={isFluid ? undefined : heightPx}
      className={classes.scene}
      style={printScale === undefined ? undefined : printWidth(scene, printScale)}
      data-px-per-m={scene.pxPerM}
    >
      {toRuns(scene.shapes).map((run, index) =>
        run.kind === 'path' ? (
          <path key={index} d={run.d} {...look(run.role)} />
        ) : (
          <text
            key={index}
            x={run.shape.x}
            y={run.shape.y}
            fontSize={run.shape.sizePx}
            textAnchor={run.shape.anchor}
            {...look(run.shape.role)}
          >
            {run.shape.text}
          </text>
        ),
      )}
      {children}
    </svg>
  );
}
