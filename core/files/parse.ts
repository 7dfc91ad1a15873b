/** Reading what somebody hands in: JSON, its version, its shape; every mistake by name. */
import type { z } from 'zod';
import { InputProblem } from '../problem';

/** Longer lists of allowed words are not repeated in a message. */
const mostNamed = 8;

/** @throws InputProblem `not-json` */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new InputProblem('not-json', 'The input is not one JSON value.');
  }
}

/** A file from a program newer than this one is refused by its number, before anything else. */
export function assertVersion(file: unknown, format: string, newest: number): void {
  if (typeof file !== 'object' || file === null) return;
  const { format: own, version } = file as { format?: unknown; version?: unknown };
  if (own !== undefined && own !== format) {
    throw new InputProblem(
      'invalid',
      `This is a ${String(own).slice(0, 40)} file, not ${format}.`,
      ['format'],
    );
  }
  if (typeof version === 'number' && version > newest) {
    throw new InputProblem(
      'newer-version',
      `This file is version ${version}; this program reads up to ${newest}. Use a newer program.`,
      ['version'],
    );
  }
}

/** @throws InputProblem for the first thing that does not fit, with its path */
export function checkShape<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  // A field that does not exist is often why another is missing: it is named first.
  const { issues } = parsed.error;
  throw toProblem(issues.find(({ code }) => code === 'unrecognized_keys') ?? issues[0]!);
}

function toProblem(issue: z.core.$ZodIssue): InputProblem {
  const path = issue.path.map((part) => (typeof part === 'symbol' ? String(part) : part));
  if (issue.code === 'unrecognized_keys') {
    const [key] = issue.keys;
    return new InputProblem('unknown-field', `There is no field "${key}" here.`, [...path, key!]);
  }
  const isRange = issue.code === 'too_big' || issue.code === 'too_small';
  if (issue.code === 'invalid_value' && issue.values.length > mostNamed) {
    return new InputProblem('invalid', `${path.join('.')}: this name is not known here.`, path);
  }
  const where = path.length === 0 ? 'The input' : path.join('.');
  return new InputProblem(isRange ? 'out-of-range' : 'invalid', `${where}: ${issue.message}`, path);
}
