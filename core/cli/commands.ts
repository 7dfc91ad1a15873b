import type { z } from 'zod';
import { getCheck } from '../catalog/checks';
import { InputProblem, type ProblemCode } from '../problem';
import { assess } from '../readiness/assess';
import {
  loadsInput,
  loadsOutput,
  setupInput,
  setupOutput,
  spacerInput,
  spacerOutput,
  stackInput,
  stackOutput,
} from './bodySchemas';
import { runLoads, runSetup, runSpacer, runStack } from './bodyCommands';
import { readinessInput, readinessOutput } from './schemas';

/** Longer lists of allowed words are not repeated in a message. */
const mostNamed = 8;

interface Command<In extends z.ZodType> {
  readonly input: In;
  readonly output: z.ZodType;
  /** @throws InputProblem for input that the schema alone cannot refuse */
  readonly run: (input: z.infer<In>) => unknown;
}

const command = <In extends z.ZodType>(spec: Command<In>): Command<In> => spec;

/** The commands of handbook 11; each with the schemas that docs/formats is generated from. */
export const commands = {
  loads: command({ input: loadsInput, output: loadsOutput, run: runLoads }),
  setup: command({ input: setupInput, output: setupOutput, run: runSetup }),
  stack: command({ input: stackInput, output: stackOutput, run: runStack }),
  spacer: command({ input: spacerInput, output: spacerOutput, run: runSpacer }),
  readiness: command({
    input: readinessInput,
    output: readinessOutput,
    run: (input) => {
      const { most, scoring } = getCheck(input.check);
      input.records.forEach(({ value }, index) => {
        const path = ['records', index, 'value'];
        if (value > most) {
          throw new InputProblem('out-of-range', `A value over ${most} cannot be.`, path);
        }
        const isPassFail = ['pass', 'pass-of-last', 'same-day'].includes(scoring.kind);
        if (isPassFail && value !== 0 && value !== 1) {
          throw new InputProblem('invalid', 'Passed or not: 1 or 0.', path);
        }
      });
      return assess(input);
    },
  }),
} as const;

export type CommandName = keyof typeof commands;

export type CommandResult =
  | { readonly ok: true; readonly output: unknown }
  | { readonly ok: false; readonly error: CommandError };

export interface CommandError {
  readonly code: ProblemCode;
  readonly message: string;
  readonly path: readonly (string | number)[];
}

/** Runs one command on the text of its input. Every mistake in the input comes back as a value. */
export function runCommand(name: string, text: string): CommandResult {
  try {
    return { ok: true, output: runOrThrow(name, text) };
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return {
      ok: false,
      error: { code: error.code, message: error.message, path: [...error.path] },
    };
  }
}

function runOrThrow(name: string, text: string): unknown {
  if (!Object.hasOwn(commands, name)) {
    const known = Object.keys(commands).join(', ');
    throw new InputProblem('unknown-command', `There is no command "${name}". Known: ${known}.`);
  }
  const spec: Command<z.ZodType> = commands[name as CommandName] as Command<z.ZodType>;
  const parsed = spec.input.safeParse(parseJson(text));
  if (!parsed.success) {
    // A field that does not exist is often why another is missing: it is named first.
    const { issues } = parsed.error;
    throw toProblem(issues.find(({ code }) => code === 'unrecognized_keys') ?? issues[0]);
  }
  return spec.run(parsed.data);
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new InputProblem('not-json', 'The input is not one JSON value.');
  }
}

function toProblem(issue: z.core.$ZodIssue): InputProblem {
  const path = issue.path.map((part) => (typeof part === 'symbol' ? String(part) : part));
  if (issue.code === 'unrecognized_keys') {
    const [key] = issue.keys;
    return new InputProblem('unknown-field', `There is no field "${key}" here.`, [...path, key]);
  }
  const isRange = issue.code === 'too_big' || issue.code === 'too_small';
  if (issue.code === 'invalid_value' && issue.values.length > mostNamed) {
    return new InputProblem('invalid', `${path.join('.')}: this name is not known here.`, path);
  }
  const where = path.length === 0 ? 'The input' : path.join('.');
  return new InputProblem(isRange ? 'out-of-range' : 'invalid', `${where}: ${issue.message}`, path);
}
