/** Where people stand, kept per person until something about them changes. */
import { getStageIn, type School } from '@/core/catalog/school';
import type { LadderId, StageKey } from '@/core/catalog/stage';
import { findStands } from '@/core/ladder/stand';
import { rankChecks, type CheckWorth } from '@/core/ladder/tonight';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import type { AlternativeId } from '@/core/catalog/alternatives';
import { isSettled, type Db } from '@/db/open';
import type { PersonRow } from '@/db/people';
import { readCases, type CaseContext } from './cases';
import { toGateRow, type GateRow } from './gateRows';
import { stampCase } from './stamps';

/** One person on one ladder, as plain data for the screens. */
export interface Standing {
  readonly family: LadderId;
  readonly present: StageKey | null;
  readonly presentLabel: string | null;
  readonly next: {
    readonly stage: StageKey;
    readonly label: string;
    readonly kind: VerdictKind;
    readonly reasons: readonly string[];
    readonly atDoor: readonly string[];
    readonly alternative: AlternativeId | null;
    readonly watches: readonly string[];
    /** What is not met, weakest first. */
    readonly obstacles: readonly GateRow[];
  } | null;
  readonly asides: readonly { readonly stage: StageKey; readonly label: string }[];
}

export interface PersonStanding {
  readonly standings: readonly Standing[];
  /** Checks worth taking; `null` where nobody has asked for them yet. */
  readonly worth: readonly CheckWorth[] | null;
}

interface Kept {
  readonly stamp: string;
  readonly standing: PersonStanding;
}

// One teacher's studio: a few thousand people at the very most. One file, one memory.
let standingsOf = new WeakMap<Db, Map<number, Kept>>();

/**
 * Everyone's standing; only those who changed since the last time are judged again.
 *
 * @param withWorth ranks the checks worth taking as well, which costs as much again
 */
export function readStandings(
  db: Db,
  people: readonly PersonRow[],
  contextOf: (person: PersonRow) => CaseContext,
  withWorth = false,
): Map<number, PersonStanding> {
  const kept = isSettled(db)
    ? (standingsOf.get(db) ?? new Map<number, Kept>())
    : new Map<number, Kept>();
  if (isSettled(db)) standingsOf.set(db, kept);
  const found = new Map<number, PersonStanding>();
  const open: { person: PersonRow; context: CaseContext; stamp: string }[] = [];
  for (const person of people) {
    const context = contextOf(person);
    const stamp = stampCase(person, context);
    const known = kept.get(person.id);
    const isEnough = !withWorth || (known?.standing.worth ?? null) !== null;
    if (known?.stamp === stamp && isEnough) found.set(person.id, known.standing);
    else open.push({ person, context, stamp });
  }
  const contexts = new Map(open.map(({ person, context }) => [person.id, context]));
  const cases = readCases(
    db,
    open.map(({ person }) => person),
    ({ id }) => contexts.get(id)!,
  );
  for (const { person, context, stamp } of open) {
    const opened = cases.get(person.id)!;
    const standing = {
      standings: findStands(opened).map((stand) => toStanding(stand, context.school)),
      worth: withWorth ? rankChecks(opened) : null,
    };
    kept.set(person.id, { stamp, standing });
    found.set(person.id, standing);
  }
  return found;
}

/** For measuring, and for tests that look over the same people twice. */
export function forgetStandings(): void {
  standingsOf = new WeakMap();
}

function toStanding(stand: ReturnType<typeof findStands>[number], school: School): Standing {
  const labelOf = (stage: StageKey) => school.stages.get(stage)?.spec.label ?? stage;
  const { next, present } = stand;
  return {
    family: stand.family,
    present,
    presentLabel: present === null ? null : labelOf(present),
    next:
      next === null
        ? null
        : {
            stage: next.stage,
            label: getStageIn(school, next.stage).spec.label,
            kind: next.kind,
            reasons: next.reasons,
            atDoor: next.atDoor,
            alternative: next.alternative ?? null,
            watches: next.caution.isOpen ? next.caution.adaptations : [],
            obstacles:
              next.kind === 'stop'
                ? []
                : next.items
                    .filter(({ status, isAtDoor }) => status !== 'met' && !isAtDoor)
                    .map((item) => toGateRow(item, school)),
          },
    asides: stand.asides.map((stage) => ({ stage, label: labelOf(stage) })),
  };
}
