/** Platform for shoulder stand and plough. Source: handbook 04. */
import type { Lengths } from '../../body/body';
import { leastHipDeg } from '../../body/girths';
import { profileTable, type PlatformMethod } from '../../catalog/profiles';
import { radians } from '../../posture/geometry';
import { legLengthM } from '../../posture/pose';
import { following } from '../distance';
import { flatChecks, isFlat } from '../flat';
import { cm, measuring, metresOf, specAtHand, type Setup } from '../setup';
import { platformShares } from '../shares';
import { platformHeight, stackForPlatform, unlessTooLow } from './platformHeight';
import { stackWays } from './stackWays';

const rules = {
  /** Half the depth of the pads somebody sits on. */
  halfPadsM: 0.2,
  /** Closer to the wall per degree that the straight-leg raise is short. */
  closerPerDegreeM: 0.005,
  easyLegRaiseDeg: 80,
} as const;

const methods = ['innerLeg', 'legReach', 'sitOnIt'] as const satisfies readonly PlatformMethod[];

export const platform: Setup = {
  label: 'Platform for shoulder stand and plough',
  shares: platformShares,
  solve: (input) => {
    const { body, profile, straightLegRaiseDeg } = input;
    const settings = input.settings ?? profileTable[profile];
    const { measure, findKept, outgrown } = measuring(input, 'platform', {
      shares: platformShares,
    });
    const short =
      straightLegRaiseDeg === undefined
        ? 0
        : Math.max(0, rules.easyLegRaiseDeg - straightLegRaiseDeg) * rules.closerPerDegreeM;
    const edges = {
      innerLeg: (l: Lengths) => l.innerLeg - short,
      legReach: (l: Lengths) => l.sittingLegReach - l.thumb - short,
      sitOnIt: (l: Lengths) => l.sittingLegReach - rules.halfPadsM - short,
    } as const satisfies Record<PlatformMethod, unknown>;
    const shoulderOf = (method: PlatformMethod) => (l: Lengths) => edges[method](l) + l.thumb;
    const chosen = settings.platformMethod;
    const { height, tooHigh, tooLow, flat } = platformHeight(input);
    const { stack, cautions } = stackForPlatform(input, height.metres);
    const ownLine = measure('shoulderLineToWall', shoulderOf(chosen));
    const ownEdge = measure('headEdgeToWall', edges[chosen]);
    const isEdgeKept =
      findKept('shoulderLineToWall') === undefined && findKept('headEdgeToWall') !== undefined;
    const { thumb } = body.lengths;
    const line = isEdgeKept ? following(ownLine, ownEdge, ownEdge.metres + thumb) : ownLine;
    const edge = isEdgeKept
      ? ownEdge
      : following(ownEdge, ownLine, Math.max(0, ownLine.metres - thumb));
    // Legs fold as far as hamstrings, belly and thighs let them.
    const leastHip = leastHipDeg(body);
    const foldsDeg = Math.min(straightLegRaiseDeg ?? 180, leastHip === null ? 180 : 180 - leastHip);
    const toeRest =
      straightLegRaiseDeg === undefined && leastHip === null && findKept('toeRest') === undefined
        ? []
        : [
            measure('toeRest', (l) =>
              Math.max(
                0,
                height.metres +
                  l.trunk +
                  legLengthM({ ...body, lengths: l }) * Math.cos(radians(foldsDeg)) -
                  body.ankleOnBallM,
              ),
            ),
          ];
    const isBench = toeRest.some(
      ({ metres }) => metres > specAtHand(input.pieces, 'chair').loadedM,
    );
    return {
      distances: [
        height,
        line,
        edge,
        ...methods.flatMap((method) => [
          measure(`shoulderLineToWall.${method}`, shoulderOf(method)),
          measure(`headEdgeToWall.${method}`, edges[method]),
        ]),
        ...toeRest,
      ],
      stack,
      cautions: [
        ...flat,
        ...outgrown(),
        ...tooHigh,
        ...(tooLow === null ? [] : [tooLow]),
        ...cautions,
      ],
      notes: [
        ...(flat.length > 0 && height.metres < 0.005
          ? [
              'Nothing under the shoulders but the mat; sticky mat under the elbows so that they hold.',
            ]
          : [
              `Neck bends about ${settings.neckFlexionDeg}° with an upright trunk; flat on the floor it would be about 90°.`,
              'The smooth folded edge goes towards the head; sticky mat over the lower part so that the elbows hold.',
            ]),
        ...(short > 0 ? [`${cm(short)} closer for the hamstrings.`] : []),
        ...(isBench
          ? [
              'In plough the toes want more than a chair seat: thighs on a padded bench, or the feet on the wall.',
            ]
          : []),
      ],
    };
  },
  onlyFor: { toeRest: ['plough'] },
  ways: (input, result) =>
    unlessTooLow(
      input,
      result,
      stackWays((each) => platform.solve(each)),
    ),
  // The head is on the wall side.
  around: ({ distances }, { joints }) => {
    const lineM = metresOf(distances, 'shoulderLineToWall');
    if (lineM === undefined) return {};
    const [x] = joints.shoulder;
    return {
      wall: { x: x + lineM, side: 1 },
      dimensions: [{ kind: 'level', distance: 'shoulderLineToWall', fromX: x, toX: x + lineM }],
    };
  },
  checkFirst: (settings) =>
    isFlat(settings)
      ? flatChecks
      : ['Head lower than the shoulders', 'No shirt trapped under the stack', 'Can speak'],
  assist: 'Hips guided over',
  exit: 'Roll down, one vertebra at a time; head quiet',
  topView: 'platform',
};
