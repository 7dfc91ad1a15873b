import {
  bolsterLean,
  box,
  cornerDolphin,
  forearmKick,
  forearmL,
  handKick,
  handL,
  shoulderRest,
} from './recipesWall';
import { chairShoulderStand, legsUp, platform, sacrumStack, wallPlough } from './recipesSupine';
import {
  armSpacer,
  crowCushion,
  handBlock,
  headClearance,
  liftedTuck,
  strapForearm,
  strapHandstand,
  strapShoulderStand,
} from './recipesWidths';
import type { RecipeSpec } from './recipe';

const noAssist = 'None needed';

/** Every set-up that is measured. Identifiers are the contract's (handbook 11). */
export const recipeTable = {
  'forearm-kick': {
    label: 'Forearm stand, kick at the wall',
    solve: forearmKick,
    checkFirst: ['Elbows at their width, measured again with the block', 'Head free of the floor'],
    assist: 'Lifted leg held firmly while the student presses it down',
    exit: 'One leg down, slowly, then the other',
  },
  'forearm-L': {
    label: 'Forearm L at the wall',
    solve: forearmL,
    checkFirst: ['Shoulders over the elbows', 'Feet no lower than the hips'],
    assist: 'Hips steadied',
    exit: 'One foot at a time',
  },
  'hand-kick': {
    label: 'Handstand, kick at the wall',
    solve: handKick,
    checkFirst: ['Knuckles heavy, fingers awake', 'Wall free of sockets at heel height'],
    assist: 'Thigh guided',
    exit: 'One leg down, then the other',
  },
  'hand-L': {
    label: 'L at the wall, hands',
    solve: handL,
    checkFirst: ['Shoulders over the wrists, not past them', 'Ribs in'],
    assist: 'Blade tips drawn together until both feet are down',
    exit: 'One foot at a time',
  },
  'bolster-lean': {
    label: 'Handstand leaning into a bolster',
    solve: bolsterLean,
    checkFirst: ['Bolster upright and flush to the wall'],
    assist: 'Hips steadied',
    exit: 'One leg down, then the other',
  },
  box: {
    label: 'Box at the wall, facing away',
    solve: box,
    checkFirst: ['Floor behind is free'],
    assist: 'Shins held',
    exit: 'Step down, or a bridge',
  },
  'strap-forearm': {
    label: 'Strap for forearm work',
    solve: strapForearm,
    checkFirst: ['Buckle outside, off the skin', 'Above the elbows, not on them'],
    assist: noAssist,
    exit: 'Knees down, then out of the strap',
  },
  'strap-handstand': {
    label: 'Strap for handstand',
    solve: strapHandstand,
    checkFirst: ['Buckle outside, off the skin', 'Arms press out against it'],
    assist: noAssist,
    exit: 'Feet down, then out of the strap',
  },
  'strap-shoulder-stand': {
    label: 'Strap for shoulder stand',
    solve: strapShoulderStand,
    checkFirst: ['Buckle outside, off the skin'],
    assist: 'Strap handed over when the hips are up',
    exit: 'Arms out of the strap before rolling down',
  },
  'arm-spacer': {
    label: 'Blocks between the forearms',
    solve: armSpacer,
    checkFirst: ['Faces meet flat', 'Just below the elbow crease'],
    assist: noAssist,
    exit: 'Knees down, let the blocks drop',
  },
  'hand-block': {
    label: 'Block between the hands',
    solve: handBlock,
    checkFirst: ['Block flat, long face across'],
    assist: noAssist,
    exit: 'Knees down',
  },
  'head-clearance': {
    label: 'Head clearance and lift',
    solve: headClearance,
    checkFirst: ['The same height under both forearms and hands', 'Nothing slides'],
    assist: 'Hips drawn back',
    exit: 'Knees down',
  },
  'corner-dolphin': {
    label: 'Corner dolphin',
    solve: cornerDolphin,
    checkFirst: ['Head off the floor'],
    assist: noAssist,
    exit: 'Knees down',
  },
  'lifted-tuck': {
    label: 'Lifted tuck on blocks',
    solve: liftedTuck,
    checkFirst: ['Blocks beside the thighs, equally far', 'Nothing rocks'],
    assist: noAssist,
    exit: 'Seat down',
  },
  'crow-cushion': {
    label: 'Cushion for crow',
    solve: crowCushion,
    checkFirst: ['The cushion lies where the forehead would land'],
    assist: 'Hips steadied',
    exit: 'Feet down',
  },
  platform: {
    label: 'Platform for shoulder stand and plough',
    solve: platform,
    checkFirst: ['Head lower than the shoulders', 'No shirt trapped under the stack', 'Can speak'],
    assist: 'Hips guided over',
    exit: 'Roll down, one vertebra at a time; head quiet',
  },
  'chair-shoulder-stand': {
    label: 'Shoulder stand on a chair',
    solve: chairShoulderStand,
    checkFirst: ['Chair on a mat, it cannot slide', 'Head on the blanket'],
    assist: 'Chair steadied',
    exit: 'Slide down until the shoulders are on the floor, rest, roll to the side',
  },
  'sacrum-stack': {
    label: 'Sacrum stack, calves on a chair',
    solve: sacrumStack,
    checkFirst: ['Nothing rocks', 'Under the sacrum, not the waist'],
    assist: 'Pieces slid in',
    exit: 'Pieces out one by one',
  },
  'legs-up': {
    label: 'Legs up the wall',
    solve: legsUp,
    checkFirst: ['Sacrum on the bolster'],
    assist: noAssist,
    exit: 'Slide off and roll to the side',
  },
  'wall-plough': {
    label: 'Wall plough',
    solve: wallPlough,
    checkFirst: ['Neck soft, head still'],
    assist: noAssist,
    exit: 'Roll down',
  },
  'shoulder-rest': {
    label: 'Shoulder-rest stack',
    solve: shoulderRest,
    checkFirst: ['Nothing rocks', 'Head hangs free'],
    assist: 'Lifted leg held',
    exit: 'That foot first',
  },
} as const satisfies Record<string, RecipeSpec>;

export type RecipeId = keyof typeof recipeTable;
export const recipeIds = Object.keys(recipeTable) as [RecipeId, ...RecipeId[]];

export function getRecipe(id: RecipeId): RecipeSpec {
  return recipeTable[id];
}
