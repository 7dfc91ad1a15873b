/** Straps: a loop differs only in the span it goes round. Source: handbook 04. */
import type { Lengths } from '../../body/body';
import { specOf } from '../../catalog/pieces';
import { findStrap, loopLength } from '../../pieces/strap';
import { elbowsApart } from '../elbows';
import type { SetupId } from '../registry';
import {
  cm,
  measuring,
  metresOf,
  noAssist,
  type Setup,
  type SetupInput,
  type SetupResult,
} from '../setup';

/** Further out than the outer elbows, so that there is something to press against. */
const pressOutM = 0.01;

function loopResult(
  input: SetupInput,
  setup: SetupId,
  loopM: (lengths: Lengths) => number,
  span: string,
): SetupResult {
  const { measure } = measuring(input, setup);
  const loop = measure('strapLoop', loopM, {
    why: `2 x (span - arm thickness) + pi x arm thickness; span: ${span}`,
  });
  const strap = findStrap(loop.metres, input.pieces);
  return {
    distances: [loop],
    cautions:
      strap === null
        ? [`No strap at hand makes a loop of ${cm(loop.metres)} with a tail of 20 cm.`]
        : [],
    notes:
      strap === null
        ? []
        : [
            `${specOf(strap).label}: pull it through to a loop of ${cm(loop.metres)}, ${cm(specOf(strap).lengthM - loop.metres)} left over.`,
          ],
  };
}

/** One strap, where one is long enough for the loop. */
const strapWays: Setup['ways'] = ({ pieces }, result) => {
  const loopM = metresOf(result.distances, 'strapLoop') ?? 0;
  const [lack] = result.cautions;
  if (findStrap(loopM, pieces) === null && lack !== undefined) return { ways: [], lack };
  return { ways: [{ props: [{ piece: 'strap-180', count: 1 }], less: 0, result }] };
};

const common = {
  ways: strapWays,
  assist: noAssist,
  topView: 'arms',
} as const satisfies Partial<Setup>;

export const strapForearm: Setup = {
  ...common,
  label: 'Strap for forearm work',
  solve: (input) => {
    const { loopM, notes } = elbowsApart(input);
    const result = loopResult(input, 'strap-forearm', loopM, 'outer elbow width less 1 cm');
    return { ...result, notes: [...result.notes, ...notes] };
  },
  checkFirst: ['Buckle outside, off the skin', 'Above the elbows, not on them'],
  exit: 'Knees down, then out of the strap',
};

export const strapHandstand: Setup = {
  ...common,
  label: 'Strap for handstand',
  solve: (input) =>
    loopResult(
      input,
      'strap-handstand',
      (l) =>
        loopLength(l.shoulderJointWidth + l.upperArmThickness + pressOutM, l.upperArmThickness),
      'outer elbow width and 1 cm, to press out',
    ),
  checkFirst: ['Buckle outside, off the skin', 'Arms press out against it'],
  exit: 'Feet down, then out of the strap',
};

export const strapShoulderStand: Setup = {
  ...common,
  label: 'Strap for shoulder stand',
  solve: (input) =>
    loopResult(
      input,
      'strap-shoulder-stand',
      (l) => loopLength(l.outerShoulderWidth, l.upperArmThickness),
      'outer shoulder width',
    ),
  checkFirst: ['Buckle outside, off the skin'],
  assist: 'Strap handed over when the hips are up',
  exit: 'Arms out of the strap before rolling down',
};
