/** Set-ups of a person that were tried and are kept. */
import { z } from 'zod';
import { resolveBody } from '@/core/body/body';
import { InputProblem } from '@/core/problem';
import { distanceWords } from '@/core/setups/distanceWords';
import { getSetup, keptDistances, type SetupId } from '@/core/setups/registry';
import { isShapeId, keptFromSaved, savedOfIds } from '@/core/setups/saved';
import { computeLoads } from '@/core/shapes/loads';
import type { ShapeId } from '@/core/shapes/postures';
import { getDials, toPosture } from '@/core/shapes/values';
import { sayIn, type LengthUnits } from '@/core/units/length';
import { wordsOf } from '@/core/units/text';
import type { PersonRow } from '@/db/people';
import { getSettings } from '@/db/courses';
import { addSetup, removeSetup } from '@/db/setups';
import { done, refuse, type Outcome, type Problems } from '@/server/result';
import { judgeInRunningClasses } from '@/server/running/floorJudge';
import { aPerson, change, numberOf } from '@/server/useCase';

const mostNote = 300;
/** Further than anything in a room is set out, metres. */
const mostKeptM = 2.5;
/** With a block in the hands every distance of the kick is there. */
const everyBlock = [{ piece: 'foam-block', count: 2 }] as const;

const setupForm = z.strictObject({
  family: z.enum(savedOfIds, 'This is neither a shape nor a set-up of our list.'),
  values: z.record(z.string(), z.number('Write a number.')),
  note: z
    .string()
    .transform(wordsOf)
    .pipe(z.string().max(mostNote, `At most ${mostNote} signs.`)),
});

/** Keeps a set-up that was tried, after checking that this body can be in it. */
export const keepSetup = change(
  [aPerson, setupForm],
  ({ db, today }, person, form): Outcome<number> => {
    const { family, values, note } = form;
    const problems = isShapeId(family)
      ? findShapeProblems(family, values, person, getSettings(db).units)
      : findKeptProblems(family, values, person);
    if (problems !== null) return refuse(problems);
    const setup = { personId: person.id, family, values, note: note.trim(), savedOn: today };
    const added = addSetup(db, setup);
    judgeInRunningClasses(db, person.id);
    return done(added);
  },
);

const back = { form: 'This set-up was already taken back.' };

export const dropSetup = change(
  [aPerson, numberOf(back.form)],
  ({ db }, person, setup): Outcome => {
    if (!removeSetup(db, person.id, setup)) return refuse(back);
    judgeInRunningClasses(db, person.id);
    return done(undefined);
  },
);

/** What is wrong with the dials of a shape for this body; `null`: nothing. */
function findShapeProblems(
  shape: ShapeId,
  values: Readonly<Record<string, number>>,
  { body }: PersonRow,
  units: LengthUnits,
): Problems | null {
  for (const { parameter, low, high, label } of getDials(shape)) {
    const value = values[parameter];
    if (value === undefined || value < low - 1e-9 || value > high + 1e-9) {
      return { [`values.${parameter}`]: `${label}: out of range.` };
    }
  }
  if (Object.keys(values).length !== getDials(shape).length) {
    return { values: 'There is a value here that this shape does not have.' };
  }
  try {
    computeLoads(resolveBody(body), toPosture(shape, values));
    return null;
  } catch (error) {
    if (error instanceof InputProblem) return { form: sayIn(error.message, units) };
    throw error;
  }
}

/** What is wrong with figures of a set-up that somebody found by trying; `null`: nothing. */
function findKeptProblems(
  setup: SetupId,
  values: Readonly<Record<string, number>>,
  { body }: PersonRow,
): Problems | null {
  const size = resolveBody(body);
  const rows = keptFromSaved([{ family: setup, values, note: '', savedOn: '' }]);
  if (rows.length === 0 || rows.length !== Object.keys(values).length) {
    return { values: 'There is a figure here that no set-up measures.' };
  }
  const { distances } = getSetup(setup).solve({
    body: size,
    profile: 'prop-led',
    pieces: everyBlock,
    // Only measured where somebody's legs were: the plough has it then.
    straightLegRaiseDeg: 90,
    kept: keptDistances(rows),
  });
  for (const { distance, metres } of rows) {
    const { label, mayKeep } = distanceWords[distance];
    const solved = distances.find(({ id }) => id === distance);
    if (!mayKeep || solved === undefined) {
      return { [`values.${distance}`]: `${label}: not a figure of this set-up to be kept.` };
    }
    if (metres < 0 || metres > mostKeptM) {
      return { [`values.${distance}`]: `${label}: out of range.` };
    }
    if (solved.found === undefined) {
      return { [`values.${distance}`]: `${label}: out of reach for this body.` };
    }
  }
  return null;
}
