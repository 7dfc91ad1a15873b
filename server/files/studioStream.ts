/** A file of a studio, of any size, read piece by piece: only one person or course in memory. */
import { closeSync, openSync, readSync } from 'node:fs';
import {
  Tokenizer,
  TokenizerError,
  TokenParser,
  TokenParserError,
  TokenType,
} from '@streamparser/json';
import { InputProblem } from '@/core/problem';

/** Where the bytes come from; may be asked for again. */
export interface ByteSource {
  readonly bytes: number;
  readonly open: () => Iterable<Uint8Array>;
}

const pieceBytes = 1 << 18;

export function fileSource(file: string, bytes: number): ByteSource {
  return {
    bytes,
    *open() {
      const handle = openSync(file, 'r');
      try {
        for (;;) {
          const piece = Buffer.alloc(pieceBytes);
          const count = readSync(handle, piece);
          if (count === 0) return;
          yield piece.subarray(0, count);
        }
      } finally {
        closeSync(handle);
      }
    },
  };
}

export function textSource(text: string): ByteSource {
  const all = Buffer.from(text);
  return { bytes: all.length, open: () => [all] };
}

const lists = ['people', 'courses'] as const;
const plain = [
  'format',
  'version',
  'exportedOn',
  'settings',
  'profiles',
  'entries',
  'ownPieces',
] as const;

export type ListName = (typeof lists)[number];
export type Head = Readonly<Record<string, unknown>>;

/** What went wrong, and after which byte. */
export class BrokenOff extends InputProblem {
  constructor(readonly offset: number) {
    super('not-json', 'The file breaks off or is no JSON.');
  }
}

/** A problem of one piece, and where the piece begins. */
export class PieceProblem extends Error {
  constructor(
    readonly problem: InputProblem,
    readonly offset: number,
  ) {
    super(problem.message);
  }
}

interface Reading {
  /** Called with everything that is no list, as soon as it is complete; true: that is enough. */
  readonly onHead?: (head: Head) => boolean;
  readonly onItem?: (list: ListName, index: number, value: unknown) => void;
  /** How many bytes are behind. */
  readonly onBytes?: (count: number) => void;
}

const isList = (name: unknown): name is ListName => lists.some((one) => one === name);

/**
 * Reads a source once, from its beginning.
 *
 * @returns the order in which its fields came
 * @throws BrokenOff for what is no JSON, InputProblem for a field that a studio file does not have,
 *   PieceProblem for what `onItem` throws
 */
export function readPieces(
  source: ByteSource,
  { onHead, onItem, onBytes }: Reading,
): readonly string[] {
  const head: Record<string, unknown> = {};
  const order: string[] = [];
  let depth = 0;
  let isTopKey = false;
  let offset = 0;
  let began = 0;
  let failure: Error | null = null;
  let isOver = false;
  let isEnough = false;
  const fail = (error: Error) => {
    failure ??= error;
  };
  const tellHead = () => {
    if (onHead?.(head) === true) isEnough = true;
  };
  const tokenizer = new Tokenizer();
  const parser = new TokenParser({
    paths: [...plain.map((name) => `$.${name}`), ...lists.map((name) => `$.${name}.*`)],
    keepStack: false,
  });
  parser.onValue = ({ value, key, stack }) => {
    if (failure !== null || isEnough) return;
    const list = stack[1]?.key;
    if (stack.length === 1) head[String(key)] = value;
    else if (isList(list)) {
      try {
        onItem?.(list, Number(key), value);
      } catch (error) {
        if (!(error instanceof InputProblem)) throw error;
        const path = [list, Number(key), ...error.path];
        const problem = new InputProblem(error.code, error.message, path);
        fail(new PieceProblem(problem, began));
      }
    }
  };
  tokenizer.onToken = (token) => {
    if (failure !== null || isEnough) return;
    offset = token.offset;
    const opens = token.token === TokenType.LEFT_BRACE || token.token === TokenType.LEFT_BRACKET;
    if (depth === 1 && isTopKey && token.token === TokenType.STRING) {
      const name = String(token.value);
      isTopKey = false;
      if (!isList(name) && !plain.some((one) => one === name)) {
        return fail(new InputProblem('unknown-field', `There is no field "${name}" here.`, [name]));
      }
      // In a file of ours everything else stands before the lists.
      if (isList(name) && plain.every((one) => order.includes(one))) tellHead();
      order.push(name);
    } else if (depth === 1 && token.token === TokenType.COMMA) isTopKey = true;
    if (opens) {
      depth += 1;
      if (depth === 1) isTopKey = token.token === TokenType.LEFT_BRACE;
      if (depth === 3) began = offset;
    } else if (token.token === TokenType.RIGHT_BRACE || token.token === TokenType.RIGHT_BRACKET) {
      depth -= 1;
      if (depth === 0) isOver = true;
    }
    if (!isEnough) parser.write(token);
  };
  const broken = () => fail(new BrokenOff(offset));
  tokenizer.onError = broken;
  parser.onError = broken;
  // Ends are told by what stands open, and by what nobody said.
  tokenizer.onEnd = () => undefined;
  parser.onEnd = () => undefined;
  let behind = 0;
  for (const piece of source.open()) {
    try {
      tokenizer.write(piece);
    } catch (error) {
      if (
        failure === null &&
        !(error instanceof TokenizerError) &&
        !(error instanceof TokenParserError)
      ) {
        throw error;
      }
      broken();
    }
    // The compiler does not see what the callbacks have set.
    const found = failure as Error | null;
    if (found !== null) throw found;
    if (isEnough) return order;
    behind += piece.length;
    onBytes?.(behind);
  }
  if (!isOver) throw new BrokenOff(behind);
  tellHead();
  return order;
}

/** Which line a byte of a source stands on, from 1. */
export function lineOf(source: ByteSource, offset: number): number {
  let line = 1;
  let behind = 0;
  for (const piece of source.open()) {
    const end = Math.min(piece.length, offset - behind);
    for (let index = 0; index < end; index += 1) if (piece[index] === 10) line += 1;
    behind += piece.length;
    if (behind >= offset) break;
  }
  return line;
}
