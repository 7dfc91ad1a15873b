import { resolveBody } from '@/core/body/body';
import { shapeIds } from '@/core/shapes/registry';
import { toPosture, usualValues } from '@/core/shapes/values';
import { computeLoads } from '@/core/shapes/loads';
import { describeInputs, listFigures } from './figures';

const body = resolveBody({ heightM: 1.7, lengths: { forearm: 0.25 } });
const figuresOf = (shape: (typeof shapeIds)[number], units: 'cm' | 'in' = 'cm') => {
  const values = usualValues(shape, body);
  const loads = computeLoads(body, toPosture(shape, values));
  return listFigures(loads, describeInputs(body, shape, values, units), units, body);
};
const value = (shape: (typeof shapeIds)[number], id: string) =>
  figuresOf(shape).find((figure) => figure.id === id)?.value;

describe('the figures of the bench', () => {
  it('give no false digits: whole percent, degrees and centimetres', () => {
    for (const shape of shapeIds) {
      for (const { value: shown, id } of figuresOf(shape)) {
        expect(shown).not.toMatch(/NaN|Infinity|undefined|^-/);
        if (id !== 'moment') expect(shown).not.toMatch(/\d\.\d/);
      }
    }
  });

  it('answer why with formula, source or meaning, and with what went in', () => {
    for (const shape of shapeIds) {
      for (const { why } of figuresOf(shape)) {
        expect(why).toMatch(/Inputs: .*height 170 cm, 1 of 19 lengths measured\.$/);
      }
    }
  });

  it('show what belongs to the shape and nothing else', () => {
    expect(value('wallL', 'push')).toMatch(/^\d+ % of weight$/);
    expect(value('dolphin', 'push')).toBeUndefined();
    expect(value('forearmStandWall', 'lean')).toMatch(/^\d+°$/);
    expect(value('shoulderStand', 'neck')).toMatch(/^\d+°$/);
    expect(value('shoulderStand', 'moment')).toBeUndefined();
    expect(value('crow', 'lead')).toMatch(/^\d+ cm$/);
    expect(value('handstand', 'balance')).toMatch(/ahead, \d+ cm behind/);
    expect(value('handstandWall', 'kick')).toMatch(/^\d+ cm$/);
  });

  it('say a moment as a weight at the end of straight arms', () => {
    const moment = figuresOf('dolphin').find(({ id }) => id === 'moment')!;
    const perKg = Number(moment.value.replace(' Nm/kg', ''));
    const share = Number(/like (\d+) %/.exec(moment.like!)![1]) / 100;
    const armM = body.lengths.upperArm + body.lengths.forearm;
    // The value shows one digit, the share two.
    expect(Math.abs(share * 9.81 * armM - perKg)).toBeLessThan(0.05 + 0.005 * 9.81 * armM);
  });

  it('speak inches to who reads inches', () => {
    const crow = figuresOf('crow', 'in').find(({ id }) => id === 'lead')!;
    expect(crow.value).toMatch(/in$/);
    expect(crow.why).toContain('height 5′ 7″');
  });
});
