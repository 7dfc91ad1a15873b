import { resolveBody } from '@/core/body/body';
import type { EquipmentId } from '@/core/catalog/demand';
import type { PieceCount } from '@/core/catalog/pieces';
import type { School } from '@/core/catalog/school';
import { openCase, type OpenedCase, type PersonCase } from '@/core/ladder/case';
import type { Evidence } from '@/core/readiness/record';
import { toSetupInput } from '@/core/ladder/sized';
import { forearmKickSetup } from '@/core/setups/forearmKick';
import { keptDistances } from '@/core/setups/registry';
import type { Day } from '@/core/units/day';
import { careOf, type PersonRow } from '@/db/people';

export interface CaseContext {
  readonly school: School;
  readonly day: Day;
  readonly pieces: readonly PieceCount[];
}

const restPieces = ['blanket', 'bolster-rectangular', 'bolster-round', 'chair'];

/** What the cupboard holds that may stand in for a check, for this body. */
export function findEquipment(
  person: PersonRow,
  evidence: Evidence,
  context: CaseContext,
): EquipmentId[] {
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

export function makeCase(person: PersonRow, evidence: Evidence, context: CaseContext): OpenedCase {
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
