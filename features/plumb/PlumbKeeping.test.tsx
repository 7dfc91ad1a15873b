import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { anyLook, readLook } from './look';
import { PlumbScreen } from './PlumbScreen';
import { parts, resetParts } from './testing/fakeParts';
import type * as Fakes from './testing/fakeParts';
import { choosePhoto, view, withMarks } from './testing/openPlumb';
import type { PlumbView } from './read';

jest.mock('./picture', () => jest.requireActual<typeof Fakes>('./testing/fakeParts').picture);
jest.mock('./practice', () => jest.requireActual<typeof Fakes>('./testing/fakeParts').practice);
jest.mock('./actions', () => jest.requireActual<typeof Fakes>('./testing/fakeParts').actions);
jest.mock(
  '@/features/person/actions',
  () => jest.requireActual<typeof Fakes>('./testing/fakeParts').personActions,
);
jest.mock('./useReader', () => jest.requireActual<typeof Fakes>('./testing/fakeParts').reader);
jest.mock(
  'next/navigation',
  () => jest.requireActual<typeof Fakes>('./testing/fakeParts').navigation,
);

beforeEach(resetParts);

describe('a picture that is dropped anywhere, or pasted', () => {
  const photo = (name: string) => new File(['x'], name, { type: 'image/jpeg' });
  const dropOn = (where: Element, files: readonly File[]) => {
    const data = { dataTransfer: { files, types: ['Files'] } };
    // Whoever does not say that it is taken loses the page to the file.
    expect(fireEvent.dragOver(where, data)).toBe(false);
    expect(fireEvent.drop(where, data)).toBe(false);
  };

  it('takes the place of the one before, wherever on the page it falls', async () => {
    await withMarks('handstandWall');
    dropOn(document.body, [photo('other.jpg')]);
    await waitFor(() => expect(screen.queryByRole('button', { name: /^near/ })).toBeNull());
    expect(screen.getByRole('button', { name: 'Put the marks on' })).toBeInTheDocument();
  });

  it('is one: of several the first, which is said', async () => {
    renderUi(<PlumbScreen view={view} opened={anyLook} />);
    dropOn(screen.getByRole('heading', { name: 'Plumb' }), [photo('a.jpg'), photo('b.jpg')]);
    expect(await screen.findByText(/of these 2 the first is taken/)).toBeInTheDocument();
    expect(await screen.findByRole('button', { name: 'Put the marks on' })).toBeInTheDocument();
  });

  it('goes nowhere, and leaves what waits as it is, while nothing is read from a file', async () => {
    const { user } = await withMarks('handstandWall');
    await user.click(screen.getByRole('radio', { name: 'Compare' }));
    dropOn(document.body, [photo('other.jpg')]);
    expect(await screen.findByText(/A file is for Picture or Clip/)).toBeInTheDocument();
    await user.click(screen.getByRole('radio', { name: 'Picture' }));
    expect(screen.getByRole('button', { name: /^near hip/ })).toBeInTheDocument();
  });

  it('may come from the clipboard; words that are pasted or dragged are left alone', async () => {
    renderUi(<PlumbScreen view={view} opened={anyLook} />);
    expect(fireEvent.paste(document.body, { clipboardData: { files: [] } })).toBe(true);
    expect(
      fireEvent.dragOver(document.body, { dataTransfer: { files: [], types: ['text/plain'] } }),
    ).toBe(true);
    expect(screen.queryByRole('button', { name: 'Put the marks on' })).toBeNull();
    fireEvent.paste(document.body, { clipboardData: { files: [photo('a.png')] } });
    expect(await screen.findByRole('button', { name: 'Put the marks on' })).toBeInTheDocument();
  });
});

it('goes to somebody else', async () => {
  const { user } = renderUi(<PlumbScreen view={view} opened={anyLook} />);
  await user.selectOptions(screen.getByLabelText('Who'), '4');
  expect(parts.router.push).toHaveBeenCalledWith('/plumb?person=4');
});

it('puts nobody’s picture away unasked, and takes it for nobody else’s', async () => {
  parts.router.push.mockClear();
  const { user } = renderUi(<PlumbScreen view={view} opened={anyLook} />);
  await choosePhoto(user);
  await user.click(await screen.findByRole('button', { name: 'Put the marks on' }));
  await user.selectOptions(screen.getByLabelText('Who'), '4');
  const asked = await screen.findByRole('dialog', { name: 'Go to Bo?' });
  await user.click(within(asked).getByRole('button', { name: 'Stay here' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(parts.router.push).not.toHaveBeenCalled();
  expect(screen.getByLabelText('Who')).toHaveValue('3');
  expect(screen.getByRole('button', { name: /^near hip/ })).toBeInTheDocument();
  // From another look as well.
  await user.click(screen.getByRole('radio', { name: 'Compare' }));
  await user.selectOptions(screen.getByLabelText('Who'), '4');
  await user.click(await screen.findByRole('button', { name: 'Put it away and go' }));
  expect(parts.router.push).toHaveBeenCalledWith('/plumb?person=4');
});

describe('keeping what was marked', () => {
  const withRule = async (pictures: PlumbView['person']['pictures']) => {
    parts.keptSheets.length = 0;
    const ui = renderUi(
      <PlumbScreen
        view={{ ...view, person: { ...view.person, pictures } }}
        opened={readLook({ shape: 'dolphin' })}
      />,
    );
    await choosePhoto(ui.user);
    await ui.user.click(await screen.findByRole('button', { name: 'Put the marks on' }));
    return ui;
  };

  it('keeps marks alone where no picture was agreed to, and says why', async () => {
    const { user } = await withRule({
      kind: 'never',
      why: 'Of anybody under 16 none is parts.recorded.',
    });
    const panel = screen.getByRole('region', { name: 'To compare later' });
    expect(
      within(panel).getByText('Of anybody under 16 none is parts.recorded.'),
    ).toBeInTheDocument();
    expect(within(panel).queryByRole('checkbox')).toBeNull();
    await user.click(within(panel).getByRole('button', { name: 'Keep the marks' }));
    expect(await screen.findByText('Marks kept, without the picture.')).toBeInTheDocument();
    expect(parts.keptSheets).toMatchObject([{ jpeg: null, hasAsked: false }]);
  });

  it('takes the picture along only where it is ticked that the person agrees', async () => {
    const { user } = await withRule({ kind: 'ask' });
    await user.click(screen.getByLabelText(/was asked just now and agrees/));
    await user.click(screen.getByRole('button', { name: 'Keep marks and picture' }));
    await waitFor(() => expect(parts.keptSheets).toMatchObject([{ jpeg: 'abcd', hasAsked: true }]));
  });
});
