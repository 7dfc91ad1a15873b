import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { FloorAct } from '@/core/running/tap';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';
import { TopBar } from './TopBar';
import type { Floor } from './useFloor';
import type { Replan } from './useReplan';

const bundle = fakeBundle({ course: { name: 'Thursday, upside down' } } as never);
const standing: Replan = { status: 'standing', tookMs: null };

function show(
  before: readonly FloorAct[] = [],
  { floor = {}, replan = standing }: { floor?: Partial<Floor>; replan?: Replan } = {},
) {
  const fake = fakeFloor(before);
  const undo = jest.fn();
  const now = () => ({ ...fake.now(), undo, ...floor });
  const ui = renderUi(
    <InClass fake={{ ...fake, now }} bundle={bundle}>
      <TopBar replan={replan} />
    </InClass>,
  );
  return { undo, ...ui };
}

it('says what is saved, and how many taps are not', () => {
  const { unmount } = show();
  expect(screen.getByRole('status')).toHaveTextContent('all saved');
  unmount();
  show([], { floor: { waiting: 3, link: 'offline' } });
  expect(screen.getByRole('status')).toHaveTextContent('3 not saved yet');
});

it.each([
  ['offline', 'no connection'],
  ['full', 'disk full'],
  ['refused', 'another’s taps'],
  ['gone', 'not known there'],
] as const)('says of a connection that is %s: %s', (link, words) => {
  show([], { floor: { link } });
  expect(screen.getByRole('status')).toHaveTextContent(words);
});

it('says that the rounds are planned anew, that they are, and that they could not be', () => {
  const { unmount } = show([], { replan: { status: 'working', tookMs: null } });
  expect(screen.getByRole('status')).toHaveTextContent('planning the rounds to come');
  unmount();
  const second = show([], { replan: { status: 'standing', tookMs: 640 } });
  expect(screen.getByRole('status')).toHaveTextContent('planned anew in 0.6 s');
  second.unmount();
  show([], { replan: { status: 'failed', tookMs: null } });
  expect(screen.getByRole('status')).toHaveTextContent('the old plan stands');
});

it('takes back what was tapped last, and names it; nothing where nothing was', async () => {
  const { unmount } = show();
  expect(screen.getByRole('button', { name: 'Undo' })).toBeDisabled();
  unmount();
  const { undo, user } = show([{ kind: 'halt', person: '2' }]);
  await user.click(screen.getByRole('button', { name: 'Undo: stopped Bo' }));
  expect(undo).toHaveBeenCalledTimes(1);
});

it('says a problem aloud', () => {
  show([], { floor: { problem: 'This device keeps nothing: its memory is full.' } });
  expect(screen.getByRole('alert')).toHaveTextContent('its memory is full');
});
