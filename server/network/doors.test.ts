/**
 * Whatever is reached past the guard refuses by itself: actions, files, the header that says who asks.
 *
 * @alone Its actions are loaded while it runs, by then from among the modules of all.
 */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { askerHeader, atDesk, readAsker, writeAsker } from './asker';
import { withThrowawayStudio } from '@/features/testing/studio';
import { asAssistant, asTeacher } from './testingAsker';

let asked = new Headers();
jest.mock('next/headers', () => ({ headers: () => Promise.resolve(asked) }));
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

withThrowawayStudio();

const root = process.cwd();
const filesIn = (folder: string) =>
  readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' }).map(
    (name) => `${folder}/${name}`,
  );
/** Wherever they stand: what a browser can call by a number says so in its first line. */
const actionFiles = ['app', 'features', 'server', 'design']
  .flatMap(filesIn)
  .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
  .filter((name) => readFileSync(path.join(root, name), 'utf8').startsWith("'use server'"));
const routeFiles = filesIn('app').filter((name) => name.endsWith('route.ts'));
/** How to get in, and what helps when nothing can be opened: these ask in their own way. */
const open = ['app/pair/join/route.ts', 'app/desk/in/route.ts', 'app/desk/recover/route.ts'];

type Callable = (...args: unknown[]) => Promise<{ ok: boolean; problems?: { form?: string } }>;

it('believes only what the guard of this process has sealed', () => {
  expect(readAsker(asTeacher())).toMatchObject({ role: 'teacher', name: 'Vera' });
  const own = writeAsker(atDesk('Vera'));
  const [text = '', seal = ''] = own.split('.');
  const other = writeAsker({ ...atDesk('Vera'), role: 'assistant' });
  const forged = Buffer.from(JSON.stringify({ ...atDesk('Eve') })).toString('base64url');
  for (const header of [
    '',
    'teacher',
    text,
    `${forged}.${seal}`,
    `${other.split('.')[0]}.${seal}`,
    `${own}.x`,
    `${text}.${seal.slice(1)}`,
  ]) {
    expect(readAsker(new Headers({ [askerHeader]: header })).role).toBe('nobody');
  }
  expect(readAsker(new Headers()).role).toBe('nobody');
});

it('refuses every action to whoever is not the teacher', async () => {
  expect(actionFiles.length).toBeGreaterThan(7);
  for (const headers of [new Headers(), asAssistant()]) {
    asked = headers;
    for (const file of actionFiles) {
      const exported = (await import(path.join(root, file))) as Record<string, Callable>;
      for (const [name, action] of Object.entries(exported)) {
        const outcome = await action(1, {}, {}, {});
        expect([file, name, outcome.ok]).toEqual([file, name, false]);
        expect([name, outcome.problems?.form]).toEqual([name, expect.stringMatching(/teacher’s/)]);
      }
    }
  }
});

it('answers no address of the studio to nobody, and none of the teacher’s to an assistant', async () => {
  expect(routeFiles.length).toBeGreaterThan(20);
  const forAssistants: string[] = [];
  for (const file of routeFiles.filter((one) => !open.includes(one))) {
    const exported = (await import(path.join(root, file))) as Record<
      string,
      (...args: unknown[]) => Promise<Response>
    >;
    for (const method of ['GET', 'POST', 'DELETE'].filter((one) => one in exported)) {
      const ask = (headers: Headers) =>
        exported[method]!(new Request('http://localhost:3000/x', { method, headers }), {
          params: Promise.resolve({ id: '1', uid: 'x', key: 'x' }),
        });
      expect([file, method, (await ask(new Headers())).status]).toEqual([file, method, 403]);
      if ((await ask(asAssistant())).status !== 403) forAssistants.push(file);
    }
  }
  expect(forAssistants.sort()).toEqual([
    'app/(class)/floor/[uid]/taps/route.ts',
    'app/(studio)/floor/manifest.webmanifest/route.ts',
    'app/(studio)/floor/sw.js/route.ts',
    'app/(studio)/solver/route.ts',
    'app/pair/here/route.ts',
  ]);
});
