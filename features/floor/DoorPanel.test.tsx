import { screen, within } from '@testing-library/react';
import { screeningQuestion, soreQuestion } from '@/core/ladder/door';
import type { FloorAct } from '@/core/running/tap';
import { renderUi } from '@/design/testing/renderUi';
import { DoorPanel } from './DoorPanel';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

jest.mock('./NewAtDoor', () => ({ NewAtDoor: () => null }));

const placed = (id: string, confirmAtDoor: string[]) => ({ id, confirmAtDoor });
const bundle = fakeBundle({
  members: [{ id: '1' }, { id: '2' }] as never,
  plan: {
    wishes: { absent: [], late: [], sore: [], feetDown: ['2'], pins: [] },
    timeline: [{ kind: 'opening' }, { kind: 'drill' }, { kind: 'round' }, { kind: 'round' }],
    rounds: [1, 2, 3].map((round) => ({
      round,
      people: [placed('1', ['First questions', 'Talk test']), placed('2', [])],
    })),
  } as never,
  questions: [
    screeningQuestion,
    { key: 'talk-test', label: 'Talk test', question: 'A whole sentence?', askedIn: 'the-hold' },
  ],
});

function show(before: readonly FloorAct[] = [], of: typeof bundle = bundle) {
  const fake = fakeFloor(before);
  const stopped = jest.fn();
  const ui = renderUi(
    <InClass fake={fake} bundle={of}>
      <DoorPanel others={[]} onStop={stopped} />
    </InClass>,
  );
  const card = (name: string) => within(screen.getByRole('heading', { name }).closest('article')!);
  return { fake, stopped, card, ...ui };
}

describe('at the door', () => {
  it('asks whoever was never asked, once, and leaves talking for the hold', async () => {
    const { fake, card, user } = show();
    expect(card('Ada').getByText('First questions')).toBeInTheDocument();
    expect(card('Ada').queryByText('Talk test')).not.toBeInTheDocument();
    expect(card('Bo').queryByText('First questions')).not.toBeInTheDocument();
    await user.click(card('Ada').getByRole('radio', { name: 'fine' }));
    expect(fake.said).toEqual([{ kind: 'door', person: '1', check: 'screening', isFine: true }]);
  });

  it('asks whoever is due even where nothing tonight waits for it, and keeps the answer in sight', async () => {
    const due = { ...bundle, members: [{ id: '1' }, { id: '2', isScreeningDue: true }] } as never;
    const { fake, card, user, unmount } = show([], due);
    expect(card('Ada').getAllByText('First questions')).toHaveLength(1);
    await user.click(card('Bo').getByRole('radio', { name: 'no' }));
    expect(fake.said).toEqual([{ kind: 'door', person: '2', check: 'screening', isFine: false }]);
    unmount();
    // Judged anew they are due no more, or still are: the answer can be seen and changed.
    const again = show(fake.said);
    expect(again.card('Bo').getByRole('radio', { name: 'no' })).toBeChecked();
    again.unmount();
    // An assistant's device has no such question.
    const { questions: _, ...other } = due as typeof bundle;
    const theirs = { ...other, plan: { ...bundle.plan, rounds: [] } } as never;
    expect(show([], theirs).card('Bo').queryByText('First questions')).not.toBeInTheDocument();
  });

  it('asks whoever was sore before whether it is gone, and keeps the answer in sight', async () => {
    const questions = [...bundle.questions!, soreQuestion];
    const members = [{ id: '1' }, { id: '2', isSoreBefore: true }] as never;
    const { fake, card, user, unmount } = show([], { ...bundle, members, questions });
    expect(card('Ada').queryByText('How is it today?')).not.toBeInTheDocument();
    const answers = within(card('Bo').getByRole('radiogroup', { name: 'How is it today?, Bo' }));
    await user.click(answers.getByRole('radio', { name: 'gone' }));
    expect(fake.said).toEqual([{ kind: 'door', person: '2', check: 'sore-before', isFine: true }]);
    unmount();
    // Judged anew nothing hurts any more: what was answered can be seen and changed.
    const again = show(fake.said, { ...bundle, questions });
    expect(again.card('Bo').getByRole('radio', { name: 'gone' })).toBeChecked();
    await again.user.click(again.card('Bo').getByRole('radio', { name: 'not yet' }));
    expect(again.fake.said.at(-1)).toMatchObject({ check: 'sore-before', isFine: false });
  });

  it('keeps feet down for whoever asks, or no longer does, and asks nothing back', async () => {
    const { fake, card, user } = show();
    const ada = card('Ada').getByRole('button', { name: 'feet down today' });
    const bo = card('Bo').getByRole('button', { name: 'feet down today' });
    expect(ada).toHaveAttribute('aria-pressed', 'false');
    expect(bo).toHaveAttribute('aria-pressed', 'true');
    await user.click(ada);
    await user.click(bo);
    expect(fake.said).toEqual([
      { kind: 'feet-down', person: '1', isDown: true },
      { kind: 'feet-down', person: '2', isDown: false },
    ]);
  });

  it('takes whoever is late for the round after the next, or for the one that is said', async () => {
    const { fake, card, user, unmount } = show();
    await user.click(card('Ada').getByRole('radio', { name: 'late' }));
    expect(fake.said).toEqual([{ kind: 'late', person: '1', round: 2 }]);
    unmount();
    const again = show(fake.said);
    const rounds = within(
      again.card('Ada').getByRole('radiogroup', { name: 'Ada comes for round' }),
    );
    expect(rounds.getByRole('radio', { name: '2' })).toBeChecked();
    await again.user.click(rounds.getByRole('radio', { name: '1' }));
    expect(again.fake.said).toEqual([{ kind: 'late', person: '1', round: 1 }]);
  });

  const lateBefore: FloorAct = { kind: 'late', person: '1', round: 2 };
  const drilling: FloorAct = { kind: 'segment', index: 1, roundsDone: 0 };
  it.each([
    ['before the drills: in time after all', [lateBefore], [0]],
    ['during the drills: without them', [lateBefore, drilling], [1]],
    [
      'after the first round',
      [lateBefore, { kind: 'segment', index: 3, roundsDone: 1 } as const],
      [],
    ],
    [
      'after being away, while the others drill',
      [{ kind: 'absent', person: '1', isAbsent: true } as const, drilling],
      [1],
    ],
  ])('knows what somebody missed who comes %s', async (_, before, rounds) => {
    const { fake, card, user, unmount } = show(before);
    await user.click(card('Ada').getByRole('radio', { name: 'here' }));
    expect(fake.said.flatMap((act) => (act.kind === 'late' ? [act.round] : []))).toEqual(rounds);
    // And is shown as here from now on.
    unmount();
    const again = show([...before, ...fake.said]);
    expect(again.card('Ada').getByRole('radio', { name: 'here' })).toBeChecked();
  });

  it('shows who was planned late as late', () => {
    const late = [{ person: '2', round: 3 }];
    const plan = { ...bundle.plan, wishes: { ...bundle.plan.wishes, late } };
    const { card } = show([], { ...bundle, plan });
    expect(card('Bo').getByRole('radio', { name: 'late' })).toBeChecked();
    expect(card('Ada').getByRole('radio', { name: 'here' })).toBeChecked();
  });

  it('opens the stop sheet for something sore', async () => {
    const { stopped, card, user } = show();
    await user.click(card('Bo').getByRole('button', { name: 'something sore' }));
    expect(stopped).toHaveBeenCalledWith('2');
  });
});
