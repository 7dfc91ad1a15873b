import { act, renderHook } from '@testing-library/react';
import { resolveBody } from '@/core/body/body';
import type { ClipInput } from '@/core/plumb/clip/frames';
import { readWholeClip } from '@/core/plumb/clip/whole';
import { kickWishes, practiceClip } from '@/core/plumb/practiceClip';
import { useWhole } from './useWhole';

/** Answers when the test says so. */
class FakeReader {
  onmessage: ((event: MessageEvent) => void) | null = null;
  onerror: (() => void) | null = null;
  isEnded = false;
  readonly asked: ClipInput[] = [];
  postMessage(input: ClipInput) {
    this.asked.push(input);
  }
  answer() {
    act(() =>
      this.onmessage?.(new MessageEvent('message', { data: readWholeClip(this.asked.at(-1)!) })),
    );
  }
  terminate() {
    this.isEnded = true;
  }
}
const mockReaders: FakeReader[] = [];
jest.mock('./clipWorker', () => ({
  makeClipReader: () => {
    const reader = new FakeReader();
    mockReaders.push(reader);
    return reader;
  },
}));

const kick = practiceClip(resolveBody({ heightM: 1.7 }), kickWishes.placed, 10);
const until = (atS: number): ClipInput => ({
  ...kick,
  frames: kick.frames.filter((frame) => frame.atS <= atS),
});
interface Props {
  readonly input: ClipInput | null;
  readonly of: object | null;
}
const show = (props: Props) =>
  renderHook(({ input, of }: Props) => useWhole(input, of), { initialProps: props });

beforeEach(() => {
  mockReaders.length = 0;
});

it('says what the clip says, with the marks it was said of, and asks the newest only', () => {
  const clip = {};
  const { result, rerender } = show({ input: until(3), of: clip });
  expect(result.current).toBeNull();
  for (const atS of [4, 5, 6]) rerender({ input: until(atS), of: clip });
  const [reader] = mockReaders;
  expect(reader!.asked).toHaveLength(1);
  reader!.answer();
  // The next one is under way; what is known is said of the marks it is known of.
  expect(result.current!.input.frames.at(-1)!.atS).toBeLessThanOrEqual(3);
  expect(reader!.asked).toHaveLength(2);
  reader!.answer();
  expect(result.current!.input.frames.at(-1)!.atS).toBeGreaterThan(5.5);
  expect(result.current!.reading).toEqual(readWholeClip(until(6))!.reading);
  expect(reader!.asked).toHaveLength(2);
});

it('never says of one clip what was read of another', () => {
  const [first, second] = [{}, {}];
  const { result, rerender } = show({ input: kick, of: first });
  mockReaders[0]!.answer();
  expect(result.current).not.toBeNull();
  rerender({ input: null, of: second });
  expect(result.current).toBeNull();
  rerender({ input: until(5), of: second });
  expect(result.current).toBeNull();
  mockReaders[0]!.answer();
  expect(result.current!.input.frames.at(-1)!.atS).toBeLessThanOrEqual(5);
});

it('says it all the same where the worker stops, and ends with the page', () => {
  const clip = {};
  const { result, rerender, unmount } = show({ input: until(5), of: clip });
  act(() => mockReaders[0]!.onerror?.());
  expect(mockReaders[0]!.isEnded).toBe(true);
  expect(result.current!.reading.events.length).toBeGreaterThan(0);
  rerender({ input: kick, of: clip });
  expect(mockReaders).toHaveLength(2);
  unmount();
  expect(mockReaders[1]!.isEnded).toBe(true);
});

it('says nothing of marks that are no clip of a person', () => {
  const backwards = { ...kick, frames: [...kick.frames].reverse() };
  expect(readWholeClip(backwards)).toBeNull();
  const { result } = show({ input: backwards, of: {} });
  mockReaders[0]!.answer();
  expect(result.current).toBeNull();
});
