/** The letters that places of an evening go by: A to Z, then AA, AB and so on. */

/** @param index 0 is A */
export const letterOf = (index: number): string =>
  (index >= 26 ? letterOf(Math.floor(index / 26) - 1) : '') +
  String.fromCharCode(65 + (index % 26));

/** As they were given: AA comes after Z. Whoever has none comes last. */
export function byLetter(a: string | null, b: string | null): number {
  if (a === null || b === null) return Number(a === null) - Number(b === null);
  return a.length - b.length || Number(a > b) - Number(a < b);
}
