/**
 * What must hold for everybody: over a hundred thousand random people (eight thousand of them unless
 * the run is deep), nothing opens that a caution, a stop sign, pain or a missing consent closes. The
 * rules are written out here a second time, straight from handbook 07, and not taken from the code
 * under test.
 */
import { getAlternative } from '../catalog/alternatives';
import type { CautionColumn } from '../catalog/cautionColumns';
import { cautionIds, cautionTable, type CautionId, type CautionSpec } from '../catalog/cautions';
import { profileIds } from '../catalog/profiles';
import { closedRegions, painPlaces, stopSigns } from '../catalog/regions';
import type { StageKey, StageSpec } from '../catalog/stage';
import { getStage, stageIds, type StageId } from '../catalog/stages';
import type { Clearance, SignReport } from '../caution/care';
import { seededRandom } from '../random';
import { ago, asOf, everything, makeCase } from '../testing/cases';
import { judge } from './verdict';
import { opensStage } from './verdictKinds';
import { ofMany } from '../testing/depth';

const people = ofMany(100_000, 8000);
const columns: readonly CautionColumn[] = [
  'mild',
  'light',
  'neck',
  'wrists',
  'effort',
  'shoulders',
  'reach',
];

/** Made up from a seed of its own; a failure names it. */
function invent(seed: number) {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!;
  const some = <T>(list: readonly T[], share: number) => list.filter(() => random() < share);
  const reports = some(cautionIds, 0.07);
  const clearances: Clearance[] = some(reports, 0.4).map((about) => ({
    about,
    covers: some(columns, 0.5),
    notedOn: ago(pick([-3, 0, 30])),
    until: ago(pick([-100, 0, 5])),
  }));
  const signs: SignReport[] =
    random() < 0.06 ? [{ sign: pick(stopSigns), date: ago(pick([0, 7, 40])) }] : [];
  if (signs.length > 0 && random() < 0.4) {
    clearances.push({
      about: 'stop-sign',
      covers: some(columns, 0.7),
      notedOn: ago(pick([0, 10, 50])),
      until: ago(pick([-99, 0, 3])),
    });
  }
  const place = random() < 0.2 ? pick([undefined, ...painPlaces]) : null;
  const painDay = ago(pick([0, 7, 30]));
  const stage = pick(stageIds);
  const present =
    random() < 0.3
      ? stage
      : pick<StageKey>(getStage(stage).after.length > 0 ? getStage(stage).after : [stage]);
  const painClearedOn = random() < 0.3 ? ago(pick([-1, 0, 3, 10, 31])) : undefined;
  return {
    stage,
    reports,
    clearances,
    signs,
    place,
    painDay,
    painClearedOn,
    present,
    isNew: present !== stage,
    person: makeCase({
      profile: pick(profileIds),
      consent: pick(['yes', 'ask', 'no'] as const),
      present: { [getStage(stage).family]: present },
      equipment: some(['wedge', 'forearm-lift', 'toe-rest'] as const, 0.5),
      evidence: {
        ...everything,
        ...(random() < 0.3 ? { 'forearm-plank-hold': [], 'dolphin-hold': [] } : {}),
        ...(place === null
          ? {}
          : {
              'crow-hold': [
                { date: painDay, value: 5, pain: true, ...(place ? { painPlace: place } : {}) },
              ],
            }),
      },
      care: { reports, clearances, signs, ...(painClearedOn ? { painClearedOn } : {}) },
    }),
  };
}

/** Was this stage passed on the way to where somebody stands? */
const isOnTheWay = (stage: StageKey, at: StageKey): boolean =>
  stage === at || getStage(at as StageId).after.some((before) => isOnTheWay(stage, before));

type Invented = ReturnType<typeof invent>;

/** Handbook 07, said again in another way: may shapes of this column be done at all? */
function isShut(who: Invented, column: CautionColumn, isFree: boolean, isNew: boolean): boolean {
  const answered = (id: CautionId | 'stop-sign') =>
    who.clearances.some(
      (note) =>
        note.about === id &&
        note.covers.includes(column) &&
        note.notedOn <= asOf &&
        note.until >= asOf,
    );
  const byReport = who.reports.some((id) => {
    const { outcome } = (cautionTable[id] as CautionSpec).columns[column];
    if (outcome === 'closed-today') return true;
    if (id === 'pregnancy' && column === 'neck') return isNew || !answered(id);
    if (outcome === 'refer' || outcome === 'closed') return !answered(id);
    if (id === 'blood-thinners' && column === 'light' && isFree) return !answered(id);
    if (id === 'pregnancy' && column === 'mild' && isNew) return !answered(id);
    return false;
  });
  const bySign = who.signs.some(
    ({ sign, date }) =>
      (['mild', 'light', 'neck', 'shoulders'].includes(column) ||
        (column === 'wrists' && sign === 'tingling')) &&
      !who.clearances.some(
        ({ about, covers, notedOn, until }) =>
          about === 'stop-sign' &&
          covers.includes(column) &&
          notedOn >= date &&
          notedOn <= asOf &&
          asOf <= until,
      ),
  );
  return byReport || bySign;
}

function hurts(who: Invented, { loads, strains }: Asking): boolean {
  if (who.place === null) return false;
  const gone = who.painClearedOn;
  if (gone !== undefined && gone > who.painDay && gone <= asOf) return false;
  return closedRegions(who.place).some((region) => region in loads || strains.includes(region));
}

interface Asking {
  readonly columns: readonly CautionColumn[];
  readonly loads: object;
  readonly strains: readonly string[];
}

/** Closed as it is, and closed as well where the wrists can be left out. */
function isClosedTo(who: Invented, spec: StageSpec): boolean {
  const ways: Asking[] = [spec];
  if (spec.sparesWrists !== undefined) {
    const { wrist: _, ...loads } = spec.loads;
    ways.push({ ...spec, loads, columns: spec.columns.filter((column) => column !== 'wrists') });
  }
  return ways.every(
    (way) =>
      way.columns.some((column) => isShut(who, column, spec.isFree === true, who.isNew)) ||
      hurts(who, way),
  );
}

it('opens nothing to thousands of people that a caution, a stop, pain or consent closes', () => {
  let opened = 0;
  let stopped = 0;
  for (let seed = 1; seed <= people; seed += 1) {
    const who = invent(seed);
    const spec = getStage(who.stage!);
    const verdict = judge(who.stage!, who.person);
    const isClosed = isClosedTo(who, spec);
    const isOpen = opensStage(verdict.kind);
    if (isOpen) opened += 1;
    if (verdict.kind === 'stop') stopped += 1;
    const wrong =
      (isClosed && verdict.kind !== 'stop') ||
      (!isClosed && verdict.kind === 'stop') ||
      (isOpen && verdict.needsAssist && who.person.consent === 'no') ||
      (verdict.kind === 'stop' && verdict.alternative === undefined);
    if (wrong)
      throw new Error(`seed ${seed}: ${who.stage} is ${verdict.kind}, ${verdict.reasons[0]}`);
    if (verdict.alternative === undefined) continue;
    const other = getAlternative(verdict.alternative);
    const isOtherNew = other.stage !== undefined && !isOnTheWay(other.stage, who.present!);
    const isOtherShut =
      other.columns.some((column) => isShut(who, column, false, isOtherNew)) || hurts(who, other);
    if (isOtherShut) throw new Error(`seed ${seed}: offers ${verdict.alternative}`);
  }
  // The net must catch something on both sides to mean anything.
  expect(opened).toBeGreaterThan(people / 10);
  expect(stopped).toBeGreaterThan(people / 5);
});
