import { PartMissing, patiently } from './patiently';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

it('asks again until the part comes, with a pause between', async () => {
  let isThere = false;
  const load = jest.fn(() =>
    isThere ? Promise.resolve('part') : Promise.reject(new Error('no connection')),
  );
  const part = patiently(load)();
  await jest.advanceTimersByTimeAsync(1_000);
  expect(load).toHaveBeenCalledTimes(1);
  await jest.advanceTimersByTimeAsync(3_500);
  expect(load).toHaveBeenCalledTimes(3);
  isThere = true;
  await jest.advanceTimersByTimeAsync(2_000);
  await expect(part).resolves.toBe('part');
  expect(load).toHaveBeenCalledTimes(4);
});

it('asks once for what comes at once', async () => {
  const load = jest.fn(() => Promise.resolve(7));
  await expect(patiently(load)()).resolves.toBe(7);
  expect(load).toHaveBeenCalledTimes(1);
});

it('gives up after a minute, so that somebody is told', async () => {
  const load = jest.fn(() => Promise.reject(new Error('no such part')));
  const part = patiently(load)();
  const outcome = expect(part).rejects.toBeInstanceOf(PartMissing);
  await jest.advanceTimersByTimeAsync(50_000);
  expect(load.mock.calls.length).toBeGreaterThan(20);
  await jest.advanceTimersByTimeAsync(15_000);
  await outcome;
});
