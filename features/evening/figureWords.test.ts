import { figureWords } from './figureWords';

describe('what is set out, in words', () => {
  it('names each figure, the wall first as it comes, and what was found by trying', () => {
    expect(
      figureWords(
        {
          baseM: 0.54,
          figures: [
            { id: 'base', metres: 0.54, isFound: true },
            { id: 'elbowWidth', metres: 0.36 },
            { id: 'forearmLift', metres: 0 },
          ],
        },
        'cm',
      ),
    ).toBe('54 cm from the wall, found by trying; elbow width 36 cm');
  });

  it('says the distance of a class that was kept before there were figures', () => {
    expect(figureWords({ baseM: 0.9 }, 'cm')).toBe('90 cm from the wall');
    expect(figureWords({}, 'cm')).toBe('');
  });
});
