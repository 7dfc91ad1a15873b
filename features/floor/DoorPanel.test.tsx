import { screen, within } from '@testing-library/react';
import { screeningQuestion } from '@/core/ladder/door';
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
    rounds: [{ people: [placed('1', ['First questions', 'Talk test']), placed('2', [])] }],
  } as never,
  questions: [
    screeningQuestion,
    { key: 'talk-test', label: 'Talk test', question: 'A whole sentence?', askedIn: 'the-hold' },
  ],
});

function show() {
  const fake = fakeFloor();
  const stopped = jest.fn();
  const ui = renderUi(
    <InClass fake={fake} bundle={bundle}>
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

  it('opens the stop sheet for something sore', async () => {
    const { stopped, card, user } = show();
    await user.click(card('Bo').getByRole('button', { name: 'something sore' }));
    expect(stopped).toHaveBeenCalledWith('2');
  });
});
