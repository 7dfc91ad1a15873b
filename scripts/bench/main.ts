/** What the product promises about speed, measured on this machine. */
import { resolveBody } from '@/core/body/body';
import { pieceIds, specOf } from '@/core/catalog/pieces';
import { benchSheet, drawBench } from '@/core/drawing/bench';
import { drawForearmKick } from '@/core/drawing/elevation';
import { findStack } from '@/core/pieces/stack';
import type { Posture } from '@/core/shapes/postures';
import { toPosture, usualValues } from '@/core/shapes/values';
import { computeLoads } from '@/core/shapes/loads';
import { assess } from '@/core/readiness/assess';
import { forearmKickSetup } from '@/core/setups/forearmKick';
import { addDays } from '@/core/units/day';
import { firstLoadKiB, scriptBudgets } from '../firstLoad';
import { enrolMore } from './enrolMore';
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
  target: 5,
});

const posture = (given: Posture) => ({ name: given.family, given });
const closedForm = [
  posture({ family: 'dolphin', elbowToBallM: 1.2, shoulderLeadM: 0 }),
  posture({ family: 'wallL', baseM: 0.9 }),
  posture({ family: 'forearmStandWall', baseM: 0.54 }),
];
const iterative = [
  posture({ family: 'handstand' }),
  posture({ family: 'crow', elbowDeg: 110, kneeOnArm: 0.6 }),
];
for (const [list, target] of [
  [closedForm, 20],
  [iterative, 200],
] as const) {
  for (const { name, given } of list) {
    const milliseconds = timeCall(() => computeLoads(body, given), { runs: 200, batch: 50 });
    print({ name: `Posture with loads: ${name}`, median: milliseconds * 1000, unit: 'µs', target });
  }
}

const kinds = pieceIds.filter((id) => specOf({ piece: id }).stacks);
const sixty = kinds.map((piece) => ({ piece, count: Math.ceil(60 / kinds.length) }));
for (const [targetM, footprintM] of [
  [0.14, [0.54, 0.42]],
  [0.2, [0.45, 0.42]],
  [0.25, [0.2, 0.2]],
] as const) {
  print({
    name: `Stack of ${targetM} m from ${kinds.length} kinds, 60 pieces`,
    median: timeCall(() => findStack({ targetM, footprintM, pieces: sixty }), { runs: 20 }),
    unit: 'ms',
    target: 50,
  });
}

for (const family of ['forearmStandWall', 'dolphin', 'crow'] as const) {
  const values = usualValues(family, body);
  print({
    name: `A drag step on the bench, loads and scene: ${family}`,
    median: timeCall(
      () => {
        const loads = computeLoads(body, toPosture(family, values));
        return drawBench(
          { body, shape: family, values, loads },
          { ...benchSheet(family), units: 'cm' },
        );
      },
      { runs: 100, batch: 10 },
    ),
    unit: 'ms',
    target: 4,
  });
}

const base = process.env.LEVITAR_URL!;
let asked = 0;
/** As another browser each time: a page that is given again would be measured otherwise. */
const read = async (path: string) => {
  asked += 1;
  return (await fetch(base + path, { headers: { 'user-agent': `bench ${asked}` } })).text();
};
for (const [path, target] of [
  ['/', 60],
  ['/people', 100],
  ['/people/8', 100],
  ['/people/4/card', 100],
  ['/plan', 100],
  ['/plan/print', 100],
  ['/cards', 100],
  ['/home-practice', 100],
  ['/record', 100],
  ['/ladders', 100],
  ['/ladders/FS10', 100],
  ['/ladders/poster?ladder=forearm-stand', 100],
  ['/checks', 100],
  ['/bench', 100],
  ['/plumb', 100],
  ['/room', 100],
  ['/begin/placing', 100],
  ['/floor', 100],
  ['/settings', 100],
] as const) {
  print({
    name: `${path}, from the production server`,
    median: await timeAsync(() => read(path)),
    unit: 'ms',
    target,
  });
}

enrolMore(10);
print({
  name: 'A sheet of 24 cards, from the production server',
  median: await timeAsync(() => read('/cards')),
  unit: 'ms',
  target: 300,
});

for (const [path, target] of Object.entries(scriptBudgets)) {
  print({
    name: `First-load script of ${path}, compressed`,
    median: await firstLoadKiB(path, read),
    unit: 'KiB',
    target,
  });
}
