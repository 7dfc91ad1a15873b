/** The closed list of what can be wrong with something a person or a program hands in. */
export type ProblemCode =
  | 'not-json'
  | 'unknown-command'
  | 'unknown-field'
  | 'newer-version'
  | 'invalid'
  | 'out-of-range'
  | 'not-possible'
  | 'future-date'
  | 'unreachable';

/** Where in the input the problem lies, outermost field first. */
export type ProblemPath = readonly (string | number)[];

/**
 * A mistake in the input: a code for programs, a sentence for people, a path to the field.
 * Only the door (the command line, the server) turns it into an exit code or a form message.
 */
export class InputProblem extends Error {
  constructor(
    readonly code: ProblemCode,
    message: string,
    readonly path: ProblemPath = [],
  ) {
    super(message);
    this.name = 'InputProblem';
  }
}
