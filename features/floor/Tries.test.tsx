import { createEvent, fireEvent, screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { fakeBundle, fakeFloor, type FakeFloor } from '@/features/floor/testing/fakeFloor';
import { InClass } from '@/features/floor/testing/renderFloor';
import { pieceTable } from '@/core/catalog/pieces';
import type { PlacedPerson } from '@/core/running/follow';
import type { FloorAct } from '@/core/running/tap';
import type { TrySpec } from '@/core/catalog/tries';
import { Tries } from './Tries';

const placed = {
  id: '1',
  option: 'FS9',
  label: 'Hops',
  needsHand: false,
  letter: 'A',
} as PlacedPerson;
const option = (more: object = {}) => ({
  id: 'FS9',
  stage: 'FS9',
  isAttempt: true,
  wayUp: 'bent-knee',
  props: [{ piece: 'foam-block', count: 1 }],
  ...more,
});

const tries: TrySpec = {
  kind: 'hop',
  isLed: true,
  aim: 'wall',
  ways: [
    { id: 'straight-leg', label: 'straight-leg spring' },
    { id: 'bent-knee', label: 'bent-knee hop', isTogether: true },
  ],
};

const bundle = (more: object = {}, asked = tries) =>
  fakeBundle({
    prepared: { people: [{ id: '1', options: [option(more)], fallbacks: [] }] } as never,
    stages: {
      FS9: {
        family: 'forearm-stand',
        label: 'Hops',
        tries: asked,
        faults: ['head-touches', 'sag'],
      },
    },
  });

const show = (fake: FakeFloor, more: object = {}, asked = tries) =>
  renderUi(
    <InClass fake={fake} bundle={bundle(more, asked)}>
      <Tries placed={placed} round={2} />
    </InClass>,
  );

const earlier: FloorAct = {
  kind: 'try',
  person: '1',
  what: 'hop',
  stage: 'FS9',
  base: 'forearms',
  round: 2,
  leg: 'left',
  reached: true,
  blocksKept: null,
  landing: 'heavy',
  isAssisted: false,
};

it('notes a try with what was seen of it, the way up and what the arms hold', async () => {
  const fake = fakeFloor();
  const { user } = show(fake);
  await user.click(screen.getByRole('button', { name: 'head touches' }));
  await user.click(screen.getByText('soft'));
  await user.click(screen.getByRole('button', { name: 'Not yet' }));
  expect(fake.said).toMatchObject([
    {
      kind: 'try',
      what: 'hop',
      base: 'forearms',
      round: 2,
      reached: false,
      landing: 'soft',
      wayUp: 'bent-knee',
      support: 'block',
      faults: ['head-touches'],
    },
  ]);
});

it('takes a block of one’s own for a block', async () => {
  const fake = fakeFloor();
  const own = { ...pieceTable['foam-block'], label: 'Tall block', thicknessM: 0.115 };
  const { user } = show(fake, { props: [{ piece: 'own-3', count: 1, own }] });
  await user.click(screen.getByRole('button', { name: 'Not yet' }));
  expect(fake.said).toMatchObject([{ kind: 'try', support: 'block' }]);
});

it('notes the way up that was seen, which need not be the planned one, and no leg where none leads', async () => {
  const fake = fakeFloor();
  const { user } = show(fake);
  // Planned with bent knees, both legs at once.
  expect(screen.getByRole('button', { name: 'bent-knee hop' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  expect(screen.queryByText('left leg')).not.toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'straight-leg spring' }));
  await user.click(screen.getByRole('button', { name: 'Reached the wall' }));
  expect(fake.said.at(-1)).toMatchObject({ wayUp: 'straight-leg', leg: null });
  await user.click(screen.getByText('right leg'));
  await user.click(screen.getByRole('button', { name: 'Reached the wall' }));
  expect(fake.said.at(-1)).toMatchObject({ wayUp: 'straight-leg', leg: 'right' });
  // What was said of a leg does not stay with a try that has none.
  await user.click(screen.getByRole('button', { name: 'bent-knee hop' }));
  await user.click(screen.getByRole('button', { name: 'Reached the wall' }));
  expect(fake.said.at(-1)).toMatchObject({ wayUp: 'bent-knee', leg: null });
});

it('asks of a lift neither for a leg nor for a block, nor whether it reached a wall', async () => {
  const fake = fakeFloor();
  const { user } = show(
    fake,
    { wayUp: undefined },
    { kind: 'lift', isLed: false, aim: 'up', ways: [] },
  );
  for (const name of ['Hop or kick', 'Which leg leads', 'Blocks']) {
    expect(screen.queryByRole('radiogroup', { name })).not.toBeInTheDocument();
  }
  await user.click(screen.getByRole('button', { name: 'Came up' }));
  expect(fake.said).toMatchObject([
    { what: 'lift', reached: true, aim: 'up', leg: null, wayUp: null },
  ]);
});

it('begins the next try from nothing seen', async () => {
  const fake = fakeFloor();
  const { user } = show(fake);
  await user.click(screen.getByRole('button', { name: 'sags' }));
  await user.click(screen.getByRole('button', { name: 'Reached the wall' }));
  expect(screen.getByRole('button', { name: 'sags' })).toHaveAttribute('aria-pressed', 'false');
  await user.click(screen.getByRole('button', { name: 'Reached the wall' }));
  expect(fake.said.at(-1)).toMatchObject({ faults: [], landing: null });
});

it('takes a strap from the set-up, and nothing where there is none', async () => {
  const strap = fakeFloor();
  const first = show(strap, { variant: 'strap' });
  await first.user.click(screen.getByRole('button', { name: 'Reached the wall' }));
  expect(strap.said[0]).toMatchObject({ support: 'strap' });
  first.unmount();
  const free = fakeFloor();
  const { user } = show(free, { props: [] });
  await user.click(screen.getByRole('button', { name: 'Reached the wall' }));
  expect(free.said[0]).toMatchObject({ support: 'free' });
});

it('shows what was just noted and takes that very try back', async () => {
  // Something else was tapped since: it is not that which goes.
  const fake = fakeFloor([earlier, { kind: 'absent', person: '2', isAbsent: true }]);
  const { user } = show(fake);
  const noted = screen.getByText(/Noted:/);
  expect(noted).toHaveTextContent('hop, left leg, reached, landed heavily');
  expect(screen.getByText(/1 heavy/)).toBeInTheDocument();
  await user.click(within(noted).getByRole('button', { name: 'Take it back' }));
  expect(fake.said).toEqual([{ kind: 'undo', tap: 'd.1' }]);
});

it('is nothing where nothing is tried', () => {
  show(fakeFloor(), { isAttempt: undefined });
  expect(screen.queryByRole('region', { name: 'Tries' })).not.toBeInTheDocument();
});

it('times the way up and the way down by four taps, and says whether it was as slow out as in', async () => {
  const fake = fakeFloor();
  const { user } = show(fake);
  const clock = (name: string, timeStamp: number) => {
    const event = createEvent.click(screen.getByRole('button', { name }));
    Object.defineProperty(event, 'timeStamp', { value: timeStamp });
    fireEvent(screen.getByRole('button', { name }), event);
  };
  clock('Time it: feet leave', 1000);
  clock('Is up', 3240);
  expect(screen.getByText('up 2.2 s')).toBeInTheDocument();
  clock('Leaves the top', 9000);
  clock('Is down', 11_900);
  expect(screen.getByText('up 2.2 s, down 2.9 s: as slow out as in')).toBeInTheDocument();
  await user.click(screen.getByText('soft'));
  await user.click(screen.getByRole('button', { name: 'Reached the wall' }));
  expect(fake.said).toMatchObject([{ liftS: 2.2, exitS: 2.9, landing: 'soft' }]);
  // The next one begins without a time.
  expect(screen.getByRole('button', { name: 'Time it: feet leave' })).toBeInTheDocument();
});

it('leaves a time that went wrong out of the try', async () => {
  const fake = fakeFloor();
  const { user } = show(fake);
  await user.click(screen.getByRole('button', { name: 'Time it: feet leave' }));
  await user.click(screen.getByRole('button', { name: 'Is up' }));
  await user.click(screen.getByRole('button', { name: 'Without a time' }));
  await user.click(screen.getByRole('button', { name: 'Not yet' }));
  expect(fake.said).toMatchObject([{ liftS: null, exitS: null }]);
});

it('says what was timed of the try just noted', () => {
  show(fakeFloor([{ ...earlier, liftS: 3, exitS: 1.2 }]));
  expect(screen.getByText(/Noted:/)).toHaveTextContent('up 3.0 s, down 1.2 s: down faster than up');
});
