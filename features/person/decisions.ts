/** Suggestion and decision side by side; immutable once saved. */
import { stageKey } from '@/core/catalog/keys';
import { z } from 'zod';
import { wordsOf } from '@/core/units/text';
import { getStageIn } from '@/core/catalog/school';
import { judge } from '@/core/ladder/verdict';
import { verdictKinds } from '@/core/ladder/verdictKinds';
import { addDecision, findDecision } from '@/db/decisions';
import { saveRung } from '@/db/personChanges';
import { toGateRow } from '@/server/judging/gateRows';
import { done, refuse, type Outcome } from '@/server/result';
import { aPerson, change } from '@/server/useCase';
import { readOwnCase } from '@/server/judging/views';

const decisionForm = z.strictObject({
  stage: stageKey,
  decided: z.enum(verdictKinds, 'Choose what you decide.'),
  reason: z.string().overwrite(wordsOf).max(300, 'At most 300 signs.'),
  corrects: z.int().positive().nullable(),
});

/**
 * Keeps what was suggested, what the teacher decides and why. Differing needs a reason. Nothing
 * that a caution, a sign or pain closes can be decided open: note the clinician's word, or that
 * the pain is gone, first.
 *
 * @returns the id of the decision
 */
export const decide = change(
  [aPerson, decisionForm],
  ({ db: tx, today: day, by }, row, form): Outcome<number> => {
    const { stage, decided, reason, corrects } = form;
    const { school, opened } = readOwnCase(tx, row, day);
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
      },
      profileKey: verdict.profile.key,
      profileVersion: verdict.profile.version,
      decided,
      reason,
      corrects,
      by,
    });
    // With support the rung stays: the next one was tried, and is not where they work.
    if (decided === 'advance') saveRung(tx, row.id, spec.family, stage, day);
    if (decided === 'step-back') {
      const before = spec.after[0];
      const present = row.present[spec.family];
      const back =
        present === undefined ? before : (school.stages.get(present)?.spec.after[0] ?? present);
      if (back !== undefined) saveRung(tx, row.id, spec.family, back, day);
    }
    return done(id);
  },
);
