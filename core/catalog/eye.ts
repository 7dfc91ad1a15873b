/**
 * What a school's eye and voice go by while somebody is in the shape: settings of a profile, each
 * with the words that are said. Good teachers differ in every one of them. Source: handbook 09.
 */
import type { ShapeId } from '../shapes/postures';
import type { FaultId } from './faults';
import type { LadderId } from './stage';

export interface EyeChoice {
  /** As it stands beside the name of its aspect. */
  readonly label: string;
  /** As it stands by itself, where the label leaves open what it speaks of. */
  readonly short?: string;
  /** As it is said to the student. */
  readonly say: string;
  /** What shows that it is not done: watched for wherever the words are said. */
  readonly watch?: FaultId;
}

interface EyeAspect {
  readonly label: string;
  /** The shapes it is said in. */
  readonly shapes: readonly ShapeId[];
  /** Only on this ladder: another one sets its hands otherwise. */
  readonly ladder?: LadderId;
  readonly choices: Readonly<Record<string, EyeChoice>>;
}

const upright = [
  'handstandWall',
  'handstand',
  'forearmStandWall',
  'forearmStand',
  'headstand',
] as const satisfies readonly ShapeId[];
const onForearms = [
  'dolphin',
  'forearmWallL',
  'forearmStandWall',
  'forearmStand',
] as const satisfies readonly ShapeId[];
const armsOverHands = [
  'plank',
  'kneePlank',
  'shortDog',
  'wallL',
  'handstandWall',
  'handstand',
] as const satisfies readonly ShapeId[];

const eyeTable = {
  shoulderPlace: {
    label: 'Shoulders over the hands',
    shapes: armsOverHands,
    choices: {
      wrist: {
        label: 'over the wrist',
        short: 'shoulders over the wrists',
        say: 'Shoulders over the wrists.',
      },
      knuckle: {
        label: 'over the first knuckle',
        short: 'shoulders over the first knuckles',
        say: 'Shoulders over the first knuckles.',
      },
    },
  },
  forearms: {
    label: 'Forearms',
    shapes: onForearms,
    ladder: 'forearm-stand',
    choices: {
      parallel: {
        label: 'parallel',
        short: 'forearms parallel',
        say: 'Forearms parallel, little finger in line with elbow.',
      },
      'slight-v': {
        label: 'a slight V',
        short: 'forearms in a slight V',
        say: 'Hands a little closer than the elbows, and push the elbows apart from there.',
      },
    },
  },
  shoulderAction: {
    label: 'Shoulder action',
    shapes: [...onForearms, ...armsOverHands, 'dog', 'raisedDog'],
    choices: {
      tall: {
        label: 'pressed tall',
        short: 'shoulders pressed tall',
        say: 'Press tall and broad, shoulders towards the ears.',
        watch: 'collapsed-upper-back',
      },
      'drawn-in': {
        label: 'drawn into the socket',
        short: 'arms drawn in',
        say: 'Arms drawn into the sockets, blades down the back, chest wide.',
        watch: 'shrug',
      },
    },
  },
  arms: {
    label: 'Arms press',
    shapes: [...onForearms, ...armsOverHands, 'dog', 'raisedDog'],
    choices: {
      out: {
        label: 'outwards',
        short: 'press out',
        say: 'Press outwards, as if a strap held the arms.',
      },
      in: { label: 'inwards', short: 'hug in', say: 'Hug inwards, as if on a block.' },
    },
  },
  bodyLine: {
    label: 'Body line',
    shapes: upright,
    choices: {
      hollow: {
        label: 'hollow',
        short: 'body hollow',
        say: 'Front of the body firm, tail tucked.',
      },
      neutral: { label: 'neutral ribs', short: 'ribs neutral', say: 'Ribs neutral, length first.' },
    },
  },
  gaze: {
    label: 'Gaze',
    shapes: [...onForearms, ...armsOverHands, 'dog', 'raisedDog'],
    choices: {
      thumbs: {
        label: 'between the thumbs',
        short: 'eyes between the thumbs',
        say: 'Eyes between the thumbs or a little ahead.',
      },
      down: {
        label: 'straight down',
        short: 'eyes straight down',
        say: 'Eyes straight down, neck long.',
      },
      wall: {
        label: 'forward at the wall',
        short: 'eyes to the wall',
        say: 'Eyes forward, to the wall.',
      },
    },
  },
  feet: {
    label: 'Feet',
    shapes: upright,
    choices: {
      'then-pointed': {
        label: 'flexed, pointed at the top',
        short: 'feet flexed, then pointed',
        say: 'Feet flexed on the way, pointed at the top.',
      },
      flexed: { label: 'toes to the shins', say: 'Toes drawn to the shins throughout.' },
    },
  },
} as const satisfies Record<string, EyeAspect>;

export type EyeAspectId = keyof typeof eyeTable;
export const eyeAspectIds = Object.keys(eyeTable) as [EyeAspectId, ...EyeAspectId[]];

/** What a school chooses, one of each. */
export type EyeSettings = {
  readonly [Id in EyeAspectId]: keyof (typeof eyeTable)[Id]['choices'] & string;
};

export const getAspect = (id: EyeAspectId): EyeAspect => eyeTable[id];

/** The names of an aspect's choices, in their order. */
export const choicesOf = <Id extends EyeAspectId>(id: Id) =>
  Object.keys(eyeTable[id].choices) as [EyeSettings[Id], ...EyeSettings[Id][]];

/** @throws RangeError for a choice that the aspect does not have */
export function choiceIn(id: EyeAspectId, choice: string): EyeChoice {
  const found = getAspect(id).choices[choice];
  if (found === undefined) throw new RangeError(`${getAspect(id).label}: there is no ${choice}.`);
  return found;
}
