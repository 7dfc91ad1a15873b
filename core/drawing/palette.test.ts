import { readFileSync } from 'node:fs';
import { oneInkPatterns, palettes } from './palette';

/** The custom properties of one block of the style sheet. */
function tokensOf(sheet: string, selector: string): Record<string, string> {
  const begin = sheet.indexOf(`${selector} {`);
  const block = sheet.slice(begin, sheet.indexOf('}', begin));
  return Object.fromEntries(
    [...block.matchAll(/--lv-(\w+):\s*([^;]+);/g)].map(([, name, value]) => [name, value!.trim()]),
  );
}

describe('the drawing’s colours', () => {
  const sheet = readFileSync('design/tokens.css', 'utf8');

  it.each([
    ['light', ':root'],
    ['dark', ":root[data-mantine-color-scheme='dark']"],
  ] as const)('are the same on a %s screen and in a file', (scheme, selector) => {
    const tokens = tokensOf(sheet, selector);
    expect(tokens).toMatchObject(palettes[scheme]);
    for (const value of Object.values(tokens)) expect(value).toMatch(/^#[0-9a-f]{6}$/);
  });

  it('are black alone on paper where one ink was chosen, as in a file', () => {
    const tokens = tokensOf(sheet.slice(sheet.indexOf('@media print')), "[data-paper='one']");
    const { paper, ...rest } = palettes.oneInk;
    expect(paper).toBe('#ffffff');
    expect(tokens).toMatchObject(rest);
    for (const value of Object.values(tokens)) {
      expect(value).toMatch(/^(#000000|#ffffff|url\(#lv-\w+\))$/);
      if (value.startsWith('url')) expect(oneInkPatterns).toContain(`id="${value.slice(5, -1)}"`);
    }
  });

  it('are all there in print', () => {
    const printed = tokensOf(
      sheet.slice(sheet.indexOf('@media print')),
      "[data-mantine-color-scheme='dark']",
    );
    for (const name of Object.keys(palettes.light)) expect(Object.keys(printed)).toContain(name);
  });
});
