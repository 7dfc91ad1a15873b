/** Random people, and everything they are told: nothing of it may be what the handbook closes. */
import { checkKey } from '../catalog/keys';
import { resolveBody } from '../body/body';
import { cautionIds } from '../catalog/cautions';
import { drillTable } from '../catalog/drills';
import { painPlaces } from '../catalog/regions';
import { ladderIds, type StageKey } from '../catalog/stage';
import { getStage, stageIds, type StageId } from '../catalog/stages';
import type { Care } from '../caution/care';
import { isDrillOpen } from '../compose/openToday';
import { usualHousehold } from '../home/household';
import { planHomePractice } from '../home/homePractice';
import { openCase, type OpenedCase } from '../ladder/case';
import { rankChecks } from '../ladder/tonight';
import { judge } from '../ladder/verdict';
import { seededRandom } from '../random';
import { ago, asOf, makeCase } from './cases';
import {
  allColumns,
  inventPerson,
  isShown,
  tellDrill,
  tellStage,
  watchPerson,
} from './inventPerson';
import { whyClosed, type Told, type Watched } from './watcher';
import { ofMany, seedsTo } from './depth';

const people = ofMany(10_000, 500);
const body = resolveBody({ heightM: 1.7 });

it('tells nobody what the handbook closes to them', () => {
  let told = 0;
  let kept = 0;
  for (let seed = 1; seed <= people; seed += 1) {
    const found = watchPerson(seed);
    expect(found.wrong).toEqual([]);
    told += found.told;
    kept += found.kept;
  }
  // The net caught something on both sides.
  expect(told).toBeGreaterThan(people);
  expect(kept).toBeGreaterThan(people);
}, 240_000);

/** Of a check, whether it was shown; what stands in for a shape is none. */
function wasShown(person: OpenedCase, id: string): boolean {
  const check = checkKey.safeParse(id);
  return check.success && isShown(person, [check.data]);
}

it('sends nobody home with what class closes, and asks nobody for what is closed', () => {
  let items = 0;
  for (const seed of seedsTo(1500, 200)) {
    const { person, who } = inventPerson(seed);
    const { items: sent } = planHomePractice(person, { body }, ladderIds, usualHousehold);
    for (const { id } of sent) {
      items += 1;
      const asked: Told =
        id in drillTable
          ? tellDrill(person, id as keyof typeof drillTable)
          : stageIds.some((stage) => stage === id)
            ? tellStage(person, id as StageId)
            : { id, isNew: !wasShown(person, id) };
      const why = whyClosed(who, asked);
      if (why !== null) throw new Error(`seed ${seed} takes home ${id}, closed by ${why}`);
    }
    for (const { check } of rankChecks(person)) {
      const why = whyClosed(who, { id: check });
      if (why !== null) throw new Error(`seed ${seed} is asked for ${check}, closed by ${why}`);
    }
  }
  expect(items).toBeGreaterThan(ofMany(1000, 130));
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
    for (const seed of seedsTo(250, 40)) {
      const { person } = inventPerson(seed);
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
        covers: allColumns,
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

describe('harder on the same branch', () => {
  /** What is done on the back or the feet to prepare the hands, and the other way round. */
  const ofAnotherKind = new Set(['HB2 HB3', 'HB2 HB4', 'SS1 SS2', 'SS1 SS3']);
  const isOther = (easier: string, harder: string) =>
    harder === 'HB5' || easier === 'HB5' || ofAnotherKind.has(`${easier} ${harder}`);

  it('never opens what easier closes: for every pain and every caution, stage by stage', () => {
    const opened: string[] = [];
    let pairs = 0;
    for (const harder of stageIds) {
      const { family, branch } = getStage(harder);
      const school = makeCase().school;
      const path = (school.stages.get(harder)?.ways ?? []).flatMap((way) => way.path);
      for (const easier of new Set(path)) {
        const own = getStage(easier as StageId);
        if (easier === harder || own.family !== family || own.branch !== branch) continue;
        if (isOther(easier, harder)) continue;
        pairs += 1;
        const cares: Partial<Care>[] = [
          ...painPlaces.map((place) => ({ pains: [{ place, date: asOf }] })),
          ...cautionIds.map((id) => ({ reports: [id] })),
        ];
        for (const care of cares) {
          const person = makeCase({ care, present: { [family]: harder } });
          const isStopped = (stage: StageKey) => judge(stage, person).kind === 'stop';
          if (isStopped(easier) && !isStopped(harder)) {
            opened.push(`${easier} closed, ${harder} open: ${JSON.stringify(care)}`);
          }
        }
      }
    }
    expect(opened).toEqual([]);
    expect(pairs).toBeGreaterThan(100);
  });
});
