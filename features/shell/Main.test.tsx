import { screen } from '@testing-library/react';
import { useState } from 'react';
import { renderUi } from '@/design/testing/renderUi';
import { Main } from './Main';

let path = '/';
jest.mock('next/navigation', () => ({ usePathname: () => path }));

function App({ takesFocus = false }: { readonly takesFocus?: boolean }) {
  const [, again] = useState(0);
  const go = (to: string) => () => {
    path = to;
    again((count) => count + 1);
  };
  return (
    <>
      <button onClick={go('/plan')}>Plan</button>
      <button onClick={go('/')}>Nowhere else</button>
      <Main>
        {path === '/plan' && takesFocus && (
          <input aria-label="First" ref={(field) => field?.focus()} />
        )}
      </Main>
    </>
  );
}

beforeEach(() => {
  path = '/';
});

it('takes the focus after going somewhere else, and leaves it where nobody went', async () => {
  const { user } = renderUi(<App />);
  expect(screen.getByRole('main')).not.toHaveFocus();
  await user.click(screen.getByRole('button', { name: 'Nowhere else' }));
  expect(screen.getByRole('button', { name: 'Nowhere else' })).toHaveFocus();
  await user.click(screen.getByRole('button', { name: 'Plan' }));
  expect(screen.getByRole('main')).toHaveFocus();
});

it('leaves it in a field of the new page that took it', async () => {
  const { user } = renderUi(<App takesFocus />);
  await user.click(screen.getByRole('button', { name: 'Plan' }));
  expect(screen.getByLabelText('First')).toHaveFocus();
});
