import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { FloorAct } from '@/core/running/tap';
import { BottomBar } from './BottomBar';
import { placeInClass } from './place';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';
import { firstView, type FloorView } from './view';

jest.mock('./later', () => ({ MoreMenu: () => null }));

const line = (id: string, kind: string) => ({ id, kind, label: id, minutes: 4 });
const timeline = [line('Arrive', 'arrive'), line('Round 1', 'round'), line('Round 2', 'round')];
const bundle = fakeBundle({
  plan: {
    families: ['forearm-stand'],
    checks: [{ check: 'wall-hold' }],
    rounds: [{ people: [] }, { people: [] }],
    timeline,
    wishes: { absent: [], late: [], sore: [], feetDown: [], pins: [] },
  } as never,
});
const at = (index: number): FloorAct => ({ kind: 'segment', index, roundsDone: 0 });
const running: FloorAct = {
  kind: 'hold-start',
  hold: 'h',
  check: 'wall-hold',
  base: 'hands',
  side: null,
  people: ['1'],
};

function show(before: readonly FloorAct[], { view = firstView, isTeacher = true } = {}) {
  const fake = fakeFloor(before);
  const tell = jest.fn();
  const ui = renderUi(
    <InClass fake={fake} bundle={bundle} tell={tell} isTeacher={isTeacher}>
      <BottomBar view={view as FloorView} place={placeInClass(fake.now().state, bundle.plan)} />
    </InClass>,
  );
  return { fake, tell, ...ui };
}
const button = (name: string) => screen.getByRole('button', { name });

it('goes on and back line by line, and counts the rounds that are behind', async () => {
  const { fake, user } = show([at(1)]);
  expect(screen.getByText('Next: Round 2, 4 min')).toBeInTheDocument();
  await user.click(button('Next'));
  await user.click(button('Back one line'));
  expect(fake.said).toEqual([
    { kind: 'segment', index: 2, roundsDone: 1 },
    { kind: 'segment', index: 0, roundsDone: 0 },
  ]);
});

it('begins at the first line, and ends after the last by a question', async () => {
  const { unmount } = show([]);
  expect(button('Back one line')).toBeDisabled();
  unmount();
  const { fake, tell, user } = show([at(2)]);
  expect(screen.getByText('Last line')).toBeInTheDocument();
  await user.click(button('End the class'));
  expect(tell).toHaveBeenCalledWith({ kind: 'sheet', sheet: { kind: 'end' } });
  expect(fake.said).toEqual([]);
});

it('leaves the line alone while a clock runs, and the stop within reach', async () => {
  const { tell, user } = show([running]);
  for (const name of ['Next', 'Hold', 'Breath', 'Who']) expect(button(name)).toBeDisabled();
  await user.click(button('Stop'));
  expect(tell).toHaveBeenCalledWith({ kind: 'sheet', sheet: { kind: 'stop', person: null } });
});

it('begins a hold with the planned check and everybody who is here', async () => {
  const { tell, user } = show([]);
  await user.click(button('Hold'));
  expect(tell).toHaveBeenCalledWith({
    kind: 'open-hold',
    wish: { check: 'wall-hold', people: ['1', '2'] },
  });
});

it('leaves the way of the class to the teacher', () => {
  show([at(1)], { isTeacher: false });
  for (const name of ['Next', 'Back one line', 'Who']) {
    expect(screen.queryByRole('button', { name })).toBeNull();
  }
  expect(button('Stop')).toBeEnabled();
});
