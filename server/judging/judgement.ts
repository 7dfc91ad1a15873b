import { resolveBody, type Body } from '@/core/body/body';
import { getStageIn } from '@/core/catalog/school';
import type { StageKey } from '@/core/catalog/stage';
import { solveStage } from '@/core/setups/solveStage';
import type { OpenedCase } from '@/core/ladder/case';
import { toSetupInput } from '@/core/ladder/sized';
import { judge, type Verdict } from '@/core/ladder/verdict';
import type { Evidence } from '@/core/readiness/record';
import type { SetupInput, SetupResult } from '@/core/setups/setup';
import { keptDistances } from '@/core/setups/registry';
import type { PersonRow } from '@/db/people';
import { makeCase, type CaseContext } from './cases';

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

/** One person, one stage, tonight: body, set-ups and verdict from what is stored. */
export function judgePerson(
  person: PersonRow,
  evidence: Evidence,
  context: CaseContext & { readonly stage: StageKey },
): Judgement {
  const { stage, pieces } = context;
  const body = resolveBody(person.body);
  const opened = makeCase(person, evidence, context);
  const setupInput = toSetupInput(opened, { body, kept: keptDistances(person.kept) }, pieces);
  const setup = solveStage(setupInput, getStageIn(context.school, stage).spec);
  return { person, body, setupInput, setup, verdict: judge(stage, opened), opened };
}
