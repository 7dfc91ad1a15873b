/**
 * One clock for a round in which everybody has a dose of their own: all begin a set together, and whoever
 * has less of it comes down while the others go on. Source: handbook 07 (work within what somebody can
 * bear), 08 (one clock for many).
 */
import type { ComingDown, PaceStep } from './pacer';

export interface RoundTurn {
  readonly person: string;
  /** Seconds of each set, in their order; 0: as long as it is good. */
  readonly spans: readonly number[];
}

/** Rest between two sets, seconds: never less, and no longer than keeps people warm. */
const rest = { least: 20, most: 60 } as const;

/**
 * @param turns who works by the clock; whose sets last as long as they are good is not in it
 * @param minutes of the round; what the sets leave of it is shared out as rest between them
 * @returns nothing where nobody works by the clock
 */
export function listRoundPace(turns: readonly RoundTurn[], minutes: number): PaceStep[] {
  const timed = turns.filter(({ spans }) => spans.length > 0 && spans.every((span) => span > 0));
  const sets = Math.max(0, ...timed.map(({ spans }) => spans.length));
  const holds = Array.from({ length: sets }, (_, set): PaceStep => {
    const lengths = new Map<number, string[]>();
    for (const { person, spans } of timed) {
      const span = spans[set];
      if (span !== undefined) lengths.set(span, [...(lengths.get(span) ?? []), person]);
    }
    const seconds = Math.max(...lengths.keys());
    const down = [...lengths]
      .filter(([length]) => length < seconds)
      .sort(([a], [b]) => a - b)
      .map(([length, people]): ComingDown => ({ seconds: length, people }));
    const done = timed.filter(({ spans }) => spans.length <= set).map(({ person }) => person);
    return {
      kind: 'hold',
      label: sets === 1 ? 'Up' : `Set ${set + 1} of ${sets}`,
      seconds,
      ...(down.length === 0 ? {} : { down }),
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
