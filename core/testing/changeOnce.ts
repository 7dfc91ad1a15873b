/** One thing changed in what a file holds, as a hand or a bad disk may have left it. */
import type { StudioFile } from '../files/studioFile';

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

const pick = <Item>(list: readonly Item[], random: () => number): Item =>
  list[Math.floor(random() * list.length)]!;

/** A copy in which one value, anywhere, is something odd. */
function changeOnce<T>(one: T, random: () => number): T {
  const copy = JSON.parse(JSON.stringify(one)) as Json;
  const [holder, key] = pick(places(copy), random);
  holder[key] = pick(odd[kindOf(holder[key]!)], random);
  return copy as T;
}

/** Words about the place: what a refusal says, never the general sentence of something that went wrong. */
export const saysWhere = /^Line \d+|line \d+|There is no field/;

/**
 * A file of one new person with one thing changed in what is known of them.
 *
 * @param whole the file of a studio, whose people are the patterns
 * @param uid of the new person
 * @param random draws from 0 to 1
 */
export function withOddPerson(whole: StudioFile, uid: string, random: () => number): StudioFile {
  const one = { ...pick(whole.people, random), uid, name: `Guest ${uid.slice(0, 8)}` };
  // Short stories: so that what somebody is comes up as often as what they did.
  const short = { ...one, records: one.records.slice(-2), attempts: one.attempts.slice(-1) };
  // Who is in a course stays in it; what its evenings were is no person's.
  const courses = whole.courses.map((course) => ({ ...course, plans: [], classes: [] }));
  return { ...whole, courses, people: [changeOnce(short, random)] };
}

/** The same of one new course; `ref` is its number in the file. */
export function withOddCourse(whole: StudioFile, ref: number, random: () => number): StudioFile {
  const one = { ...pick(whole.courses, random), ref, name: `Course ${ref}` };
  const few = { ...one, plans: one.plans.slice(-1), classes: [] };
  return { ...whole, people: [], courses: [changeOnce(few, random)] };
}
