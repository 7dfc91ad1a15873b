/** Everything out as one file, streamed; in again with a look first, all or nothing. */
import {
  findNodeAtLocation,
  parse,
  parseTree,
  printParseErrorCode,
  type ParseError,
} from 'jsonc-parser';
import { assertVersion, checkShape } from '@/core/cli/parse';
import { studioFile, type StudioFile } from '@/core/cli/studioFile';
import { InputProblem, type ProblemPath } from '@/core/problem';
import { readStudioHead, readStudioPeople } from '@/db/studioRead';
import { writeStudio, type StudioCounts } from '@/db/studioWrite';
import { today } from './clock';
import { database } from './database';
import { judgeAllInRunningClasses } from './floorJudge';
import { done, refuse, type Outcome } from './result';
import { forgetStandings } from './standings';

export type { StudioCounts };

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

function readStudioFile(text: string): StudioFile {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    const errors: ParseError[] = [];
    parse(text, errors);
    const [first] = errors;
    const where = first === undefined ? '' : ` on line ${lineAt(text, first.offset)}`;
    const what = first === undefined ? '' : ` (${printParseErrorCode(first.error)})`;
    throw new InputProblem('not-json', `The file breaks off or is no JSON${where}${what}.`);
  }
  try {
    assertVersion(value, 'levitar-studio', 1);
    return checkShape(studioFile, value);
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    const line = findLine(text, error.path);
    throw line === null
      ? error
      : new InputProblem(error.code, `Line ${line}: ${error.message}`, error.path);
  }
}

class OnlyLooked extends Error {}

/**
 * Reads a file of a whole studio. Looking writes everything and takes it back, so that what is
 * shown is exactly what would happen.
 *
 * @param isFinal false: only a look
 */
export function takeStudioFile(text: string, isFinal: boolean): Outcome<StudioCounts> {
  let file: StudioFile;
  try {
    file = readStudioFile(text);
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return refuse({ form: `${error.message} Nothing was stored.` });
  }
  let counts: StudioCounts | null = null;
  try {
    database().transaction((tx) => {
      counts = writeStudio(tx, file);
      if (!isFinal) throw new OnlyLooked();
      judgeAllInRunningClasses(tx);
    });
  } catch (error) {
    if (!(error instanceof OnlyLooked)) throw error;
  }
  if (isFinal) forgetStandings();
  return done(counts!);
}
