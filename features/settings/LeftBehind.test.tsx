import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { LeftBehind, type Unsent } from './LeftBehind';

const save = jest.fn();
jest.mock('@/design/saveFile', () => ({
  saveFile: (...call: unknown[]) => save(...call) as unknown,
}));

const tap = { device: 'tablet', seq: 1 } as unknown as Unsent['taps'][number];

it('hands the taps out under a name that says nothing of anybody, before anything is wiped', async () => {
  const forget = jest.fn();
  const { user } = renderUi(
    <LeftBehind
      unsent={[
        { uid: 'a', taps: [tap, tap] },
        { uid: 'b', taps: [tap] },
      ]}
      onForget={forget}
    />,
  );
  expect(screen.getByRole('alert')).toHaveTextContent('3 taps on it never reached');
  await user.click(screen.getByRole('button', { name: 'Save them as a file' }));
  const [name, type, text] = save.mock.calls[0] as [string, string, string];
  expect([name, type]).toEqual(['taps.json', 'application/json']);
  expect(JSON.parse(text)).toMatchObject({
    format: 'levitar-taps',
    classes: [{ uid: 'a', taps: [{ seq: 1 }, { seq: 1 }] }, { uid: 'b' }],
  });
  expect(forget).not.toHaveBeenCalled();
  await user.click(screen.getByRole('button', { name: 'Wipe this device' }));
  expect(forget).toHaveBeenCalledTimes(1);
});
