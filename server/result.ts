import type { z } from 'zod';

/** A sentence by the field it belongs to; `form` for the form as a whole. */
export type Problems = Readonly<Record<string, string>>;

/** What a form gets back: done, or a sentence by each field. */
export type Outcome<T = undefined> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      readonly problems: Problems;
      /** Somebody else saved meanwhile: what is stored now, for the next try. */
      readonly now?: unknown;
    };

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value });
export const refuse = (problems: Problems): Outcome<never> => ({ ok: false, problems });

/** All of it in a row, for a place without fields. */
export const sayProblems = (problems: Problems): string => Object.values(problems).join(' ');

/** Zod's findings as sentences by field; the first of each field counts. */
export function toProblems(error: z.ZodError): Problems {
  const problems: Record<string, string> = {};
  for (const issue of error.issues) {
    const field = issue.path.length === 0 ? 'form' : issue.path.join('.');
    problems[field] ??= issue.message;
  }
  return problems;
}
