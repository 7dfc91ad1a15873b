import type { EquipmentId } from '../catalog/demand';
import { closedRegions, type BodyRegion, type PainPlace } from '../catalog/regions';
import type { School } from '../catalog/school';
import type { LadderId, StageKey } from '../catalog/stage';
import { findOpenSign, type Care, type SignReport } from '../caution/care';
import { createAssessor, type Assessor } from '../readiness/assess';
import type { Evidence } from '../readiness/record';
import { dayNumber, type Day } from '../units/day';

export type Consent = 'yes' | 'ask' | 'no';

/** The teacher's word: this shape was seen, done in control. */
export interface Placing {
  readonly stage: StageKey;
  readonly on: Day;
}

/** Everything that decides about one person on one day. */
export interface PersonCase {
  readonly asOf: Day;
  readonly school: School;
  readonly evidence: Evidence;
  readonly care: Care;
  /** Hands-on help. */
  readonly consent: Consent;
  /** Where the student works now on each ladder; absent: not placed. */
  readonly present: Readonly<Partial<Record<LadderId, StageKey>>>;
  /** Where the teacher has seen them work, by their word of a day; evidence of its own kind. */
  readonly placings?: Readonly<Partial<Record<LadderId, Placing>>>;
  /** What the cupboard holds that may stand in for a check. */
  readonly equipment: readonly EquipmentId[];
}

/** Pain that has not been noted as gone, and what it closes. */
export interface OpenPain {
  readonly date: Day;
  readonly regions: ReadonlySet<BodyRegion>;
}

/** A person's case with what every stage asks of it computed once. */
export interface OpenedCase extends PersonCase {
  readonly assessor: Assessor;
  /** Newest first; several places may hurt. */
  readonly pains: readonly OpenPain[];
  readonly sign: SignReport | null;
}

/**
 * Reads a case for judging.
 *
 * @throws InputProblem for a day that is none, or a record after `asOf` (when its check is asked for)
 */
export function openCase(person: PersonCase): OpenedCase {
  dayNumber(person.asOf, ['asOf']);
  return {
    ...person,
    assessor: createAssessor(person),
    pains: findOpenPains(person),
    sign: findOpenSign(person.care, person.asOf),
  };
}

/** Did anything hurt before this day that was not noted as gone? It is asked about on arriving. */
export const isSoreBefore = ({ pains }: Pick<OpenedCase, 'pains'>, day: Day): boolean =>
  pains.some(({ date }) => date < day);

/**
 * Local pain closes what loads that region for the day, and until the student reports at a later
 * class that it is gone and the teacher notes it (handbook 07). A meeting without pain is no note.
 */
function findOpenPains({ evidence, care, asOf }: PersonCase): OpenPain[] {
  const { painClearedOn } = care;
  const byDay = new Map<Day, Set<BodyRegion>>();
  const note = (date: Day, place: PainPlace | undefined) => {
    // Said after it was felt, and not tomorrow.
    if (painClearedOn !== undefined && painClearedOn > date && painClearedOn <= asOf) return;
    const regions = byDay.get(date) ?? new Set();
    for (const region of closedRegions(place)) regions.add(region);
    byDay.set(date, regions);
  };
  for (const records of Object.values(evidence)) {
    for (const record of records ?? []) if (record.pain) note(record.date, record.painPlace);
  }
  for (const { date, place } of care.pains ?? []) note(date, place);
  return [...byDay]
    .map(([date, regions]) => ({ date, regions }))
    .sort((a, b) => (a.date < b.date ? 1 : -1));
}
