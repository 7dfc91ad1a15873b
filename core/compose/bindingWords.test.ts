import { bindingWords, moreWords } from './bindingWords';

const more = (what: 'piece' | 'wall' | 'helper' | 'minutes', id: string, count: number) => ({
  what,
  id,
  more: count,
});

describe('what one more would be', () => {
  it.each([
    [more('wall', 'north-1', 0.9), 'cm', '0.9 m more of the north wall'],
    [more('wall', 'north-2', 0.86), 'cm', '0.9 m more of the north wall, stretch 2'],
    [more('wall', 'north-1', 0.9), 'in', '3′\u00a00″ more of the north wall'],
    [more('helper', 'all', 1), 'cm', 'one helper more'],
    [more('helper', '1', 2), 'in', '2 helpers more in round 2'],
    [more('minutes', 'all', 6), 'in', '6 minutes more'],
  ] as const)('says it: %j in %s', (one, units, words) => {
    expect(moreWords(one, units)).toBe(words);
  });

  it('never says less wall than it takes', () => {
    for (let more = 0.02; more < 3; more += 0.037) {
      const [, feet, inches] = /^(\d+)′\s(\d+)″/.exec(
        moreWords({ what: 'wall', id: 'south-1', more }, 'in'),
      )!;
      const saidM = (Number(feet) * 12 + Number(inches)) * 0.0254;
      expect(saidM).toBeGreaterThanOrEqual(more - 1e-6);
      expect(saidM - more).toBeLessThan(0.0255);
    }
  });

  it.each([
    [null, [], 'cannot tell'],
    [0, [], 'no difference'],
    [0.2, [], 'a little better for the class'],
    [0.2, ['1'], 'serves 1 student better'],
    [0.2, ['1', '2'], 'serves 2 students better'],
  ] as const)('says what it would do: %j for %j', (gain, serves, words) => {
    expect(bindingWords({ ...more('minutes', 'all', 6), gain, serves })).toBe(
      `6 minutes more: ${words}`,
    );
  });
});
