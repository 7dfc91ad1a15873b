import { z } from 'zod';
import { alternativeIds, getAlternative } from '../catalog/alternatives';
import { stageKey } from '../catalog/keys';
import { getStageIn, type School } from '../catalog/school';
import { ladderIds } from '../catalog/stage';
import { stageIds } from '../catalog/stages';
import { findStands } from '../ladder/stand';
import { judge, type Verdict } from '../ladder/verdict';
import { verdictKinds } from '../ladder/verdictKinds';
import { checkStatuses } from '../readiness/assess';
import { personInput, profileInput, readCase, readSchool } from '../files/personInput';
import { day } from '../files/schemas';

export const verdictInput = z.strictObject({
  asOf: day,
  profile: profileInput,
  stages: z
    .array(z.enum(stageIds))
    .optional()
    .meta({ description: 'Stages to judge; absent: the next rung of every ladder.' }),
  person: personInput,
});

export const verdictOutput = z.object({
  profile: z.object({ key: z.string(), version: z.number() }),
  verdicts: z.array(
    z.object({
      stage: stageKey,
      label: z.string(),
      family: z.enum(ladderIds),
      verdict: z.enum(verdictKinds),
      reasons: z.array(z.string()),
      helpMost: z.array(z.string()),
      atDoor: z.array(z.string()),
      needsAssist: z.boolean(),
      caution: z.object({
        outcome: z.enum(['open', 'care', 'refer', 'closed-today', 'closed']),
        adaptations: z.array(z.string()),
      }),
      alternative: z
        .object({ id: z.enum(alternativeIds), label: z.string(), how: z.string() })
        .optional(),
      checks: z.array(
        z.object({
          label: z.string(),
          status: z.enum(checkStatuses),
          probability: z.number().nullable(),
          threshold: z.number(),
          reasons: z.array(z.string()),
          standIn: z.string().optional(),
          atDoor: z.boolean(),
        }),
      ),
    }),
  ),
});

/** Judges a person file: the next rung of every ladder, or the stages asked for. */
export function runVerdict(input: z.infer<typeof verdictInput>): z.infer<typeof verdictOutput> {
  const school = readSchool(input.profile);
  const { key, version } = school.profile;
  const opened = readCase(input.person, school, input.asOf, ['person']);
  const verdicts = input.stages
    ? input.stages.map((stage) => judge(stage, opened))
    : findStands(opened).flatMap(({ next }) => (next === null ? [] : [next]));
  return {
    profile: { key, version },
    verdicts: verdicts.map((verdict) => describe(verdict, school)),
  };
}

function describe(verdict: Verdict, school: School) {
  const { spec } = getStageIn(school, verdict.stage);
  const { alternative } = verdict;
  return {
    stage: verdict.stage,
    label: spec.label,
    family: spec.family,
    verdict: verdict.kind,
    reasons: [...verdict.reasons],
    helpMost: [...verdict.helpMost],
    atDoor: [...verdict.atDoor],
    needsAssist: verdict.needsAssist,
    caution: { outcome: verdict.caution.outcome, adaptations: [...verdict.caution.adaptations] },
    ...(alternative === undefined
      ? {}
      : {
          alternative: {
            id: alternative,
            label: getAlternative(alternative).label,
            how: getAlternative(alternative).how,
          },
        }),
    checks: verdict.items.map((item) => ({
      label: item.label,
      status: item.status,
      probability: item.probability,
      threshold: item.threshold,
      reasons: [...item.reasons],
      ...(item.standIn === undefined ? {} : { standIn: item.standIn }),
      atDoor: item.isAtDoor === true,
    })),
  };
}
