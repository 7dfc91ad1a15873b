import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { APIRequestContext, Page } from '@playwright/test';

/** A server with a database of its own, for tests that kill it, fill it or want it empty. */
export interface OwnServer {
  readonly address: string;
  /** Of the network door, where it was asked for. */
  readonly door: string;
  readonly folder: string;
  readonly pid: () => number;
  /** Answers again, or a good while has passed. */
  wake(): Promise<void>;
  /** SIGKILL, and another one on the same files. */
  killAndRestart(): Promise<void>;
  /** Stopped as by a teacher, and started again after something was done to the files. */
  restartAfter(work: () => void | Promise<void>): Promise<void>;
  stop(): Promise<void>;
}

interface Wanted {
  readonly port: number;
  readonly isSeeded: boolean;
  readonly doorPort?: number;
  readonly folder?: string;
  /** Other limits than the usual ones for who was not let in. */
  readonly limits?: { readonly perAddress: number; readonly perDoor: number };
}

export async function startOwnServer(
  request: APIRequestContext,
  {
    port,
    isSeeded,
    doorPort,
    folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-own-')),
    limits,
  }: Wanted,
): Promise<OwnServer> {
  const scripts = path.resolve('scripts');
  const { startServer } = (await import(path.join(scripts, 'server.mjs'))) as {
    startServer: (
      options: object,
    ) => Promise<{ pid: () => number; kill: () => void; stop: () => Promise<void> }>;
  };
  const { prepareDoor } = (await import(path.join(scripts, 'network.mjs'))) as {
    prepareDoor: (options: object) => Promise<{ urls: string[]; env: object; door: object }>;
  };
  const host = '127.0.0.1';
  const address = `http://${host}:${port}`;
  const env = { LEVITAR_DATA: folder };
  const template = process.env.LEVITAR_TEMPLATE;
  if (isSeeded && template !== undefined) cpSync(template, folder, { recursive: true });
  else if (isSeeded) {
    const child = spawn('node_modules/.bin/tsx', ['scripts/seed.ts'], {
      env: { ...process.env, ...env },
      stdio: 'ignore',
    });
    await new Promise((resolve) => child.once('exit', resolve));
  }
  const prepared =
    doorPort === undefined ? null : await prepareDoor({ folder, port: doorPort, host });
  const start = () =>
    startServer({
      port,
      host,
      env: { ...env, ...prepared?.env },
      door: prepared === null ? null : { ...prepared.door, ...(limits && { limits }) },
      stdio: 'ignore',
    });
  let server = await start();
  const isUp = () =>
    request
      .get(`${address}/floor`, { timeout: 2000 })
      // That its studio cannot be opened is an answer too.
      .then((response) => response.status() < 500 || response.status() === 503)
      .catch(() => false);
  const own: OwnServer = {
    address,
    door: prepared?.urls[0] ?? '',
    folder,
    pid: () => server.pid(),
    wake: async () => {
      for (let tries = 0; tries < 150 && !(await isUp()); tries += 1) {
        await new Promise((resolve) => setTimeout(resolve, 200));
      }
    },
    killAndRestart: async () => {
      // Whoever started it starts it again.
      server.kill();
      await new Promise((resolve) => setTimeout(resolve, 50));
    },
    restartAfter: async (work) => {
      await server.stop();
      await work();
      server = await start();
      await own.wake();
    },
    stop: async () => {
      await server.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
  await own.wake();
  return own;
}

/** Opens a file chooser by its button and hands it something. */
export async function chooseFile(
  page: Page,
  name: string,
  held: string | { name: string; mimeType: string; buffer: Buffer },
): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name }).click(),
  ]);
  await chooser.setFiles(held);
}
