/** The shapes the bench offers, under the names of the ladders (handbook 02). */
import type { FamilyId } from '../posture/families';

export interface ShapeSpec {
  readonly label: string;
  readonly group: 'Forearms' | 'Hands' | 'Head' | 'Shoulders' | 'Arm balance';
  /** A leg may be lifted. */
  readonly mayLiftLeg?: true;
}

export const shapeTable = {
  dolphin: { label: 'Dolphin', group: 'Forearms', mayLiftLeg: true },
  forearmWallL: { label: 'Forearm L at the wall', group: 'Forearms' },
  forearmStandWall: { label: 'Forearm stand, heels on the wall', group: 'Forearms' },
  forearmStand: { label: 'Forearm stand, free', group: 'Forearms' },
  kneePlank: { label: 'Plank on the knees', group: 'Hands' },
  plank: { label: 'Plank', group: 'Hands' },
  dog: { label: 'Downward dog', group: 'Hands', mayLiftLeg: true },
  shortDog: { label: 'Short dog, heels at the wall', group: 'Hands', mayLiftLeg: true },
  raisedDog: { label: 'Feet on a chair', group: 'Hands' },
  wallL: { label: 'L at the wall', group: 'Hands' },
  handstandWall: { label: 'Handstand, heels on the wall', group: 'Hands' },
  handstand: { label: 'Handstand, free', group: 'Hands' },
  headstandBase: { label: 'Headstand, base set', group: 'Head' },
  headstandTuck: { label: 'Headstand, both knees in', group: 'Head' },
  headstand: { label: 'Headstand', group: 'Head' },
  shoulderStand: { label: 'Shoulder stand on a platform', group: 'Shoulders' },
  plough: { label: 'Plough from the platform', group: 'Shoulders' },
  liftedTuck: { label: 'Lifted tuck on blocks', group: 'Arm balance' },
  crow: { label: 'Crow', group: 'Arm balance' },
} as const satisfies Record<FamilyId, ShapeSpec>;

export const shapeIds = Object.keys(shapeTable) as [FamilyId, ...FamilyId[]];
export const getShape = (id: FamilyId): ShapeSpec => shapeTable[id];
