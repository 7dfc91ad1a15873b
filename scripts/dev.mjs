/** npm run dev: the development server on the demo data. */
import { spawn } from 'node:child_process';
import process from 'node:process';
import { ensurePackages, nextBin, root, seed } from './setup.mjs';

ensurePackages();
if (!seed()) process.exit(1);
const child = spawn(
  process.execPath,
  [nextBin, 'dev', '-H', '127.0.0.1', '-p', process.env.PORT ?? '3000'],
  { cwd: root, stdio: 'inherit', env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' } },
);
child.once('exit', (code) => process.exit(code ?? 0));
