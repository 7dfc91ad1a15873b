import { resolveBody } from '@/core/body/body';
import type { EquipmentId } from '@/core/catalog/demand';
import { openCase, type OpenedCase, type PersonCase } from '@/core/ladder/case';
import type { Evidence } from '@/core/readiness/record';
import { toSetupInput } from '@/core/ladder/sized';
import { forearmKickSetup } from '@/core/setups/forearmKick';
import { keptDistances } from '@/core/setups/registry';
import { isSettled, type Db } from '@/db/open';
import { careOf, type PersonRow } from '@/db/people';
import { readEvidence } from '@/db/records';
import { stampCase, type CaseContext } from './stamps';

export type { CaseContext };

const restPieces = ['blanket', 'bolster-rectangular', 'bolster-round', 'chair'];

/** What the cupboard holds that may stand in for a check, for this body. */
function findEquipment(person: PersonRow, evidence: Evidence, context: CaseContext): EquipmentId[] {
  const { school, pieces } = context;
  const has = (id: string) => pieces.some(({ piece, count }) => piece === id && count > 0);
  const equipment: EquipmentId[] = [];
  if (has('wedge')) equipment.push('wedge');
  if (restPieces.some(has)) equipment.push('toe-rest');
  // A lift is only looked for where the head is known to come near the floor.
  const clearance = school.checks.get('head-clearance');
  const newest = evidence['head-clearance']?.at(-1);
  if (clearance && newest && newest.value < clearance.bar && canLift(person, evidence, context)) {
    equipment.push('forearm-lift');
  }
  return equipment;
}

/** Can the cupboard make the firm lift this body needs under both forearms? */
function canLift(person: PersonRow, evidence: Evidence, context: CaseContext): boolean {
  const { lift } = forearmKickSetup(
    toSetupInput(
      { school: context.school, evidence, asOf: context.day },
      { body: resolveBody(person.body), kept: keptDistances(person.kept) },
      context.pieces,
    ),
  );
  return lift !== null;
}

/** The words that name a stage; "never seen" is none. */
const placingsOf = ({ placings }: PersonRow): NonNullable<PersonCase['placings']> =>
  Object.fromEntries(
    Object.entries(placings).flatMap(([family, { stage, on }]) =>
      stage === null ? [] : [[family, { stage, on }]],
    ),
  );

function makeCase(person: PersonRow, evidence: Evidence, context: CaseContext): OpenedCase {
  return openCase({
    asOf: context.day,
    school: context.school,
    evidence,
    care: careOf(person),
    consent: person.consent,
    present: person.present,
    placings: placingsOf(person),
    equipment: findEquipment(person, evidence, context),
  });
}

/** A case holds all of a person's records: so many are kept, those asked for last. */
const mostCases = 200;
// One file of a studio, one memory: what is opened anew is read anew.
let casesOf = new WeakMap<Db, Map<string, OpenedCase>>();

/**
 * Everybody's case. Each person is read and judged once for a day, a school and a cupboard, and
 * again only when something about them has changed; the same case is the same object until then.
 */
export function readCases(
  db: Db,
  people: readonly PersonRow[],
  contextOf: (person: PersonRow) => CaseContext,
): Map<number, OpenedCase> {
  const known = isSettled(db)
    ? (casesOf.get(db) ?? new Map<string, OpenedCase>())
    : // Within a transaction everything may yet be taken back: judged for now alone.
      new Map<string, OpenedCase>();
  if (isSettled(db)) casesOf.set(db, known);
  const asked = people.map((person) => {
    const context = contextOf(person);
    return { person, context, stamp: stampCase(person, context) };
  });
  const evidence = readEvidence(
    db,
    asked.filter(({ stamp }) => !known.has(stamp)).map(({ person }) => person.id),
  );
  const found = new Map<number, OpenedCase>();
  for (const { person, context, stamp } of asked) {
    const opened = known.get(stamp) ?? makeCase(person, evidence.get(person.id) ?? {}, context);
    // Put last again: the first is the one that was not asked for the longest.
    known.delete(stamp);
    known.set(stamp, opened);
    found.set(person.id, opened);
  }
  for (const stamp of known.keys()) {
    if (known.size <= mostCases) break;
    known.delete(stamp);
  }
  return found;
}

/** One person's case. */
export const readCase = (db: Db, person: PersonRow, context: CaseContext): OpenedCase =>
  readCases(db, [person], () => context).get(person.id)!;

/** Drops every case; whoever is asked for next is read anew. */
export function forgetCases(): void {
  casesOf = new WeakMap();
}
