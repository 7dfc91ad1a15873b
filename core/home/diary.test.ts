import fc from 'fast-check';
import { painPlaces, stopSigns } from '../catalog/regions';
import { feltIds } from './felt';
import { checksumOf, readDiary, writeCode, type Diary } from './diary';

const entries = fc.array(
  fc.record(
    {
      on: fc.constantFrom('2026-11-02', '2026-11-09', '2027-01-31'),
      item: fc.constantFrom('boat', 'forearm-plank-hold', 'FS3', 'own.with.dots', 'ü "quoted"'),
      felt: fc.constantFrom(...feltIds),
      pain: fc.constantFrom(...painPlaces),
      sign: fc.constantFrom(...stopSigns),
    },
    { requiredKeys: ['on', 'item', 'felt'] },
  ),
  { maxLength: 30 },
);
const diaries = entries.map((list): Diary => ({
  format: 'levitar-diary',
  version: 1,
  sheet: 'abc123',
  entries: list,
}));

describe('a diary from home', () => {
  it('comes back the same as a code and as a file', () => {
    fc.assert(
      fc.property(diaries, (diary) => {
        expect(readDiary(writeCode(diary))).toEqual(diary);
        expect(readDiary(`  ${writeCode(diary)}\n`)).toEqual(diary);
        expect(readDiary(JSON.stringify(diary))).toEqual(diary);
      }),
    );
  });

  it('notices a letter that is missing or changed', () => {
    const code = writeCode({
      format: 'levitar-diary',
      version: 1,
      sheet: 'abc123',
      entries: [{ on: '2026-11-02', item: 'boat', felt: 'hard', pain: 'wrist' }],
    });
    fc.assert(
      fc.property(fc.integer({ min: 4, max: code.length - 1 }), (at) => {
        expect(() => readDiary(code.slice(0, at) + code.slice(at + 1))).toThrow();
        const other = code[at] === 'q' ? 'z' : 'q';
        expect(() => readDiary(code.slice(0, at) + other + code.slice(at + 1))).toThrow();
      }),
    );
  });

  it.each([
    ['hello', 'begins with LV1'],
    ['LV1.%E0%A4%A.x', 'not whole'],
    ['{"format":"levitar-diary","version":2,"sheet":"a","entries":[]}', 'newer'],
    [
      `LV1.${encodeURIComponent('["a",[["2026-13-01","boat","easy"]]]')}.${checksumOf('["a",[["2026-13-01","boat","easy"]]]')}`,
      'no practice diary',
    ],
    [`LV1.x.${checksumOf('x')}`, 'of another kind'],
  ])('says what is wrong with %s', (text, words) => {
    expect(() => readDiary(text)).toThrow(words);
  });
});
