/** Where people stand, kept per person until something about them changes. */
import type { PieceCount } from '@/core/catalog/pieces';
import { getStageIn, type School } from '@/core/catalog/school';
import type { LadderId, StageKey } from '@/core/catalog/stage';
import { findStands } from '@/core/ladder/stand';
import { rankChecks, type CheckWorth } from '@/core/ladder/tonight';
import type { VerdictKind } from '@/core/ladder/verdict';
import type { AlternativeId } from '@/core/catalog/alternatives';
import type { Day } from '@/core/units/day';
import type { Db } from '@/db/open';
import type { PersonRow } from '@/db/people';
import { readEvidence } from '@/db/records';
import { makeCase } from './cases';
import { toGateRow, type GateRow } from './gateRows';

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

// One teacher's studio: a few thousand people at the very most.
const kept = new Map<number, Kept>();

export interface StandingContext {
  readonly school: School;
  readonly day: Day;
  readonly pieces: readonly PieceCount[];
}

const schoolStamps = new WeakMap<School, number>();
let nextStamp = 1;

/** Schools are built anew when anything in them changes, so that being the same one is enough. */
function stampOf(school: School): number {
  const known = schoolStamps.get(school);
  if (known !== undefined) return known;
  schoolStamps.set(school, nextStamp);
  nextStamp += 1;
  return nextStamp - 1;
}

/**
 * Everyone's standing; only those who changed since the last time are judged again.
 *
 * @param withWorth ranks the checks worth taking as well, which costs as much again
 */
export function readStandings(
  db: Db,
  people: readonly PersonRow[],
  contextOf: (person: PersonRow) => StandingContext,
  withWorth = false,
): Map<number, PersonStanding> {
  const found = new Map<number, PersonStanding>();
  const open: { person: PersonRow; context: StandingContext; stamp: string }[] = [];
  for (const person of people) {
    const context = contextOf(person);
    const pieces = context.pieces.map(({ piece, count }) => `${piece}${count}`).join();
    const stamp = `${person.revision}/${person.uid}/${context.day}/${stampOf(context.school)}/${pieces}`;
    const known = kept.get(person.id);
    const isEnough = !withWorth || (known?.standing.worth ?? null) !== null;
    if (known?.stamp === stamp && isEnough) found.set(person.id, known.standing);
    else open.push({ person, context, stamp });
  }
  const evidence = readEvidence(
    db,
    open.map(({ person }) => person.id),
  );
  for (const { person, context, stamp } of open) {
    const opened = makeCase(person, evidence.get(person.id) ?? {}, context);
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
  kept.clear();
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
