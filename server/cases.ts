import { resolveBody } from '@/core/body/body';
import type { EquipmentId } from '@/core/catalog/demand';
import type { PieceCount } from '@/core/catalog/pieces';
import type { School } from '@/core/catalog/school';
import { openCase, type OpenedCase } from '@/core/ladder/case';
import type { Evidence } from '@/core/readiness/record';
import { forearmKickSetup } from '@/core/setup/forearmKick';
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
  { school, pieces }: CaseContext,
): EquipmentId[] {
  const has = (id: string) => pieces.some(({ piece, count }) => piece === id && count > 0);
  const equipment: EquipmentId[] = [];
  if (has('wedge')) equipment.push('wedge');
  if (restPieces.some(has)) equipment.push('toe-rest');
  // A lift is only looked for where the head is known to come near the floor.
  const clearance = school.checks.get('head-clearance');
  const newest = evidence['head-clearance']?.at(-1);
  if (clearance && newest && newest.value < clearance.bar && canLift(person, school, pieces)) {
    equipment.push('forearm-lift');
  }
  return equipment;
}

/** Can the cupboard make the firm lift this body needs under both forearms? */
function canLift(person: PersonRow, school: School, pieces: readonly PieceCount[]): boolean {
  const { lift } = forearmKickSetup({
    body: resolveBody(person.body),
    profile: school.profile.origin,
    settings: school.settings,
    pieces,
  });
  return lift !== null;
}

export function makeCase(person: PersonRow, evidence: Evidence, context: CaseContext): OpenedCase {
  return openCase({
    asOf: context.day,
    school: context.school,
    evidence,
    care: careOf(person),
    consent: person.consent,
    present: person.present,
    equipment: findEquipment(person, evidence, context),
  });
}
