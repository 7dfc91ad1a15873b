import fc from 'fast-check';
import { paceSeconds } from './pacer';
import { downAt, listRoundPace, type RoundTurn } from './roundPace';

const turn = (person: string, sets: number, seconds: number): RoundTurn => ({
  person,
  spans: Array<number>(sets).fill(seconds),
});

describe('one clock for a round', () => {
  it('holds everybody’s own dose: who has less comes down while the others go on', () => {
    const steps = listRoundPace([turn('a', 2, 30), turn('b', 2, 15), turn('c', 1, 30)], 4);
    expect(steps.map(({ kind, label }) => [kind, label])).toEqual([
      ['hold', 'Set 1 of 2'],
      ['reset', 'Down, rest'],
      ['hold', 'Set 2 of 2'],
    ]);
    expect(steps[0]).toMatchObject({ seconds: 30, down: [{ seconds: 15, people: ['b'] }] });
    expect(steps[0]).not.toHaveProperty('done');
    // The last set is as long as those who are left in it have.
    expect(steps[2]).toMatchObject({ seconds: 30, done: ['c'] });
    const left = listRoundPace([turn('a', 1, 40), turn('b', 2, 10)], 4);
    expect(left[2]).toMatchObject({ seconds: 10, done: ['a'] });
    expect(left[2]).not.toHaveProperty('down');
  });

  it('gives each set its own length: a hold first, then something counted', () => {
    const mixed: RoundTurn = { person: 'a', spans: [25, 25, 12, 12] };
    const holds = listRoundPace([mixed, turn('b', 3, 20)], 8).filter(({ kind }) => kind === 'hold');
    expect(holds.map(({ seconds }) => seconds)).toEqual([25, 25, 20, 12]);
    expect(holds[2]!.down).toEqual([{ seconds: 12, people: ['a'] }]);
    expect(listRoundPace([{ person: 'a', spans: [20, 0] }], 4)).toEqual([]);
  });

  it('leaves out what has no length of its own, and is nothing where nobody works by it', () => {
    expect(listRoundPace([turn('a', 1, 0)], 4)).toEqual([]);
    expect(listRoundPace([], 4)).toEqual([]);
    expect(listRoundPace([turn('a', 1, 20), turn('b', 1, 0)], 4)).toEqual([
      { kind: 'hold', label: 'Up', seconds: 20 },
    ]);
  });

  it('says who comes down when the moment comes, and who is next until then', () => {
    const [first] = listRoundPace([turn('a', 1, 30), turn('b', 1, 10), turn('c', 1, 20)], 4);
    expect(downAt(first!, 4)).toEqual({ now: null, next: { seconds: 10, people: ['b'] } });
    expect(downAt(first!, 11).now).toEqual({ seconds: 10, people: ['b'] });
    expect(downAt(first!, 11).next).toEqual({ seconds: 20, people: ['c'] });
    expect(downAt(first!, 28)).toEqual({ now: null, next: null });
  });

  it('asks of nobody more than their dose, and of everybody all of it', () => {
    const spans = fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 1, maxLength: 5 });
    const turns = fc
      .array(spans, { minLength: 1, maxLength: 12 })
      .map((list) => list.map((own, index): RoundTurn => ({ person: String(index), spans: own })));
    fc.assert(
      fc.property(turns, fc.integer({ min: 2, max: 8 }), (list, minutes) => {
        const steps = listRoundPace(list, minutes);
        const holds = steps.filter(({ kind }) => kind === 'hold');
        for (const { person, spans: asked } of list) {
          const own = holds
            .filter(({ done = [] }) => !done.includes(person))
            .map(
              ({ seconds, down = [] }) =>
                down.find(({ people }) => people.includes(person))?.seconds ?? seconds,
            );
          expect(own).toEqual(asked);
        }
        // Where there is time, it is rest, and no more of it than the round has.
        const worked = holds.reduce((sum, { seconds }) => sum + seconds, 0);
        const least = worked + 20 * (holds.length - 1);
        if (least <= minutes * 60) expect(paceSeconds(steps)).toBeLessThanOrEqual(minutes * 60);
      }),
    );
  });
});
