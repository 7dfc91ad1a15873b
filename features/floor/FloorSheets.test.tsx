import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { FloorSheets } from './FloorSheets';
import { placeInClass } from './place';
import { fakeBundle, fakeFloor, fakePlaced } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';
import { firstView, type Sheet } from './view';

jest.mock('./later', () => ({
  PersonSheet: ({ name, onStop, onClock }: Record<string, () => void>) => (
    <div role="dialog" aria-label={String(name)}>
      <button onClick={onStop}>Stop them</button>
      <button onClick={onClock}>A clock for them</button>
    </div>
  ),
}));

const bundle = fakeBundle({
  plan: {
    families: ['forearm-stand'],
    checks: [],
    rounds: [{ people: [fakePlaced()] }],
    timeline: [{ id: 'Round 1', kind: 'round', label: 'Round 1', minutes: 4, round: 1 }],
    wishes: { absent: [], late: [], sore: [], feetDown: [], pins: [] },
  } as never,
});

function show(sheet: Sheet | null) {
  const fake = fakeFloor([{ kind: 'segment', index: 0, roundsDone: 0 }]);
  const tell = jest.fn();
  const ui = renderUi(
    <InClass fake={fake} bundle={bundle} tell={tell}>
      <FloorSheets
        view={{ ...firstView, sheet }}
        place={placeInClass(fake.now().state, bundle.plan)}
      />
    </InClass>,
  );
  return { fake, tell, ...ui };
}

it('shows nothing where nothing was opened, nor of somebody who has no place in the round', () => {
  const { unmount } = show(null);
  expect(screen.queryByRole('dialog')).toBeNull();
  unmount();
  show({ kind: 'person', person: '2' });
  expect(screen.queryByRole('dialog')).toBeNull();
});

it('leads from a person to their stop and to their clock', async () => {
  const { user, tell } = show({ kind: 'person', person: '1' });
  expect(screen.getByRole('dialog', { name: 'Ada' })).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Stop them' }));
  await user.click(screen.getByRole('button', { name: 'A clock for them' }));
  expect(tell.mock.calls).toEqual([
    [{ kind: 'sheet', sheet: { kind: 'stop', person: '1' } }],
    [{ kind: 'open-hold', wish: { check: null, people: ['1'] } }],
  ]);
});

it('ends the class only after it was asked whether', async () => {
  const { user, fake, tell } = show({ kind: 'end' });
  expect(fake.said).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'End it' }));
  expect(fake.said).toEqual([{ kind: 'end' }]);
  expect(tell).toHaveBeenCalledWith({ kind: 'close-sheet' });
});

it('leaves the class going when the question is closed', async () => {
  const { user, fake, tell } = show({ kind: 'end' });
  await user.click(screen.getByRole('button', { name: 'Close' }));
  expect(fake.said).toEqual([]);
  expect(tell).toHaveBeenCalledWith({ kind: 'close-sheet' });
});
