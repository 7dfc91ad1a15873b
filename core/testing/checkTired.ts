/** The reserves of the independent checker, as handbook 07 has them. */
import { alternativeTable } from '../catalog/alternatives';
import type { CheckKey } from '../catalog/checks';
import type { RegionLoads } from '../catalog/regions';
import { getStageIn } from '../catalog/school';
import type { StageKey } from '../catalog/stage';
import type { PlanFile } from '../files/planFile';
import type { OpenedCase } from '../ladder/case';
import { slack } from './checkFloor';

export interface CheckedPerson {
  readonly id: string;
  readonly opened: OpenedCase;
  readonly heightM: number;
}

export const stageOf = (option: string) => option.split('+')[0] as StageKey;

/** Seconds somebody can bear a load, as handbook 07 has it, from the holds that were seen. */
function secondsFor(person: OpenedCase, region: string, load: number): number {
  const by: Record<string, [CheckKey, number]> = {
    shoulder: ['dolphin-hold', 0.6],
    scapula: ['dolphin-hold', 0.6],
    wrist: ['plank-hold', 0.7],
    core: ['hollow-hold', 0.9],
  };
  const [check, reference] = by[region] ?? [null, 1];
  const level = check === null ? null : person.assessor.histories(check)[0]!.level;
  const seconds = level === null ? 60 : Math.exp(level.mean);
  return level === null ? 60 / load ** 2 : seconds * (reference / load) ** 2;
}

/** Tries found too tired or too cold, living through the rounds with the reserves of handbook 07. */
export function findTired(
  plan: PlanFile,
  { id, opened }: CheckedPerson,
  closed: ReadonlySet<string>,
): string[] {
  const reserve: Record<string, number> = {};
  const worked: Record<string, number> = {};
  const pass = (loads: RegionLoads, seconds: number) => {
    for (const region of ['wrist', 'shoulder', 'scapula', 'core', 'neck', 'hamstring', 'hip']) {
      const load = (loads as Record<string, number>)[region] ?? 0;
      const now = reserve[region] ?? 1;
      reserve[region] =
        load > 0
          ? Math.max(0, now - seconds / secondsFor(opened, region, load))
          : 1 - (1 - now) * Math.exp(-seconds / 180);
      if (load > 0) worked[region] = (worked[region] ?? 0) + seconds;
    }
  };
  const wrong: string[] = [];
  let hasTried = false;
  let isSpread = false;
  // Whoever comes for the rounds was not there for the drills.
  const isLate = plan.wishes.late.some(({ person }) => person === id);
  for (const item of plan.timeline) {
    if (item.kind === 'drill' && !isLate && !closed.has(item.drill!)) {
      for (const region of Object.keys(opened.school.catalog.drills[item.drill!]!.loads)) {
        worked[region] = (worked[region] ?? 0) + item.minutes * 60;
      }
    }
    const round = item.kind === 'round' ? Number(item.id.split('-')[1]) : null;
    if (item.kind === 'reset' && isSpread) continue;
    isSpread = false;
    const mine =
      round === null ? null : plan.rounds[round - 1]!.people.find((one) => one.id === id);
    const option = mine?.option ?? null;
    const spec =
      option !== null && opened.school.stages.has(stageOf(option))
        ? getStageIn(opened.school, stageOf(option)).spec
        : null;
    if (spec?.isAttempt !== true) {
      // Holds of an earlier round warm as well, up to two minutes of them.
      const instead = option?.startsWith('instead-')
        ? alternativeTable[option.split('+')[0]!.slice(8) as keyof typeof alternativeTable].loads
        : {};
      for (const region of Object.keys(spec?.loads ?? instead)) {
        worked[region] = (worked[region] ?? 0) + 120;
      }
      pass({}, item.minutes * 60);
      continue;
    }
    const main = Object.entries(spec.loads).filter(([, load]) => load >= 0.5);
    for (const [region] of main) {
      if ((reserve[region] ?? 1) < 0.6 - slack) wrong.push(`${id} tries with a tired ${region}`);
      if (!hasTried && (worked[region] ?? 0) < 60) wrong.push(`${id} tries with a cold ${region}`);
    }
    hasTried = true;
    isSpread = true;
    const tries = mine?.tries ?? 1;
    for (let count = 0; count < tries; count += 1) {
      for (const [region] of main) {
        if ((reserve[region] ?? 1) < 0.6 - slack) wrong.push(`${id} tries with a tired ${region}`);
      }
      pass(Object.fromEntries(main.map(([region]) => [region, 1])), 8);
      // Tries are spread over the round, which may be longer than was asked, and its reset.
      pass({}, ((item.minutes + plan.wishes.resetMinutes) * 60) / tries);
    }
  }
  return wrong;
}
