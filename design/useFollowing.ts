import { startTransition, useEffect, useState } from 'react';

/**
 * The same value, one picture of the screen later: what a change draws anew is shared out over two,
 * so that none of them keeps a hand waiting. A deferred value would not do: a change that comes in a
 * transition is not deferred any further.
 *
 * @param value of one identity as long as it is the same
 */
export const useFollowing = <Value>(value: Value): Value =>
  useFollowingFrom<Value, Value>(value, value);

/** As above. @param first what stands until the first picture has been shown */
export function useFollowingFrom<Value, First>(value: Value, first: First): Value | First {
  const [following, follow] = useState<Value | First>(first);
  useEffect(() => {
    if (following === value) return undefined;
    // An effect runs once what was before has been shown.
    const timer = setTimeout(() => startTransition(() => follow(() => value)));
    return () => clearTimeout(timer);
  }, [value, following]);
  return following;
}
