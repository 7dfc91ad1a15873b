/**
 * npm run demo [-- --port 3000 --reset --network]: everything from nothing to the address in the
 * browser. With --network a second, guarded door on HTTPS lets tablets of the studio in.
 */
import { existsSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { parseArgs } from 'node:util';
import { ensureBuild, ensurePackages, root, say, seed } from './setup.mjs';
import { prepareDoor } from './network.mjs';
import { isPortFree, startServer, waitUntilUp } from './server.mjs';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PORT ?? '3000' },
    network: { type: 'boolean', default: false },
    'network-port': { type: 'string' },
    reset: { type: 'boolean', default: false },
  },
});
const port = Number(values.port);
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`"${values.port}" is not a port.`);
  process.exit(1);
}
// This machine alone; other devices come through the network door or not at all.
const host = '127.0.0.1';
const doorPort = Number(values['network-port'] ?? port + 443);
if (values.network && !(await isPortFree(doorPort, '0.0.0.0'))) {
  console.error(`Port ${doorPort} is taken. Choose another: --network-port ${doorPort + 1}`);
  process.exit(1);
}
if (!(await isPortFree(port, host))) {
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

const door = values.network ? await prepareDoor({ folder, port: doorPort }) : null;
const child = startServer({
  port,
  host,
  env: { LEVITAR_DATA: folder, ...door?.env },
});
child.once('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
await waitUntilUp(`http://${host}:${port}`);
console.log(`\n  Levitar is ready: http://localhost:${port}`);
if (door !== null) {
  await door.open(port);
  console.log(`  For tablets on the studio's network: ${door.urls.join(' or ')}`);
  console.log(`  Let them in under http://localhost:${port}/devices`);
}
console.log('  Stop it with Ctrl+C.\n');
