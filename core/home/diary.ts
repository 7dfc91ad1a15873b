/**
 * What a student hands back from home: days on which something was practised, how it felt, and what
 * hurt. A report, never evidence. Comes as a file or as a short code.
 */
import { z } from 'zod';
import { painPlaces, stopSigns } from '../catalog/regions';
import { InputProblem } from '../problem';
import { feltIds } from './felt';
import { day } from '../files/schemas';

const diaryEntry = z.strictObject({
  on: day,
  /** The row of the sheet that was practised. */
  item: z.string().min(1).max(80),
  felt: z.enum(feltIds),
  pain: z.enum(painPlaces).optional(),
  sign: z.enum(stopSigns).optional(),
});
export type DiaryEntry = z.infer<typeof diaryEntry>;

const diaryFile = z.strictObject({
  format: z.literal('levitar-diary'),
  version: z.literal(1),
  /** Whose sheet it was: tells one person's diary from another's, and names nobody. */
  sheet: z.string().min(1).max(64),
  entries: z.array(diaryEntry).max(1000),
});
export type Diary = z.infer<typeof diaryFile>;

/** The same as it is kept, with nothing left out. */
export const homeReport = diaryEntry.extend({
  pain: z.enum(painPlaces).nullable(),
  sign: z.enum(stopSigns).nullable(),
});
export type HomeReport = z.infer<typeof homeReport>;

/** What a code begins with. */
export const codeMark = 'LV1';

const asProblem = (message: string) => new InputProblem('invalid', message, ['diary']);

/** Told again at the end of a code, so that a letter mistyped is noticed. */
export function checksumOf(text: string): string {
  let [a, b] = [1, 0];
  for (const letter of text) {
    a = (a + letter.codePointAt(0)!) % 65521;
    b = (b + a) % 65521;
  }
  return (b * 65536 + a).toString(36);
}

/**
 * What hurt, as a phone and a studio both say it: a new sheet names by this what its teacher has
 * heard of, and nobody who opens the file reads it there.
 */
export const tellingOf = ({ on, item, felt, pain, sign }: DiaryEntry | HomeReport): string =>
  checksumOf(JSON.stringify([on, item, felt, pain ?? '', sign ?? '']));

/** A diary as a code: small enough for a picture that a phone can read. */
export const writeCode = ({ sheet, entries }: Diary): string => {
  const body = JSON.stringify([
    sheet,
    entries.map(({ on, item, felt, pain, sign }) => [
      on,
      item,
      felt,
      ...(pain === undefined && sign === undefined ? [] : [pain ?? '', sign ?? '']),
    ]),
  ]);
  return `${codeMark}.${encodeURIComponent(body)}.${checksumOf(body)}`;
};

const codeBody = z.tuple([
  z.string(),
  z.array(
    z.union([
      z.tuple([z.string(), z.string(), z.string()]),
      z.tuple([z.string(), z.string(), z.string(), z.string(), z.string()]),
    ]),
  ),
]);

/** `undefined`: this is no JSON. */
function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

function readCode(text: string): unknown {
  const end = text.lastIndexOf('.');
  const [body, sum] = [text.slice(codeMark.length + 1, end), text.slice(end + 1)];
  let plain: string;
  try {
    plain = decodeURIComponent(body);
  } catch {
    throw asProblem('The code is not whole: copy all of it, from LV1 to the last letter.');
  }
  if (sum !== checksumOf(plain)) {
    throw asProblem('The code is not whole: copy all of it, from LV1 to the last letter.');
  }
  const told = codeBody.safeParse(parseJson(plain));
  if (!told.success) throw asProblem('The code is of another kind than a practice diary.');
  const [sheet, rows] = told.data;
  return {
    format: 'levitar-diary',
    version: 1,
    sheet,
    entries: rows.map(([on, item, felt, pain = '', sign = '']) => ({
      on,
      item,
      felt,
      ...(pain === '' ? {} : { pain }),
      ...(sign === '' ? {} : { sign }),
    })),
  };
}

/**
 * A diary from what was pasted or chosen.
 *
 * @throws InputProblem with a sentence that says what to do
 */
export function readDiary(text: string): Diary {
  const trimmed = text.trim();
  let told: unknown;
  if (trimmed.startsWith(`${codeMark}.`)) told = readCode(trimmed);
  else {
    told = parseJson(trimmed);
    if (told === undefined) {
      throw asProblem(
        'This is no practice diary: choose the file, or paste the code that begins with LV1.',
      );
    }
  }
  const diary = diaryFile.safeParse(told);
  if (!diary.success) {
    throw asProblem('This is no practice diary, or a newer one than this program knows.');
  }
  return diary.data;
}
