/**
 * What can only count against: over random people with random records, nothing that was closed opens
 * because of it; and what can only help closes nothing. Source: handbook 06, 07.
 */
import { cautionIds } from '../catalog/cautions';
import { checkIds, getCheck, type CheckId } from '../catalog/checks';
import { equipmentIds } from '../catalog/demand';
import { profileIds } from '../catalog/profiles';
import { ladderIds } from '../catalog/stage';
import { getStage, stageIds, type StageId } from '../catalog/stages';
import { seededRandom } from '../random';
import type { CheckRecord, Evidence } from '../readiness/record';
import { ago, asOf, everything, makeCase, type CaseChange } from '../testing/cases';
import { addDays } from '../units/day';
import { judge, type Verdict } from './verdict';
import { opensStage } from './verdictKinds';
import { ofMany } from '../testing/depth';

const people = ofMany(80, 20);
const daysAgo = [0, 1, 3, 7, 14, 21, 35, 60, 100];
/** Answers of the day: what was said of one day says nothing of another. */
const isOfTheDay = (check: CheckId) => getCheck(check).scoring.kind === 'same-day';

function inventSeen(seed: number) {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const recordsOf = (check: CheckId): CheckRecord[] => {
    const { scoring, voidedBy, hasSides } = getCheck(check);
    const isSmooth = scoring.kind === 'hold' || scoring.kind === 'measure';
    const all = everything[check] ?? [];
    const bases = [...new Set(all.map(({ base }) => base))];
    return bases
      .flatMap((base) =>
        Array.from({ length: 1 + Math.floor(random() * 5) }, (): CheckRecord => {
          const value = all[0]!.value * (random() < 0.5 ? 1 : 0.3 + random() * 0.7);
          return {
            date: ago(pick(daysAgo)),
            value: isSmooth ? value : Math.round(value),
            ...(base === undefined ? {} : { base }),
            ...(voidedBy.length > 0 && random() < 0.1 ? { faults: [pick(voidedBy)] } : {}),
            ...(hasSides && random() < 0.4 ? { side: pick(['left', 'right'] as const) } : {}),
          };
        }),
      )
      .sort((a, b) => a.date.localeCompare(b.date));
  };
  const evidence: Evidence = Object.fromEntries(
    checkIds.filter(() => random() < 0.9).map((check) => [check, recordsOf(check)]),
  );
  const present = Object.fromEntries(
    ladderIds
      .filter(() => random() < 0.8)
      .map((family) => [family, pick(stageIds.filter((id) => getStage(id).family === family))]),
  );
  const who: CaseChange & { evidence: Evidence } = {
    evidence,
    present,
    consent: pick(['yes', 'ask', 'no']),
    equipment: equipmentIds.filter(() => random() < 0.5),
    profile: pick(profileIds),
    care: { reports: random() < 0.2 ? [pick(cautionIds)] : [] },
  };
  return { who, pick };
}

type Judged = ReadonlyMap<StageId, Verdict>;
const judgeAll = (change: CaseChange): Judged => {
  const person = makeCase(change);
  return new Map(stageIds.map((stage) => [stage, judge(stage, person)]));
};
const turned = (from: Judged, to: Judged, isToOpen: boolean) =>
  stageIds.filter(
    (stage) =>
      opensStage(to.get(stage)!.kind) === isToOpen &&
      opensStage(from.get(stage)!.kind) !== isToOpen,
  );

it('opens nothing by what counts against, and closes nothing by what helps', () => {
  let open = 0;
  for (let seed = 1; seed <= people; seed += 1) {
    const { who, pick } = inventSeen(seed);
    const before = judgeAll(who);
    open += stageIds.filter((stage) => opensStage(before.get(stage)!.kind)).length;
    const said: [string, CaseChange, boolean][] = [];
    const against = (what: string, change: Partial<CaseChange>) =>
      said.push([what, { ...who, ...change }, true]);
    const helping = (what: string, change: Partial<CaseChange>) =>
      said.push([what, { ...who, ...change }, false]);

    const seen = checkIds.filter((check) => (who.evidence[check] ?? []).length > 0);
    const check = pick(seen.filter((one) => !isOfTheDay(one)));
    const spec = getCheck(check);
    const own = who.evidence[check]!;
    const withMore = (...more: CheckRecord[]) => ({
      evidence: { ...who.evidence, [check]: [...own, ...more] },
    });
    const { base } = own.at(-1)!;
    const today = { date: asOf, ...(base === undefined ? {} : { base }) };
    const { [check]: _, ...unseen } = who.evidence;

    against(`${check} never seen`, { evidence: unseen });
    against('one more report', {
      care: { reports: [...(who.care?.reports ?? []), pick(cautionIds)] },
    });
    for (const fault of spec.voidedBy.slice(0, 1)) {
      const { value } = everything[check]![0]!;
      against(`${check} with a fault`, withMore({ ...today, value, faults: [fault] }));
    }
    if (spec.scoring.kind === 'pass' || spec.scoring.kind === 'pass-of-last') {
      against(`${check} failed`, withMore({ ...today, value: 0 }));
    }
    const settled = Object.fromEntries(
      Object.entries(who.evidence).filter(([one]) => !isOfTheDay(one as CheckId)),
    );
    const later = addDays(asOf, pick([1, 7, 30]));
    against('a later day', { evidence: settled, asOf: later });
    helping('everything there is in the cupboard', { equipment: equipmentIds });
    helping('a yes to hands-on help', { consent: 'yes' });
    helping(
      `${check} held today`,
      withMore(...everything[check]!.map((record) => ({ ...record, date: asOf }))),
    );

    const unasked = judgeAll({ ...who, evidence: settled });
    for (const [what, change, isAgainst] of said) {
      const from = what === 'a later day' ? unasked : before;
      const wrong = turned(from, judgeAll(change), isAgainst).join(', ');
      if (wrong !== '') throw new Error(`seed ${seed}: ${what} turns ${wrong}`);
    }
  }
  // The net must have something in it to mean anything.
  expect(open).toBeGreaterThan(people * 5);
});
