/** The marks on an upright axis of figures. */

/** As many steps as can be told apart at a glance. */
const mostSteps = 4;
const nearestSteps = [1, 2, 5, 10];

/** Round figures from 0 up, the last of them at or above the highest that is drawn. */
export function listTicks(highest: number): readonly number[] {
  if (!(highest > 0)) return [0, 1];
  const least = highest / mostSteps;
  const power = 10 ** Math.floor(Math.log10(least));
  const step = power * nearestSteps.find((one) => one * power >= least - 1e-9 * power)!;
  const count = Math.ceil(highest / step - 1e-9);
  // Tenths have no exact binary figure: what is shown has no tail.
  return Array.from({ length: count + 1 }, (_, index) => Number((index * step).toPrecision(12)));
}

/** A unit as it follows its number. */
export const behind = (unit: string): string => (unit === '' || unit === '°' ? unit : ` ${unit}`);

/** What of a unit stands beside each mark: signs do, words stand with the figures below. */
export const tickUnit = (unit: string): string => (/^(°|s|cm|in)$/.test(unit) ? behind(unit) : '');
