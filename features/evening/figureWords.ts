import type { PlannedOption } from '@/core/compose/option';
import { distanceWords } from '@/core/setups/distanceWords';
import { formatLength, type LengthUnits } from '@/core/units/length';

const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

/** What somebody has in them of a dose. */
const triesWords = (tries: number) => (tries === 1 ? 'one try a round' : `${tries} tries a round`);

/** `54 cm from the wall, found by trying; elbow width 36 cm`: what is set out for one person. */
export function figureWords(
  { baseM, figures = [], tries }: Pick<PlannedOption, 'baseM' | 'figures' | 'tries'>,
  units: LengthUnits,
): string {
  const base = figures.find(({ id }) => id === 'base');
  const list =
    base === undefined && baseM !== undefined ? [{ id: 'base', metres: baseM } as const] : [];
  const words = [...list, ...figures]
    .filter(({ metres }) => metres > 0)
    .map((figure) => {
      const length = formatLength(figure.metres, units);
      const words =
        figure.id === 'base'
          ? `${length} from the wall`
          : `${lower(distanceWords[figure.id].label)} ${length}`;
      return 'isFound' in figure && figure.isFound ? `${words}, found by trying` : words;
    });
  return [...words, ...(tries === undefined ? [] : [triesWords(tries)])].join('; ');
}
