/** The core from the command line: one JSON value in, one out (handbook 11). */
import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { runCommand } from '@/core/commands/commands';

const standardInput = 0;
const badInput = 2;

const command = process.argv[2] ?? '';
// The solver takes a moment to load; only one command asks for it.
const tools = command === 'compose' ? { highs: await loadHighs() } : {};
const result = runCommand(command, readFileSync(standardInput, 'utf8'), tools);
if (result.ok) {
  process.stdout.write(`${JSON.stringify(result.output)}\n`);
} else {
  process.stderr.write(`${JSON.stringify({ error: result.error })}\n`);
  process.exitCode = badInput;
}
