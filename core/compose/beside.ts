/** What lies beside a shape that must be confirmed at the door, in case the answer is no. */
import { mostPieces } from './needs';
import type { PlannedOption } from './option';

/** What each piece costs that lies beside in case it is wanted, and does for nobody else meanwhile. */
const besideLess = 0.04;

type Rows = Readonly<Record<string, number>>;

/**
 * Beside whatever must be confirmed at the door stands the best that need not be, in the same
 * place and with what the cupboard holds. Both sets of props are out, and only one of them is used:
 * the larger count of each. What has it already keeps it, as long as it is among the options;
 * where nothing is left to stand beside, it is not planned.
 *
 * @param rows how many there are of each row of the cupboard
 */
export const withBeside = (options: readonly PlannedOption[], rows: Rows): PlannedOption[] => {
  const known = new Set(options.map(({ id }) => id));
  return options.flatMap((option) => {
    const { atDoor, fallback } = option;
    if (atDoor.length === 0 || (fallback !== undefined && known.has(fallback))) return [option];
    const beside = findBeside(option, options, rows);
    return beside === null ? [] : [layBeside(option, beside)];
  });
};

function findBeside(
  option: PlannedOption,
  options: readonly PlannedOption[],
  rows: Rows,
): PlannedOption | null {
  const own = new Map(option.pieces.map(({ piece, count }) => [piece, count]));
  const more = ({ pieces }: PlannedOption) =>
    pieces.reduce((sum, { piece, count }) => sum + Math.max(0, count - (own.get(piece) ?? 0)), 0);
  const isThere = ({ pieces }: PlannedOption) =>
    pieces.every(({ piece, count }) => count <= Math.max(own.get(piece) ?? 0, rows[piece] ?? 0));
  const worth = (other: PlannedOption) => other.value - besideLess * more(other);
  const fits = options.filter(
    (other) =>
      other.atDoor.length === 0 &&
      other.needsFirst === undefined &&
      other.needsCircle === undefined &&
      (other.alongM === undefined || option.alongM !== undefined) &&
      (other.needsHand === undefined || option.needsHand !== undefined) &&
      (other.isAttempt === undefined || option.isAttempt !== undefined),
  );
  const atHand = fits.filter(isThere);
  const [best] = [...(atHand.length > 0 ? atHand : fits)].sort((a, b) => worth(b) - worth(a));
  return best ?? null;
}

function layBeside(option: PlannedOption, beside: PlannedOption): PlannedOption {
  return {
    ...option,
    fallback: beside.id,
    pieces: mostPieces(option.pieces, beside.pieces),
    heightM: Math.max(option.heightM, beside.heightM),
    ...(option.alongM === undefined ? {} : { alongM: Math.max(option.alongM, beside.alongM ?? 0) }),
  };
}
