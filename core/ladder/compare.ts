import type { StageKey } from '../catalog/stage';
import { ladderIds } from '../catalog/stage';
import type { School } from '../catalog/school';
import { openCase, type PersonCase } from './case';
import { findStand } from './stand';
import { judge } from './verdict';
import type { VerdictKind } from './verdictKinds';

/** One verdict that a change of profile turns. */
export interface VerdictChange {
  readonly personId: number;
  readonly stage: StageKey;
  readonly before: VerdictKind;
  readonly after: VerdictKind;
  readonly reason: string;
}

/**
 * What a changed profile would change for whom: everyone's next rung on every ladder, judged under
 * both. Stages that only one of the two knows are left out.
 */
export function compareSchools(
  people: readonly { readonly id: number; readonly person: Omit<PersonCase, 'school'> }[],
  before: School,
  after: School,
): VerdictChange[] {
  const changes: VerdictChange[] = [];
  for (const { id, person } of people) {
    const old = openCase({ ...person, school: before });
    const fresh = openCase({ ...person, school: after });
    const stages = new Set<StageKey>();
    for (const family of ladderIds) {
      for (const one of [old, fresh]) {
        const { next } = findStand(family, one);
        if (next !== null) stages.add(next.stage);
      }
    }
    for (const stage of stages) {
      if (!before.stages.has(stage) || !after.stages.has(stage)) continue;
      const [was, is] = [judge(stage, old), judge(stage, fresh)];
      if (was.kind === is.kind) continue;
      changes.push({
        personId: id,
        stage,
        before: was.kind,
        after: is.kind,
        reason: is.reasons[0]!,
      });
    }
  }
  return changes;
}
