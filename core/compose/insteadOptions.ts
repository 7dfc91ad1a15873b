/** The shapes that stand in where a family is closed, or for one more round. Source: handbook 07. */
import { alternativeIds, getAlternative, type AlternativeId } from '../catalog/alternatives';
import type { LadderId, StageSpec } from '../catalog/stage';
import { passTo } from '../ladder/alternative';
import type { OpenedCase } from '../ladder/case';
import { careFor, thingOfAlternative, type Pass } from '../ladder/gatekeeper';
import { liftsFeet } from '../ladder/asked';
import { toSetupInput } from '../ladder/sized';
import { beforeWeight } from '../setups/beforeWeight';
import { wallLane } from '../room/space';
import { findSetup } from './needs';
import { figuresOf, optionValues, type OptionContext, type PlannedOption } from './option';
import { countRows, rowsTaken } from './resources';
import { doseInRound, limitsAt } from './roundDose';
import { findCapacities } from './strength';

/** Where no set-up says how far out from the wall somebody is, metres. */
export const usualBaseM = 0.5;
/** Alternatives and other shapes on a mat or a chair stay under this, metres. */
const lowShapeM = 1.5;

/** Every shape that is open instead, in the order they are offered (handbook 07 "Always open"). */
export function listInstead(
  family: LadderId,
  person: OpenedCase,
  context: OptionContext,
  measured: Measured,
): PlannedOption[] {
  return alternativeIds
    .flatMap((id) => {
      const pass = passTo(id, family, person);
      return pass === null ? [] : [{ id, pass }];
    })
    .flatMap(({ id, pass }) => toAlternative(id, pass, family, person, context, measured) ?? []);
}

/** What is set out for each alternative, as far as it was worked out; `null`: it cannot be made. */
export type Measured = Map<AlternativeId, Pick<PlannedOption, 'figures' | 'props'> | null>;

function measureInstead(
  id: AlternativeId,
  spec: StageSpec | undefined,
  person: OpenedCase,
  context: OptionContext,
  measured: Measured,
): Pick<PlannedOption, 'figures' | 'props'> | null {
  const known = measured.get(id);
  if (known !== undefined) return known;
  const { pieces } = getAlternative(id);
  const found =
    spec?.recipe === undefined
      ? null
      : findSetup(spec, toSetupInput(person, context, context.pieces));
  const rows = countRows(context.pieces);
  const ways = found?.ways ?? [];
  // The usual way, unless the cupboard has another one alone.
  const way =
    ways.find(({ props }) =>
      rowsTaken(props).every(({ piece, count }) => (rows[piece] ?? 0) >= count),
    ) ?? ways[0];
  // What stands on a stack takes what its stack is made of, for this body.
  const made =
    found === null
      ? { props: pieces }
      : way === undefined
        ? null
        : { ...figuresOf(way.result), props: way.props.length > 0 ? way.props : pieces };
  measured.set(id, made);
  return made;
}

function toAlternative(
  id: AlternativeId,
  pass: Pass,
  family: LadderId,
  person: OpenedCase,
  context: OptionContext,
  measured: Measured,
): PlannedOption | null {
  const { school } = person;
  const { body } = context;
  const {
    label,
    loads,
    strains,
    stage,
    columns,
    shape: own,
    needsWall: atWall,
    isRest,
  } = getAlternative(id);
  const spec = stage === undefined ? undefined : school.stages.get(stage)?.spec;
  const needsWall = spec?.needsWall === true || atWall === true;
  const lane = wallLane(body, usualBaseM);
  const shape = spec?.shape ?? own;
  const made = measureInstead(id, spec, person, context, measured);
  if (made === null) return null;
  const dose =
    spec?.round === undefined
      ? null
      : doseInRound(
          spec.round,
          loads,
          findCapacities(person),
          limitsAt(spec, school.settings, context),
        );
  const first = beforeWeight(spec ?? { columns }, school.settings, made.figures ?? []);
  const { watch } = careFor(person, thingOfAlternative(person, getAlternative(id), family));
  return {
    pass,
    id: `instead-${id}`,
    same: stage ?? id,
    alternative: id,
    family,
    label,
    role: 'alternative',
    value: isRest ? optionValues.rest : optionValues.alternative,
    heightM: lowShapeM,
    ...(needsWall ? { alongM: lane.alongM, outM: lane.outM } : {}),
    shape,
    ...(spec?.recipe === undefined ? {} : { recipe: spec.recipe }),
    ...made,
    pieces: rowsTaken(made.props),
    ...(liftsFeet(spec ?? { columns }) ? { feetUp: true as const } : {}),
    ...(watch.length === 0 ? {} : { watch }),
    loads,
    strains,
    ...(dose === null ? {} : { dose: dose.words, work: dose.work, spans: dose.spans }),
    ...(first.length === 0 ? {} : { checkFirst: first }),
    why: 'the same place in the class',
    atDoor: [],
    ...(isRest ? { isRest: true as const } : {}),
  };
}
