/**
 * @alone What its line opens comes when it is asked for, by then from among the modules of all.
 */
import { screen } from '@testing-library/react';
import { times } from '@/core/catalog/dose';
import { renderUi } from '@/design/testing/renderUi';
import { FloorBody } from './FloorBody';
import type { PlaceInClass } from './place';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

// What they ask of the server is no business of the line.
jest.mock('./DoorPanel', () => ({ DoorPanel: () => null }));
jest.mock('next/navigation', () => ({ useRouter: () => ({}) }));
jest.mock('./LoadPanel', () => ({ LoadPanel: () => null }));

const line = (id: string) =>
  ({ id, kind: 'drill', drill: 'hollow', label: id, minutes: 2, startsAt: 0 }) as const;
const bundle = fakeBundle({
  startedMs: 0,
  breathSeconds: 5,
  drills: {
    hollow: { how: 'Head up.', dose: '5 times', paced: { dose: [times(5)], minutes: 2 } },
  },
});
const at = (id: string) => ({ item: line(id), round: null, rounds: 0 }) as unknown as PlaceInClass;
const paced = { over: { kind: 'pace', line: 'first' }, sheet: null } as const;

const show = (id: string) => (
  <InClass fake={fakeFloor()} bundle={bundle}>
    <FloorBody view={paced} place={at(id)} others={[]} />
  </InClass>
);

it('runs the dose of its line, and stands ready when the class has gone on', async () => {
  const { rerender } = renderUi(show('first'));
  expect(await screen.findByRole('button', { name: 'End the pace' })).toBeInTheDocument();
  // What cannot be turned while it runs is not in the way.
  expect(screen.queryByRole('radio')).toBeNull();
  rerender(show('second'));
  // Nothing of the line that is over: breaths, and not begun.
  expect(screen.getByRole('radio', { name: 'Breaths' })).toBeChecked();
  expect(screen.queryByRole('radio', { name: 'This line' })).toBeNull();
  expect(screen.getByRole('button', { name: /^Pace, / })).toBeInTheDocument();
});

it('brings what was tapped for to where it is seen, and what is seen stays where it is', () => {
  const into = jest.spyOn(Element.prototype, 'scrollIntoView').mockImplementation(() => undefined);
  let bottom = 0;
  jest.spyOn(Element.prototype, 'getBoundingClientRect').mockImplementation(function (
    this: Element,
  ) {
    const rect = this.hasAttribute('data-opened')
      ? { top: 300, bottom }
      : { top: 100, bottom: 600 };
    return rect as DOMRect;
  });
  const body = (kind: 'line' | 'door') => (
    <InClass fake={fakeFloor()} bundle={bundle}>
      <FloorBody
        view={{ over: { kind }, sheet: null }}
        place={{ item: { ...line('first'), kind: 'arrive' }, round: null, rounds: 0 } as never}
        others={[]}
      />
    </InClass>
  );
  bottom = 700;
  const { rerender } = renderUi(body('line'));
  // There by itself: nobody asked for it.
  expect(into).not.toHaveBeenCalled();
  rerender(body('door'));
  expect(into).toHaveBeenCalledTimes(1);
  rerender(body('line'));
  bottom = 500;
  rerender(body('door'));
  expect(into).toHaveBeenCalledTimes(1);
  jest.restoreAllMocks();
});
