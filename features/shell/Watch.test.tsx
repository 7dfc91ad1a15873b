import { act, fireEvent, screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { Watch } from './Watch';

const mockLock = jest.fn();
jest.mock('./lock', () => ({
  lockKey: 'alt+shift+L',
  lockDesk: () => mockLock() as unknown,
}));

beforeEach(() => mockLock.mockReset());

describe('a desk', () => {
  it('is locked by its key, also from within a field', async () => {
    const { user } = renderUi(
      <>
        <Watch at="desk" />
        <input aria-label="Name" />
      </>,
    );
    await user.click(screen.getByLabelText('Name'));
    await user.keyboard('{Alt>}{Shift>}L{/Shift}{/Alt}');
    expect(mockLock).toHaveBeenCalledTimes(1);
  });

  it('locks itself when nobody has touched it for its minutes', () => {
    jest.useFakeTimers();
    try {
      renderUi(<Watch at="desk" idleMinutes={2} />);
      act(() => jest.advanceTimersByTime(119_000));
      fireEvent.keyDown(document.body, { key: 'a' });
      act(() => jest.advanceTimersByTime(119_000));
      expect(mockLock).not.toHaveBeenCalled();
      act(() => jest.advanceTimersByTime(2_000));
      expect(mockLock).toHaveBeenCalledTimes(1);
    } finally {
      jest.useRealTimers();
    }
  });
});

describe('a device', () => {
  it('asks whether it is still let in when it comes into sight, and every twenty seconds', () => {
    jest.useFakeTimers();
    const ask = jest.fn().mockResolvedValue({ status: 200 });
    const before = globalThis.fetch;
    globalThis.fetch = ask as never;
    try {
      const { unmount } = renderUi(<Watch at="device" />);
      expect(ask).not.toHaveBeenCalled();
      fireEvent(document, new Event('visibilitychange'));
      expect(ask).toHaveBeenCalledTimes(1);
      act(() => jest.advanceTimersByTime(40_000));
      expect(ask).toHaveBeenCalledTimes(3);
      expect(ask).toHaveBeenLastCalledWith('/pair/here', { cache: 'no-store' });
      unmount();
      jest.advanceTimersByTime(60_000);
      expect(ask).toHaveBeenCalledTimes(3);
      // A device is not a desk: its key locks nothing.
      fireEvent.keyDown(document.body, { key: 'L', altKey: true, shiftKey: true });
      expect(mockLock).not.toHaveBeenCalled();
    } finally {
      globalThis.fetch = before;
      jest.useRealTimers();
    }
  });
});
