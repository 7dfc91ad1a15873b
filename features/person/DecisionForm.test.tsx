import { screen, waitFor } from '@testing-library/react';
import { verdictWords } from '@/design/marks/VerdictMark';
import { renderUi } from '@/design/testing/renderUi';
import { DecisionForm, type DecisionFormProps } from './DecisionForm';

const mockAsked: [number, object][] = [];
const mockBack: [number, number][] = [];
let mockAnswer: () => Promise<object>;
jest.mock('./actions', () => ({
  decideAction: (person: number, form: object) => {
    mockAsked.push([person, form]);
    return mockAnswer();
  },
  undoDecisionAction: (person: number, decision: number) => {
    mockBack.push([person, decision]);
    return Promise.resolve({ ok: true, value: undefined });
  },
}));

beforeEach(() => {
  mockAsked.length = 0;
  mockAnswer = () => Promise.resolve({ ok: true, value: 1 });
});

function open(more: Partial<DecisionFormProps> = {}) {
  const onDone = jest.fn();
  const ui = renderUi(
    <DecisionForm
      personId={7}
      stage="FS5"
      suggested="stay"
      reasons={['Plank is short.']}
      onDone={onDone}
      {...more}
    />,
  );
  return { onDone, ...ui };
}

it('agrees as suggested, with a line or without one', async () => {
  const { user, onDone } = open();
  expect(screen.getByText('Plank is short.')).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Agree and keep' }));
  await waitFor(() => expect(onDone).toHaveBeenCalled());
  expect(mockAsked).toEqual([[7, { stage: 'FS5', decided: 'stay', reason: '', corrects: null }]]);
});

it('takes back what was kept a moment ago', async () => {
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'Agree and keep' }));
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(mockBack).toEqual([[7, 1]]));
});

it('differs with a reason, and says at its field where it is missing', async () => {
  mockAnswer = () =>
    Promise.resolve({
      ok: false,
      problems: { reason: 'You differ from the suggestion: say why.' },
    });
  const { user, onDone } = open({ corrects: 4 });
  await user.click(screen.getByRole('radio', { name: verdictWords.advance }));
  await user.click(screen.getByRole('button', { name: 'Differ and keep' }));
  expect(await screen.findByText(/say why/)).toBeInTheDocument();
  expect(onDone).not.toHaveBeenCalled();
  mockAnswer = () => Promise.resolve({ ok: true, value: 1 });
  await user.type(screen.getByLabelText('Why you differ'), 'seen twice');
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'Differ and keep' })).toBeEnabled(),
  );
  await user.click(screen.getByRole('button', { name: 'Differ and keep' }));
  await waitFor(() => expect(onDone).toHaveBeenCalled());
  expect(mockAsked.at(-1)).toEqual([
    7,
    { stage: 'FS5', decided: 'advance', reason: 'seen twice', corrects: 4 },
  ]);
});

it('never decides a stop away', () => {
  open({ suggested: 'stop' });
  expect(screen.queryByRole('radio')).toBeNull();
  expect(screen.getByText(/A stop is not decided away/)).toBeInTheDocument();
});

it('keeps what was typed where no answer comes', async () => {
  mockAnswer = () => Promise.reject(new TypeError('no connection'));
  const { user, onDone } = open();
  await user.type(screen.getByLabelText(/A line about it/), 'light today');
  await user.click(screen.getByRole('button', { name: 'Agree and keep' }));
  expect(await screen.findByText(/No answer came/)).toBeInTheDocument();
  expect(screen.getByLabelText(/A line about it/)).toHaveValue('light today');
  expect(onDone).not.toHaveBeenCalled();
});
