import type { Dial, DialValues } from '@/core/shapes/dials';
import { formatLength, type LengthUnits } from '@/core/units/length';

/** A dial's value as it is said: in the units of lengths, in whole degrees, or as a share. */
export function sayValue(dial: Dial, values: DialValues, units: LengthUnits): string {
  const value = values[dial.parameter]!;
  switch (dial.unit) {
    case 'm':
      return formatLength(value, units);
    case 'deg':
      return `${Math.round(value)}°`;
    case 'share':
      return `${Math.round(value * 100)} %`;
    default:
      return dial.unit satisfies never;
  }
}
