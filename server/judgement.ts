import { resolveBody, type Body } from '@/core/body/body';
import type { PieceCount } from '@/core/catalog/pieces';
import { getStage, type StageId } from '@/core/catalog/stages';
import { judge, type Verdict } from '@/core/ladder/verdict';
import { forearmKickSetup, type ForearmKickSetup } from '@/core/setup/forearmKick';
import type { Day } from '@/core/units/day';
import type { CourseRow } from '@/db/courses';
import type { PersonRow } from '@/db/people';
import type { SavedSetup } from '@/db/setups';
import { toEvidence, type StoredRecord } from '@/db/records';

/** Everything the screens need about one person and the course's stage. */
export interface Judgement {
  readonly person: PersonRow;
  readonly body: Body;
  readonly setup: ForearmKickSetup;
  readonly verdict: Verdict;
}

/** One person, one stage, tonight: body, set-up and verdict from what is stored. */
export function judgePerson(
  person: PersonRow,
  records: readonly StoredRecord[],
  context: {
    readonly course: Pick<CourseRow, 'profile'>;
    readonly stage: StageId;
    readonly pieces: readonly PieceCount[];
    readonly today: Day;
    /** Set-ups saved for this person, oldest first. */
    readonly setups?: readonly SavedSetup[];
  },
): Judgement {
  const { course, stage, pieces, today } = context;
  const body = resolveBody(person.body);
  const kept = context.setups?.filter(({ family }) => family === 'forearmStandWall').at(-1);
  const setup = forearmKickSetup({
    body,
    profile: course.profile,
    pieces,
    ...(kept
      ? { experience: { baseM: kept.values.baseM, on: kept.savedOn, note: kept.note } }
      : {}),
  });
  const verdict = judge({
    stage,
    profile: course.profile,
    asOf: today,
    evidence: toEvidence(records),
    // A lift stands in for clearance only when the cupboard can really make it.
    equipment: setup.lift === null ? [] : ['forearm-lift'],
    cautions: person.cautions,
    consent: person.consent,
    ...(person.presentStage === null ? {} : { presentStage: person.presentStage }),
    ...(person.painClearedOn === null ? {} : { painClearedOn: person.painClearedOn }),
  });
  return { person, body, setup, verdict };
}

/** The word a stranger may read over the shoulder: never a health reason. */
export function stageLabel(stage: StageId): string {
  return getStage(stage).label;
}
