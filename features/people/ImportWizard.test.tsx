import { screen, waitFor, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { ImportWizard } from './ImportWizard';
import type { ImportRow } from './importPeople';

const preview = jest.fn();
const store = jest.fn();
jest.mock('./actions', () => ({
  previewImportAction: (...call: unknown[]) => preview(...call) as unknown,
  importPeopleAction: (...call: unknown[]) => store(...call) as unknown,
  undoImportAction: jest.fn(),
}));

/** As the server reads them, as far as this screen can tell. */
const read = (rows: readonly ImportRow[]) =>
  rows.map(({ name, height }, index) => ({
    line: index + 2,
    name,
    problems: height === 'tall' ? ['"tall" is not a height'] : [],
    isTwin: false,
  }));

beforeEach(() => {
  preview.mockReset();
  store.mockReset();
  preview.mockImplementation((rows: readonly ImportRow[]) =>
    Promise.resolve({ ok: true, value: read(rows) }),
  );
  store.mockResolvedValue({ ok: true, value: { importId: 1, added: 2, leftOut: 0 } });
});

it('mends a row in the preview, and takes in what was mended', async () => {
  const { user } = renderUi(<ImportWizard courses={[]} />);
  await user.click(screen.getByLabelText('or paste the rows'));
  await user.paste('Name,Größe\n\nAda,1m68\nBo,tall\n');
  await user.click(screen.getByRole('button', { name: 'Read what I pasted' }));
  await user.click(screen.getByRole('button', { name: 'Look at the rows' }));
  expect(await screen.findByText('1 of 2 rows would come in')).toBeInTheDocument();
  // Lines count as in the file, the empty one too; what is wrong stands first.
  const [, first] = screen.getAllByRole('row');
  expect(within(first!).getByText('4')).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Mend line 4' }));
  const form = screen.getByRole('form', { name: 'Line 4' });
  const height = within(form).getByLabelText('Height');
  expect(height).toHaveValue('tall');
  await user.clear(height);
  await user.type(height, '171{Enter}');
  expect(await screen.findByText('2 of 2 rows would come in')).toBeInTheDocument();
  await waitFor(() => expect(screen.getByRole('button', { name: 'Take 2 in' })).toBeEnabled());
  await user.click(screen.getByRole('button', { name: 'Take 2 in' }));
  await waitFor(() => expect(store).toHaveBeenCalled());
  expect(store.mock.calls[0]).toMatchObject([
    {
      rows: [
        { name: 'Ada', height: '1m68' },
        { name: 'Bo', height: '171' },
      ],
    },
  ]);
});

it('begins a new file without what was mended in the last one', async () => {
  const { user } = renderUi(<ImportWizard courses={[]} />);
  const paste = async (text: string) => {
    const field = screen.getByLabelText('or paste the rows');
    await user.clear(field);
    await user.click(field);
    await user.paste(text);
    await user.click(screen.getByRole('button', { name: 'Read what I pasted' }));
    await user.click(screen.getByRole('button', { name: 'Look at the rows' }));
  };
  await paste('Name,Height\nBo,tall\n');
  await user.click(await screen.findByRole('button', { name: 'Mend line 2' }));
  const height = within(screen.getByRole('form')).getByLabelText('Height');
  await user.clear(height);
  await user.type(height, '171{Enter}');
  await screen.findByText('1 of 1 row would come in');
  await user.click(screen.getByRole('button', { name: 'Back' }));
  await user.click(screen.getByRole('button', { name: 'Back' }));
  await paste('Name,Height\nCleo,tall\n');
  expect(await screen.findByText('0 of 1 row would come in')).toBeInTheDocument();
});
