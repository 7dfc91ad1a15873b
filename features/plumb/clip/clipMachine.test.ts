import { resolveBody } from '@/core/body/body';
import { readClip } from '@/core/plumb/clip/clip';
import { kickWishes, practiceClip } from '@/core/plumb/practiceClip';
import type { MarkSet } from '@/core/plumb/marks';
import type { ReadMarks } from '@/core/plumb/reader';
import { beginClip, clipOf, reduceClip, sheetAt, toClipInput, type ClipState } from './clipMachine';

const body = { heightM: 1.7 };
const kick = practiceClip(resolveBody(body), kickWishes.placed, 10);

/** A perfect reader: the left side is the near one, and sees itself best. */
const reads = kick.frames.map(({ atS, marks: { near, far } }) => ({
  atS,
  marks: {
    near,
    far: far ?? {},
    left: near,
    right: { ...near, ...far } as MarkSet,
    facing: 'right',
    seen: { left: 9, right: 5 },
  } satisfies ReadMarks,
}));
const after = (...events: readonly Parameters<typeof reduceClip>[1][]): ClipState =>
  events.reduce(reduceClip, beginClip({ shape: 'handstandWall' }));
const read = { kind: 'frames-read', reads } as const;
const id = { kind: 'mark', whose: 'near', name: 'hip' } as const;

describe('a clip that is read', () => {
  it('has its frames, a floor under them, a scale of the thigh, and is no step back', () => {
    const state = after(read);
    const { common, frames } = clipOf(state);
    expect(frames).toHaveLength(81);
    expect(common.facing).toBe('right');
    expect(common.scale).toEqual({ kind: 'segment', segment: 'thigh' });
    // A little above the true floor at 440: a reader is as far off.
    expect(common.floor![0][1]).toBeGreaterThan(420);
    expect(common.floor![0][1]).toBeLessThan(440);
    expect(clipOf(reduceClip(state, { kind: 'undo' })).frames).toHaveLength(81);
  });

  it('stands on what its marks say, until somebody says or a shape does', () => {
    const baseOf = (from: ClipState) => clipOf(reduceClip(from, read)).common.base;
    const wrong = { base: 'forearms' } as const;
    expect(baseOf(beginClip(wrong))).toBe('hands');
    expect(baseOf(beginClip(wrong, true))).toBe('forearms');
    expect(baseOf(beginClip({ ...wrong, shape: 'forearmStandWall' }))).toBe('forearms');
    const said = reduceClip(beginClip(), { kind: 'set', change: { base: 'head' } });
    expect(baseOf(said)).toBe('head');
    expect(baseOf(reduceClip(said, { kind: 'new-clip', common: {} }))).toBe('head');
  });

  it('leaves lines that are known', () => {
    const floor = [
      [0, 440],
      [600, 440],
    ] as const;
    const state = [read].reduce(reduceClip, beginClip({ floor }));
    expect(clipOf(state).common.floor).toEqual(floor);
  });

  it('reads as the core reads it: with its lines, events within a tenth and a half', () => {
    const state = after(
      { kind: 'new-clip', common: { floor: kick.floor!, wall: kick.wall! } },
      read,
    );
    const input = toClipInput(clipOf(state), body, false)!;
    const [ours, true_] = [readClip(input), readClip({ ...kick, body })];
    expect(ours.events.map(({ kind }) => kind)).toEqual(true_.events.map(({ kind }) => kind));
    ours.events.forEach(({ atS }, index) => {
      expect(Math.abs(atS - true_.events[index]!.atS)).toBeLessThanOrEqual(0.15);
    });
  });

  it('says nothing before three frames show somebody', () => {
    const some = reads.slice(0, 5).map((one, index) => (index < 3 ? { ...one, marks: null } : one));
    expect(
      toClipInput(clipOf(after({ kind: 'frames-read', reads: some })), body, false),
    ).toBeNull();
    expect(toClipInput(clipOf(beginClip()), body, false)).toBeNull();
  });
});

describe('mending', () => {
  const looking = after(read, { kind: 'look-at', index: 20 });

  it('moves a mark of the frame that is looked at, and of no other', () => {
    const moved = reduceClip(looking, { kind: 'move', id, to: [10, 20] });
    expect(sheetAt(clipOf(moved), 20).marks.near.hip).toEqual({ x: 10, y: 20 });
    expect(clipOf(moved).frames[19]).toEqual(clipOf(looking).frames[19]);
    // Under way it is no step yet; left off, it is where it was.
    expect(clipOf(reduceClip(moved, { kind: 'cancel' }))).toEqual(clipOf(looking));
    const dropped = reduceClip(moved, { kind: 'drop' });
    expect(clipOf(reduceClip(dropped, { kind: 'undo' }))).toEqual(clipOf(looking));
  });

  it('draws a line for the whole clip', () => {
    const wall = [
      [400, 440],
      [400, 0],
    ] as const;
    const set = reduceClip(looking, { kind: 'set', change: { wall } });
    expect(sheetAt(clipOf(set), 3).wall).toEqual(wall);
    const gone = reduceClip(set, { kind: 'remove', id: { kind: 'wall', end: 0 } });
    expect(clipOf(gone).common.wall).toBeNull();
  });

  it('takes a mark away, and what was read long ago comes back by undo alone', () => {
    const gone = reduceClip(looking, { kind: 'remove', id });
    expect(sheetAt(clipOf(gone), 20).marks.near.hip).toBeUndefined();
    expect(sheetAt(clipOf(reduceClip(gone, { kind: 'undo' })), 20).marks.near.hip).toBeDefined();
  });

  it('stays within the clip', () => {
    expect(reduceClip(looking, { kind: 'look-at', index: 999 }).at).toBe(80);
    expect(reduceClip(looking, { kind: 'look-at', index: -3 }).at).toBe(0);
  });

  it('begins anew with another clip, and keeps what is looked at', () => {
    const other = reduceClip(reduceClip(looking, { kind: 'set', change: { base: 'forearms' } }), {
      kind: 'new-clip',
      common: {},
    });
    expect(clipOf(other)).toMatchObject({
      frames: [],
      common: { base: 'forearms', shape: 'handstandWall', floor: null },
    });
  });
});
