import fc from 'fast-check';
import { cautionColumns, type CautionColumn } from '../catalog/cautionColumns';
import {
  cautionIds,
  cautionOutcomes,
  cautionTable,
  unknownWordNote,
  type CautionId,
  type CautionOutcome,
} from '../catalog/cautions';
import type { LadderId } from '../catalog/stage';
import { isScreeningDue, noCare, type Care, type Clearance } from './care';
import { evaluateCautions, type ShapeKind } from './evaluate';

const asOf = '2026-11-19';
const columns = Object.keys(cautionColumns) as CautionColumn[];
const reports = fc.subarray([...cautionIds]);
const rank = (outcome: CautionOutcome) => cautionOutcomes.indexOf(outcome);

const evaluate = (
  ids: readonly CautionId[],
  shape: Partial<ShapeKind> = {},
  more: Partial<Care> = {},
) => evaluateCautions({ ...noCare, reports: ids, ...more }, { columns: ['light'], ...shape }, asOf);

const word = (more: Partial<Clearance>): Clearance => ({
  about: 'osteoporosis',
  covers: ['light'],
  notedOn: '2026-11-01',
  until: '2027-05-01',
  ...more,
});

describe('the table', () => {
  it('leaves everything open for who reports nothing', () => {
    expect(evaluate([], { columns })).toMatchObject({ outcome: 'open', isWatched: false });
  });

  // Read off handbook 07, row by row: mild, light, neck, wrists, effort, shoulders, reach.
  it.each([
    ['eye', 'refer', 'refer', 'closed', 'open', 'care', 'refer', 'open'],
    ['heart', 'refer', 'refer', 'closed', 'care', 'refer', 'refer', 'open'],
    ['neck-disc', 'care', 'care', 'closed', 'care', 'care', 'closed', 'care'],
    ['arm-signs', 'refer', 'refer', 'closed', 'refer', 'refer', 'closed', 'refer'],
    ['neck-instability', 'care', 'refer', 'closed', 'care', 'care', 'closed', 'care'],
    ['pressure-controlled', 'care', 'care', 'refer', 'open', 'care', 'care', 'open'],
    ['blood-thinners', 'care', 'care', 'refer', 'care', 'open', 'care', 'open'],
    ['pregnancy', 'care', 'refer', 'closed', 'care', 'refer', 'refer', 'care'],
    ['osteoporosis', 'care', 'refer', 'closed', 'care', 'closed', 'closed', 'care'],
    [
      'ear-or-sinus',
      'care',
      'closed-today',
      'closed-today',
      'open',
      'care',
      'closed-today',
      'open',
    ],
    ['reflux', 'care', 'care', 'care', 'open', 'care', 'care', 'open'],
    [
      'headache',
      'closed-today',
      'closed-today',
      'closed-today',
      'open',
      'closed-today',
      'closed-today',
      'open',
    ],
    ['shoulder', 'care', 'care', 'care', 'care', 'open', 'refer', 'refer'],
    ['wrist', 'open', 'care', 'open', 'closed', 'open', 'care', 'open'],
    ['low-back', 'care', 'care', 'care', 'open', 'care', 'care', 'open'],
    ['very-mobile', 'care', 'care', 'care', 'care', 'care', 'care', 'care'],
    ['recent-event', 'closed', 'closed', 'closed', 'refer', 'closed', 'closed', 'care'],
    ['dizziness', 'refer', 'closed-today', 'closed-today', 'open', 'care', 'closed-today', 'open'],
    ['under-16', 'open', 'care', 'closed', 'open', 'open', 'care', 'open'],
  ] as const)('%s: %s, %s, %s, %s, %s, %s, %s', (id, ...outcomes) => {
    expect(columns.map((column) => evaluate([id], { columns: [column] }).outcome)).toEqual(
      outcomes,
    );
    expect(Object.keys(cautionTable)).toHaveLength(19);
  });

  it('is as strict as the strictest report and column, whatever the order', () => {
    fc.assert(
      fc.property(reports, fc.subarray(columns), (ids, own) => {
        const strictest = Math.max(
          0,
          ...ids.flatMap((id) =>
            own.map((column) => rank(evaluate([id], { columns: [column] }).outcome)),
          ),
        );
        expect(rank(evaluate(ids, { columns: own }).outcome)).toBe(strictest);
        expect(rank(evaluate([...ids].reverse(), { columns: [...own].reverse() }).outcome)).toBe(
          strictest,
        );
      }),
    );
  });

  it('names the report that made it strict, and gathers every adaptation', () => {
    const verdict = evaluate(['low-back', 'osteoporosis', 'reflux']);
    expect(verdict).toMatchObject({ outcome: 'refer', isOpen: false, because: ['osteoporosis'] });
    expect(verdict.adaptations).toEqual(['no arching', 'not after meals']);
  });

  it('keeps free attempts from who takes blood thinners, and novelty from who is pregnant', () => {
    expect(evaluate(['blood-thinners'], { isFree: true }).isOpen).toBe(false);
    expect(evaluate(['blood-thinners'], { isFree: false }).isOpen).toBe(true);
    const mild = (isNew: boolean) => evaluate(['pregnancy'], { columns: ['mild'], isNew }).outcome;
    expect([mild(true), mild(false)]).toEqual(['refer', 'care']);
  });
});

describe('a clinician’s word', () => {
  const open = (more: Partial<Clearance>, shape: Partial<ShapeKind> = {}) =>
    evaluate(['osteoporosis'], shape, { clearances: [word(more)] }).isOpen;

  it('lifts what it names to care with a watch mark, never to plainly open', () => {
    expect(evaluate(['osteoporosis'], {}, { clearances: [word({})] })).toMatchObject({
      outcome: 'care',
      isWatched: true,
      adaptations: [
        'as the clinician’s word allows: inversions with little or no neck load, until 1 May 2027',
      ],
    });
  });

  it('lifts nothing else: another report, another kind of shape, another ladder', () => {
    expect(open({ about: 'eye' })).toBe(false);
    expect(open({ covers: ['mild', 'wrists'] })).toBe(false);
    expect(open({}, { columns: ['light', 'neck'] })).toBe(false);
    expect(open({ ladders: ['handstand'] }, { ladder: 'forearm-stand' })).toBe(false);
    expect(open({ ladders: ['handstand'] }, { ladder: 'handstand' })).toBe(true);
  });

  it('counts from its day to its last day', () => {
    expect(open({ notedOn: '2026-11-20' })).toBe(false);
    expect(open({ until: '2026-11-18' })).toBe(false);
    expect(open({ notedOn: asOf, until: asOf })).toBe(true);
  });

  it('opens no door that is closed for today', () => {
    const note = word({ about: 'headache', covers: columns });
    expect(evaluate(['headache'], {}, { clearances: [note] }).outcome).toBe('closed-today');
  });

  it('opens neck load in pregnancy only where it was practised before', () => {
    const clearances = [word({ about: 'pregnancy', covers: ['neck'] })];
    const neck = (isNew: boolean) =>
      evaluate(['pregnancy'], { columns: ['neck'], isNew }, { clearances });
    expect(neck(true).outcome).toBe('closed');
    expect(neck(false).outcome).toBe('care');
  });
});

describe('words and signs', () => {
  it('never opens anything for a word in no list: it adds a watch mark', () => {
    fc.assert(
      fc.property(
        reports,
        fc.subarray(columns, { minLength: 1 }),
        fc.string(),
        (ids, own, text) => {
          const without = evaluate(ids, { columns: own });
          const with_ = evaluate(ids, { columns: own }, { otherWords: [text] });
          expect(rank(with_.outcome)).toBe(Math.max(rank(without.outcome), rank('care')));
          expect(with_.adaptations).toContain(unknownWordNote);
        },
      ),
    );
  });

  it('closes every inversion and neck load after a stop sign until a word on it is noted', () => {
    const signs = [{ sign: 'seeing-stars', date: '2026-11-12' } as const];
    const closed = (column: CautionColumn, clearances: Clearance[] = []) =>
      !evaluate([], { columns: [column] }, { signs, clearances }).isOpen;
    expect(columns.filter((column) => closed(column))).toEqual([
      'mild',
      'light',
      'neck',
      'shoulders',
    ]);
    const about = 'stop-sign' as const;
    const covers = ['mild'] as const;
    expect(closed('mild', [word({ about, covers, notedOn: '2026-11-13' })])).toBe(false);
    expect(closed('mild', [word({ about, covers, notedOn: '2026-11-11' })])).toBe(true);
    expect(closed('mild', [word({ about: 'eye', notedOn: '2026-11-13' })])).toBe(true);
  });

  it('lifts of a sign only what the note covers, on its ladders, until its day', () => {
    const signs = [{ sign: 'ringing', date: '2026-11-12' } as const];
    const shut = (column: CautionColumn, ladder: LadderId, more: Partial<Clearance>) =>
      evaluate(
        [],
        { columns: [column], ladder },
        {
          signs,
          clearances: [
            word({ about: 'stop-sign', covers: ['mild'], notedOn: '2026-11-13', ...more }),
          ],
        },
      ).hasOpenSign;
    expect(shut('mild', 'handstand', {})).toBe(false);
    expect(shut('light', 'handstand', {})).toBe(true);
    expect(shut('mild', 'handstand', { covers: [] })).toBe(true);
    expect(shut('mild', 'handstand', { ladders: ['forearm-stand'] })).toBe(true);
    expect(shut('mild', 'forearm-stand', { ladders: ['forearm-stand'] })).toBe(false);
    expect(shut('mild', 'handstand', { until: '2026-11-18' })).toBe(true);
    expect(shut('mild', 'handstand', { until: asOf })).toBe(false);
    expect(shut('mild', 'handstand', { notedOn: '2026-11-20' })).toBe(true);
  });

  it('takes tingling for the wrists’ matter as well', () => {
    const signs = [{ sign: 'tingling', date: asOf } as const];
    expect(evaluate([], { columns: ['wrists'] }, { signs }).isOpen).toBe(false);
  });
});

it('asks everyone again after half a year, and who was never asked at once', () => {
  expect(isScreeningDue(null, asOf)).toBe(true);
  expect(isScreeningDue('2026-05-21', asOf)).toBe(false);
  expect(isScreeningDue('2026-05-20', asOf)).toBe(true);
});
