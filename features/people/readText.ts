/** The text of a list that somebody's own program wrote, whatever it calls its letters. */

export interface ReadText {
  readonly text: string;
  /** What was guessed; absent: nothing was. */
  readonly note?: string;
}

const utf16 = { le: [0xff, 0xfe], be: [0xfe, 0xff] } as const;
const beginsWith = (bytes: Uint8Array, [first, second]: readonly [number, number]) =>
  bytes[0] === first && bytes[1] === second;

/** UTF-8 where it is, UTF-16 where it says so, else the letters of Western European programs. */
export function readText(bytes: Uint8Array): ReadText {
  if (beginsWith(bytes, utf16.le)) return { text: new TextDecoder('utf-16le').decode(bytes) };
  if (beginsWith(bytes, utf16.be)) return { text: new TextDecoder('utf-16be').decode(bytes) };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      note: 'The file is not UTF-8; it was read as Western European. Look at names with accents.',
    };
  }
}

/** Rows with something in them, each with the line of the file that it begins on. */
export function numberRows(
  rows: readonly (readonly string[])[],
): { readonly row: readonly string[]; readonly line: number }[] {
  let line = 1;
  return rows.flatMap((row) => {
    const here = line;
    // A cell in quotes may hold lines of its own.
    line += 1 + row.reduce((sum, cell) => sum + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);
    return row.every((cell) => cell.trim() === '') ? [] : [{ row, line: here }];
  });
}
