import { plumbAnswers, plumbForCheck } from './address';
import { anyLook, readLook } from './look';

describe('what Plumb is opened for', () => {
  it('is a shape, on what carries in it', () => {
    expect(readLook({ shape: 'forearmStandWall' })).toMatchObject({
      shape: 'forearmStandWall',
      base: 'forearms',
      timed: null,
      query: { shape: 'forearmStandWall' },
    });
  });

  it('is a check, as it is taken', () => {
    expect(readLook({ check: 'upright-walk-in' })).toMatchObject({
      shape: 'headstandBase',
      base: 'head',
    });
    expect(readLook({ check: 'shoulder-flexion' })).toMatchObject({ shape: null, base: 'feet' });
    expect(readLook({ check: 'elbow-drift' })).toMatchObject({ view: 'front', base: 'forearms' });
    // No clock tells how somebody comes down.
    expect(readLook({ check: 'controlled-exit', base: 'head' })).toMatchObject({
      opens: 'clip',
      base: 'head',
      timed: null,
    });
    expect(readLook({ check: 'wall-hold', base: 'forearms' })).toMatchObject({
      opens: 'camera',
      timed: 'wall-hold',
      base: 'forearms',
      query: { check: 'wall-hold', base: 'forearms' },
    });
    // A tuck is on the head, whatever an address says.
    expect(readLook({ check: 'tuck-hold', base: 'hands' })).toMatchObject({ base: 'head' });
  });

  it('is nothing where an address names what is not known', () => {
    expect(readLook({ shape: 'pyramid', check: ['wall-hold'], base: 7 })).toBe(anyLook);
    expect(readLook({ check: 'toString' })).toBe(anyLook);
  });

  it('is what the link beside a check asks for', () => {
    expect(plumbForCheck(4, 'l-hold', 'forearms')).toBe(
      '/plumb?person=4&check=l-hold&base=forearms',
    );
    expect(plumbForCheck(4, 'head-clearance', null)).toBe('/plumb?person=4&check=head-clearance');
    const asked = ['head-clearance', 'elbow-drift', 'l-hold', 'controlled-exit', 'crow-hold'];
    expect(asked.map(plumbAnswers)).toEqual(['picture', 'pictures', 'clock', 'clip', null]);
  });
});
