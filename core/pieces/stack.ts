import {
  listKinds,
  pieceIds,
  refOf,
  specOf,
  type PieceCount,
  type PieceSpec,
  type PieceRef,
  type ShippedPieceId,
} from '../catalog/pieces';
import { tolerance } from '../tolerance';

export type StackFace = 'flat' | 'side' | 'end';

export interface StackLayer extends PieceRef {
  /** Pieces side by side in this layer. */
  readonly count: number;
  readonly face: StackFace;
  readonly thicknessM: number;
  /** Folded once more: half the footprint, twice the thickness. */
  readonly isRefolded?: true;
}

export interface StackRequest {
  readonly targetM: number;
  /** Default 1 cm. */
  readonly toleranceM?: number;
  /** Width and depth that every layer must cover, metres. */
  readonly footprintM: readonly [width: number, depth: number];
  readonly pieces: readonly PieceCount[];
  /** What it has to bear, where a person leans or lies on it; absent: any pile will do. */
  readonly bears?: StackLoad;
}

/**
 * What a stack under weight may be made of (handbook 04 "Stacks under weight"): everything flat, and
 * - under the `sacrum` firm pieces alone;
 * - under the `shoulders` neither cushion nor bolster;
 * - at an upper back that `leans` on it blocks alone, the lowest at least half as deep as all is high;
 * - under the `forearms` and the `feet` firm pieces alone.
 * Under the `hands` firm pieces, none on its end, and on its side only what lies on the floor.
 */
export type StackLoad = 'sacrum' | 'shoulders' | 'leans' | 'forearms' | 'hands' | 'feet';

const mayBear: Readonly<Record<StackLoad, (spec: PieceSpec) => boolean>> = {
  sacrum: ({ isFirm }) => isFirm,
  shoulders: ({ kind, isFirm }) => isFirm || kind === 'blanket',
  leans: ({ kind, isFirm }) => kind === 'block' && isFirm,
  forearms: ({ isFirm }) => isFirm,
  feet: ({ isFirm }) => isFirm,
  hands: ({ isFirm }) => isFirm,
};

/** Faces on which a piece may stand under what it bears. */
const facesFor = (bears: StackLoad | undefined): readonly StackFace[] =>
  bears === undefined ? ['flat', 'side', 'end'] : bears === 'hands' ? ['flat', 'side'] : ['flat'];

/** The base is at least this share of the height deep. */
const baseShare = 0.5;

/** How high all may be that stands on this piece. */
const highestOn = (piece: PieceRef, bears: StackLoad | undefined): number =>
  bears === 'leans' ? specOf(piece).lengthM / baseShare : Infinity;

export interface Stack {
  readonly found: boolean;
  readonly heightM: number | null;
  /** Bottom first; empty when not found. */
  readonly layers: readonly StackLayer[];
  /** The nearest heights that these pieces make, whatever the tolerance. */
  readonly nearest: { readonly below: number | null; readonly above: number | null };
}

const defaultToleranceM = 0.01;
/** Firm pieces win over soft ones while their error is within this of the best (handbook 04). */
const firmWithinM = 0.005;

interface LayerOption extends StackLayer {
  readonly widthM: number;
  readonly depthM: number;
  readonly isFirm: boolean;
  readonly kind: number;
}

/** Every way one kind of piece can make a layer that covers the footprint. */
function layerOptions(
  piece: PieceRef,
  kind: number,
  count: number,
  [width, depth]: StackRequest['footprintM'],
  bears: StackLoad | undefined,
): LayerOption[] {
  const spec = specOf(piece);
  const faces: (Pick<StackLayer, 'face' | 'thicknessM' | 'isRefolded'> & {
    size: [number, number];
  })[] = [{ face: 'flat', thicknessM: spec.loadedM, size: [spec.lengthM, spec.widthM] }];
  if (spec.standsOnEdge) {
    faces.push(
      { face: 'side', thicknessM: spec.widthM, size: [spec.lengthM, spec.thicknessM] },
      { face: 'end', thicknessM: spec.lengthM, size: [spec.widthM, spec.thicknessM] },
    );
  }
  if (spec.refolds) {
    faces.push({
      face: 'flat',
      thicknessM: 2 * spec.loadedM,
      size: [spec.lengthM / 2, spec.widthM],
      isRefolded: true,
    });
  }
  const fit = (needed: number, size: number) => Math.ceil(needed / size - tolerance.roundingM);
  // On side or end a piece tips under weight.
  const standing = faces.filter(({ face }) => facesFor(bears).includes(face));
  return standing.flatMap(({ size, ...face }) => {
    const ways = [size, [size[1], size[0]] as const].map(([a, b]) => {
      const [across, along] = [Math.max(1, fit(width, a)), Math.max(1, fit(depth, b))];
      return {
        ...face,
        ...refOf(piece),
        kind,
        isFirm: spec.isFirm,
        count: across * along,
        widthM: across * a,
        depthM: along * b,
      };
    });
    return ways.filter((way) => way.count <= count);
  });
}

interface Candidate {
  readonly layers: readonly LayerOption[];
  readonly heightM: number;
  readonly pieces: number;
  readonly isFirm: boolean;
}

/** Feet stand on a seat of the height where there is one, and on no tower of pads. */
function findSeat(
  { targetM, footprintM, bears, pieces }: StackRequest,
  within: number,
): Stack | null {
  if (bears !== 'feet') return null;
  const seat = pieces.find((one) => {
    const { kind, loadedM, lengthM, widthM } = specOf(one);
    const isWide = lengthM >= footprintM[0] && widthM >= footprintM[1];
    return one.count > 0 && kind === 'furniture' && isWide && Math.abs(loadedM - targetM) <= within;
  });
  if (seat === undefined) return null;
  const heightM = specOf(seat).loadedM;
  return {
    found: true,
    heightM,
    layers: [{ ...refOf(seat), count: 1, face: 'flat', thicknessM: heightM }],
    nearest: { below: heightM, above: heightM },
  };
}

/**
 * The best stack for a height over a footprint, by complete search.
 *
 * Rules (handbook 04): every layer covers the footprint, wider or equal below, firm below soft, one
 * kind and face a layer. Preference within tolerance: firm before soft when the error is within 5 mm
 * of the best, then fewest pieces, then least error. A valid stack is a run through the options in
 * the order firm first, widest first, so each set of layers is looked at once.
 */
export function findStack(request: StackRequest): Stack {
  const { targetM, footprintM, bears } = request;
  // A target of nothing is answered "nothing".
  if (targetM <= tolerance.lengthM) {
    return { found: true, heightM: 0, layers: [], nearest: { below: 0, above: null } };
  }
  const within = (request.toleranceM ?? defaultToleranceM) + tolerance.roundingM;
  const seat = findSeat(request, within);
  if (seat !== null) return seat;
  const kinds = listKinds(request.pieces).filter((one) => {
    const spec = specOf(one);
    return spec.stacks && (bears === undefined || mayBear[bears](spec));
  });
  const left = kinds.map(({ count }) => count);
  const options = kinds
    .flatMap((one, kind) => layerOptions(one, kind, left[kind]!, footprintM, bears))
    .sort(
      (a, b) =>
        Number(b.isFirm) - Number(a.isFirm) ||
        b.widthM - a.widthM ||
        b.depthM - a.depthM ||
        a.kind - b.kind,
    );
  const found: Candidate[] = [];
  let below: number | null = null;
  let above: number | null = null;
  const chosen: LayerOption[] = [];

  const visit = (from: number, heightM: number, pieces: number) => {
    for (let index = from; index < options.length; index += 1) {
      const option = options[index]!;
      if (left[option.kind]! < option.count) continue;
      const under = chosen[chosen.length - 1];
      const isWider =
        under !== undefined &&
        (option.widthM > under.widthM + tolerance.roundingM ||
          option.depthM > under.depthM + tolerance.roundingM);
      if (isWider) continue;
      if (bears !== undefined && option.face === 'side' && chosen.length > 0) continue;
      const next = heightM + option.thicknessM;
      if (next > highestOn(chosen[0] ?? option, bears) + tolerance.roundingM) continue;
      if (next >= targetM - tolerance.roundingM)
        above = above === null ? next : Math.min(above, next);
      if (next <= targetM + tolerance.roundingM)
        below = below === null ? next : Math.max(below, next);
      if (next > targetM + within) continue;
      chosen.push(option);
      left[option.kind]! -= option.count;
      if (next >= targetM - within) {
        found.push({
          layers: [...chosen],
          heightM: next,
          pieces: pieces + option.count,
          isFirm: option.isFirm,
        });
      }
      visit(index, next, pieces + option.count);
      left[option.kind]! += option.count;
      chosen.pop();
    }
  };
  visit(0, 0, 0);

  const nearest = { below, above };
  if (found.length === 0) return { found: false, heightM: null, layers: [], nearest };
  const error = ({ heightM }: Candidate) => Math.abs(heightM - targetM);
  const best = found.reduce((least, candidate) => Math.min(least, error(candidate)), Infinity);
  const isPreferred = (candidate: Candidate) =>
    candidate.isFirm && error(candidate) <= best + firmWithinM + tolerance.roundingM;
  const winner = found.reduce((a, b) => {
    const order =
      Number(isPreferred(b)) - Number(isPreferred(a)) ||
      a.pieces - b.pieces ||
      roundedError(error(a)) - roundedError(error(b));
    return order <= 0 ? a : b;
  });
  return {
    found: true,
    heightM: winner.heightM,
    layers: winner.layers.map(({ count, face, thicknessM, isRefolded, ...one }) => ({
      ...refOf(one),
      count,
      face,
      thicknessM,
      ...(isRefolded ? { isRefolded } : {}),
    })),
    nearest,
  };
}

/** Errors that differ by rounding alone are the same error. */
const roundedError = (metres: number) => Math.round(metres / tolerance.roundingM);

export interface Borrow {
  readonly piece: ShippedPieceId;
  readonly count: number;
  readonly heightM: number;
}

const mostBorrowed = 4;

/** The fewest pieces of one kind that would make the stack possible, if any few would. */
export function findBorrow(request: StackRequest): Borrow | null {
  for (let count = 1; count <= mostBorrowed; count += 1) {
    for (const piece of pieceIds.filter((id) => specOf({ piece: id }).stacks)) {
      const pieces = [...request.pieces, { piece, count }];
      const stack = findStack({ ...request, pieces });
      if (stack.found) return { piece, count, heightM: stack.heightM! };
    }
  }
  return null;
}
