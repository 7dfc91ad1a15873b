import { sayPlanChanges } from './planChanges';

type Plan = Parameters<typeof sayPlanChanges>[0];

const plan = (
  rounds: readonly Readonly<Record<string, string | null>>[],
  drills: readonly string[] = [],
): Plan =>
  ({
    rounds: rounds.map((people, index) => ({
      round: index + 1,
      people: Object.entries(people).map(([id, option]) => ({
        id,
        option,
        label: option === null ? 'Out' : option.toUpperCase(),
      })),
    })),
    timeline: drills.map((label) => ({ kind: 'drill', label })),
  }) as unknown as Plan;

const name = (id: string) => ({ a: 'Ada', b: 'Bo' })[id] ?? id;

describe('what a word changes', () => {
  it('is said person by person, with the rounds', () => {
    const before = plan([
      { a: 'dog', b: 'hop' },
      { a: 'dog', b: 'hop' },
      { a: 'l', b: 'hop' },
    ]);
    const after = plan([
      { a: 'dog', b: null },
      { a: 'l', b: 'hop' },
      { a: 'dog', b: 'hop' },
    ]);
    expect(sayPlanChanges(before, after, name)).toEqual([
      'Ada: L in round 2; DOG in round 3.',
      'Bo: not there yet in round 1.',
    ]);
  });

  it('is nothing where nothing is otherwise', () => {
    const same = plan([{ a: 'dog' }], ['boat']);
    expect(sayPlanChanges(same, same, name)).toEqual([]);
  });

  it('names who goes, who comes, and what moves in the order', () => {
    expect(
      sayPlanChanges(
        plan([{ a: 'dog' }], ['boat', 'slide']),
        plan([{ b: 'dog' }], ['slide', 'melt']),
        name,
      ),
    ).toEqual([
      'Ada is left out.',
      'Bo is in it.',
      'No longer in the order: boat.',
      'New in the order: melt.',
    ]);
  });
});
