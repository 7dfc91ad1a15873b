/** npm run demo [-- --port 3000 --reset]: everything from nothing to the address in the browser. */
import { existsSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { parseArgs } from 'node:util';
import { ensureBuild, ensurePackages, root, say, seed } from './setup.mjs';
import { isPortFree, startServer, waitUntilUp } from './server.mjs';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PORT ?? '3000' },
    host: { type: 'string', default: process.env.LEVITAR_HOST ?? '127.0.0.1' },
    reset: { type: 'boolean', default: false },
  },
});
const port = Number(values.port);
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`"${values.port}" is not a port.`);
  process.exit(1);
}
if (!(await isPortFree(port, values.host))) {
  console.error(`Port ${port} is taken. Choose another: npm run demo -- --port ${port + 1}`);
  process.exit(1);
}

ensurePackages();
if (!ensureBuild()) process.exit(1);
const folder = process.env.LEVITAR_DATA ?? path.join(root, 'levitar-data');
const file = path.join(folder, 'levitar.sqlite');
if (values.reset && existsSync(file)) {
  for (const extra of ['-wal', '-shm']) rmSync(file + extra, { force: true });
  renameSync(file, path.join(folder, 'before-reset.sqlite'));
  say('Put the old data aside as before-reset.sqlite.');
}
if (!seed({ LEVITAR_DATA: folder })) process.exit(1);

const child = startServer({
  port,
  host: values.host,
  env: { LEVITAR_DATA: folder },
});
child.once('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
const shown = values.host === '127.0.0.1' ? 'localhost' : values.host;
await waitUntilUp(`http://${values.host}:${port}`);
console.log(`\n  Levitar is ready: http://${shown}:${port}\n  Stop it with Ctrl+C.\n`);
