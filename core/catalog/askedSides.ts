import type { CheckSpec, Scoring } from './checkKinds';

/** What one record of a check with two sides may say; `both`: the same figure for either. */
export type AskedSide = 'left' | 'right' | 'both';

/** A range may be read off both at once; what is held or counted is each side's own. */
export const askedSides = (kind: Scoring['kind']): readonly AskedSide[] =>
  kind === 'measure' ? ['left', 'right', 'both'] : ['left', 'right'];

/** The same of a check; none where there are no sides to it. */
export const sidesOfCheck = ({
  hasSides,
  scoring,
}: Pick<CheckSpec, 'hasSides' | 'scoring'>): readonly AskedSide[] =>
  hasSides ? askedSides(scoring.kind) : [];

/** As a record keeps it: without a side it counts for both. */
export const keptSide = (asked: AskedSide): 'left' | 'right' | null =>
  asked === 'both' ? null : asked;

/** After one side comes the other. */
export const sideAfter = (asked: AskedSide): AskedSide => {
  switch (asked) {
    case 'left':
      return 'right';
    case 'right':
      return 'left';
    case 'both':
      return 'both';
    default:
      return asked satisfies never;
  }
};
