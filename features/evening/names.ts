/** What people are called beside each other. */
import type { ClassMember } from '@/server/judging/classViews';

export const nameOf = (members: readonly ClassMember[], id: string): string =>
  members.find((member) => member.id === id)?.name ?? id;

interface Called {
  readonly id: string;
  readonly name: string;
}

/** The first name, with so many letters of what follows. */
function shortened(name: string, letters: number): string {
  const [first, ...more] = name.split(' ');
  return `${first} ${[...more.join(' ')].slice(0, letters).join('')}`.trim();
}

/**
 * First names; where two are the same, with as many letters of what follows as tell them apart, and
 * whoever is called the same to the last letter is counted: nobody's tile is another's.
 */
export const shortNames = (members: readonly Called[]): ReadonlyMap<string, string> =>
  new Map(
    members.map(({ id, name }) => {
      const others = members.filter((one) => one.name !== name);
      const same = members.filter((one) => one.name === name);
      let letters = 0;
      const isTaken = (short: string) =>
        others.some((one) => shortened(one.name, letters) === short);
      while (letters < name.length && isTaken(shortened(name, letters))) letters += 1;
      const number = same.length > 1 ? ` ${same.findIndex((one) => one.id === id) + 1}` : '';
      return [id, shortened(name, letters) + number];
    }),
  );
