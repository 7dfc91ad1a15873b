import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { part } from './part';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

it('is the part itself, also where it comes late', async () => {
  const Sheet = () => <p>the sheet</p>;
  let asked = 0;
  const come = part(() => {
    asked += 1;
    return asked < 3 ? Promise.reject(new Error('no connection')) : Promise.resolve(Sheet);
  })();
  await jest.advanceTimersByTimeAsync(5_000);
  expect(await come).toBe(Sheet);
});

it('says so in its own place where it never comes, and breaks nothing round it', async () => {
  const come = part<object>(() => Promise.reject(new Error('gone')))();
  await jest.advanceTimersByTimeAsync(70_000);
  const Shown = await come;
  jest.useRealTimers();
  renderUi(
    <>
      <Shown />
      <button type="button">Stop</button>
    </>,
  );
  expect(screen.getByRole('alert')).toHaveTextContent('The class goes on');
  expect(screen.getByRole('button', { name: 'Load the page anew' })).toBeEnabled();
  expect(screen.getByRole('button', { name: 'Stop' })).toBeEnabled();
});
