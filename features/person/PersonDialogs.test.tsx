import { screen, waitFor } from '@testing-library/react';
import * as fakes from '@/design/testing/fakeActions';
import { renderUi } from '@/design/testing/renderUi';
import { PersonDialogs, type Asked } from './PersonDialogs';

jest.mock('@/features/people/actions', () =>
  jest.requireActual<typeof fakes>('@/design/testing/fakeActions').fakeActions({
    deletePersonAction: 'delete',
    mergePeopleAction: 'merge',
    renamePersonAction: 'rename',
  }),
);
const mockPushed: string[] = [];
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: (href: string) => mockPushed.push(href) }),
}));

beforeEach(() => {
  fakes.beginAsking();
  mockPushed.length = 0;
  fakes.agree();
});

const closed = jest.fn();
const open = (asked: Asked) =>
  renderUi(
    <PersonDialogs
      asked={asked}
      personId={7}
      name="Ida Fern"
      others={[{ id: 8, name: 'Ida Ferne' }]}
      onClose={closed}
    />,
  );

it('renames, and says why not, with what was typed still there', async () => {
  fakes.refuse({ name: 'Write a name.' });
  const { user } = open('rename');
  const field = await screen.findByLabelText('Name');
  await user.clear(field);
  await user.type(field, 'Ida Moss{Enter}');
  expect(await screen.findByText('Write a name.')).toBeInTheDocument();
  expect(field).toHaveValue('Ida Moss');
  fakes.agree();
  closed.mockClear();
  await user.type(field, '{Enter}');
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect(fakes.asked.at(-1)).toEqual(['rename', 7, 'Ida Moss']);
});

it('merges only what was chosen, and says that it cannot be taken back', async () => {
  const { user } = open('merge');
  const merge = await screen.findByRole('button', { name: 'Merge' });
  expect(merge).toBeDisabled();
  expect(screen.getByText(/This cannot be taken back/)).toBeInTheDocument();
  await user.type(
    screen.getByRole('combobox', { name: 'The entry that goes into this one' }),
    'ferne{Enter}',
  );
  await user.click(merge);
  expect(fakes.asked).toEqual([['merge', 7, 8]]);
});

it('deletes after the name was written, and says which copies it could not open', async () => {
  fakes.answerWith(() =>
    Promise.resolve({
      ok: true,
      value: { copiesLeft: ['3 March, 18:00'], isErasePending: true },
    }),
  );
  const { user } = open('delete');
  const button = await screen.findByRole('button', { name: 'Delete for good' });
  await user.type(screen.getByLabelText('Write the name to go on'), 'ida fern');
  expect(button).toBeDisabled();
  await user.clear(screen.getByLabelText('Write the name to go on'));
  await user.type(screen.getByLabelText('Write the name to go on'), ' Ida Fern ');
  await user.click(button);
  expect(await screen.findByText(/3 March, 18:00 could not be opened/)).toHaveTextContent(
    /not overwritten yet/,
  );
  expect(mockPushed).toEqual(['/people']);
});

it('stays where no answer came', async () => {
  fakes.answerWith(() => Promise.reject(new TypeError('no connection')));
  const { user } = open('delete');
  await user.type(await screen.findByLabelText('Write the name to go on'), 'Ida Fern');
  await user.click(screen.getByRole('button', { name: 'Delete for good' }));
  expect(await screen.findByText(/No answer came/)).toBeInTheDocument();
  expect(mockPushed).toEqual([]);
});
