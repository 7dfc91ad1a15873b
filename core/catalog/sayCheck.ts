/** How the value of a check is said, with its unit, and what its bar asks for. */
import type { LengthUnits } from '../units/length';
import { readingIn } from '../units/reading';
import type { CheckSpec } from './checkKinds';

type Said = Pick<CheckSpec, 'scoring' | 'levels' | 'most'>;

/** No more digits than anybody reads off. */
const figure = (value: number) => String(Math.round(value * 10) / 10);
const times = (count: number) => (count === 1 ? 'once' : `${figure(count)} times`);

/** Whether it is read off a tape: in centimetres here, in the studio's units wherever it is shown. */
export const isLengthCheck = ({ scoring }: Pick<Said, 'scoring'>): boolean =>
  'unit' in scoring && scoring.unit === 'cm';

/**
 * A value that was seen, in words: `22 s`, `5 times`, `4 cm`, `79°`, `10 % of body weight`,
 * `2 of 3 (both heels)`, `passed`.
 */
export function sayValue(
  { scoring, most, levels }: Said,
  value: number,
  units: LengthUnits,
): string {
  switch (scoring.kind) {
    case 'hold':
      return `${figure(value)} s`;
    case 'reps':
      return times(value);
    case 'pass':
    case 'pass-of-last':
    case 'same-day':
      return value >= 1 ? 'passed' : 'not passed';
    case 'level': {
      // A number alone tells nobody what to look for.
      const name = levels?.[value];
      const said = sayMeasure(scoring.unit, value, most, units);
      return name === undefined ? said : `${said} (${name})`;
    }
    case 'measure':
    case 'rating':
      return sayMeasure(scoring.unit, value, most, units);
    default:
      return scoring satisfies never;
  }
}

function sayMeasure(
  unit: Extract<CheckSpec['scoring'], { unit: string }>['unit'],
  value: number,
  most: number,
  units: LengthUnits,
): string {
  switch (unit) {
    case 'cm':
      return `${figure(readingIn(value, units))} ${units}`;
    case 'degrees':
      return `${figure(value)}°`;
    case 'percent':
      return `${figure(value)} % of body weight`;
    case 'rung':
    case 'points':
      return `${figure(value)} of ${most}`;
    default:
      return unit satisfies never;
  }
}

/** The unit that stands behind a number that is typed: `s`, `cm`, `in`, `°`, `of 10`, `passes`. */
export function unitOf({ scoring, most }: Said, units: LengthUnits): string {
  switch (scoring.kind) {
    case 'hold':
      return 's';
    case 'reps':
      return 'times';
    case 'pass':
    case 'pass-of-last':
      return 'passes';
    case 'same-day':
      return '';
    case 'measure':
    case 'level':
    case 'rating':
      return sayMeasure(scoring.unit, 0, most, units).replace(/^0 ?/, '');
    default:
      return scoring satisfies never;
  }
}

/** The same as it follows its number, with the space that belongs before it: `72°`, `18 s`. */
export const suffixOf = (spec: Said, units: LengthUnits): string => {
  const { scoring } = spec;
  const unit = unitOf(spec, units);
  const isClose = 'unit' in scoring && scoring.unit === 'degrees';
  return unit === '' || isClose ? unit : ` ${unit}`;
};

/** What a bar asks for, in words: `at least 20 s`, `at most 1 cm`, `passed 2 times on 2 days`. */
export function sayBar(spec: Said, bar: number, units: LengthUnits): string {
  const { scoring } = spec;
  switch (scoring.kind) {
    case 'hold':
    case 'reps':
      return `at least ${sayValue(spec, bar, units)}`;
    case 'pass':
      return `passed ${times(bar)}${scoring.days > 1 ? ` on ${scoring.days} days` : ''}`;
    case 'pass-of-last':
      return `passed ${bar} of the last ${scoring.last} times`;
    case 'same-day':
      return 'confirmed on the day';
    case 'measure':
    case 'level':
    case 'rating':
      return `${scoring.better === 'more' ? 'at least' : 'at most'} ${sayValue(spec, bar, units)}`;
    default:
      return scoring satisfies never;
  }
}
