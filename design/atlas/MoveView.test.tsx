import { act, screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { getMove } from '@/core/atlas/moves';
import { roundS } from '@/core/atlas/open';
import { MoveView } from './MoveView';
import { StripView } from './StripView';

/** What is in sight, as a browser would say. */
let sight: (isSeen: boolean) => void = () => undefined;

beforeEach(() => {
  jest.useFakeTimers();
  globalThis.IntersectionObserver = class {
    constructor(tell: (entries: { isIntersecting: boolean }[]) => void) {
      sight = (isSeen) => act(() => tell([{ isIntersecting: isSeen }]));
    }
    observe = () => undefined;
    disconnect = () => undefined;
  } as unknown as typeof IntersectionObserver;
});
afterEach(() => jest.useRealTimers());

const move = getMove('hand-down');
const group = () => screen.getByRole('group', { name: 'Down from the wall, moving' });
const drawn = () => within(group()).getByRole('img').innerHTML;
const wait = (seconds: number) => act(() => jest.advanceTimersByTime(seconds * 1000));
const show = () => renderUi(<MoveView move="hand-down" label="Down from the wall" />);

describe('a drawing that moves', () => {
  it('moves while it is seen, and comes round again', () => {
    show();
    const first = drawn();
    wait(3);
    expect(drawn()).toBe(first);
    sight(true);
    wait(2);
    expect(drawn()).not.toBe(first);
    expect(roundS(move)).toBeGreaterThan(5);
  });

  it('rests under the pointer and stops at a tap', async () => {
    const { user } = show();
    sight(true);
    wait(2);
    await user.hover(group());
    const held = drawn();
    wait(2);
    expect(drawn()).toBe(held);
    await user.unhover(group());
    await user.click(screen.getByRole('button', { name: /^Stop the drawing/ }));
    expect(screen.getByRole('button', { name: /^Play the drawing/ })).toBeInTheDocument();
    const stopped = drawn();
    wait(3);
    expect(drawn()).toBe(stopped);
  });

  it('goes pose by pose with the arrow keys, round both ends', async () => {
    const { user } = show();
    act(() => group().focus());
    await user.keyboard('{ArrowRight}');
    expect(screen.getByText(move.keys[1].words)).toBeInTheDocument();
    await user.keyboard('{ArrowLeft}{ArrowLeft}');
    expect(screen.getByText(move.keys[2]!.words)).toBeInTheDocument();
    await user.keyboard('{ArrowRight}');
    expect(screen.getByText(move.keys[0].words)).toBeInTheDocument();
  });

  it('says its poses to whoever does not see them', () => {
    renderUi(<StripView move="hand-down" label="Down from the wall" help="hips" />);
    expect(screen.getByRole('img')).toHaveAccessibleName(
      'Down from the wall. 1: upside down. 2: one leg comes down, slowly. 3: then the other, landing softly.',
    );
  });
});
