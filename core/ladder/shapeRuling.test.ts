import { getStage, stageIds } from '../catalog/stages';
import { shapeIds } from '../shapes/registry';
import { makeCase } from '../testing/cases';
import { ruleOnShape } from './shapeRuling';

describe('a shape on the bench', () => {
  it('is closed where every stage in it is, and says how where it is open with care', () => {
    const reported = (...reports: ('recent-event' | 'wrist' | 'low-back')[]) =>
      makeCase({ care: { reports } });
    expect(ruleOnShape(reported('recent-event'), 'headstand')).toEqual({
      isOpen: false,
      watch: [],
    });
    expect(ruleOnShape(reported('wrist'), 'plank')).toEqual({ isOpen: false, watch: [] });
    expect(ruleOnShape(reported('low-back'), 'dolphin')).toEqual({
      isOpen: true,
      watch: ['bend the knees'],
    });
    expect(ruleOnShape(makeCase(), 'crow')).toEqual({ isOpen: true, watch: [] });
  });

  it('is nobody’s to be told where no stage is done in it', () => {
    const told = shapeIds.filter((shape) => ruleOnShape(makeCase(), shape) !== null);
    const drawn = new Set(
      stageIds.flatMap((id) => {
        const { shape } = getStage(id);
        return shape !== undefined && 'family' in shape ? [shape.family] : [];
      }),
    );
    expect(new Set(told)).toEqual(drawn);
  });
});
