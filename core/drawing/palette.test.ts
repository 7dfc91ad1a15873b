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

/** How light a colour is, from 0 to 1, as the rules of the web for contrast count it. */
function luminance(colour: string): number {
  const [red, green, blue] = [1, 3, 5].map((at) => {
    const share = Number.parseInt(colour.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

const contrast = (one: string, other: string): number => {
  const [light, dark] = [luminance(one), luminance(other)].sort((a, b) => b - a) as [
    number,
    number,
  ];
  return (light + 0.05) / (dark + 0.05);
};

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

  it.each([
    ['light', ':root'],
    ['dark', ":root[data-mantine-color-scheme='dark']"],
  ])('can be read on a %s screen, where words are written in them', (_, selector) => {
    const tokens = tokensOf(sheet, selector) as Record<string, string>;
    const stands = (name: string, behind: string) => contrast(tokens[name]!, tokens[behind]!);
    const words = ['ink', 'muted', 'brass', 'green', 'stop'];
    const faint = words.filter(
      (name) => stands(name, 'paper') < 4.5 || stands(name, 'sheet') < 4.5,
    );
    expect(faint).toEqual([]);
    // On a button for what is done next.
    expect(stands('onAction', 'green')).toBeGreaterThanOrEqual(4.5);
    // What is fainter is found: the line between two things is not for reading.
    expect(stands('rule', 'paper')).toBeLessThan(4.5);
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
