/** What each stage and alternative takes from the cupboard, for one student. Source: handbook 02, 04. */
import { refOf, specOf, type PieceCount, type PieceId } from '../catalog/pieces';
import type { StageSpec } from '../catalog/stage';
import { forearmKickSetup } from '../setups/forearmKick';
import { getSetup } from '../setups/registry';
import type { SetupInput, SetupResult, SetupWay, Ways } from '../setups/setup';
import { rememberFor } from '../units/remember';
import { forStage } from '../setups/solveStage';
import { asMeasured, rowsServed } from '../pieces/rows';

/** A way to set a stage up, what is laid out counted by the row of the cupboard it comes from. */
export interface StageWay extends Omit<SetupWay, 'result'> {
  /** `null`: nothing is measured. */
  readonly result: SetupResult | null;
}

export interface StageSetup {
  readonly ways: readonly StageWay[];
  /** Why the cupboard cannot make it; a sentence. */
  readonly lack?: string;
}

/** Several rungs rest on one set-up: for one person it is worked out once. */
const solved = rememberFor<SetupInput, Ways>();

/** The set-up of a stage from what the cupboard holds, and the ways there are to make it. */
export function findSetup(spec: StageSpec, input: SetupInput): StageSetup {
  const { recipe, pieces = [] } = spec;
  if (recipe === undefined) return { ways: [{ props: pieces, less: 0, result: null }] };
  const { ways, lack } = solved(input, recipe, () => {
    const setup = getSetup(recipe);
    return setup.ways(input, setup.solve(input));
  });
  return {
    ways: ways.map((way) => ({
      ...way,
      result: forStage(recipe, spec, way.result),
      props: addPieces(way.props, pieces),
    })),
    ...(lack === undefined ? {} : { lack }),
  };
}

/** The firm lift that stands in for head clearance, from the pieces at hand. */
export function findLiftPieces(input: SetupInput): readonly PieceCount[] {
  const { lift } = forearmKickSetup(input);
  // Where the tape says less than the lengths do: one firm pad under each forearm.
  return lift === null
    ? [{ piece: 'shoulder-pad', count: 2 }]
    : [{ ...asMeasured(input.pieces, refOf(lift)), count: lift.count }];
}

/** Pieces of two lists of which one alone is used: the larger count of each. */
export function mostPieces(
  one: readonly PieceCount[],
  other: readonly PieceCount[],
): readonly PieceCount[] {
  const most = new Map(one.map((each) => [each.piece, each]));
  for (const each of other) {
    if (each.count > (most.get(each.piece)?.count ?? 0)) most.set(each.piece, each);
  }
  return [...most.values()];
}

/** Pieces of two lists together, by the row they come from. */
export function addPieces(...lists: readonly (readonly PieceCount[])[]): PieceCount[] {
  const counts = new Map<PieceId, PieceCount>();
  for (const { count, ...ref } of lists.flat()) {
    const [row] = rowsServed(ref).slice(-1);
    const known = counts.get(row!)?.count ?? 0;
    const own = ref.own !== undefined && row === ref.piece ? { own: specOf(ref) } : {};
    counts.set(row!, { piece: row!, ...own, count: known + count });
  }
  return [...counts.values()];
}
