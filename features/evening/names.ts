/** What people are called beside each other. */
import type { ClassMember } from '@/server/judging/classViews';

export const nameOf = (members: readonly ClassMember[], id: string): string =>
  members.find((member) => member.id === id)?.name ?? id;

interface Called {
  readonly id: string;
  readonly name: string;
}

/** The first so many letters of what follows the first name. */
const shortened = (rest: string, letters: number) =>
  Array.from(rest).slice(0, letters).join('').trim();

/**
 * First names; where two are the same, with as many letters of what follows as tell them apart, and
 * whoever is called the same to the last letter is counted: nobody's tile is another's.
 */
export function shortNames(members: readonly Called[]): ReadonlyMap<string, string> {
  const firsts = new Map<string, (Called & { readonly rest: string })[]>();
  for (const { id, name } of members) {
    const [first = '', ...more] = name.split(' ');
    firsts.set(first, [...(firsts.get(first) ?? []), { id, name, rest: more.join(' ') }]);
  }
  const short = new Map<string, string>();
  for (const [first, alike] of firsts) {
    for (const { id, name, rest } of alike) {
      const others = alike.filter((one) => one.id !== id);
      const same = alike.filter((one) => one.name === name);
      const strangers = others.filter((one) => one.name !== name);
      let letters = others.length > 0 ? 1 : 0;
      const isTold = () =>
        strangers.every((one) => shortened(one.rest, letters) !== shortened(rest, letters));
      while (letters < rest.length && !isTold()) letters += 1;
      const number = same.length > 1 ? String(same.findIndex((one) => one.id === id) + 1) : '';
      short.set(
        id,
        [first, shortened(rest, letters), number].filter((part) => part !== '').join(' '),
      );
    }
  }
  // In the order they were given: what is listed by names stays listed so.
  return new Map(members.map(({ id }) => [id, short.get(id)!]));
}
