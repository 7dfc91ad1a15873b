/**
 * What is left of a sheet once something hurt at home or a stop sign was met: the same gatekeeper,
 * asked again with what was told. A phone cannot ask it, so the answers go home with the sheet.
 * Source: handbook 07 "One gatekeeper", "Stop signs".
 */
import { painPlaces, stopSigns, type PainPlace } from '../catalog/regions';
import type { PieceCount } from '../catalog/pieces';
import type { LadderId } from '../catalog/stage';
import type { Care } from '../caution/care';
import { openCase, type OpenedCase } from '../ladder/case';
import type { Sized } from '../ladder/sized';
import { tableOf } from '../units/keyed';
import type { HomeItem } from './homeItem';
import { listOpenAtHome, planHomePractice } from './homePractice';
import { listRestful } from './restful';

export interface AfterTold {
  /** Rows of the sheet that may go on, and what is for rest. */
  readonly open: readonly string[];
  /** Nothing of the sheet, and what to do instead. */
  readonly instead: string | null;
}

export interface AfterEach {
  readonly places: Readonly<Record<PainPlace, AfterTold>>;
  readonly sign: AfterTold;
}

/**
 * @param sheet the rows that go home
 * @returns for each place that may hurt, and for a stop sign, what stays open
 */
export function listAfterTold(
  person: OpenedCase,
  sized: Sized,
  families: readonly LadderId[],
  household: readonly PieceCount[],
  sheet: readonly Pick<HomeItem, 'id'>[],
): AfterEach {
  const after = (more: Partial<Care>): AfterTold => {
    const told = openCase({ ...person, care: { ...person.care, ...more } });
    const { instead, items } = planHomePractice(told, sized, families, household);
    const left = instead === null ? listOpenAtHome(told, sized, families, household) : items;
    const isOpen = new Set(left.map(({ id }) => id));
    return {
      open: [...sheet, ...listRestful(person)]
        .map(({ id }) => id)
        .filter((id, at, all) => isOpen.has(id) && all.indexOf(id) === at),
      instead,
    };
  };
  const { pains = [], signs, clearances } = person.care;
  const date = person.asOf;
  // A word that was noted until today does not answer what is met tomorrow.
  const words = clearances.filter(({ about }) => about !== 'stop-sign');
  return {
    places: tableOf(
      painPlaces.map((place) => [place, after({ pains: [...pains, { place, date }] })] as const),
    ) as Record<PainPlace, AfterTold>,
    // Whichever it was: what is open after one is open after any.
    sign: after({ clearances: words, signs: [...signs, { sign: stopSigns[0], date }] }),
  };
}
