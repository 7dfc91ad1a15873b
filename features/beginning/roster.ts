import { heightRangeM } from '@/core/body/lengths';
import { formatHeight, parseHeight, type LengthUnits } from '@/core/units/length';

/** A pasted list of people: a name a line, a height behind it where it is known. */
export interface RosterLine {
  readonly name: string;
  /** As typed; empty: not known. */
  readonly height: string;
}

/** One figure alone tells two people of one name apart: nobody's height. */
const isHeight = (text: string) =>
  /^\d/.test(text) && !/^\d$/.test(text) && parseHeight(text, 'cm') !== null;

/** The height that ends a line, as it may be typed anywhere, behind a comma, tab or gap. */
function splitHeight(line: string): RosterLine {
  for (const gap of line.matchAll(/[\s,;]+/g)) {
    const height = line.slice(gap.index + gap[0].length);
    if (isHeight(height)) return { name: line.slice(0, gap.index), height };
  }
  return { name: line, height: '' };
}

/** Numbers and dots of a list that was copied with them. */
const listMark = /^\s*(?:[-*•]|\d{1,3}[.)])\s*/;

/** Reads a list; empty lines are left out, a name that stands twice counts once. */
export function readRoster(text: string): RosterLine[] {
  const seen = new Set<string>();
  return text.split(/\r?\n/).flatMap((line): RosterLine[] => {
    const plain = line.replace(listMark, '').trim();
    if (plain === '') return [];
    const { name: called, height } = splitHeight(plain.replace(/[,;\s]+$/, ''));
    const name = called.replace(/[,;\s]+$/, '').trim();
    const key = name.toLowerCase();
    if (name === '' || seen.has(key)) return [];
    seen.add(key);
    return [{ name, height }];
  });
}

/** A height as it will be kept: in the units of the studio, or that it cannot be one. */
export function sayHeight(typed: string, units: LengthUnits): string {
  if (typed === '') return 'height not known yet';
  const heightM = parseHeight(typed, units);
  return heightM === null || isNoHeight(typed, units)
    ? `${typed}: no height of a person`
    : formatHeight(heightM, units);
}

/** Typed, and out of what anybody's height can be. */
export function isNoHeight(typed: string, units: LengthUnits): boolean {
  if (typed === '') return false;
  const heightM = parseHeight(typed, units);
  return heightM === null || heightM < heightRangeM.low || heightM > heightRangeM.high;
}
