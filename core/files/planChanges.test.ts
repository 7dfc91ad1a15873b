import { sayPlanChanges } from './planChanges';

type Plan = Parameters<typeof sayPlanChanges>[0];

interface Beside {
  /** Who sits out which drill, and who is looked at for which check. */
  readonly out?: Readonly<Record<string, readonly string[]>>;
  readonly looks?: Readonly<Record<string, readonly string[]>>;
  readonly away?: readonly string[];
}

const plan = (
  rounds: readonly Readonly<Record<string, string | null>>[],
  drills: readonly string[] = [],
  { out = {}, looks = {}, away = [] }: Beside = {},
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
    timeline: drills.map((label) => ({
      kind: 'drill',
      label,
      ...(out[label] === undefined
        ? {}
        : { sitOut: out[label].map((id) => ({ id, instead: 'Seated' })) }),
    })),
    wishes: { absent: away },
    checks: Object.entries(looks).map(([label, people]) => ({
      label,
      people: people.map((id) => ({ id, why: '' })),
    })),
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

  it('tells what somebody sits out now, or does again, and what they are no longer looked at for', () => {
    const rounds = [{ a: 'dog', b: 'hop' }];
    const drills = ['Press-ups', 'pause', 'Boat', 'pause'];
    const before = plan(rounds, drills, {
      out: { Boat: ['b'] },
      looks: { Dolphin: ['a', 'b'], Plank: ['a'] },
    });
    const after = plan(rounds, drills, {
      out: { 'Press-ups': ['a'], pause: ['a'] },
      looks: { Dolphin: ['b'], Hollow: ['b'] },
    });
    expect(sayPlanChanges(before, after, name)).toEqual([
      'Ada: seated in place of press-ups and pause; not looked at for dolphin and plank.',
      'Bo: boat with the others.',
    ]);
    // What is new in the order, or gone from it, is told as that.
    const other = plan(rounds, ['Slide'], { out: { Slide: ['a'] } });
    expect(sayPlanChanges(plan(rounds, ['Press-ups']), other, name)).toEqual([
      'No longer in the order: Press-ups.',
      'New in the order: Slide.',
    ]);
  });

  it('tells of an evening without rounds who is left out of it, and who sits something out', () => {
    const before = plan([], ['Boat'], { looks: { Hollow: ['a', 'b'] } });
    const away = plan([], ['Boat'], { looks: { Hollow: ['b'] }, away: ['a'] });
    expect(sayPlanChanges(before, away, name)).toEqual(['Ada is left out.']);
    expect(sayPlanChanges(away, before, name)).toEqual(['Ada is in it.']);
    const sore = plan([], ['Boat'], { out: { Boat: ['b'] }, looks: { Hollow: ['a'] } });
    expect(sayPlanChanges(before, sore, name)).toEqual([
      'Bo: seated in place of boat; not looked at for hollow.',
    ]);
    expect(sayPlanChanges(away, away, name)).toEqual([]);
  });
});
