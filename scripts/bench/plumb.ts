/**
 * How close Plumb reads: painted stills of everybody of the demo course in nine shapes, through the
 * screen as a teacher would, against the joints they were painted from.
 */
import { chromium, type Page } from '@playwright/test';
import type { PlumbBase } from '@/core/plumb/marks';
import { getMeasure, stillMeasureIds, type StillMeasureId } from '@/core/plumb/measureTable';
import { practiceTakes, practiceTruth } from '@/core/plumb/practice';
import { readStill } from '@/core/plumb/still';
import { resolveBody } from '@/core/body/body';
import { firstUp } from '@/core/units/words';
import { listPeople } from '@/db/people';
import { database } from '@/server/database';
import type { ShapeId } from '@/core/shapes/postures';
import { chromiumArguments } from '../../playwright.config';
import { medianOf, print } from './timing';

const shapes: readonly (readonly [ShapeId, PlumbBase])[] = [
  ['handstand', 'hands'],
  ['handstandWall', 'hands'],
  ['forearmStand', 'forearms'],
  ['forearmStandWall', 'forearms'],
  ['dolphin', 'forearms'],
  ['wallL', 'hands'],
  ['shortDog', 'hands'],
  ['plank', 'hands'],
  ['headstand', 'head'],
];

/** Camera and light of the second round of everybody, in turn. */
const cameras = [
  { light: 'window', words: 'Against a window', distanceM: 4.6, cameraM: 0.8 },
  { light: 'evening', words: 'One lamp', distanceM: 3, cameraM: 1.1 },
] as const;

interface Found {
  readonly id: StillMeasureId;
  readonly error: number;
  readonly isWithin: boolean;
}

/** The page's figures by their label: value and what it gives or takes. */
async function readMeasures(page: Page): Promise<Map<string, readonly [number, number]>> {
  const text = await page.getByRole('region', { name: 'Measures' }).innerText();
  const found = new Map<string, readonly [number, number]>();
  const lines = text.split('\n').map((line) => line.trim());
  lines.forEach((line, index) => {
    const value = /^(-?[\d.]+)(?: cm|°)$/.exec(lines[index + 1] ?? '');
    const error = /^give or take ([\d.]+)/.exec(lines[index + 2] ?? '');
    if (value && error) found.set(line, [Number(value[1]), Number(error[1])]);
  });
  return found;
}

const stage = '[aria-label="The picture with its marks"]';
const pictureOf = (page: Page) =>
  page.evaluate(
    (within) => document.querySelector(`${within} image`)?.getAttribute('href') ?? null,
    stage,
  );

/**
 * From the tap on the practice camera to the marks of what it painted, ms; `null`: none came.
 * Looked at by the page itself: the marks of the picture before may be gone for a moment alone.
 */
async function readPractice(page: Page): Promise<number | null> {
  const before = await pictureOf(page);
  await page.getByRole('button', { name: 'A practice picture' }).click();
  const asked = { within: stage, before };
  return page.evaluate(async ({ within, before: last }) => {
    let opened: number | null = null;
    const until = performance.now() + 10_000;
    while (performance.now() < until) {
      const shown = document.querySelector(`${within} image`)?.getAttribute('href') ?? null;
      if (opened === null && shown !== last) opened = performance.now();
      const isRead = document.querySelector(`${within} [aria-label^="near shoulder"]`) !== null;
      if (opened !== null && isRead) return performance.now() - opened;
      await new Promise((resolve) => setTimeout(resolve, 4));
    }
    return null;
  }, asked);
}

const url = process.env.LEVITAR_URL!;
const browser = await chromium.launch({
  executablePath: process.env.LEVITAR_CHROMIUM ?? '/usr/bin/chromium',
  args: chromiumArguments,
});
/** By what the picture was taken like: as is asked for, and otherwise. */
const found: Record<'asked' | 'otherwise', Found[]> = { asked: [], otherwise: [] };
const times: number[] = [];
let stills = 0;
let unread = 0;
for (const [index, person] of listPeople(database()).entries()) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 1000 } });
  await page.goto(`${url}/plumb?person=${person.id}`);
  const body = resolveBody(person.body);
  let taps = 0;
  const camera = cameras[index % cameras.length]!;
  const rounds = [
    ...shapes.map((one) => [...one, null] as const),
    ...shapes.map((one) => [...one, camera] as const),
  ];
  let isSet = false;
  for (const [shape, base, seenBy] of rounds) {
    if (seenBy !== null && !isSet && taps > 0) {
      // Whoever has a practice picture may change how it is taken; what follows is taken so, too.
      await page.getByText('How it is painted').click();
      await page.getByText(seenBy.words).click();
      await page.getByLabel('Camera away').fill(String(Math.round(100 * seenBy.distanceM)));
      await page.getByLabel('Camera high').fill(String(Math.round(100 * seenBy.cameraM)));
      // Each of them paints anew: what is read next is none of those.
      await page.waitForTimeout(3000);
      isSet = true;
    }
    if (taps === 0) await page.goto(`${url}/plumb?person=${person.id}&shape=${shape}`);
    else await page.getByLabel('Shape').selectOption(shape);
    const seen =
      isSet && seenBy !== null ? { distanceM: seenBy.distanceM, cameraM: seenBy.cameraM } : {};
    const take = { ...practiceTakes[taps % practiceTakes.length]!, ...seen };
    let truth;
    try {
      truth = readStill({
        ...practiceTruth(body, { shape, ...take }),
        base,
        shape,
      }).measures;
    } catch {
      // Out of this body's reach, or heel and toe in one place: not painted, or not compared.
      continue;
    }
    taps += 1;
    // It is read as soon as it is there.
    const milliseconds = await readPractice(page);
    stills += 1;
    if (milliseconds === null) {
      unread += 1;
      continue;
    }
    times.push(milliseconds);
    const read = await readMeasures(page);
    for (const id of stillMeasureIds) {
      const { label, unit } = getMeasure(id);
      const [is, said] = [truth[id], read.get(firstUp(label))];
      if (is === undefined || said === undefined) continue;
      const error = Math.abs(said[0] - is.value * (unit === 'm' ? 100 : 1));
      found[isSet ? 'otherwise' : 'asked'].push({ id, error, isWithin: error <= said[1] });
    }
  }
  await page.close();
}
await browser.close();

const share = (some: readonly Found[]) =>
  (100 * some.filter(({ isWithin }) => isWithin).length) / some.length;
const nineTenths = (some: readonly Found[]) =>
  some.map(({ error }) => error).sort((a, b) => a - b)[Math.floor(some.length * 0.9)]!;
const medianError = (some: readonly Found[]) => medianOf(some.map(({ error }) => error));
/** A wall that was guessed by where the feet are, no mark. */
const isToWall = ({ id }: Found) => id === 'baseToWall' || id === 'fingertipsToWall';

console.log(`Plumb, ${stills} painted stills, ${unread} of them not read`);
for (const [taken, words] of [
  ['asked', 'by day, as is asked for'],
  ['otherwise', 'in other light, from elsewhere'],
] as const) {
  const all = found[taken];
  const marked = all.filter((one) => !isToWall(one));
  console.log(`Taken ${words}`);
  for (const [name, unit, middle, most] of [
    ['offsets', 'cm', 3, 6],
    ['angles', '°', 4, 8],
  ] as const) {
    const some = marked.filter(({ id }) => (getMeasure(id).unit === 'm') === (unit === 'cm'));
    const median = medianError(some);
    print({ name: `Error of ${name}, median of ${some.length}`, median, unit, target: middle });
    print({ name: `Error of ${name}, nine in ten`, median: nineTenths(some), unit, target: most });
  }
  print({
    name: 'Spans that hold the truth (60 to 80 wanted)',
    median: share(marked),
    unit: '%',
  });
  print({
    name: 'To a wall that was guessed, median',
    median: medianError(all.filter(isToWall)),
    unit: 'cm',
  });
  const each = stillMeasureIds.flatMap((id) => {
    const some = all.filter((one) => one.id === id);
    return some.length === 0
      ? []
      : `${id} ${medianError(some).toFixed(1)} (${nineTenths(some).toFixed(0)})`;
  });
  console.log(`  each, median (nine in ten): ${each.join(', ')}`);
}
print({ name: 'From the tap to the marks', median: medianOf(times), unit: 'ms', target: 1000 });
