import type { CheckKey } from '@/core/catalog/checks';
import { screen, within } from '@testing-library/react';
import type { FloorAct } from '@/core/running/tap';
import { fakeBundle, fakeFloor, type FakeFloor } from '@/features/floor/testing/fakeFloor';
import { InClass } from '@/features/floor/testing/renderFloor';
import type { FloorClass } from './context';
import { renderUi } from '@/design/testing/renderUi';
import { HoldPanel } from './HoldPanel';
import type { HoldWish } from './view';

const wish: HoldWish = { check: 'dolphin-hold', people: ['1', '2'] };
const start = (check: CheckKey = 'dolphin-hold', side: 'left' | null = null): FloorAct => ({
  kind: 'hold-start',
  hold: 'h',
  check,
  base: null,
  side,
  people: ['1', '2'],
});

function show(fake: FakeFloor, more: Partial<FloorClass> = {}, asked = wish) {
  const calls = { show: jest.fn(), again: jest.fn(), close: jest.fn() };
  const floor = fake.now();
  const shown = renderUi(
    <InClass fake={fake} {...more}>
      <HoldPanel
        wish={asked}
        hold={floor.state.holds[0] ?? null}
        onShow={calls.show}
        onAgain={calls.again}
        onClose={calls.close}
      />
    </InClass>,
  );
  return { ...shown, ...calls };
}

beforeAll(() => {
  Object.defineProperty(globalThis.crypto, 'randomUUID', {
    value: () => '01234567-89ab-cdef-0123-456789abcdef',
    configurable: true,
  });
});

describe('before a hold', () => {
  it('starts one clock for those who take part, and shows that hold', async () => {
    const fake = fakeFloor();
    const { user, show: shown } = show(fake);
    await user.click(screen.getByRole('button', { name: /Bo/ }));
    await user.click(screen.getByRole('button', { name: 'Start the clock for 1' }));
    expect(fake.said).toEqual([
      {
        kind: 'hold-start',
        hold: '01234567-89ab',
        check: 'dolphin-hold',
        base: null,
        side: null,
        people: ['1'],
      },
    ]);
    expect(shown).toHaveBeenCalledWith('01234567-89ab');
  });

  it('says beside the clock what is asked for and what stops it', () => {
    const checks = fakeBundle().checks.map((one) => ({
      ...one,
      words: { bar: 'at least 45 s', suffix: ' s' },
      method: 'From the side, by the clock. It stops when the head touches.',
    }));
    show(fakeFloor(), { bundle: fakeBundle({ checks }) });
    expect(
      screen.getByText(
        'Bar: at least 45 s. From the side, by the clock. It stops when the head touches.',
      ),
    ).toBeInTheDocument();
  });

  it('starts for nobody', async () => {
    const { user } = show(fakeFloor(), {}, { check: 'dolphin-hold', people: [] });
    expect(screen.getByRole('button', { name: 'Start the clock for 0' })).toBeDisabled();
    await user.click(screen.getByRole('button', { name: /Ada/ }));
    expect(screen.getByRole('button', { name: 'Start the clock for 1' })).toBeEnabled();
  });

  it('asks for the side and the base where the check is kept apart by them', async () => {
    const fake = fakeFloor();
    const { user } = show(fake);
    expect(screen.queryByRole('radiogroup', { name: 'Side' })).toBeNull();
    await user.selectOptions(screen.getByRole('combobox'), 'dolphin-one-leg');
    await user.click(within(screen.getByRole('radiogroup', { name: 'Side' })).getByText('right'));
    await user.click(screen.getByRole('button', { name: /Start the clock/ }));
    await user.selectOptions(screen.getByRole('combobox'), 'wall-hold');
    expect(screen.queryByRole('radiogroup', { name: 'Side' })).toBeNull();
    await user.click(screen.getByRole('button', { name: /Start the clock/ }));
    expect(fake.said).toMatchObject([
      { check: 'dolphin-one-leg', side: 'right', base: null },
      { check: 'wall-hold', side: null, base: 'forearms' },
    ]);
  });

  it('takes in only who may do it: closed before class, sore tonight, or after a sign', async () => {
    const person = (id: string, closedChecks: string[]) => ({
      id,
      closedChecks,
      fallbacks: [
        { label: 'Calves on a chair', props: [{ piece: 'chair', count: 1 }] },
        { label: 'Seated, tall, breathing', props: [] },
      ],
    });
    const bundle = fakeBundle({
      prepared: { people: [person('1', ['dolphin-hold']), person('2', [])] } as never,
    });
    const { user, unmount } = show(fakeFloor(), { bundle });
    const ada = screen.getByRole('button', { name: /Ada/ });
    expect(ada).toHaveAttribute('aria-disabled', 'true');
    expect(ada).toHaveTextContent('instead: Calves on a chair');
    expect(ada).not.toHaveTextContent(/caution|pain|closed/i);
    await user.click(ada);
    expect(screen.getByRole('button', { name: 'Start the clock for 1' })).toBeEnabled();
    // Another check may be open to her.
    await user.selectOptions(screen.getByLabelText('What is held'), 'wall-hold');
    expect(screen.getByRole('button', { name: 'Start the clock for 2' })).toBeEnabled();
    unmount();
    const sore: FloorAct = { kind: 'sore', person: '2', place: 'shoulder' };
    const { unmount: leave } = show(fakeFloor([sore]), { bundle });
    expect(screen.getByRole('button', { name: 'Start the clock for 0' })).toBeDisabled();
    leave();
    show(fakeFloor([{ kind: 'sign', person: '2', sign: 'tingling' }]), { bundle }, {
      check: null,
      people: ['1', '2'],
    } as never);
    expect(screen.getByRole('button', { name: /Bo/ })).toHaveTextContent('instead: Seated');
  });

  it('leaves whoever is not here out of what was wished', () => {
    show(fakeFloor(), { here: ['2'] });
    expect(screen.getByRole('button', { name: 'Start the clock for 1' })).toBeEnabled();
  });
});

describe('while it runs', () => {
  it('takes down whoever is tapped, once, and stops for all', async () => {
    const fake = fakeFloor([start()]);
    const { user, rerender, show: shown } = show(fake);
    await user.click(screen.getByRole('button', { name: /Ada/ }));
    expect(fake.said).toEqual([{ kind: 'hold-down', hold: 'h', person: '1' }]);
    const floor = fake.now();
    rerender(
      <InClass fake={fake}>
        <HoldPanel
          wish={wish}
          hold={floor.state.holds[0]!}
          onShow={shown}
          onAgain={jest.fn()}
          onClose={jest.fn()}
        />
      </InClass>,
    );
    expect(screen.getByText(/1 of 2/)).toBeInTheDocument();
    await user.click(screen.getByRole('button', { name: 'Stop the clock' }));
    expect(fake.said.at(-1)).toEqual({ kind: 'hold-stop', hold: 'h' });
    expect(shown).toHaveBeenCalledWith('h');
  });

  it('offers faults to somebody who is down already, those that void it first', async () => {
    const fake = fakeFloor([start(), { kind: 'hold-down', hold: 'h', person: '1' }]);
    const { user } = show(fake);
    await user.click(screen.getByRole('button', { name: /Ada/ }));
    const faults = within(await screen.findByRole('dialog')).getAllByRole('button', {
      name: /touches|sags/,
    });
    expect(faults[0]).toHaveTextContent('head touches');
    await user.click(faults[0]!);
    expect(fake.said).toEqual([
      { kind: 'hold-fault', hold: 'h', person: '1', fault: 'head-touches' },
    ]);
  });
});

describe('after it', () => {
  const stop: FloorAct = { kind: 'hold-stop', hold: 'h' };

  it('shows who came down when, and who held at least so long', () => {
    show(fakeFloor([start(), { kind: 'hold-down', hold: 'h', person: '1' }, stop]));
    expect(screen.getByRole('button', { name: /Ada/ })).toHaveTextContent('10');
    expect(screen.getByRole('button', { name: /Bo/ })).toHaveTextContent('≥');
    expect(screen.getByText(/Bar: 45 s/)).toBeInTheDocument();
  });

  it('goes on with the other side and the same people', async () => {
    const { user, again } = show(fakeFloor([start('dolphin-one-leg', 'left'), stop]));
    await user.click(screen.getByRole('button', { name: 'Now the right side' }));
    expect(again).toHaveBeenCalledWith({
      check: 'dolphin-one-leg',
      people: ['1', '2'],
      side: 'right',
    });
  });

  it('closes', async () => {
    const { user, close } = show(fakeFloor([start(), stop]));
    await user.click(screen.getByRole('button', { name: 'Done' }));
    expect(close).toHaveBeenCalled();
  });
});
