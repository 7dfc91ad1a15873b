import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { ReviewScreen } from './ReviewScreen';
import type { ReviewPerson, ReviewView, Suggested } from './review';

const asked: unknown[] = [];
let isRefused = false;
let problems: Record<string, string> = {};
const answer = () =>
  Promise.resolve(isRefused ? { ok: false, problems } : { ok: true, value: undefined });
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

const dolphin: Suggested = {
  family: 'forearm-stand',
  ladder: 'Forearm stand',
  stage: 'FS5',
  label: 'Dolphin',
  kind: 'stay',
  reasons: ['Plank is short.'],
  decided: null,
};
const tuck: Suggested = {
  family: 'headstand',
  ladder: 'Headstand',
  stage: 'HS7',
  label: 'Both knees in',
  kind: 'advance',
  reasons: ['All met.'],
  decided: null,
};

const person = (id: number, name: string, change: Partial<ReviewPerson> = {}): ReviewPerson => ({
  id,
  name,
  came: true,
  seen: ['Plank: 40.0 s'],
  upsideSeconds: 0,
  suggested: [dolphin],
  note: '',
  isDone: false,
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
  problems = { form: 'Look again, please.' };
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
        { id: 1, shown: [{ stage: 'FS5', kind: 'stay' }] },
        { id: 3, shown: [{ stage: 'FS5', kind: 'stay' }] },
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
  expect(asked[0]).toMatchObject(['keep', 'u', 1, { decisions: [{ stage: 'FS5' }] }]);
});

it('leads on when everybody is looked through', () => {
  renderUi(
    <ReviewScreen
      view={view([
        person(1, 'Ada', { isDone: true, suggested: [{ ...dolphin, decided: 'stay' }] }),
      ])}
    />,
  );
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
        decisions: [{ stage: 'FS5', decided: 'stay', reason: '' }],
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
            decisions: [{ stage: 'FS5', decided: 'advance', reason: 'seen twice in control' }],
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

describe('on an evening of two ladders', () => {
  const dee = person(4, 'Dee', { exception: 'was stopped', suggested: [dolphin, tuck] });

  it('agrees with one, differs on the other, and says at its own field what is wrong', async () => {
    const { user } = renderUi(<ReviewScreen view={view([dee])} />);
    const headstand = within(screen.getByRole('group', { name: 'Headstand' }));
    await user.click(headstand.getByRole('button', { name: 'Differ' }));
    await user.click(headstand.getByRole('radio', { name: 'stay' }));
    const keep = screen.getByRole('button', { name: 'Keep, and on' });
    isRefused = true;
    problems = { 'decisions.1.reason': 'Say why.' };
    await user.click(keep);
    expect(await headstand.findByText('Say why.')).toBeInTheDocument();
    isRefused = false;
    await user.type(headstand.getByLabelText('Why you differ'), 'hopped in');
    await user.click(screen.getByRole('button', { name: 'Keep, and on' }));
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(asked[1]).toEqual([
      'keep',
      'u',
      4,
      {
        note: '',
        decisions: [
          { stage: 'FS5', decided: 'stay', reason: '' },
          { stage: 'HS7', decided: 'stay', reason: 'hopped in' },
        ],
      },
    ]);
  });

  it('says what cannot be agreed with where no field is for it', async () => {
    isRefused = true;
    problems = { 'decisions.0.reason': 'The suggestion is another one by now.' };
    const { user } = renderUi(<ReviewScreen view={view([dee])} />);
    await user.click(screen.getByRole('button', { name: 'Agree, and on' }));
    expect(await screen.findByText('The suggestion is another one by now.')).toBeInTheDocument();
  });

  it('shows in one row what was suggested and decided on each', () => {
    const suggested = [
      { ...dolphin, decided: 'stay' as const },
      { ...tuck, decided: null },
    ];
    renderUi(<ReviewScreen view={view([person(5, 'Eli', { isDone: true, suggested })])} />);
    const cells = within(screen.getByRole('row', { name: /^Eli/ })).getAllByRole('cell');
    expect(cells[1]).toHaveTextContent(/stay Dolphin.*open Both knees in/);
    expect(cells[2]).toHaveTextContent('staynothing');
  });
});
