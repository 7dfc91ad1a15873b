import type { VerdictKind } from '@/core/ladder/verdictKinds';

/** Each verdict has its own shape; colour only sets *stop* apart (handbook 10). */
const paths = {
  // A stair up.
  advance: 'M3 20h6v-5h6v-5h6V5',
  // A stair, and a hand under it.
  'advance-with-support': 'M3 15h6v-4h6V7h6V4M4 21c3-3 6-3 8-1s6 1 8-2',
  // A level bar.
  stay: 'M3 12h18M3 8v8M21 8v8',
  // A clock.
  're-check': 'M12 3a9 9 0 1 0 0 18a9 9 0 1 0 0-18M12 7v5l4 2',
  // A stair down.
  'step-back': 'M3 5h6v5h6v5h6v5',
  // A barred ring.
  stop: 'M12 3a9 9 0 1 0 0 18a9 9 0 1 0 0-18M5.6 18.4 18.4 5.6',
} as const satisfies Record<VerdictKind, string>;

/** Another shape tonight: a chair. It gives no reason away. */
export function AnotherWayMark({ sizePx = 20 }: { readonly sizePx?: number }) {
  return <Mark d="M6 3v18M6 13h11v8" stroke="var(--lv-green)" sizePx={sizePx} />;
}

export const verdictWords = {
  advance: 'open',
  'advance-with-support': 'with support',
  stay: 'stay',
  're-check': 're-check',
  'step-back': 'step back',
  stop: 'not this one',
} as const satisfies Record<VerdictKind, string>;

interface VerdictMarkProps {
  readonly kind: VerdictKind;
  readonly sizePx?: number;
}

export function VerdictMark({ kind, sizePx = 20 }: VerdictMarkProps) {
  const stroke = kind === 'stop' ? 'var(--lv-stop)' : 'var(--lv-green)';
  return <Mark d={paths[kind]} stroke={stroke} sizePx={sizePx} />;
}

interface MarkProps {
  readonly d: string;
  readonly stroke: string;
  readonly sizePx: number;
}

function Mark({ d, stroke, sizePx }: MarkProps) {
  return (
    <svg
      width={sizePx}
      height={sizePx}
      viewBox="0 0 24 24"
      aria-hidden="true"
      style={{ flex: 'none' }}
    >
      <path
        d={d}
        fill="none"
        stroke={stroke}
        strokeWidth="2.4"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
