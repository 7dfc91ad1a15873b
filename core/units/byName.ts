const collator = new Intl.Collator('en', { numeric: true });

/** As a list of names is read: Änne beside Anna, whatever is written large. */
export const byName = (a: { readonly name: string }, b: { readonly name: string }): number =>
  collator.compare(a.name, b.name);
