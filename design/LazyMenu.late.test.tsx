import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LazyMenu } from './LazyMenu';
import { renderUi } from './testing/renderUi';

jest.mock('./patiently', () => {
  const coming = new EventTarget();
  const isHere = new Promise((resolve) => coming.addEventListener('here', resolve));
  return {
    patiently: (load: () => Promise<unknown>) => () => isHere.then(load),
    letCome: () => coming.dispatchEvent(new Event('here')),
  };
});

const { letCome } = jest.requireMock<{ letCome: () => void }>('./patiently');

it('keeps its button until the menu has come, and opens it then without another tap', async () => {
  const opened = jest.fn();
  const rename = jest.fn();
  renderUi(
    <LazyMenu
      onOpen={opened}
      entries={() => [{ kind: 'do', label: 'Rename', onClick: rename }]}
      target={(props) => (
        <button type="button" {...props}>
          More
        </button>
      )}
    />,
  );
  const user = userEvent.setup();
  await user.click(screen.getByRole('button', { name: 'More' }));
  expect(opened).toHaveBeenCalledTimes(1);
  expect(screen.getByRole('button', { name: 'More' })).toBeInTheDocument();
  expect(screen.queryByRole('menuitem')).toBeNull();

  letCome();
  await user.click(await screen.findByRole('menuitem', { name: 'Rename' }));
  await waitFor(() => expect(rename).toHaveBeenCalledTimes(1));
  await waitFor(() => expect(screen.getByRole('button', { name: 'More' })).toHaveFocus());
});
