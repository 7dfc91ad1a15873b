import type { ItemKind } from './timeline';

/** Which round each line is, counted from 0; `null` for what is none. */
export function numberRounds(items: readonly { readonly kind: ItemKind }[]): (number | null)[] {
  let next = 0;
  return items.map(({ kind }) => {
    if (kind !== 'round') return null;
    next += 1;
    return next - 1;
  });
}
