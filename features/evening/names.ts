/** What people are called beside each other. */
import type { ClassMember } from '@/server/judging/classViews';

export const nameOf = (members: readonly ClassMember[], id: string): string =>
  members.find((member) => member.id === id)?.name ?? id;

/** First names, with the next letter where two are the same. */
export function shortNames(members: readonly ClassMember[]): ReadonlyMap<string, string> {
  const first = (name: string) => name.split(' ')[0]!;
  return new Map(
    members.map(({ id, name }) => {
      const isDouble = members.some(
        (other) => other.id !== id && first(other.name) === first(name),
      );
      const rest = name.split(' ')[1]?.charAt(0);
      return [id, isDouble && rest ? `${first(name)} ${rest}` : first(name)];
    }),
  );
}
