/**
 * What is looked at before weight goes on: of the shape, of its set-up, and of whoever goes upside down.
 */
import type { CautionColumn } from '../catalog/cautionColumns';
import type { ProfileSettings } from '../catalog/profiles';
import { getSetup, type SetupId } from './registry';
import { checkFirstOf, type SetFigure } from './setup';

interface Weighted {
  readonly checkFirst?: readonly string[] | undefined;
  readonly recipe?: SetupId | undefined;
  readonly columns: readonly CautionColumn[];
}

const canTalk = 'Breath easy, able to talk';

/**
 * Lines in the order in which they are looked at; each once.
 *
 * @param distances of the solved set-up: nothing is looked at that is not laid out
 */
export function beforeWeight(
  { checkFirst = [], recipe, columns }: Weighted,
  settings: ProfileSettings,
  distances: readonly SetFigure[],
): string[] {
  const own = [
    ...checkFirst,
    ...(recipe === undefined ? [] : checkFirstOf(getSetup(recipe), settings, distances)),
  ];
  const isUpsideDown = columns.some(
    (column) => column === 'light' || column === 'neck' || column === 'shoulders',
  );
  const all = isUpsideDown ? [...own, canTalk] : own;
  const seen = new Set<string>();
  return all.filter((line) => {
    const key = line.toLowerCase();
    return !seen.has(key) && seen.add(key);
  });
}
