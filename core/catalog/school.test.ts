import { judge } from '../ladder/verdict';
import { openCase, type PersonCase } from '../ladder/case';
import { findStands } from '../ladder/stand';
import { everything, makeCase, twice } from '../testing/cases';
import { checkIds, getCheck } from './checks';
import { walkDemand } from './demand';
import { drillIds, drillTable } from './drills';
import { entriesFile, layOver, noEntries, type OwnEntries } from './entries';
import { describeChanges, describeGate, profileChangesSchema } from './profileChanges';
import type { profileIds } from './profiles';
import {
  buildSchool,
  getCheckIn,
  getStageIn,
  isStricter,
  shippedCatalog,
  shippedProfile,
  shippedSchool,
  withEntries,
  type Catalog,
  type ProfileChanges,
} from './school';
import { ladderIds, type StageSpec } from './stage';
import { stageIds, stageTable } from './stages';
import { sayMethod } from './taking';
import { validateCatalog, validateProfile } from './validate';

const copy = (changes: ProfileChanges, origin: 'prop-led' | 'play-led' = 'prop-led') => ({
  key: 'own-1',
  label: 'My way',
  origin,
  version: 3,
  changes,
});

const withStage = (
  key: string,
  change: Partial<StageSpec>,
  from: StageSpec = stageTable.FS6,
): Catalog => ({
  ...shippedCatalog,
  stages: { ...shippedCatalog.stages, [key]: { ...from, ...change } },
});

describe('the shipped catalog', () => {
  it('is sound', () => {
    expect(validateCatalog(shippedCatalog)).toEqual([]);
  });

  it('says of every check from where it is looked at, and reads it off something that gives such a value', () => {
    const gives = {
      hold: ['clock'],
      reps: ['count'],
      pass: ['eye', 'sheet'],
      'pass-of-last': ['eye'],
      'same-day': ['word'],
      rating: ['word'],
      level: ['eye'],
      cm: ['tape'],
      degrees: ['angle', 'eye'],
      percent: ['scale'],
    } as const;
    for (const id of checkIds) {
      const { method, taking, scoring } = getCheck(id);
      const kind = scoring.kind === 'measure' ? scoring.unit : scoring.kind;
      expect([id, gives[kind as keyof typeof gives]]).toEqual([
        id,
        expect.arrayContaining([taking.instrument]),
      ]);
      // Said once: not by the row and by its sentence.
      expect([id, method]).toEqual([id, expect.not.stringMatching(/^From (the|behind|above)/)]);
    }
    expect(sayMethod(getCheck('plank-hold'))).toMatch(/^From the side, by the clock\. Hands under/);
  });

  it('has five ladders with every numbered rung of the handbook', () => {
    const count = (prefix: string) => stageIds.filter((id) => id.startsWith(prefix)).length;
    expect(ladderIds).toHaveLength(5);
    expect(count('FS')).toBe(14);
    expect(count('HB')).toBe(16);
    expect(count('SS')).toBe(10);
    for (const rung of [1, 2, 3, 4, 5, 6, 7, 8]) expect(stageIds).toContain(`HS${rung}`);
    for (const rung of [1, 2, 3, 4, 5, 6, 7, 8, 9]) expect(stageIds).toContain(`CR${rung}`);
    for (const branch of ['HS-a', 'HS-b', 'CRe', 'CRf', 'CRp', 'CRo', 'CRg'])
      expect(stageIds).toContain(branch);
  });

  it('asks a controlled exit from the first free stage on, and confidence from the first attempt at a wall', () => {
    const first = { 'forearm-stand': 'FS9', handstand: 'HB10' } as const;
    const { stages } = shippedSchool('prop-led');
    for (const { key, spec, ways } of stages.values()) {
      for (const { demands, path } of ways) {
        const asked = demands.flatMap((demand) => [...walkDemand(demand)]);
        const asks = (check: string) =>
          asked.some((demand) => 'check' in demand && demand.check === check);
        if (spec.needsExit) expect([key, asks('controlled-exit')]).toEqual([key, true]);
        const from = first[spec.family as keyof typeof first];
        if (from && path.includes(from)) expect([key, asks('confidence')]).toEqual([key, true]);
      }
    }
  });

  it('serves with its drills only checks there are, every region warmed by something', () => {
    const served = new Set(drillIds.flatMap((id) => [...drillTable[id].serves] as string[]));
    for (const check of served) expect(checkIds).toContain(check);
    for (const check of [
      'dolphin-hold',
      'hollow-hold',
      'push-up-rung',
      'crow-hold',
      'wrist-extension',
      'crown-control',
    ]) {
      expect(served).toContain(check);
    }
  });

  it('closes what each profile closes and nothing else', () => {
    const closed = (id: (typeof profileIds)[number]) =>
      [...shippedSchool(id).stages.values()]
        .filter(({ ways }) => ways.length === 0)
        .map(({ key }) => key);
    expect(closed('prop-led')).toEqual([]);
    expect(closed('strength-led')).toEqual(['HS-w', 'SS9']);
    expect(closed('play-led')).toEqual([]);
  });

  it('lets strength-led put no weight on the head before the push bars', () => {
    const asks = (id: (typeof profileIds)[number]) =>
      getStageIn(shippedSchool(id), 'HS4').ways[0]!.demands.some(
        (d) => 'check' in d && d.check === 'dolphin-push-ups',
      );
    expect([asks('strength-led'), asks('prop-led')]).toEqual([true, false]);
  });
});

describe('validation finds', () => {
  const find = (catalog: Catalog) =>
    validateCatalog(catalog).map(({ where, message }) => `${where}: ${message}`);

  it.each([
    [{ gate: [{ check: 'cartwheel' }] }, /asks for a check that is not there: cartwheel/],
    [{ gate: [{ check: 'l-hold' }] }, /without saying hands, forearms or head/],
    [
      { gate: [{ check: 'dolphin-hold', base: 'hands' as const }] },
      /on a base, which it does not have/,
    ],
    [{ gate: [{ anyOf: [{ check: 'lifted-tuck', value: 9 }] }] }, /more than can be recorded/],
    [{ gate: [{ practised: 'XX1' }] }, /asks for a stage that is not there/],
    [{ after: ['XX1'] }, /comes after a stage that is not there/],
    [{ after: ['HB1'] }, /a stage of another ladder/],
    [{ after: ['FS6', 'own-x'] }, /asks for itself in a circle/],
    [{ gate: [{ opens: 'own-x' }] }, /asks for itself in a circle/],
    [{ branch: 'own-nowhere' }, /a branch that is not there/],
    [{ stepDown: ' ' }, /has no way down/],
    [{ exit: '' }, /has no way out/],
    [
      { round: [{ hold: true, held: 'own-x' }] },
      /held as long as a check that is not there: own-x/,
    ],
    [{ how: 'x'.repeat(201) }, /too long to read while standing/],
    [{ loads: { neck: 1.5 } }, /loads neck by 1.5/],
    [{ faults: ['giggles' as never] }, /a fault that is not there/],
    [{ shape: { still: 'cartwheel' as never } }, /a shape that is not there/],
  ] as const)('%j', (change, message) => {
    expect(find(withStage('own-x', { ...change } as Partial<StageSpec>)).join('\n')).toMatch(
      message,
    );
  });

  it('a drill that stands for a stage that is not there', () => {
    const drills = { 'own-d': { ...drillTable.hollow, asStage: 'own-x' as const } };
    expect(find(withEntries(shippedCatalog, { drills })).join()).toMatch(
      /drill own-d: stands for a stage that is not there: own-x/,
    );
  });

  it('a stage that only leads in from a circle', () => {
    const catalog = withStage('own-a', { after: ['own-b'] });
    const both = {
      ...catalog,
      stages: { ...catalog.stages, 'own-b': { ...stageTable.FS6, after: ['own-a' as const] } },
    };
    expect(find(both).length).toBeGreaterThan(0);
  });

  it('a check with a bar beyond what can be recorded, and a drill that serves nothing there is', () => {
    const bar = { 'prop-led': 900, 'strength-led': 900, 'play-led': 900 };
    const catalog = layOver({
      ...noEntries,
      checks: { 'own-c': { ...shippedCatalog.checks['lifted-tuck']!, opensAt: bar } },
      drills: { 'own-d': { ...drillTable.boat, serves: ['own-z'] } },
    });
    expect([...new Set(catalog.problems.map(({ where }) => where))]).toEqual([
      'check own-c',
      'drill own-d',
    ]);
  });
});

describe('a teacher’s own entries', () => {
  const entries: OwnEntries = {
    ...noEntries,
    checks: {
      'own-wall-walk': {
        label: 'Wall walk, steps',
        scoring: { kind: 'reps' },
        opensAt: { 'prop-led': 6, 'strength-led': 8, 'play-led': 4 },
        validDays: 28,
        voidedBy: ['sag'],
        most: 40,
        columns: ['wrists'],
        strains: [],
      },
    },
    stages: {
      'own-walk-up': {
        ...stageTable.HB8,
        label: 'Walk up the wall',
        after: ['HB8'],
        isAside: true,
        gate: [{ check: 'own-wall-walk', share: 0.5 }],
      },
    },
  };
  const { catalog, problems } = layOver(entries);
  const school = buildSchool(shippedProfile('prop-led'), catalog);

  it('are judged like the shipped ones', () => {
    expect(problems).toEqual([]);
    const decide = (value: number) =>
      judge(
        'own-walk-up',
        openCase({
          ...makeCase(),
          school,
          evidence: { ...everything, 'own-wall-walk': twice(value) },
        }),
      );
    expect(decide(4).kind).toBe('advance');
    expect(decide(1).kind).toBe('stay');
    expect(school.ladders.handstand.at(-1)).toBe('own-walk-up');
  });

  it('are closed by the same cautions', () => {
    const person: PersonCase = { ...makeCase({ care: { reports: ['wrist'] } }), school };
    expect(judge('own-walk-up', openCase(person)).kind).toBe('stop');
  });

  it('travel in a file and come back the same; shipped names cannot be taken', () => {
    const file = { format: 'levitar-entries', version: 1, ...entries };
    const read = entriesFile.parse(JSON.parse(JSON.stringify(file)));
    expect(read.stages).toEqual(entries.stages);
    expect(read.checks).toEqual(entries.checks);
    expect(entriesFile.safeParse({ ...file, stages: { FS1: stageTable.FS1 } }).success).toBe(false);
    expect(entriesFile.safeParse({ ...file, version: 2 }).success).toBe(false);
    expect(entriesFile.safeParse({ ...file, tricks: {} }).success).toBe(false);
  });
});

describe('profile copies', () => {
  const person = makeCase({
    evidence: { ...everything, 'dolphin-hold': twice(43) },
    present: { 'forearm-stand': 'FS7' },
  });
  const kindIn = (changes: ProfileChanges) =>
    judge('FS8', openCase({ ...person, school: buildSchool(copy(changes)) })).kind;

  it('changes bars, gates and branches, and what verdicts say', () => {
    expect(kindIn({})).toBe('advance-with-support');
    expect(kindIn({ bars: { 'dolphin-hold': 40 } })).toBe('advance');
    expect(kindIn({ gates: { FS8: [] } })).toBe('advance');
    expect(kindIn({ closedStages: ['FS8'] })).toBe('stay');
    expect(kindIn({ closedStages: ['FS3'] })).toBe('stay');
    const wall = buildSchool(copy({ closedBranches: ['headstand-wall'] }));
    expect(getStageIn(wall, 'HS-w').ways).toEqual([]);
    expect(wall.settings.forearmGapM).toBe(0.05);
    expect(buildSchool(copy({ settings: { forearmGapM: 0.1 } })).settings.forearmGapM).toBe(0.1);
  });

  it('changed there and back judges exactly as before', () => {
    const before = findStands(person);
    const there = openCase({ ...person, school: shippedSchool('strength-led') });
    findStands(there);
    const back = openCase({
      ...person,
      school: buildSchool(copy({ bars: { 'dolphin-hold': 45 } })),
    });
    const plain = (stands: ReturnType<typeof findStands>) =>
      stands.map(({ next }) => ({ ...next, profile: null }));
    expect(plain(findStands(back))).toEqual(plain(before));
    expect(findStands(openCase({ ...there, school: person.school }))).toEqual(before);
  });

  it('shows what it changed, and nothing that equals its origin', () => {
    const lines = describeChanges(
      copy({
        bars: { 'dolphin-hold': 40, 'plank-hold': 20 },
        settings: { forearmGapM: 0.1, neckFlexionDeg: 55 },
        closedBranches: ['headstand-wall'],
        gates: {
          FS8: [
            { check: 'dolphin-hold', share: 0.5 },
            { anyOf: [{ check: 'head-clearance' }, { with: 'forearm-lift' }] },
          ],
        },
        cues: { FS5: 'Push.' },
      }),
      shippedCatalog,
    );
    expect(lines.map(({ before, after }) => `${before} → ${after}`)).toEqual([
      'at least 45 s → at least 40 s',
      '5 cm → 10 cm',
      'open → closed',
      'dolphin hold; head clearance in dolphin or forearm lift → half dolphin hold; head clearance in dolphin or forearm lift',
      'The eyes may go back to the thighs. → Push.',
    ]);
  });

  it('words every gate there is', () => {
    for (const id of stageIds) {
      const words = describeGate(shippedCatalog.stages[id]!.gate, shippedCatalog);
      expect(words).not.toMatch(/undefined|\[object/);
    }
    expect(describeGate(stageTable.CR9.gate, shippedCatalog)).toContain('three times crow hold');
    expect(describeGate(stageTable.FS14.gate, shippedCatalog)).toContain(
      'balance off the wall (forearms) at 30 s on 3 days',
    );
  });

  it.each([
    [{ bars: { cartwheel: 5 } }, /check that is not there/],
    [{ bars: { 'lifted-tuck': 7 } }, /cannot be above 3/],
    [{ bars: { 'controlled-exit': 2.5 } }, /whole number of passes/],
    [{ gates: { FS8: [{ check: 'cartwheel' }] } }, /check that is not there/],
    [{ gates: { XX: [] } }, /is not there/],
    [{ gates: { HB8: [{ opens: 'CR9' }], CR4: [{ opens: 'HB8' }] } }, /in a circle/],
    [{ cues: { FS1: 'x'.repeat(150) } }, /too long/],
    [{ closedBranches: ['moon'] }, /is not there/],
    // What guards the student is not emptied, and no bar is looser than any that ships.
    [{ gates: { HB15: [] } }, /guards the student/],
    [{ gates: { SS8: [{ check: 'shoulder-stand-hold' }] } }, /Neck ease/],
    [{ gates: { HS6: [{ check: 'upright-walk-in' }] } }, /guards the student/],
    [
      { gates: { SS6: [{ anyOf: [{ check: 'neck-ease' }, { check: 'hollow-hold' }] }] } },
      /guards the student/,
    ],
    [{ bars: { 'dolphin-hold': 29 } }, /looser than 30/],
    [{ bars: { 'head-load': 21 } }, /looser than 20/],
  ] as const)('refuses %j', (changes, message) => {
    const [problem] = validateProfile(copy(changes as ProfileChanges), shippedCatalog);
    expect(`${problem!.where} ${problem!.message}`).toMatch(message);
  });

  it('reads changes from a file strictly', () => {
    expect(profileChangesSchema.safeParse({ bars: { 'dolphin-hold': -1 } }).success).toBe(false);
    expect(profileChangesSchema.safeParse({ wall: 'open' }).success).toBe(false);
    expect(
      profileChangesSchema.safeParse({ gates: { FS8: [{ check: 'x', share: 0.5, value: 3 }] } })
        .success,
    ).toBe(false);
  });
});

describe('which of two demands on a check asks for more', () => {
  const school = shippedSchool('prop-led');
  it.each([
    ['dolphin-hold', 45, 30],
    // Of the weight on the head less is asked.
    ['head-load', 5, 10],
  ] as const)('%s: %s is stricter than %s', (check, strict, lax) => {
    const row = getCheckIn(school, check);
    expect(isStricter(row, { check, value: strict }, { check, value: lax })).toBe(true);
    expect(isStricter(row, { check, value: lax }, { check, value: strict })).toBe(false);
    expect(isStricter(row, { check, value: strict }, { check, value: strict })).toBe(false);
  });
});
