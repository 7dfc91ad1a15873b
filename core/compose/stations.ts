/**
 * Set-ups by letter: everyone who does the same at the same distance with the same pieces shares one
 * figure and one letter, on the row of elevations, on the plan from above and on the lay-out list alike.
 */
import { kindOfRow } from '../pieces/rows';
import { letterOf } from './letters';
import type { PieceCount } from '../catalog/pieces';
import type { PlannedOption } from './option';
import type { Place } from './places';
import type { PreparedClass } from './prepared';
import type { ClassPlan } from './writePlan';

export interface Station {
  readonly letter: string;
  readonly option: PlannedOption;
  /** Everybody who is there in some round, first round first. */
  readonly people: readonly string[];
  /** Counted from 0. */
  readonly rounds: readonly number[];
  /** Somebody's distance there was found by trying. */
  readonly isFound: boolean;
}

const isBaseFound = ({ figures = [] }: PlannedOption): boolean =>
  figures.some(({ id, isFound }) => id === 'base' && isFound === true);

/** So far two of the same shape may be apart and still be set out as one. */
const tolerances = { baseM: 0.01, otherM: 0.02 } as const;

interface Measured extends Pick<PlannedOption, 'id' | 'baseM' | 'figures'> {
  /** Absent in plans that were kept before it was said. */
  readonly props?: readonly Pick<PieceCount, 'piece' | 'count'>[] | undefined;
}

const propsKey = (props: NonNullable<Measured['props']>): string =>
  props
    .map(({ piece, count }) => `${count} ${kindOfRow(piece)}`)
    .sort()
    .join();

/** Is this the same shape with the same pieces and figures, within what a tape can tell? */
export function agrees(a: Measured, b: Measured): boolean {
  if (a.id !== b.id) return false;
  const isNear = (one: number | undefined, other: number | undefined, mostM: number) =>
    one === undefined || other === undefined
      ? one === other
      : Math.abs(one - other) <= mostM + 1e-9;
  if (!isNear(a.baseM, b.baseM, tolerances.baseM)) return false;
  if (a.props && b.props && propsKey(a.props) !== propsKey(b.props)) return false;
  const figureOf = ({ figures = [] }: Measured, id: string) =>
    figures.find((one) => one.id === id)?.metres;
  const ids = new Set([...(a.figures ?? []), ...(b.figures ?? [])].map(({ id }) => id));
  return [...ids].every((id) =>
    isNear(figureOf(a, id), figureOf(b, id), id === 'base' ? tolerances.baseM : tolerances.otherM),
  );
}

/** A letter that was printed or begun with, and what it stood for. */
export interface KeptLetter extends Omit<Measured, 'id'> {
  readonly letter: string;
  readonly option: string;
  /** Whose it was: where two letters would do, whoever had one keeps it. */
  readonly people?: readonly string[];
}

/** Along the walls first, from their left ends, then the middle of the room. */
function rankOf(place: Place, spans: PreparedClass['spans']): number {
  switch (place.kind) {
    case 'lane':
      return 100 * spans.findIndex(({ id }) => id === place.span) + place.fromM;
    case 'circle':
      return 5000 + place.y * 20 + place.x;
    case 'mat':
      return 10_000 + place.y * 20 + place.x;
    case 'aside':
      return 90_000;
  }
}

interface Draft {
  readonly option: PlannedOption;
  /** Printed or begun with. */
  readonly letter?: string;
  readonly people: string[];
  readonly rounds: number[];
  readonly first: number;
  rank: number;
  isFound: boolean;
}

/**
 * Every set-up of the class with its letter; resting has none. Whoever has the same shape with the
 * same pieces and figures shares one.
 *
 * @param kept letters that stay what they are; what is new gets letters after all of them
 */
export function listStations(
  plan: Pick<ClassPlan, 'rounds'>,
  spans: PreparedClass['spans'],
  kept: readonly KeptLetter[] = [],
): Station[] {
  const found: Draft[] = [];
  // What a letter stood for it stands for, whoever of its people is still there: figures that agree
  // with it are its own, though they may agree with each other less.
  const standing = (id: string, option: PlannedOption): KeptLetter | undefined => {
    const fits = kept.filter(({ option: one, ...rest }) => agrees({ id: one, ...rest }, option));
    return fits.find(({ people = [] }) => people.includes(id)) ?? fits[0];
  };
  plan.rounds.forEach(({ people }, round) => {
    for (const { id, option, place } of people) {
      if (option === null || option.isRest) continue;
      const own = standing(id, option);
      const known = found.find(({ letter, option: one }) =>
        own === undefined ? letter === undefined && agrees(one, option) : letter === own.letter,
      );
      const rank = rankOf(place, spans);
      if (known === undefined) {
        found.push({
          ...(own === undefined
            ? { option }
            : { letter: own.letter, option: withFigures(option, own) }),
          people: [id],
          rounds: [round],
          rank,
          first: round,
          isFound: isBaseFound(option),
        });
        continue;
      }
      known.isFound ||= isBaseFound(option);
      if (!known.people.includes(id)) known.people.push(id);
      if (!known.rounds.includes(round)) known.rounds.push(round);
      if (round === known.first) known.rank = Math.min(known.rank, rank);
    }
  });
  const taken = new Set(kept.map(({ letter }) => letter));
  let next = 0;
  const fresh = (): string => {
    while (taken.has(letterOf(next))) next += 1;
    next += 1;
    return letterOf(next - 1);
  };
  return found
    .sort((a, b) => a.first - b.first || a.rank - b.rank)
    .map(({ option, letter = fresh(), people, rounds, isFound }) => ({
      letter,
      option,
      people,
      rounds,
      isFound,
    }));
}

/** The same at the distances that were written down; how each is known is said as it is known now. */
function withFigures(option: PlannedOption, { baseM, figures: written = [] }: KeptLetter) {
  const { figures } = option;
  return {
    ...option,
    ...(baseM === undefined ? {} : { baseM }),
    ...(figures === undefined
      ? {}
      : {
          figures: figures.map((one) => ({
            ...one,
            metres: written.find(({ id }) => id === one.id)?.metres ?? one.metres,
          })),
        }),
  };
}

/** The letter of what somebody does; absent for rest. Where two would do, the one they are at. */
export function findStation(
  stations: readonly Station[],
  id: string,
  option: PlannedOption | null,
): Station | undefined {
  if (option === null || option.isRest) return undefined;
  const fits = stations.filter((station) => agrees(station.option, option));
  return fits.find(({ people }) => people.includes(id)) ?? fits[0];
}
