import Papa from 'papaparse';
import { guessMapping } from './mapping';
import { numberRows, readText } from './readText';

describe('the text of a list', () => {
  const words = 'Name;Größe\nZoë;1m71\n';
  it('is read as what it is: UTF-8, UTF-16 either way round, or Western European with a note', () => {
    const utf8 = new TextEncoder().encode(words);
    expect(readText(utf8)).toEqual({ text: words });
    const le = Buffer.from(`\uFEFF${words}`, 'utf16le');
    expect(readText(le).text).toBe(words);
    expect(readText(Buffer.from(le).swap16()).text).toBe(words);
    const western = readText(Buffer.from(words, 'latin1'));
    expect(western.text).toBe(words);
    expect(western.note).toMatch(/not UTF-8/);
    expect(readText(new Uint8Array())).toEqual({ text: '' });
  });

  it('has rows by the line they begin on, with empty ones and cells of many lines', () => {
    const { data } = Papa.parse<string[]>(
      'name,height\n\nAda,170\n"Bo\nor Bob",180\n , \nCy,160\n',
    );
    expect(numberRows(data).map(({ row, line }) => [row[0], line])).toEqual([
      ['name', 1],
      ['Ada', 3],
      ['Bo\nor Bob', 4],
      ['Cy', 7],
    ]);
  });
});

it('headings are known in other languages too', () => {
  expect(guessMapping(['Vorname und Name', 'Größe', 'Gewicht'])).toEqual({
    name: 0,
    height: 1,
    mass: 2,
  });
  expect(guessMapping(['Nom', 'Taille (cm)', 'Poids'])).toEqual({ name: 0, height: 1, mass: 2 });
  expect(guessMapping(['Nombre', 'Altura', 'Peso kg'])).toEqual({ name: 0, height: 1, mass: 2 });
});
