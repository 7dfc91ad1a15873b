/** The shapes that stand in where a family is closed, or for one more round. Source: handbook 07. */
import { alternativeIds, getAlternative, type AlternativeId } from '../catalog/alternatives';
import type { PieceCount } from '../catalog/pieces';
import type { LadderId, StageSpec } from '../catalog/stage';
import { passTo } from '../ladder/alternative';
import type { OpenedCase } from '../ladder/case';
import { careFor, thingOfAlternative, type Pass } from '../ladder/gatekeeper';
import { liftsFeet } from '../ladder/asked';
import { beforeWeight } from '../setups/beforeWeight';
import { heightFor, wallLane } from '../room/space';
import { variantTable } from '../setups/setup';
import { findSetup, type StageWay } from './needs';
import { optionIdOf } from './optionId';
import {
  figuresOf,
  inputFor,
  optionValues,
  type OptionContext,
  type PlannedOption,
} from './option';
import { countRows, rowsTaken } from '../pieces/rows';
import { doseInRound, limitsAt } from './roundDose';
import { findCapacities, isTimedOf } from './strength';

/** Where no set-up says how far out from the wall somebody is, metres. */
export const usualBaseM = 0.5;

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
    .flatMap(({ id, pass }) => toAlternative(id, pass, family, person, context, measured));
}

/** What is set out for each alternative, one way or more; none: it cannot be made. */
export type Measured = Map<AlternativeId, readonly Made[]>;
type Made = Pick<PlannedOption, 'figures' | 'props' | 'variant'> & { readonly less: number };

function measureInstead(
  id: AlternativeId,
  spec: StageSpec | undefined,
  person: OpenedCase,
  context: OptionContext,
  measured: Measured,
): readonly Made[] {
  const known = measured.get(id);
  if (known !== undefined) return known;
  const { pieces } = getAlternative(id);
  const made =
    spec?.recipe === undefined
      ? [{ props: pieces, less: 0 }]
      : waysAtHand(findSetup(spec, inputFor(person, context)).ways, context.pieces).map(
          ({ variant, props, less, result }) => ({
            ...(variant === undefined ? {} : { variant }),
            ...figuresOf(result),
            // What stands on a stack takes what its stack is made of, for this body.
            props: props.length > 0 ? props : pieces,
            less,
          }),
        );
  measured.set(id, made);
  return made;
}

/** Sets of the usual way up to which a shape that stands in is made otherwise as well. */
const fewSets = 2;

/**
 * The ways that the cupboard has: the usual one and, where there is hardly enough for it, those that
 * take something else. Of none, the usual one.
 */
function waysAtHand(ways: readonly StageWay[], pieces: readonly PieceCount[]): StageWay[] {
  const rows = countRows(pieces);
  const setsOf = ({ props }: StageWay) =>
    Math.min(...rowsTaken(props).map(({ piece, count }) => (rows[piece] ?? 0) / count));
  const [usual, ...others] = ways.filter((way) => setsOf(way) >= 1);
  if (usual === undefined) return ways.slice(0, 1);
  if (setsOf(usual) > fewSets) return [usual];
  const taken = new Set(rowsTaken(usual.props).map(({ piece }) => piece));
  return [
    usual,
    ...others.filter(({ props }) => rowsTaken(props).every(({ piece }) => !taken.has(piece))),
  ];
}

function toAlternative(
  id: AlternativeId,
  pass: Pass,
  family: LadderId,
  person: OpenedCase,
  context: OptionContext,
  measured: Measured,
): PlannedOption[] {
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
  const dose =
    spec?.round === undefined
      ? null
      : doseInRound(
          spec.round,
          loads,
          findCapacities(person),
          limitsAt(spec, school.settings, context, isTimedOf(person)),
        );
  const heightM = heightFor(spec ?? { shape: own }, body);
  if (heightM > context.ceilingM + 1e-9) return [];
  const { watch } = careFor(person, thingOfAlternative(person, getAlternative(id), family));
  return measureInstead(id, spec, person, context, measured).map(({ less, ...made }) => {
    const first = beforeWeight(spec ?? { columns }, school.settings, made.figures ?? []);
    return {
      pass,
      id: optionIdOf(`instead-${id}`, { isEased: false, variant: made.variant }),
      same: stage ?? id,
      alternative: id,
      family,
      label: made.variant === undefined ? label : `${label}, ${variantTable[made.variant]}`,
      role: 'alternative',
      value: (isRest ? optionValues.rest : optionValues.alternative) - less,
      heightM,
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
  });
}
