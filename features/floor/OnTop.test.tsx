import { createEvent, fireEvent, screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { OnTop } from './OnTop';

function show() {
  const close = jest.fn();
  const shown = renderUi(
    <OnTop title="Stop: who?" onClose={close}>
      <button type="button">Ada</button>
    </OnTop>,
  );
  return { ...shown, close, dialog: screen.getByRole('dialog', { name: 'Stop: who?' }) };
}

describe('a sheet over the class', () => {
  it('is open from the first, called by its title', () => {
    const { dialog } = show();
    expect(dialog).toHaveProperty('open', true);
    expect(within(dialog).getByRole('heading')).toHaveTextContent('Stop: who?');
  });

  it('closes by its cross, and by a tap beside it', async () => {
    const { user, close, dialog } = show();
    await user.click(screen.getByRole('button', { name: 'Close' }));
    expect(close).toHaveBeenCalledTimes(1);
    await user.click(dialog);
    expect(close).toHaveBeenCalledTimes(2);
  });

  it('stays while something in it is tapped', async () => {
    const { user, close } = show();
    await user.click(screen.getByRole('button', { name: 'Ada' }));
    await user.click(screen.getByRole('heading'));
    expect(close).not.toHaveBeenCalled();
  });

  it('tells whoever opened it when the browser closes it, and only then', () => {
    const { close, dialog } = show();
    // One that stands open again has nothing to tell.
    fireEvent(dialog, createEvent('close', dialog));
    expect(close).not.toHaveBeenCalled();
    (dialog as HTMLDialogElement).close();
    fireEvent(dialog, createEvent('close', dialog));
    expect(close).toHaveBeenCalledTimes(1);
  });

  it('is closed when it goes, so that the focus goes back', () => {
    const { dialog, unmount } = show();
    unmount();
    expect(dialog).toHaveProperty('open', false);
  });
});
