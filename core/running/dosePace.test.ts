/** The pace of a line and the work that its drill is taken for are the same thing. */
import { drillIds, drillTable } from '../catalog/drills';
import { workOf } from '../catalog/drillKinds';
import { times } from '../catalog/dose';
import { regions } from '../catalog/regions';
import type { StageSpec } from '../catalog/stage';
import { stageTable } from '../catalog/stages';
import { doseInRound, usualBreathSeconds } from '../compose/roundDose';
import { listDosePace, paceSeconds } from './pacer';

const tireless = Object.fromEntries(
  regions.map((region) => [region, { seconds: 3600, referenceLoad: 1 }]),
);

const heldSeconds = (steps: ReturnType<typeof listDosePace>) =>
  paceSeconds(steps.filter(({ kind }) => kind === 'hold'));

it.each(drillIds)(
  '%s is paced for about as long as it counts as work, inside its minutes',
  (id) => {
    const { dose, minutes } = drillTable[id];
    const { sets, seconds } = workOf(drillTable[id]);
    const steps = listDosePace(dose, usualBreathSeconds);
    expect(paceSeconds(steps)).toBeLessThanOrEqual(60 * minutes);
    expect(heldSeconds(steps)).toBeGreaterThanOrEqual(sets * seconds * 0.5);
  },
);

it('what is led by the breath goes by the breath of the studio, a short movement does not', () => {
  const salutes = [times(3, 5, { breathsEach: 3 })];
  expect(paceSeconds(listDosePace(salutes, 5))).toBe(75);
  expect(paceSeconds(listDosePace(salutes, 8))).toBe(120);
  expect(paceSeconds(listDosePace([times(10)], 8))).toBe(paceSeconds(listDosePace([times(10)], 5)));
});

it('a round tires by the time that the pace of what is counted takes', () => {
  const counted = Object.values(stageTable).flatMap(({ round, loads }: StageSpec) =>
    round?.every((step) => 'times' in step) === true ? [{ round, loads }] : [],
  );
  expect(counted.length).toBeGreaterThan(3);
  for (const { round, loads } of counted) {
    const held = listDosePace(round, usualBreathSeconds).filter(({ kind }) => kind === 'hold');
    expect(doseInRound(round, loads, tireless).spans).toEqual(held.map(({ seconds }) => seconds));
  }
});
