import { useMemo } from 'react';
import type { HelpId } from '@/core/atlas/help';
import { getMove, type MoveId } from '@/core/atlas/moves';
import { drawStrip } from '@/core/drawing/strip';
import { SceneView } from '../drawing/SceneView';
import classes from './atlas.module.css';

interface StripViewProps {
  readonly move: MoveId;
  /** What it is a drawing of. */
  readonly label: string;
  readonly heightPx?: number;
  readonly help?: HelpId;
}

/** A movement as a strip of pictures with arrows. */
export function StripView({ move, label, heightPx = 72, help }: StripViewProps) {
  const scene = useMemo(
    () => drawStrip(getMove(move), { heightPx, ...(help === undefined ? {} : { help }) }),
    [move, heightPx, help],
  );
  return (
    <div className={classes.strip} style={{ maxWidth: scene.widthPx }}>
      <SceneView scene={scene} label={label} isFluid />
    </div>
  );
}
