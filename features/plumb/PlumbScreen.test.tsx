import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { InputProblem } from '@/core/problem';
import { renderUi } from '@/design/testing/renderUi';
import { anyLook, readLook } from './look';
import { PlumbScreen } from './PlumbScreen';
import { parts, resetParts } from './testing/fakeParts';
import type * as Fakes from './testing/fakeParts';
import { choosePhoto, practise, view, withMarks } from './testing/openPlumb';
import type { PictureOutcome } from './picture';

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

const value = (label: string) =>
  within(screen.getByRole('region', { name: 'Measures' })).getByText(label).parentElement!
    .textContent;

it('says what the picture is taken like, and that it goes nowhere', () => {
  renderUi(<PlumbScreen view={view} opened={anyLook} />);
  expect(screen.getByText(/sent nowhere and kept nowhere/)).toBeInTheDocument();
  expect(screen.queryByRole('region', { name: 'Measures' })).toBeNull();
});

it('asks whose lines they are before anything is opened, and keeps what it was opened for', async () => {
  const { user } = renderUi(
    <PlumbScreen
      view={{ ...view, isWhoSaid: false }}
      opened={readLook({ check: 'head-clearance' })}
    />,
  );
  expect(screen.queryByRole('button', { name: 'Choose a picture' })).toBeNull();
  // One that is dropped meanwhile does not take the place of the page.
  const data = { dataTransfer: { files: [new File(['x'], 'a.jpg')], types: ['Files'] } };
  expect(fireEvent.drop(document.body, data)).toBe(false);
  expect(await screen.findByText(/Say first whose lines are read/)).toBeInTheDocument();
  expect(screen.getByLabelText('Who')).toHaveDisplayValue('choose …');
  await user.selectOptions(screen.getByLabelText('Who'), 'Bo');
  expect(parts.router.push).toHaveBeenCalledWith('/plumb?person=4&check=head-clearance');
});

it('says a file that is no picture in a sentence', async () => {
  parts.outcome = { ok: false, problem: 'This file is empty. Take the picture again.' };
  const { user } = renderUi(<PlumbScreen view={view} opened={anyLook} />);
  await practise(user);
  expect(await screen.findByText(/This file is empty/)).toBeInTheDocument();
  expect(screen.queryByRole('button', { name: 'Put the marks on' })).toBeNull();
});

it('follows a mark that is moved by the keys, one pixel and ten, and comes back', async () => {
  const { user } = await withMarks('handstandWall');
  const before = value('Hip');
  const hip = screen.getByRole('button', { name: /^near hip/ });
  const [, x] = /: (\d+),/.exec(hip.getAttribute('aria-label')!)!;
  fireEvent.keyDown(hip, { key: 'ArrowRight', shiftKey: true });
  fireEvent.keyDown(hip, { key: 'ArrowRight' });
  expect(
    screen.getByRole('button', { name: new RegExp(`^near hip: ${Number(x) + 11},`) }),
  ).toBeInTheDocument();
  expect(value('Hip')).not.toBe(before);
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(value('Hip')).toBe(before);
});

it('leaves out what a mark that was taken away had fed', async () => {
  await withMarks('handstandWall');
  fireEvent.keyDown(screen.getByRole('button', { name: /^near knee/ }), { key: 'Delete' });
  expect(screen.queryByText('Knee')).toBeNull();
  expect(screen.getByText('Elbow')).toBeInTheDocument();
});

it('has marks put on one by one: what was taken away, and what only a hand can show', async () => {
  const { user } = await withMarks('handstandWall');
  const add = (name: string) => user.selectOptions(screen.getByLabelText('Add a mark'), name);
  expect(screen.queryByText('Ribs against the trunk')).toBeNull();
  await add('near lowest rib');
  await add('near front of the pelvis');
  expect(value('Ribs against the trunk')).toMatch(/°/);
  // Under the keys at once.
  const pelvis = screen.getByRole('button', { name: /^near front of the pelvis/ });
  await waitFor(() => expect(pelvis).toHaveFocus());
  fireEvent.keyDown(screen.getByRole('button', { name: /^near knee/ }), { key: 'Delete' });
  expect(screen.queryByText('Knee')).toBeNull();
  await add('near knee');
  expect(screen.getByText('Knee')).toBeInTheDocument();
  // Each is a step of its own.
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(screen.queryByText('Knee')).toBeNull();
});

it('says beside the bend what the wall forces, and why of every figure', async () => {
  await withMarks('handstandWall');
  expect(screen.getByText(/At this distance a line over upright arms turns/)).toBeInTheDocument();
  expect(
    screen.getByText(/From the base to the ankle|The way from the base to the ankle/),
  ).toBeInTheDocument();
});

it('keeps nothing without a tap, and then with its error and where it is from', async () => {
  const { user } = await withMarks('dolphin', 'forearms');
  expect(parts.recorded).toEqual([]);
  const offer = screen.getByRole('region', { name: 'As a record' });
  expect(offer).not.toHaveTextContent('Straight-leg raise');
  await user.click(within(offer).getByRole('button', { name: 'Keep it' }));
  await waitFor(() => expect(parts.recorded).toHaveLength(1));
  expect(parts.recorded[0]).toMatchObject([
    3,
    {
      check: 'head-clearance',
      date: '2026-03-03',
      reading: { by: 'picture', measure: 'headClearance', error: expect.any(Number) as number },
    },
  ]);
  expect(await screen.findByText(/Head clearance in dolphin recorded/)).toBeInTheDocument();
});

it('keeps nothing of a practice picture, which measures nobody', async () => {
  const { user } = await withMarks('dolphin', 'forearms', practise);
  const record = screen.getByRole('region', { name: 'As a record' });
  expect(record).toHaveTextContent(/Head clearance in dolphin: \d/);
  expect(record).toHaveTextContent(/measures nobody/);
  const cannotKeep = () => {
    expect(screen.queryByRole('button', { name: 'Keep it' })).toBeNull();
    expect(screen.queryByRole('region', { name: 'To compare later' })).toBeNull();
  };
  cannotKeep();
  // A photograph that cannot be opened, and a take that cannot be painted, leave the picture as it is.
  parts.outcome = { ok: false, problem: 'This file is empty.' };
  await choosePhoto(user);
  expect(await screen.findByText('This file is empty.')).toBeInTheDocument();
  cannotKeep();
  await practise(user);
  await waitFor(() => expect(screen.getByRole('button', { name: 'Read the marks' })).toBeEnabled());
  cannotKeep();
  // Somebody's own picture in its place can be parts.recorded.
  parts.outcome = { ok: true, picture: { url: 'blob:y', width: 900, height: 1200 } };
  await choosePhoto(user);
  await waitFor(() => expect(screen.queryByRole('button', { name: /^near/ })).toBeNull());
  await user.click(screen.getByRole('button', { name: 'Put the marks on' }));
  expect(screen.getByRole('button', { name: 'Keep it' })).toBeInTheDocument();
  expect(screen.getByRole('region', { name: 'To compare later' })).toBeInTheDocument();
});

it('has no metres, and nothing to keep of them, without a scale', async () => {
  const { user } = await withMarks('dolphin', 'forearms');
  await user.selectOptions(screen.getByLabelText('Scale from'), 'none');
  expect(screen.queryByText('Head off the floor')).toBeNull();
  expect(screen.queryByRole('region', { name: 'As a record' })).toBeNull();
  await user.selectOptions(screen.getByLabelText('Scale from'), 'points');
  expect(screen.getByText('Head off the floor')).toBeInTheDocument();
  expect(screen.getByLabelText('They are apart')).toHaveValue('100 cm');
});

it('takes what the reader found, with its own errors, and says so where it found nobody', async () => {
  const { user } = renderUi(<PlumbScreen view={view} opened={readLook({ shape: 'handstand' })} />);
  await practise(user);
  const button = await screen.findByRole('button', { name: 'Read the marks' });
  // It is read as it is opened, without another tap.
  expect(await screen.findByText('Nobody is found in this picture.')).toBeInTheDocument();
  const at = (x: number, y: number, sd: number) => ({ x, y, sd });
  const near = {
    wrist: at(400, 1000, 9),
    elbow: at(400, 880, 9),
    shoulder: at(400, 740, 9),
    hip: at(400, 500, 9),
    knee: at(450, 300, 40),
    ankle: at(500, 110, 9),
  };
  parts.read = {
    ok: true,
    marks: { near, far: {}, left: {}, right: near, facing: 'left', seen: { left: 0, right: 9 } },
  };
  await user.click(button);
  // Where it was read, or near there: the lengths of this person have a say in it.
  const knee = await screen.findByRole('button', { name: /^near knee:/ });
  expect(knee).toHaveAccessibleName(expect.stringMatching(/: 4[3-7]\d, (29|3[0-2])\d/));
  await waitFor(() => expect(screen.getByLabelText('Fingers point')).toHaveValue('left'));
  // A floor and a scale to begin with, so that there are metres at once.
  expect(value('Shoulder over the base')).toMatch(/cm/);
  // The knee was read badly, so its angle is said to be.
  const spread = (label: string) => Number(/give or take ([\d.]+)°/.exec(value(label)!)![1]);
  expect(spread('Knee')).toBeGreaterThan(2 * spread('Elbow'));
});

it('says that it reads, and lets the marks be put on by hand meanwhile', async () => {
  parts.isReading = true;
  const { user } = renderUi(<PlumbScreen view={view} opened={readLook({ shape: 'handstand' })} />);
  await choosePhoto(user);
  expect(await screen.findByText(/marks are being read, on this device/)).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Put the marks on' }));
  expect(screen.getByRole('button', { name: /^near knee/ })).toBeInTheDocument();
  expect(screen.queryByText(/marks are being read/)).toBeNull();
});

it('says that a shape is out of reach, and goes on', async () => {
  parts.paint = () => {
    throw new InputProblem('unreachable', 'The legs are 3 cm too short.');
  };
  const { user } = renderUi(<PlumbScreen view={view} opened={readLook({ shape: 'wallL' })} />);
  await practise(user);
  expect(await screen.findByText(/3 cm too short. Choose another shape/)).toBeInTheDocument();
  parts.paint = () => ({});
  await practise(user);
  expect(await screen.findByRole('button', { name: 'Put the marks on' })).toBeInTheDocument();
});

it('begins a new picture without the marks of the last one', async () => {
  const { user } = await withMarks('dolphin', 'forearms');
  expect(screen.getByRole('region', { name: 'As a record' })).toBeInTheDocument();
  await practise(user);
  await waitFor(() => expect(screen.queryByRole('button', { name: /^near/ })).toBeNull());
  // What is looked at stays; nothing can be kept of a picture that nobody has marked.
  expect(screen.getByLabelText('Weight on')).toHaveValue('forearms');
  expect(screen.queryByRole('region', { name: 'As a record' })).toBeNull();
});

it('comes back to the last picture and its marks, and lets go of the other', async () => {
  const gone: string[] = [];
  URL.revokeObjectURL = (url) => void gone.push(url);
  const { user, unmount } = await withMarks('handstandWall');
  const before = value('Hip');
  parts.outcome = { ok: true, picture: { url: 'blob:other', width: 700, height: 900 } };
  await choosePhoto(user);
  await waitFor(() => expect(screen.queryByRole('region', { name: 'Measures' })).toBeNull());
  expect(gone).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(value('Hip')).toBe(before);
  parts.outcome = { ok: true, picture: { url: 'blob:third', width: 700, height: 900 } };
  await choosePhoto(user);
  await waitFor(() => expect(gone).toEqual(['blob:other']));
  unmount();
  expect(gone.sort()).toEqual(['blob:other', 'blob:third', 'blob:x']);
});

it('lets nothing be laid on a picture while the next one is being opened', async () => {
  const { user } = await withMarks('dolphin', 'forearms', practise);
  let opened: (picture: PictureOutcome) => void = () => undefined;
  parts.opening = new Promise((resolve) => (opened = resolve));
  await user.click(screen.getByText(/^How it is painted/));
  await user.click(screen.getByText('Against a window'));
  const held = () => [
    screen.getByRole('button', { name: /^(Put the marks on|Anew by hand)$/ }),
    screen.getByRole('group', { name: 'The picture with its marks' }),
  ];
  held().forEach((part) => expect(part.closest('[inert]')).not.toBeNull());
  // The camera that is being set is not held up by it.
  expect(screen.getByText('Against a window').closest('[inert]')).toBeNull();
  opened(parts.outcome);
  await waitFor(() => held().forEach((part) => expect(part.closest('[inert]')).toBeNull()));
});

it('paints anew what is looked at, not what was looked at before', async () => {
  const { user } = await withMarks('handstandWall', 'hands', practise);
  await user.selectOptions(screen.getByLabelText('Shape'), 'dolphin');
  await user.click(screen.getByText(/^How it is painted/));
  await user.click(screen.getByText('One lamp'));
  expect(parts.painted).toEqual(['handstandWall', 'dolphin']);
});

it('has the picture and its marks still there after a look at another way of reading', async () => {
  const { user } = await withMarks('handstandWall');
  const hip = () => screen.getByRole('button', { name: /^near hip/ }).getAttribute('aria-label');
  fireEvent.keyDown(screen.getByRole('button', { name: /^near hip/ }), { key: 'ArrowRight' });
  const before = hip();
  await user.click(screen.getByRole('radio', { name: 'Compare' }));
  expect(screen.queryByRole('button', { name: /^near hip/ })).toBeNull();
  // Undo is for what is seen.
  fireEvent.keyDown(document.documentElement, { key: 'z', ctrlKey: true });
  await user.click(screen.getByRole('radio', { name: 'Picture' }));
  expect(hip()).toBe(before);
  fireEvent.keyDown(document.documentElement, { key: 'z', ctrlKey: true });
  expect(hip()).not.toBe(before);
});
