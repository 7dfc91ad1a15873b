import { fireEvent, screen } from '@testing-library/react';
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

const show = (part: { aim?: string; isShipped?: boolean } = {}) =>
  renderUi(
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
    />,
  );
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
