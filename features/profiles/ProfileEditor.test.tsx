import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { ComponentProps } from 'react';
import { shippedCatalog } from '@/core/catalog/school';
import { profileIds, profileTable, settingsOf } from '@/core/catalog/profiles';
import type * as fakes from '@/design/testing/fakeActions';
import { answerWith, asked, beginAsking, refuse } from '@/design/testing/fakeActions';
import { renderUi } from '@/design/testing/renderUi';
import type { EditorChecks, EditorStages } from './editor';
import { ProfileEditor } from './ProfileEditor';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn() }) }));
jest.mock('./actions', () =>
  jest.requireActual<typeof fakes>('@/design/testing/fakeActions').fakeActions({
    changeProfileAction: 'keep',
    previewProfileAction: 'look ahead',
    retireProfileAction: 'put away',
    bringProfileBackAction: 'bring back',
  }),
);

const [origin] = profileIds;
const row = { bar: 45, origin: 45, unit: 's', isLength: false, byBase: false };
const checks: EditorChecks = [
  { ...row, key: 'dolphin-hold', label: 'Dolphin hold' },
  { ...row, key: 'plank-hold', label: 'Plank hold' },
];
const gate = [{ check: 'dolphin-hold' }] as const;
const stages: EditorStages = [
  {
    family: 'handstand',
    label: 'Handstand',
    stages: [{ key: 'HB8', label: 'L', gate, originGate: gate, cue: '', branch: null }],
  },
];

type Part = Partial<ComponentProps<typeof ProfileEditor>>;
const editor = (part: Part = {}) => (
  <ProfileEditor
    profileKey="own-quick"
    label="Quick"
    version={3}
    isShipped={false}
    changes={{}}
    lines={[]}
    checks={checks}
    stages={stages}
    settings={settingsOf(profileTable[origin])}
    own={{ checks: {}, stages: {} }}
    branches={[{ key: 'free-plough', label: shippedCatalog.branches['free-plough']!.label }]}
    closedBranches={[]}
    {...part}
  />
);
const show = (part: Part = {}) => renderUi(editor(part));
const kept = () => asked.filter(([what]) => what === 'keep').map(([, ...given]) => given);
const bar = () => screen.getByRole('textbox', { name: 'Dolphin hold' });
const keepByKey = () => fireEvent.keyDown(bar(), { key: 'Enter', ctrlKey: true });

beforeEach(beginAsking);

it('keeps what was typed by key alone, before the look ahead has come', async () => {
  answerWith((what) =>
    what === 'keep' ? Promise.resolve({ ok: true, value: 4 }) : new Promise(() => undefined),
  );
  const { user } = show({ aim: 'dolphin-hold' });
  expect(bar()).toHaveFocus();
  await user.keyboard('50');
  keepByKey();
  expect(await screen.findByText('Kept as version 4.')).toBeVisible();
  expect(kept()).toEqual([
    ['own-quick', { label: 'Quick', changes: { bars: { 'dolphin-hold': 50 } }, seen: 3 }],
  ]);
});

it('keeps nothing where nothing is changed, and says what the studio refuses', async () => {
  refuse({ form: 'A bar is too low.' });
  const { user } = show();
  keepByKey();
  expect(kept()).toEqual([]);
  await user.clear(bar());
  await user.type(bar(), '1');
  keepByKey();
  expect(await screen.findByText('A bar is too low.')).toBeVisible();
  expect(bar()).toHaveValue('1 s');
});

it('draws the stages of a ladder when it is opened, and takes all back at once', async () => {
  const { user } = show();
  const change = { name: 'Change L' };
  expect(screen.queryByRole('button', change)).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Handstand' }));
  await user.click(screen.getByRole('button', change));
  await user.click(screen.getByRole('switch', { name: 'closed in this profile' }));
  await user.click(screen.getByRole('switch', { name: /plough/i }));
  await user.clear(bar());
  await user.type(bar(), '60');
  expect(screen.getByText('was 45')).toBeVisible();
  keepByKey();
  expect(kept()[0]?.[1]).toMatchObject({
    changes: {
      bars: { 'dolphin-hold': 60 },
      closedStages: ['HB8'],
      closedBranches: ['free-plough'],
    },
  });
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(bar()).toHaveValue('45 s');
  expect(screen.queryByText('was 45')).toBeNull();
});

describe('a version that comes while something is typed', () => {
  const write = async (user: ReturnType<typeof show>['user'], text: string) => {
    await user.clear(bar());
    await user.type(bar(), text);
  };

  it('takes nothing away of what was typed while it was being kept, and is what it stands on', async () => {
    let answer: (outcome: { ok: true; value: number }) => void = () => undefined;
    answerWith((what) =>
      what === 'keep'
        ? new Promise((resolve) => {
            answer = resolve;
          })
        : new Promise(() => undefined),
    );
    const { user, rerender } = show();
    await write(user, '50');
    keepByKey();
    await write(user, '55');
    rerender(editor({ version: 4, changes: { bars: { 'dolphin-hold': 50 } } }));
    answer({ ok: true, value: 4 });
    expect(await screen.findByText('Kept as version 4.')).toBeVisible();
    expect(bar()).toHaveValue('55 s');
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Keep as version 5' })).toBeEnabled(),
    );
    keepByKey();
    expect(kept().map(([, form]) => form)).toMatchObject([
      { changes: { bars: { 'dolphin-hold': 50 } }, seen: 3 },
      { changes: { bars: { 'dolphin-hold': 55 } }, seen: 4 },
    ]);
    answer({ ok: true, value: 5 });
    expect(await screen.findByText('Kept as version 5.')).toBeVisible();
  });

  it('leaves nothing to keep where all of it was kept', async () => {
    answerWith((what) =>
      what === 'keep' ? Promise.resolve({ ok: true, value: 4 }) : new Promise(() => undefined),
    );
    const { user, rerender } = show();
    await write(user, '50');
    keepByKey();
    expect(await screen.findByText('Kept as version 4.')).toBeVisible();
    rerender(editor({ version: 4, changes: { bars: { 'dolphin-hold': 50 } } }));
    expect(screen.getByRole('button', { name: 'Keep as version 5' })).toBeDisabled();
    expect(screen.getByRole('button', { name: 'Undo' })).toBeDisabled();
  });

  it('is shown where nothing was typed; else it is never written over unseen', async () => {
    answerWith(() =>
      Promise.resolve({ ok: false, problems: { form: 'Saved in another window.' } }),
    );
    const { user, rerender } = show();
    rerender(editor({ version: 4, changes: { bars: { 'dolphin-hold': 70 } } }));
    expect(bar()).toHaveValue('70 s');
    await write(user, '50');
    rerender(editor({ version: 5, changes: { bars: { 'dolphin-hold': 80 } } }));
    expect(bar()).toHaveValue('50 s');
    keepByKey();
    expect(await screen.findByText('Saved in another window.')).toBeVisible();
    expect(kept().map(([, form]) => form)).toMatchObject([{ seen: 4 }]);
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    expect(bar()).toHaveValue('80 s');
    await write(user, '85');
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Keep as version 6' })).toBeEnabled(),
    );
    keepByKey();
    expect(kept().at(-1)?.[1]).toMatchObject({ seen: 5 });
  });
});
