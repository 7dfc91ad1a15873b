/** The running order as the file has it. */
import { drillTable } from '../catalog/drills';
import type { PreparedClass, Wishes } from '../compose/prepared';
import type { TimelineItem } from '../compose/timeline';
import { sayMoves } from './moveWords';
import { countMoves, writeLines } from './planLines';

const prepared = { people: [] } as unknown as PreparedClass;
const wishes = { absent: [], sore: [], feetDown: [] } as unknown as Wishes;

let at = 0;
const drill = (id: keyof typeof drillTable, minutes: number, more: object = {}): TimelineItem => ({
  id,
  kind: 'drill',
  label: id,
  minutes,
  startsAt: (at += 1),
  drill: id,
  spec: drillTable[id],
  ...more,
});
const pause: TimelineItem = { id: 'p', kind: 'pause', label: 'p', minutes: 1, startsAt: 0 };
const round: TimelineItem = { id: 'round-1', kind: 'round', label: 'r', minutes: 4, startsAt: 0 };

describe('a line', () => {
  it('says the dose, and how often over where it is much longer than the drill', () => {
    const dose = (minutes: number, more: object = {}) =>
      writeLines([drill('boat', minutes, more)], prepared, wishes)[0]!.dose;
    expect(dose(2)).toBe('5 times, a hold');
    expect(dose(2.5)).toBe('5 times, a hold');
    expect(dose(4)).toBe('5 times, a hold; 2 times over');
    // In two turns it takes half as long again, and is done once.
    expect(dose(3, { waves: 2 })).toBe('5 times, a hold');
  });

  it('fetches a thing once where two after another use it, also over a pause', () => {
    const lines = writeLines(
      [drill('outward-forearm', 2), pause, drill('block-behind-head', 2), drill('boat', 2)],
      prepared,
      wishes,
    );
    expect(lines.map(({ fetch }) => fetch)).toEqual([
      ['foam-block'],
      undefined,
      undefined,
      undefined,
    ]);
    expect(lines.map(({ putAway }) => putAway)).toEqual([
      undefined,
      undefined,
      ['foam-block'],
      undefined,
    ]);
  });

  it('leaves out what comes into use again, and puts it away before a round', () => {
    const moves = (items: readonly TimelineItem[]) =>
      writeLines(items, prepared, wishes).map(({ fetch = [], putAway = [] }) => [
        fetch.length,
        putAway.length,
      ]);
    const [first, between, last] = [
      drill('outward-forearm', 2),
      drill('boat', 2),
      drill('block-behind-head', 2),
    ];
    expect(moves([first, between, last])).toEqual([
      [1, 0],
      [0, 0],
      [0, 1],
    ]);
    expect(moves([first, between, round, last])).toEqual([
      [1, 1],
      [0, 0],
      [0, 0],
      [1, 1],
    ]);
  });

  it('begins anew after the rounds', () => {
    const lines = writeLines([drill('boat', 2), round, drill('hollow', 5)], prepared, wishes);
    expect(lines[2]).toMatchObject({ fetch: ['foam-block'] });
    expect(lines[2]).not.toHaveProperty('isMove');
  });
});

describe('moves', () => {
  it('are counted, and said', () => {
    const lines = writeLines(
      [drill('boat', 2), drill('outward-forearm', 2), drill('hollow', 5)],
      prepared,
      wishes,
    );
    expect(countMoves(lines)).toEqual({ positions: 2, props: 2 });
    expect(sayMoves(lines[1]!)).toBe('standing; fetch blocks');
    expect(sayMoves(lines[2]!)).toBe('on the back; then put away blocks');
    expect(sayMoves(lines[0]!)).toBe('');
  });
});
