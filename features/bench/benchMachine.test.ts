import { fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { readBench } from '@/server/judging/views';
import { beginBench, changeBench, holdBench, turnBench } from './benchMachine';

withThrowawayStudio();

function open() {
  fillWithDemo();
  const view = readBench()!;
  const [one, two] = view.people;
  return { view, one: one!, two: two!, bench: beginBench(view, one!.id, 'forearmStandWall') };
}

describe('the bench', () => {
  it('begins at the set-up of whose body it is, and follows a dial', () => {
    const { view, bench } = open();
    const first = holdBench(view, bench);
    expect(first.problem).toBeNull();
    const turned = holdBench(view, turnBench(view, bench, 'baseM', first.values.baseM! - 0.03));
    expect(turned.values.baseM).toBeCloseTo(first.values.baseM! - 0.03, 9);
    expect(turned.loads).not.toEqual(first.loads);
  });

  it('stays at the last posture that closed, and says why it goes no further', () => {
    const { view } = open();
    const small = changeBench(view, beginBench(view, null, 'wallL'), { heightM: 1.45 });
    const near = turnBench(view, small, 'footHeightM', 0.9);
    const far = turnBench(view, near, 'baseM', 1.6);
    const held = holdBench(view, far);
    expect(held.problem).toEqual(expect.any(String));
    expect(held.values).toEqual(holdBench(view, near).values);
    // From there a dial goes on, and not from where nobody can be.
    const usual = holdBench(view, near).values.baseM!;
    const on = holdBench(view, turnBench(view, far, 'baseM', usual - 0.01));
    expect(on.problem).toBeNull();
    expect(on.values.baseM).toBeCloseTo(usual - 0.01, 9);
  });

  it('moves with another height what depends on it, and leaves what was turned', () => {
    const { view } = open();
    const stranger = beginBench(view, null, 'dolphin', 1.6);
    const lifted = turnBench(view, stranger, 'liftM', 0.04);
    const tall = changeBench(view, lifted, { heightM: 1.9 });
    const own = beginBench(view, null, 'dolphin', 1.9).state.values;
    expect(tall.state.values.elbowToBallM).toBe(own.elbowToBallM);
    expect(own.elbowToBallM).toBeGreaterThan(stranger.state.values.elbowToBallM!);
    expect(tall.state.values.liftM).toBe(0.04);
  });

  it('forgets with another body what this one could reach', () => {
    const { view, bench, two } = open();
    const moved = turnBench(view, bench, 'baseM', 0.5);
    const other = changeBench(view, moved, { personId: two.id });
    expect(other.reached).toBeNull();
    expect(other.state.values).toEqual(beginBench(view, two.id, 'forearmStandWall').state.values);
  });

  it('lifts no leg in a shape that has none to lift', () => {
    const { view, one } = open();
    const dolphin = changeBench(view, beginBench(view, one.id, 'dolphin'), { oneLeg: true });
    expect(dolphin.state.oneLeg).toBe(true);
    expect(changeBench(view, dolphin, { shape: 'forearmWallL' }).state.oneLeg).toBe(true);
    expect(changeBench(view, dolphin, { shape: 'forearmStandWall' }).state.oneLeg).toBe(false);
  });

  it('shows beside it another person in the very same set-up, or another shape at its own', () => {
    const { view, bench, two } = open();
    const beside = changeBench(view, bench, { compare: 'person', otherPersonId: two.id });
    expect(holdBench(view, beside).ghost).toMatchObject({ shape: 'forearmStandWall' });
    const shape = changeBench(view, bench, { compare: 'shape', otherShape: 'dolphin' });
    expect(holdBench(view, shape).ghost).toMatchObject({ shape: 'dolphin' });
    expect(holdBench(view, bench).ghost).toBeUndefined();
  });

  it('takes a height for a body that nobody has entered', () => {
    const { view } = open();
    const stranger = beginBench(view, null, 'dolphin');
    const tall = changeBench(view, stranger, { heightM: 1.95 });
    expect(holdBench(view, tall).body.heightM).toBe(1.95);
    expect(tall.reached).toBeNull();
  });

  it('leaves a dial alone that this shape does not have', () => {
    const { view, bench } = open();
    expect(turnBench(view, bench, 'colour', 1)).toBe(bench);
  });
});
