import { noCare } from '../caution/care';
import { cautionIds, cautionTable } from '../catalog/cautions';
import { ladderIds } from '../catalog/stage';
import { ago, asOf, everything, makeCase } from '../testing/cases';
import { listCares, listClosed, listRefused } from './ledger';
import { refusalWords } from './refusal';
import { openCase } from './case';
import { judge } from './verdict';

const present = { 'forearm-stand': 'FS9' } as const;
const refusedTo = (...args: Parameters<typeof makeCase>) =>
  listRefused(makeCase(...args), ['forearm-stand']);

describe('what is refused tonight', () => {
  it('is nothing where nothing is closed, and no gate that simply is not met yet', () => {
    expect(refusedTo({ present })).toEqual([]);
    expect(refusedTo({ present, evidence: {} })).toEqual([]);
  });

  it('opens with a clinician’s word, a note that it is gone, both, or another day', () => {
    const opens = (care: object) => refusedTo({ present, care })[0]?.opensWith;
    const gone = { place: 'shoulder', date: ago(7) };
    expect(opens({ reports: ['eye'] })).toEqual({ word: ['light'] });
    expect(opens({ reports: ['headache'] })).toEqual({ later: true });
    expect(opens({ pains: [gone] })).toEqual({ gone: true });
    expect(opens({ reports: ['eye'], pains: [gone] })).toEqual({ word: ['light'], gone: true });
    expect(opens({ signs: [{ sign: 'tingling', date: ago(7) }] })).toEqual({ word: ['light'] });
  });

  it('does not open with another day what stays closed while it is new', () => {
    const person = makeCase({ present: { headstand: 'HS5' }, care: { reports: ['pregnancy'] } });
    expect(listRefused(person, ['headstand']).find(({ stage }) => stage === 'HS6')).toMatchObject({
      opensWith: { practised: true },
    });
  });

  it('says several keys once each, in one line', () => {
    const words = refusalWords(
      refusedTo({ present, care: { reports: ['eye'], pains: [{ place: 'wrist', date: ago(7) }] } }),
      'Calves on a chair',
    );
    expect(words).toBe(
      'not tonight: Hops at the wall, Kick to the wall, block in hands; instead: Calves on a chair; would open with: a clinician’s word on inversions with little or no neck load',
    );
  });

  it('goes on with what the gate would still ask for', () => {
    const { 'dolphin-push-ups': _, ...weak } = everything;
    const kick = refusedTo({ present, evidence: weak, care: { reports: ['eye'] } }).find(
      ({ stage }) => stage === 'FS10',
    );
    expect(kick?.then).toContain('Dolphin push-ups, hands clasped');
    expect(refusalWords([kick!], 'rest')).toMatch(/, then dolphin push-ups, hands clasped$/);
  });

  it('names after a step back whose checks are to be seen again', () => {
    const evidence = {
      ...everything,
      'dolphin-one-leg': [21, 14, 7].map((days) => ({ date: ago(days), value: 2 })),
    };
    expect(refusedTo({ present: { 'forearm-stand': 'FS10' }, evidence })[0]?.opensWith).toEqual({
      seen: 'the checks of kick to the wall, block in hands',
    });
  });

  it('never names what was reported', () => {
    for (const id of cautionIds) {
      const label = cautionTable[id].label.toLowerCase().split(' ')[0]!;
      const person = makeCase({
        care: { reports: [id] },
        present: { headstand: 'HS5', ...present },
      });
      const words = refusalWords(listRefused(person, ladderIds), 'rest');
      // What is closed may be called after the place that is sore; the report itself is not named.
      if (label.length > 4 && label !== 'wrist') expect(words.toLowerCase()).not.toContain(label);
    }
  });

  it('keeps its promise: with the word it names, the stage is no longer stopped', () => {
    for (const id of cautionIds) {
      const person = makeCase({ care: { reports: [id] }, present });
      for (const { stage, opensWith } of listRefused(person, ladderIds)) {
        if (opensWith.word === undefined) continue;
        const covers = ['mild', 'light', 'neck', 'wrists', 'effort', 'shoulders', 'reach'] as const;
        const clearances = [{ about: id, covers, notedOn: asOf, until: asOf }];
        const lifted = openCase({ ...person, care: { ...noCare, reports: [id], clearances } });
        expect([id, stage, judge(stage, lifted).kind]).not.toEqual([id, stage, 'stop']);
      }
    }
  });
});

describe('the person’s own page', () => {
  it('says why, by its cause, with everything that it closes', () => {
    const closed = listClosed(
      makeCase({ present, care: { reports: ['eye'], pains: [{ place: 'wrist', date: ago(3) }] } }),
    );
    const byEye = closed.find(({ why }) => why.includes('glaucoma'))!;
    expect(byEye.what).toContain('Dolphin hold');
    expect(closed.find(({ why }) => why.startsWith('pain on'))?.what).toContain('Plank hold');
    expect(listClosed(makeCase({ present }))).toEqual([]);
  });
});

describe('care', () => {
  it('goes with drills and counterposes that are open with it', () => {
    const cares = listCares(makeCase({ care: { reports: ['low-back'] } }), ['handstand']);
    expect(cares.find(({ after }) => after === 'handstand')?.words).toContain('bend the knees');
    expect(cares.find(({ drill }) => drill === 'corner-dolphin')?.words).toContain(
      'bend the knees',
    );
    expect(listCares(makeCase(), ladderIds)).toEqual([]);
  });

  it('leaves the bridge out of the way out for a back that must not arch', () => {
    const box = (reports: readonly ['low-back'] | readonly []) =>
      judge('HB14', makeCase({ care: { reports } })).caution.adaptations;
    expect(box(['low-back'])).toContain('out of it with a step down, never over into a bridge');
    expect(box([])).toEqual([]);
  });
});
