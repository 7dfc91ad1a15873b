/** Platforms, stacks and rests for work on the back. Source: handbook 04. */
import type { Lengths } from '../body/body';
import { profileTable } from '../catalog/profiles';
import { neckLeverM } from '../posture/supine';
import { chairSize } from '../posture/chair';
import { measureDistance } from './distance';
import { cm, countOf, type RecipeInput, type RecipeResult } from './recipe';
import { adviseStack } from './stackAdvice';

const rules = {
  /** Half the depth of the pads somebody sits on. */
  halfPadsM: 0.2,
  /** Closer to the wall per degree that the straight-leg raise is short. */
  closerPerDegreeM: 0.005,
  easyLegRaiseDeg: 80,
  platformOverM: 0.1,
  chairTrunkM: 0.47,
  /** Share of hip joint to seat that lies under the sacrum. */
  underSacrum: 0.7,
  /** Thighs rise to the seat at this angle from the floor. */
  thighRiseDeg: 45,
  sacrumComfort: { low: 0.1, high: 0.2 },
  sacrumMostM: 0.25,
  headShare: 0.06,
} as const;

/** Height over which an upright trunk bends the neck by the profile's wanted angle. */
function platformHeight({ body, profile, settings }: RecipeInput) {
  const { neckFlexionDeg } = settings ?? profileTable[profile];
  const sine = Math.sin(((90 - neckFlexionDeg) * Math.PI) / 180);
  return measureDistance(
    body,
    'platformHeight',
    (l) => (l.skullToC7 + rules.headShare * body.heightM) * sine,
  );
}

function stackForPlatform({ body, pieces }: RecipeInput, heightM: number) {
  const { outerShoulderWidth, upperArm } = body.lengths;
  return adviseStack({
    targetM: heightM,
    footprintM: [outerShoulderWidth + rules.platformOverM, upperArm + rules.platformOverM],
    pieces,
  });
}

export function platform(input: RecipeInput): RecipeResult {
  const { body, profile, straightLegRaiseDeg } = input;
  const settings = input.settings ?? profileTable[profile];
  const short =
    straightLegRaiseDeg === undefined
      ? 0
      : Math.max(0, rules.easyLegRaiseDeg - straightLegRaiseDeg) * rules.closerPerDegreeM;
  const edges = {
    innerLeg: (l: Lengths) => l.innerLeg - short,
    legReach: (l: Lengths) => l.sittingLegReach - l.thumb - short,
    sitOnIt: (l: Lengths) => l.sittingLegReach - rules.halfPadsM - short,
  };
  const methods = ['innerLeg', 'legReach', 'sitOnIt'] as const;
  const shoulderOf = (method: (typeof methods)[number]) => (l: Lengths) =>
    edges[method](l) + l.thumb;
  const chosen = settings.platformMethod;
  const height = platformHeight(input);
  const { stack, cautions } = stackForPlatform(input, height.metres);
  const isTooHigh = height.metres > neckLeverM(body);
  return {
    distances: [
      height,
      measureDistance(body, 'shoulderLineToWall', shoulderOf(chosen)),
      measureDistance(body, 'headEdgeToWall', edges[chosen]),
      ...methods.flatMap((method) => [
        measureDistance(body, `shoulderLineToWall.${method}`, shoulderOf(method)),
        measureDistance(body, `headEdgeToWall.${method}`, edges[method]),
      ]),
    ],
    stack,
    cautions: isTooHigh ? [...cautions, 'This platform is higher than the neck allows.'] : cautions,
    notes: [
      `Neck bends about ${settings.neckFlexionDeg}° with an upright trunk; flat on the floor it would be about 90°.`,
      'The smooth folded edge goes towards the head; sticky mat over the lower part so that the elbows hold.',
      ...(short > 0 ? [`${cm(short)} closer for the hamstrings.`] : []),
    ],
  };
}

export function chairShoulderStand(input: RecipeInput): RecipeResult {
  const height = platformHeight(input);
  const { stack, cautions } = stackForPlatform(input, height.metres);
  const noChair = countOf(input.pieces, 'chair') === 0 ? ['No chair at hand.'] : [];
  return {
    distances: [
      height,
      measureDistance(input.body, 'chairGap', (l) => Math.max(0, l.trunk - rules.chairTrunkM)),
    ],
    stack,
    cautions: [...noChair, ...cautions],
    notes: ['Blanket under the head and on the seat; hands hold the back legs of the chair.'],
  };
}

export function sacrumStack({ body, pieces }: RecipeInput): RecipeResult {
  const rise = Math.sin((rules.thighRiseDeg * Math.PI) / 180);
  const height = measureDistance(body, 'sacrumHeight', (l) =>
    Math.max(0, chairSize.seatM - l.thigh * rise - rules.underSacrum * l.hipToSeat),
  );
  if (height.metres > rules.sacrumMostM) {
    return {
      distances: [height],
      cautions: ['Above 25 cm a stack is precarious: hips on the floor, calves on the seat.'],
      notes: [],
    };
  }
  const { stack, cautions } = adviseStack({
    targetM: height.metres,
    footprintM: [0.28, 0.18],
    pieces,
  });
  const { low, high } = rules.sacrumComfort;
  return {
    distances: [height],
    stack,
    cautions,
    notes: [
      `${cm(low)} to ${cm(high)} is comfortable; slide flat pieces in one by one, and out one by one.`,
    ],
  };
}

export function legsUp({ body, pieces }: RecipeInput): RecipeResult {
  const has = ['bolster-rectangular', 'bolster-round'] as const;
  const isThere = has.some((id) => countOf(pieces, id) > 0);
  return {
    distances: [measureDistance(body, 'bolsterToWall', (l) => l.hand)],
    cautions: isThere ? [] : ['No bolster at hand: three blankets rolled firmly.'],
    notes: ['Sacrum on the bolster, legs up the wall.'],
  };
}

export function wallPlough({ body }: RecipeInput): RecipeResult {
  return {
    distances: [measureDistance(body, 'crownToWall', (l) => l.forearm)],
    cautions: [],
    notes: ['Head towards the wall, palms press it behind the head, walk the feet down.'],
  };
}
