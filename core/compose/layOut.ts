/** What is fetched and measured before anybody comes: what stands where, and how much of it. */
import { byLetter } from './letters';
import { listEachOnce, type RowInUse } from '../pieces/rows';
import type { PieceCount } from '../catalog/pieces';
import { sayWallOf } from '../room/spanId';
import { formatStretch } from '../units/along';
import type { LengthUnits } from '../units/length';
import type { PlannedFigure } from './option';
import type { Place } from './places';
import { mostPieces } from './needs';
import type { PreparedClass } from './prepared';
import { findOption } from './readBack';
import { findStation, type Station } from './stations';
import type { ClassPlan } from './writePlan';

/** Where a place is, in words: `north wall, 0.9 to 1.8 m`. A plan as a file speaks in metres. */
export function placeWords(place: Place, units: LengthUnits = 'cm'): string {
  switch (place.kind) {
    case 'lane':
      return `${sayWallOf(place.span)}, ${formatStretch(place.fromM, place.toM, units)}`;
    case 'circle':
      return 'clear circle on the floor';
    case 'mat':
      return 'mat on the floor';
    case 'aside':
      return 'at the side';
  }
}

/** One thing to put somewhere before people come. */
export interface LayOutLine {
  readonly letter: string;
  readonly where: string;
  readonly props: readonly PieceCount[];
  /** Besides, for what must be confirmed at the door. */
  readonly fallbackProps: readonly PieceCount[];
  readonly people: readonly string[];
  readonly baseM?: number;
  /** What is set out by the tape there. */
  readonly figures?: readonly PlannedFigure[];
}

/**
 * What to put where: a line for each station at each place, both sets of props where something is
 * only open if confirmed at the door.
 */
export function listLayOut(
  plan: Pick<ClassPlan, 'rounds'>,
  stations: readonly Station[],
  prepared: Pick<PreparedClass, 'people'>,
): LayOutLine[] {
  const lines = new Map<
    string,
    Omit<LayOutLine, 'fallbackProps'> & { people: string[]; fallbackProps: readonly PieceCount[] }
  >();
  for (const { people } of plan.rounds) {
    for (const { id, option, place } of people) {
      const station = findStation(stations, id, option);
      if (station === undefined || option === null) continue;
      const where = placeWords(place);
      const beside = findOption(prepared, id, option.fallback ?? null)?.props ?? [];
      const key = `${station.letter}|${where}|${place.kind === 'lane' ? place.fromM : id}`;
      const known = lines.get(key);
      if (known !== undefined) {
        if (!known.people.includes(id)) known.people.push(id);
        // Two who take turns may have different things beside: all of it lies there.
        known.fallbackProps = mostPieces(known.fallbackProps, beside);
        continue;
      }
      lines.set(key, {
        letter: station.letter,
        where,
        props: option.props,
        fallbackProps: beside,
        people: [id],
        ...(option.baseM === undefined ? {} : { baseM: option.baseM }),
        ...(option.figures === undefined ? {} : { figures: option.figures }),
      });
    }
  }
  return [...lines.values()].sort((a, b) => byLetter(a.letter, b.letter));
}

interface PlacedRounds {
  readonly rounds: readonly {
    readonly people: readonly {
      readonly id: string;
      readonly letter: string | null;
      readonly place: Place;
    }[];
  }[];
}

/** Where a line of a kept plan is laid out, in the studio's units. */
export function layOutWhere(
  plan: PlacedRounds,
  line: Pick<LayOutLine, 'letter' | 'where' | 'people'>,
  units: LengthUnits,
): string {
  const there = plan.rounds
    .flatMap(({ people }) => people)
    .find(
      ({ id, letter, place }) =>
        letter === line.letter && line.people.includes(id) && placeWords(place) === line.where,
    );
  return there === undefined ? line.where : placeWords(there.place, units);
}

interface OutInRounds {
  readonly rounds: readonly { readonly pieces: readonly RowInUse[] }[];
}

export interface PieceOut extends Pick<RowInUse, 'row' | 'label' | 'of'> {
  readonly most: number;
}

/** The most of each row that is out at once; a piece that does for two kinds is named as the rarer. */
export function listOut(plan: OutInRounds): PieceOut[] {
  const rows = new Map<string, RowInUse>();
  for (const { pieces } of plan.rounds) {
    for (const one of pieces) {
      rows.set(one.row, { ...one, used: Math.max(rows.get(one.row)?.used ?? 0, one.used) });
    }
  }
  return listEachOnce([...rows.values()])
    .map(({ row, label, used: most, of }) => ({ row, label, most, of }))
    .filter(({ most }) => most > 0);
}
