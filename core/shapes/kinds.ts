import { forearmHandsIds } from '../body/hands';
import type { ShapeRef } from './posed';
import { shapeIds } from './registry';
import { stillIds } from './stills';

const has = (ids: readonly string[], id: string) => ids.includes(id);

/** Is there such a shape to draw a stage with? What comes from a file may name any. */
export const isShape = (shape: ShapeRef): boolean =>
  ('still' in shape ? has(stillIds, shape.still) : has(shapeIds, shape.family)) &&
  (shape.hands === undefined || has(forearmHandsIds, shape.hands));
