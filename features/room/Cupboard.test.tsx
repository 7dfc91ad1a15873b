import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import * as fakes from '@/design/testing/fakeActions';
import { renderUi } from '@/design/testing/renderUi';
import { CupboardTable } from './CupboardTable';
import { OwnPieces } from './OwnPieces';
import type { RoomView } from './read';

jest.mock('./actions', () =>
  jest.requireActual<typeof fakes>('@/design/testing/fakeActions').fakeActions({
    changeCupboardAction: 'count',
    tellTonightAction: 'tonight',
    keepOwnPieceAction: 'add',
    dropOwnPieceAction: 'drop',
    bringPieceBackAction: 'back',
  }),
);

const dropped = { id: 3, spec: {}, shelves: [] };

beforeEach(() => {
  fakes.beginAsking();
  fakes.answerWith((what) =>
    Promise.resolve({
      ok: true,
      value: what === 'tonight' ? { kind: 'same' } : what === 'drop' ? dropped : undefined,
    }),
  );
});

const board = {
  label: 'Cork board',
  kind: 'pad',
  lengthM: 0.4,
  widthM: 0.3,
  thicknessM: 0.03,
  loadedM: 0.028,
  isFirm: true,
};

const view = (units: 'cm' | 'in' = 'cm') =>
  ({
    course: { id: 1, name: 'Tuesdays' },
    cupboard: [
      { piece: 'foam-block', count: 2, worn: 0 },
      { piece: 'own-3', count: 1, worn: 0 },
    ],
    own: [{ piece: 'own-3', spec: board }],
    settings: { units },
  }) as unknown as RoomView;

/** What of a line was kept last. */
const kept = (piece: string) => {
  const [, , form] = fakes.asked.filter(([what]) => what === 'count').at(-1)!;
  return (form as { piece: string; count: number; worn: number }[]).find(
    (line) => line.piece === piece,
  );
};

describe('the cupboard', () => {
  const line = (label: string) =>
    within(
      screen.getAllByRole('listitem').find(({ textContent }) => textContent.startsWith(label))!,
    );

  it('keeps each tap at once, with everything else as it is', async () => {
    const { user } = renderUi(<CupboardTable view={view()} />);
    await user.click(line('Cork board').getByRole('button', { name: /more$/ }));
    expect(kept('own-3')).toEqual({ piece: 'own-3', count: 2, worn: 0 });
    expect(kept('foam-block')).toMatchObject({ count: 2 });
  });

  it('never has more worn than there are, nor fewer than none', async () => {
    const { user } = renderUi(<CupboardTable view={view()} />);
    const own = line('Cork board');
    await user.type(own.getByLabelText(/worn or lent out/), '{Backspace}1{Enter}');
    expect(kept('own-3')).toMatchObject({ count: 1, worn: 1 });
    await user.click(own.getByRole('button', { name: /fewer$/ }));
    expect(kept('own-3')).toMatchObject({ count: 0, worn: 0 });
    expect(own.getByRole('button', { name: /fewer$/ })).toBeDisabled();
  });

  it('keeps a typed count when it is whole, and the worn ones with it', async () => {
    const shown = view();
    const { user } = renderUi(
      <CupboardTable
        view={{ ...shown, cupboard: [{ piece: 'foam-block', count: 14, worn: 4 }] }}
      />,
    );
    const foam = line('Foam block');
    const many = foam.getByLabelText(/^How many/);
    await user.type(many, '12', { initialSelectionStart: 0, initialSelectionEnd: 2 });
    // A 1 on the way to 12 is no count: three of the worn ones would go with it.
    expect(fakes.asked).toEqual([]);
    await user.tab();
    expect(kept('foam-block')).toEqual({ piece: 'foam-block', count: 12, worn: 4 });
    await user.clear(many);
    await user.tab();
    expect(many).toHaveValue('12');
    await user.type(many, '7{Escape}');
    expect(many).toHaveValue('12');
    await user.type(many, '{ArrowDown}');
    expect(kept('foam-block')).toMatchObject({ count: 11, worn: 4 });
    await user.type(foam.getByLabelText(/worn/), '99{Enter}');
    expect(kept('foam-block')).toMatchObject({ count: 11, worn: 11 });
  });

  it('shows what is kept where it could not be counted', async () => {
    fakes.refuse({ form: 'Not now.' });
    const { user } = renderUi(<CupboardTable view={view()} />);
    await user.click(line('Cork board').getByRole('button', { name: /more$/ }));
    expect(await screen.findByText('Not now.')).toBeInTheDocument();
    await waitFor(() => expect(line('Cork board').getByLabelText(/^How many/)).toHaveValue('1'));
  });
});

describe('pieces of one’s own', () => {
  it('says each in the studio’s units', () => {
    renderUi(<OwnPieces view={view('in')} />);
    expect(screen.getByText(/^Cork board: 15¾ in by 11¾ in by 1¼ in/)).toBeInTheDocument();
  });

  it('says at its field what is no length, and adds what is whole', async () => {
    const { user } = renderUi(<OwnPieces view={view()} />);
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Oak step' } });
    for (const [label, value] of [
      ['Longest side', '50 cm'],
      ['Middle side', '12"'],
      ['Shortest side', 'thin'],
      ['Height with weight on it', '9'],
    ]) {
      fireEvent.change(screen.getByLabelText(label!), { target: { value } });
    }
    await user.click(screen.getByRole('button', { name: 'Add the piece' }));
    expect(await screen.findByText('A length, like 4 cm')).toBeInTheDocument();
    expect(fakes.asked).toEqual([]);
    fireEvent.change(screen.getByLabelText('Shortest side'), { target: { value: '9' } });
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Add the piece' })).toBeEnabled(),
    );
    await user.click(screen.getByRole('button', { name: 'Add the piece' }));
    await waitFor(() =>
      expect(fakes.asked).toEqual([
        ['add', expect.objectContaining({ label: 'Oak step', lengthM: 0.5, thicknessM: 0.09 })],
      ]),
    );
    expect((fakes.asked[0]![1] as { widthM: number }).widthM).toBeCloseTo(0.3048, 9);
    expect(await screen.findByText(/Oak step is in the list/)).toBeInTheDocument();
    expect(screen.getByLabelText('Name')).toHaveValue('');
  });

  it('brings back what was taken out', async () => {
    const { user } = renderUi(<OwnPieces view={view()} />);
    await user.click(screen.getByRole('button', { name: 'Take out' }));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(fakes.asked).toEqual([
      ['drop', 'own-3'],
      ['back', dropped],
    ]);
  });
});
