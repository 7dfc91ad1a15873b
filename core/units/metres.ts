/** Metres that stand in a sentence. */
import { formatHeight, type LengthUnits } from './length';

const metresInWords = /(\d+(?:\.\d+)?) m\b/g;

/** What is said of a room, `at least 1 m and at most 60 m`, in feet and inches where the studio measures so. */
export const sayMetres = (sentence: string, units: LengthUnits): string =>
  units === 'cm'
    ? sentence
    : sentence.replace(metresInWords, (_, metres: string) => formatHeight(Number(metres), units));
