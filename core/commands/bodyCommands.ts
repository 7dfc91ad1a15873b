import { exact } from '../exact';
import type { z } from 'zod';
import { resolveBody, type Body } from '../body/body';
import { InputProblem } from '../problem';
import { findSpacer } from '../pieces/spacer';
import { findStack } from '../pieces/stack';
import { computeLoads } from '../shapes/loads';
import type { Posture } from '../shapes/postures';
import { getSetup } from '../setups/registry';
import type {
  bodyInput,
  loadsInput,
  setupInput,
  spacerInput,
  stackInput,
} from '../files/bodySchemas';

/** A body from the input; problems are named from the input's root. */
function readBody(input: z.infer<typeof bodyInput>): Body {
  try {
    return resolveBody(exact(input));
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    throw new InputProblem(error.code, error.message, ['body', ...error.path]);
  }
}

export function runLoads({ body, posture, ranges }: z.infer<typeof loadsInput>) {
  const loads = computeLoads(readBody(body), posture as Posture, exact(ranges ?? {}));
  const { pose, contacts, ...rest } = loads;
  const { wrist, elbow, shoulder, hip, knee, ankle, crown } = pose.joints;
  return {
    joints: { wrist, elbow, shoulder, hip, knee, ankle, crown },
    contacts,
    ...rest,
  };
}

export function runSetup(input: z.infer<typeof setupInput>) {
  const { recipe, body, ...rest } = input;
  const result = getSetup(recipe).solve({ body: readBody(body), ...exact(rest) });
  return {
    recipe,
    distances: result.distances.map(({ drivers: _, why, ...distance }) => ({ ...distance, why })),
    ...(result.stack ? { stack: result.stack } : {}),
    ...(result.spacer ? { spacer: result.spacer } : {}),
    cautions: result.cautions,
    notes: result.notes,
  };
}

export const runStack = (input: z.infer<typeof stackInput>) => findStack(exact(input));

export function runSpacer({ gapM, pieces }: z.infer<typeof spacerInput>) {
  const spacer = findSpacer(gapM, pieces);
  if (spacer === null) {
    throw new InputProblem('not-possible', 'There is no block among these pieces.', ['pieces']);
  }
  return spacer;
}
