import { readRoster } from './roster';

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
