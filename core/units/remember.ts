/**
 * Remembers what was worked out for something that does not change: as long as the thing itself is
 * there, and no longer. The key names everything else that the answer rests on.
 *
 * @returns asks: the remembered answer, or the one worked out now
 */
export function rememberFor<Subject extends object, Answer>(): (
  subject: Subject,
  key: string,
  work: () => Answer,
) => Answer {
  const known = new WeakMap<Subject, Map<string, Answer>>();
  return (subject, key, work) => {
    const own = known.get(subject) ?? new Map<string, Answer>();
    known.set(subject, own);
    if (!own.has(key)) own.set(key, work());
    return own.get(key)!;
  };
}
