import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { APIRequestContext, Page } from '@playwright/test';

const nextBin = path.join('node_modules', 'next', 'dist', 'bin', 'next');

/** A server with a database of its own, for tests that kill it, fill it or want it empty. */
export interface OwnServer {
  readonly address: string;
  /** Answers again, or a good while has passed. */
  wake(): Promise<void>;
  /** SIGKILL, and another one on the same files. */
  killAndRestart(): Promise<void>;
  stop(): void;
}

export async function startOwnServer(
  request: APIRequestContext,
  { port, isSeeded }: { readonly port: number; readonly isSeeded: boolean },
): Promise<OwnServer> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-own-'));
  const address = `http://127.0.0.1:${port}`;
  const env = { ...process.env, NODE_ENV: 'production' as const, LEVITAR_DATA: folder };
  const ended = (child: ChildProcess) => new Promise((resolve) => child.once('exit', resolve));
  if (isSeeded) {
    await ended(spawn('node_modules/.bin/tsx', ['scripts/seed.ts'], { env, stdio: 'ignore' }));
  }
  const start = () =>
    spawn(process.execPath, [nextBin, 'start', '-H', '127.0.0.1', '-p', String(port)], {
      stdio: 'ignore',
      env,
    });
  let server = start();
  const isUp = () =>
    request
      .get(`${address}/floor`, { timeout: 2000 })
      .then((response) => response.ok())
      .catch(() => false);
  const own: OwnServer = {
    address,
    wake: async () => {
      for (let tries = 0; tries < 100 && !(await isUp()); tries += 1) {
        await new Promise((resolve) => setTimeout(resolve, 200));
      }
    },
    killAndRestart: async () => {
      const dead = ended(server);
      server.kill('SIGKILL');
      await dead;
      server = start();
    },
    stop: () => {
      server.kill('SIGKILL');
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
