import { resolveBody, type Body } from '@/core/body/body';
import { getStageIn } from '@/core/catalog/school';
import type { StageKey } from '@/core/catalog/stage';
import { solveStage } from '@/core/setups/solveStage';
import type { OpenedCase } from '@/core/ladder/case';
import { toSetupInput } from '@/core/ladder/sized';
import { judge, type Verdict } from '@/core/ladder/verdict';
import type { PieceCount } from '@/core/catalog/pieces';
import type { SetupInput, SetupResult } from '@/core/setups/setup';
import { keptDistances } from '@/core/setups/registry';
import { rememberFor } from '@/core/units/remember';
import type { PersonRow } from '@/db/people';

/** Everything the screens need about one person and the evening's stage. */
export interface Judgement {
  readonly person: PersonRow;
  readonly body: Body;
  /** What every set-up of this person is worked out from. */
  readonly setupInput: SetupInput;
  /** The stage's own set-up; `null` where nothing is measured. */
  readonly setup: SetupResult | null;
  readonly verdict: Verdict;
  readonly opened: OpenedCase;
}

// A case stands for the person as stored; whatever changes about them makes it another one.
const judged = rememberFor<OpenedCase, Judgement>();

/** One person, one stage, tonight: body, set-ups and verdict from their case. */
export function judgePerson(
  person: PersonRow,
  opened: OpenedCase,
  { stage, pieces }: { readonly stage: StageKey; readonly pieces: readonly PieceCount[] },
): Judgement {
  return judged(opened, JSON.stringify([person.id, stage, pieces]), () =>
    judgeAnew(person, opened, stage, pieces),
  );
}

function judgeAnew(
  person: PersonRow,
  opened: OpenedCase,
  stage: StageKey,
  pieces: readonly PieceCount[],
): Judgement {
  const body = resolveBody(person.body);
  const setupInput = toSetupInput(opened, { body, kept: keptDistances(person.kept) }, pieces);
  const setup = solveStage(setupInput, getStageIn(opened.school, stage).spec);
  return { person, body, setupInput, setup, verdict: judge(stage, opened), opened };
}
