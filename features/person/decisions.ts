/** Suggestion and decision side by side; immutable once saved. */
import { stageKey } from '@/core/catalog/keys';
import { z } from 'zod';
import { wordsOf } from '@/core/units/text';
import { getStageIn, type School } from '@/core/catalog/school';
import type { StageKey } from '@/core/catalog/stage';
import type { OpenedCase } from '@/core/ladder/case';
import { judge } from '@/core/ladder/verdict';
import { verdictKinds } from '@/core/ladder/verdictKinds';
import {
  addDecision,
  findDecision,
  listDecisions,
  removeDecision,
  type DecisionRow,
} from '@/db/decisions';
import type { PersonRow } from '@/db/people';
import { findRung, saveRung } from '@/db/personChanges';
import type { Db } from '@/db/open';
import type { Day } from '@/core/units/day';
import { judgeInRunningClasses } from '@/server/running/floorJudge';
import { toGateRow } from '@/server/judging/gateRows';
import { done, refuse, type Outcome } from '@/server/result';
import { aPerson, change, numberOf, type Given } from '@/server/useCase';
import { readOwnCase } from '@/server/judging/views';

const decisionForm = z.strictObject({
  stage: stageKey,
  decided: z.enum(verdictKinds, 'Choose what you decide.'),
  reason: z.string().overwrite(wordsOf).max(300, 'At most 300 signs.'),
  corrects: z.int().positive().nullable(),
});

/** Decides by the school of somebody's own course. @returns the id of the decision */
export const decide = change([aPerson, decisionForm], (given, row, form): Outcome<number> =>
  keepDecision(given, row, readOwnCase(given.db, row, given.today), form),
);

/**
 * Keeps what was suggested, what the teacher decides and why. Differing needs a reason. Nothing
 * that a caution, a sign or pain closes can be decided open: note the clinician's word, or that
 * the pain is gone, first.
 *
 * @param judged what they are judged by: the evening's school, where an evening is looked through
 * @returns the id of the decision
 */
export function keepDecision(
  { db: tx, today: day, by }: Given,
  row: PersonRow,
  { school, opened }: { readonly school: School; readonly opened: OpenedCase },
  form: z.output<typeof decisionForm>,
): Outcome<number> {
  const { stage, decided, reason, corrects } = form;
  if (!school.stages.has(stage)) return refuse({ stage: 'This stage is not in the catalog.' });
  const { spec } = getStageIn(school, stage);
  const verdict = judge(stage, opened);
  if (verdict.kind === 'stop' && decided !== 'stop') {
    return refuse({
      decided:
        'A stop is not decided away: note the clinician’s word, or that the pain is gone, first.',
    });
  }
  if (decided !== verdict.kind && reason === '') {
    return refuse({
      reason: 'You differ from the suggestion: say why, for the you of next month.',
    });
  }
  if (corrects !== null && findDecision(tx, corrects)?.personId !== row.id) {
    return refuse({ corrects: 'There is no such decision to correct.' });
  }
  const to = whereTo({ decided, stage }, school, row.present[spec.family]);
  const id = addDecision(tx, {
    personId: row.id,
    family: spec.family,
    stage,
    madeOn: day,
    suggested: verdict.kind,
    grounds: {
      reasons: verdict.reasons,
      figures: verdict.items.map((item) => {
        const { label, status, figures } = toGateRow(item, school);
        return { label, status, text: figures };
      }),
      profileLabel: school.profile.label,
      ...(to === undefined ? {} : { stoodAt: findRung(tx, row.id, spec.family) }),
    },
    profileKey: verdict.profile.key,
    profileVersion: verdict.profile.version,
    decided,
    reason,
    corrects,
    by,
  });
  if (to !== undefined) {
    saveRung(tx, row.id, spec.family, to, day);
    judgeInRunningClasses(tx, row.id);
  }
  return done(id);
}

/**
 * The rung somebody works on from then on; `undefined`: where they stand. With support it stays:
 * the next one was tried, and is not where they work.
 */
function whereTo(
  { decided, stage }: Pick<DecisionRow, 'decided' | 'stage'>,
  school: School,
  present: StageKey | undefined,
): StageKey | undefined {
  if (decided === 'advance') return stage;
  if (decided !== 'step-back') return undefined;
  const below = (of: StageKey) => school.stages.get(of)?.spec.after[0];
  return present === undefined ? below(stage) : (below(present) ?? present);
}

/** Why a decision stays as it is; `null`: it can be taken back. */
export function whyKept(db: Db, made: DecisionRow, today: Day): string | null {
  if (made.madeOn !== today) return 'It is of another day: correct it by a new one.';
  const newest = listDecisions(db, made.personId).find(({ family }) => family === made.family);
  if (newest?.id !== made.id) return 'Another decision came after it: correct it by a new one.';
  const hasMoved = made.decided === 'advance' || made.decided === 'step-back';
  return hasMoved && made.grounds.stoodAt === undefined
    ? 'Where they stood before is not known: correct it by a new one.'
    : null;
}

/**
 * Takes back what was decided a moment ago, and the rung with it, as long as nothing came of it: the
 * same day, no later decision on that ladder. What stands longer is part of somebody's story and is corrected.
 */
export const undoDecision = change(
  [aPerson, numberOf('This decision is no longer here.')],
  ({ db: tx, today }, row, id): Outcome => {
    const made = findDecision(tx, id);
    if (made?.personId !== row.id) return refuse({ form: 'This decision is no longer here.' });
    const why = whyKept(tx, made, today);
    if (why !== null) return refuse({ form: why });
    const { family, grounds } = made;
    const { stoodAt } = grounds;
    if (stoodAt !== undefined) {
      const { school } = readOwnCase(tx, row, today);
      const to = whereTo(made, school, stoodAt?.stage);
      // Placed by hand since: that word is the later one.
      if (row.present[family] === to) {
        saveRung(tx, row.id, family, stoodAt?.stage ?? null, stoodAt?.since ?? today);
      }
    }
    removeDecision(tx, id);
    if (stoodAt !== undefined) judgeInRunningClasses(tx, row.id);
    return done(undefined);
  },
);
