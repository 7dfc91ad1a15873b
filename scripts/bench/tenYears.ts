/** A studio of ten years behind the production server: its pages, one by one and for many at once. */
import path from 'node:path';
import Database from 'better-sqlite3';
import { studioFileName } from '@/db/folder';
import { medianOf, print, timeAsync } from './timing';

const base = process.env.LEVITAR_URL!;
const read = async (path: string, headers: Readonly<Record<string, string>> = {}) => {
  const answer = await fetch(base + path, { headers });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
  return text;
};

let asked = 0;
/** As another browser each time: a page that is given again would be measured otherwise. */
const drawAnew = (path: string) => {
  asked += 1;
  return read(path, { 'user-agent': `bench ${asked}` });
};

const pages = [
  '/',
  '/people',
  '/people/8',
  '/people/300',
  '/plan',
  '/cards',
  '/home-practice',
  '/record',
  '/ladders',
  '/ladders/FS10',
  '/checks',
  '/bench',
  '/courses',
  '/settings',
] as const;
for (const path of pages) {
  print({
    name: `Ten years: ${path}`,
    median: await timeAsync(() => drawAnew(path), 12),
    unit: 'ms',
    target: 150,
  });
}

/** The first bytes of something long: what is asked for while it is still being written. */
async function firstBytes(path: string): Promise<number> {
  const start = process.hrtime.bigint();
  const answer = await fetch(base + path);
  const reader = answer.body!.getReader();
  await reader.read();
  const milliseconds = Number(process.hrtime.bigint() - start) / 1e6;
  await reader.cancel();
  return milliseconds;
}
for (const path of ['/settings/studio', '/settings/records']) {
  print({
    name: `Ten years: first bytes of ${path}`,
    median: medianOf([await firstBytes(path), await firstBytes(path), await firstBytes(path)]),
    unit: 'ms',
    target: 200,
  });
}

/** Twenty who read at once, each page after page, and one who writes twice a second. */
const studio = new Database(path.join(process.env.LEVITAR_DATA!, studioFileName));
studio.pragma('busy_timeout = 5000');
const write = studio.prepare('UPDATE person SET mass_kg = ? WHERE id = ?');
let written = 0;
const writer = setInterval(() => {
  written += 1;
  write.run(50 + (written % 40), 1 + (written % 100));
}, 500);
const readers = 20;
const each = 24;
const times: number[] = [];
const start = process.hrtime.bigint();
await Promise.all(
  Array.from({ length: readers }, async (_, reader) => {
    for (let page = 0; page < each; page += 1) {
      const from = process.hrtime.bigint();
      await read(['/', '/people/8', '/ladders', '/floor'][(reader + page) % 4]!);
      times.push(Number(process.hrtime.bigint() - from) / 1e6);
    }
  }),
);
clearInterval(writer);
studio.close();
const seconds = Number(process.hrtime.bigint() - start) / 1e9;
print({
  name: `Ten years: ${readers} readers at once and a writer, the middle page`,
  median: medianOf(times),
  unit: 'ms',
  target: 300,
});
print({
  name: 'Ten years: pages in a second (60 wanted)',
  median: (readers * each) / seconds,
  unit: '/s',
});
