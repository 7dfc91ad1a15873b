'use client';

import { ActionIcon } from '@mantine/core';
import { useReducedMotion } from '@mantine/hooks';
import { IconPlayerPause, IconPlayerPlay } from '@tabler/icons-react';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { HelpId } from '@/core/atlas/help';
import { getMove, type MoveId } from '@/core/atlas/moves';
import { figureAt, roundS, startOf } from '@/core/atlas/open';
import { drawMoment, openStage } from '@/core/drawing/moving';
import { SceneView } from '../drawing/SceneView';
import { StripView } from './StripView';
import classes from './atlas.module.css';

interface MoveViewProps {
  readonly move: MoveId;
  /** What it is a drawing of. */
  readonly label: string;
  readonly heightPx?: number;
  readonly help?: HelpId;
}

/** Pictures a second: enough for the pace of a breath. */
const framesPerS = 25;

/**
 * A movement at the pace of the breath. It rests under the pointer, stops at a tap, goes pose by
 * pose with the arrow keys; on paper, and where motion is not wanted, it is a strip.
 */
export function MoveView({ move: id, label, heightPx = 220, help }: MoveViewProps) {
  const isStill = useReducedMotion();
  const stage = useMemo(() => openStage(getMove(id), heightPx, help), [id, heightPx, help]);
  const [isPlaying, setPlaying] = useState(true);
  const [isOver, setOver] = useState(false);
  const [atS, setAtS] = useState(0);
  const box = useRef<HTMLDivElement>(null);
  const isSeen = useIsSeen(box);
  const runs = isPlaying && !isOver && isSeen && !isStill;
  useEffect(() => {
    if (!runs) return undefined;
    let last = performance.now();
    const timer = setInterval(() => {
      const now = performance.now();
      const goneS = (now - last) / 1000;
      last = now;
      setAtS((before) => (before + goneS) % roundS(stage.move));
    }, 1000 / framesPerS);
    return () => clearInterval(timer);
  }, [runs, stage]);
  const { figure, key } = figureAt(stage.move, stage.open, atS);
  const keys = stage.move.keys;
  const step = (by: 1 | -1) => {
    setPlaying(false);
    setAtS(startOf(stage.move, (key + by + keys.length) % keys.length));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowRight') step(1);
    else if (event.key === 'ArrowLeft') step(-1);
    else return;
    event.preventDefault();
  };
  const isHelped = help !== undefined && key === keys.length - 1;
  return (
    <figure className={classes.move}>
      <div
        ref={box}
        className={classes.moving}
        role="group"
        aria-label={`${label}, moving`}
        tabIndex={0}
        onKeyDown={onKeyDown}
        onMouseEnter={() => setOver(true)}
        onMouseLeave={() => setOver(false)}
        onClick={() => setPlaying((was) => !was)}
      >
        <SceneView scene={drawMoment(stage, figure, isHelped)} label={label} isFluid />
        <ActionIcon
          className={classes.play}
          variant="default"
          size={36}
          aria-label={isPlaying ? `Stop the drawing of ${label}` : `Play the drawing of ${label}`}
          onClick={(event) => {
            event.stopPropagation();
            setPlaying((was) => !was);
          }}
        >
          {isPlaying ? <IconPlayerPause size={18} /> : <IconPlayerPlay size={18} />}
        </ActionIcon>
      </div>
      <figcaption className={classes.words} aria-hidden="true">
        {keys[key]!.words}
      </figcaption>
      <div className={classes.paper}>
        <StripView
          move={id}
          label={label}
          heightPx={Math.round(heightPx * 0.6)}
          {...(help === undefined ? {} : { help })}
        />
      </div>
    </figure>
  );
}

/** A picture that nobody sees does not move. */
function useIsSeen(box: React.RefObject<HTMLElement | null>): boolean {
  const [isSeen, setSeen] = useState(false);
  useEffect(() => {
    const element = box.current;
    if (element === null || typeof IntersectionObserver === 'undefined') return undefined;
    const observer = new IntersectionObserver(([entry]) => setSeen(entry?.isIntersecting === true));
    observer.observe(element);
    return () => observer.disconnect();
  }, [box]);
  return isSeen;
}
