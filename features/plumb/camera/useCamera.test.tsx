import { act, renderHook, waitFor } from '@testing-library/react';
import { useCamera } from './useCamera';

class FakeTrack extends EventTarget {
  isStopped = false;
  stop() {
    this.isStopped = true;
  }
}

let tracks: FakeTrack[] = [];
const getUserMedia = jest.fn(() => {
  const track = new FakeTrack();
  tracks.push(track);
  return Promise.resolve({ getTracks: () => [track] });
});

beforeEach(() => {
  tracks = [];
  getUserMedia.mockClear();
  Object.defineProperty(navigator, 'mediaDevices', {
    configurable: true,
    value: { getUserMedia },
  });
});

const opened = async () => {
  const hook = renderHook(() => useCamera());
  await act(async () => void (await hook.result.current.open()));
  expect(hook.result.current.stream).not.toBeNull();
  return hook;
};

it('says when the camera is taken away, and opens again', async () => {
  const { result } = await opened();
  act(() => void tracks[0]!.dispatchEvent(new Event('ended')));
  await waitFor(() => expect(result.current.stream).toBeNull());
  expect(result.current.problem).toMatch(/has stopped giving pictures/);
  await act(async () => void (await result.current.open()));
  expect(result.current.problem).toBeNull();
  expect(result.current.stream).not.toBeNull();
  // What ends of the one before is nobody's any more.
  act(() => void tracks[0]!.dispatchEvent(new Event('ended')));
  expect(result.current.stream).not.toBeNull();
});

it('lets go of it with the page, also of one that was still opening', async () => {
  const { unmount } = await opened();
  unmount();
  expect(tracks[0]!.isStopped).toBe(true);
  const late = renderHook(() => useCamera());
  const opening = late.result.current.open();
  late.unmount();
  await opening;
  expect(tracks[1]!.isStopped).toBe(true);
});

it('asks once more where it was slow to begin, and says so where it still does not', async () => {
  const slow = () => new DOMException('Timeout starting video source', 'AbortError');
  getUserMedia.mockRejectedValueOnce(slow());
  const { result } = await opened();
  expect(getUserMedia).toHaveBeenCalledTimes(2);
  act(() => result.current.close());

  getUserMedia.mockRejectedValueOnce(slow()).mockRejectedValueOnce(slow());
  await act(async () => void (await result.current.open()));
  expect(getUserMedia).toHaveBeenCalledTimes(4);
  expect(result.current.stream).toBeNull();
  expect(result.current.problem).toMatch(/did not begin\. Open it again/);
});

it('is not opened by being asked once more when it was closed meanwhile', async () => {
  getUserMedia.mockRejectedValueOnce(new DOMException('slow', 'AbortError'));
  const { result } = renderHook(() => useCamera());
  await act(async () => {
    const opening = result.current.open();
    result.current.close();
    await opening;
  });
  expect(result.current.stream).toBeNull();
  expect(tracks.every((track) => track.isStopped)).toBe(true);
});

it('says what to do where it was refused, and where there is none', async () => {
  const { result } = renderHook(() => useCamera());
  const fail = async (name: string) => {
    getUserMedia.mockRejectedValueOnce(new DOMException('no', name));
    await act(async () => void (await result.current.open()));
    return result.current.problem;
  };
  expect(await fail('NotAllowedError')).toMatch(/Allow it for this page/);
  expect(await fail('NotFoundError')).toMatch(/No camera is found/);
  expect(await fail('NotReadableError')).toMatch(/Another program/);
  Object.defineProperty(navigator, 'mediaDevices', { configurable: true, value: undefined });
  await act(async () => void (await result.current.open()));
  expect(result.current.problem).toMatch(/cannot be opened here/);
});
