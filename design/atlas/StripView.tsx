import { useMemo } from 'react';
import type { HelpId } from '@/core/atlas/help';
import { getMove, type MoveId } from '@/core/atlas/moves';
import { drawStrip } from '@/core/drawing/strip';
import { toPicture } from '@/core/drawing/svg';
import { PictureView, SceneView } from '../drawing/SceneView';
import classes from './atlas.module.css';

interface StripViewProps {
  readonly move: MoveId;
  /** What it is a drawing of. */
  readonly label: string;
  readonly heightPx?: number;
  readonly help?: HelpId;
  /** Drawn once on the page, by `StripShelf`, however often it is shown. */
  readonly isShelved?: boolean;
}

const shelfId = (move: MoveId, heightPx: number) => `strip-${move}-${heightPx}`;

/** Every movement of a page once; strips that are shelved show these. */
export function StripShelf({
  moves,
  heightPx,
}: {
  readonly moves: readonly MoveId[];
  readonly heightPx: number;
}) {
  const symbols = [...new Set(moves)].map((move) => {
    const { widthPx, heightPx: high, elements } = toPicture(drawStrip(getMove(move), { heightPx }));
    return `<symbol id="${shelfId(move, heightPx)}" viewBox="0 0 ${widthPx} ${high}">${elements}</symbol>`;
  });
  return (
    <svg
      aria-hidden
      width={0}
      height={0}
      className={classes.shelf}
      dangerouslySetInnerHTML={{ __html: symbols.join('') }}
    />
  );
}

/** A movement as a strip of pictures with arrows. */
export function StripView({ move, label, heightPx = 72, help, isShelved }: StripViewProps) {
  const scene = useMemo(
    () => drawStrip(getMove(move), { heightPx, ...(help === undefined ? {} : { help }) }),
    [move, heightPx, help],
  );
  return (
    <div className={classes.strip} style={{ maxWidth: scene.widthPx }}>
      {isShelved && help === undefined ? (
        <PictureView
          picture={{
            ...toPicture(scene),
            elements: `<use href="#${shelfId(move, heightPx)}"/>`,
          }}
          label={label}
          isFluid
        />
      ) : (
        <SceneView scene={scene} label={label} isFluid />
      )}
    </div>
  );
}
