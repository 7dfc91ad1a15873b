/** What goes home with whoever has nothing else: for rest, and asked like anything else. */
import { getAlternative, type AlternativeId } from '../catalog/alternatives';
import { seconds, times, type DoseStep } from '../catalog/dose';
import { passTo } from '../ladder/alternative';
import type { OpenedCase } from '../ladder/case';
import { homeRule, type HomeItem } from './homeItem';

/** What is kind to nearly everybody, the first that is open first; each asked like anything else. */
const restful = [
  {
    id: 'calves-on-chair',
    how: 'On the back, calves on the seat, hips on the floor; a folded towel under the head if it is kinder.',
    dose: '5 minutes',
    paced: [seconds(300)],
    towards: 'rest',
  },
  {
    id: 'seated-shoulders',
    how: 'Sitting, shoulder blades apart and together, then slow circles, arms hanging.',
    dose: '6 each way',
    paced: [times(6, 6, { per: 'way' })],
    towards: 'ease in the shoulders',
  },
  {
    id: 'seated-breath',
    how: 'Cross-legged or on the heels, hands on the thighs; long back, slow breath, ankles move.',
    dose: '5 minutes',
    paced: [seconds(300)],
    towards: 'rest',
  },
] as const satisfies readonly {
  readonly id: AlternativeId;
  readonly how: string;
  readonly dose: string;
  readonly paced: readonly DoseStep[];
  readonly towards: string;
}[];

/** What is for rest, as far as it is open to somebody. */
export function listRestful(person: OpenedCase): HomeItem[] {
  return restful.flatMap(({ id, how, dose, paced, towards }): HomeItem[] => {
    const pass = passTo(id, 'shoulder-stand', person);
    if (pass === null) return [];
    const { label, move } = getAlternative(id);
    return [
      {
        ...{ pass, id, label, how, dose, paced, move, towards },
        days: homeRule.daysEase,
        standIns: [],
        watch: [],
      },
    ];
  });
}
