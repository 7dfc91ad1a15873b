'use client';

import { useEffect, useRef } from 'react';
import { paceAt, type PaceStep } from '@/core/running/pacer';
import classes from './floor.module.css';
import { soundBell, soundIn, soundOut } from '@/design/sound';
import { useNow } from '@/design/useNow';
import { leftWords } from './words';

interface BreathNowProps {
  /** On the page's monotonic clock, milliseconds. */
  readonly startedAt: number;
  readonly steps: readonly PaceStep[];
  readonly breathSeconds: number;
  readonly isHeard: boolean;
  /** Nobody knows yet when it ends: breaths are counted up, and none are left. */
  readonly isOpenEnded?: boolean;
  readonly onOver: () => void;
}

/** The breath as it is now: a circle that fills, the word, a tone at every turn. */
export function BreathNow({
  startedAt,
  steps,
  breathSeconds,
  isHeard,
  isOpenEnded = false,
  onOver,
}: BreathNowProps) {
  const now = paceAt(steps, (useNow(50) - startedAt) / 1000, breathSeconds);
  const last = useRef('');
  const { index, breath, phase, isOver, step } = now;
  useEffect(() => {
    const key = `${index}/${step.kind === 'hold' ? `${breath}${phase}` : ''}`;
    if (key === last.current && !isOver) return;
    const wasStep = last.current.split('/')[0];
    last.current = key;
    if (isHeard) {
      if (isOver || (wasStep !== '' && wasStep !== String(index))) soundBell();
      else if (step.kind === 'hold') {
        if (phase === 'in') soundIn(breathSeconds / 2);
        else soundOut(breathSeconds / 2);
      }
    }
    if (isOver) onOver();
  }, [breath, breathSeconds, index, isHeard, isOver, onOver, phase, step.kind]);
  const counted = isOpenEnded ? `breath ${breath}` : `breath ${breath} of ${now.breathsOfStep}`;
  return (
    <div className={classes.breath} data-kind={step.kind} data-small={isOpenEnded}>
      <div
        className={classes.breathRound}
        style={{ transform: `scale(${0.45 + 0.55 * (step.kind === 'hold' ? now.fullness : 0)})` }}
      />
      <div className={classes.breathWords}>
        <strong>{step.kind === 'reset' ? 'rest' : phase === 'in' ? 'in' : 'out'}</strong>
        <span>
          {isOpenEnded ? counted : step.label}
          {!isOpenEnded && step.kind === 'hold' && now.breathsOfStep > 1 ? ` · ${counted}` : ''}
        </span>
        {!isOpenEnded && <span>{leftWords(now.leftSeconds)}</span>}
      </div>
    </div>
  );
}
