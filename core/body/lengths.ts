/**
 * Default body lengths as fractions of standing height, and how far a person may differ.
 * Source: handbook 04 "Body lengths" (after Drillis and Contini in Winter, Biomechanics and Motor
 * Control of Human Movement).
 */

/** One standard deviation of an estimated length, as a share of the length (handbook 04). */
const limbSpread = 0.04;
const widthSpread = 0.07;

/** One standard deviation of a length taken with a tape, in metres (handbook 04). */
export const measuredSdM = 0.01;

export interface LengthSpec {
  /** Share of standing height used until someone measures. */
  readonly fraction: number;
  /** One standard deviation of the estimate, as a share of the length. */
  readonly spread: number;
  readonly label: string;
  /** How to take it with a wall and a tape, in one line. */
  readonly howTo: string;
}

export const lengthTable = {
  hand: {
    fraction: 0.108,
    spread: limbSpread,
    label: 'Hand, wrist crease to fingertip',
    howTo: 'Palm up on the table; from the wrist crease to the tip of the middle finger.',
  },
  knuckle: {
    fraction: 0.055,
    spread: limbSpread,
    label: 'Wrist crease to knuckle line',
    howTo: 'Make a loose fist; from the wrist crease to the first knuckle of the middle finger.',
  },
  palmBreadth: {
    fraction: 0.048,
    spread: widthSpread,
    label: 'Palm breadth at the knuckles',
    howTo: 'Hand flat, thumb out; across the four knuckles.',
  },
  forearm: {
    fraction: 0.146,
    spread: limbSpread,
    label: 'Forearm, elbow to wrist crease',
    howTo: 'Elbow bent and touching the wall, forearm level; from the wall to the wrist crease.',
  },
  upperArm: {
    fraction: 0.186,
    spread: limbSpread,
    label: 'Upper arm, shoulder to elbow',
    howTo: 'Elbow bent at the side; from the bony tip of the shoulder down to the elbow point.',
  },
  trunk: {
    fraction: 0.288,
    spread: limbSpread,
    label: 'Trunk, shoulder to hip joint',
    howTo: 'Standing; from the tip of the shoulder to the bony point at the side of the hip.',
  },
  shoulderToCrown: {
    fraction: 0.182,
    spread: widthSpread,
    label: 'Shoulder line to crown',
    howTo: 'Back to the wall, a book flat on the head; from the book down to the shoulder tip.',
  },
  hipToSeat: {
    fraction: 0.055,
    spread: limbSpread,
    label: 'Hip joint to seat',
    howTo: 'Sitting on a hard chair; from the bony point of the hip down to the seat.',
  },
  thigh: {
    fraction: 0.245,
    spread: limbSpread,
    label: 'Thigh, hip joint to knee',
    howTo: 'Standing; from the bony point of the hip to the outer crease of the knee.',
  },
  shank: {
    fraction: 0.246,
    spread: limbSpread,
    label: 'Shank, knee to ankle',
    howTo: 'From the outer crease of the knee to the middle of the outer ankle bone.',
  },
  foot: {
    fraction: 0.152,
    spread: limbSpread,
    label: 'Foot, heel to toe',
    howTo: 'Heel against the wall; from the wall to the longest toe.',
  },
  outerShoulderWidth: {
    fraction: 0.259,
    spread: widthSpread,
    label: 'Shoulders, outer edge to outer edge',
    howTo: 'Stand sideways between the wall and a book; measure from the wall to the book.',
  },
  shoulderJointWidth: {
    fraction: 0.204,
    spread: widthSpread,
    label: 'Shoulders, joint to joint',
    howTo: 'Across the front, between the hollows where the arms begin.',
  },
  upperArmThickness: {
    fraction: 0.055,
    spread: widthSpread,
    label: 'Upper arm thickness above the elbow',
    howTo: 'Arm flat on the table; its width a hand above the elbow.',
  },
  innerLeg: {
    fraction: 0.47,
    spread: limbSpread,
    label: 'Inner leg, floor to crotch',
    howTo: 'Back to the wall, a book pulled up between the thighs; from the floor to its top.',
  },
  sittingLegReach: {
    fraction: 0.53,
    spread: limbSpread,
    label: 'Leg reach, soles on the wall to hip',
    howTo: 'Sit with straight legs and soles on the wall; from the wall to the side of the hip.',
  },
  armReach: {
    fraction: 0.44,
    spread: limbSpread,
    label: 'Arm reach, shoulder to fingertip',
    howTo: 'Back to the wall, one arm hanging; from the tip of the shoulder to the fingertip.',
  },
  thumb: {
    fraction: 0.04,
    spread: widthSpread,
    label: 'Thumb, tip to web',
    howTo: 'From the tip of the thumb to the web beside it.',
  },
  skullToC7: {
    fraction: 0.085,
    spread: widthSpread,
    label: 'Neck, skull base to the prominent bone',
    howTo: 'Chin a little down; from the skull base along the neck to the bone that sticks out.',
  },
} as const satisfies Record<string, LengthSpec>;

export type LengthId = keyof typeof lengthTable;
export const lengthIds = Object.keys(lengthTable) as [LengthId, ...LengthId[]];

/** Landmarks that follow height alone: nobody measures them (handbook 04 and 05, "Conventions"). */
export const fixedFractions = {
  /** Ankle above the sole, flat or off the wall. */
  ankle: 0.039,
  /** Ankle above the floor on the balls of the feet. */
  ankleOnBall: 0.085,
  /** Ear above the shoulder line. */
  ear: 0.106,
} as const;

/** A measured total and the parts it is made of; what the parts leave over is fixed by height. */
export const totals = {
  armReach: { parts: ['upperArm', 'forearm', 'hand'], fixedFraction: 0 },
  sittingLegReach: { parts: ['thigh', 'shank'], fixedFraction: fixedFractions.ankle },
} as const satisfies Partial<
  Record<LengthId, { parts: readonly LengthId[]; fixedFraction: number }>
>;

/** A typed length outside this share of its default is refused (handbook 11). */
export const plausibleShare = { low: 0.5, high: 1.8 } as const;
export const heightRangeM = { low: 1.2, high: 2.2 } as const;
export const massRangeKg = { low: 25, high: 250 } as const;
