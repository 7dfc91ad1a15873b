/** Starts and stops the built application. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { nextBin, root, seed } from './setup.mjs';

/** Resolves to whether nobody listens on the port yet. */
export function isPortFree(port, host) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });
}

/** @returns the child process of the built server */
export function startServer({ port, host, env = {}, stdio = 'inherit' }) {
  return spawn(process.execPath, [nextBin, 'start', '-H', host, '-p', String(port)], {
    cwd: root,
    stdio: ['ignore', stdio, stdio],
    env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
}

export async function waitUntilUp(url, timeoutMs = 30_000) {
  const end = Date.now() + timeoutMs;
  while (Date.now() < end) {
    try {
      await fetch(url);
      return;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 150));
    }
  }
  throw new Error(`The server did not answer within ${timeoutMs / 1000} s.`);
}

/** The built application on a throw-away database with the demo course; `doorPort` for network mode. */
export async function startThrowaway(port, { doorPort } = {}) {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-'));
  const env = { LEVITAR_DATA: folder };
  if (!seed(env)) throw new Error('The throw-away database could not be made.');
  const loopback = '127.0.0.1';
  const door =
    doorPort === undefined
      ? null
      : await (
          await import('./network.mjs')
        ).prepareDoor({ folder, port: doorPort, host: loopback });
  const child = startServer({
    port,
    host: loopback,
    env: { ...env, ...door?.env },
    stdio: 'ignore',
  });
  const url = `http://127.0.0.1:${port}`;
  await waitUntilUp(url);
  const opened = door === null ? null : await door.open(port);
  return {
    url,
    doorUrl: door?.urls[0],
    folder,
    stop: async () => {
      opened?.closeAllConnections();
      opened?.close();
      const ended = new Promise((resolve) => child.once('exit', resolve));
      child.kill();
      await ended;
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
