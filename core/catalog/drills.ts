/** What a class or a home practice is made of. Source: handbook 03 "Drills". */
import type { MoveId } from '../atlas/moves';
import type { CautionColumn } from './cautions';
import type { CheckKey } from './checks';
import { breaths, seconds, times, type Dose } from './dose';
import type { OwnKey } from './ownKey';
import type { PieceId } from './pieces';
import type { LadderId, StageKey } from './stage';
import type { BodyRegion, RegionLoads } from './regions';

export type DrillPurpose = 'warms' | 'strengthens' | 'teaches' | 'releases';

/** What somebody is on while they do it: a class that keeps these together is not a rush. */
export const positionTable = {
  standing: { label: 'standing' },
  seated: { label: 'seated' },
  kneeling: { label: 'on the knees' },
  hands: { label: 'on the hands' },
  forearms: { label: 'on the forearms' },
  back: { label: 'on the back' },
} as const;
export type DrillPosition = keyof typeof positionTable;
export const drillPositions = Object.keys(positionTable) as [DrillPosition, ...DrillPosition[]];

/** Parts of what belongs before a family's holds; one drill of each will do. */
export type PreparationPart = 'wrists' | 'shoulders' | 'triceps' | 'neck' | 'curl' | 'crown';

export interface DrillWork {
  readonly sets: number;
  readonly seconds: number;
}

export interface DrillSpec {
  readonly label: string;
  readonly sanskrit?: string;
  readonly how: string;
  /** Drawn; of a teacher’s own, the nearest they chose. */
  readonly move?: MoveId;
  /** Checks it works towards. */
  readonly serves: readonly CheckKey[];
  readonly loads: RegionLoads;
  readonly dose: Dose;
  /** Which part of what belongs before a family's holds it is. */
  readonly prepares?: Readonly<Partial<Record<LadderId, PreparationPart>>>;
  /** Absent for a teacher’s own that does not say: then it stands by itself. */
  readonly position?: DrillPosition;
  /** Sets, and the seconds of each; read off the dose (a breath 5 s, a repetition 3 s). */
  readonly work?: DrillWork;
  /** Stays in the room: weight on the neck, or a jump that nobody watches. */
  readonly isClassOnly?: true;
  readonly minutes: number;
  /** Per student. */
  readonly pieces: readonly { readonly piece: PieceId; readonly count: number }[];
  readonly purpose: DrillPurpose;
  readonly needsWall?: true;
  /** Weight on the hands, head below the heart: what the cautions look at. */
  readonly columns: readonly CautionColumn[];
  /** Strained besides what is loaded: pain there closes it too. */
  readonly strains: readonly BodyRegion[];
  /** A hop away from every wall: it wants a clear circle, as a try does. */
  readonly leavesFloor?: true;
  /** Leaves the floor, or weights the crown: asks for what this stage asks for. */
  readonly asStage?: StageKey;
}

const none: DrillSpec['pieces'] = [];
const blocks = (count: number) => [{ piece: 'foam-block', count } as const];
const still: DrillSpec['columns'] = [];

export const drillTable = {
  'wrist-lifts': {
    label: 'Heel-of-hand and finger-pad lifts',
    move: 'wrist-lifts',
    how: 'Forearms drawn towards each other; lean back to ease, three fingers is hardest; cloth rotations last.',
    serves: ['wrist-extension', 'l-hold', 'crow-hold'],
    loads: { wrist: 0.5 },
    prepares: { handstand: 'wrists', 'arm-balance': 'wrists' },
    position: 'hands',
    dose: [times(10), times(10), times(3, 3, { per: 'side' })],
    work: { sets: 4, seconds: 20 },
    minutes: 3,
    pieces: [{ piece: 'cloth', count: 1 }],
    purpose: 'warms',
    columns: ['wrists'],
    strains: ['elbow'],
  },
  'strap-passes': {
    label: 'Long-strap shoulder passes',
    move: 'strap-passes',
    how: 'In front, overhead, behind, round; widen the grip if it strains.',
    serves: ['shoulder-flexion'],
    loads: { shoulder: 0.3 },
    prepares: { 'forearm-stand': 'shoulders', headstand: 'shoulders', handstand: 'shoulders' },
    position: 'standing',
    dose: [times(4), times(3), times(3, 3, { per: 'way' })],
    work: { sets: 3, seconds: 25 },
    minutes: 3,
    pieces: [{ piece: 'strap-240', count: 1 }],
    purpose: 'warms',
    columns: ['reach'],
    strains: [],
  },
  'arm-wraps': {
    label: 'Arm wraps, clasp behind, hand-behind-head push',
    move: 'arm-wraps',
    how: 'Both crossings, ribs down; then the head presses the hand without moving.',
    serves: ['shoulder-flexion', 'elbow-drift', 'dolphin-hold'],
    loads: { shoulder: 0.3, neck: 0.1 },
    prepares: { 'forearm-stand': 'shoulders', headstand: 'shoulders', 'shoulder-stand': 'neck' },
    position: 'seated',
    dose: [breaths(5, 5, { per: 'each' })],
    work: { sets: 4, seconds: 25 },
    minutes: 4,
    pieces: [{ piece: 'strap-180', count: 1 }],
    purpose: 'warms',
    columns: ['reach'],
    strains: [],
  },
  'chest-melt-blocks': {
    label: 'Elbows on blocks, chest melts',
    move: 'chest-melt',
    how: 'Elbows on two blocks, hands together behind the head, chest sinks.',
    serves: ['shoulder-flexion', 'head-clearance'],
    loads: { shoulder: 0.4 },
    position: 'kneeling',
    dose: [breaths(5)],
    work: { sets: 2, seconds: 25 },
    minutes: 2,
    pieces: blocks(2),
    purpose: 'warms',
    columns: ['mild', 'reach'],
    strains: ['neck'],
  },
  'outward-forearm': {
    label: 'Block pinned by the elbow, forearm opens',
    move: 'forearm-opens',
    how: 'Elbow holds a block to the hip while the forearm turns outwards.',
    serves: ['elbow-drift', 'dolphin-hold'],
    loads: { shoulder: 0.3 },
    position: 'standing',
    dose: [times(3, 3, { per: 'side' })],
    work: { sets: 2, seconds: 15 },
    minutes: 2,
    pieces: blocks(1),
    purpose: 'teaches',
    columns: still,
    strains: ['elbow'],
  },
  'block-behind-head': {
    label: 'Block between the hands, behind the head and back',
    move: 'block-behind-head',
    how: 'Elbows stay up and in while the block travels.',
    serves: ['dolphin-hold', 'head-clearance', 'wall-hold'],
    loads: { shoulder: 0.5 },
    prepares: { 'shoulder-stand': 'triceps' },
    position: 'seated',
    dose: [times(4)],
    work: { sets: 2, seconds: 12 },
    minutes: 2,
    pieces: blocks(1),
    purpose: 'strengthens',
    columns: ['reach'],
    strains: ['elbow'],
  },
  'elbows-on-chair': {
    label: 'Elbows on a chair, hands behind the head',
    move: 'chair-melt',
    how: 'Kneel, elbows on the seat, hands or a block behind the head; chest sinks, then hands press up.',
    serves: ['shoulder-flexion', 'head-clearance'],
    loads: { shoulder: 0.4 },
    prepares: { 'forearm-stand': 'shoulders', 'shoulder-stand': 'triceps' },
    position: 'kneeling',
    dose: [times(3), times(4)],
    work: { sets: 2, seconds: 15 },
    minutes: 3,
    pieces: [{ piece: 'chair', count: 1 }],
    purpose: 'warms',
    columns: ['mild', 'reach'],
    strains: ['elbow', 'neck'],
  },
  'prayer-chest-sink': {
    label: 'Forearms down, prayer hands, chest sinks',
    move: 'prayer-melt',
    how: 'The same on the floor: prayer hands lift behind the head.',
    serves: ['shoulder-flexion', 'head-clearance'],
    loads: { shoulder: 0.4 },
    prepares: { 'forearm-stand': 'shoulders', 'shoulder-stand': 'triceps' },
    position: 'kneeling',
    dose: [breaths(3, 3, { sets: 2 })],
    work: { sets: 2, seconds: 15 },
    minutes: 2,
    pieces: none,
    purpose: 'warms',
    columns: ['mild', 'reach'],
    strains: ['elbow', 'neck'],
  },
  'corner-dolphin': {
    label: 'Corner dolphin',
    move: 'corner-dolphin',
    how: 'Elbows in the angle of wall and floor, pressing outwards against it while the hips rise.',
    serves: ['elbow-drift', 'dolphin-hold', 'dolphin-push-ups'],
    loads: { shoulder: 0.6, scapula: 0.5 },
    position: 'forearms',
    dose: [breaths(5, 5, { sets: 2 })],
    work: { sets: 2, seconds: 25 },
    minutes: 3,
    pieces: blocks(1),
    purpose: 'strengthens',
    needsWall: true,
    columns: ['mild'],
    strains: ['back', 'hamstring', 'elbow'],
  },
  'kneeling-melt': {
    label: 'Kneeling chest melt',
    move: 'kneel-melt',
    how: 'Hips over the knees, arms long, chest towards the floor.',
    serves: ['shoulder-flexion'],
    loads: { shoulder: 0.3 },
    prepares: { 'forearm-stand': 'shoulders', handstand: 'shoulders' },
    position: 'kneeling',
    dose: [breaths(5)],
    work: { sets: 1, seconds: 25 },
    minutes: 1.5,
    pieces: none,
    purpose: 'warms',
    columns: ['mild', 'reach'],
    strains: ['back'],
  },
  'sliding-salute': {
    label: 'Sliding sun-salute',
    move: 'slide-salute',
    how: 'Feet stay on a cloth; the weight goes to the hands first.',
    serves: ['crow-hold', 'lifted-tuck', 'plank-hold'],
    loads: { wrist: 0.7, shoulder: 0.6, core: 0.8 },
    position: 'hands',
    dose: [times(3, 5)],
    work: { sets: 4, seconds: 15 },
    isClassOnly: true,
    minutes: 4,
    pieces: [{ piece: 'cloth', count: 2 }],
    purpose: 'teaches',
    columns: ['mild', 'wrists', 'effort'],
    strains: ['hip', 'back'],
  },
  'knee-to-elbow': {
    label: 'Knee to same-side elbow',
    move: 'knee-to-elbow',
    how: 'From all fours or a low plank; the blades stay broad.',
    serves: ['crow-hold', 'plank-hold', 'hollow-hold'],
    loads: { wrist: 0.6, scapula: 0.6, core: 0.7 },
    position: 'hands',
    dose: [times(3, 3, { per: 'side' })],
    work: { sets: 2, seconds: 12 },
    minutes: 2,
    pieces: none,
    purpose: 'strengthens',
    columns: ['wrists', 'effort'],
    strains: ['hip', 'leg'],
  },
  'mini-hops': {
    label: 'Open-floor mini-hops',
    move: 'mini-hop',
    how: 'Shoulders over the wrists, lifted leg only to level, fingertips grip.',
    serves: ['hops-reaching', 'confidence'],
    loads: { wrist: 0.8, shoulder: 0.7, core: 0.5 },
    position: 'hands',
    dose: [times(2, 3, { per: 'side' })],
    work: { sets: 4, seconds: 6 },
    isClassOnly: true,
    asStage: 'HB10',
    leavesFloor: true,
    minutes: 2,
    pieces: none,
    purpose: 'teaches',
    columns: ['mild', 'wrists'],
    strains: ['leg', 'hip', 'hamstring'],
  },
  'curl-and-peel': {
    label: 'Curl and tail-peel on the back',
    move: 'curl-peel',
    how: 'Hands lift the head, the neck idle; the tail peels off the floor.',
    serves: ['hollow-hold', 'shoulder-stand-hold'],
    loads: { core: 0.5 },
    prepares: { 'shoulder-stand': 'curl' },
    position: 'back',
    dose: [times(4, 5)],
    work: { sets: 2, seconds: 15 },
    minutes: 2,
    pieces: none,
    purpose: 'warms',
    columns: ['effort'],
    strains: ['neck', 'back'],
  },
  'cool-down': {
    label: 'Cool-down: fold, lying twist, knees to armpits',
    move: 'cool-down',
    how: 'Standing fold holding the elbows, feet apart; open and close bent arms; lying twist.',
    serves: [],
    loads: { hamstring: 0.2 },
    position: 'back',
    dose: [breaths(3, 5, { per: 'each' })],
    work: { sets: 3, seconds: 20 },
    minutes: 4,
    pieces: [{ piece: 'cushion', count: 1 }],
    purpose: 'releases',
    columns: ['mild'],
    strains: ['back', 'hip'],
  },
  'forearm-slide': {
    label: 'Forearm slide on a blanket',
    move: 'forearm-slide',
    how: 'Shins on a folded blanket: shoulders stay over the elbows, push the legs back slowly, pull in slower. Stop before the low back sags; hands falling inwards want a block between them.',
    serves: ['forearm-plank-hold', 'dolphin-hold', 'hollow-hold'],
    loads: { shoulder: 0.6, scapula: 0.5, core: 0.8 },
    position: 'forearms',
    dose: [times(5, 8)],
    work: { sets: 2, seconds: 18 },
    minutes: 3,
    pieces: [{ piece: 'blanket', count: 1 }],
    purpose: 'strengthens',
    columns: ['mild', 'effort', 'reach'],
    strains: ['elbow', 'back'],
  },
  'sphinx-to-seal': {
    label: 'Press-ups from forearms to straight arms',
    move: 'forearm-to-plank',
    how: 'Alternated with the forearm plank.',
    serves: ['push-up-rung', 'forearm-plank-hold', 'dolphin-push-ups'],
    loads: { wrist: 0.5, shoulder: 0.6, core: 0.5 },
    position: 'forearms',
    dose: [times(8, 10)],
    work: { sets: 2, seconds: 15 },
    minutes: 3,
    pieces: none,
    purpose: 'strengthens',
    columns: ['mild', 'wrists'],
    strains: ['back', 'elbow'],
  },
  'side-plank': {
    label: 'Side plank, side forearm plank',
    move: 'side-plank',
    how: 'One line from head to heel, the under-shoulder pressing away.',
    serves: ['plank-hold', 'balance-off-wall'],
    loads: { wrist: 0.6, shoulder: 0.7, core: 0.7 },
    position: 'hands',
    dose: [breaths(3, 3, { per: 'side' })],
    work: { sets: 2, seconds: 15 },
    minutes: 2,
    pieces: none,
    purpose: 'strengthens',
    columns: ['wrists', 'mild'],
    strains: ['back'],
  },
  hollow: {
    label: 'Hollow hold, block crush, supine handstand to crow',
    move: 'hollow',
    how: 'Head and shoulders up, blocks squeezed with the little-finger side, low back pressed down.',
    serves: ['hollow-hold', 'tuck-hold', 'wall-hold'],
    loads: { core: 0.9 },
    position: 'back',
    dose: [seconds(30, { sets: 5, held: 'hollow-hold' }), seconds(10, { per: 'side' }), times(3)],
    work: { sets: 5, seconds: 30 },
    minutes: 5,
    pieces: blocks(2),
    purpose: 'strengthens',
    columns: ['effort'],
    strains: ['neck', 'back', 'hip'],
  },
  boat: {
    label: 'Boat, arms in and out of the sockets',
    move: 'boat',
    sanskrit: 'Navasana',
    how: 'Legs as long as the back allows; the arms draw in and reach out.',
    serves: ['hollow-hold', 'lifted-tuck'],
    loads: { core: 0.8, hip: 0.5 },
    position: 'seated',
    dose: [times(5), { hold: true }],
    work: { sets: 2, seconds: 20 },
    minutes: 2,
    pieces: none,
    purpose: 'strengthens',
    columns: ['effort'],
    strains: ['back', 'leg'],
  },
  'blade-circles': {
    label: 'Shoulder blades apart and together',
    move: 'blade-circles',
    how: 'Cat-like broadening from all fours, elbows straight.',
    serves: ['plank-hold', 'dolphin-push-ups', 'push-up-rung'],
    loads: { wrist: 0.3, scapula: 0.4 },
    prepares: { handstand: 'wrists', 'arm-balance': 'wrists' },
    position: 'hands',
    dose: [times(6)],
    work: { sets: 2, seconds: 18 },
    minutes: 1.5,
    pieces: none,
    purpose: 'warms',
    columns: ['wrists'],
    strains: [],
  },
  'crown-roll': {
    label: 'Crown roll',
    move: 'crown-roll',
    how: 'Kneeling, hands in charge: forehead to crown and back.',
    serves: ['crown-control', 'neck-ease'],
    loads: { neck: 0.3 },
    prepares: { headstand: 'crown' },
    position: 'kneeling',
    dose: [times(5)],
    work: { sets: 1, seconds: 20 },
    isClassOnly: true,
    asStage: 'HS4',
    minutes: 2,
    pieces: [{ piece: 'blanket', count: 1 }],
    purpose: 'teaches',
    columns: ['neck'],
    strains: [],
  },
  'leg-lengtheners': {
    label: 'Prone quad stretch, fold hang, walking feet to hands',
    move: 'leg-lengtheners',
    how: 'Straight legs on the walk as far as the back stays long.',
    serves: ['straight-leg-raise', 'upright-walk-in'],
    loads: { hamstring: 0.5, hip: 0.4 },
    position: 'standing',
    dose: [breaths(3, 5)],
    work: { sets: 3, seconds: 25 },
    minutes: 3,
    pieces: none,
    purpose: 'warms',
    columns: ['mild'],
    strains: ['leg', 'back'],
  },
  'childs-pose': {
    label: 'Child’s pose',
    move: 'child',
    how: 'Knees wide, forehead down or on a bolster.',
    serves: [],
    loads: {},
    position: 'kneeling',
    dose: [breaths(3, 8)],
    work: { sets: 0, seconds: 0 },
    minutes: 1,
    pieces: [{ piece: 'bolster-rectangular', count: 1 }],
    purpose: 'releases',
    columns: ['mild'],
    strains: ['hip', 'leg'],
  },
} as const satisfies Record<
  string,
  DrillSpec & { readonly position: DrillPosition; readonly move: MoveId }
>;

/** A shipped drill, or a teacher's own. Whether an own one exists is the catalog's to say. */
export type DrillKey = DrillId | OwnKey;
/** The drills of a school: what ships with a teacher's own laid over it. */
export type DrillBook = Readonly<Partial<Record<DrillKey, DrillSpec>>>;

export type DrillId = keyof typeof drillTable;
export const drillIds = Object.keys(drillTable) as [DrillId, ...DrillId[]];

/** Share of an own drill's minutes that is work, in as many sets; the rest of them is rest. */
const usualWork = { share: 0.4, sets: 3 } as const;

/** Sets and seconds of a drill; where its author gave none, from its minutes. */
export const workOf = ({ work, minutes }: DrillSpec): DrillWork =>
  work ?? {
    sets: usualWork.sets,
    seconds: Math.round((60 * minutes * usualWork.share) / usualWork.sets),
  };
