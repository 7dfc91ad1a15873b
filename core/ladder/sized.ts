import type { Body } from '../body/body';
import type { PieceCount } from '../catalog/pieces';
import { measuredRanges } from '../readiness/ranges';
import type { KeptDistances } from '../setups/kept';
import type { SetupInput } from '../setups/setup';
import type { PersonCase } from './case';

/** A person's size, and what was found by trying. */
export interface Sized {
  readonly body: Body;
  readonly kept?: KeptDistances;
}

/** What a set-up is worked out from, for a person as judged: their own figures win everywhere. */
export const toSetupInput = (
  { school, evidence, asOf }: Pick<PersonCase, 'school' | 'evidence' | 'asOf'>,
  { body, kept }: Sized,
  pieces: readonly PieceCount[],
): SetupInput => ({
  body,
  profile: school.profile.origin,
  settings: school.settings,
  pieces,
  ...measuredRanges(evidence, school, asOf),
  ...(kept === undefined ? {} : { kept }),
});
