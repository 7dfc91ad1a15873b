import { isNoHeight, readRoster, sayHeight } from './roster';

describe('a pasted list', () => {
  it('has a name a line, and a height behind it where there is one', () => {
    expect(
      readRoster('Ada Wren, 172\nBo\n\n Cleo  1.68 m\nDee\t5\'6"\nEli; 66 in\nFenna 170 cm'),
    ).toEqual([
      { name: 'Ada Wren', height: '172' },
      { name: 'Bo', height: '' },
      { name: 'Cleo', height: '1.68 m' },
      { name: 'Dee', height: '5\'6"' },
      { name: 'Eli', height: '66 in' },
      { name: 'Fenna', height: '170 cm' },
    ]);
  });

  it.each([
    ['Ada Wren 1m85', 'Ada Wren', '1m85'],
    ['Ada Wren, 1 m 61', 'Ada Wren', '1 m 61'],
    ['Ada Wren\t1,72 m', 'Ada Wren', '1,72 m'],
    ['Ada Wren 5’7”', 'Ada Wren', '5’7”'],
    ['Ada Wren 5′ 7½″', 'Ada Wren', '5′ 7½″'],
    ['Ada Wren 5 ft 6 1/2 in', 'Ada Wren', '5 ft 6 1/2 in'],
    ['Ada Wren; 168 cm;', 'Ada Wren', '168 cm'],
    // Out of reach is said when it is kept; it is no part of a name.
    ['Ada Wren 72', 'Ada Wren', '72'],
    // A figure of her own, as a second Ada has one.
    ['Ada 2', 'Ada 2', ''],
    ['Ada 2, 168', 'Ada 2', '168'],
  ])('reads %j as it is read everywhere', (line, name, height) => {
    expect(readRoster(line)).toEqual([{ name, height }]);
  });

  it('leaves out the marks of a list, and whoever stands in it twice', () => {
    expect(readRoster('1. Ada\n2) Bo, 168\n- Cleo\n• ada\n').map(({ name }) => name)).toEqual([
      'Ada',
      'Bo',
      'Cleo',
    ]);
  });

  it('takes a name of several words whole', () => {
    expect(readRoster('Maria del Mar 3rd\nJean-Luc O’Hara')).toEqual([
      { name: 'Maria del Mar 3rd', height: '' },
      { name: 'Jean-Luc O’Hara', height: '' },
    ]);
  });
});

describe('a height as it will be kept', () => {
  it.each([
    ['1.91', 'cm', '191 cm'],
    ['5\'7"', 'cm', '170 cm'],
    ['174', 'cm', '174 cm'],
    ['174', 'in', '5′ 9″'],
    ['67', 'in', '5′ 7″'],
    ['', 'cm', 'height not known yet'],
  ] as const)('%s, where %s are used, is %s', (typed, units, words) => {
    expect(sayHeight(typed, units)).toBe(words);
    expect(isNoHeight(typed, units)).toBe(false);
  });

  it.each(['72', '17.4', '300'])(
    '%s cm is nobody’s height, and that is said before it is kept',
    (typed) => {
      expect(isNoHeight(typed, 'cm')).toBe(true);
      expect(sayHeight(typed, 'cm')).toBe(`${typed}: no height of a person`);
    },
  );
});
