import { readFileSync } from 'node:fs';
import loadHighs, { type Highs } from 'highs';
import type { z } from 'zod';
import { runCommand } from './commands';
import { composeOutput } from '../files/planFile';

type Plan = z.infer<typeof composeOutput>;
const example = JSON.parse(readFileSync('docs/formats/compose.example.json', 'utf8'));
let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const run = (change: object = {}) =>
  runCommand('compose', JSON.stringify({ ...example, ...change }), { highs });
const planAnew = (change: object = {}): Plan => {
  const result = run(change);
  if (!result.ok) throw new Error(`${result.error.path.join('.')}: ${result.error.message}`);
  return composeOutput.parse(result.output);
};
/** The example as it is: composed once, and looked at by several. */
let ofExample: Plan | undefined;
const plan = (change?: object): Plan =>
  change === undefined ? (ofExample ??= planAnew()) : planAnew(change);
const optionsOf = (one: Plan, id: string) =>
  one.rounds.map(({ people }) => people.find((person) => person.id === id)!);

describe('a class file', () => {
  it('becomes a plan with everybody in every round, its bound and its gap', () => {
    const made = plan();
    expect(made.rounds).toHaveLength(3);
    for (const { people } of made.rounds)
      expect(people.map(({ id }) => id)).toEqual(['A', 'B', 'C', 'D', 'E', 'F']);
    expect(made.bound).toBeGreaterThanOrEqual(made.objective);
    expect(made.gapPercent).toBeLessThanOrEqual(1.01);
    expect(made.stoppedBy).toBe('gap');
  });

  it('keeps walls, props, hands and places, each checked from the plan alone', () => {
    const made = plan();
    const counts = new Map<string, number>(
      example.pieces.map(({ piece, count }: { piece: string; count: number }) => [piece, count]),
    );
    // A long strap does where a short one is asked for.
    const of = (row: string) =>
      row === 'strap-180' ? (counts.get('strap-240') ?? 0) : (counts.get(row) ?? 0);
    let rounds = 0;
    for (const { people, pieces, handsUsed } of made.rounds) {
      for (const { row, used } of pieces) expect(used).toBeLessThanOrEqual(of(row));
      expect(handsUsed).toBe(people.filter(({ needsHand }) => needsHand).length);
      if (handsUsed > 0) rounds += 1;
      expect(handsUsed).toBeLessThanOrEqual(1);
      for (const span of made.spans) {
        const here = people
          .flatMap(({ place }) => (place.kind === 'lane' && place.span === span.id ? [place] : []))
          .sort((a, b) => a.fromM - b.fromM);
        here.forEach((lane, index) => {
          expect(lane.fromM).toBeGreaterThanOrEqual(
            (index > 0 ? here[index - 1]!.toM : span.fromM) - 1e-9,
          );
          expect(lane.toM).toBeLessThanOrEqual(span.toM + 1e-9);
        });
      }
    }
    expect(rounds).toBeLessThanOrEqual(2);
  });

  it('gives nobody what is closed to them: another shape for who is stopped, no hands for who said no', () => {
    const people = example.people.map((person: { id: string }) =>
      person.id === 'E' ? { ...person, cautions: ['eye'] } : person,
    );
    const made = plan({ helpers: 3, people });
    for (const option of optionsOf(made, 'E'))
      expect(option.role === 'alternative' || option.role === 'rest').toBe(true);
    for (const option of optionsOf(made, 'F')) expect(option.needsHand).toBe(false);
    for (const option of made.rounds.flatMap(({ people }) => people)) {
      if (option.id === 'B' && option.needsHand) expect(option.asksFirst).toBe(true);
      expect(option.why.length).toBeGreaterThan(3);
    }
  });

  it('puts nobody under a beam lower than their own reach', () => {
    const made = plan();
    const heightOf = (id: string): number =>
      example.people.find((person: { id: string }) => person.id === id).body.heightM;
    let kicks = 0;
    for (const { id, option, place } of made.rounds.flatMap(({ people }) => people)) {
      if (!['FS9', 'FS10'].includes(option?.split('+')[0] ?? '') || place.kind !== 'lane') continue;
      kicks += 1;
      const { lowestM } = made.spans.find((span) => span.id === place.span)!;
      expect(lowestM).toBeGreaterThanOrEqual(1.08 * heightOf(id) + 0.15 - 1e-9);
    }
    expect(kicks).toBeGreaterThan(0);
  });

  it('says what one more of a thing would do, by solving again', () => {
    const people = example.people.slice(0, 4);
    const scarce = plan({ people, pieces: [{ piece: 'chair', count: 1 }] });
    const block = scarce.binding.find(({ id }) => id === 'foam-block')!;
    expect(block.gain).toBeGreaterThan(0);
    expect(block.words).toMatch(/^one more block: serves \d+ students? better/);
    const richer = plan({
      people,
      pieces: [
        { piece: 'chair', count: 1 },
        { piece: 'foam-block', count: 1 },
      ],
    });
    expect(richer.objective - scarce.objective).toBeCloseTo(block.gain!, 6);
  });

  it('is the same for the same seed', () => {
    expect(plan({ seed: 4 })).toEqual(plan({ seed: 4 }));
  });

  it.each([
    ['no props', { pieces: [] }],
    [
      'no wall',
      {
        room: {
          ...example.room,
          blocked: ['north', 'east', 'south', 'west'].map((wall) => ({ wall, fromM: 0, toM: 6.5 })),
          doors: [],
        },
      },
    ],
    ['nobody', { people: [] }],
    ['one student', { people: example.people.slice(0, 1) }],
    ['a low room', { room: { ...example.room, ceilingM: 1.75, low: [] } }],
  ])('makes a plan with %s', (_, change) => {
    const made = plan(change);
    expect(made.rounds).toHaveLength(3);
    expect(Number.isFinite(made.objective)).toBe(true);
  });

  it('lets nobody stand under a ceiling lower than their reach', () => {
    const made = plan({ room: { ...example.room, ceilingM: 1.75, low: [] } });
    const kicks = made.rounds.flatMap(({ people }) =>
      people.filter(({ option }) => option?.startsWith('FS10')),
    );
    expect(kicks).toEqual([]);
  });

  it.each([
    [{ version: 2 }, ['version']],
    [{ colour: 'blue' }, ['colour']],
    [{ rounds: 9 }, ['rounds']],
    [{ people: [example.people[0], example.people[0]] }, ['people', 1, 'id']],
    [
      { room: { ...example.room, doors: [{ wall: 'west', fromM: 2, toM: 1, opensIn: true }] } },
      ['room', 'doors', 0, 'toM'],
    ],
    [
      { people: [{ ...example.people[0], present: { handstand: 'FS5' } }] },
      ['people', 0, 'present', 'handstand'],
    ],
  ])('refuses by its path what cannot be, %#', (change, path) => {
    const result = run(change);
    expect(!result.ok && result.error.path).toEqual(path);
  });
});
