/** Starts and stops the built application; a server that dies is started again. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { root, seed } from './setup.mjs';

/** Resolves to whether nobody listens on the port yet. */
export function isPortFree(port, host) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });
}

const restartRule = { most: 5, withinMs: 60_000 };

/**
 * The built server in a process of its own. Should it die without being told to, it is started
 * again, a few times a minute at most; it never outlives this process.
 *
 * @returns once it answers: its ways to end, a promise of its end, and a way to another folder
 * @throws Error with words when it cannot be started
 */
export async function startServer({ port, host, env = {}, door = null, stdio = 'inherit' }) {
  let child;
  let isStopping = false;
  let settle;
  const ended = new Promise((resolve) => (settle = resolve));
  const deaths = [];
  const begin = () =>
    new Promise((resolve, reject) => {
      child = spawn(process.execPath, [path.join(root, 'scripts', 'serve.mjs')], {
        cwd: root,
        stdio: ['ignore', stdio, stdio, 'ipc'],
        env: {
          ...process.env,
          NODE_ENV: 'production',
          NEXT_TELEMETRY_DISABLED: '1',
          PORT: String(port),
          ...env,
          LEVITAR_SERVE: JSON.stringify({ port, host, door }),
        },
      });
      let isReady = false;
      child.on('message', (message) => {
        if (message.kind === 'ready') {
          isReady = true;
          resolve();
        }
        if (message.kind === 'failed') reject(new Error(message.words));
      });
      child.once('exit', (code) => {
        if (!isReady) reject(new Error('The server ended before it answered.'));
        else void after(code);
      });
    });
  const after = async (code) => {
    if (isStopping) return settle(code ?? 0);
    const now = Date.now();
    deaths.push(now);
    if (deaths.filter((at) => now - at < restartRule.withinMs).length > restartRule.most) {
      console.error('The server died again and again. It is left alone now; see above.');
      return settle(1);
    }
    console.error('The server died and is started again.');
    try {
      await begin();
    } catch {
      settle(1);
    }
  };
  await begin();
  return {
    ended,
    pid: () => child.pid,
    kill: () => child.kill('SIGKILL'),
    /** Resolves once it serves the studio in that folder, and has let go of the one before. */
    goOnWith: async (folder) => {
      const begun = once(child, 'message');
      // Should it die, the next one goes on there as well.
      env = { ...env, LEVITAR_DATA: folder };
      child.send({ kind: 'go on with', folder });
      await begun;
    },
    stop: async () => {
      isStopping = true;
      if (child.exitCode === null && child.connected) child.send({ kind: 'stop' });
      await ended;
    },
  };
}

/** A folder with the demo course, to be copied for whoever wants one that is fresh. */
export async function makeTemplate() {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-template-'));
  if (!seed({ LEVITAR_DATA: folder })) throw new Error('The demo course could not be made.');
  // One certificate for all of them.
  await (await import('./network.mjs')).prepareDoor({ folder, port: 0, host: '127.0.0.1' });
  return folder;
}

/** A folder for somebody to write in, like the template; without one, with the demo course made anew. */
function makeFolder(template, isEmpty = false) {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-'));
  if (isEmpty) return folder;
  if (template !== undefined) cpSync(template, folder, { recursive: true });
  else if (!seed({ LEVITAR_DATA: folder })) {
    throw new Error('The throw-away database could not be made.');
  }
  return folder;
}

const remove = (folder) => rmSync(folder, { recursive: true, force: true });

/**
 * The built application on a throw-away database with the demo course; `doorPort` for network mode.
 *
 * @param template a folder to copy; absent: the demo course is made anew
 */
export async function startThrowaway(port, { doorPort, template } = {}) {
  let folder = makeFolder(template);
  const host = '127.0.0.1';
  const prepared =
    doorPort === undefined
      ? null
      : await (await import('./network.mjs')).prepareDoor({ folder, port: doorPort, host });
  const server = await startServer({
    port,
    host,
    env: { LEVITAR_DATA: folder, ...prepared?.env },
    door: prepared?.door ?? null,
    stdio: 'ignore',
  });
  return {
    url: `http://${host}:${port}`,
    doorUrl: prepared?.urls[0],
    get folder() {
      return folder;
    },
    server,
    /** A database as nobody has written in it, for the same server; an empty one where that is wanted. */
    renew: async (isEmpty = false) => {
      const before = folder;
      folder = makeFolder(template, isEmpty);
      await server.goOnWith(folder);
      remove(before);
    },
    stop: async () => {
      await server.stop();
      remove(folder);
    },
  };
}
