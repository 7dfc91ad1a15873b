import { screen, within } from '@testing-library/react';
import { getCheck } from '@/core/catalog/checks';
import { UnitsProvider } from '@/design/units';
import { renderUi } from '@/design/testing/renderUi';
import { rowOf } from '@/server/judging/gateRows';
import { CheckCharts } from './CheckCharts';
import type { ChartPoint, CheckHistory } from './personHistory';

const replace = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ replace, refresh: jest.fn() }) }));
jest.mock('@/features/check/RecordButton', () => ({
  RecordButton: ({ isAsked, onClose }: { isAsked?: true; onClose?: () => void }) =>
    isAsked === true ? <button onClick={onClose}>Close the asked one</button> : null,
}));

const point = (date: string, value: number, more: Partial<ChartPoint> = {}): ChartPoint => ({
  date,
  value,
  kind: 'plain',
  side: null,
  note: '',
  ...more,
});
const history = (change: Partial<CheckHistory> = {}): CheckHistory => ({
  key: 'dolphin-one-leg/',
  check: 'dolphin-one-leg',
  base: null,
  label: 'One-leg dolphin',
  unit: 's',
  valueKind: 'seconds',
  bar: 15,
  better: 'more',
  status: 'met',
  reasons: ['18 s, 15 asked'],
  points: [],
  bands: [],
  goodUntil: '2026-12-20',
  sideRatio: null,
  isLopsided: false,
  inDay: [],
  forecast: null,
  row: { ...rowOf('dolphin-one-leg', null, getCheck('dolphin-one-leg')), status: 'met' },
  ...change,
});
const show = (histories: readonly CheckHistory[], asked?: string) =>
  renderUi(
    <CheckCharts
      {...(asked === undefined ? {} : { asked })}
      personId={3}
      personName="Somebody"
      histories={histories}
      today="2026-11-28"
      breathSeconds={5}
    />,
  );

it('draws a length in inches where the studio measures so', async () => {
  const row = {
    ...rowOf('head-clearance', null, getCheck('head-clearance')),
    status: 'met' as const,
  };
  const clearance = history({
    check: 'head-clearance',
    unit: 'cm',
    valueKind: 'number',
    bar: 3,
    reasons: ['4 cm, bar 3 cm'],
    points: [point('2026-11-12', 4)],
    row,
  });
  const { user } = renderUi(
    <UnitsProvider units="in">
      <CheckCharts
        personId={3}
        personName="Somebody"
        histories={[clearance]}
        today="2026-11-28"
        breathSeconds={5}
      />
    </UnitsProvider>,
  );
  expect(screen.getByText('met: 1.6 in, bar 1.2 in')).toBeInTheDocument();
  await user.click(screen.getByRole('radio', { name: 'figures' }));
  expect(screen.getByRole('cell', { name: '1.6 in' })).toBeInTheDocument();
});

it('says so where nothing was ever recorded', () => {
  show([]);
  expect(screen.getByText('Nothing recorded yet.')).toBeInTheDocument();
  expect(screen.queryByRole('list')).toBeNull();
});

it('gives the figures instead of the charts: the newest first, with side, kind and note', async () => {
  const points = [
    point('2026-11-05', 12, { side: 'left', note: 'elbows wide' }),
    point('2026-11-19', 20, { side: 'right', kind: 'at-least' }),
    point('2026-11-12', 9, { kind: 'voided' }),
  ];
  const { user } = show([history({ points })]);
  expect(screen.queryByRole('table')).toBeNull();
  await user.click(screen.getByRole('radio', { name: 'figures' }));
  const rows = within(screen.getByRole('table')).getAllByRole('row').slice(1);
  const cells = rows.map((row) =>
    within(row)
      .getAllByRole('cell')
      .slice(1)
      .map(({ textContent }) => textContent),
  );
  expect(cells).toEqual([
    ['20 s, right', 'at least'],
    ['9 s', 'counts against only'],
    ['12 s, left', 'elbows wide'],
  ]);
});

it('says passed or not where a check has no number', async () => {
  const points = [point('2026-11-05', 1), point('2026-11-12', 0, { kind: 'fail' })];
  const { user } = show([history({ valueKind: 'pass', unit: 'passes', points })]);
  await user.click(screen.getByRole('radio', { name: 'figures' }));
  const seen = within(screen.getByRole('table')).getAllByRole('row').slice(1);
  expect(seen.map(({ textContent }) => textContent)).toEqual([
    expect.stringContaining('not'),
    expect.stringContaining('passed'),
  ]);
  expect(screen.getByRole('table')).not.toHaveTextContent('passes');
});

it('tells how the sides compare, and which of them comes first where they are lopsided', () => {
  show([
    history({ sideRatio: 0.72, isLopsided: true }),
    history({ key: 'other', label: 'Side plank', sideRatio: 0.93 }),
  ]);
  const [first, second] = screen.getAllByText(/Weaker side at/);
  expect(first).toHaveTextContent('72 in 100 of the stronger: lopsided, the weaker side first');
  expect(second).toHaveTextContent(/93 in 100 of the stronger$/);
});

it('opens the one check that was asked for, and leaves the address as it was when that is closed', async () => {
  const { user } = show([history(), history({ key: 'other', label: 'Side plank' })], 'other');
  const opened = screen.getAllByRole('button', { name: 'Close the asked one' });
  expect(opened).toHaveLength(1);
  await user.click(opened[0]!);
  expect(replace).toHaveBeenCalledWith('/people/3', { scroll: false });
});

it('sets what was seen before the class beside what was seen after it', () => {
  show([
    history({
      inDay: [
        { date: '2026-11-22', words: 'left 70° before, 60° after' },
        { date: '2026-11-22', words: 'right 70° before, 70° after' },
      ],
    }),
  ]);
  expect(
    screen.getByText(/left 70° before, 60° after · right 70° before, 70° after/),
  ).toBeInTheDocument();
});
