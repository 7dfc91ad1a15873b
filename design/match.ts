/** How what is typed finds something: every word of it somewhere, or the first letters of its words. */
const plain = (text: string): string =>
  text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().trim();

const wordsOf = (text: string) =>
  plain(text)
    .split(/[\s,.;:–-]+/)
    .filter((word) => word !== '');

/** @returns lower is closer; `null`: not meant */
export function findMatch(label: string, typed: string): number | null {
  const asked = plain(typed);
  if (asked === '') return 3;
  const words = wordsOf(label);
  if (plain(label).startsWith(asked)) return 0;
  const askedWords = wordsOf(typed);
  if (askedWords.every((one) => words.some((word) => word.startsWith(one)))) return 1;
  const initials = words.map((word) => word[0]).join('');
  if (initials.startsWith(asked.replace(/[\s.]/g, ''))) return 2;
  return askedWords.every((one) => plain(label).includes(one)) ? 3 : null;
}

/** The closest first; what is as close stays in its order. */
export function findAll<T extends { readonly label: string }>(
  all: readonly T[],
  typed: string,
  most: number,
): T[] {
  return all
    .flatMap((one) => {
      const rank = findMatch(one.label, typed);
      return rank === null ? [] : [{ one, rank }];
    })
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ one }) => one);
}
