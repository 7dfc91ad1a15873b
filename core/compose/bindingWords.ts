/** What one more of something would do to a plan, as data and in words. */
import { saySpan } from '../room/spanId';
import { formatAtLeast } from '../units/along';
import type { LengthUnits } from '../units/length';
import { moreLabel } from '../pieces/rows';

/** So much more of something. */
export interface More {
  readonly what: 'piece' | 'wall' | 'helper' | 'minutes';
  /** The row of the cupboard, the stretch of wall, the round (counted from 0) or `all`. */
  readonly id: string;
  /** Pieces, metres, people, minutes. */
  readonly more: number;
  /** What a piece of one's own is called. */
  readonly label?: string | undefined;
}

export interface Binding extends More {
  /** What it would add to the plan; `null` where the difference lies within the gap. */
  readonly gain: number | null;
  /** Students who would have noticeably more of what they could have. */
  readonly serves: readonly string[];
}

/**
 * `2 blocks more`, `0.9 m more of the north wall`, `one helper more in round 2`. A plan as a file
 * speaks in metres.
 */
export function moreWords({ what, id, more, label }: More, units: LengthUnits = 'cm'): string {
  switch (what) {
    case 'piece':
      return moreLabel(id, more, label);
    case 'wall':
      return `${formatAtLeast(more, units)} more of the ${saySpan(id)}`;
    case 'helper': {
      const hands = more === 1 ? 'one helper more' : `${more} helpers more`;
      return id === 'all' ? hands : `${hands} in round ${Number(id) + 1}`;
    }
    case 'minutes':
      return `${more} minutes more`;
  }
}

/** What one more would do, as a teacher would hear it. */
export function bindingWords(binding: Binding, units: LengthUnits = 'cm'): string {
  const { gain, serves } = binding;
  const thing = moreWords(binding, units);
  if (gain === null) return `${thing}: cannot tell`;
  if (gain === 0) return `${thing}: no difference`;
  if (serves.length === 0) return `${thing}: a little better for the class`;
  return `${thing}: serves ${serves.length} ${serves.length === 1 ? 'student' : 'students'} better`;
}
