import { screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { Dialog } from './Dialog';
import { renderUi } from './testing/renderUi';

/** As a dialog that is fetched on demand: not there before, and open from the first. */
function Asked() {
  const [isOpen, setOpen] = useState(false);
  const [wasOpen, setWasOpen] = useState(false);
  return (
    <>
      <button
        onClick={() => {
          setWasOpen(true);
          setOpen(true);
        }}
      >
        Rename
      </button>
      {wasOpen && (
        <Dialog opened={isOpen} onClose={() => setOpen(false)} title="Rename">
          <input aria-label="Name" data-autofocus />
        </Dialog>
      )}
    </>
  );
}

it('gives the focus back to what asked for it, also the first time', async () => {
  const { user } = renderUi(<Asked />);
  const asks = screen.getByRole('button', { name: 'Rename' });
  for (let time = 0; time < 2; time += 1) {
    await user.click(asks);
    await waitFor(() => expect(screen.getByLabelText('Name')).toHaveFocus());
    await user.keyboard('{Escape}');
    await waitFor(() => expect(asks).toHaveFocus());
  }
});
