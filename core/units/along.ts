/** Lengths along the walls of a room: longer than a tape is read to. */
import { formatHeight, type LengthUnits } from './length';

const metresPerInch = 0.0254;

/** A length along a wall, to the width of a hand: `0.9 m` or `2′ 11″`. */
export function formatAlong(metres: number, units: LengthUnits): string {
  // Feet and inches are one figure: no line ends between them.
  return units === 'cm'
    ? `${metres.toFixed(1)} m`
    : formatHeight(metres, units).replace(' ', '\u00a0');
}

/**
 * Why something does not go under a ceiling: `needs 2.31 m of height, the room has 2.20 m`.
 *
 * @param neededM more than `ceilingM`; inches are rounded apart, so that it reads so
 */
export function sayTooLow(neededM: number, ceilingM: number, units: LengthUnits): string {
  const [needed, has] =
    units === 'cm'
      ? [`${neededM.toFixed(2)} m`, `${ceilingM.toFixed(2)} m`]
      : [
          formatAtLeast(neededM, units),
          formatAlong(Math.floor(ceilingM / metresPerInch + 1e-6) * metresPerInch, units),
        ];
  return `needs ${needed} of height, the room has ${has}`;
}

/** From here to there along a wall: `0.9 to 1.8 m` or `2′ 11″ to 5′ 11″`. */
export function formatStretch(fromM: number, toM: number, units: LengthUnits): string {
  const from = units === 'cm' ? fromM.toFixed(1) : formatAlong(fromM, units);
  return `${from} to ${formatAlong(toM, units)}`;
}

/** So much along a wall that less would not do: the next tenth of a metre, or inch, up. */
export function formatAtLeast(metres: number, units: LengthUnits): string {
  const stepM = units === 'cm' ? 0.1 : metresPerInch;
  return formatAlong(Math.ceil(metres / stepM - 1e-6) * stepM, units);
}
