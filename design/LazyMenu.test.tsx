import { screen, waitFor } from '@testing-library/react';
import { renderUi } from './testing/renderUi';
import { LazyMenu } from './LazyMenu';

const away = jest.fn();
const show = () =>
  renderUi(
    <>
      <input aria-label="elsewhere" />
      <LazyMenu
        entries={() => [
          { kind: 'do', label: 'Away', onClick: away },
          { kind: 'heading', label: 'Elsewhere' },
          { kind: 'go', label: 'Room', href: '/room', isHere: true },
        ]}
        target={(props) => (
          <button type="button" {...props}>
            Ada
          </button>
        )}
      />
    </>,
  );

beforeEach(() => away.mockReset());

it('is a button until it is reached for, and says that it opens a menu', () => {
  show();
  const button = screen.getByRole('button', { name: 'Ada' });
  expect(button).toHaveAttribute('aria-haspopup', 'menu');
  expect(screen.queryByRole('menu')).not.toBeInTheDocument();
});

it('opens by key, does what is chosen, and gives the button its focus back', async () => {
  const { user } = show();
  await user.tab();
  await user.tab();
  await user.keyboard('{Enter}');
  await user.click(await screen.findByRole('menuitem', { name: 'Away' }));
  await waitFor(() => expect(away).toHaveBeenCalledTimes(1));
  await waitFor(() => expect(screen.getByRole('button', { name: 'Ada' })).toHaveFocus());
  await user.keyboard('{Enter}');
  expect(await screen.findByRole('menuitem', { name: 'Room' })).toHaveAttribute(
    'aria-current',
    'page',
  );
  await user.keyboard('{Escape}');
  await waitFor(() => expect(screen.queryByRole('menu')).not.toBeInTheDocument());
  await waitFor(() => expect(screen.getByRole('button', { name: 'Ada' })).toHaveFocus());
});

it('leaves the focus where somebody went meanwhile', async () => {
  const { user } = show();
  await user.click(screen.getByRole('button', { name: 'Ada' }));
  await screen.findByRole('menuitem', { name: 'Away' });
  await user.click(screen.getByLabelText('elsewhere'));
  await waitFor(() => expect(screen.queryByRole('menu')).not.toBeInTheDocument());
  await new Promise((resolve) => requestAnimationFrame(resolve));
  expect(screen.getByLabelText('elsewhere')).toHaveFocus();
});
