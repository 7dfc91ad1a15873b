/** Everything out as one file, streamed; in again with a look first, all or nothing. */
import {
  findNodeAtLocation,
  parse,
  parseTree,
  printParseErrorCode,
  type ParseError,
} from 'jsonc-parser';
import { assertVersion, checkShape } from '@/core/files/parse';
import { cleanJpeg } from '@/core/files/jpeg';
import { studioCourse, studioHead, studioPerson, type StudioPerson } from '@/core/files/studioFile';
import {
  assertStudioCourse,
  assertStudioPerson,
  readStudioContext,
} from '@/core/files/studioRules';
import { InputProblem, type ProblemPath } from '@/core/problem';
import type { Db } from '@/db/open';
import { listJpegIds } from '@/db/pictures';
import { readEntries } from '@/db/profiles';
import { readStudioHead, readStudioPeople } from '@/db/studioRead';
import type { StudioCounts } from '@/db/studioCounts';
import { StudioWriter } from '@/db/studioWrite';
import { setBadRowsAside } from '@/db/setAside';
import { finishErasing, noteErasing } from './erasing';
import { noteInDiary } from '../network/asking';
import { nowMs, today } from '../clock';
import { database } from '../database';
import { judgeAllInRunningClasses } from '../running/floorJudge';
import { done, refuse, type Outcome } from '../result';
import { forgetJudged } from '../judging/forget';
import {
  BrokenOff,
  lineOf,
  PieceProblem,
  readPieces,
  textSource,
  type ByteSource,
  type Head,
} from './studioStream';

export type { StudioCounts };

/** Somebody takes everything out. */
export const noteExport = (): void => {
  database().transaction((tx) => noteInDiary(tx, 'exported'));
};

/** The file piece by piece: a person to a line, so that an editor can show it and an error its line. */
export function* writeStudioFile(): Generator<string> {
  const db = database();
  const head = JSON.stringify(readStudioHead(db, today()), null, 1);
  yield `${head.slice(0, head.lastIndexOf('\n'))},\n "people": [`;
  let isFirst = true;
  for (const person of readStudioPeople(db)) {
    yield `${isFirst ? '' : ','}\n  ${JSON.stringify(person)}`;
    isFirst = false;
  }
  yield '\n ]\n}\n';
}

/** Up to here the whole text may be held, to say exactly where something is wrong in it. */
const mostHeld = 32_000_000;

function textOf(source: ByteSource): string | null {
  if (source.bytes > mostHeld) return null;
  return Buffer.concat([...source.open()]).toString('utf8');
}

const lineAt = (text: string, offset: number) => text.slice(0, offset).split('\n').length;

/** The line on which something of a file stands; `null` where that cannot be told. */
function findLine(text: string, path: ProblemPath): number | null {
  const tree = parseTree(text);
  for (let length = path.length; tree !== undefined && length > 0; length -= 1) {
    const node = findNodeAtLocation(tree, [...path.slice(0, length)]);
    if (node !== undefined) return lineAt(text, node.offset);
  }
  return null;
}

function brokenWords(source: ByteSource, offset: number): string {
  const text = textOf(source);
  const errors: ParseError[] = [];
  if (text !== null) parse(text, errors);
  const [first] = errors;
  const line =
    text !== null && first !== undefined ? lineAt(text, first.offset) : lineOf(source, offset);
  const what = first === undefined ? '' : ` (${printParseErrorCode(first.error)})`;
  return `The file breaks off or is no JSON on line ${line}${what}.`;
}

/** What is wrong, with the line it stands on. */
function explain(source: ByteSource, error: unknown): string {
  if (error instanceof BrokenOff) return brokenWords(source, error.offset);
  const problem = error instanceof PieceProblem ? error.problem : error;
  if (!(problem instanceof InputProblem)) throw error;
  const text = textOf(source);
  const line =
    text === null
      ? error instanceof PieceProblem
        ? lineOf(source, error.offset)
        : null
      : findLine(text, problem.path);
  return line === null ? problem.message : `Line ${line}: ${problem.message}`;
}

/**
 * The same person with nothing in their pictures but what has to be there to see them.
 *
 * @throws InputProblem `invalid` for one that is no picture, or too large
 */
function withCleanPictures(person: StudioPerson): StudioPerson {
  const pictures = person.pictures.map(({ jpeg, ...row }, index) => {
    if (jpeg === null) return { ...row, jpeg };
    const cleaned = cleanJpeg(Buffer.from(jpeg, 'base64'));
    if (cleaned.ok) return { ...row, jpeg: Buffer.from(cleaned.jpeg).toString('base64') };
    const path = ['pictures', index, 'jpeg'] as const;
    throw new InputProblem('invalid', `${path.join('.')}: ${cleaned.problem}`, path);
  });
  return { ...person, pictures };
}

class OnlyLooked extends Error {}

type Progress = (share: number) => void;

/** Reads and writes, in as few goes through the file as its order allows. */
function writeAll(db: Db, source: ByteSource, onProgress: Progress): StudioCounts {
  let held: Head = {};
  readPieces(source, {
    onHead: (head) => {
      held = head;
      return true;
    },
  });
  assertVersion(held, 'levitar-studio', 1);
  const head = checkShape(studioHead, held);
  const context = readStudioContext(head, readEntries(db));
  const writer = new StudioWriter(db);
  writer.head(head);
  const share = (from: number, to: number) => (count: number) =>
    onProgress(from + ((to - from) * count) / Math.max(1, source.bytes));
  const seen = new Set<string>();
  const order = readPieces(source, {
    onItem: (list, _index, value) => {
      if (list !== 'people') return;
      const person = checkShape(studioPerson, value);
      if (seen.has(person.uid)) {
        throw new InputProblem('invalid', 'Somebody of this uid is in the file twice.', ['uid']);
      }
      seen.add(person.uid);
      assertStudioPerson(person, context);
      writer.person(withCleanPictures(person));
    },
    onBytes: share(0, 0.4),
  });
  for (const name of ['courses', 'people']) {
    if (!order.includes(name)) throw new InputProblem('invalid', `There is no "${name}" here.`, []);
  }
  const isOurs = order.indexOf('courses') < order.indexOf('people');
  const story = (value: unknown) => writer.story(checkShape(studioPerson, value));
  readPieces(source, {
    onItem: (list, _index, value) => {
      if (list === 'courses') {
        const course = checkShape(studioCourse, value);
        assertStudioCourse(course, context);
        writer.course(course);
      } else if (isOurs) story(value);
    },
    onBytes: share(0.4, isOurs ? 1 : 0.7),
  });
  if (!isOurs) {
    readPieces(source, {
      onItem: (list, _index, value) => list === 'people' && story(value),
      onBytes: share(0.7, 1),
    });
  }
  return writer.counts;
}

/**
 * Reads a file of a whole studio. Looking writes everything and takes it back, so that what is
 * shown is exactly what would happen.
 *
 * @param input the file, or its text
 * @param isFinal false: only a look
 * @param onProgress share of the work that is done, 0 to 1
 */
export function takeStudioFile(
  input: string | ByteSource,
  isFinal: boolean,
  onProgress: Progress = () => undefined,
): Outcome<StudioCounts> {
  const source = typeof input === 'string' ? textSource(input) : input;
  let counts: StudioCounts | null = null;
  try {
    database().transaction((tx) => {
      const before = listJpegIds(tx);
      counts = writeAll(tx, source, onProgress);
      if (!isFinal) throw new OnlyLooked();
      noteInDiary(tx, 'imported');
      setBadRowsAside(tx, nowMs());
      // A file may say more of somebody who is here: pictures go with a consent, or an age.
      const after = new Set(listJpegIds(tx));
      if (before.some((id) => !after.has(id))) noteErasing(tx);
      judgeAllInRunningClasses(tx);
    });
  } catch (error) {
    if (!(error instanceof OnlyLooked)) {
      return refuse({ form: `${explain(source, error)} Nothing was stored.` });
    }
  }
  if (isFinal) {
    forgetJudged();
    finishErasing();
  }
  return done(counts!);
}
