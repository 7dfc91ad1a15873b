import { screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { PeopleRow } from '@/features/ladders/read';
import { PeopleTable } from './PeopleTable';
import { PlainPeople } from './PlainPeople';

jest.mock('./actions', () => ({ archivePeopleAction: jest.fn() }));

const rowOf = (id: number, name: string, more: Partial<PeopleRow> = {}): PeopleRow => ({
  id,
  name,
  heightM: 1.6 + id / 100,
  consent: 'ask',
  isArchived: false,
  isScreeningDue: id % 2 === 0,
  courses: ['Evening'],
  rungs: [],
  lastSeen: null,
  daysAway: null,
  ...more,
});

const rows = [
  rowOf(1, 'mora'),
  rowOf(2, 'Anwen'),
  rowOf(3, 'Gone', { isArchived: true }),
  rowOf(4, 'Bero'),
];

afterEach(() => jest.restoreAllMocks());

/** What a table says, row by row, without the column of boxes. */
const read = () =>
  within(screen.getByRole('table'))
    .getAllByRole('row')
    .slice(1)
    .map((row) => [...row.children].slice(1).map(({ textContent }) => textContent));

describe('the people as they come', () => {
  it('stand as they will stand: the same order, the same words, nobody who was put away', async () => {
    // The table draws what is in view, and nothing has a height here.
    jest.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(600);
    const { unmount } = renderUi(<PlainPeople rows={rows} units="cm" />);
    const plain = read();
    unmount();
    expect(plain.map(([name]) => name)).toEqual(['Anwen', 'Bero', 'mora']);
    expect(screen.queryByRole('table')).toBeNull();
    renderUi(<PeopleTable rows={rows} courses={[]} units="cm" />);
    await screen.findByText('Bero');
    expect(plain).toEqual(read());
  });

  it('can be followed before anything else has come, and are never a whole studio', () => {
    const many = Array.from({ length: 300 }, (_, at) =>
      rowOf(at, `p${String(at).padStart(3, '0')}`),
    );
    renderUi(<PlainPeople rows={many} units="in" />);
    expect(screen.getByRole('link', { name: 'p000' })).toHaveAttribute('href', '/people/0');
    expect(read().length).toBeLessThan(60);
    expect(read()[0]).toContain('5′ 3″');
  });
});
