import type { ProfileChanges } from '@/core/catalog/school';
import { isSameCopy, withBar, withClosedStage, withGate, withPart } from './editor';

const before: ProfileChanges = { bars: { 'dolphin-hold': 50 }, closedBranches: ['free-plough'] };

it('keeps a bar that differs from the origin’s, and none that is the same or nothing', () => {
  expect(withBar(before, 'plank-hold', 45, 60).bars).toEqual({
    'dolphin-hold': 50,
    'plank-hold': 60,
  });
  expect(withBar(before, 'dolphin-hold', 45, 45)).toEqual({ closedBranches: ['free-plough'] });
  expect(withBar(before, 'dolphin-hold', 45, 0)).toEqual({ closedBranches: ['free-plough'] });
  expect(withBar(before, 'dolphin-hold', 45, Number.NaN)).toEqual({
    closedBranches: ['free-plough'],
  });
  expect(before.bars).toEqual({ 'dolphin-hold': 50 });
});

it('lets all branches open: no closed ones are said, too', () => {
  expect(withPart(before, 'closedBranches', [])).toEqual({ ...before, closedBranches: [] });
});

it('takes a gate back to the origin’s, and leaves no empty part behind', () => {
  const asked = withGate(before, 'HB8', [{ check: 'plank-hold' }]);
  expect(asked.gates).toEqual({ HB8: [{ check: 'plank-hold' }] });
  expect(withGate(asked, 'HB8', [])).toEqual({ ...before, gates: { HB8: [] } });
  expect(withGate(asked, 'HB8', null)).toEqual(before);
});

it('closes a stage once, however often it is said', () => {
  const closed = withClosedStage(withClosedStage(before, 'HB8', true), 'HB8', true);
  expect(closed.closedStages).toEqual(['HB8']);
  expect(withClosedStage(closed, 'HB8', false)).toEqual(before);
});

it('knows two copies as the same, whatever was typed first', () => {
  const one = {
    label: 'Quick',
    changes: { bars: { 'dolphin-hold': 50, 'plank-hold': 60 }, cues: {} },
  };
  const other = {
    label: ' Quick ',
    changes: { cues: {}, bars: { 'plank-hold': 60, 'dolphin-hold': 50 } },
  };
  expect(isSameCopy(one, other)).toBe(true);
  expect(isSameCopy(one, { ...other, label: 'Slow' })).toBe(false);
  expect(isSameCopy(one, { ...one, changes: { bars: { 'dolphin-hold': 50 } } })).toBe(false);
  // In which order a gate asks is its own matter.
  const gate = [{ check: 'plank-hold' }, { check: 'dolphin-hold' }] as const;
  const asking = { label: '', changes: { gates: { HB8: gate } } };
  expect(isSameCopy(asking, { label: '', changes: { gates: { HB8: [gate[1], gate[0]] } } })).toBe(
    false,
  );
});
