/** What a studio has comes back: the copy on an empty folder, and a file of any size. */
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { StudioFile } from '@/core/files/studioFile';
import { startOwnServer } from '../ownServer';
import { findDifference, readEverything } from './pages';
import { expect, test } from '../support';

const command = (script: string, ...rest: string[]) =>
  new Promise<string>((resolve, reject) => {
    const child = spawn(process.execPath, [path.join('scripts', script), ...rest]);
    let said = '';
    for (const stream of [child.stdout, child.stderr]) {
      stream.on('data', (piece: Buffer) => (said += piece.toString()));
    }
    child.once('exit', (code) => (code === 0 ? resolve(said) : reject(new Error(said))));
  });

test('the drill: a copy on an empty folder shows every page as it was', async ({
  request,
  browser,
}) => {
  test.setTimeout(600_000);
  const server = await startOwnServer(request, { port: 3235, isSeeded: true });
  const page = await browser.newPage();
  try {
    // Something of today as well: a class with taps.
    await page.goto(`${server.address}/floor`);
    await page.getByRole('button', { name: 'Begin the class' }).first().click();
    await page.waitForURL(/\/floor\/[0-9a-f-]{36}$/);
    const taps = `${page.url()}/taps`;
    const acts = [3, 4, 5].map((index, at) => ({
      device: 'drill',
      seq: at + 1,
      at: { boot: 'b', monoMs: at * 1000, wallMs: 1e12 + at * 1000 },
      act: { kind: 'segment', index, roundsDone: 0 },
    }));
    await page.goto(`${server.address}/settings`);
    await request.post(taps, {
      data: { device: 'drill', after: 0, taps: acts },
      headers: { origin: server.address },
    });
    await page.getByRole('button', { name: 'Copy now' }).click();
    await expect(page.getByText('Copied and checked.')).toBeVisible();
    const before = await readEverything(request, server);
    expect(before.size).toBeGreaterThan(60);

    const copies = path.join(server.folder, 'copies');
    const newest = readdirSync(copies)
      .filter((name) => name.endsWith('.sqlite'))
      .sort()
      .at(-1)!;
    const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-drill-'));
    const said = await command('restore.mjs', path.join(copies, newest), '--data', folder);
    expect(said).toContain('Taken back into');
    const other = await startOwnServer(request, { port: 3236, isSeeded: false, folder });
    try {
      const after = await readEverything(request, other);
      expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
      // Copies, the diary and the version of the file are this folder's own.
      const own = ['/settings', '/settings/diary'];
      const differing = [...before].flatMap(([at, text]) => {
        const found = own.includes(at) ? null : findDifference(text, after.get(at)!);
        return found === null ? [] : [`${at}: ${found}`];
      });
      expect(differing).toEqual([]);
    } finally {
      await other.stop();
    }
  } finally {
    await page.close();
    await server.stop();
  }
});

const pieceBytes = 3_000_000;

const wantedBytes = 21_000_000;

test('a file of many megabytes comes in piece by piece while a class goes on', async ({
  request,
}) => {
  test.setTimeout(600_000);
  const server = await startOwnServer(request, { port: 3237, isSeeded: true });
  try {
    const headers = { origin: server.address };
    const small = (await (
      await request.get(`${server.address}/settings/studio`)
    ).json()) as StudioFile;
    const some = small.people.filter(({ records }) => records.length > 20);
    const people: StudioFile['people'] = [];
    // Laid out wide, as somebody's editor may have saved it: what counts here is its length.
    const wide = (value: unknown) => JSON.stringify(value, null, 8);
    let bytes = 0;
    while (bytes < wantedBytes) {
      const one = some[people.length % some.length]!;
      people.push({ ...one, uid: randomUUID(), name: `Guest ${people.length + 1}` });
      bytes += wide(one).length;
    }
    const body = Buffer.from(wide({ ...small, people }));
    expect(body.length).toBeGreaterThan(0.95 * wantedBytes);

    const id = randomUUID();
    for (let at = 0; at < body.length; at += pieceBytes) {
      const answer = await request.post(`${server.address}/settings/upload?id=${id}&at=${at}`, {
        data: body.subarray(at, at + pieceBytes),
        headers: { ...headers, 'content-type': 'application/octet-stream' },
      });
      expect(answer.status()).toBe(200);
    }
    const take = (isFinal: boolean) =>
      request.post(
        `${server.address}/settings/import?id=${id}&kind=studio${isFinal ? '&final=yes' : ''}`,
        { headers, timeout: 400_000 },
      );
    const linesOf = async (answer: Awaited<ReturnType<typeof take>>) =>
      (await answer.text())
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as object);
    const looked = await linesOf(await take(false));
    expect(looked.at(-1)).toMatchObject({
      outcome: { ok: true, value: { peopleNew: people.length } },
    });

    let isOver = false;
    const taking = take(true).finally(() => (isOver = true));
    let answered = 0;
    while (!isOver) {
      expect((await request.get(`${server.address}/floor`)).status()).toBe(200);
      answered += 1;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    const lines = await linesOf(await taking);
    expect(lines.at(-1)).toMatchObject({
      outcome: { ok: true, value: { peopleNew: people.length } },
    });
    expect(lines.length).toBeGreaterThan(5);
    expect(answered).toBeGreaterThan(3);
    const whole = (await (
      await request.get(`${server.address}/settings/studio`)
    ).json()) as StudioFile;
    expect(whole.people).toHaveLength(small.people.length + people.length);
    const records = (file: StudioFile['people']) =>
      file.reduce((sum, one) => sum + one.records.length, 0);
    expect(records(whole.people)).toBe(records(small.people) + records(people));
  } finally {
    await server.stop();
  }
});
