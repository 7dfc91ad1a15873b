import type { CheckStatus } from '@/core/readiness/assess';

/** A box filled as far as the check is: full, half, empty; a clock; a question. */
const paths = {
  met: 'M4 4h16v16H4zM8 12l3 3 5-6',
  borderline: 'M4 4h16v16H4zM4 14h16',
  'not-yet': 'M4 4h16v16H4z',
  stale: 'M12 3a9 9 0 1 0 0 18a9 9 0 1 0 0-18M12 7v5l4 2',
  unknown: 'M4 4h16v16H4zM10 9.5c0-3 4.5-2.6 4 0-.3 1.5-2 1.5-2 3.3M12 16v.4',
} as const satisfies Record<CheckStatus, string>;

export const statusWords = {
  met: 'met',
  borderline: 'borderline',
  'not-yet': 'not yet',
  stale: 'too old',
  unknown: 'not seen',
} as const satisfies Record<CheckStatus, string>;

export function StatusMark({ status }: { readonly status: CheckStatus }) {
  return (
    <svg width={20} height={20} viewBox="0 0 24 24" aria-hidden="true" style={{ flex: 'none' }}>
      <path
        d={paths[status]}
        fill="none"
        stroke={status === 'met' ? 'var(--lv-green)' : 'var(--lv-ink)'}
        strokeWidth="2"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
