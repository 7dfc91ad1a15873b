import fc from 'fast-check';
import { keepSame } from './keepSame';

const plan = () => ({
  rounds: [
    { round: 1, people: [{ id: '1', label: 'Crow' }] },
    { round: 2, people: [{ id: '1', label: 'L at the wall' }] },
  ],
  notes: ['short'],
  relief: null as { more: number } | null,
});

it('is what stood, where nothing changed', () => {
  const before = plan();
  expect(keepSame(before, plan())).toBe(before);
});

it('keeps what did not change as it stood, and nothing else', () => {
  const before = plan();
  const after = plan();
  after.rounds[1]!.people[0]!.label = 'Crow';
  const kept = keepSame(before, after);
  expect(kept).toEqual(after);
  expect(kept).not.toBe(before);
  expect(kept.rounds[0]).toBe(before.rounds[0]);
  expect(kept.rounds[1]).not.toBe(before.rounds[1]);
  expect(kept.notes).toBe(before.notes);
});

it('tells a part that came or went, also one that says nothing', () => {
  const before: Record<string, unknown> = { a: 1, b: undefined };
  expect(keepSame(before, { a: 1 })).not.toBe(before);
  expect(Object.keys(keepSame(before, { a: 1 }))).toEqual(['a']);
  expect('c' in keepSame(before, { a: 1, c: undefined })).toBe(true);
  expect(keepSame([1, 2, 3], [1, 2])).toEqual([1, 2]);
  expect(keepSame([1], { 0: 1 })).toEqual({ 0: 1 });
  expect(keepSame({ more: 1 }, null)).toBeNull();
});

it('says the same as what came, whatever stood', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), (before, after) => {
      const kept = keepSame(before, after);
      expect(kept).toEqual(after);
      const again = keepSame(kept, structuredClone(after));
      // Nothing changed: it is itself.
      expect(Object.is(again, kept)).toBe(true);
    }),
  );
});
