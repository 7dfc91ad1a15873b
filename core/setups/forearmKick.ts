/**
 * The set-up for kicking up to a forearm stand at the wall, block in the hands.
 * Source: handbook 04 "Wall distances" and "Widths, loops, spacers", 05 for the lean.
 */
import type { Body, Lengths } from '../body/body';
import { claspedWristsM, getForearmHands, type ForearmHandsId } from '../body/hands';
import { spreadOf, type Spread } from '../body/spread';
import { refOf, specOf, type PieceCount, type PieceRef } from '../catalog/pieces';
import {
  profileTable,
  settingsOf,
  type ProfileId,
  type ProfileSettings,
} from '../catalog/profiles';
import { findForearmLift, type ForearmLift } from '../pieces/lift';
import { findSpacer, type Spacer } from '../pieces/spacer';
import { findStrap } from '../pieces/strap';
import {
  elbowToHeelM,
  forearmStandWallLean,
  shoulderToHeelM,
  type WallLean,
} from '../posture/wallStand';
import { following, measureDistance, type Distance } from './distance';
import { cm, measuring, type SetupInput } from './setup';
import { elbowsApart } from './elbows';
import { claspedAlong, forearmHandsOf, forearmsAlong, type AlongLine } from './forearms';
import { kickShares } from './shares';

/** How the block is held: in the L of thumb and finger, or palms upright on its ends. */
export type BlockGrip = 'lGrip' | 'palmsOnEnds';

const rules = {
  /** Less clearance than this asks for a lift. */
  leastClearanceM: 0.03,
  /** A shoulder joint width beyond the wrist spacing by more than this asks for two blocks. */
  secondBlockBeyondM: 0.08,
  /** Wrists and elbows as far apart as one can set them by eye. */
  parallelWithinM: 0.02,
  /** The grip method is worth correcting beyond this. */
  gripOffM: 0.02,
  /** A spacer off by more than this asks for a folded blanket. */
  spacerOffM: 0.02,
  /** A lean under this is comfortable to hold without arching. */
  comfortableLeanDeg: 15,
} as const;

/** What the hands do: hold a block in one of two ways, lie flat, or hold each other. */
type Held = BlockGrip | 'flat' | 'clasped';

export interface HandBlock {
  /** Blocks side by side between the hands, each with its face across. */
  readonly faces: readonly (PieceRef & { readonly metres: number })[];
  /** Sum of the faces, hand to hand. */
  readonly acrossM: number;
  /** The face that runs along the fingers. */
  readonly depthM: number;
  readonly heightM: number;
}

export interface ForearmKickSetup {
  readonly profile: ProfileId;
  readonly grip: BlockGrip;
  readonly hands: ForearmHandsId;
  readonly distances: Readonly<
    Record<'gap' | 'base' | 'elbowWidth' | 'gripElbowWidth' | 'strapLoop' | 'spacerGap', Distance>
  > & {
    readonly headClearance: Distance;
    readonly forearmLift: Distance;
    /** Absent where a block is wanted and there is none. */
    readonly wristSpacing?: Distance;
    readonly otherBases: readonly Distance[];
  };
  /** Forearm and hand as far as they reach towards the wall, metres: for whoever draws them. */
  readonly alongWall: AlongLine;
  readonly block: HandBlock | null;
  readonly strap: PieceRef | null;
  readonly spacer: Spacer | null;
  /** The lift to use; `null` when none is needed or none can be made. */
  readonly lift: ForearmLift | null;
  readonly needsLift: boolean;
  readonly lean: WallLean;
  readonly leanRange: Spread;
  /** The widest gap that keeps the lean under 15 degrees; `null`: no gap does. */
  readonly easyGapM: number | null;
  /** What cannot be had, and what to do instead; in sentences. */
  readonly cautions: readonly string[];
  readonly notes: readonly string[];
}

export interface ForearmKickInput extends SetupInput {
  readonly grip?: BlockGrip;
}

/** The body as it lies along the line to the wall: clasped hands shorten what is seen from the side. */
export const bodyAlongWall = (
  body: Body,
  { alongWall }: Pick<ForearmKickSetup, 'alongWall'>,
): Body => ({ ...body, lengths: { ...body.lengths, ...alongWall } });

/**
 * Every distance and piece for one student, or the sentence that says what is missing.
 *
 * @throws InputProblem `unreachable` when the heels cannot reach the wall (no human proportions do)
 */
export function forearmKickSetup(input: ForearmKickInput): ForearmKickSetup {
  const { body, profile, pieces } = input;
  const grip = input.grip ?? 'lGrip';
  const school = input.settings ?? settingsOf(profileTable[profile]);
  const { forearmGapM, shoulderLiftM } = school;
  const hands = forearmHandsOf(input);
  const block = hands === 'block' ? chooseHandBlock(body, pieces) : null;
  const {
    elbowWidth,
    widthM: elbowWidthM,
    outerElbowM,
    betweenM,
    loopM,
    notes: elbowNotes,
  } = elbowsApart(input);
  const reach = (held: Held) => (l: Lengths) => {
    if (held === 'clasped') return claspedAlong(l, elbowWidthM(l)).hand;
    if (held === 'flat' || block === null) return getForearmHands('flat').reachM(l);
    const wristToNearFace = held === 'lGrip' ? l.knuckle : 0;
    return Math.max(l.hand, wristToNearFace + block.depthM);
  };
  const ahead = (held: Held) => (l: Lengths) =>
    held === 'clasped' ? claspedAlong(l, elbowWidthM(l)).forearm : l.forearm;
  const held = heldBy(hands, block === null ? 'flat' : grip);
  // A distance kept before the body was measured anew may no longer reach: then it counts no more,
  // and the card says so, rather than one person's old note closing everyone's page.
  const { measure, findKept, outgrown } = measuring(input, 'forearm-kick', {
    shares: kickShares,
    limits: { base: shoulderToHeelM(body.lengths, body.ankleM) },
  });
  const alongWall = forearmsAlong(input, hands);
  const beyondGapM = reach(held)(body.lengths) + alongWall.forearm;
  const keptBase = findKept('base');
  const keptGap = keptBase === undefined ? findKept('gap') : undefined;
  const gapM = keptGap?.metres ?? forearmGapM;
  const baseFor = (how: Held, from: number) => (l: Lengths) => from + reach(how)(l) + ahead(how)(l);
  const ownBase = measure('base', baseFor(held, forearmGapM), {
    why:
      held === 'clasped'
        ? 'gap + wrist to knuckles + how far ahead of the elbows the wrists lie'
        : 'gap + the longer of hand and (wrist to near face + block depth) + forearm',
  });
  const ownGap = keptBase === undefined ? measure('gap', () => forearmGapM) : null;
  const base = ownGap === null ? ownBase : following(ownBase, ownGap, gapM + beyondGapM);
  // What lies between gap and elbow is the body's and the block's; trying moves the gap.
  const gap =
    ownGap ??
    following(
      measureDistance(body, 'gap', () => forearmGapM),
      base,
      Math.max(0, base.metres - beyondGapM),
    );
  const clearance = (l: Lengths) => l.upperArm + shoulderLiftM - l.shoulderToCrown;
  const headClearance = measure('headClearance', clearance);
  const forearmLift = measure('forearmLift', (l) =>
    Math.max(0, rules.leastClearanceM - clearance(l)),
  );
  const needsLift = headClearance.metres < rules.leastClearanceM;
  const lift = needsLift
    ? findForearmLift(forearmLift.metres, outerElbowM(body.lengths), pieces)
    : null;
  const strapLoop = measure('strapLoop', loopM);
  const spacerGap = measure('spacerGap', betweenM);
  const setup = {
    profile,
    grip,
    hands,
    distances: {
      gap,
      base,
      elbowWidth,
      gripElbowWidth: measure('gripElbowWidth', (l) => l.forearm + l.palmBreadth),
      ...wristsApart(input, { hands, block, elbowWidthM }, measure),
      strapLoop,
      spacerGap,
      headClearance,
      forearmLift,
      otherBases: [
        ...(hands === 'flat' ? [] : [measure('base.noBlock', baseFor('flat', gapM))]),
        ...(block === null
          ? []
          : [
              measure('base.lGrip', baseFor('lGrip', gapM)),
              measure('base.palmsOnEnds', baseFor('palmsOnEnds', gapM)),
            ]),
      ],
    },
    alongWall,
    block,
    strap: findStrap(strapLoop.metres, pieces),
    spacer: findSpacer(spacerGap.metres, pieces),
    lift,
    needsLift,
    lean: forearmStandWallLean(body, base.metres),
    leanRange: spreadOf(body, (l) => {
      const heldBase = base.found ? base.metres : baseFor(held, gapM)(l);
      return (Math.asin(heldBase / elbowToHeelM(l, body.ankleM)) * 180) / Math.PI;
    }),
    easyGapM: findEasyGap(body, beyondGapM),
  };
  return {
    ...setup,
    cautions: [...outgrown(), ...describeLack(setup)],
    notes: [
      ...elbowNotes,
      ...describeHands(setup, body),
      ...describeForearms(setup, school),
      ...describeFit(setup),
    ],
  };
}

function heldBy(hands: ForearmHandsId, withBlock: Held): Held {
  switch (hands) {
    case 'block':
      return withBlock;
    case 'flat':
    case 'clasped':
      return hands;
    default:
      return hands satisfies never;
  }
}

/**
 * Wrist to wrist. Beside a block it may have been found by trying; flat and clasped hands follow the
 * elbows and each other.
 */
function wristsApart(
  { body }: ForearmKickInput,
  {
    hands,
    block,
    elbowWidthM,
  }: Pick<Parts, 'hands' | 'block'> & {
    readonly elbowWidthM: (lengths: Lengths) => number;
  },
  measure: (id: 'wristSpacing', figure: (lengths: Lengths) => number) => Distance,
): { readonly wristSpacing?: Distance } {
  switch (hands) {
    case 'block':
      return block === null
        ? {}
        : { wristSpacing: measure('wristSpacing', (l) => block.acrossM + l.palmBreadth) };
    case 'flat':
      return { wristSpacing: measureDistance(body, 'wristSpacing', elbowWidthM) };
    case 'clasped':
      return { wristSpacing: measureDistance(body, 'wristSpacing', claspedWristsM) };
    default:
      return hands satisfies never;
  }
}

/** The longest face at hand across; a second, thin one for shoulders much wider than that. */
function chooseHandBlock(body: Body, pieces: readonly PieceCount[]): HandBlock | null {
  const held = pieces.filter((one) => one.count > 0 && specOf(one).kind === 'block');
  if (held.length === 0) return null;
  const first = [...held].sort(
    (a, b) => specOf(b).lengthM - specOf(a).lengthM || b.count - a.count,
  )[0]!;
  const spec = specOf(first);
  const single = { ...refOf(first), metres: spec.lengthM };
  const isBroad =
    body.lengths.shoulderJointWidth >
    spec.lengthM + body.lengths.palmBreadth + rules.secondBlockBeyondM;
  const second = isBroad
    ? held
        .filter(({ piece, count }) => count > (piece === first.piece ? 1 : 0))
        .sort((a, b) => specOf(a).thicknessM - specOf(b).thicknessM)[0]
    : undefined;
  const faces = second
    ? [single, { ...refOf(second), metres: specOf(second).thicknessM }]
    : [single];
  return {
    faces,
    acrossM: faces.reduce((sum, face) => sum + face.metres, 0),
    depthM: spec.widthM,
    heightM: spec.thicknessM,
  };
}

/** The widest gap under the comfortable lean, from what lies between gap and elbow. */
function findEasyGap(body: Body, gapToElbowM: number): number | null {
  const easyBase =
    elbowToHeelM(body.lengths, body.ankleM) * Math.sin((rules.comfortableLeanDeg * Math.PI) / 180);
  const gapM = easyBase - gapToElbowM;
  return gapM < 0 ? null : gapM;
}

type Parts = Omit<ForearmKickSetup, 'cautions' | 'notes'>;

/** Forearms and hands on the floor from above: what somebody stands on, square metres. */
const standingAreaM2 = (widthM: number, wristsM: number, along: AlongLine, palmM: number) =>
  ((widthM + wristsM) / 2) * along.forearm + (wristsM + palmM) * along.hand;

/** How the hands lie, where that is not the usual block, and what they give to stand on. */
function describeHands({ hands, distances, alongWall }: Parts, { lengths }: Body): string[] {
  if (hands === 'block') return [];
  const { say } = getForearmHands(hands);
  if (hands === 'flat') return [say];
  const elbowsM = distances.elbowWidth.metres;
  const wristsM = distances.wristSpacing?.metres ?? elbowsM;
  const palmM = lengths.palmBreadth;
  const share =
    standingAreaM2(elbowsM, wristsM, alongWall, palmM) /
    standingAreaM2(elbowsM, elbowsM, lengths, palmM);
  return [
    `${say} The most power in the arms and the smallest base: ${Math.round(share * 100)} percent of what flat hands give, so less room to save a wobble.`,
  ];
}

function describeLack({
  hands,
  distances,
  block,
  strap,
  spacer,
  lift,
  needsLift,
}: Parts): string[] {
  const lacks: string[] = [];
  if (hands === 'block' && block === null)
    lacks.push(
      'No block at hand: fold a blanket to a hand’s breadth and hold it between the hands.',
    );
  if (strap === null) {
    lacks.push(
      `No strap at hand makes a loop of ${cm(distances.strapLoop.metres)} with a tail: knot two together, or work without.`,
    );
  }
  if (spacer !== null && Math.abs(spacer.errorM) > rules.spacerOffM) {
    lacks.push(
      `The blocks at hand miss the space between the forearms by ${cm(Math.abs(spacer.errorM))}: use a folded blanket.`,
    );
  }
  if (needsLift && lift === null) {
    lacks.push(
      `No firm pads at hand make a lift of ${cm(distances.forearmLift.metres)}: borrow pads or hard books, the same under both arms.`,
    );
  }
  return lacks;
}

/** How the forearms run with this block, against what the school wants of them (handbook 09). */
function describeForearms({ block, distances }: Parts, { forearms }: ProfileSettings): string[] {
  const { elbowWidth, wristSpacing } = distances;
  if (block === null || wristSpacing === undefined) return [];
  const closerM = elbowWidth.metres - wristSpacing.metres;
  switch (forearms) {
    case 'slight-v':
      return [
        closerM > rules.parallelWithinM
          ? `With this block the wrists are ${cm(closerM)} closer than the elbows: the slight V.`
          : `With this block the forearms run parallel: for a slight V hold a shorter face.`,
      ];
    case 'parallel':
      // The card has room for what is to be done, and any block brings the wrists closer.
      return [];
    default:
      return forearms satisfies never;
  }
}

function describeFit({ distances, needsLift, easyGapM, lean, lift }: Parts): string[] {
  const notes: string[] = [];
  const wanted = distances.elbowWidth.metres;
  const gripOff = distances.gripElbowWidth.metres - wanted;
  if (Math.abs(gripOff) > rules.gripOffM) {
    notes.push(
      `Gripping the arms sets the elbows ${cm(Math.abs(gripOff))} too ${gripOff > 0 ? 'wide: draw them in' : 'narrow: let them out'}.`,
    );
  }
  if (needsLift) {
    const { metres } = distances.headClearance;
    const has =
      metres < 0
        ? `the head would reach ${cm(-metres)} below the floor`
        : `the head has ${cm(metres)}`;
    const lifted = lift ? ` ${liftWords(lift)} bring it to ${cm(metres + lift.heightM)}.` : '';
    notes.push(`With shoulders pressed up ${has}. That is proportion and not weakness.${lifted}`);
  }
  if (lean.leanDeg >= rules.comfortableLeanDeg) {
    notes.push(
      easyGapM === null
        ? 'No gap brings the lean under 15°: let the shoulders lean a little, one leg to the ceiling, heels only tapping.'
        : `A gap of ${cm(easyGapM)} or less brings the lean under 15°.`,
    );
  }
  return notes;
}

/** `2 layers of Shoulder pad (2 pieces)`, in words for the card. */
export function liftWords({ layers, count, ...one }: ForearmLift): string {
  const label = specOf(one).label.toLowerCase();
  const layerWords = layers === 1 ? 'One layer' : `${layers} layers`;
  return `${layerWords} of ${label} (${count} ${count === 1 ? 'piece' : 'pieces'})`;
}
