/**
 * One clock for a round in which everybody has a dose of their own: all begin a set together, and whoever
 * has less of it comes down while the others go on. Source: handbook 07 (work within what somebody can
 * bear), 08 (one clock for many).
 */
import type { DrillWork } from '../catalog/drills';
import type { PaceStep } from './pacer';

export interface RoundTurn {
  readonly person: string;
  readonly work: DrillWork;
}

/** Whoever comes down before the set of the others is over, seconds after it began. */
export interface ComingDown {
  readonly seconds: number;
  readonly people: readonly string[];
}

/** Rest between two sets, seconds: never less, and no longer than keeps people warm. */
const rest = { least: 20, most: 60 } as const;

/**
 * @param turns who works by the clock; work without seconds is as long as it is good, and has none
 * @param minutes of the round; what the sets leave of it is shared out as rest between them
 * @returns nothing where nobody works by the clock
 */
export function listRoundPace(turns: readonly RoundTurn[], minutes: number): PaceStep[] {
  const timed = turns.filter(({ work }) => work.sets > 0 && work.seconds > 0);
  const sets = Math.max(0, ...timed.map(({ work }) => work.sets));
  const holds = Array.from({ length: sets }, (_, set): PaceStep => {
    const own = timed.filter(({ work }) => work.sets > set);
    const seconds = Math.max(...own.map(({ work }) => work.seconds));
    const earlier = [...new Set(own.map(({ work }) => work.seconds))]
      .filter((length) => length < seconds)
      .sort((a, b) => a - b);
    const done = timed.filter(({ work }) => work.sets <= set).map(({ person }) => person);
    return {
      kind: 'hold',
      label: sets === 1 ? 'Up' : `Set ${set + 1} of ${sets}`,
      seconds,
      ...(earlier.length === 0
        ? {}
        : {
            down: earlier.map((length): ComingDown => ({
              seconds: length,
              people: own.filter(({ work }) => work.seconds === length).map(({ person }) => person),
            })),
          }),
      ...(done.length === 0 ? {} : { done }),
    };
  });
  const worked = holds.reduce((sum, { seconds }) => sum + seconds, 0);
  const share = sets < 2 ? 0 : Math.floor((minutes * 60 - worked) / sets);
  const between = Math.min(rest.most, Math.max(rest.least, share));
  return holds.flatMap((step, at): PaceStep[] =>
    at === 0 ? [step] : [{ kind: 'reset', label: 'Down, rest', seconds: between }, step],
  );
}

/** What is said of a step so many seconds into it: who comes down now, and who does next. */
export function downAt(
  { down = [] }: PaceStep,
  elapsed: number,
): { readonly now: ComingDown | null; readonly next: ComingDown | null } {
  const past = down.filter(({ seconds }) => seconds <= elapsed);
  const last = past.at(-1) ?? null;
  return {
    now: last !== null && elapsed - last.seconds < saidSeconds ? last : null,
    next: down.find(({ seconds }) => seconds > elapsed) ?? null,
  };
}

/** How long it stands on the screen that somebody comes down. */
const saidSeconds = 5;
