/** A pasted list of people: a name a line, a height behind it where it is known. */
export interface RosterLine {
  readonly name: string;
  /** As typed; empty: not known. */
  readonly height: string;
}

/** A height at the end of a line: `168`, `1.68 m`, `5'6"`, `66 in`, behind a comma, tab or gap. */
const heightAtEnd =
  /^(.*?)[\s,;\t]+(\d{1,3}(?:[.,]\d+)?\s*(?:cm|m|in|")?|\d\s*(?:'|ft)\s*\d{0,2}\s*(?:"|in)?)$/;

/** Numbers and dots of a list that was copied with them. */
const listMark = /^\s*(?:[-*•]|\d{1,3}[.)])\s*/;

/** Reads a list; empty lines are left out, a name that stands twice counts once. */
export function readRoster(text: string): RosterLine[] {
  const seen = new Set<string>();
  return text.split(/\r?\n/).flatMap((line): RosterLine[] => {
    const plain = line.replace(listMark, '').trim();
    if (plain === '') return [];
    const found = heightAtEnd.exec(plain);
    const name = (found?.[1] ?? plain).replace(/[,;\s]+$/, '').trim();
    const key = name.toLowerCase();
    if (name === '' || seen.has(key)) return [];
    seen.add(key);
    return [{ name, height: found?.[2]?.trim() ?? '' }];
  });
}
