/** Taps by name and in rows: what whoever is on the floor needs of them, without their format. */
import type { Tap } from './tap';

/** A tap's name, the same on every device and on the server. */
export const tapId = ({ device, seq }: Pick<Tap, 'device' | 'seq'>): string => `${device}.${seq}`;

/** Was a tap made on this device? No name of a device has a point in it. */
export const isFrom = (device: string, tap: string): boolean => tap.startsWith(`${device}.`);

/** Every tap once: what was delivered twice is one tap. */
export function uniteTaps(...lists: readonly (readonly Tap[])[]): Tap[] {
  const byId = new Map<string, Tap>();
  for (const list of lists) {
    for (const one of list) if (!byId.has(tapId(one))) byId.set(tapId(one), one);
  }
  return [...byId.values()];
}

/**
 * A tap as far as it is about people who are known; `null`: it is about somebody who is not. A hold
 * goes on for the others when somebody in it was deleted.
 */
export function aboutPeople(
  one: Tap,
  known: { readonly has: (person: string) => boolean },
): Tap | null {
  const { act } = one;
  if ('person' in act) return known.has(act.person) ? one : null;
  if (!('people' in act)) return one;
  return { ...one, act: { ...act, people: act.people.filter((person) => known.has(person)) } };
}
