import { ofMany, seedsTo, someOf } from './depth';

const holder = globalThis as { LEVITAR_DEEP?: boolean };
const before = holder.LEVITAR_DEEP;
afterEach(() => Object.assign(holder, { LEVITAR_DEEP: before }));
const inDepth = (isDeep: boolean) => Object.assign(holder, { LEVITAR_DEEP: isDeep });

it('is few of them, from every part, each once and in their order', () => {
  inDepth(false);
  expect(ofMany(200, 20)).toBe(20);
  expect(seedsTo(200, 4)).toEqual([26, 76, 126, 176]);
  expect(someOf(['a', 'b', 'c'], 1)).toEqual(['b']);
  for (let few = 1; few <= 30; few += 1) {
    const found = seedsTo(30, few);
    expect([few, found.length, new Set(found).size]).toEqual([few, few, few]);
    expect([...found].sort((a, b) => a - b)).toEqual(found);
  }
});

it('is never more than there are', () => {
  inDepth(false);
  expect(someOf(['a', 'b'], 9)).toEqual(['a', 'b']);
  expect(someOf([], 3)).toEqual([]);
});

it('is all of them in the deep run', () => {
  inDepth(true);
  expect(ofMany(200, 20)).toBe(200);
  expect(seedsTo(5, 2)).toEqual([1, 2, 3, 4, 5]);
  expect(someOf(['a', 'b', 'c'], 1)).toEqual(['a', 'b', 'c']);
});
