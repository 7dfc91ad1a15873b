/** Letters: shared where the figures agree, and kept once they were printed. */
import type { PlannedOption } from './option';
import { agrees, listStations, type KeptLetter } from './stations';
import type { PlannedRound } from './writePlan';

const option = (id: string, baseM?: number, strapM?: number): PlannedOption =>
  ({
    id,
    label: id,
    role: 'present',
    value: 1,
    heightM: 2,
    pieces: [],
    props: [],
    loads: {},
    strains: [],
    why: '',
    atDoor: [],
    ...(baseM === undefined ? {} : { baseM }),
    ...(strapM === undefined ? {} : { figures: [{ id: 'strapLoop', metres: strapM }] }),
  }) as unknown as PlannedOption;

const round = (...options: readonly (readonly [string, PlannedOption])[]): PlannedRound =>
  ({
    people: options.map(([id, one], index) => ({
      id,
      option: one,
      place: { kind: 'mat', x: index, y: 0, isAcross: false },
    })),
  }) as unknown as PlannedRound;

const letters = (rounds: readonly PlannedRound[], kept?: readonly KeptLetter[]) =>
  Object.fromEntries(
    listStations({ rounds }, [], kept).map(({ letter, people }) => [people.join(), letter]),
  );

describe('letters', () => {
  it('are shared by whoever has the same shape with the same figures', () => {
    expect(agrees(option('L', 0.9), option('L', 0.91))).toBe(true);
    expect(agrees(option('L', 0.9), option('L', 0.92))).toBe(false);
    expect(agrees(option('strap', undefined, 0.7), option('strap', undefined, 0.72))).toBe(true);
    expect(agrees(option('strap', undefined, 0.7), option('strap', undefined, 0.73))).toBe(false);
    expect(agrees(option('L', 0.9), option('dog', 0.9))).toBe(false);
    const made = (...props: PlannedOption['props']) => ({
      ...option('stack', undefined, 0.4),
      props,
    });
    const four = { piece: 'foam-block', count: 4 } as const;
    expect(agrees(made(four), made({ piece: 'thin-foam-block', count: 5 }))).toBe(false);
    expect(agrees(made(four), made(four))).toBe(true);
    // Kept before it was said what a letter is laid out with.
    const { props: _, ...old } = made(four);
    expect(agrees(old, made(four))).toBe(true);
    expect(agrees(option('L', 0.9), option('L'))).toBe(false);
  });

  it('stay what they were when somebody stops, and new places get new ones', () => {
    const before = [round(['a', option('one')], ['b', option('two', 0.5)], ['c', option('three')])];
    const first = listStations({ rounds: before }, []);
    expect(first.map(({ letter }) => letter)).toEqual(['A', 'B', 'C']);
    const kept = first.map(({ letter, option: { id, baseM } }) => ({
      letter,
      option: id,
      ...(baseM === undefined ? {} : { baseM }),
    }));
    // The first stops; somebody does something new in their place.
    const after = [
      round(['a', option('rest-like')], ['b', option('two', 0.505)], ['c', option('three')]),
    ];
    expect(letters(after, kept)).toEqual({ a: 'D', b: 'B', c: 'C' });
    expect(letters(after)).toEqual({ a: 'A', b: 'B', c: 'C' });
  });

  it('give nobody a letter that meant other figures', () => {
    const kept = [{ letter: 'A', option: 'L', baseM: 0.9 }];
    expect(letters([round(['a', option('L', 1.0)])], kept)).toEqual({ a: 'B' });
  });
});

it('a letter keeps its distance, and says how that is known now', () => {
  const measured = {
    ...option('strap', undefined, 0.71),
    figures: [{ id: 'strapLoop' as const, metres: 0.71 }],
  };
  const kept = [
    {
      letter: 'D',
      option: 'strap',
      figures: [{ id: 'strapLoop' as const, metres: 0.7, isEstimated: true as const }],
    },
  ];
  const [station] = listStations({ rounds: [round(['a', measured])] }, [], kept);
  expect(station!.letter).toBe('D');
  expect(station!.option.figures).toEqual([{ id: 'strapLoop', metres: 0.7 }]);
});
