import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { drillTable, type DrillSpec } from '../catalog/drills';
import { closedRegions, painPlaces } from '../catalog/regions';
import type { Clearance } from '../caution/care';
import type { OpenedCase } from '../ladder/case';
import { allColumns, inventPerson } from '../testing/inventPerson';
import { asOf, makeCase } from '../testing/cases';
import { listAfterTold } from './afterTold';
import { usualHousehold } from './household';
import { planHomePractice } from './homePractice';
import { listRestful } from './restful';

const sized = { body: resolveBody({ heightM: 1.7 }) };
const drills: Readonly<Record<string, DrillSpec | undefined>> = drillTable;

function sheetOf(person: OpenedCase) {
  const { items, instead } = planHomePractice(person, sized, ['forearm-stand'], usualHousehold);
  const after = listAfterTold(person, sized, ['forearm-stand'], usualHousehold, items);
  return { ids: items.map(({ id }) => id), instead, after };
}

const newcomer = makeCase({ present: { 'forearm-stand': 'FS3' }, evidence: {} });

describe('what is left of a sheet after something was told at home', () => {
  it('leaves open nothing that strains what hurts, for anybody', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const { after } = sheetOf(inventPerson(seed).person);
        for (const place of painPlaces) {
          const hurts = new Set<string>(closedRegions(place));
          for (const id of after.places[place].open) {
            const drill = drills[id];
            if (drill === undefined) continue;
            const used = [...Object.keys(drill.loads), ...drill.strains];
            expect([id, place, used.filter((region) => hurts.has(region))]).toEqual([
              id,
              place,
              [],
            ]);
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  it('closes some of it for a wrist, and not all', () => {
    const { ids, after } = sheetOf(newcomer);
    const { open, instead } = after.places.wrist;
    expect(instead).toBeNull();
    expect(ids.some((id) => open.includes(id))).toBe(true);
    const isClosing = painPlaces.filter((place) =>
      ids.some((id) => !after.places[place].open.includes(id)),
    );
    expect(isClosing).toContain('shoulder');
  });

  it('leaves rest alone after a sign, or after pain that nobody can place', () => {
    const rest = listRestful(newcomer).map(({ id }) => id);
    const { after } = sheetOf(newcomer);
    for (const told of [after.sign, after.places.elsewhere]) {
      expect(told.instead).toMatch(/Rest until a clinician/);
      expect(told.open.length).toBeGreaterThan(0);
      expect(told.open.filter((id) => !rest.includes(id))).toEqual([]);
    }
  });

  it('takes no word noted today for an answer to a sign of tomorrow', () => {
    const word = {
      about: 'stop-sign',
      covers: allColumns,
      notedOn: asOf,
      until: '2027-11-19',
    } as const satisfies Clearance;
    const cleared = makeCase({
      present: { 'forearm-stand': 'FS3' },
      evidence: {},
      care: { clearances: [word] },
    });
    expect(sheetOf(cleared).instead).toBeNull();
    expect(sheetOf(cleared).after.sign.instead).not.toBeNull();
  });
});
