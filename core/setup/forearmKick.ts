/**
 * The set-up for kicking up to a forearm stand at the wall, block in the hands.
 * Source: handbook 04 "Wall distances" and "Widths, loops, spacers", 05 for the lean.
 */
import type { Body, Lengths } from '../body/body';
import { spreadOf, type Spread } from '../body/spread';
import { refOf, specOf, type PieceCount, type PieceRef } from '../catalog/pieces';
import { profileTable, type ProfileId, type ProfileSettings } from '../catalog/profiles';
import { findForearmLift, type ForearmLift } from '../pieces/lift';
import { findSpacer, type Spacer } from '../pieces/spacer';
import { findStrap, loopLength } from '../pieces/strap';
import {
  elbowToHeelM,
  forearmStandWallLean,
  shoulderToHeelM,
  type WallLean,
} from '../posture/wallStand';
import type { Day } from '../units/day';
import { measureDistance, type Distance } from './distance';

/** How the block is held: in the L of thumb and finger, or palms upright on its ends. */
export type BlockGrip = 'lGrip' | 'palmsOnEnds';

const rules = {
  /** Strap for forearm work: a shade under the outer elbows. */
  strapUnderM: 0.01,
  /** Less clearance than this asks for a lift. */
  leastClearanceM: 0.03,
  /** A shoulder joint width beyond the wrist spacing by more than this asks for two blocks. */
  secondBlockBeyondM: 0.08,
  /** The grip method is worth correcting beyond this. */
  gripOffM: 0.02,
  /** A spacer off by more than this asks for a folded blanket. */
  spacerOffM: 0.02,
  /** A lean under this is comfortable to hold without arching. */
  comfortableLeanDeg: 15,
} as const;

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
  readonly distances: Readonly<
    Record<'gap' | 'base' | 'elbowWidth' | 'gripElbowWidth' | 'strapLoop' | 'spacerGap', Distance>
  > & {
    readonly headClearance: Distance;
    readonly forearmLift: Distance;
    /** Absent without a block. */
    readonly wristSpacing?: Distance;
    readonly otherBases: readonly Distance[];
  };
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

export interface ForearmKickInput {
  readonly body: Body;
  readonly profile: ProfileId;
  /** A profile copy's own figures; absent: the shipped profile's. */
  readonly settings?: ProfileSettings;
  readonly pieces: readonly PieceCount[];
  readonly grip?: BlockGrip;
  /** Elbow distance found by trying, with the words kept beside it; wins over the computed one. */
  readonly experience?: { readonly baseM: number; readonly on: Day; readonly note: string };
}

const cm = (metres: number) => `${Math.round(metres * 100)} cm`;

/**
 * Every distance and piece for one student, or the sentence that says what is missing.
 *
 * @throws InputProblem `unreachable` when the heels cannot reach the wall (no human proportions do)
 */
export function forearmKickSetup(input: ForearmKickInput): ForearmKickSetup {
  const { body, profile, pieces } = input;
  // A distance kept before the body was measured anew may no longer reach: then it counts no more,
  // and the card says so, rather than one person's old note closing everyone's page.
  const reachM = shoulderToHeelM(body.lengths, body.ankleM);
  const isOutgrown = input.experience !== undefined && input.experience.baseM > reachM;
  const experience = isOutgrown ? undefined : input.experience;
  const grip = input.grip ?? 'lGrip';
  const { forearmGapM: gapM, shoulderLiftM } = input.settings ?? profileTable[profile];
  const block = chooseHandBlock(body, pieces);
  const reach = (held: BlockGrip | 'none') => (l: Lengths) => {
    if (held === 'none' || block === null) return l.hand;
    const wristToNearFace = held === 'lGrip' ? l.knuckle : 0;
    return Math.max(l.hand, wristToNearFace + block.depthM);
  };
  const baseFor = (held: BlockGrip | 'none') => (l: Lengths) => gapM + reach(held)(l) + l.forearm;
  const held = block === null ? 'none' : grip;
  const computedBase = measureDistance(body, 'base', baseFor(held), {
    why: 'gap + the longer of hand and (wrist to near face + block depth) + forearm',
  });
  const base = experience ? byExperience(computedBase, experience) : computedBase;
  // What lies between gap and elbow is the body's and the block's; trying moves the gap.
  const actualGapM = Math.max(0, base.metres - (computedBase.metres - gapM));
  const clearance = (l: Lengths) => l.upperArm + shoulderLiftM - l.shoulderToCrown;
  const outerElbow = (l: Lengths) => l.shoulderJointWidth + l.upperArmThickness;
  const headClearance = measureDistance(body, 'headClearance', clearance);
  const forearmLift = measureDistance(body, 'forearmLift', (l) =>
    Math.max(0, rules.leastClearanceM - clearance(l)),
  );
  const needsLift = headClearance.metres < rules.leastClearanceM;
  const lift = needsLift
    ? findForearmLift(forearmLift.metres, outerElbow(body.lengths), pieces)
    : null;
  const strapLoop = measureDistance(body, 'strapLoop', (l) =>
    loopLength(outerElbow(l) - rules.strapUnderM, l.upperArmThickness),
  );
  const spacerGap = measureDistance(
    body,
    'spacerGap',
    (l) => l.shoulderJointWidth - l.upperArmThickness,
  );
  const setup = {
    profile,
    grip,
    distances: {
      gap: measureDistance(
        body,
        'gap',
        () => actualGapM,
        experience ? { why: 'follows from the elbows, found by trying' } : {},
      ),
      base,
      elbowWidth: measureDistance(body, 'elbowWidth', (l) => l.shoulderJointWidth),
      gripElbowWidth: measureDistance(body, 'gripElbowWidth', (l) => l.forearm + l.palmBreadth),
      ...(block === null
        ? {}
        : {
            wristSpacing: measureDistance(
              body,
              'wristSpacing',
              (l) => block.acrossM + l.palmBreadth,
            ),
          }),
      strapLoop,
      spacerGap,
      headClearance,
      forearmLift,
      otherBases: [
        measureDistance(body, 'base.noBlock', baseFor('none')),
        ...(block === null
          ? []
          : [
              measureDistance(body, 'base.lGrip', baseFor('lGrip')),
              measureDistance(body, 'base.palmsOnEnds', baseFor('palmsOnEnds')),
            ]),
      ],
    },
    block,
    strap: findStrap(strapLoop.metres, pieces),
    spacer: findSpacer(spacerGap.metres, pieces),
    lift,
    needsLift,
    lean: forearmStandWallLean(body, base.metres),
    leanRange: spreadOf(body, (l) => {
      const heldBase = experience ? base.metres : baseFor(held)(l);
      return (Math.asin(heldBase / elbowToHeelM(l, body.ankleM)) * 180) / Math.PI;
    }),
    easyGapM: findEasyGap(body, computedBase.metres - gapM),
  };
  const outgrown = 'The distance kept earlier is out of reach for this body; it is computed anew.';
  return {
    ...setup,
    cautions: [...(isOutgrown ? [outgrown] : []), ...describeLack(setup)],
    notes: describeFit(setup),
  };
}

/** A distance that somebody tried and kept: exact, and saying so. */
function byExperience(
  distance: Distance,
  { baseM, on, note }: NonNullable<ForearmKickInput['experience']>,
): Distance {
  const words = note === '' ? '' : `: ${note}`;
  return {
    ...distance,
    metres: baseM,
    lowM: baseM,
    highM: baseM,
    basis: 'measured',
    drivers: [],
    why: `found by experience on ${on}${words}; computed it would be ${cm(distance.metres)}`,
  };
}

/** The longest face at hand across; a second, thin one for shoulders much wider than that. */
function chooseHandBlock(body: Body, pieces: readonly PieceCount[]): HandBlock | null {
  const held = pieces.filter((one) => one.count > 0 && specOf(one).kind === 'block');
  if (held.length === 0) return null;
  const first = [...held].sort(
    (a, b) => specOf(b).lengthM - specOf(a).lengthM || b.count - a.count,
  )[0];
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

function describeLack({ distances, block, strap, spacer, lift, needsLift }: Parts): string[] {
  const lacks: string[] = [];
  if (block === null)
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
