import { lengthIds, lengthTable, totals } from '../body/lengths';
import { distanceIds, distanceWords } from '../setups/distanceWords';
import { getSetup, setupIds } from '../setups/registry';
import { resolveBody } from '../body/body';
import { alternativeIds, getAlternative } from './alternatives';
import { cautionColumns } from './cautionColumns';
import { cautionIds, cautionOutcomes, cautionTable } from './cautions';
import { checkIds, faultIds, getCheck } from './checks';
import { pieceIds, pieceTable, specOf } from './pieces';
import { profileIds } from './profiles';

describe('checks', () => {
  it('have a bar in every profile that somebody could record, and faults that exist', () => {
    for (const id of checkIds) {
      const check = getCheck(id);
      for (const profile of profileIds) expect(check.opensAt[profile]).toBeGreaterThan(0);
      for (const fault of check.voidedBy) expect(faultIds).toContain(fault);
      if (check.scoring.kind === 'hold' || check.scoring.kind === 'reps') {
        for (const profile of profileIds) {
          expect(check.opensAt[profile]).toBeLessThanOrEqual(check.most);
        }
      }
    }
  });

  it('ask at least as much of the strength-led as of the others, wherever more is better', () => {
    for (const id of checkIds) {
      const { opensAt, scoring } = getCheck(id);
      const isLess = 'better' in scoring && scoring.better === 'less';
      const [strict, prop, play] = [
        opensAt['strength-led'],
        opensAt['prop-led'],
        opensAt['play-led'],
      ];
      if (isLess) expect(strict).toBeLessThanOrEqual(Math.min(prop, play));
      else expect(strict).toBeGreaterThanOrEqual(Math.max(prop, play));
    }
  });

  it.each([
    ['dolphin-hold', 45, 60, 30, 28],
    ['forearm-plank-hold', 20, 45, 20, 28],
    ['dolphin-push-ups', 5, 10, 5, 28],
    ['dolphin-one-leg', 15, 20, 10, 28],
    ['head-clearance', 3, 3, 1, 56],
    ['confidence', 5, 5, 4, 14],
    ['wrist-extension', 80, 80, 70, 90],
    ['shoulder-stand-hold', 30, 30, 30, 42],
  ] as const)('%s opens at %i / %i / %i for %i days', (id, prop, strength, play, days) => {
    const { opensAt, validDays } = getCheck(id);
    expect(opensAt).toEqual({ 'prop-led': prop, 'strength-led': strength, 'play-led': play });
    expect(validDays).toBe(days);
  });
});

describe('cautions', () => {
  it('judge every column with a known outcome; an adaptation belongs to care alone', () => {
    for (const id of cautionIds) {
      for (const column of Object.keys(cautionColumns) as (keyof typeof cautionColumns)[]) {
        const cell: { outcome: string; adaptation?: string } = cautionTable[id].columns[column];
        expect(cautionOutcomes).toContain(cell.outcome);
        expect(cell.adaptation !== undefined).toBe(cell.outcome === 'care');
      }
    }
  });

  it('never leave neck load freer than inversions without it', () => {
    const rank = (outcome: string) => cautionOutcomes.findIndex((o) => o === outcome);
    for (const id of cautionIds) {
      const { light, neck } = cautionTable[id].columns;
      expect(rank(neck.outcome)).toBeGreaterThanOrEqual(
        rank(light.outcome) - (id === 'wrist' || id === 'low-back' ? 1 : 0),
      );
    }
  });

  it('always end at shapes without head below heart or weight on the arms, some without a piece', () => {
    const easy = alternativeIds.filter((id) =>
      getAlternative(id).columns.every((column) => column === 'reach'),
    );
    expect(alternativeIds.slice(-easy.length)).toEqual(easy);
    const bare = easy.filter((id) => id !== 'rest' && getAlternative(id).pieces.length === 0);
    expect(bare.some((id) => Object.keys(getAlternative(id).loads).length === 0)).toBe(true);
    expect(getAlternative('rest')).toMatchObject({ columns: [], loads: {} });
  });
});

describe('pieces', () => {
  it('are longest first, and no thicker under load than without', () => {
    for (const id of pieceIds) {
      const { lengthM, widthM, thicknessM, loadedM } = specOf({ piece: id });
      expect(lengthM).toBeGreaterThanOrEqual(widthM);
      expect(loadedM).toBeLessThanOrEqual(thicknessM);
      expect(loadedM).toBeGreaterThan(0);
    }
  });
});

describe('lengths and distances', () => {
  it('have fractions of their totals that agree', () => {
    for (const [total, { parts, fixedFraction }] of Object.entries(totals)) {
      const fractions = parts.map((part): number => lengthTable[part].fraction);
      const sum = fractions.reduce((all, part) => all + part, fixedFraction);
      expect(sum).toBeCloseTo(lengthTable[total as keyof typeof totals].fraction, 9);
    }
    for (const id of lengthIds) expect(lengthTable[id].howTo).toMatch(/\.$/);
  });

  it('are all worded, and every distance is given by some set-up', () => {
    // Some are asked for by a larger body alone, or say how high a chair of one's own is.
    const body = resolveBody({ heightM: 1.7, girths: { thighGirth: 0.7 } });
    const own = { ...pieceTable.chair, thicknessM: 0.4, loadedM: 0.4 };
    const given = new Set(
      setupIds.flatMap((recipe) =>
        getSetup(recipe)
          .solve({
            body,
            profile: 'prop-led',
            pieces: [
              { piece: 'foam-block', count: 2 },
              { piece: 'own-stool', count: 1, own },
            ],
            straightLegRaiseDeg: 70,
          })
          .distances.map(({ id }) => id),
      ),
    );
    for (const id of distanceIds) {
      expect(distanceWords[id].toleranceM).toBeGreaterThan(0);
      expect(given.has(id)).toBe(true);
    }
  });

  it('come with what to check, who helps and the way out, for every set-up', () => {
    for (const recipe of setupIds) {
      const { checkFirst, assist, exit } = getSetup(recipe);
      expect(checkFirst.length).toBeGreaterThan(0);
      expect(assist.length).toBeGreaterThan(3);
      expect(exit.length).toBeGreaterThan(3);
    }
  });
});
