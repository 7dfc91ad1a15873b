/** What each stage and alternative takes from the cupboard, for one student. Source: handbook 02, 04. */
import type { AlternativeId } from '../catalog/alternatives';
import {
  pieceIds,
  pieceTable,
  refOf,
  specOf,
  type PieceCount,
  type PieceId,
} from '../catalog/pieces';
import type { Stack } from '../pieces/stack';
import type { StageSpec } from '../catalog/stage';
import type { StageId } from '../catalog/stages';
import { forearmKickSetup, type ForearmKickSetup } from '../setup/forearmKick';
import { getRecipe, type RecipeId } from '../setup/recipes';
import type { RecipeInput, RecipeResult } from '../setup/recipe';
import { rowsServed } from './resources';

const one = (piece: PieceId, count = 1): readonly PieceCount[] => [{ piece, count }];

/** Beyond what the stage's own set-up is built from. */
const stageNeeds: Readonly<Partial<Record<StageId, readonly PieceCount[]>>> = {
  FS12: one('foam-block'),
  'HS-b': one('chair', 2),
  HB6b: one('chair'),
  HB11: one('foam-block', 2),
  HB12: one('bolster-round'),
  SS2: one('chair'),
  SS3: one('bolster-rectangular'),
  SS6: [...one('chair'), ...one('blanket', 2)],
  SS7: one('bolster-rectangular'),
  SS8: one('blanket'),
  SS9: one('blanket'),
  SS10: one('blanket'),
  CR2: one('foam-block', 2),
  CR4: one('cushion'),
  CR5: one('cushion'),
  CR6: one('cushion'),
};

export const alternativeNeeds: Readonly<Partial<Record<AlternativeId, readonly PieceCount[]>>> = {
  'shoulder-rest': one('foam-block', 3),
  'dolphin-chair': one('chair'),
  'legs-up': one('bolster-rectangular'),
  'sacrum-stack': [...one('chair'), ...one('flat-foam', 2)],
  'calves-on-chair': one('chair'),
  'propped-recline': [...one('bolster-rectangular'), ...one('foam-block', 2)],
  'seated-shoulders': one('chair'),
};

/** Recipes whose stack stands twice, the same under each hand. */
const isTwice = ({ recipe }: StageSpec) => recipe === 'lifted-tuck';

/** One way to set a stage up. */
export interface SetupWay {
  /** Absent: the usual one. */
  readonly variant?: 'strap' | 'blanket';
  /** What is laid out, by the row of the cupboard it comes from. */
  readonly props: readonly PieceCount[];
  /** What it costs in worth against the usual way. */
  readonly less: number;
}

export interface StageSetup {
  readonly result: RecipeResult | null;
  readonly ways: readonly SetupWay[];
  /** Why the cupboard cannot make it; a sentence. */
  readonly lack?: string;
}

/** What stands in for the block is a little less of a guide for the hands. */
const wayLess = { strap: 0.05, blanket: 0.1 } as const;

const strapOf = (setup: ForearmKickSetup): PieceCount[] =>
  setup.strap === null ? [{ piece: 'strap-180', count: 1 }] : [{ ...setup.strap, count: 1 }];

/** So many more of each piece that stacks, when the cupboard alone makes nothing. */
const plenty = 6;

/** A stack as it would be with fuller shelves: what it takes then shows what is missing. */
function findWithMore(recipe: RecipeId, input: RecipeInput): Stack | null {
  const more = pieceIds
    .filter((piece) => pieceTable[piece].kind === 'pad' || pieceTable[piece].kind === 'block')
    .filter((piece) => piece !== 'book')
    .map((piece) => ({ piece, count: plenty }));
  const { stack } = getRecipe(recipe).solve({ ...input, pieces: [...input.pieces, ...more] });
  return stack?.found ? stack : null;
}

/** The set-up of a stage from what the cupboard holds, and the ways there are to make it. */
export function findSetup(stage: string, spec: StageSpec, input: RecipeInput): StageSetup {
  const extras = stageNeeds[stage as StageId] ?? [];
  if (spec.recipe === undefined) return { result: null, ways: [{ props: extras, less: 0 }] };
  const result = getRecipe(spec.recipe).solve(input);
  if (spec.recipe === 'forearm-kick' || spec.recipe === 'hand-block') {
    const setup = forearmKickSetup(input);
    const faces = (setup.block?.faces ?? []).map((face): PieceCount => ({ ...face, count: 1 }));
    // Named also where the shelf is empty: the rows of the cupboard say no, and what one would do.
    const blocks = faces.length > 0 ? faces : one('foam-block');
    const ways: SetupWay[] = [
      { props: addPieces(blocks, extras), less: 0 },
      { variant: 'strap', props: addPieces(strapOf(setup), extras), less: wayLess.strap },
      // Without either a folded blanket is held between the hands (the card says so).
      { variant: 'blanket', props: addPieces(one('blanket'), extras), less: wayLess.blanket },
    ];
    return { result, ways };
  }
  if (spec.recipe.startsWith('strap-')) {
    const strap = forearmKickSetup(input).strap;
    const lack = result.cautions[0];
    if (strap === null && lack !== undefined) return { result, ways: [], lack };
    return {
      result,
      ways: [{ props: addPieces([{ piece: 'strap-180', count: 1 }], extras), less: 0 }],
    };
  }
  // A lift is only laid out where it stands in for a check; that is added where it does.
  const { stack } = result;
  if (stack === undefined || spec.recipe === 'head-clearance') {
    const corner = spec.recipe === 'corner-dolphin' ? one('foam-block') : [];
    return { result, ways: [{ props: addPieces(corner, extras), less: 0 }] };
  }
  const found = stack.found ? stack : findWithMore(spec.recipe, input);
  if (found === null) return { result, ways: [], lack: result.cautions[0] ?? 'no stack fits' };
  const times = isTwice(spec) ? 2 : 1;
  const layers = found.layers.map(({ count, ...layer }) => ({ ...layer, count: count * times }));
  return { result, ways: [{ props: addPieces(layers, extras), less: 0 }] };
}

/** The firm lift that stands in for head clearance, from the pieces at hand. */
export function findLiftPieces(input: RecipeInput): readonly PieceCount[] {
  const { lift } = forearmKickSetup(input);
  // Where the tape says less than the lengths do: one firm pad under each forearm.
  return lift === null ? one('shoulder-pad', 2) : [{ ...refOf(lift), count: lift.count }];
}

/** Pieces of two lists together, by the row they come from. */
export function addPieces(...lists: readonly (readonly PieceCount[])[]): PieceCount[] {
  const counts = new Map<PieceId, PieceCount>();
  for (const { count, ...ref } of lists.flat()) {
    const [row] = rowsServed(ref).slice(-1);
    const known = counts.get(row)?.count ?? 0;
    const own = ref.own !== undefined && row === ref.piece ? { own: specOf(ref) } : {};
    counts.set(row, { piece: row, ...own, count: known + count });
  }
  return [...counts.values()];
}
