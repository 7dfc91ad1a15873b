/** Tables by their keys, with the keys as what they are: the compiler itself takes every key for text. */

export const keysOf = <Key extends string>(table: Readonly<Partial<Record<Key, unknown>>>): Key[] =>
  Object.keys(table) as Key[];

export const entriesOf = <Key extends string, Value>(
  table: Readonly<Partial<Record<Key, Value>>>,
): [Key, Value][] => Object.entries(table) as [Key, Value][];

export const tableOf = <Key extends string, Value>(
  rows: Iterable<readonly [Key, Value]>,
): Partial<Record<Key, Value>> => Object.fromEntries(rows) as Partial<Record<Key, Value>>;

/** A table with some rows said otherwise, or added. */
export const laidOver = <Key extends string, Value>(
  table: Readonly<Record<Key, Value>>,
  rows?: Readonly<Partial<Record<Key, Value>>>,
): Readonly<Record<Key, Value>> => ({ ...table, ...rows }) as Readonly<Record<Key, Value>>;

/** Does a text from outside name a row? Own rows alone: nothing that every object has. */
export const isKeyOf = <Key extends string>(
  table: Readonly<Partial<Record<Key, unknown>>>,
  text: string,
): text is Key => Object.hasOwn(table, text);
