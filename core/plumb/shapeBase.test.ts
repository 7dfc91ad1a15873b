import { shapeIds } from '../shapes/registry';
import { baseOfShape, usualFigure } from './shapeBase';

it('knows what carries in every shape', () => {
  expect(Object.fromEntries(shapeIds.map((id) => [id, baseOfShape(id)]))).toEqual({
    dolphin: 'forearms',
    forearmWallL: 'forearms',
    forearmStandWall: 'forearms',
    forearmStand: 'forearms',
    kneePlank: 'hands',
    plank: 'hands',
    dog: 'hands',
    shortDog: 'hands',
    raisedDog: 'hands',
    wallL: 'hands',
    handstandWall: 'hands',
    handstand: 'hands',
    headstandBase: 'head',
    headstandTuck: 'head',
    headstand: 'head',
    shoulderStand: 'feet',
    plough: 'feet',
    liftedTuck: 'hands',
    crow: 'hands',
  });
});

it('is worked out once', () => {
  expect(usualFigure('crow')).toBe(usualFigure('crow'));
});
