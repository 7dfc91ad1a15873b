/** The promises about ladders: one person with a long history, and a whole studio. */
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { checkIds, getCheck, type CheckId } from '@/core/catalog/checks';
import { shippedSchool } from '@/core/catalog/school';
import { ladderIds } from '@/core/catalog/stage';
import { stageIds, getStage } from '@/core/catalog/stages';
import { noCare } from '@/core/caution/care';
import { openCase } from '@/core/ladder/case';
import { findStands, judgeLadder } from '@/core/ladder/stand';
import type { CheckRecord } from '@/core/readiness/record';
import { addDays } from '@/core/units/day';
import { addCourse, enrol } from '@/db/courses';
import { addPerson, saveRung } from '@/db/personChanges';
import { addRecord, explainEvidence, readEvidence } from '@/db/records';
import { seededRandom } from '@/demo/random';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { readChecks, readLadders, readPeople } from '@/features/ladders/read';
import { forgetJudged } from '@/server/judging/forget';
import { print, timeCall } from './timing';

const bases = ['hands', 'forearms', 'head'] as const;

/** One made-up record of a check, somewhere around its bar. */
export function drawRecord(check: CheckId, date: string, random: () => number) {
  const spec = getCheck(check);
  const bar = spec.opensAt['prop-led'];
  const isPassFail = ['pass', 'pass-of-last', 'same-day'].includes(spec.scoring.kind);
  return {
    date,
    value: isPassFail
      ? Math.round(random())
      : Math.min(spec.most, Math.round(bar * (0.6 + 0.8 * random()))),
    stoppedByTeacher: spec.scoring.kind === 'hold' && random() < 0.2,
    side: spec.hasSides ? (random() < 0.5 ? ('left' as const) : ('right' as const)) : null,
    base: spec.byBase ? bases[Math.floor(random() * 3)]! : null,
  };
}

/** A verdict for one person over five families with 500 records. */
export function benchPerson(): void {
  const random = seededRandom(11);
  const asOf = '2026-11-19';
  const evidence: Record<string, CheckRecord[]> = {};
  for (let index = 499; index >= 0; index -= 1) {
    const check = checkIds[Math.floor(random() * checkIds.length)]!;
    const { side, base, ...rest } = drawRecord(
      check,
      addDays(asOf, -Math.floor(index / 3)),
      random,
    );
    (evidence[check] ??= []).push({
      ...rest,
      ...(side === null ? {} : { side }),
      ...(base === null ? {} : { base }),
    });
  }
  const person = {
    asOf,
    school: shippedSchool('prop-led'),
    evidence,
    care: noCare,
    consent: 'yes',
    present: { 'forearm-stand': 'FS9', headstand: 'HS5', handstand: 'HB8', 'arm-balance': 'CR5' },
    equipment: ['wedge'],
  } as const;
  print({
    name: 'Next rungs of five ladders, one person, 500 records',
    median: timeCall(() => findStands(openCase(person)), { runs: 100, batch: 5 }),
    unit: 'ms',
    target: 10,
  });
  print({
    name: `All ${stageIds.length} stages judged, one person, 500 records`,
    median: timeCall(
      () => {
        const opened = openCase(person);
        return ladderIds.map((family) => judgeLadder(family, opened));
      },
      { runs: 60, batch: 2 },
    ),
    unit: 'ms',
    target: 10,
  });
}

const people = 200;
const recordsEach = 250;

function fillStudio(): void {
  const db = database();
  const random = seededRandom(5);
  const day = today();
  db.transaction((tx) => {
    const course = addCourse(tx, {
      name: 'Everybody',
      place: '',
      startsOn: day,
      startsAt: '18:00',
      minutes: 60,
      weeks: 10,
      profile: 'prop-led',
      stage: 'FS10',
    });
    for (let index = 0; index < people; index += 1) {
      const id = addPerson(tx, {
        name: `Person ${index}`,
        heightM: 1.5 + 0.002 * (index % 200),
        heightTyped: '1.7 m',
      });
      enrol(tx, course, id);
      for (const family of ladderIds) {
        const rungs = stageIds.filter((stage) => getStage(stage).family === family);
        saveRung(tx, id, family, rungs[Math.floor(random() * rungs.length)]!, day);
      }
      for (let count = recordsEach - 1; count >= 0; count -= 1) {
        const check = checkIds[Math.floor(random() * checkIds.length)]!;
        const date = addDays(day, -Math.floor((count * 400) / recordsEach));
        addRecord(tx, {
          personId: id,
          check: check!,
          breaths: null,
          faults: random() < 0.1 ? ['shrug'] : [],
          pain: false,
          painPlace: null,
          ...drawRecord(check, date, random),
        });
      }
    }
  });
}

/** The group's views for 200 people with 50,000 records, nothing kept from the time before. */
export function benchStudio(): void {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-bench-'));
  process.env.LEVITAR_DATA = folder;
  fillStudio();
  const db = database();
  const ids = Array.from({ length: people }, (_, index) => index + 1);
  const cold = (name: string, work: () => unknown, target?: number) =>
    print({
      name,
      median: timeCall(
        () => {
          forgetJudged();
          return work();
        },
        { runs: 12 },
      ),
      unit: 'ms',
      ...(target === undefined ? {} : { target }),
    });
  cold(`Evidence of ${people} people, ${people * recordsEach} records, read`, () =>
    readEvidence(db, ids),
  );
  cold(
    `Ladder view of ${people} people, ${people * recordsEach} records`,
    () => readLadders(1),
    300,
  );
  cold(`Tonight’s ranking of ${people} people`, () => readChecks(8, 1), 500);
  cold(`People table of ${people} people`, () => readPeople());
  print({
    name: 'Ladder view again, nothing changed',
    median: timeCall(() => readLadders(1), { runs: 20 }),
    unit: 'ms',
  });
  console.log('  the query behind them:');
  for (const line of explainEvidence(db, ids.slice(0, 3))) console.log(`    ${line}`);
  rmSync(folder, { recursive: true, force: true });
}
