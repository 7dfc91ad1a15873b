/** One thing changed in what a file holds, as a hand or a bad disk may have left it. */
type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
type Place = readonly [holder: Record<string, Json>, key: string];

/** Every value of a tree, and where it hangs. */
function places(tree: Json, found: Place[] = []): Place[] {
  if (tree === null || typeof tree !== 'object') return found;
  const holder = tree as Record<string, Json>;
  for (const key of Object.keys(holder)) {
    found.push([holder, key]);
    places(holder[key]!, found);
  }
  return found;
}

const odd: Readonly<Record<'number' | 'string' | 'other', readonly Json[]>> = {
  number: [-5, 0, 1e308, -1e308, 0.5, 1e-9, 99_999, 2_147_483_648, 3.1, '7', null, true, -0, 61],
  string: [
    '',
    'made-up',
    '2026-02-30',
    '0000-00-00',
    '99999-01-01',
    '99:99',
    '24:00',
    'own-1',
    '__proto__',
    'constructor',
    'x'.repeat(5000),
    '\u0000',
    '\u202eevil\u2066',
    '\ud800',
    '=1+1',
    '../../x',
    '<b>x</b>',
    7,
    null,
    [],
  ],
  other: [null, [], {}, 'x', -1, [null], [[]]],
};

const kindOf = (value: Json) =>
  typeof value === 'number' ? 'number' : typeof value === 'string' ? 'string' : 'other';

/**
 * @param random draws from 0 to 1
 * @returns a copy in which one value, anywhere, is something odd
 */
export function changeOnce<T>(one: T, random: () => number): T {
  const pick = <Item>(list: readonly Item[]): Item => list[Math.floor(random() * list.length)]!;
  const copy = JSON.parse(JSON.stringify(one)) as Json;
  const [holder, key] = pick(places(copy));
  holder[key] = pick(odd[kindOf(holder[key]!)]);
  return copy as T;
}
