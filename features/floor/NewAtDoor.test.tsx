import { screen, waitFor } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { FloorAct } from '@/core/running/tap';
import { NewAtDoor } from './NewAtDoor';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

interface Outcome {
  readonly ok: boolean;
  readonly value?: object;
  readonly problems?: Record<string, string>;
}
const mockSent: [string, object | number][] = [];
let mockJoin: () => Promise<Outcome> = () => Promise.reject(new Error('not asked'));
let mockScreened: Outcome = { ok: true };
jest.mock('./actions', () => ({
  joinClassAction: (_: string, who: object) => {
    mockSent.push(['join', who]);
    return mockJoin();
  },
  leaveClassAction: (_: string, person: number) => {
    mockSent.push(['leave', person]);
    return Promise.resolve({ ok: true });
  },
}));
jest.mock('@/features/person/actions', () => ({
  noteScreenedAction: (person: number) => {
    mockSent.push(['screened', person]);
    return Promise.resolve(mockScreened);
  },
}));
const mockRefreshed = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: mockRefreshed }) }));

const shape = fakeBundle();
const bundle = fakeBundle({
  plan: {
    ...shape.plan,
    timeline: [{ kind: 'open' }, { kind: 'drill' }, { kind: 'round' }, { kind: 'round' }] as never,
  },
});

const letIn = (isEnrolledNow: boolean) => () =>
  Promise.resolve({ ok: true, value: { person: '7', isEnrolledNow } });

beforeEach(() => {
  mockSent.length = 0;
  mockScreened = { ok: true };
  mockRefreshed.mockClear();
  mockJoin = letIn(true);
});

async function open(before: readonly FloorAct[] = []) {
  const fake = fakeFloor(before);
  const ui = renderUi(
    <InClass fake={fake} bundle={bundle}>
      <NewAtDoor others={[{ id: 7, name: 'Cleo Ambry' }]} />
    </InClass>,
  );
  await ui.user.click(screen.getByRole('button', { name: 'Somebody new' }));
  return { fake, ...ui };
}

/** A button that answers once what was asked before is done. */
async function tap(user: ReturnType<typeof renderUi>['user'], name: string) {
  const button = await screen.findByRole('button', { name });
  await waitFor(() => expect(button).toBeEnabled());
  await user.click(button);
}

async function comeNew(before: readonly FloorAct[] = []) {
  const ui = await open(before);
  await ui.user.type(screen.getByLabelText('Name'), 'Dov Larch');
  await ui.user.type(screen.getByLabelText('Height'), '171');
  await ui.user.click(screen.getByRole('button', { name: 'Let them in' }));
  return ui;
}

it('lets in somebody nobody knows yet, and asks them before anything upside down', async () => {
  const { fake, user } = await comeNew();
  expect(await screen.findByText('Dov Larch is in')).toBeInTheDocument();
  expect(screen.getByText(/^Ask before anything upside down/)).toBeInTheDocument();
  expect(mockSent).toEqual([['join', { name: 'Dov Larch', height: '171' }]]);
  // Nothing has begun: they are there from the start like everybody.
  expect(fake.said).toEqual([{ kind: 'late', person: '7', round: 0 }]);
  await tap(user, 'Asked: nothing');
  await waitFor(() => expect(mockSent.at(-1)).toEqual(['screened', 7]));
  await waitFor(() => expect(screen.queryByText('Dov Larch is in')).toBeNull());
});

it.each([
  ['the first round, without the drills, while the others drill', 1, 0, 1],
  ['the round at hand while it goes on', 2, 0, 1],
  ['the round after those that are done', 3, 1, 2],
])('has them come for %s', async (_, index, roundsDone, round) => {
  const { fake } = await comeNew([{ kind: 'segment', index, roundsDone }]);
  await screen.findByText('Dov Larch is in');
  expect(fake.said).toEqual([{ kind: 'late', person: '7', round }]);
});

it('says at its field what is wrong, and keeps what was typed', async () => {
  mockJoin = () => Promise.resolve({ ok: false, problems: { height: 'Height must be typed.' } });
  await comeNew();
  expect(await screen.findByText('Height must be typed.')).toBeInTheDocument();
  expect(screen.getByLabelText('Name')).toHaveValue('Dov Larch');
});

it('does not say that nobody was added where the studio does not answer: it cannot know', async () => {
  mockJoin = () => Promise.reject(new Error('no connection'));
  await comeNew();
  expect(
    await screen.findByText(/may be in all the same. Look at the names here/),
  ).toBeInTheDocument();
  expect(mockRefreshed).toHaveBeenCalled();
  expect(screen.getByLabelText('Name')).toHaveValue('Dov Larch');
});

it('takes back who was not meant: away tonight, and out of the course they came into now', async () => {
  const { fake, user } = await comeNew();
  await tap(user, 'Somebody else was meant: take it back');
  await waitFor(() => expect(mockSent.at(-1)).toEqual(['leave', 7]));
  expect(fake.said.at(-1)).toEqual({ kind: 'absent', person: '7', isAbsent: true });
});

it('leaves in the course who was in it before', async () => {
  mockJoin = letIn(false);
  const { fake, user } = await comeNew();
  await tap(user, 'Somebody else was meant: take it back');
  await waitFor(() => expect(screen.queryByText('Dov Larch is in')).toBeNull());
  expect(fake.said.at(-1)).toEqual({ kind: 'absent', person: '7', isAbsent: true });
  expect(mockSent.map(([what]) => what)).toEqual(['join']);
});

it('does not close the questions that could not be noted as asked', async () => {
  mockScreened = { ok: false };
  const { user } = await comeNew();
  await tap(user, 'Asked: nothing');
  expect(await screen.findByText(/could not be noted/)).toBeInTheDocument();
  expect(screen.getByText('Dov Larch is in')).toBeInTheDocument();
});
