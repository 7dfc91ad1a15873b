/** A try in words. */
import type { TryAim, TrySpec } from '@/core/catalog/tries';
import type { Try } from '@/core/running/replay';
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

/** What a try is asked in a class begun before its stages said so. */
export const plainTry: TrySpec = { kind: 'kick', isLed: true, aim: 'wall', ways: [] };

/** That a try got there: on the button, and of what was noted. */
export const aimWords: Readonly<Record<TryAim, { readonly tap: string; readonly said: string }>> = {
  wall: { tap: 'Reached the wall', said: 'reached' },
  up: { tap: 'Came up', said: 'came up' },
};

/** What was just noted of a try, so that a slip of the finger is seen. */
export const sayTry = (one: Try, { aim, ways }: TrySpec): string =>
  [
    ways.find(({ id }) => id === one.wayUp)?.label ?? one.what,
    one.leg === null ? '' : `${one.leg} leg`,
    one.reached ? aimWords[aim].said : 'not yet',
    one.blocksKept === null ? '' : one.blocksKept ? 'blocks kept' : 'blocks dropped',
    one.landing === null ? '' : `landed ${one.landing === 'soft' ? 'softly' : 'heavily'}`,
    sayUpAndDown(one),
    one.isAssisted ? 'with hands' : '',
    (one.faults ?? []).length === 0 ? '' : `${one.faults!.length} seen`,
  ]
    .filter((words) => words !== '')
    .join(', ');
