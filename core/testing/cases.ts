/** Made-up people for the tests of the ladders. */
import type { ProfileId } from '../catalog/profiles';
import { shippedSchool } from '../catalog/school';
import { noCare, type Care } from '../caution/care';
import { openCase, type OpenedCase, type PersonCase } from '../ladder/case';
import type { CheckRecord, Evidence } from '../readiness/record';
import { addDays } from '../units/day';

export const asOf = '2026-11-19';
export const ago = (days: number) => addDays(asOf, -days);

/** The same value at the last two weekly meetings. */
export const twice = (value: number, more: Partial<CheckRecord> = {}): CheckRecord[] =>
  [14, 7].map((days) => ({ date: ago(days), value, ...more }));

const both = (value: number, more: Partial<CheckRecord> = {}) =>
  (['hands', 'forearms', 'head'] as const).flatMap((base) => twice(value, { ...more, base }));

/** Somebody for whom every bar of every profile is met. */
export const everything: Evidence = {
  'forearm-plank-hold': twice(120),
  'plank-hold': twice(120),
  'dolphin-hold': twice(150),
  'dolphin-push-ups': twice(25),
  'dolphin-one-leg': twice(60),
  'head-clearance': twice(6),
  'elbow-drift': twice(0),
  'crown-control': twice(1),
  'head-load': twice(2),
  'paper-slip': twice(1),
  'wall-hold': both(70),
  'tuck-hold': twice(30),
  'hollow-hold': twice(80),
  'push-up-rung': twice(8),
  'l-hold': both(40),
  'l-one-leg': both(30),
  'blocks-kept': [...twice(1), { date: ago(0), value: 1 }],
  'hops-reaching': twice(10),
  'balance-off-wall': [21, 14, 7].flatMap((days) =>
    (['hands', 'forearms'] as const).map((base) => ({ date: ago(days), value: 60, base })),
  ),
  'headstand-hold': twice(180),
  'shoulder-stand-hold': twice(300),
  'upright-walk-in': twice(1),
  'easy-lotus': twice(1),
  'lifted-tuck': twice(3),
  'crow-hold': twice(60),
  'wrist-extension': twice(95),
  'shoulder-flexion': twice(180),
  'straight-leg-raise': twice(100),
  'controlled-exit': [...both(1), ...both(1)],
  confidence: both(9),
  'neck-ease': [{ date: asOf, value: 1 }],
  'talk-test': [{ date: asOf, value: 1 }],
};

export interface CaseChange extends Partial<Omit<PersonCase, 'school' | 'care'>> {
  readonly profile?: ProfileId;
  readonly care?: Partial<Care>;
}

/** Somebody ready for everything, changed as given. */
export function makeCase({ profile = 'prop-led', care, ...change }: CaseChange = {}): OpenedCase {
  return openCase({
    asOf,
    school: shippedSchool(profile),
    evidence: everything,
    consent: 'yes',
    present: {},
    equipment: [],
    ...change,
    care: { ...noCare, ...care },
  });
}
