import { getStageIn } from '../catalog/school';
import { ladderIds, type LadderId, type StageKey } from '../catalog/stage';
import type { OpenedCase } from './case';
import { judge, type Verdict } from './verdict';
import { opensStage } from './verdictKinds';

/** One person on one ladder. */
export interface LadderStand {
  readonly family: LadderId;
  readonly present: StageKey | null;
  /** The rung the gate below is about; `null` at the top of the ladder. */
  readonly next: Verdict | null;
  /** Other ways on from here: side lines and branches that the school allows. */
  readonly asides: readonly StageKey[];
}

/** The stages that come straight after one (or stand at the foot), main line first. */
export function listNext(person: OpenedCase, family: LadderId): StageKey[] {
  const { school } = person;
  const at = person.present[family];
  const keys = school.ladders[family].filter((key) => {
    const { spec, ways } = getStageIn(school, key);
    if (ways.length === 0) return false;
    return at === undefined ? spec.after.length === 0 : spec.after.includes(at);
  });
  const rank = (key: StageKey) => (getStageIn(school, key).spec.isAside ? 1 : 0);
  return keys.sort((a, b) => rank(a) - rank(b));
}

/**
 * Where a person stands on a ladder and what the next rung says. Somebody on a side line goes on
 * along the line they left.
 */
export function findStand(family: LadderId, person: OpenedCase): LadderStand {
  const present = person.present[family] ?? null;
  let onward = listNext(person, family);
  if (onward.length === 0 && present !== null) {
    const spec = person.school.stages.get(present)?.spec;
    const before = spec?.isAside ? spec.after[0] : undefined;
    if (before !== undefined) {
      const from = { ...person, present: { ...person.present, [family]: before } };
      onward = listNext(from, family).filter((key) => key !== present);
    }
  }
  const [main, ...asides] = onward;
  return { family, present, next: main === undefined ? null : judge(main, person), asides };
}

/** The five ladders of one person. */
export function findStands(person: OpenedCase): LadderStand[] {
  return ladderIds.map((family) => findStand(family, person));
}

/** Every stage of a ladder with its verdict, foot first: the list a picker or a plan needs. */
export function judgeLadder(family: LadderId, person: OpenedCase): Verdict[] {
  return person.school.ladders[family].map((key) => judge(key, person));
}

/** How many rungs of a ladder are open to a person today. */
export function countOpen(family: LadderId, person: OpenedCase): number {
  return judgeLadder(family, person).filter(({ kind }) => opensStage(kind)).length;
}
