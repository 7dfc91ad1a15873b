/** What a teacher should know of an order of their own: what is left out, and what cannot be done. */
import type { DrillBook } from '../catalog/drills';
import type { DrillSpec } from '../catalog/drillKinds';
import { isEverywhere } from '../catalog/pieces';
import { countRows, factsOfRows, rowLabel, rowsTaken } from '../pieces/rows';
import type { PlannedDrill } from './drillTask';
import type { PreparedClass, PreparedPerson, Wishes } from './prepared';
import type { TimelineItem } from './timeline';

/** Half of them do it while the others wait. */
const mostTurns = 2;

/**
 * The rows that so many people lack for a drill, taking turns in two halves.
 *
 * @returns each with how many there are
 */
export function listLacking(
  { pieces: asked }: Pick<DrillSpec, 'pieces'>,
  doing: number,
  pieces: PreparedClass['pieces'],
): { readonly row: string; readonly each: number; readonly there: number }[] {
  const rows = countRows(pieces);
  return rowsTaken(asked.filter((one) => !isEverywhere(one))).flatMap(({ piece, count }) => {
    const there = rows[piece] ?? 0;
    return there * mostTurns < doing * count ? [{ row: piece, each: count, there }] : [];
  });
}

/** Drills of one's own order that nobody may do, or that the cupboard has too little for. */
function sayCannot(
  drills: readonly PlannedDrill[],
  people: readonly Pick<PreparedPerson, 'closedDrills'>[],
  pieces: PreparedClass['pieces'],
): string[] {
  const facts = factsOfRows(pieces);
  return drills.flatMap(({ drill, spec }) => {
    const doing = people.filter(({ closedDrills }) => !closedDrills.includes(drill)).length;
    if (people.length > 0 && doing === 0) {
      return [`${spec.label}, in your order, is open to nobody who comes.`];
    }
    const lacking = listLacking(spec, doing, pieces);
    // Of rows that lie within each other the narrower one says it.
    return lacking
      .filter(({ row }) => !lacking.some((other) => facts[other.row]?.within === row))
      .map(
        ({ row, each, there }) =>
          `${spec.label}, in your order, takes ${rowLabel(row, each)} each: ${there === 0 ? 'there are none' : `${there === 1 ? 'there is' : 'there are'} ${there} for ${doing}`}.`,
      );
  });
}

/** What had to be taken from an order of the teacher's own, and what of it cannot be done. */
export function sayOrder(
  { order: asked = [], minutes }: Pick<Wishes, 'order' | 'minutes'>,
  timeline: readonly TimelineItem[],
  drills: readonly PlannedDrill[],
  book: DrillBook,
  {
    people,
    pieces,
  }: { readonly people: readonly PreparedPerson[]; readonly pieces: PreparedClass['pieces'] },
): string[] {
  // What was deleted since is no longer part of it; what does not fit goes from its end.
  const order = asked.filter(({ drill }) => book[drill] !== undefined);
  const kept = drills.length;
  const left = Math.max(0, order.length - kept);
  const sum = (lines: readonly { readonly minutes: number }[]) =>
    lines.reduce((total, { minutes: one }) => total + one, 0);
  const short = sum(order.slice(0, kept)) - sum(timeline.filter(({ kind }) => kind === 'drill'));
  return [
    ...(left === 0
      ? []
      : [
          `${minutes} min do not hold your order: its last ${left === 1 ? 'drill is' : `${left} drills are`} left out.`,
        ]),
    ...(order.length === 0 || short < 0.25
      ? []
      : [
          `Your drills are ${Math.round(2 * short) / 2} min longer than there is time for: the longest were made shorter.`,
        ]),
    ...(order.length === 0 ? [] : [...new Set(sayCannot(drills, people, pieces))]),
  ];
}
