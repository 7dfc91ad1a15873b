/** Whole classes and floors against the watcher: whoever is planned, asked or held is let in by it. */
import { getAlternative, type AlternativeId } from '../catalog/alternatives';
import type { drillTable } from '../catalog/drills';
import { closedRegions } from '../catalog/regions';
import { getStage, stageIds, type StageId } from '../catalog/stages';
import { composeClass } from '../compose/composeClass';
import { prepareClass } from '../compose/prepared';
import { doneByAll, listSittingOut } from '../compose/sittingOut';
import { usualSolve } from '../compose/solve';
import type { School } from '../catalog/school';
import { openCase, type OpenedCase } from '../ladder/case';
import { judge } from '../ladder/verdict';
import { opensStage } from '../ladder/verdictKinds';
import { stageOfCheck } from '../ladder/gatekeeper';
import { regionsOf } from '../ladder/asked';
import { asOf, makeCase } from './cases';
import { inventClass } from './inventClass';
import { inventPerson, isSpared, tellDrill, tellStage } from './inventPerson';
import { whyClosed, type Told, type Watched } from './watcher';
import { ofMany, seedsTo } from './depth';

const classes = seedsTo(40, 8);

/** A made-up class whose people have cautions, notes, signs and pains. */
function inventWatched(seed: number) {
  const { input, wishes } = inventClass(seed);
  const drawn = input.people.map((one, index) => {
    const { person, who } = inventPerson(seed * 100 + index);
    const opened = openCase({ ...one.opened, care: person.care, present: person.present });
    return { one: { ...one, opened }, who };
  });
  const people = drawn.map(({ one }) => one);
  const prepared = prepareClass({ ...input, people });
  const plan = composeClass(null, prepared, wishes, usualSolve);
  const whoIs = new Map(drawn.map(({ one, who }) => [one.id, { who, opened: one.opened }]));
  return { prepared, plan, whoIs, wishes };
}

/** What an option is to the watcher; `null`: nothing that its tables speak of. */
function tellOption(person: OpenedCase, id: string): Told | null {
  const [stage] = id.split('+');
  if (stageIds.some((one) => one === stage)) return tellStage(person, stage as StageId);
  const alternative = id.startsWith('instead-') ? (stage!.slice(8) as AlternativeId) : null;
  if (alternative === null) return null;
  const own = getAlternative(alternative).stage;
  return own === undefined ? null : tellStage(person, own);
}

const complaint = (seed: number, who: Watched, told: Told): string | null => {
  const why = whyClosed(who, told);
  return why === null || isSpared(who, told) ? null : `class ${seed}: ${told.id}, closed by ${why}`;
};

it('plans, drills, checks and counterposes tell nobody what the handbook closes', () => {
  let told = 0;
  let satOut = 0;
  const wrong: string[] = [];
  for (const seed of classes) {
    const { prepared, plan, whoIs } = inventWatched(seed);
    const complain = (id: string, asked: Told) => {
      told += 1;
      const { who } = whoIs.get(id)!;
      const words = complaint(seed, who, asked);
      if (words !== null) wrong.push(`${id}, ${words}`);
    };
    for (const { people } of plan.rounds) {
      for (const { id, option } of people) {
        const asked = option === null ? null : tellOption(whoIs.get(id)!.opened, option.id);
        if (asked !== null) complain(id, asked);
      }
    }
    for (const item of plan.timeline) {
      // Whatever a line names is told to everybody who does not sit it out.
      const done = item.drill ?? doneByAll(item);
      if (done === null) continue;
      const out = new Set(listSittingOut(item, prepared.people).map(({ id }) => id));
      satOut += out.size;
      for (const { id } of prepared.people) {
        if (out.has(id)) continue;
        complain(id, tellDrill(whoIs.get(id)!.opened, done as keyof typeof drillTable));
      }
    }
    for (const { check, base, people } of prepared.checks) {
      for (const { id } of people) {
        const { opened } = whoIs.get(id)!;
        // Shown in the shape of a ladder: a note for that ladder covers it.
        const stage = stageOfCheck(opened, check, base);
        const ladder = stage === null ? undefined : opened.school.stages.get(stage)?.spec.family;
        complain(id, { id: check, ...(ladder === undefined ? {} : { ladder }) });
      }
    }
  }
  expect(wrong).toEqual([]);
  expect(told).toBeGreaterThan(ofMany(2000, 300));
  expect(satOut).toBeGreaterThan(ofMany(100, 10));
}, 240_000);

it('who gets sore on the floor is planned nothing that loads it, and feet down are down', () => {
  let moved = 0;
  for (const seed of classes) {
    const { prepared, wishes, plan: before } = inventWatched(seed);
    const [first, second] = prepared.people;
    if (first === undefined || second === undefined) continue;
    const place = (['shoulder', 'wrist', 'leg', 'back', 'neck'] as const)[seed % 5]!;
    const plan = composeClass(
      null,
      prepared,
      { ...wishes, sore: [{ person: first.id, place }], feetDown: [second.id] },
      usualSolve,
      before.before,
    );
    const sore = new Set(closedRegions(place));
    for (const { people } of plan.rounds) {
      const mine = people.find(({ id }) => id === first.id)?.option;
      const regions = mine === null || mine === undefined ? [] : regionsOf(mine);
      expect([seed, place, regions.filter((region) => sore.has(region))]).toEqual([
        seed,
        place,
        [],
      ]);
      const down = people.find(({ id }) => id === second.id)?.option;
      expect([seed, down?.feetUp, down?.isAttempt]).toEqual([seed, undefined, undefined]);
      if (down !== null && down !== undefined) moved += 1;
    }
  }
  expect(moved).toBeGreaterThan(20);
}, 240_000);

describe('mutants', () => {
  /** The school as if a stage had forgotten what it asks of a body. */
  function forget(school: School, stage: StageId): School {
    const entry = school.stages.get(stage)!;
    const spec = { ...entry.spec, columns: [], strains: [], loads: {} };
    return { ...school, stages: new Map(school.stages).set(stage, { ...entry, spec }) };
  }

  it('are caught: a stage whose columns are forgotten is told to somebody it is closed to', () => {
    const missed: string[] = [];
    for (const stage of stageIds) {
      if (getStage(stage).columns.length === 0) continue;
      const person = makeCase({ care: { reports: ['recent-event'] } });
      // Wrists alone are "refer first" after a concussion, as everything else is closed.
      const who: Watched = { care: person.care, asOf, pains: [] };
      const mutant = openCase({ ...person, school: forget(person.school, stage) });
      const told = tellStage(
        openCase({ ...person, present: { [getStage(stage).family]: stage } }),
        stage,
      );
      if (!opensStage(judge(stage, mutant).kind)) continue;
      if (whyClosed(who, told) === null) missed.push(stage);
      expect([stage, judge(stage, person).kind]).toEqual([stage, 'stop']);
    }
    // Own shapes of 12 that its table does not name are watched through their neighbours.
    expect(missed.filter((stage) => /^(FS|HB|SS)\d/.test(stage))).toEqual([]);
  });
});
