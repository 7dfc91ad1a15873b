import fc from 'fast-check';
import { alternativeTable, type AlternativeSpec } from '../catalog/alternatives';
import {
  cautionColumns,
  cautionIds,
  cautionOutcomes,
  type CautionColumn,
} from '../catalog/cautions';
import { chooseAlternative, evaluateCautions } from './evaluate';

const columns = Object.keys(cautionColumns) as CautionColumn[];
const reports = fc.subarray([...cautionIds]);

describe('cautions', () => {
  it('leaves everything open for who reports nothing', () => {
    for (const column of columns) expect(evaluateCautions([], column).outcome).toBe('open');
  });

  it('closes the kick for glaucoma, pregnancy and a concussion; the wrists stay their own matter', () => {
    expect(evaluateCautions(['eye'], 'light').isOpen).toBe(false);
    expect(evaluateCautions(['pregnancy'], 'light').outcome).toBe('refer');
    expect(evaluateCautions(['recent-event'], 'light').outcome).toBe('closed');
    expect(evaluateCautions(['eye'], 'wrists').outcome).toBe('open');
    expect(evaluateCautions(['wrist'], 'light')).toMatchObject({
      outcome: 'care',
      adaptations: ['forearm versions'],
    });
  });

  it('is as strict as the strictest report, whatever the order', () => {
    fc.assert(
      fc.property(reports, fc.constantFrom(...columns), (ids, column) => {
        const rank = (list: typeof ids) =>
          cautionOutcomes.indexOf(evaluateCautions(list, column).outcome);
        const strictest = Math.max(0, ...ids.map((id) => rank([id])));
        expect(rank(ids)).toBe(strictest);
        expect(rank([...ids].reverse())).toBe(strictest);
      }),
    );
  });

  it('never offers an alternative that the same cautions close', () => {
    fc.assert(
      fc.property(reports, (ids) => {
        const { column } = alternativeTable[chooseAlternative(ids)] as AlternativeSpec;
        expect(column === null || evaluateCautions(ids, column).isOpen).toBe(true);
      }),
    );
  });
});
