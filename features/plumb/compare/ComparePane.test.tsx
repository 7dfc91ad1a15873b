import { screen, within } from '@testing-library/react';
import { resolveBody } from '@/core/body/body';
import { renderUi } from '@/design/testing/renderUi';
import { emptySheet } from '../sheet';
import { ghostSheet } from '../startSheet';
import type { PlumbView } from '../read';
import { ComparePane } from './ComparePane';

const deleted: number[] = [];
jest.mock('../actions', () => ({
  deletePictureAction: (_: number, id: number) => {
    deleted.push(id);
    return Promise.resolve({ ok: true, value: { isErasePending: false } });
  },
}));
jest.mock('@/features/person/actions', () => ({}));
const mockRouter = { refresh: jest.fn() };
jest.mock('next/navigation', () => ({ useRouter: () => mockRouter }));

const body = resolveBody({ heightM: 1.7 });
const size = { width: 900, height: 1200 };
const straight = ghostSheet(emptySheet, body, 'handstand', size);
const { knee } = straight.marks.near;
const bent = {
  ...straight,
  marks: {
    ...straight.marks,
    near: { ...straight.marks.near, knee: { x: knee!.x + 60, y: knee!.y } },
  },
};
const view: PlumbView = {
  isWhoSaid: true,
  person: { id: 3, name: 'Ada', body: { heightM: 1.7 }, pictures: { kind: 'may' } },
  kept: [
    { id: 8, on: '2026-03-03', ...size, sheet: straight, hasPicture: true },
    { id: 7, on: '2026-01-05', ...size, sheet: bent, hasPicture: false },
  ],
  people: [{ id: 3, name: 'Ada' }],
  checks: [],
  lengths: [],
  isOverKnuckle: false,
  units: 'cm',
  today: '2026-03-03',
};

it('lays the oldest and the newest over each other and tells what changed', async () => {
  renderUi(<ComparePane view={view} />);
  const table = screen.getByRole('table');
  const row = (name: string) =>
    within(within(table).getByRole('row', { name: new RegExp(`^${name}`) }))
      .getAllByRole('cell')
      .map((cell) => cell.textContent);
  const [before, after, change] = row('Knee');
  expect(after).toBe('180°');
  expect(Number.parseFloat(before!)).toBeLessThan(170);
  expect(Number.parseFloat(change!)).toBeGreaterThan(10);
  expect(row('Lean of the trunk')[2]).toMatch(/^unclear, ± /);
  expect(screen.getByRole('img', { name: /Lines of Ada/ })).toBeInTheDocument();
  // The picture that was agreed to, and no other.
  expect(screen.getAllByRole('img', { name: /Ada on/ })).toHaveLength(1);
});

it('takes in what was kept a moment ago, unless somebody has chosen otherwise', async () => {
  const one = { ...view, kept: view.kept.slice(1) };
  const { rerender, user } = renderUi(<ComparePane view={one} />);
  expect(screen.queryByRole('table')).toBeNull();
  rerender(<ComparePane view={view} />);
  expect(screen.getByRole('table')).toBeInTheDocument();
  await user.selectOptions(screen.getByLabelText('After'), 'nothing');
  expect(screen.queryByRole('table')).toBeNull();
  rerender(<ComparePane view={{ ...view }} />);
  expect(screen.queryByRole('table')).toBeNull();
});

it('deletes one by itself, and says where there is nothing', async () => {
  const { user } = renderUi(<ComparePane view={view} />);
  const del = () => user.click(screen.getByRole('button', { name: /^Delete 5 Jan 2026/ }));
  await del();
  await user.click(screen.getByRole('button', { name: 'Keep it' }));
  await del();
  await user.click(screen.getByRole('button', { name: /^Delete 5 Jan 2026.* for good/ }));
  expect(deleted).toEqual([7]);
  expect(await screen.findByText('Deleted, also on the disk.')).toBeInTheDocument();
});

it('says what to do before anything is kept', () => {
  renderUi(<ComparePane view={{ ...view, kept: [] }} />);
  expect(screen.getByText(/Nothing kept of Ada yet/)).toBeInTheDocument();
});
