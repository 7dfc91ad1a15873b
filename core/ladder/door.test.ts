import { resolveBody } from '../body/body';
import { drillTable } from '../catalog/drills';
import { ladderIds } from '../catalog/stage';
import { stageIds, getStage } from '../catalog/stages';
import { keepingFeetDown } from '../compose/leftOver';
import { isDrillOpen } from '../compose/openToday';
import { listOptions } from '../compose/options';
import { usualHousehold } from '../home/household';
import { planHomePractice } from '../home/homePractice';
import { makeCase, type CaseChange } from '../testing/cases';
import { chooseAlternative, isOpenTo } from './alternative';
import { screeningQuestion, questionOf } from './door';
import { isCheckOpen } from './openChecks';
import { judge } from './verdict';
import { getCheck } from '../catalog/checks';

const never = { care: { isNeverScreened: true } } as const satisfies CaseChange;
const pieces = [
  { piece: 'foam-block', count: 9 },
  { piece: 'chair', count: 2 },
  { piece: 'flat-foam', count: 8 },
  { piece: 'shoulder-pad', count: 8 },
] as const;
const context = (family: 'forearm-stand' | 'shoulder-stand' | 'handstand' | 'headstand') => ({
  body: resolveBody({ heightM: 1.7 }),
  families: [family],
  ceilingM: 2.8,
  pieces,
});

describe('somebody never asked about their health', () => {
  it('does whatever is upside down or a try only if that is asked at the door', () => {
    for (const stage of stageIds) {
      const { columns, isAttempt } = getStage(stage);
      const isAsked =
        isAttempt === true || columns.some((one) => ['light', 'neck', 'shoulders'].includes(one));
      const { atDoor } = judge(stage, makeCase(never));
      expect([stage, atDoor.includes(screeningQuestion.label)]).toEqual([stage, isAsked]);
      expect(judge(stage, makeCase()).atDoor).not.toContain(screeningQuestion.label);
    }
  });

  it('has something beside it in the plan that asks nothing', () => {
    const { options } = listOptions(
      makeCase({ ...never, present: { 'forearm-stand': 'FS9' } }),
      context('forearm-stand'),
    );
    const kick = options.find(({ stage }) => stage === 'FS10')!;
    const beside = options.find(({ id }) => id === kick.fallback)!;
    expect(beside.atDoor).toEqual([]);
    expect(options.filter(({ alternative }) => alternative !== undefined)).not.toContainEqual(
      expect.objectContaining({ alternative: 'forearm-l' }),
    );
  });

  it('is not sent home with it, nor given it as an alternative, a drill or a check', () => {
    const person = makeCase(never);
    expect(isOpenTo('shoulder-rest', 'headstand', person)).toBe(false);
    expect(isOpenTo('shoulder-rest', 'headstand', makeCase())).toBe(true);
    expect(chooseAlternative('headstand', person)).toBe('dolphin-chair');
    expect(isCheckOpen(person, 'wall-hold', 'forearms')).toBe(false);
    expect(isCheckOpen(person, 'dolphin-hold', undefined)).toBe(true);
    expect(isDrillOpen(person, drillTable['mini-hops'])).toBe(false);
    const home = planHomePractice(
      makeCase({ ...never, evidence: {}, present: { 'forearm-stand': 'FS7' } }),
      { body: resolveBody({ heightM: 1.7 }) },
      ladderIds,
      usualHousehold,
    );
    expect(home.items.length).toBeGreaterThan(0);
    for (const { id } of home.items) {
      const columns =
        (drillTable as Readonly<Record<string, { columns: readonly string[] } | undefined>>)[id]
          ?.columns ?? [];
      expect(columns).not.toContain('light');
      expect(columns).not.toContain('neck');
    }
  });
});

describe('questions', () => {
  it('are asked at the door, but talking in the middle of the hold', () => {
    expect(questionOf('neck-ease', getCheck('neck-ease'))?.askedIn).toBe('the-door');
    expect(questionOf('talk-test', getCheck('talk-test'))).toMatchObject({
      askedIn: 'the-hold',
      question: getCheck('talk-test').method,
    });
    expect(questionOf('plank-hold', getCheck('plank-hold'))).toBeNull();
  });
});

describe('feet down today', () => {
  it.each(['forearm-stand', 'shoulder-stand', 'handstand', 'headstand'] as const)(
    'leaves floor versions in every family: %s',
    (family) => {
      const top = {
        'forearm-stand': 'FS10',
        'shoulder-stand': 'SS7',
        handstand: 'HB11',
        headstand: 'HS7',
      }[family];
      const person = makeCase({ present: { [family]: top } });
      const { options, fallbacks } = listOptions(person, context(family));
      const left = keepingFeetDown(options, {});
      expect(options.some(({ feetUp }) => feetUp)).toBe(true);
      for (const option of [...left, ...keepingFeetDown(fallbacks, {})]) {
        expect(option.isAttempt).toBeUndefined();
        expect(['legs-up', 'sacrum-stack', 'shoulder-rest', 'forearm-l']).not.toContain(
          option.alternative,
        );
        const spec = option.stage === undefined ? null : getStage(option.stage as never);
        for (const column of spec?.columns ?? []) {
          expect(['light', 'neck', 'shoulders']).not.toContain(column);
        }
      }
      // Something to do that is not watching.
      expect(left.some(({ isRest }) => isRest !== true)).toBe(true);
    },
  );
});
