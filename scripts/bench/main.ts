/** What the product promises about speed, measured on this machine. */
import { gzipSync } from 'node:zlib';
import { resolveBody } from '@/core/body/body';
import { drawForearmKick } from '@/core/drawing/elevation';
import { assess } from '@/core/readiness/assess';
import { forearmKickSetup } from '@/core/setup/forearmKick';
import { addDays } from '@/core/units/day';
import { print, timeAsync, timeCall } from './timing';

const asOf = '2026-11-19';
const records = Array.from({ length: 200 }, (_, index) => ({
  date: addDays(asOf, -Math.floor(index / 2)),
  value: 30 + (index % 30),
  stoppedByTeacher: index % 3 === 0,
}));
print({
  name: 'A readiness level over 200 records',
  median: timeCall(() => assess({ check: 'dolphin-hold', profile: 'prop-led', asOf, records }), {
    runs: 200,
    batch: 20,
  }),
  unit: 'ms',
  target: 0.2,
});

const body = resolveBody({ heightM: 1.7, massKg: 62 });
const pieces = [
  { piece: 'foam-block', count: 9 },
  { piece: 'strap-240', count: 3 },
  { piece: 'shoulder-pad', count: 8 },
] as const;
print({
  name: 'One set-up card with its drawing, computed',
  median: timeCall(
    () => {
      const setup = forearmKickSetup({ body, profile: 'prop-led', pieces });
      return drawForearmKick(body, setup, { pxPerM: 235, units: 'cm', detail: 'card' });
    },
    { runs: 100, batch: 10 },
  ),
  unit: 'ms',
});

const base = process.env.LEVITAR_URL!;
const read = async (path: string) => (await fetch(base + path)).text();
for (const [name, path, target] of [
  ['The page with fourteen cards, from the production server', '/', 100],
  ['People', '/people', undefined],
  ['One person', '/people/8', undefined],
  ['A set-up card', '/people/4/card', undefined],
] as const) {
  print({ name, median: await timeAsync(() => read(path)), unit: 'ms', target });
}

for (const path of ['/', '/people', '/people/8', '/people/4/card']) {
  const html = await read(path);
  const scripts = [...new Set(html.match(/\/_next\/static\/[^"'\\ ]+\.js/g))];
  const sizes = await Promise.all(
    scripts.map(async (script) => gzipSync(await read(script)).length),
  );
  const total = sizes.reduce((sum, size) => sum + size, 0);
  print({ name: `First-load script of ${path}, compressed`, median: total / 1024, unit: 'KiB' });
}
