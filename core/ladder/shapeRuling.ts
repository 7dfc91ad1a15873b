/** What the gatekeeper says of a shape on the bench: of the easiest stage that is done in it. */
import { getStageIn } from '../catalog/school';
import { ladderIds, type StageKey } from '../catalog/stage';
import type { ShapeId } from '../shapes/postures';
import type { OpenedCase } from './case';
import { ruleOnCare, thingOfStage } from './gatekeeper';

export interface ShapeRuling {
  readonly isOpen: boolean;
  /** What to do differently; empty where it is closed: why stands on the person's page. */
  readonly watch: readonly string[];
}

/** Stages of a shape, in the order of their ladders: the first is the easiest. */
function stagesIn(person: OpenedCase, shape: ShapeId): StageKey[] {
  return ladderIds.flatMap((family) =>
    person.school.ladders[family].filter((stage) => {
      const own = getStageIn(person.school, stage).spec.shape;
      return own !== undefined && 'family' in own && own.family === shape;
    }),
  );
}

/** @returns `null` for a shape that no stage is done in: it is looked at, not told */
export function ruleOnShape(person: OpenedCase, shape: ShapeId): ShapeRuling | null {
  const rulings = stagesIn(person, shape).map((stage) =>
    ruleOnCare(person, thingOfStage(person, stage, getStageIn(person.school, stage).spec)),
  );
  const [first] = rulings;
  if (first === undefined) return null;
  const open = rulings.find(({ isOpen }) => isOpen);
  return open?.isOpen === true ? { isOpen: true, watch: open.watch } : { isOpen: false, watch: [] };
}
