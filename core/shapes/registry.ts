/** Every shape with loads. Adding one is a row in postures.ts, a file in loaded/ and its line here. */
import { dolphin } from './loaded/dolphin';
import { forearmWallL } from './loaded/forearmWallL';
import { forearmStandWall } from './loaded/forearmStandWall';
import { forearmStand } from './loaded/forearmStand';
import { kneePlank } from './loaded/kneePlank';
import { plank } from './loaded/plank';
import { dog } from './loaded/dog';
import { shortDog } from './loaded/shortDog';
import { raisedDog } from './loaded/raisedDog';
import { wallL } from './loaded/wallL';
import { handstandWall } from './loaded/handstandWall';
import { handstand } from './loaded/handstand';
import { headstandBase } from './loaded/headstandBase';
import { headstandTuck } from './loaded/headstandTuck';
import { headstand } from './loaded/headstand';
import { shoulderStand } from './loaded/shoulderStand';
import { plough } from './loaded/plough';
import { liftedTuck } from './loaded/liftedTuck';
import { crow } from './loaded/crow';
import type { ShapeId } from './postures';
import type { Shape } from './shape';

export const shapeTable: { readonly [Id in ShapeId]: Shape<Id> } = {
  dolphin,
  forearmWallL,
  forearmStandWall,
  forearmStand,
  kneePlank,
  plank,
  dog,
  shortDog,
  raisedDog,
  wallL,
  handstandWall,
  handstand,
  headstandBase,
  headstandTuck,
  headstand,
  shoulderStand,
  plough,
  liftedTuck,
  crow,
};

export const shapeIds = Object.keys(shapeTable) as [ShapeId, ...ShapeId[]];

/** A shape's row. The compiler has checked each against its own parameters; here any may come. */
export const getShape = (id: ShapeId): Shape => shapeTable[id] as unknown as Shape;
