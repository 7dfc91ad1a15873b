import fc from 'fast-check';
import { lineOf, wordsOf } from './text';

it('keeps a name to one line without anything hidden in it', () => {
  expect(lineOf('  Ada\u0000\nLove\u202elace\u200b \ud800 ')).toBe('Ada Lovelace');
  expect(lineOf('Zoë 👩‍👧 O’Neil')).toBe('Zoë 👩‍👧 O’Neil');
  expect(lineOf('e\u0301')).toBe('é');
});

it('keeps the lines of words, and nothing else that does not print', () => {
  expect(wordsOf('one\r\ntwo\u2028three\u0007')).toBe('one\ntwo\nthree');
});

it('is done when it is done once, and is well formed, whatever comes', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => {
      for (const clean of [lineOf, wordsOf]) {
        const once = clean(text);
        expect(clean(once)).toBe(once);
        expect(once).not.toMatch(/[\u0000-\u0009\u202a-\u202e\u2066-\u2069]/);
      }
    }),
  );
});
