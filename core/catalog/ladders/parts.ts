/** Small makers for the gates of the ladder tables. */
import type { CheckId } from '../checks';
import type { CheckDemand, Demand } from '../demand';

export const check = (id: CheckId, more: Omit<CheckDemand, 'check'> = {}): CheckDemand => ({
  check: id,
  ...more,
});

export const atHalf = (demand: CheckDemand): CheckDemand => ({ ...demand, share: 0.5 });

export const wristsReady = {
  anyOf: [check('wrist-extension'), { with: 'wedge' }],
} as const satisfies Demand<string>;
