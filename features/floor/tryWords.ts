/** The seconds of a try in words. */
import { isAsSlowOut, type UpAndDown } from '@/core/running/exit';

const inWords = (seconds: number) => `${seconds.toFixed(1)} s`;

/** "up 3.2 s, down 4.0 s: as slow out as in"; empty where nothing was timed. */
export function sayUpAndDown({ liftS, exitS }: UpAndDown): string {
  const up = liftS === null || liftS === undefined ? [] : [`up ${inWords(liftS)}`];
  const down = exitS === null || exitS === undefined ? [] : [`down ${inWords(exitS)}`];
  const asSlow = isAsSlowOut({ liftS, exitS });
  const praise = asSlow === null ? '' : asSlow ? ': as slow out as in' : ': down faster than up';
  return [...up, ...down].join(', ') + praise;
}
