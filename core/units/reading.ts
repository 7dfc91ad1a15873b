/** Values of checks that are read off a tape: kept in centimetres, said and typed in the studio's units. */
import { metresPerInch } from './inch';
import type { LengthUnits } from './length';

const cmPerInch = metresPerInch * 100;
/** Bars lie closer than the quarter inches of a tape. */
const tenth = (value: number) => Math.round(value * 10) / 10;

/** A value of a check in centimetres, as a number in the studio's units: `4` or `1.6`. */
export const readingIn = (cm: number, units: LengthUnits): number =>
  units === 'cm' ? cm : tenth(cm / cmPerInch);

/**
 * The same the other way. Bars are whole centimetres: what is said like one of them is that one, so
 * that whoever reaches a bar as it is said has reached it.
 *
 * @returns centimetres, to the tenth
 */
export function readingFrom(value: number, units: LengthUnits): number {
  if (units === 'cm') return value;
  const cm = value * cmPerInch;
  const whole = Math.round(cm);
  return readingIn(whole, units) === value ? whole : tenth(cm);
}

const readingsInWords = /(\d+(?:\.\d+)?) cm\b/g;

/** What a verdict says of checks, `4 cm, bar 3 cm`, in the studio's units: `1.6 in, bar 1.2 in`. */
export const sayReading = (sentence: string, units: LengthUnits): string =>
  units === 'cm'
    ? sentence
    : sentence.replace(
        readingsInWords,
        (_, cm: string) => `${readingIn(Number(cm), units)} ${units}`,
      );
