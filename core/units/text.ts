/** What people type and files bring, made fit to be kept, shown and printed. */

/** Ends of lines and of paragraphs, tabs: a space within one line. */
const breaks = /[\t\n\v\f\r\u0085\u2028\u2029]+/g;
/** Control signs, and signs that turn the direction of the text around them or have no width. */
const hidden =
  /[\u0000-\u0008\u000e-\u001f\u007f-\u0084\u0086-\u009f\u00ad\u061c\u200b\u200e\u200f\u202a-\u202e\u2060-\u2069\ufeff\ufff9-\ufffb]/g;
/** Halves of signs without their other half. */
const halves = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

const plain = (text: string) => text.replace(halves, '').replace(hidden, '').normalize('NFC');

/** One line: a name, a label, a place. */
export const lineOf = (text: string): string =>
  plain(text.replace(breaks, ' ')).replace(/ {2,}/g, ' ').trim();

/** Words of several lines: ends of lines stay, as one sign each. */
export const wordsOf = (text: string): string =>
  plain(
    text
      .replace(/\r\n?|\u0085|\u2028|\u2029/g, '\n')
      .replace(/[\v\f]/g, ' ')
      .replace(/\t/g, ' '),
  ).trim();
