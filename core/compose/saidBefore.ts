/** What was said before the class: who is there for a line, and who is out of it. */
import type { DrillBook } from '../catalog/drills';
import { closedRegions, type BodyRegion } from '../catalog/regions';
import { ladderTable } from '../catalog/stage';
import { drillLiftsFeet, regionsOf } from '../ladder/asked';
import type { Wishes } from './prepared';
import { doneByAll, type Line } from './sittingOut';

/** Who is there for a line: nobody who is away, and for what comes before the rounds nobody who is late. */
export function thereFor<T extends { readonly id: string }>(
  { kind }: Line,
  people: readonly T[],
  { absent, late }: Pick<Wishes, 'absent' | 'late'>,
): T[] {
  const isBefore = comesBeforeRounds(kind);
  return people.filter(
    ({ id }) => !absent.includes(id) && !(isBefore && late.some(({ person }) => person === id)),
  );
}

function comesBeforeRounds(kind: Line['kind']): boolean {
  switch (kind) {
    case 'arrive':
    case 'drill':
    case 'pause':
    case 'checks':
      return true;
    case 'settle':
    case 'round':
    case 'reset':
    case 'counter':
    case 'release':
    case 'rest':
      return false;
    default:
      return kind satisfies never;
  }
}

/** Did somebody say before the class that a place is sore which closes one of these regions? */
export const isSoreIn = (
  id: string,
  regions: readonly BodyRegion[],
  sore: Wishes['sore'],
): boolean =>
  sore.some(
    ({ person, place }) =>
      person === id && closedRegions(place).some((region) => regions.includes(region)),
  );

/** Whoever said before the class that something is sore, or that the feet stay down, sits out what meets it. */
export function outAsWished(
  line: Line,
  { sore = [], feetDown = [] }: Partial<Pick<Wishes, 'sore' | 'feetDown'>>,
  drills: DrillBook,
): (id: string) => boolean {
  const done = doneByAll(line);
  const drill = done === null ? undefined : drills[done];
  const used = drill === undefined ? counterRegions(line) : regionsOf(drill);
  return (id) =>
    (drill !== undefined && feetDown.includes(id) && drillLiftsFeet(drill)) ||
    isSoreIn(id, used, sore);
}

/** What the counterpose of a line loads or strains; empty for every other line. */
export const counterRegions = ({ kind, family }: Line): BodyRegion[] =>
  kind === 'counter' && family !== undefined ? regionsOf(ladderTable[family].counter) : [];
