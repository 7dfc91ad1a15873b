/**
 * Patterns that no plan needs: another of the same student is worth as much and takes no more of
 * anything in any round. Leaving them out changes no optimum and makes the programme a good deal
 * smaller.
 */
import type { Pattern, RoundOption } from './problem';

/** What a pattern takes, as numbers to compare: round by round, in the same order for all. */
function takings({ options, wall }: Pattern, rows: readonly string[], walls: readonly string[]) {
  const at = wall === null ? -1 : walls.indexOf(wall);
  return options.flatMap((option) => takingsOf(option, rows, walls.length, at));
}

function takingsOf(
  option: RoundOption | null,
  rows: readonly string[],
  walls: number,
  at: number,
): number[] {
  const isAtWall = option?.alongM !== undefined;
  const along = Array.from({ length: walls }, (_, wall) =>
    isAtWall && wall === at ? option.alongM! : 0,
  );
  // Who stands at a wall without trying keeps two others apart: to be there is worth something too.
  const apart = Array.from({ length: walls }, (_, wall) =>
    isAtWall && wall === at ? (option.isAttempt ? 1 : -1) : 0,
  );
  const pieces = rows.map((row) => option?.pieces.find(({ piece }) => piece === row)?.count ?? 0);
  return [...along, ...apart, ...pieces, option?.needsHand ? 1 : 0, option?.needsCircle ? 1 : 0];
}

/** One student's patterns without those that another one makes needless; the first of equals stays. */
export function dropDominated(patterns: readonly Pattern[]): Pattern[] {
  const rows = [
    ...new Set(
      patterns.flatMap(({ options }) =>
        options.flatMap((option) => option?.pieces.map(({ piece }) => piece as string) ?? []),
      ),
    ),
  ];
  const walls = [...new Set(patterns.flatMap(({ wall }) => wall ?? []))];
  const alone = patterns
    .filter(({ shares }) => !shares)
    .map((pattern) => ({ pattern, takes: takings(pattern, rows, walls) }))
    .sort((a, b) => b.pattern.value - a.pattern.value || b.pattern.worth - a.pattern.worth);
  const kept: typeof alone = [];
  for (const one of alone) {
    const isNeedless = kept.some(
      (other) =>
        other.pattern.worth >= one.pattern.worth - 1e-12 &&
        other.takes.every((amount, index) => amount <= one.takes[index]! + 1e-12),
    );
    if (!isNeedless) kept.push(one);
  }
  const left = new Set(kept.map(({ pattern }) => pattern));
  const free = kept.filter(({ takes }) => takes.every((amount) => amount <= 0));
  const isBeaten = ({ value, worth }: Pattern) =>
    free.some(({ pattern }) => pattern.value >= value && pattern.worth >= worth);
  return patterns.filter((pattern) => (pattern.shares ? !isBeaten(pattern) : left.has(pattern)));
}
