import { placeCircles } from '../room/pack';
import { roomFile } from '../room/roomFile';
import { placeEverybody, type Ground } from './places';
import type { Pattern, RoundOption } from './problem';

const room = roomFile.parse({
  format: 'levitar-room',
  version: 1,
  widthM: 3,
  depthM: 2,
  ceilingM: 2.6,
  blocked: [],
  doors: [],
  low: [],
});
const ground: Ground = {
  room,
  spans: [],
  placeBeside: (_, ids) =>
    placeCircles(
      { left: 0, right: 3, bottom: 0, top: 2 },
      ids.map((id) => ({ id, radiusM: 1 })),
    ),
};

const option = (id: string, value: number, more: Partial<RoundOption> = {}): RoundOption => ({
  id,
  value,
  heightM: 1,
  pieces: [],
  ...more,
});
const rest = option('rest', 0.05, { isRest: true });

const pattern = (...options: (RoundOption | null)[]): Pattern => ({
  options,
  wall: null,
  worth: 1,
  value: 1,
  brokenPins: 0,
});

/** By round: who has a mat of their own. */
const whoLies = (people: Readonly<Record<string, Pattern>>, rounds: number): string[][] =>
  placeEverybody(
    Object.entries(people).map(([id, one]) => ({ id, pattern: one })),
    rounds,
    ground,
  ).map((round) => [...round].flatMap(([id, { kind }]) => (kind === 'mat' ? id : [])).sort());

/** So many mats lie on this floor. */
const there = whoLies(
  Object.fromEntries(Array.from({ length: 9 }, (_, at) => [`p${at}`, pattern(option('a', 1))])),
  1,
)[0]!.length;

describe('where floor is short', () => {
  it('holds fewer than ask for it here', () => {
    expect(there).toBeGreaterThan(1);
    expect(there).toBeLessThan(5);
  });

  it('asks nobody what a round is worth while there is room: mats lie in the order of the list', () => {
    const laid = (values: readonly number[]) =>
      placeEverybody(
        values.map((value, at) => ({ id: `p${at}`, pattern: pattern(option('a', value)) })),
        1,
        ground,
      ).map((round) => [...round]);
    const even = Array.from({ length: there }, () => 0.5);
    expect(laid(even.map((_, at) => 0.1 + at / 10))).toEqual(laid(even));
  });

  it('gives it to whoever works before whoever rests or is not there', () => {
    const people = {
      resting: pattern(rest),
      late: pattern(null),
      ...Object.fromEntries(
        Array.from({ length: there }, (_, at) => [`w${at}`, pattern(option('a', 0.2))]),
      ),
    };
    expect(whoLies(people, 1)[0]).toEqual(Array.from({ length: there }, (_, at) => `w${at}`));
  });

  it('makes those take turns whose round is worth least', () => {
    const people = Object.fromEntries(
      Array.from({ length: there + 2 }, (_, at) => [`v${at}`, pattern(option('a', 0.1 + at / 10))]),
    );
    expect(whoLies(people, 1)[0]).toEqual(Array.from({ length: there }, (_, at) => `v${at + 2}`));
  });

  it('leaves a mat with whoever has it while they work, not while they rest', () => {
    const small = option('a', 0.2);
    const large = option('b', 0.9);
    const people: Record<string, Pattern> = {
      stays: pattern(small, small, small),
      goes: pattern(small, rest, small),
      ...Object.fromEntries(
        Array.from({ length: there - 2 }, (_, at) => [`w${at}`, pattern(small, small, small)]),
      ),
      late: pattern(null, large, large),
    };
    const [first, second, third] = whoLies(people, 3);
    expect(first).toContain('goes');
    expect(second).not.toContain('goes');
    expect(second).toContain('late');
    // Back again, the mat of somebody who works is not taken from them.
    expect(third).toEqual(second);
  });
});

describe('clear circles', () => {
  const free = pattern(
    option('free', 1, { needsCircle: true }),
    option('free', 1, { needsCircle: true }),
  );
  const people = ['a', 'b'].map((id) => ({ id, pattern: free }));

  it('are one for each, or there is no plan', () => {
    expect(() => placeEverybody(people, 2, ground)).toThrow('fewer circles');
    const [alone] = placeEverybody(people.slice(0, 1), 1, ground);
    expect(alone!.get('a')).toMatchObject({ kind: 'circle' });
  });

  it('of a round that is over are not counted anew, with whoever has come since', () => {
    const later = pattern(option('free', 1, { needsCircle: true }), rest);
    const [first, second] = placeEverybody([people[0]!, { id: 'b', pattern: later }], 2, ground, 1);
    expect(first!.get('a')?.kind).not.toBe('circle');
    expect(second!.get('a')?.kind).toBe('circle');
  });
});
