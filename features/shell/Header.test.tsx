/**
 * @alone What is opened from it comes when it is asked for, by then from among the modules of all.
 */
import { screen, waitFor, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { Header } from './Header';
import { sayKeys, shortcuts } from './shortcuts';

const mockRouter = { push: jest.fn() };
let mockPath = '/plan';
jest.mock('next/navigation', () => ({
  useRouter: () => mockRouter,
  usePathname: () => mockPath,
}));
const mockSave = jest.fn();
jest.mock('@/features/settings/actions', () => ({
  saveSettingsAction: (...call: unknown[]) => mockSave(...call) as unknown,
}));
jest.mock('./actions', () => ({
  listRecordablesAction: () => Promise.resolve({ ok: true, value: [] }),
  listFindablesAction: () =>
    Promise.resolve({
      ok: true,
      value: [
        { label: 'Corin Vale', href: '/people/3', group: 'People' },
        { label: 'Toes off the wall', href: '/ladders/HB8', group: 'Rungs' },
      ],
    }),
}));

beforeEach(() => {
  mockPath = '/plan';
  mockRouter.push.mockReset();
  mockSave.mockReset().mockResolvedValue({ ok: true, value: undefined });
  // jsdom lays nothing out.
  Element.prototype.scrollIntoView = () => undefined;
});

const headerOf = (isTeacher = true) => (
  <Header units="cm" paperInk="tones" isTeacher={isTeacher} canLock={false} />
);
const show = (isTeacher = true) => renderUi(headerOf(isTeacher));

it('says where one is, in the header and in the bar of a phone', () => {
  show();
  const header = screen.getByRole('navigation', { name: 'Places' });
  expect(within(header).getByRole('link', { current: 'page' })).toHaveTextContent('Plan');
  const bar = screen.getByRole('navigation', { name: 'At the thumb' });
  expect(within(bar).getByRole('link', { current: 'page' })).toHaveTextContent('Plan');
});

it('follows the evening: what comes next, and the studio’s own things in one menu', async () => {
  const { user } = show();
  const header = screen.getByRole('navigation', { name: 'Places' });
  expect(within(header).getByRole('link', { name: 'Print →' })).toBeInTheDocument();
  expect(within(header).queryByRole('link', { name: 'Ladders' })).toBeNull();
  await user.click(within(header).getByRole('button', { name: 'Places of the studio' }));
  expect(await screen.findByRole('menuitem', { name: 'Ladders' })).toHaveAttribute(
    'href',
    '/ladders',
  );
});

it('is called by where one is', () => {
  mockPath = '/ladders/HB8';
  show();
  expect(screen.getByRole('button', { name: 'Places of the studio: Ladders' })).toBeInTheDocument();
  expect(screen.queryByRole('link', { name: /→/ })).toBeNull();
});

it.each([
  ['/plan/print', 'Print'],
  ['/plan', 'Plan'],
  ['/review/abc', 'Review'],
  ['/people/3/home', 'Home practice'],
])('%s lies under %s alone', (path, label) => {
  mockPath = path;
  show();
  const header = screen.getByRole('navigation', { name: 'Places' });
  expect(within(header).getByRole('link', { current: 'page' })).toHaveTextContent(label);
});

it('holds every place in the drawer, by when it is wanted', async () => {
  const { user } = show();
  await user.click(screen.getByRole('button', { name: 'All places' }));
  const before = await screen.findByRole('region', { name: 'Before the class' });
  expect(
    within(before)
      .getAllByRole('link')
      .map((link) => link.textContent),
  ).toEqual(['Tonight', 'Plan', 'Print', 'Set-up cards']);
  const dialog = screen.getByRole('dialog', { name: 'Places' });
  expect(within(dialog).getAllByRole('link')).toHaveLength(19);
});

it('finds somebody by initials and goes there, by keys alone', async () => {
  const { user } = show();
  await user.keyboard('{Control>}k{/Control}');
  await user.type(await screen.findByLabelText('Find', { selector: 'input' }), 'cv');
  await screen.findByText('Corin Vale');
  await user.keyboard('{ArrowDown}{Enter}');
  expect(mockRouter.push).toHaveBeenCalledWith('/people/3');
});

it('does what can be done from anywhere, by keys alone', async () => {
  const { user } = show();
  await user.keyboard('{Control>}k{/Control}');
  await user.type(await screen.findByLabelText('Find', { selector: 'input' }), 'feet');
  await user.keyboard('{ArrowDown}{Enter}');
  expect(mockSave).toHaveBeenCalledWith({ units: 'in' });
  await user.keyboard('{Control>}k{/Control}');
  await user.type(await screen.findByLabelText('Find', { selector: 'input' }), 'keys');
  await user.keyboard('{ArrowDown}{Enter}');
  expect(await screen.findByRole('dialog', { name: 'Keys' })).toBeInTheDocument();
});

it('says so where nothing is called that', async () => {
  const { user } = show();
  await user.click(screen.getByRole('button', { name: 'Find' }));
  await user.type(await screen.findByLabelText('Find', { selector: 'input' }), 'xyzzy');
  expect(await screen.findByText('Nothing is called that.')).toBeInTheDocument();
});

it('shows its keys on a question mark, each once for each place', async () => {
  const { user } = show();
  await user.keyboard('{Shift>}?{/Shift}');
  const table = await screen.findByRole('table');
  expect(within(table).getAllByRole('row')).toHaveLength(shortcuts.length);
  expect(new Set(shortcuts.map(({ keys }) => keys.toLowerCase())).size).toBe(shortcuts.length);
  expect(sayKeys('alt+shift+L', false)).toBe('Alt Shift L');
  expect(sayKeys('mod+K', true)).toBe('⌘ K');
});

it.each([
  ['what is looked for', 'Find', 'dialog'],
  ['every place', 'All places', 'dialog'],
  ['the places of the studio', 'Places of the studio', 'menu'],
])('leaves %s behind with the page it was opened on', async (_, name, role) => {
  const { user, rerender } = show();
  await user.click(screen.getByRole('button', { name }));
  await waitFor(() => expect(screen.queryByRole(role)).not.toBeNull());
  // Back by the browser, say.
  mockPath = '/people';
  rerender(headerOf());
  await waitFor(() => expect(screen.queryByRole(role)).toBeNull());
  // And on again: nobody has asked for it there.
  mockPath = '/plan';
  rerender(headerOf());
  expect(screen.queryByRole(role)).toBeNull();
});

it('offers an assistant nothing to go to', () => {
  show(false);
  expect(screen.queryByRole('button', { name: 'Find' })).toBeNull();
  expect(screen.queryByRole('navigation', { name: 'At the thumb' })).toBeNull();
});

it('says when units could not be kept, until they are', async () => {
  mockSave.mockRejectedValueOnce(new TypeError('Failed to fetch'));
  const { user } = show();
  await user.click(screen.getByText('ft, in'));
  expect(await screen.findByRole('alert')).toHaveTextContent('No answer came');
  mockSave.mockResolvedValueOnce({ ok: true, value: undefined });
  await waitFor(() => expect(screen.getByRole('radio', { name: 'ft, in' })).toBeEnabled());
  await user.click(screen.getByText('ft, in'));
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  expect(mockSave).toHaveBeenLastCalledWith({ units: 'in' });
});
