type Parts = Readonly<Record<string, unknown>>;

const isParts = (value: unknown): value is Parts =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Each part compared with the one that stood in its place; `null`: every one of them stood there. */
function partsOf(before: Parts, after: Parts): Parts | null {
  const keys = Object.keys(after);
  const kept = keys.map((key) => [key, keepSame(before[key], after[key])] as const);
  const isSame =
    keys.length === Object.keys(before).length &&
    kept.every(([key, value]) => key in before && Object.is(before[key], value));
  if (isSame) return null;
  return kept.every(([key, value]) => Object.is(after[key], value))
    ? after
    : Object.fromEntries(kept);
}

function itemsOf(before: readonly unknown[], after: readonly unknown[]): readonly unknown[] | null {
  const kept = after.map((value, at) => keepSame(before[at], value));
  const isSame =
    kept.length === before.length && kept.every((value, at) => Object.is(before[at], value));
  if (isSame) return null;
  return kept.every((value, at) => Object.is(after[at], value)) ? after : kept;
}

/**
 * What came, made of what stood wherever both say the same: whoever looks whether something is still
 * the same object leaves alone what did not change.
 *
 * @param before plain data as it stood, or nothing
 * @param after plain data as it came (what JSON can say)
 * @returns equal to `after`; `before` itself where nothing changed
 */
export function keepSame<Data>(before: unknown, after: Data): Data {
  if (Object.is(before, after)) return after;
  let kept: unknown = after;
  if (Array.isArray(before) && Array.isArray(after)) kept = itemsOf(before, after) ?? before;
  else if (isParts(before) && isParts(after)) kept = partsOf(before, after) ?? before;
  return kept as Data;
}
