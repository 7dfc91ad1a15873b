/**
 * Load on the arms along a ladder, stage by stage: where it jumps, and a step that would go between.
 * Source: handbook 05, "the smoothness of a ladder".
 */
import type { Body } from '../body/body';
import { chairSize } from '../posture/chair';
import type { Posture, ShapeId } from './postures';
import { findRoot, UnreachableProblem } from '../posture/geometry';
import { toPosture, usualValues } from './values';
import { computeLoads } from './loads';

export type LoadLadder = 'forearms' | 'hands';

export interface LadderStep {
  readonly shape: ShapeId;
  readonly label: string;
  /** Percent of body weight on the arms. */
  readonly armsPercent: number;
  readonly shoulderMomentNmPerKg: number;
  /** Set where this step asks over 15 points more than the one before. */
  readonly jump?: { readonly points: number; readonly between: string | null };
}

/** More than this many points from one stage to the next is a jump. */
const jumpPoints = 15;

interface LadderRow {
  readonly shape: ShapeId;
  readonly label: string;
  readonly posture: (body: Body) => Posture;
}

const usual =
  (shape: ShapeId, change: Record<string, number> = {}, oneLeg = false) =>
  (body: Body): Posture =>
    toPosture(shape, { ...usualValues(shape, body), ...change }, oneLeg);

const inLine =
  (share: number) =>
  (body: Body): Posture => ({
    family: 'dolphin',
    elbowToBallM: share * body.heightM,
  });

const ladders: Record<LoadLadder, readonly LadderRow[]> = {
  forearms: [
    { shape: 'dolphin', label: 'Dolphin, long', posture: inLine(0.8) },
    { shape: 'dolphin', label: 'Dolphin, walked in', posture: inLine(0.5) },
    { shape: 'dolphin', label: 'Dolphin, one leg', posture: usual('dolphin', {}, true) },
    { shape: 'forearmWallL', label: 'Forearm L', posture: usual('forearmWallL') },
    { shape: 'forearmStandWall', label: 'Heels on the wall', posture: usual('forearmStandWall') },
    { shape: 'forearmStand', label: 'Free', posture: usual('forearmStand') },
  ],
  hands: [
    { shape: 'kneePlank', label: 'Plank, knees', posture: usual('kneePlank') },
    { shape: 'dog', label: 'Downward dog', posture: usual('dog') },
    { shape: 'plank', label: 'Plank', posture: usual('plank') },
    { shape: 'wallL', label: 'L at the wall', posture: usual('wallL') },
    { shape: 'handstandWall', label: 'Heels on the wall', posture: usual('handstandWall') },
    { shape: 'handstand', label: 'Free', posture: usual('handstand') },
  ],
};

const armsOf = (ladder: LoadLadder) => (ladder === 'hands' ? 'hands' : 'forearms');

function measure(body: Body, ladder: LoadLadder, posture: Posture) {
  const loads = computeLoads(body, posture);
  const arms = loads.contacts.find(({ name }) => name === armsOf(ladder))!;
  return { percent: arms.verticalPercent.nominal, moment: loads.shoulderMomentNmPerKg ?? 0 };
}

/** Loads along one ladder for one body, jumps flagged with a step between where one is found. */
export function ladderLoads(body: Body, ladder: LoadLadder): LadderStep[] {
  let before: number | null = null;
  return ladders[ladder].map(({ shape, label, posture }): LadderStep => {
    const { percent, moment } = measure(body, ladder, posture(body));
    const points = before === null ? 0 : percent - before;
    const middle = before === null ? percent : (before + percent) / 2;
    before = percent;
    return {
      shape,
      label,
      armsPercent: percent,
      shoulderMomentNmPerKg: moment,
      ...(points > jumpPoints
        ? { jump: { points, between: findStepBetween(body, ladder, middle) } }
        : {}),
    };
  });
}

interface StepOption {
  readonly build: (metres: number) => Posture;
  /** Range searched, as shares of height. */
  readonly low: number;
  readonly high: number;
  readonly say: (cm: number) => string;
}

/** Stances a person can take, as shares of height. */
const stance = { low: 0.3, high: 0.85 } as const;

function stepOptions(body: Body, ladder: LoadLadder): StepOption[] {
  if (ladder === 'hands') {
    return [
      { heightM: 0.2, label: 'feet on a 20 cm pile' },
      { heightM: chairSize.seatM, label: 'feet on a chair seat' },
    ].map(({ heightM, label }) => ({
      ...stance,
      build: (stanceM) => ({ family: 'raisedDog', stanceM, supportHeightM: heightM }),
      say: (cm) => `${label}, ${cm} cm from the knuckles`,
    }));
  }
  return [
    {
      ...stance,
      build: (stanceM) => ({ family: 'dolphin', elbowToBallM: stanceM, shoulderLeadM: 0 }),
      say: (cm) => `dolphin, shoulders over the elbows, feet ${cm} cm from them`,
    },
    {
      low: 0.1,
      high: 0.47,
      build: (footHeightM) => ({
        family: 'forearmWallL',
        baseM: body.lengths.sittingLegReach,
        footHeightM,
      }),
      say: (cm) => `forearm L with the feet ${cm} cm up the wall, on something that does not slip`,
    },
  ];
}

/**
 * A shape that puts about `percent` on the arms: on the hands a pile or a chair under the feet with
 * the stance that gives it, on the forearms a walk-in or an L with lower feet.
 *
 * @returns a sentence, or `null` when none of these reaches it
 */
function findStepBetween(body: Body, ladder: LoadLadder, percent: number): string | null {
  for (const { build, low, high, say } of stepOptions(body, ladder)) {
    const off = (share: number) => {
      try {
        return measure(body, ladder, build(share * body.heightM)).percent - percent;
      } catch (error) {
        if (error instanceof UnreachableProblem) return Number.NaN;
        throw error;
      }
    };
    if (!Number.isFinite(off(low)) || !Number.isFinite(off(high))) continue;
    const share = findRoot(off, low, high);
    if (share === null) continue;
    return `${say(Math.round(share * body.heightM * 100))}: ${Math.round(percent)} %`;
  }
  return null;
}
