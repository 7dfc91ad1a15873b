import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { ReviewScreen } from './ReviewScreen';
import type { ReviewPerson, ReviewView } from './review';

const asked: unknown[] = [];
let isRefused = false;
const answer = () =>
  Promise.resolve(
    isRefused
      ? { ok: false, problems: { form: 'Look again, please.' } }
      : { ok: true, value: undefined },
  );
jest.mock('./actions', () => ({
  agreeWithRestAction: (...all: unknown[]) => {
    asked.push(['rest', ...all]);
    return answer();
  },
  reopenReviewsAction: (...all: unknown[]) => {
    asked.push(['back', ...all]);
    return answer();
  },
  keepReviewAction: (...all: unknown[]) => {
    asked.push(['keep', ...all]);
    return answer();
  },
  reopenReviewAction: () => answer(),
}));

const person = (id: number, name: string, change: Partial<ReviewPerson> = {}): ReviewPerson => ({
  id,
  name,
  came: true,
  seen: ['Plank: 40.0 s'],
  upsideSeconds: 0,
  next: { stage: 'FS5', label: 'Dolphin', kind: 'stay', reasons: ['Plank is short.'] },
  besides: [],
  note: '',
  isDone: false,
  decided: null,
  exception: null,
  ...change,
});

const view = (people: readonly ReviewPerson[]): ReviewView => ({
  uid: 'u',
  course: 'Tuesday',
  day: '2026-03-03',
  hasEnded: true,
  unsettled: 0,
  people,
});

const ada = person(1, 'Ada');
const bo = person(2, 'Bo', { exception: 'was stopped', seen: ['stopped'] });
const cy = person(3, 'Cy', { came: false, seen: [] });

beforeEach(() => {
  asked.length = 0;
  isRefused = false;
});

it('has the exceptions open, and one row for each of the others', () => {
  renderUi(<ReviewScreen view={view([ada, bo, cy])} />);
  expect(screen.getByRole('region', { name: 'Bo' })).toHaveTextContent('was stopped');
  expect(screen.queryByRole('region', { name: 'Ada' })).toBeNull();
  expect(screen.getByRole('row', { name: /^Ada/ })).toHaveTextContent('Plank: 40.0 s');
  expect(screen.getByRole('row', { name: /^Cy/ })).toHaveTextContent('away');
});

it('agrees with the rest in one tap, as it was shown, and takes it back', async () => {
  const { user } = renderUi(<ReviewScreen view={view([ada, bo, cy])} />);
  await user.click(screen.getByRole('button', { name: 'Agree with the rest: 2' }));
  expect(asked).toEqual([
    [
      'rest',
      'u',
      [
        { id: 1, kind: 'stay' },
        { id: 3, kind: 'stay' },
      ],
    ],
  ]);
  const back = await screen.findByRole('button', { name: 'Take back all 2' });
  await waitFor(() => expect(back).toBeEnabled());
  await user.click(back);
  expect(asked[1]).toEqual(['back', 'u', [1, 3]]);
  await waitFor(() => expect(screen.queryByRole('button', { name: /Take back/ })).toBeNull());
});

it('says so where the rest could not be kept, and offers nothing to take back', async () => {
  isRefused = true;
  const { user } = renderUi(<ReviewScreen view={view([ada])} />);
  await user.click(screen.getByRole('button', { name: 'Agree with all 1' }));
  expect(await screen.findByText('Look again, please.')).toBeInTheDocument();
  expect(screen.queryByRole('button', { name: /Take back/ })).toBeNull();
});

it('opens one of the others, and the keys are for the first that is open', async () => {
  const { user } = renderUi(<ReviewScreen view={view([ada, bo])} />);
  await user.click(screen.getByRole('button', { name: 'Look at Ada' }));
  expect(screen.getByRole('region', { name: 'Ada' })).toBeInTheDocument();
  await user.keyboard('{Control>}{Enter}{/Control}');
  expect(asked).toHaveLength(1);
  expect(asked[0]).toMatchObject(['keep', 'u', 1, { decision: { stage: 'FS5' } }]);
});

it('leads on when everybody is looked through', () => {
  renderUi(<ReviewScreen view={view([person(1, 'Ada', { isDone: true, decided: 'stay' })])} />);
  expect(screen.getByRole('link', { name: 'Home practice' })).toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Look again: Ada' })).toBeInTheDocument();
});

describe('by keys', () => {
  const first = person(4, 'Dee', { exception: 'was stopped' });

  it('keeps from within the line that is being written, once for one press', async () => {
    const { user } = renderUi(<ReviewScreen view={view([first, bo])} />);
    const line = screen.getAllByLabelText('A line about the evening')[0]!;
    await user.type(line, 'slow and light');
    fireEvent.keyDown(line, { key: 'Enter', ctrlKey: true });
    fireEvent.keyDown(line, { key: 'Enter', ctrlKey: true, repeat: true });
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]).toEqual([
      'keep',
      'u',
      4,
      {
        note: 'slow and light',
        decision: { stage: 'FS5', decided: 'stay', reason: '' },
      },
    ]);
  });

  it('keeps what differs as it differs', async () => {
    const { user } = renderUi(<ReviewScreen view={view([first])} />);
    const card = within(screen.getByRole('region', { name: 'Dee' }));
    await user.click(card.getByRole('button', { name: 'Differ' }));
    await user.click(card.getByRole('radio', { name: 'open' }));
    await user.type(card.getByLabelText('Why you differ'), 'seen twice in control');
    fireEvent.keyDown(card.getByLabelText('Why you differ'), { key: 'Enter', ctrlKey: true });
    await waitFor(() =>
      expect(asked).toEqual([
        [
          'keep',
          'u',
          4,
          {
            note: '',
            decision: { stage: 'FS5', decided: 'advance', reason: 'seen twice in control' },
          },
        ],
      ]),
    );
  });

  it('says at its field what is wrong, and keeps what was typed', async () => {
    isRefused = true;
    const { user } = renderUi(<ReviewScreen view={view([first])} />);
    await user.type(screen.getByLabelText('A line about the evening'), 'light');
    await user.click(screen.getByRole('button', { name: 'Agree, and on' }));
    expect(await screen.findByText('Look again, please.')).toBeInTheDocument();
    expect(screen.getByLabelText('A line about the evening')).toHaveValue('light');
  });
});
