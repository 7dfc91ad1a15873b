import { exact } from '../exact';
import type { Highs } from 'highs';
import type { z } from 'zod';
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
} from '../files/bodySchemas';
import { runLoads, runSetup, runSpacer, runStack } from './bodyCommands';
import { assertRecordable } from '../files/recordable';
import { readinessInput, readinessOutput } from '../files/schemas';
import { composeInput } from '../files/classFile';
import { calibrationInput, calibrationOutput, runCalibration } from './calibrationCommand';
import { runCompose } from './composeCommand';
import { assertVersion, checkShape, parseJson } from '../files/parse';
import { composeOutput } from '../files/planFile';
import { clipInput, clipOutput, plumbInput, plumbOutput } from '../plumb/schemas';
import { runClip, runPlumb } from './plumbCommands';
import { runVerdict, verdictInput, verdictOutput } from './verdictCommand';

/** What only some commands need, and what takes a moment to load. */
export interface Tools {
  readonly highs?: Highs;
}

interface Command<In extends z.ZodType> {
  readonly input: In;
  readonly output: z.ZodType;
  /** @throws InputProblem for input that the schema alone cannot refuse */
  readonly run: (input: z.infer<In>, tools: Tools) => unknown;
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
      input.records.forEach(({ value }, index) => {
        assertRecordable(input.check, value, ['records', index, 'value']);
      });
      return assess(exact(input));
    },
  }),
  compose: command({
    input: composeInput,
    output: composeOutput,
    run: (input, { highs }) => {
      if (highs === undefined) throw new Error('compose needs the solver');
      return runCompose(input, highs);
    },
  }),
  verdict: command({ input: verdictInput, output: verdictOutput, run: runVerdict }),
  plumb: command({ input: plumbInput, output: plumbOutput, run: runPlumb }),
  clip: command({ input: clipInput, output: clipOutput, run: runClip }),
  calibration: command({
    input: calibrationInput,
    output: calibrationOutput,
    run: runCalibration,
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
export function runCommand(name: string, text: string, tools: Tools = {}): CommandResult {
  try {
    return { ok: true, output: runOrThrow(name, text, tools) };
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return {
      ok: false,
      error: { code: error.code, message: error.message, path: [...error.path] },
    };
  }
}

function runOrThrow(name: string, text: string, tools: Tools): unknown {
  if (!Object.hasOwn(commands, name)) {
    const known = Object.keys(commands).join(', ');
    throw new InputProblem('unknown-command', `There is no command "${name}". Known: ${known}.`);
  }
  const spec: Command<z.ZodType> = commands[name as CommandName] as Command<z.ZodType>;
  const value = parseJson(text);
  if (name === 'compose') assertVersion(value, 'levitar-class', 1);
  return spec.run(checkShape(spec.input, value), tools);
}
