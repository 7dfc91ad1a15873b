/** What a distance is called, where it runs, how exact it need be. Ids are the contract's (handbook 11). */
export interface DistanceWords {
  /** Somebody may find it by trying and keep it; what follows from the body alone is no such thing. */
  readonly mayKeep: boolean;
  /** It is measured from a wall, or up it: without one it says nothing. */
  readonly isAtWall: boolean;
  /** How far off it may be before it matters. */
  readonly toleranceM: number;
  readonly label: string;
  /** Which mark on the body, or which edge, it runs from and to. */
  readonly mark: string;
  /** The formula in words, for whoever asks why. */
  readonly why: string;
}

const words = (toleranceM: number, label: string, mark: string, why: string): DistanceWords => ({
  mayKeep: true,
  isAtWall: false,
  toleranceM,
  label,
  mark,
  why,
});

/** Another method's figure, or one that the body alone decides. */
const given = (...row: Parameters<typeof words>): DistanceWords => ({
  ...words(...row),
  mayKeep: false,
});

const atWall = (...row: Parameters<typeof words>): DistanceWords => ({
  ...words(...row),
  isAtWall: true,
});

const givenAtWall = (...row: Parameters<typeof words>): DistanceWords => ({
  ...given(...row),
  isAtWall: true,
});

export const distanceWords = {
  gap: atWall(
    0.02,
    'Gap to the wall',
    'wall to the fingertips or the far face of the block, whichever reaches further',
    'chosen by the profile',
  ),
  base: atWall(
    0.02,
    'Elbows from the wall',
    'wall to the point of the elbow, along the floor',
    "the profile's method for this shape",
  ),
  'base.noBlock': givenAtWall(
    0.02,
    'Elbows from the wall, no block',
    'wall to the point of the elbow, along the floor',
    'gap + hand + forearm',
  ),
  'base.lGrip': givenAtWall(
    0.02,
    'Elbows from the wall, block in the L of the hands',
    'wall to the point of the elbow, along the floor',
    'gap + the longer of hand and (wrist to knuckle + block depth) + forearm',
  ),
  'base.palmsOnEnds': givenAtWall(
    0.02,
    'Elbows from the wall, palms on the block’s ends',
    'wall to the point of the elbow, along the floor',
    'gap + the longer of hand and block depth + forearm',
  ),
  'base.sitting': givenAtWall(
    0.03,
    'By sitting reach',
    'sit with the soles on the wall, mark beside the hip, plant the wrists there',
    'leg reach, sole to hip joint',
  ),
  'base.table': givenAtWall(
    0.03,
    'By the table',
    'on all fours, soles at the wall, knees under hips, wrists under shoulders',
    'shank + ankle height + trunk',
  ),
  'base.reach': givenAtWall(
    0.03,
    'By arm’s reach, then turn',
    'stand an arm’s reach from the wall, turn round, plant the wrists at the toes',
    'arm reach + one foot',
  ),
  'base.halfReach': givenAtWall(
    0.03,
    'By half the reach',
    'stand an arm’s reach from the wall, plant the hands half-way',
    'arm reach / 2',
  ),
  footHeight: atWall(
    0.03,
    'Feet on the wall',
    'floor to the middle of the heel',
    'hip height with the trunk upright: arm (or upper arm) + trunk',
  ),
  elbowWidth: words(
    0.01,
    'Elbow width',
    'middle of one elbow to middle of the other',
    'shoulder joint to shoulder joint, so that the upper arms stand straight',
  ),
  gripElbowWidth: given(
    0.01,
    'Elbow width by gripping the arms',
    'each hand round the other arm, thumb in the elbow crease',
    'forearm + one palm breadth',
  ),
  wristSpacing: words(
    0.01,
    'Wrists apart',
    'middle of one wrist to middle of the other',
    'the block’s face between the hands + one palm breadth',
  ),
  handWidth: words(
    0.01,
    'Hands apart',
    'middle of one wrist to middle of the other',
    'shoulder joint to shoulder joint, so that the arms stand straight',
  ),
  feetApart: words(
    0.02,
    'Feet apart',
    'middle of one heel to middle of the other',
    'one thigh’s thickness, so that both have room',
  ),
  strapLoop: words(
    0.01,
    'Strap loop',
    'all the way round, just above the elbows, buckle outside and off the skin',
    '2 x (span - arm thickness) + pi x arm thickness',
  ),
  spacerGap: words(
    0.01,
    'Space between the forearms',
    'inside to inside, just below the elbow crease',
    'shoulder joint width - upper arm thickness',
  ),
  headClearance: given(
    0.01,
    'Head above the floor',
    'crown to floor, shoulders pressed up',
    'upper arm + shoulder lift - shoulder line to crown',
  ),
  forearmLift: words(
    0.01,
    'Lift under both forearms',
    'top of the pads, elbows and hands both on them',
    '3 cm of clearance less what the head has',
  ),
  blockHeight: words(
    0.01,
    'Blocks under the hands',
    'floor to the palm, beside the thighs',
    'trunk + hip to seat + 5 cm - straight arm',
  ),
  cushionAhead: words(
    0.03,
    'Cushion ahead of the wrists',
    'wrist crease to the middle of the cushion',
    'the crow’s shoulder lead + ear height',
  ),
  platformHeight: words(
    0.01,
    'Platform under the shoulders',
    'floor to the top, somebody lying on it',
    'neck lever x sine of (90 - wanted neck flexion)',
  ),
  toeRest: words(
    0.03,
    'Under the toes, in plough',
    'floor to the top of what the toes rest on',
    'legs folded no further than the straight-leg raise that was measured, trunk upright',
  ),
  shoulderLineToWall: atWall(
    0.03,
    'Shoulders from the wall',
    'wall to the tips of the shoulders',
    'the profile’s method, closer for short hamstrings',
  ),
  'shoulderLineToWall.innerLeg': givenAtWall(
    0.03,
    'Shoulders, by inner leg',
    'wall to the tips of the shoulders',
    'inner leg + one thumb',
  ),
  'shoulderLineToWall.legReach': givenAtWall(
    0.03,
    'Shoulders, by leg reach',
    'wall to the tips of the shoulders',
    'leg reach, sole to hip joint',
  ),
  'shoulderLineToWall.sitOnIt': givenAtWall(
    0.03,
    'Shoulders, by sitting on it',
    'wall to the tips of the shoulders',
    'leg reach - half the pads’ depth + one thumb',
  ),
  headEdgeToWall: atWall(
    0.03,
    'Folded edge from the wall',
    'wall to the smooth edge on the head side',
    'shoulder line less one thumb',
  ),
  'headEdgeToWall.innerLeg': givenAtWall(
    0.03,
    'Edge, by inner leg',
    'wall to the smooth edge on the head side',
    'inner leg',
  ),
  'headEdgeToWall.legReach': givenAtWall(
    0.03,
    'Edge, by leg reach',
    'wall to the smooth edge on the head side',
    'leg reach - one thumb',
  ),
  'headEdgeToWall.sitOnIt': givenAtWall(
    0.03,
    'Edge, by sitting on it',
    'wall to the smooth edge on the head side',
    'leg reach - half the pads’ depth',
  ),
  chairGap: words(
    0.02,
    'Pads from the chair',
    'front legs of the chair to the edge of the pads',
    'trunk beyond 47 cm',
  ),
  sacrumHeight: words(
    0.02,
    'Stack under the sacrum',
    'floor to the top, with weight on it',
    'seat height less the rise of the thighs, less what lies under the hip joint',
  ),
  seatHeight: given(
    0.02,
    'Seat of the chair',
    'floor to the seat, with weight on it',
    'the chair of your own as it was measured',
  ),
  bolsterToWall: atWall(
    0.02,
    'Bolster from the wall',
    'wall to the near side of the bolster',
    'one hand',
  ),
  crownToWall: atWall(
    0.03,
    'Crown from the wall',
    'wall to the top of the head',
    'about one forearm',
  ),
  lowBlockOut: atWall(
    0.02,
    'Low block from the wall',
    'wall to the near face of the low block',
    '3 to 7 cm, so that the hands can wrap round it',
  ),
  stackHeight: words(
    0.02,
    'Upper back rests at',
    'floor to the top of the pair',
    'upper arm + half the way to the blade tips',
  ),
} as const satisfies Record<string, DistanceWords>;

export type DistanceId = keyof typeof distanceWords;
export const distanceIds = Object.keys(distanceWords) as [DistanceId, ...DistanceId[]];
