import fc from 'fast-check';
import { paceSeconds } from './pacer';
import { downAt, listRoundPace, type RoundTurn } from './roundPace';

const turn = (person: string, sets: number, seconds: number): RoundTurn => ({
  person,
  work: { sets, seconds },
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
    const turns = fc
      .array(
        fc.record({
          sets: fc.integer({ min: 1, max: 4 }),
          seconds: fc.integer({ min: 5, max: 60 }),
        }),
        {
          minLength: 1,
          maxLength: 12,
        },
      )
      .map((list) => list.map(({ sets, seconds }, index) => turn(String(index), sets, seconds)));
    fc.assert(
      fc.property(turns, fc.integer({ min: 2, max: 8 }), (list, minutes) => {
        const steps = listRoundPace(list, minutes);
        const holds = steps.filter(({ kind }) => kind === 'hold');
        for (const { person, work } of list) {
          const own = holds
            .filter(({ done = [] }) => !done.includes(person))
            .map(
              ({ seconds, down = [] }) =>
                down.find(({ people }) => people.includes(person))?.seconds ?? seconds,
            );
          expect(own).toEqual(Array.from({ length: work.sets }, () => work.seconds));
        }
        // Where there is time, it is rest, and no more of it than the round has.
        const worked = holds.reduce((sum, { seconds }) => sum + seconds, 0);
        const least = worked + 20 * (holds.length - 1);
        if (least <= minutes * 60) expect(paceSeconds(steps)).toBeLessThanOrEqual(minutes * 60);
      }),
    );
  });
});
