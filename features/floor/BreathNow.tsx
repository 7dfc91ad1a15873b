'use client';

import { downAt } from '@/core/running/roundPace';
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
  /** First names, by id, for who comes down before the others. */
  readonly names?: ReadonlyMap<string, string>;
  readonly onOver: () => void;
}

const noNames: ReadonlyMap<string, string> = new Map();

/** The breath as it is now: a circle that fills, the word, a tone at every turn. */
export function BreathNow({
  startedAt,
  steps,
  breathSeconds,
  isHeard,
  isOpenEnded = false,
  names = noNames,
  onOver,
}: BreathNowProps) {
  const now = paceAt(steps, (useNow(50) - startedAt) / 1000, breathSeconds);
  const last = useRef('');
  const { index, breath, phase, isOver, step } = now;
  const down = downAt(step, step.seconds - now.leftSeconds);
  // A repetition has its own pace.
  const halfSeconds = (step.times === undefined ? breathSeconds : step.seconds / step.times) / 2;
  const downNow = down.now === null ? '' : String(down.now.seconds);
  useEffect(() => {
    const key = `${index}/${step.kind === 'hold' ? `${breath}${phase}` : ''}/${downNow}`;
    if (key === last.current && !isOver) return;
    const [wasStep, , wasDown] = last.current.split('/');
    last.current = key;
    if (isHeard) {
      if (isOver || (wasStep !== '' && wasStep !== String(index))) soundBell();
      else if (downNow !== '' && wasDown !== downNow) soundBell();
      else if (step.kind === 'hold') {
        if (phase === 'in') soundIn(halfSeconds);
        else soundOut(halfSeconds);
      }
    }
    if (isOver) onOver();
  }, [breath, halfSeconds, downNow, index, isHeard, isOver, onOver, phase, step.kind]);
  const unit = step.times === undefined ? 'breath ' : '';
  const counted = isOpenEnded ? `breath ${breath}` : `${unit}${breath} of ${now.breathsOfStep}`;
  return (
    <div className={classes.breathing}>
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
      {step.kind === 'hold' && (step.down !== undefined || step.done !== undefined) && (
        <Down step={step} down={down} names={names} />
      )}
    </div>
  );
}

/** Who comes down now, who does next and when, and who has no further set. */
function Down({
  step: { done = [] },
  down: { now, next },
  names,
}: {
  readonly step: PaceStep;
  readonly down: ReturnType<typeof downAt>;
  readonly names: ReadonlyMap<string, string>;
}) {
  const say = (people: readonly string[]) => people.map((id) => names.get(id) ?? id).join(', ');
  return (
    <p className={classes.down} role="status">
      {now !== null && <strong>Down: {say(now.people)}</strong>}
      {next !== null && (
        <span>
          At {leftWords(next.seconds)}: {say(next.people)}
        </span>
      )}
      {done.length > 0 && <span>No further set: {say(done)}</span>}
    </p>
  );
}
