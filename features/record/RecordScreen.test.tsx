import { screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { CourseRecord } from './read';
import { RecordScreen } from './RecordScreen';

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));
// Drawn by a library that measures the page.
jest.mock('./EveningChart', () => ({
  tryBars: [],
  EveningChart: ({ label, rows }: { label: string; rows: object[] }) => (
    <p>
      {label}: {rows.length}
    </p>
  ),
}));
jest.mock('./FlowChart', () => ({ FlowChart: () => <p>the flow</p> }));

const week = (date: string, more: object = {}) => ({
  date,
  came: 9,
  of: 12,
  upsideMinutes: 14.25,
  tries: 5,
  reached: 2,
  soft: 1,
  landings: 3,
  ...more,
});

const record = (more: Partial<CourseRecord> = {}): CourseRecord => ({
  courses: [
    { id: 1, name: 'Thursday' },
    { id: 2, name: 'Monday' },
  ],
  course: { id: 1, name: 'Thursday' },
  family: 'forearm-stand',
  families: [
    { id: 'forearm-stand', label: 'Forearm stand' },
    { id: 'handstand', label: 'Handstand' },
  ],
  people: 4,
  weeks: [week('2026-11-12'), week('2026-11-19', { came: 11 })],
  flow: {
    weeks: [
      {
        on: '2026-11-12',
        rungs: [
          { stage: 'FS5', people: ['1', '2'] },
          { stage: null, people: ['3'] },
        ],
      },
    ],
  } as unknown as CourseRecord['flow'],
  labels: { FS5: 'Dolphin, free' },
  names: { '1': 'Ada', '2': 'Bo', '3': 'Cy' },
  seen: {
    dates: ['2026-11-12', '2026-11-19'],
    tries: [4, 5],
    faults: [
      {
        fault: 'swing-kick',
        label: 'swings the kick',
        counts: [3, 1],
        of: [4, 5],
        total: 4,
        ofAll: 9,
      },
    ],
    inChecks: [{ fault: 'sag', label: 'sags', counts: [0, 2], of: [1, 3], total: 2, ofAll: 4 }],
    supports: [],
    ways: [{ wayUp: 'bent-knee', tries: 4, reached: 1 }],
  },
  bottlenecks: [
    {
      label: 'Dolphin hold',
      check: 'dolphin-hold',
      base: null,
      people: [{ id: 1, name: 'Ada', initials: 'A' }],
      rungs: 2,
    },
  ],
  forecasts: [],
  limits: [{ words: 'one more strap', evenings: 1, people: 3 }],
  plannedEvenings: 2,
  ...more,
});

const block = (name: string) => within(screen.getByRole('region', { name }));

it('says how to begin where no evening lies behind the course', () => {
  renderUi(<RecordScreen record={record({ weeks: [] })} />);
  expect(screen.getByRole('link', { name: 'Floor' })).toHaveAttribute('href', '/floor');
  expect(screen.queryByRole('region')).not.toBeInTheDocument();
});

it('has the figures of every chart behind it, and each as a file of this course and ladder', async () => {
  const { user } = renderUi(<RecordScreen record={record()} />);
  const came = block('Who came, and minutes upside down');
  expect(came.getByText(/by evening: 2/)).toBeInTheDocument();
  expect(came.getByRole('link', { name: 'CSV' })).toHaveAttribute(
    'href',
    '/record/file?course=1&family=forearm-stand&what=weeks',
  );
  await user.click(came.getByText('figures'));
  expect(came.getAllByRole('row')[2]).toHaveTextContent(/19 Nov\s*11\s*12\s*14\.3/);
  const rungs = block('Rungs, forearm stand');
  await user.click(rungs.getByText('figures'));
  expect(rungs.getAllByRole('row')[1]).toHaveTextContent(/Dolphin, free\s*2\s*Ada, Bo/);
  expect(rungs.getAllByRole('row')[2]).toHaveTextContent(/not begun\s*1\s*Cy/);
});

it('counts what was seen among what it could be seen in', async () => {
  const { user } = renderUi(<RecordScreen record={record()} />);
  const seen = block('What tries and checks showed');
  expect(seen.getByText('4 of 9')).toBeInTheDocument();
  expect(seen.getByText('2 of 4')).toBeInTheDocument();
  expect(seen.getByText('bent-knee hop: 4 tries, 25 % came up')).toBeInTheDocument();
  await user.click(seen.getByText('figures'));
  expect(seen.getAllByRole('row')[2]).toHaveTextContent(/sags\s*checks\s*0 of 1\s*2 of 3/);
});

it('says that there are no figures yet in place of an empty table', async () => {
  const none = {
    dates: ['2026-11-12'],
    tries: [0],
    faults: [],
    inChecks: [],
    supports: [],
    ways: [],
  };
  const { user } = renderUi(<RecordScreen record={record({ seen: none })} />);
  const seen = block('What tries and checks showed');
  await user.click(seen.getByText('figures'));
  expect(seen.getByText('No figures yet.')).toBeInTheDocument();
  expect(seen.queryByRole('table')).not.toBeInTheDocument();
});

it('says what holds the group, what bound its plans, and that nothing can be foreseen yet', () => {
  renderUi(<RecordScreen record={record()} />);
  expect(block('What holds the group').getByText('1 of 4')).toBeInTheDocument();
  expect(
    block('What the room and the cupboard kept back').getByText(/1 evening, 3 people/),
  ).toBeInTheDocument();
  expect(block('Looking ahead').getByText(/honest forecast/)).toBeInTheDocument();
});

it('goes to another ladder of the same course', async () => {
  const { user } = renderUi(<RecordScreen record={record()} />);
  await user.selectOptions(screen.getByLabelText('Ladder'), 'Handstand');
  expect(push).toHaveBeenCalledWith('/record?course=1&family=handstand');
});
