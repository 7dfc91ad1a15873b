/** A small picture for each length: where the tape runs. Drawn on a body of usual proportions. */
import { resolveBody, type Body } from '../body/body';
import { girthTable, type GirthId } from '../body/girths';
import { lengthTable, type LengthId } from '../body/lengths';
import { isGirth, type TakenId } from '../body/taken';
import type { FigureJoints, Point } from '../posture/joints';
import { drawFigure } from './figure/figure';
import { hatchStrip } from './dimensions';
import { line, makeFrame, rounded, type Frame, type Scene, type Shape } from './scene';

const sizes = { widthPx: 104, heightPx: 132, floorPx: 124 } as const;

interface Tape {
  readonly from: Point;
  readonly to: Point;
}

function standing(body: Body): FigureJoints {
  const { lengths, ankleM } = body;
  const ankle: Point = [0, ankleM];
  const knee: Point = [0, ankleM + lengths.shank];
  const hip: Point = [0, knee[1] + lengths.thigh];
  const shoulder: Point = [0, hip[1] + lengths.trunk];
  const elbow: Point = [0.01, shoulder[1] - lengths.upperArm];
  const wrist: Point = [0.03, elbow[1] - lengths.forearm];
  return {
    ankle,
    knee,
    hip,
    shoulder,
    elbow,
    wrist,
    fingertip: [0.04, wrist[1] - lengths.hand],
    crown: [0, shoulder[1] + lengths.shoulderToCrown],
    heel: [0, 0],
    toe: [lengths.foot * 0.78, 0],
    heelBackM: lengths.foot * 0.22,
  };
}

/** Sitting with straight legs, soles on the wall at x = 0. */
function sitting(body: Body): FigureJoints {
  const { lengths, ankleM } = body;
  const hip: Point = [-lengths.sittingLegReach, lengths.hipToSeat];
  const knee: Point = [hip[0] + lengths.thigh, 0.05];
  const ankle: Point = [-ankleM, 0.045];
  const shoulder: Point = [hip[0] - 0.04, hip[1] + lengths.trunk];
  const elbow: Point = [shoulder[0] - 0.05, shoulder[1] - lengths.upperArm];
  const wrist: Point = [elbow[0] - 0.03, elbow[1] - lengths.forearm];
  return {
    hip,
    knee,
    ankle,
    shoulder,
    elbow,
    wrist,
    fingertip: [wrist[0] - 0.1, wrist[1] - 0.08],
    crown: [shoulder[0] + 0.02, shoulder[1] + lengths.shoulderToCrown],
    heel: [0, 0.045],
    toe: [0, 0.045 + lengths.foot * 0.78],
    heelBackM: lengths.foot * 0.18,
  };
}

/** Lengths taken on the standing figure: where the tape runs, in metres. */
function standingTape(body: Body, joints: FigureJoints, id: LengthId): Tape | null {
  const { lengths } = body;
  const down = (from: Point, metres: number): Point => [from[0], from[1] - metres];
  const { shoulder, elbow, hip, knee, ankle, crown } = joints;
  switch (id) {
    case 'forearm':
      return { from: elbow, to: joints.wrist };
    case 'upperArm':
      return { from: shoulder, to: elbow };
    case 'armReach':
      return { from: shoulder, to: joints.fingertip };
    case 'trunk':
      return { from: shoulder, to: hip };
    case 'shoulderToCrown':
      return { from: crown, to: down(crown, lengths.shoulderToCrown) };
    case 'thigh':
      return { from: hip, to: knee };
    case 'shank':
      return { from: knee, to: ankle };
    case 'innerLeg':
      return { from: [0, lengths.innerLeg], to: [0, 0] };
    case 'skullToC7':
      return {
        from: [-0.06, shoulder[1] + 0.12],
        to: [-0.06, shoulder[1] + 0.12 - lengths.skullToC7],
      };
    case 'foot':
      return { from: [-joints.heelBackM, 0.02], to: [joints.toe[0], 0.02] };
    // From the front, from above or sitting.
    case 'hand':
    case 'hipToSeat':
    case 'knuckle':
    case 'outerShoulderWidth':
    case 'palmBreadth':
    case 'shoulderJointWidth':
    case 'sittingLegReach':
    case 'thumb':
    case 'upperArmThickness':
      return null;
    default:
      return id satisfies never;
  }
}

function tapeLine(frame: Frame, { from, to }: Tape, asidePx: number): Shape[] {
  const isLevel = Math.abs(from[1] - to[1]) < 0.03;
  const [dx, dy] = isLevel ? [0, -10] : [asidePx, 0];
  const [x1, y1, x2, y2] = [
    frame.x(from[0]) + dx,
    frame.y(from[1]) + dy,
    frame.x(to[0]) + dx,
    frame.y(to[1]) + dy,
  ];
  const ends = [
    [x1, y1],
    [x2, y2],
  ].map(([x, y]) =>
    isLevel
      ? line('dimensionTick', x!, y! - 5, x!, y! + 5)
      : line('dimensionTick', x! - 5, y!, x! + 5, y!),
  );
  return [line('measure', x1, y1, x2, y2), ...ends];
}

/** Shoulders and upper arms from the front, or a hand from above, as plain outlines. */
function outline(id: LengthId): { d: string; tape: readonly [number, number, number, number] } {
  const hand =
    'M34,118V84L20,66q-4,-9 5,-8L38,72L40,26q4,-8 9,0V62L51,16q5,-8 9,0V62L63,22q5,-7 9,0L71,64L76,36q6,-5 8,3L80,84V118Z';
  const torso =
    'M52,10q12,0 12,16t-7,20v6l24,7q8,3 8,14v50H76V84l-4,-8v48H32V76l-4,8v39H15V73q0,-11 8,-14l24,-7v-6q-7,-4 -7,-20t12,-16Z';
  switch (id) {
    case 'palmBreadth':
      return { d: hand, tape: [32, 74, 84, 74] };
    case 'thumb':
      return { d: hand, tape: [14, 58, 32, 82] };
    case 'knuckle':
      return { d: hand, tape: [92, 112, 92, 66] };
    case 'hand':
      return { d: hand, tape: [94, 112, 94, 11] };
    case 'shoulderJointWidth':
      return { d: torso, tape: [26, 68, 78, 68] };
    case 'upperArmThickness':
      return { d: torso, tape: [74, 104, 91, 104] };
    case 'outerShoulderWidth':
      return { d: torso, tape: [14, 62, 90, 62] };
    // Seen from the side.
    case 'armReach':
    case 'foot':
    case 'forearm':
    case 'hipToSeat':
    case 'innerLeg':
    case 'shank':
    case 'shoulderToCrown':
    case 'sittingLegReach':
    case 'skullToC7':
    case 'thigh':
    case 'trunk':
    case 'upperArm':
      return { d: torso, tape: [14, 62, 90, 62] };
    default:
      return id satisfies never;
  }
}

/** Where the tape goes round: height of the band, and how far it reaches to the front and the back. */
function bandOf(id: GirthId, { joints, body }: { joints: FigureJoints; body: Body }): Tape {
  const { shoulder, hip } = joints;
  const { heightM, lengths } = body;
  const level = (y: number, halfM: number): Tape => ({ from: [-halfM, y], to: [halfM, y] });
  switch (id) {
    case 'chestGirth':
      return level(shoulder[1] - 0.18 * lengths.trunk, 0.068 * heightM);
    case 'bellyGirth':
      return level(hip[1] + 0.36 * lengths.trunk, 0.066 * heightM);
    case 'thighGirth':
      return level(hip[1] - 0.14 * lengths.thigh, 0.07 * heightM);
    default:
      return id satisfies never;
  }
}

/** Where the tape goes round for one girth, as a small scene. */
function drawGirth(id: GirthId): Scene {
  const body = resolveBody({ heightM: 1.7, massKg: 62 });
  const joints = standing(body);
  const frame = makeFrame(68, 46, sizes.floorPx);
  const { from, to } = bandOf(id, { joints, body });
  const [x1, x2, y] = [frame.x(from[0]), frame.x(to[0]), frame.y(from[1])];
  const bow = 3;
  return {
    widthPx: sizes.widthPx,
    heightPx: sizes.heightPx,
    pxPerM: 68,
    sentences: [girthTable[id].howTo],
    shapes: [
      ...drawFigure('figure', frame, body, joints),
      line('floor', 6, sizes.floorPx, 98, sizes.floorPx),
      {
        kind: 'path',
        role: 'measure',
        d: `M${x1},${y}Q${(x1 + x2) / 2},${y + 2 * bow} ${x2},${y}`,
      },
      line('dimensionTick', x1, y - 5, x1, y + 5),
      line('dimensionTick', x2, y - 5, x2, y + 5),
    ],
  };
}

/** Where the tape runs for one measure, as a small scene. */
export const drawMeasure = (id: TakenId): Scene => (isGirth(id) ? drawGirth(id) : drawLength(id));

/** Where the tape runs for one length, as a small scene. */
function drawLength(id: LengthId): Scene {
  const body = resolveBody({ heightM: 1.7, massKg: 62 });
  const base = {
    widthPx: sizes.widthPx,
    heightPx: sizes.heightPx,
    sentences: [lengthTable[id].howTo],
  };
  if (id === 'sittingLegReach' || id === 'hipToSeat') {
    const joints = sitting(body);
    const frame = makeFrame(72, 92, sizes.floorPx);
    const tape: Tape =
      id === 'hipToSeat'
        ? { from: joints.hip, to: [joints.hip[0], 0] }
        : { from: [joints.hip[0], 0.16], to: [0, 0.16] };
    return {
      ...base,
      pxPerM: 72,
      shapes: [
        ...drawFigure('figure', frame, body, joints),
        ...hatchStrip(92, 20, sizes.floorPx, 8),
        line('wall', 92, 20, 92, sizes.floorPx),
        line('floor', 2, sizes.floorPx, 100, sizes.floorPx),
        ...tapeLine(frame, tape, -12),
      ],
    };
  }
  const joints = standing(body);
  const tape = standingTape(body, joints, id);
  if (tape === null) {
    const { d, tape: run } = outline(id);
    const [x1, y1, x2, y2] = run.map(rounded);
    return {
      ...base,
      pxPerM: 1,
      shapes: [
        { kind: 'path', role: 'figure', d },
        line('measure', x1!, y1!, x2!, y2!),
        ...[
          [x1, y1],
          [x2, y2],
        ].map(([x, y]) =>
          y1 === y2
            ? line('dimensionTick', x!, y! - 5, x!, y! + 5)
            : line('dimensionTick', x! - 5, y!, x! + 5, y!),
        ),
      ],
    };
  }
  const frame = makeFrame(68, 46, sizes.floorPx);
  const aside = id === 'skullToC7' ? -6 : 22;
  return {
    ...base,
    pxPerM: 68,
    shapes: [
      ...drawFigure('figure', frame, body, joints),
      line('floor', 6, sizes.floorPx, 98, sizes.floorPx),
      ...tapeLine(frame, tape, aside),
    ],
  };
}
