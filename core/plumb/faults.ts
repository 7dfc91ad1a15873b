/**
 * Faults that a picture suggests: only where the whole span lies past the bar, and only in the
 * shapes they belong to. The teacher confirms or leaves them. Source: handbook 13 "Faults".
 */
import type { FaultId } from '../catalog/faults';
import { shapeIds } from '../shapes/registry';
import type { ShapeId } from '../shapes/postures';
import type { PictureFacts, StillInput } from './marks';
import type { Measured, MeasureId } from './measureTable';

export interface FaultFound {
  readonly fault: FaultId;
  readonly measure: MeasureId;
}

interface Bar {
  readonly fault: FaultId;
  readonly measure: MeasureId;
  /** Absent: in every shape, and where none is given. */
  readonly shapes?: readonly ShapeId[];
  readonly views: readonly (StillInput['view'] | 'clip')[];
  readonly base?: PictureFacts['base'];
  readonly past: 'over' | 'under';
  /** Of somebody so tall, metres; `null`: without a height there is no bar. */
  readonly at: (heightM: number | null, isOverKnuckle: boolean) => number | null;
}

const fixed = (bar: number) => () => bar;

const onHands: Readonly<Record<ShapeId, boolean>> = {
  plank: true,
  kneePlank: true,
  dog: true,
  shortDog: true,
  raisedDog: true,
  dolphin: false,
  wallL: true,
  forearmWallL: false,
  handstandWall: true,
  forearmStandWall: false,
  handstand: true,
  forearmStand: false,
  headstand: false,
  headstandBase: false,
  headstandTuck: false,
  // Its elbows are meant to bend.
  crow: false,
  liftedTuck: true,
  shoulderStand: false,
  plough: false,
};

/** How far the shoulder may pass the wrist, metres, and what standing over the knuckle adds. */
const passing = { barM: 0.04, knuckleShare: 0.055 } as const;

const faultBars: readonly Bar[] = [
  {
    fault: 'shoulders-pass-wrists',
    measure: 'shoulderOverBase',
    shapes: ['wallL', 'handstandWall', 'handstand', 'shortDog'],
    views: ['side'],
    past: 'over',
    at: (heightM, isOverKnuckle) => {
      if (!isOverKnuckle) return passing.barM;
      return heightM === null ? null : passing.barM + passing.knuckleShare * heightM;
    },
  },
  {
    fault: 'elbows-bend',
    measure: 'elbowAngle',
    shapes: shapeIds.filter((id) => onHands[id]),
    views: ['side'],
    past: 'under',
    at: fixed(165),
  },
  {
    fault: 'sag',
    measure: 'hipBend',
    shapes: ['plank', 'kneePlank'],
    views: ['side'],
    past: 'over',
    at: fixed(10),
  },
  {
    fault: 'low-back-arch',
    measure: 'hipBend',
    shapes: ['handstand', 'handstandWall', 'forearmStand', 'forearmStandWall', 'headstand'],
    views: ['side'],
    past: 'over',
    at: fixed(12),
  },
  {
    fault: 'head-touches',
    measure: 'headClearance',
    shapes: ['dolphin', 'forearmWallL', 'forearmStandWall', 'forearmStand'],
    views: ['side'],
    past: 'under',
    at: fixed(0.01),
  },
  {
    fault: 'chin-pokes',
    measure: 'neckBend',
    shapes: ['plank', 'kneePlank'],
    views: ['side'],
    past: 'over',
    at: fixed(25),
  },
  {
    fault: 'elbows-slide',
    measure: 'elbowSplay',
    views: ['front', 'back'],
    base: 'forearms',
    past: 'over',
    at: fixed(0.03),
  },
  { fault: 'knee-bends', measure: 'kneeMinDeg', views: ['clip'], past: 'under', at: fixed(160) },
  {
    fault: 'swing-kick',
    measure: 'pelvisOvershootM',
    views: ['clip'],
    past: 'over',
    at: (heightM) => (heightM === null ? null : 0.09 * heightM),
  },
  {
    fault: 'heavy-landing',
    measure: 'landingMPerS',
    views: ['clip'],
    past: 'over',
    at: fixed(1.5),
  },
];

interface Looked extends Pick<PictureFacts, 'base' | 'shape' | 'isOverKnuckle'> {
  readonly view: StillInput['view'] | 'clip';
}

/** @param heightM standing height of the body, else of the marks; `null` where nothing says it */
export function suggestFaults(
  { view, base: on, shape, isOverKnuckle }: Looked,
  measures: Readonly<Partial<Record<MeasureId, Measured>>>,
  heightM: number | null,
): FaultFound[] {
  return faultBars.flatMap(({ fault, measure, shapes, views, base, past, at }): FaultFound[] => {
    const found = measures[measure];
    if (found === undefined || !views.includes(view)) return [];
    if (base !== undefined && base !== on) return [];
    if (shapes !== undefined && (shape === undefined || !shapes.includes(shape))) return [];
    const bar = at(heightM, isOverKnuckle === true);
    if (bar === null) return [];
    const isPast = past === 'over' ? found.low > bar : found.high < bar;
    return isPast ? [{ fault, measure }] : [];
  });
}
