import { resolveBody, type Body } from '@/core/body/body';
import type { PieceCount } from '@/core/catalog/pieces';
import type { StageKey } from '@/core/catalog/stage';
import type { OpenedCase } from '@/core/ladder/case';
import { judge, type Verdict } from '@/core/ladder/verdict';
import type { Evidence } from '@/core/readiness/record';
import { forearmKickSetup, type ForearmKickSetup } from '@/core/setup/forearmKick';
import type { PersonRow } from '@/db/people';
import type { SavedSetup } from '@/db/setups';
import { makeCase, type CaseContext } from './cases';

/** Everything the screens need about one person and the evening's stage. */
export interface Judgement {
  readonly person: PersonRow;
  readonly body: Body;
  readonly setup: ForearmKickSetup;
  readonly verdict: Verdict;
  readonly opened: OpenedCase;
  readonly pieces: readonly PieceCount[];
}

/** One person, one stage, tonight: body, set-up and verdict from what is stored. */
export function judgePerson(
  person: PersonRow,
  evidence: Evidence,
  context: CaseContext & {
    readonly stage: StageKey;
    /** Set-ups saved for this person, oldest first. */
    readonly setups?: readonly SavedSetup[];
  },
): Judgement {
  const { school, stage, pieces } = context;
  const body = resolveBody(person.body);
  const kept = context.setups?.filter(({ family }) => family === 'forearmStandWall').at(-1);
  const setup = forearmKickSetup({
    body,
    profile: school.profile.origin,
    settings: school.settings,
    pieces,
    ...(kept
      ? { experience: { baseM: kept.values.baseM, on: kept.savedOn, note: kept.note } }
      : {}),
  });
  const opened = makeCase(person, evidence, context);
  return { person, body, setup, verdict: judge(stage, opened), opened, pieces };
}
