/**
 * The flat shoulder stand, chin locked: in a teacher's own copy of a profile that says so, and nowhere
 * else. Source: handbook 09 "Shoulder stand and plough"; the times are ours (docs/decisions/0014).
 */
import type { ProfileSettings } from '../catalog/profiles';
import type { SetupId } from './registry';

/** A neck bent further than this has nothing under the shoulders that is worth its name; degrees. */
const flatFromDeg = 80;
/** As far as a profile's copy may go: nothing under the shoulders. */
export const flatNeckDeg = 90;
/** At most so long at a time, seconds: five breaths. */
export const flatMostSeconds = 25;
/** What the chair version bends the neck, whatever the school does on the floor; degrees. */
export const usualNeckDeg = 65;

export const isFlat = ({ neckFlexionDeg }: Pick<ProfileSettings, 'neckFlexionDeg'>): boolean =>
  neckFlexionDeg > flatFromDeg;

/** What is said on every card of it. */
export const flatCaution = (neckFlexionDeg: number): string =>
  `Flat, chin locked: the neck bends about ${Math.round(neckFlexionDeg)}° and carries some of the weight. ${flatMostSeconds} seconds at most; the head does not turn; out at once for pressure in throat, eyes or neck. Not for anybody whose neck or eyes were ever in question.`;

/** What is looked at before weight goes on, in place of the platform's own lines. */
export const flatChecks: readonly string[] = [
  'Throat soft, chin to the breastbone without being pressed there',
  'Weight on shoulders and arms: a finger passes under the neck',
  'Can speak',
];

/** Is this stage done on the flat in a school that does so? The chair version never is. */
export const isOnFlat = (
  { recipe }: { readonly recipe?: SetupId | undefined },
  settings: Pick<ProfileSettings, 'neckFlexionDeg'>,
): boolean => recipe === 'platform' && isFlat(settings);
