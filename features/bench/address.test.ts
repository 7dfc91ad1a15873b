import { readAddress, writeAddress } from './address';

const people = [{ id: 3 }, { id: 8 }];

it('says who and what, and is read back as the same', () => {
  for (const shown of [
    { personId: 8, heightM: 1.7, shape: 'dolphin', still: null },
    { personId: null, heightM: 1.52, shape: 'crow', still: null },
    { personId: 3, heightM: 1.7, shape: 'forearmStandWall', still: 'boat' },
  ] as const) {
    const url = new URL(writeAddress(shown), 'http://levitar');
    const read = readAddress(Object.fromEntries(url.searchParams), people);
    expect(read).toMatchObject({ personId: shown.personId, still: shown.still });
    if (shown.still === null) expect(read.shape).toBe(shown.shape);
    if (shown.personId === null) expect(read.heightM).toBeCloseTo(shown.heightM, 6);
  }
});

it('falls back to the first person and the usual shape for what is not there', () => {
  for (const params of [{}, { person: '77', shape: 'none' }, { person: 'x', height: '20' }]) {
    expect(readAddress(params, people)).toEqual({
      personId: 3,
      shape: 'forearmStandWall',
      still: null,
    });
  }
});
