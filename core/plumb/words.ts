/** Measures in words: never finer than their error. */
import { formatLength, type LengthUnits } from '../units/length';
import type { Measured, StillMeasureId } from './measureTable';
import type { StillReading } from './still';

const errorOf = ({ low, high }: Measured) => (high - low) / 2;
/** A whole number where the error is one or more, else one decimal. */
const rounded = (value: number, error: number) =>
  error >= 1 ? String(Math.round(value) + 0) : (Math.round(value * 10) / 10 + 0).toFixed(1);

/** The figure alone: `4.2 cm`, `168°`. */
export function sayValue(found: Measured, units: LengthUnits): string {
  const { value, unit } = found;
  switch (unit) {
    case 'm':
      if (units === 'in') return formatLength(value, units);
      return `${rounded(value * 100, errorOf(found) * 100)} cm`;
    case 'deg':
      return `${rounded(value, errorOf(found))}°`;
    case 's':
      return `${value.toFixed(1)} s`;
    case 'm/s':
      return `${value.toFixed(1)} m/s`;
    case 'count':
      return String(value);
  }
}

/** How sure: `give or take 1.2 cm`; nothing for what is counted. */
export function sayError(found: Measured, units: LengthUnits): string {
  const error = errorOf(found);
  if (found.unit === 'count') return '';
  // Two digits of an error are enough.
  const inUnit = found.unit === 'm' ? error * 100 : error;
  const shown = inUnit >= 10 ? 2 * error : Math.min(2 * error, 0.01);
  return `give or take ${sayValue({ ...found, value: error, low: 0, high: shown }, units)}`;
}

const whole = (value: number) => String(Math.round(Math.abs(value)));

/** What the wall asks for beside what shoulders and hips do; `null` where nothing is expected. */
export function sayExpected({
  measures,
  expected,
}: Pick<StillReading, 'measures' | 'expected'>): string | null {
  const { shoulderBend, hipBend, bendTotal } = measures;
  if (expected.bendTotal === undefined || bendTotal === undefined) return null;
  const parts = [
    ...(shoulderBend === undefined ? [] : [`shoulders take ${signed(shoulderBend.value)}`]),
    ...(hipBend === undefined ? [] : [`hips ${signed(hipBend.value)}`]),
  ];
  const forced = `At this distance a line over upright arms turns ${whole(expected.bendTotal)}°, or leans ${whole(expected.lean ?? 0)}° in one piece`;
  return `${forced}; here it turns ${signed(bendTotal.value)}${parts.length === 0 ? '' : `: ${parts.join(', ')}`}.`;
}

const signed = (degrees: number) => `${Math.round(degrees) + 0}°`;

export const sayWhy = (id: StillMeasureId, why: string, found: Measured): string =>
  `${why} Its span, one deviation either way: ${spanWords(found)}.${id === 'farKneeAngle' ? ' Never judged.' : ''}`;

function spanWords({ low, high, unit }: Measured): string {
  const scale = unit === 'm' ? 100 : 1;
  const name = unit === 'm' ? ' cm' : unit === 'deg' ? '°' : ` ${unit}`;
  return `${(low * scale).toFixed(1)} to ${(high * scale).toFixed(1)}${name}`;
}
