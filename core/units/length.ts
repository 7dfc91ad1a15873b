/** Lengths as people type and read them. Inside the core a length is always metres. */
import { metresPerInch } from './inch';

export type LengthUnits = 'cm' | 'in';

const inchesPerFoot = 12;
/** A tape in inches is read to the quarter (handbook 04). */
const quarter = 4;
const quarterMarks = ['', '¼', '½', '¾'];

const number = String.raw`\d+(?:[.,]\d+)?`;
const fraction = String.raw`(?:\d+\s*/\s*\d+|[¼½¾])`;
const inchAmount = String.raw`(?:${number}(?:\s*${fraction})?|${fraction})`;
const inchMark = String.raw`(?:"|″|''|in(?:ch(?:es)?)?\.?)`;
const footMark = String.raw`(?:'|′|ft\.?|feet|foot)`;
const metreMark = String.raw`(?:m\.?|met(?:re|er)s?)`;
const centimetreMark = String.raw`(?:cms?\.?|centimet(?:re|er)s?)`;
const patterns = {
  metres: new RegExp(`^(${number})\\s*${metreMark}$`, 'i'),
  millimetres: new RegExp(`^(${number})\\s*mm\\.?$`, 'i'),
  // 1m85, 1 m 61, 1 m 5 cm; one figure alone might be tenths as well, and is not guessed at.
  metresAndCentimetres: new RegExp(
    String.raw`^(\d)\s*${metreMark}\s*(\d{2}(?=\s*${centimetreMark}?$)|\d(?=\s*${centimetreMark}$))\s*${centimetreMark}?$`,
    'i',
  ),
  centimetres: new RegExp(`^(${number})\\s*${centimetreMark}$`, 'i'),
  feet: new RegExp(`^(${number})\\s*${footMark}\\s*(?:(${inchAmount})\\s*${inchMark}?)?$`, 'i'),
  inches: new RegExp(`^(${inchAmount})\\s*${inchMark}$`, 'i'),
  bare: new RegExp(`^(${inchAmount})$`),
};

function toNumber(text: string): number {
  return Number(text.replace(',', '.'));
}

function toInches(text: string): number {
  const parts = text.trim().match(new RegExp(`^(${number})?\\s*(${fraction})?$`));
  // "1/2" alone is matched by the number first; the fraction then starts with the slash.
  if (!parts || text.includes('/')) {
    const slash = text.trim().match(/^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/);
    if (!slash) return Number.NaN;
    return Number(slash[1] ?? 0) + Number(slash[2]) / Number(slash[3]);
  }
  const mark = parts[2] ? quarterMarks.indexOf(parts[2]) / quarter : 0;
  return (parts[1] ? toNumber(parts[1]) : 0) + mark;
}

/**
 * Reads a length as typed: `168`, `168 cm`, `1.68 m`, `1m68`, `5'6"`, `5 ft 6 1/2 in`, `66 in`.
 *
 * @param units what a number without a unit means
 * @returns metres, or `null` when it is not a length
 */
export function parseLength(text: string, units: LengthUnits): number | null {
  // Marks as a text program turns them.
  const typed = text.trim().replace(/[’‘]/g, "'").replace(/[”“]/g, '"');
  const metres = matchLength(typed, units);
  return metres !== null && Number.isFinite(metres) ? metres : null;
}

function matchLength(typed: string, units: LengthUnits): number | null {
  let match = patterns.metres.exec(typed);
  if (match) return toNumber(match[1]!);
  match = patterns.metresAndCentimetres.exec(typed);
  if (match) return (Number(match[1]) * 100 + Number(match[2])) / 100;
  match = patterns.centimetres.exec(typed);
  if (match) return toNumber(match[1]!) / 100;
  match = patterns.millimetres.exec(typed);
  if (match) return toNumber(match[1]!) / 1000;
  match = patterns.feet.exec(typed);
  if (match) {
    const beyond = match[2] ? toInches(match[2]) : 0;
    // Twelve of them are a foot: a slip, and not to be guessed at.
    if (beyond >= inchesPerFoot) return null;
    return (toNumber(match[1]!) * inchesPerFoot + beyond) * metresPerInch;
  }
  match = patterns.inches.exec(typed);
  if (match) return toInches(match[1]!) * metresPerInch;
  match = patterns.bare.exec(typed);
  if (!match) return null;
  return units === 'in' ? toInches(match[1]!) * metresPerInch : toNumber(match[1]!) / 100;
}

/** A bare number as heights are typed: in the only unit in which it can be one. */
const bareHeight = { mostM: 3, leastCm: 100 } as const;

/**
 * The unit of a height that was typed without one: under 3 it is metres, from 100 on centimetres,
 * whatever the units; between them what the studio uses.
 *
 * @returns `null` where a unit was typed, or no number
 */
export function unitOfBareHeight(text: string, units: LengthUnits): LengthUnits | 'm' | null {
  const typed = text.trim();
  if (!/^\d{1,3}(?:[.,]\d+)?$/.test(typed)) return null;
  const value = toNumber(typed);
  if (value < bareHeight.mostM) return 'm';
  return value >= bareHeight.leastCm ? 'cm' : units;
}

/** A standing height as typed. @returns metres, or `null` when it is none */
export function parseHeight(text: string, units: LengthUnits): number | null {
  const unit = unitOfBareHeight(text, units);
  if (unit === 'm') return toNumber(text.trim());
  return parseLength(text, unit ?? units);
}

/** No room is as small as this, metres. */
const leastOfRoomM = 1;

/**
 * How wide, deep or high a room is, as typed: `9.6` is no room of 9.6 cm. A number without a unit that
 * would be less than a metre means metres; where inches are used, feet.
 *
 * @returns metres, or `null` when it is no length
 */
export function parseRoomLength(text: string, units: LengthUnits): number | null {
  const metres = parseLength(text, units);
  const isBare = /^\s*\d+(?:[.,]\d+)?\s*$/.test(text);
  if (metres === null || metres >= leastOfRoomM || !isBare) return metres;
  const value = toNumber(text.trim());
  return units === 'cm' ? value : value * inchesPerFoot * metresPerInch;
}

/** Whole centimetres or quarter inches, without the unit: the figure on a dimension line. */
export function formatFigure(metres: number, units: LengthUnits): string {
  // Adding 0 turns a rounded -0 into 0.
  if (units === 'cm') return String(Math.round(metres * 100) + 0);
  const quarters = Math.round((metres / metresPerInch) * quarter);
  const whole = Math.floor(Math.abs(quarters) / quarter);
  const mark = quarterMarks[Math.abs(quarters) % quarter];
  const sign = quarters < 0 ? '-' : '';
  return `${sign}${whole === 0 && mark ? '' : whole}${mark}`;
}

/** `48 cm` or `19 in`. */
export function formatLength(metres: number, units: LengthUnits): string {
  return `${formatFigure(metres, units)} ${units}`;
}

/** Shorter than this, inches alone say it. */
const leastFeet = 3;

/** How long a wall is: the figure on a dimension line, `720` or `23′ 7½″`. */
export function formatRoomFigure(metres: number, units: LengthUnits): string {
  const quarters = Math.round((metres / metresPerInch) * quarter);
  const inFoot = inchesPerFoot * quarter;
  if (units === 'cm') return formatFigure(metres, units);
  if (quarters < leastFeet * inFoot) return `${formatFigure(metres, units)}″`;
  const beyond = (quarters % inFoot) / quarter;
  return `${Math.floor(quarters / inFoot)}′\u00a0${formatFigure(beyond * metresPerInch, units)}″`;
}

/** What is measured along a wall: `720 cm` or `23′ 7½″`. */
export const formatRoomLength = (metres: number, units: LengthUnits): string =>
  units === 'cm' ? formatLength(metres, units) : formatRoomFigure(metres, units);

/** A standing height: `170 cm` or `5′ 7″`. */
export function formatHeight(metres: number, units: LengthUnits): string {
  if (units === 'cm') return formatLength(metres, units);
  const inches = Math.round(metres / metresPerInch);
  return `${Math.floor(inches / inchesPerFoot)}′ ${inches % inchesPerFoot}″`;
}

const lengthsInWords = new RegExp(`(${number})(?:( to | or |–|-)(${number}))? cm\\b`, 'g');

/**
 * A sentence of a set-up for a tape in the studio's units: set-ups speak in centimetres, and every
 * length in what they say, `3 to 7 cm` too, is said anew for who measures in inches.
 */
export function sayIn(sentence: string, units: LengthUnits): string {
  if (units === 'cm') return sentence;
  const figure = (text: string) => formatFigure(toNumber(text) / 100, units);
  return sentence.replace(
    lengthsInWords,
    (_, low: string, between = '', high?: string) =>
      `${figure(low)}${between}${high === undefined ? '' : figure(high)} in`,
  );
}
