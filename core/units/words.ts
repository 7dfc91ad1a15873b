/** A label inside a sentence: `Dolphin hold` becomes `dolphin hold`, `L at the wall` stays. */
export function inSentence(label: string): string {
  const isLetterAlone = /^\p{Lu}[\s,]/u.test(label);
  return isLetterAlone ? label : label.charAt(0).toLowerCase() + label.slice(1);
}

/** The start of a sentence: `not tonight: …` becomes `Not tonight: …`. */
export const firstUp = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** `A`, `A and B`, `A, B and C`. */
export const joinWords = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** `1 row`, `3 rows`; what has a plural of its own says it: `1 try`, `2 tries`. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

/** A dose whose figures stay beside what they count, however narrow the line: `2 × 4` never breaks. */
export const keepTogether = (dose: string): string =>
  dose
    .replace(/ × /g, '\u00a0×\u00a0')
    .replace(/(\d)–(?=\d)/g, '$1\u2060–\u2060')
    .replace(/(\d) (?=[a-z])/g, '$1\u00a0');
