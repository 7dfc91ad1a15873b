/** The shapes with loads of handbook 11 "loads" and their parameters, in metres and degrees. */
export interface PostureParameters {
  plank: object;
  kneePlank: object;
  dog: { stanceM: number; shoulderLeadM?: number; oneLeg?: boolean };
  shortDog: { baseM: number; shoulderLeadM?: number; oneLeg?: boolean };
  raisedDog: { stanceM: number; supportHeightM: number; shoulderLeadM?: number };
  dolphin: {
    elbowToBallM: number;
    shoulderLeadM?: number;
    kneeBendDeg?: number;
    oneLeg?: boolean;
    /** Firm pads under both forearms and hands. */
    liftM?: number;
  };
  wallL: { baseM: number; footHeightM?: number; oneLeg?: boolean };
  forearmWallL: { baseM: number; footHeightM?: number; oneLeg?: boolean };
  handstandWall: { baseM: number };
  forearmStandWall: { baseM: number };
  handstand: { archDeg?: number };
  forearmStand: { archDeg?: number };
  headstand: { archDeg?: number };
  headstandBase: { headToBallM: number };
  headstandTuck: object;
  crow: { elbowDeg: number; kneeOnArm: number; footBlockM?: number };
  liftedTuck: { blockM: number };
  shoulderStand: { trunkDeg: number; platformM: number };
  plough: { platformM: number; toeSupportM: number };
}

export type ShapeId = keyof PostureParameters;

export type Posture = {
  // "family" is the word of the file; everywhere else a shape is a shape.
  [Shape in ShapeId]: { readonly family: Shape } & Readonly<PostureParameters[Shape]>;
}[ShapeId];
