/** The core from the command line: one JSON value in, one out (handbook 11). */
import { readFileSync } from 'node:fs';
import { runCommand } from '@/core/cli/commands';

const standardInput = 0;
const badInput = 2;

const result = runCommand(process.argv[2] ?? '', readFileSync(standardInput, 'utf8'));
if (result.ok) {
  process.stdout.write(`${JSON.stringify(result.output)}\n`);
} else {
  process.stderr.write(`${JSON.stringify({ error: result.error })}\n`);
  process.exitCode = badInput;
}
