import { act, renderHook } from '@testing-library/react';
import type { ReadMarks } from '@/core/plumb/reader';
import type { MarksAnswer, MarksQuestion, MarksWarning } from '@/workers/marks.worker';
import { useReader, type ReadOutcome } from './useReader';

/** A reader whose answers come when the test says so. */
class FakeReader extends EventTarget {
  readonly heard: (MarksQuestion | MarksWarning)[] = [];
  isEnded = false;
  postMessage(message: MarksQuestion | MarksWarning) {
    this.heard.push(message);
  }
  terminate() {
    this.isEnded = true;
  }
  get asked(): number[] {
    return this.heard.flatMap((one) => ('kind' in one ? [] : [one.id]));
  }
  answer(data: MarksAnswer) {
    this.dispatchEvent(new MessageEvent('message', { data }));
  }
}

const mockReaders: FakeReader[] = [];
jest.mock('./readerWorker', () => ({
  makeReader: () => {
    const reader = new FakeReader();
    mockReaders.push(reader);
    return reader;
  },
}));

const marks = { near: {}, far: {} } as ReadMarks;
const read = (id: number): MarksAnswer => ({
  kind: 'read',
  id,
  marks,
  hasOthers: false,
  milliseconds: 1,
  runsOn: 'processor',
});
const picture = { url: 'blob:x', width: 9, height: 12 };
const settle = () => act(() => new Promise((resolve) => setTimeout(resolve, 5)));

beforeEach(() => {
  mockReaders.length = 0;
  HTMLImageElement.prototype.decode = () => Promise.resolve();
  globalThis.createImageBitmap = () => Promise.resolve({} as ImageBitmap);
});

it('reads the newest picture only: those between are never asked for', async () => {
  const { result } = renderHook(() => useReader());
  const said: (ReadOutcome | null)[] = [];
  const ask = () => void result.current.read(picture).then((one) => said.push(one));
  act(ask);
  await settle();
  const [reader] = mockReaders;
  expect(reader!.asked).toEqual([1]);
  act(ask);
  act(ask);
  await settle();
  expect(result.current.isReading).toBe(true);
  expect(reader!.asked).toEqual([1]);
  act(() => reader!.answer(read(1)));
  await settle();
  expect(reader!.asked).toEqual([1, 3]);
  act(() => reader!.answer(read(3)));
  await settle();
  expect(said).toEqual([null, null, { ok: true, marks, hasOthers: false }]);
  expect(result.current.isReading).toBe(false);
  expect(mockReaders).toHaveLength(1);
});

it('says nothing of what is wanted no more', async () => {
  const { result } = renderHook(() => useReader());
  let said: ReadOutcome | null | undefined;
  act(() => void result.current.read(picture).then((one) => (said = one)));
  await settle();
  act(() => result.current.forget());
  expect(result.current.isReading).toBe(false);
  act(() => mockReaders[0]!.answer(read(1)));
  await settle();
  expect(said).toBeNull();
});

it('says what to do where it cannot read, and begins anew after one that has stopped', async () => {
  const { result } = renderHook(() => useReader());
  let said: ReadOutcome | null | undefined;
  const ask = async () => {
    act(() => void result.current.read(picture).then((one) => (said = one)));
    await settle();
  };
  await ask();
  act(() => mockReaders[0]!.answer({ kind: 'nobody', id: 1 }));
  await settle();
  expect(said).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/Nobody is found/) as string,
  });
  await ask();
  act(() => void mockReaders[0]!.dispatchEvent(new Event('error')));
  await settle();
  expect(said).toMatchObject({ ok: false, problem: expect.stringMatching(/by hand/) as string });
  expect(mockReaders[0]!.isEnded).toBe(true);
  await ask();
  expect(mockReaders).toHaveLength(2);
  act(() => mockReaders[1]!.answer(read(3)));
  await settle();
  expect(said).toMatchObject({ ok: true });
});

it('fetches its model while somebody looks for their picture, and ends with the page', () => {
  const { result, unmount } = renderHook(() => useReader());
  expect(mockReaders).toHaveLength(0);
  act(() => result.current.warm());
  expect(mockReaders[0]!.heard).toEqual([{ kind: 'soon' }]);
  expect(result.current.isReading).toBe(false);
  unmount();
  expect(mockReaders[0]!.isEnded).toBe(true);
});
