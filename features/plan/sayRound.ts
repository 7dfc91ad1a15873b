import { byLetter } from '@/core/compose/letters';
import type { PlanFile } from '@/core/files/planFile';

type Placed = Pick<PlanFile['rounds'][number]['people'][number], 'id' | 'letter' | 'label'>;

/**
 * Who does what in a round. The same thing is said once, also where it stands under several letters
 * with other figures: `A Dolphin (Ada, Bo) · C, G Dolphin with strap (C Cleo; G Di)`.
 */
export function sayRound(
  { people }: { readonly people: readonly Placed[] },
  names: ReadonlyMap<string, string>,
): string {
  const things = new Map<string, Map<string | null, string[]>>();
  for (const { id, letter, label } of people) {
    const posts = things.get(label) ?? new Map<string | null, string[]>();
    things.set(label, posts);
    posts.set(letter, [...(posts.get(letter) ?? []), names.get(id) ?? id]);
  }
  return [...things]
    .map(([label, found]) => {
      const posts = [...found].sort(([a], [b]) => byLetter(a, b));
      const who = posts.map(([letter, here]) =>
        posts.length === 1 || letter === null ? here.join(', ') : `${letter} ${here.join(', ')}`,
      );
      const letters = posts.flatMap(([letter]) => letter ?? []).join(', ');
      return `${letters === '' ? '' : `${letters} `}${label} (${who.join('; ')})`;
    })
    .join(' · ');
}
