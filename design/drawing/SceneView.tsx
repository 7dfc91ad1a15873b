import { useMemo, type CSSProperties, type ReactNode } from 'react';
import type { Scene } from '@/core/drawing/scene';
import { toPicture, type Picture } from '@/core/drawing/svg';
import classes from './scene.module.css';

/** The width that makes the drawing true to scale on paper; its height follows. */
function printWidth({ widthPx, pxPerM }: Picture, printScale: number): CSSProperties {
  const millimetres = (widthPx / pxPerM) * (1000 / printScale);
  return { '--lv-print-width': `${millimetres.toFixed(1)}mm` } as CSSProperties;
}

interface PictureViewProps {
  readonly picture: Picture;
  /** Read out before the drawing's own sentences. */
  readonly label: string;
  /** On paper one metre measures 1000 / printScale mm: 15 draws 1 to 15. Absent: as on screen. */
  readonly printScale?: number;
  /** Fills its container; the scene's own size is then its shape only. */
  readonly isFluid?: boolean;
  /** Drawn on top, in the scene's own units: marks to drag. */
  readonly children?: ReactNode;
}

/**
 * The only place where a scene becomes elements: as one text, which a page of fifty drawings takes
 * in a tenth of the time of as many components.
 */
export function PictureView({ picture, label, printScale, isFluid, children }: PictureViewProps) {
  const { widthPx, heightPx, pxPerM, sentences, elements } = picture;
  // The same object for the same text: for another one React would parse and lay it all out again.
  const html = useMemo(() => ({ __html: elements }), [elements]);
  return (
    <svg
      role={children ? 'group' : 'img'}
      aria-label={[label === '' ? '' : `${label}.`, ...sentences].join(' ').trim()}
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      width={isFluid ? '100%' : widthPx}
      height={isFluid ? undefined : heightPx}
      className={classes.scene}
      style={printScale === undefined ? undefined : printWidth(picture, printScale)}
      data-px-per-m={pxPerM}
    >
      <g dangerouslySetInnerHTML={html} />
      {children}
    </svg>
  );
}

type SceneViewProps = Omit<PictureViewProps, 'picture'> & { readonly scene: Scene };

export const SceneView = ({ scene, ...rest }: SceneViewProps) => (
  <PictureView picture={toPicture(scene)} {...rest} />
);
