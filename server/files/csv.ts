/** Tables as CSV that no spreadsheet takes for a programme. */
import Papa from 'papaparse';

/** Cells that begin like a formula get a stroke before them, which spreadsheets do not show. */
export function writeTable(rows: object[] | unknown[][]): string {
  return Papa.unparse(rows as unknown[], { escapeFormulae: true });
}

/** What such a cell said before. */
export const readCell = (text: string): string => text.replace(/^'(?=[=+\-@\t\r])/, '');
