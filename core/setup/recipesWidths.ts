/** Widths, loops, spacers, lifts, cushions. Source: handbook 04 "Widths, loops, spacers". */
import type { Lengths } from '../body/body';
import { specOf } from '../catalog/pieces';
import { profileTable } from '../catalog/profiles';
import { solvePose } from '../posture/loads';
import { findSpacer } from '../pieces/spacer';
import { findStrap, loopLength } from '../pieces/strap';
import { measureDistance } from './distance';
import { forearmKickSetup } from './forearmKick';
import { cm, type RecipeInput, type RecipeResult } from './recipe';
import { adviseStack } from './stackAdvice';

const rules = {
  strapForearmM: -0.01,
  strapHandstandM: 0.01,
  leastClearanceM: 0.03,
  tuckClearanceM: 0.05,
  spacerOffM: 0.02,
  /** Elbow and knee of a usual crow, for where the head would land. */
  crowElbowDeg: 110,
  crowKneeOnArm: 0.6,
} as const;

const outerElbow = (l: Lengths) => l.shoulderJointWidth + l.upperArmThickness;

/** A strap recipe differs only in the span it goes round. */
export const strapRecipe =
  (span: (lengths: Lengths) => number, why: string) =>
  ({ body, pieces }: RecipeInput): RecipeResult => {
    const loop = measureDistance(
      body,
      'strapLoop',
      (l) => loopLength(span(l), l.upperArmThickness),
      { why: `2 x (span - arm thickness) + pi x arm thickness; span: ${why}` },
    );
    const strap = findStrap(loop.metres, pieces);
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
  };

export const strapForearm = strapRecipe(
  (l) => outerElbow(l) + rules.strapForearmM,
  'outer elbow width less 1 cm',
);
export const strapHandstand = strapRecipe(
  (l) => outerElbow(l) + rules.strapHandstandM,
  'outer elbow width and 1 cm, to press out',
);
export const strapShoulderStand = strapRecipe((l) => l.outerShoulderWidth, 'outer shoulder width');

export function armSpacer({ body, pieces }: RecipeInput): RecipeResult {
  const gap = measureDistance(body, 'spacerGap', (l) => l.shoulderJointWidth - l.upperArmThickness);
  const spacer = findSpacer(gap.metres, pieces);
  const cautions: string[] = [];
  if (spacer === null) cautions.push('No block at hand: a folded blanket between the forearms.');
  else if (Math.abs(spacer.errorM) > rules.spacerOffM) {
    cautions.push(
      `The nearest blocks are ${cm(Math.abs(spacer.errorM))} ${spacer.errorM > 0 ? 'too wide' : 'too narrow'}: use a folded blanket.`,
    );
  }
  return { distances: [gap], ...(spacer ? { spacer } : {}), cautions, notes: [] };
}

export function handBlock(input: RecipeInput): RecipeResult {
  const { distances, block } = forearmKickSetup(input);
  if (block === null) {
    return { distances: [distances.base], cautions: ['No block at hand.'], notes: [] };
  }
  const names = block.faces.map((face) => specOf(face).label.toLowerCase());
  return {
    distances: [
      ...(distances.wristSpacing ? [distances.wristSpacing] : []),
      distances.base,
      ...distances.otherBases,
    ],
    cautions: [],
    notes: [`${names.join(' and ')}, long face across (${cm(block.acrossM)}), flat.`],
  };
}

export function headClearance({ body, profile, settings, pieces }: RecipeInput): RecipeResult {
  const { shoulderLiftM } = settings ?? profileTable[profile];
  const clearance = (l: Lengths) => l.upperArm + shoulderLiftM - l.shoulderToCrown;
  const has = measureDistance(body, 'headClearance', clearance);
  const lift = measureDistance(body, 'forearmLift', (l) =>
    Math.max(0, rules.leastClearanceM - clearance(l)),
  );
  if (lift.metres === 0) return { distances: [has, lift], cautions: [], notes: [] };
  const { stack, cautions } = adviseStack({
    targetM: lift.metres,
    footprintM: [outerElbow(body.lengths), body.lengths.forearm],
    pieces: pieces.filter((one) => specOf(one).isFirm),
  });
  return {
    distances: [has, lift],
    stack,
    cautions,
    notes: ['This body cannot clear its head without a lift: proportion and not weakness.'],
  };
}

export function liftedTuck({ body, pieces }: RecipeInput): RecipeResult {
  const height = measureDistance(body, 'blockHeight', (l) =>
    Math.max(0, l.trunk + l.hipToSeat + rules.tuckClearanceM - l.forearm - l.upperArm),
  );
  if (height.metres === 0) {
    return {
      distances: [height],
      cautions: [],
      notes: ['No blocks needed: the arms are long enough.'],
    };
  }
  // The same under each hand: half the pieces make one of the two.
  const { stack, cautions } = adviseStack({
    targetM: height.metres,
    toleranceM: 0.03,
    footprintM: [0.15, 0.09],
    pieces: pieces
      .filter((one) => specOf(one).isFirm)
      .map((one) => ({ ...one, count: Math.floor(one.count / 2) })),
  });
  return { distances: [height], stack, cautions, notes: ['The same under each hand.'] };
}

export function crowCushion({ body }: RecipeInput): RecipeResult {
  const leadM = (l: Lengths) =>
    solvePose(
      { ...body, lengths: l },
      { family: 'crow', elbowDeg: rules.crowElbowDeg, kneeOnArm: rules.crowKneeOnArm },
    ).joints.shoulder[0];
  return {
    distances: [measureDistance(body, 'cushionAhead', (l) => leadM(l) + body.earM)],
    cautions: [],
    notes: ['The cushion stays until ten clean holds.'],
  };
}
