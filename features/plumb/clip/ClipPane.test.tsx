import { screen, within } from '@testing-library/react';
import { resolveBody } from '@/core/body/body';
import { kickWishes, practiceClip } from '@/core/plumb/practiceClip';
import type { ReadMarks } from '@/core/plumb/reader';
import { renderUi } from '@/design/testing/renderUi';
import { anyLook } from '../look';
import { plumbViewOf } from '../testing';
import type { NextOutcome } from '../useReader';
import { ClipPane } from './ClipPane';
import type { SourceOutcome } from './source';

const kept: [number, object][] = [];
jest.mock('@/features/person/actions', () => ({
  recordCheckAction: (person: number, form: object) => {
    kept.push([person, form]);
    return Promise.resolve({ ok: true, value: 1 });
  },
  undoRecordAction: () => Promise.resolve({ ok: true, value: undefined }),
}));
const kick = practiceClip(resolveBody({ heightM: 1.7 }), kickWishes.thrown, 10);
let mockNext: (index: number) => NextOutcome = () => ({ ok: true, marks: null });
jest.mock('../useReader', () => {
  let index = 0;
  return {
    useReader: () => ({
      isReading: false,
      read: () => Promise.resolve(null),
      readNext: (_: unknown, row: string) => {
        index = row === 'begins' ? 0 : index + 1;
        return Promise.resolve(mockNext(index));
      },
      forget: () => undefined,
    }),
  };
});
// Without workers it is read where it stands.
jest.mock('./clipWorker', () => ({
  makeClipReader: () => {
    throw new Error('no workers here');
  },
}));
let mockFile: SourceOutcome = { ok: false, problem: 'This file is no clip.' };
const source = {
  width: 640,
  height: 480,
  durationS: 8,
  isPainted: true,
  paint: () => Promise.resolve(),
  close: () => undefined,
};
jest.mock('./source', () => ({
  framesPerS: 10,
  longestClipS: 20,
  openClipFile: () => Promise.resolve(mockFile),
  paintedClip: () => source,
}));
jest.mock('./Timeline', () => ({
  Timeline: ({ events }: { events: readonly { kind: string; atS: number }[] }) => (
    <p>{events.map(({ kind, atS }) => `${kind} ${atS}`).join(', ')}</p>
  ),
}));

const view = plumbViewOf({
  checks: [
    { check: 'wall-hold', label: 'Wall hold', bar: 15, sides: [] },
    { check: 'hops-reaching', label: 'Hops', bar: 3, sides: [] },
  ],
});

beforeEach(() => {
  kept.length = 0;
  URL.createObjectURL = () => 'blob:x';
  URL.revokeObjectURL = () => undefined;
  HTMLCanvasElement.prototype.toBlob = (done) => done(new Blob(['x']));
  mockNext = (index) => {
    const { near, far } = kick.frames[index]!.marks;
    const marks: ReadMarks = {
      near,
      far: far ?? {},
      left: near,
      right: { ...near, ...far },
      facing: 'right',
      seen: { left: 9, right: 4 },
    };
    return { ok: true, marks };
  };
});

/** Somebody's own clip, as a file. */
const chooseClip = async () => {
  mockFile = { ok: true, source: { ...source, isPainted: false } };
  const ui = renderUi(<ClipPane view={view} opened={anyLook} isShown />);
  const file = new File(['x'], 'try.mp4', { type: 'video/mp4' });
  await ui.user.upload(document.querySelector<HTMLInputElement>('input[type=file]')!, file);
  return ui;
};

const practise = async () => {
  const ui = renderUi(<ClipPane view={view} opened={anyLook} isShown />);
  await ui.user.click(screen.getByRole('button', { name: 'One with faults' }));
  return ui;
};

it('reads a clip, tells its events and faults, and keeps what is tapped as read off a clip', async () => {
  const { user } = await chooseClip();
  await user.selectOptions(await screen.findByLabelText('Weight on'), 'hands');
  await user.click(screen.getByRole('button', { name: 'Mark the wall' }));
  const measures = await screen.findByRole('region', { name: 'Measures' });
  expect(await screen.findByText(/lands 6\.5/)).toBeInTheDocument();
  expect(within(measures).getByText(/swing/i)).toBeInTheDocument();
  const record = screen.getByRole('region', { name: 'As a record' });
  await user.click(within(record).getAllByRole('button', { name: 'Keep it' })[0]!);
  expect(kept).toEqual([
    [
      3,
      expect.objectContaining({
        check: 'wall-hold',
        base: 'hands',
        reading: expect.objectContaining({ by: 'clip', measure: 'invertedS' }),
      }),
    ],
  ]);
});

it('keeps nothing of a practice clip, which measures nobody', async () => {
  await practise();
  const record = await screen.findByRole('region', { name: 'As a record' });
  expect(record).toHaveTextContent(/Wall hold: \d/);
  expect(record).toHaveTextContent(/measures nobody/);
  expect(within(record).queryByRole('button')).toBeNull();
});

it('leaves the pictures to be marked by hand where the reader cannot read', async () => {
  mockNext = () => ({ ok: false, problem: 'This browser cannot read pictures by itself.' });
  const { user } = await practise();
  expect(await screen.findByText(/cannot read pictures by itself/)).toBeInTheDocument();
  await user.click(await screen.findByRole('button', { name: 'Put the marks on' }));
  expect(screen.getByRole('button', { name: /^near hip/ })).toBeInTheDocument();
});

it('says so where nobody is found, and what is wrong with a file', async () => {
  mockNext = () => ({ ok: true, marks: null });
  const { user } = await practise();
  expect(await screen.findByText(/Nobody is found in this clip/)).toBeInTheDocument();
  mockFile = { ok: false, problem: 'This clip is 600 s long.' };
  const file = new File(['x'], 'try.mp4', { type: 'video/mp4' });
  await user.upload(document.querySelector<HTMLInputElement>('input[type=file]')!, file);
  expect(await screen.findByText('This clip is 600 s long.')).toBeInTheDocument();
});
