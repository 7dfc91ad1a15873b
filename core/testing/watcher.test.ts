/** Random people, and everything they are told: nothing of it may be what the handbook closes. */
import { alternativeIds, getAlternative } from '../catalog/alternatives';
import { cautionColumns, cautionIds, type CautionColumn } from '../catalog/cautions';
import { drillTable } from '../catalog/drills';
import { painPlaces, stopSigns } from '../catalog/regions';
import { ladderIds } from '../catalog/stage';
import { getStage, stageIds, type StageId } from '../catalog/stages';
import type { Care, Clearance } from '../caution/care';
import { isDrillOpen, listClosedChecks } from '../compose/options';
import { resolveBody } from '../body/body';
import { usualHousehold } from '../home/household';
import { planHomePractice } from '../home/homePractice';
import { openCase, type OpenedCase } from '../ladder/case';
import { isOpenTo } from '../ladder/alternative';
import { rankChecks } from '../ladder/tonight';
import { judge, opensStage } from '../ladder/verdict';
import { seededRandom } from '../random';
import { ago, asOf, everything, makeCase } from './cases';
import { whyClosed, type Told, type Watched } from './watcher';

const columns = Object.keys(cautionColumns) as CautionColumn[];
const people = 10_000;
const body = resolveBody({ heightM: 1.7 });

/** Somebody made up; a failure names the seed. */
function invent(seed: number) {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const some = <T>(list: readonly T[], share: number) => list.filter(() => random() < share);
  const reports = some(cautionIds, 0.06);
  const clearances: Clearance[] = [...some(reports, 0.4), ...some(['stop-sign'] as const, 0.3)].map(
    (about) => ({
      about,
      covers: some(columns, 0.6),
      ...(random() < 0.3 ? { ladders: some(ladderIds, 0.5) } : {}),
      notedOn: ago(pick([-2, 0, 20, 60])),
      until: ago(pick([-90, -1, 0, 3])),
    }),
  );
  const signs = random() < 0.1 ? [{ sign: pick(stopSigns), date: ago(pick([-1, 0, 9, 40])) }] : [];
  const pains = random() < 0.3 ? [{ place: pick(painPlaces), date: ago(pick([0, 7, 21])) }] : [];
  const painClearedOn = random() < 0.3 ? ago(pick([-1, 0, 3, 10, 30])) : undefined;
  const care: Partial<Care> = {
    reports,
    clearances,
    signs,
    pains,
    ...(painClearedOn === undefined ? {} : { painClearedOn }),
  };
  const present = Object.fromEntries(
    ladderIds.map((family) => [
      family,
      pick(stageIds.filter((stage) => getStage(stage).family === family)),
    ]),
  );
  const evidence = Object.fromEntries(
    Object.entries(everything).filter(() => random() < 0.8),
  ) as typeof everything;
  const person = makeCase({ care, present, evidence, consent: pick(['yes', 'ask', 'no']) });
  const who: Watched = { care: person.care, asOf, pains };
  return { person, who };
}

const isBelow = (stage: string, at: string): boolean =>
  stage === at || getStage(at as StageId).after.some((before) => isBelow(stage, before));

function tellStage(person: OpenedCase, id: StageId): Told {
  const { family, isFree } = getStage(id);
  return {
    id,
    ladder: family,
    isNew: !isBelow(id, person.present[family]!),
    isFree: isFree === true,
  };
}

const isShown = (person: OpenedCase, checks: readonly string[]) =>
  checks.some((check) => (person.evidence[check] ?? []).length > 0);

const tellDrill = (person: OpenedCase, id: keyof typeof drillTable): Told => ({
  id,
  isNew: !isShown(person, drillTable[id].serves),
});

/** Half shoulder stand and wrists: the bolster takes their place (12). */
const isSpared = (who: Watched, told: Told) =>
  told.id === 'SS5' && /wrist/.test(whyClosed(who, told) ?? '');

it('tells ten thousand people nothing that the handbook closes to them', () => {
  let told = 0;
  let kept = 0;
  const complain = (seed: number, what: Told, why: string | null) => {
    if (why !== null) throw new Error(`seed ${seed} is told ${what.id}, closed by ${why}`);
  };
  for (let seed = 1; seed <= people; seed += 1) {
    const { person, who } = invent(seed);
    const random = seededRandom(seed + 1_000_000);
    for (let turn = 0; turn < 4; turn += 1) {
      const id = stageIds[Math.floor(random() * stageIds.length)]!;
      const asked = tellStage(person, id);
      const why = whyClosed(who, asked);
      if (opensStage(judge(id, person).kind)) {
        told += 1;
        if (!isSpared(who, asked)) complain(seed, asked, why);
      } else if (why !== null) kept += 1;
    }
    for (const id of Object.keys(drillTable) as (keyof typeof drillTable)[]) {
      const asked = tellDrill(person, id);
      const why = whyClosed(who, asked);
      if (isDrillOpen(person, drillTable[id])) {
        told += 1;
        complain(seed, asked, why);
      } else if (why !== null) kept += 1;
    }
    for (const id of alternativeIds) {
      const { stage } = getAlternative(id);
      if (stage === undefined || !isOpenTo(id, 'handstand', person)) continue;
      told += 1;
      complain(seed, tellStage(person, stage), whyClosed(who, tellStage(person, stage)));
    }
    const closed = new Set(listClosedChecks(person));
    for (const id of ['forearm-plank-hold', 'plank-hold', 'dolphin-hold', 'hollow-hold']) {
      if (!closed.has(id)) complain(seed, { id }, whyClosed(who, { id }));
    }
  }
  // The net caught something on both sides.
  expect(told).toBeGreaterThan(people);
  expect(kept).toBeGreaterThan(people);
}, 240_000);

it('sends nobody home with what class closes, and asks nobody for what is closed', () => {
  let items = 0;
  for (let seed = 1; seed <= 1500; seed += 1) {
    const { person, who } = invent(seed);
    const { items: sent } = planHomePractice(person, { body }, ladderIds, usualHousehold);
    for (const { id } of sent) {
      items += 1;
      const asked: Told =
        id in drillTable
          ? tellDrill(person, id as keyof typeof drillTable)
          : stageIds.some((stage) => stage === id)
            ? tellStage(person, id as StageId)
            : { id, isNew: !isShown(person, [id]) };
      const why = whyClosed(who, asked);
      if (why !== null) throw new Error(`seed ${seed} takes home ${id}, closed by ${why}`);
    }
    for (const { check } of rankChecks(person)) {
      const why = whyClosed(who, { id: check });
      if (why !== null) throw new Error(`seed ${seed} is asked for ${check}, closed by ${why}`);
    }
  }
  expect(items).toBeGreaterThan(1000);
}, 240_000);

describe('the laws of closing', () => {
  const openThings = (person: OpenedCase) => [
    ...stageIds.filter((id) => judge(id, person).kind !== 'stop'),
    ...Object.entries(drillTable).flatMap(([id, drill]) =>
      isDrillOpen(person, drill) ? [id] : [],
    ),
  ];
  const withCare = (person: OpenedCase, more: Partial<Care>) =>
    openCase({ ...person, care: { ...person.care, ...more } });

  it('a caution, a pain or a sign more opens nothing; a wider note closes nothing; nor does time open', () => {
    for (let seed = 1; seed <= 250; seed += 1) {
      const { person } = invent(seed);
      const random = seededRandom(seed + 5);
      const before = new Set(openThings(person));
      const opens = (after: OpenedCase) => openThings(after).filter((id) => !before.has(id));
      const report = cautionIds[Math.floor(random() * cautionIds.length)]!;
      const place = painPlaces[Math.floor(random() * painPlaces.length)]!;
      const { reports, signs, pains = [], clearances } = person.care;
      expect([seed, opens(withCare(person, { reports: [...reports, report] }))]).toEqual([
        seed,
        [],
      ]);
      expect([seed, opens(withCare(person, { pains: [...pains, { place, date: asOf }] }))]).toEqual(
        [seed, []],
      );
      expect([
        seed,
        opens(withCare(person, { signs: [...signs, { sign: 'ringing', date: asOf }] })),
      ]).toEqual([seed, []]);
      const wider = clearances.map(({ ladders: _, ...note }) => ({
        ...note,
        covers: columns,
        until: ago(-400),
      }));
      const after = new Set(openThings(withCare(person, { clearances: wider })));
      expect([seed, [...before].filter((id) => !after.has(id))]).toEqual([seed, []]);
    }
  }, 120_000);
});

describe('the watcher bites', () => {
  const somebody = (care: Partial<Care>, pains: Watched['pains'] = []): Watched => ({
    care: { reports: [], otherWords: [], clearances: [], signs: [], ...care },
    asOf,
    pains,
  });

  it.each([
    ['forearm-slide', { reports: ['recent-event'] }],
    ['forearm-slide', { reports: ['headache'] }],
    ['hollow', { reports: ['osteoporosis'] }],
    ['childs-pose', { reports: ['eye'] }],
    ['SS5', { reports: ['neck-disc'] }],
    ['strap-passes', { reports: ['shoulder'] }],
    ['FS5', { signs: [{ sign: 'ringing', date: ago(3) }] }],
    ['HB8', { signs: [{ sign: 'tingling', date: ago(3) }] }],
  ] as const)('on %s for %j', (id, care) => {
    expect(whyClosed(somebody(care as Partial<Care>), { id })).not.toBeNull();
    expect(whyClosed(somebody({}), { id })).toBeNull();
  });

  it.each([
    ['HB10', 'leg'],
    ['CR6', 'hip'],
    ['mini-hops', 'leg'],
    ['SS4', 'shoulder'],
    ['SS10', 'shoulder'],
    ['SS2', 'elsewhere'],
  ] as const)('on %s for pain: %s', (id, place) => {
    expect(whyClosed(somebody({}, [{ place, date: ago(1) }]), { id })).not.toBeNull();
  });
});
