/** What `npm run demo` and `npm start` have in common: from nothing to the address in the browser. */
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { parseArgs } from 'node:util';
import { prepareDoor } from './network.mjs';
import { isPortFree, startServer } from './server.mjs';
import { bin, ensureBuild, ensurePackages, root, run } from './setup.mjs';

function fail(words) {
  console.error(words);
  process.exit(1);
}

const portOf = (text, name) => {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    fail(`${name}: "${text}" is not a port.`);
  return port;
};

/** @param usual the folder where none is given */
export function readFlags(extra = {}) {
  const options = {
    port: { type: 'string', default: process.env.PORT ?? '3000' },
    data: { type: 'string', default: process.env.LEVITAR_DATA ?? path.join(root, 'levitar-data') },
    network: { type: 'boolean', default: process.env.LEVITAR_NETWORK === '1' },
    'network-port': { type: 'string' },
    open: { type: 'boolean', default: false },
    ...extra,
  };
  try {
    return parseArgs({ options }).values;
  } catch (error) {
    return fail(error instanceof Error ? error.message : 'These flags are not known.');
  }
}

/**
 * Serves a folder until somebody stops it.
 *
 * @param prepare what the folder needs before; false when it went wrong
 */
export async function launch({ values, command, prepare }) {
  const port = portOf(values.port, '--port');
  const doorPort = portOf(values['network-port'] ?? String(port + 443), '--network-port');
  const folder = path.resolve(values.data);
  // This machine alone; other devices come through the network door or not at all.
  const host = '127.0.0.1';
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
  } catch {
    fail(
      `The folder ${folder} cannot be made or used. Choose another: ${command} -- --data FOLDER`,
    );
  }
  ensurePackages();
  if (!(await isPortFree(port, host))) {
    fail(`Port ${port} is taken. Choose another: ${command} -- --port ${port + 1}`);
  }
  if (values.network && !(await isPortFree(doorPort, '0.0.0.0'))) {
    fail(`Port ${doorPort} is taken. Choose another: --network-port ${doorPort + 1}`);
  }
  if (!ensureBuild()) process.exit(1);
  if (!prepare(folder)) process.exit(1);
  const prepared = values.network ? await prepareDoor({ folder, port: doorPort }) : null;
  let server;
  try {
    server = await startServer({
      port,
      host,
      env: { LEVITAR_DATA: folder, ...prepared?.env },
      door: prepared?.door ?? null,
    });
  } catch {
    // The server has said why.
    process.exit(1);
  }
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => void server.stop());
  const url = `http://localhost:${port}`;
  console.log(`\n  Levitar is ready: ${url}`);
  console.log(`  The studio is kept in ${folder}`);
  if (prepared !== null) {
    console.log(`  For tablets on the studio's network: ${prepared.urls.join(' or ')}`);
    console.log(`  Let them in under ${url}/devices`);
  }
  console.log('  Stop it with Ctrl+C.\n');
  if (values.open) await showInBrowser(url);
  process.exit(await server.ended);
}

async function showInBrowser(url) {
  try {
    const { default: open } = await import('open');
    const shown = await open(url);
    shown.once('error', () => console.log(`  No browser could be opened; go to ${url}`));
  } catch {
    console.log(`  No browser could be opened; go to ${url}`);
  }
}

/** A command of the project in TypeScript, on a folder. */
export const runOn = (folder, script, ...args) =>
  run(bin('tsx'), [path.join('scripts', script), ...args], { LEVITAR_DATA: folder });
