import { drillTable, type DrillKey } from '../catalog/drills';
import type { PainPlace } from '../catalog/regions';
import type { LadderId } from '../catalog/stage';
import { outAsWished, thereFor } from './saidBefore';
import { doneByAll, insteadOf, listSittingOut, sayingOut } from './sittingOut';

const person = (id: string, closedDrills: DrillKey[], instead?: string) => ({
  id,
  closedDrills,
  fallbacks:
    instead === undefined
      ? []
      : ([
          { label: instead, props: [{ piece: 'chair', count: 1 }] },
          { label: 'At the wall', props: [], alongM: 1 },
          { label: 'Standing', props: [] },
          { label: 'Seated', props: [] },
          { label: 'Rest', props: [], isRest: true },
        ] as never),
});
const people = [
  person('1', ['hollow'], 'Calves on a chair'),
  person('2', ['childs-pose', 'hollow'], 'Calves on a chair'),
  person('3', []),
  person('4', ['hollow']),
];

describe('who sits out', () => {
  it('is whom a drill is closed to, and in a pause whom child’s pose is closed to', () => {
    expect(listSittingOut({ kind: 'drill', drill: 'hollow' }, people).map(({ id }) => id)).toEqual([
      '1',
      '2',
      '4',
    ]);
    expect(listSittingOut({ kind: 'pause' }, people)).toEqual([{ id: '2', instead: 'Seated' }]);
    expect(listSittingOut({ kind: 'round' }, people)).toEqual([]);
    expect(doneByAll({ kind: 'rest' })).toBeNull();
  });

  it('is whom the cool-down is closed to as well: it is told to everybody like any drill', () => {
    const line = { kind: 'release', drill: 'cool-down' } as const;
    expect(listSittingOut(line, [person('5', ['cool-down'], 'Calves'), people[2]!])).toEqual([
      { id: '5', instead: 'Seated' },
    ]);
    const sore = outAsWished(line, { sore: [{ person: '3', place: 'back' }] }, drillTable);
    expect(sore('3')).toBe(true);
  });

  it('is whoever is sore where a counterpose loads or strains them', () => {
    const after = (family: LadderId, place: PainPlace) =>
      outAsWished(
        { kind: 'counter', family },
        { sore: [{ person: '3', place }], feetDown: ['3'] },
        drillTable,
      )('3');
    expect(after('shoulder-stand', 'back')).toBe(true);
    expect(after('shoulder-stand', 'neck')).toBe(true);
    expect(after('arm-balance', 'wrist')).toBe(true);
    expect(after('forearm-stand', 'shoulder')).toBe(true);
    // A child's pose loads none of it, and keeps the feet on the floor.
    expect(after('headstand', 'wrist')).toBe(false);
    expect(outAsWished({ kind: 'rest' }, { sore: [] }, drillTable)('3')).toBe(false);
  });

  it('leaves out who is away, and before the rounds who comes for them', () => {
    const said = { absent: ['1'], late: [{ person: '2', round: 2 }] };
    const there = (kind: 'drill' | 'checks' | 'round' | 'counter') =>
      thereFor({ kind }, people, said).map(({ id }) => id);
    expect(there('drill')).toEqual(['3', '4']);
    expect(there('checks')).toEqual(['3', '4']);
    expect(there('round')).toEqual(['2', '3', '4']);
    expect(there('counter')).toEqual(['2', '3', '4']);
  });

  it('is who has said something tonight as well, with the quietest there is', () => {
    const line = { kind: 'drill', drill: 'boat' } as const;
    expect(listSittingOut(line, people)).toEqual([]);
    expect(listSittingOut(line, people, (id) => id === '1')).toEqual([
      { id: '1', instead: 'Seated' },
    ]);
  });

  it('is who was never asked as well, after what is asked at the door, until nothing was named there', () => {
    const line = { kind: 'counter', family: 'shoulder-stand' } as const;
    const own = {
      ...person('1', [], 'Calves'),
      closedCounters: [line.family],
      askedCounters: [line.family],
    };
    const shut = { ...person('2', [], 'Calves'), closedCounters: [line.family] };
    const both = [own, shut, people[2]!];
    const out = listSittingOut(line, both);
    expect(out).toEqual([
      { id: '1', instead: 'Seated', unlessAsked: true },
      { id: '2', instead: 'Seated' },
    ]);
    expect(sayingOut(out, (id) => `P${id}`)).toBe(
      'P1: Seated, unless confirmed at the door; P2: Seated',
    );
    const answered = (isFine: boolean) => listSittingOut(line, both, undefined, () => isFine);
    // An answer opens nothing that is closed for another reason.
    expect(answered(true)).toEqual([{ id: '2', instead: 'Seated' }]);
    expect(answered(false)).toEqual([
      { id: '1', instead: 'Seated' },
      { id: '2', instead: 'Seated' },
    ]);
    // Whoever has just said that something hurts sits it out, asked or not.
    expect(
      listSittingOut(
        line,
        both,
        () => true,
        () => true,
      ).map(({ id }) => id),
    ).toEqual(['1', '2', '3']);
    // And what closes another family's is not opened by this one's.
    expect(listSittingOut({ ...line, family: 'headstand' }, both)).toEqual([]);
  });

  it('is said with what instead, together where it is the same, and never why', () => {
    const out = listSittingOut({ kind: 'drill', drill: 'hollow' }, people);
    expect(sayingOut(out, (id) => `P${id}`)).toBe('P1, P2: Standing; P4: Rest');
    expect(insteadOf(person('x', []))).toBe('Rest');
    expect(insteadOf(people[0]!)).toBe('Calves on a chair');
  });
});

describe('a pass', () => {
  it('is needed for every drill: what came into the catalog since is told to nobody', () => {
    const [one] = people;
    const told = { ...one!, closedDrills: [], drillPasses: { boat: 'open' } as never };
    expect(listSittingOut({ kind: 'drill', drill: 'boat' }, [told])).toEqual([]);
    expect(listSittingOut({ kind: 'drill', drill: 'own-new' }, [told])).toHaveLength(1);
    // A class that was begun before there were passes goes by what was closed.
    const { drillPasses: _, ...before } = told;
    expect(listSittingOut({ kind: 'drill', drill: 'own-new' }, [before])).toEqual([]);
  });
});

describe('what was said before the class', () => {
  const line = (drill: keyof typeof drillTable) => ({ kind: 'drill', drill }) as const;
  const out = (drill: keyof typeof drillTable, wishes: Parameters<typeof outAsWished>[1]) =>
    people.map(({ id }) => id).filter(outAsWished(line(drill), wishes, drillTable));

  it('keeps somebody sore out of what loads it, and feet down out of what lifts them', () => {
    expect(out('wrist-lifts', { sore: [{ person: '3', place: 'wrist' }] })).toEqual(['3']);
    expect(out('boat', { sore: [{ person: '3', place: 'wrist' }] })).toEqual([]);
    expect(out('mini-hops', { feetDown: ['4'] })).toEqual(['4']);
    expect(out('hollow', { feetDown: ['4'] })).toEqual([]);
    expect(outAsWished({ kind: 'rest' }, { feetDown: ['4'] }, drillTable)('4')).toBe(false);
  });
});
