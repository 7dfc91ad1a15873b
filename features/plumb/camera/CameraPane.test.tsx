import { screen, within } from '@testing-library/react';
import { resolveBody } from '@/core/body/body';
import { practiceSize, practiceTruth } from '@/core/plumb/practice';
import { kickWishes, practiceClip } from '@/core/plumb/practiceClip';
import { readStill } from '@/core/plumb/still';
import type { Clock } from '@/core/plumb/clip/clock';
import type { ClipInput } from '@/core/plumb/clip/frames';
import { renderUi } from '@/design/testing/renderUi';
import { anyLook, readLook } from '../look';
import { plumbViewOf } from '../testing';
import { CameraPane } from './CameraPane';

const mockKept: object[] = [];
jest.mock('@/features/person/actions', () => ({
  recordCheckAction: (_: number, form: object) => {
    mockKept.push(form);
    return Promise.resolve({ ok: true, value: 1 });
  },
  undoRecordAction: () => Promise.resolve({ ok: true, value: undefined }),
}));
const mockBell = jest.fn();
jest.mock('@/design/sound', () => ({ soundBell: () => mockBell(), wakeSound: () => undefined }));
let mockCamera: object = {};
jest.mock('./useCamera', () => ({ useCamera: () => mockCamera }));
let mockLive: object = {};
const mockArm = jest.fn();
jest.mock('./useLive', () => ({ useLive: () => mockLive }));

const still: Clock = {
  sinceS: null,
  nowS: 0,
  longestS: 0,
  longestErrS: 0.1,
  lastS: null,
  hops: 0,
  wallTouches: 0,
  reached: 0,
};
const live = (more: object = {}) => ({
  seen: null,
  problem: null,
  clock: still,
  taken: null,
  armedMs: null,
  arm: mockArm,
  disarm: () => undefined,
  ...more,
});
const kick: ClipInput = practiceClip(resolveBody({ heightM: 1.7 }), kickWishes.placed, 10);
const down = { ...still, nowS: 8, longestS: 4, lastS: 4, hops: 1, wallTouches: 1, reached: 1 };

const view = plumbViewOf({
  checks: [{ check: 'wall-hold', label: 'Wall hold', bar: 15, sides: [] }],
});

beforeEach(() => {
  mockKept.length = 0;
  mockBell.mockClear();
  mockArm.mockClear();
  mockCamera = { stream: {}, problem: null, open: () => undefined, close: () => undefined };
  mockLive = live();
});

const show = () => renderUi(<CameraPane view={view} opened={anyLook} />);
const clock = () => screen.getByRole('region', { name: 'Clock' });

it('says how it is to stand, and what to do where it does not open', () => {
  mockCamera = { stream: null, problem: 'No camera is found.', open: () => undefined };
  show();
  expect(screen.getByText(/nothing is recorded without a tap/)).toBeInTheDocument();
  expect(screen.getByText('No camera is found.')).toBeInTheDocument();
});

it('is armed for somebody with one tap, and says what it waits for', async () => {
  const { user, unmount } = show();
  expect(clock()).toHaveTextContent('The clock stands.');
  await user.click(screen.getByRole('button', { name: 'Arm it for Ada' }));
  expect(mockArm).toHaveBeenCalledTimes(1);
  unmount();
  mockLive = live({ armedMs: 0 });
  show();
  expect(clock()).toHaveTextContent('it starts when both feet leave the floor');
  // What is timed, and on what, is settled while it runs.
  expect(screen.getByLabelText('Weight on')).toBeDisabled();
  for (const one of screen.getAllByRole('radio')) expect(one).toBeDisabled();
});

it('rings at the bar, once', () => {
  mockLive = live({ armedMs: 0, clock: { ...still, hops: 1, nowS: 20, longestS: 15.2 } });
  const { rerender } = show();
  expect(clock()).toHaveTextContent('15.2 s');
  rerender(<CameraPane view={view} opened={anyLook} />);
  expect(mockBell).toHaveBeenCalledTimes(1);
});

it('offers what was held once somebody is down, as held on what it was then', async () => {
  mockLive = live({ armedMs: 0, clock: { ...still, sinceS: 2, nowS: 3 }, taken: kick });
  const { user, unmount } = show();
  expect(clock()).toHaveTextContent('Ada is up.');
  expect(screen.queryByRole('region', { name: 'As a record' })).toBeNull();
  unmount();
  mockLive = live({ clock: down, taken: kick });
  show();
  expect(clock()).toHaveTextContent('Give or take 0.1 s');
  // Already set for the next one, who stands on the forearms.
  await user.selectOptions(screen.getByLabelText('Weight on'), 'forearms');
  const record = screen.getByRole('region', { name: 'As a record' });
  expect(record).toHaveTextContent(/Wall hold: \d/);
  expect(mockKept).toEqual([]);
  await user.click(within(record).getByRole('button', { name: 'Keep it' }));
  expect(mockKept).toMatchObject([
    { check: 'wall-hold', base: 'hands', reading: { by: 'camera', measure: 'invertedS' } },
  ]);
});

it('says of a live line what a picture of it would: a palm that carries lies flat', () => {
  const body = resolveBody({ heightM: 1.7 });
  const truth = practiceTruth(body, { shape: 'handstand' });
  if (truth.view !== 'side') throw new Error('from the side');
  const { near } = truth.marks;
  const wrist = near.wrist!;
  const px = practiceSize.pxPerM;
  // Read as readers do, a fist: the wrist 6 cm into the hand.
  const fist = {
    ...near,
    wrist: { x: wrist.x + 0.06 * px, y: wrist.y },
    knuckle: { x: wrist.x + body.lengths.knuckle * px, y: wrist.y },
  };
  const lineOf = (facing: 'right' | null) => {
    const marks = { near: fist, far: {}, left: {}, right: {}, facing, seen: { left: 9, right: 0 } };
    mockLive = live({ seen: { marks, atMs: 0 } });
    const { unmount } = show();
    const line = screen.getByText('Shoulder over the base').nextSibling!.textContent!;
    unmount();
    return Number(/-?\d+/.exec(line)![0]);
  };
  const trueCm = 100 * readStill({ ...truth, shape: 'handstand' }).measures.shoulderOverBase!.value;
  // Which way the floor runs ahead is told by the face: without it the wrist stays where it was read.
  expect(Math.abs(lineOf(null) - trueCm)).toBeGreaterThan(5);
  expect(Math.abs(lineOf('right') - trueCm)).toBeLessThan(3);
});

it('shows at most three lines large, and asks where the wall stands', async () => {
  mockLive = live({ clock: down, taken: kick });
  const { user } = show();
  expect(screen.getByText(/Show where the wall stands/)).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Mark the wall' }));
  expect(screen.queryByText(/Show where the wall stands/)).toBeNull();
  const boxes = screen.getAllByRole('checkbox');
  const free = boxes.filter((box) => !(box as HTMLInputElement).checked);
  expect(free).toHaveLength(4);
  await user.click(free[0]!);
  expect(boxes.filter((box) => (box as HTMLInputElement).checked)).toHaveLength(3);
  for (const box of boxes.filter((one) => !(one as HTMLInputElement).checked)) {
    expect(box).toBeDisabled();
  }
});

describe('opened for a check', () => {
  const open = (check: string, base?: string) =>
    renderUi(<CameraPane view={view} opened={readLook({ check, base })} />);
  const weightOn = () => screen.getByLabelText<HTMLSelectElement>('Weight on');

  it('times that check on that base, and a tuck on the head alone', async () => {
    const { user } = open('l-hold', 'forearms');
    expect(screen.getByRole('radio', { name: 'L hold' })).toBeChecked();
    expect(weightOn()).toHaveValue('forearms');
    await user.click(screen.getByText('Tuck hold'));
    expect(weightOn()).toHaveValue('head');
    expect(within(weightOn()).getAllByRole('option')).toHaveLength(1);
    await user.click(screen.getByText(/^Hops that reach/));
    expect(weightOn()).toHaveValue('hands');
  });

  it('asks for no wall where the check takes none', () => {
    mockLive = live({ clock: down, taken: kick });
    open('tuck-hold');
    expect(screen.queryByText(/Show where the wall stands/)).toBeNull();
  });
});

it('says that the head needs a floor, and has one marked', async () => {
  const { user } = show();
  await user.click(screen.getByText('hips over the shoulders'));
  expect(screen.queryByText(/needs the floor/)).toBeNull();
  await user.click(screen.getByText('hips over the shoulders'));
  await user.click(screen.getByText('head off the floor'));
  expect(screen.getByText(/needs the floor/)).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Mark the floor' }));
  expect(screen.queryByText(/needs the floor/)).toBeNull();
  expect(screen.getByLabelText('How high in the picture the floor lies')).toBeInTheDocument();
});
