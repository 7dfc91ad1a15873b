import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { Standing } from '@/server/judging/standings';
import { LadderPanel, type LadderChoices } from './LadderPanel';

jest.mock('./later', () => ({
  RungSelect: ({ rungs }: { rungs: readonly unknown[] }) => <span>{rungs.length} rungs</span>,
  DecisionDialog: ({ title, about }: { title: string; about: object | null }) => (
    <span>{about === null ? 'closed' : `decides on ${title}`}</span>
  ),
}));

const none: LadderChoices = { label: 'Another', rungs: [] };
const ladders = {
  'forearm-stand': { label: 'Forearm stand', rungs: [{ value: 'FS4', label: 'Dolphin' }] },
  handstand: none,
  headstand: none,
  'shoulder-stand': none,
  'arm-balance': none,
} as const;
const next: NonNullable<Standing['next']> = {
  stage: 'FS8',
  label: 'Kick to the wall',
  kind: 're-check',
  reasons: [],
  atDoor: ['Neck ease'],
  alternative: 'forearm-l',
  watches: ['the neck'],
  obstacles: [],
};
const show = (over: Partial<Standing> = {}, tried = {}) =>
  renderUi(
    <LadderPanel
      personId={4}
      standings={[
        {
          family: 'forearm-stand',
          present: 'FS4',
          presentLabel: 'Dolphin',
          next,
          asides: [],
          ...over,
        },
      ]}
      ladders={ladders}
      instead={{ FS8: 'L on the forearms' }}
      tried={tried}
    />,
  );

it('says where somebody stands on a ladder, what is next, and what is done in its place', () => {
  const { container } = show({}, { FS8: '3 May' });
  expect(screen.getByRole('heading', { name: 'Forearm stand' })).toBeVisible();
  expect(container).toHaveTextContent('1 rungs');
  expect(screen.getByRole('link', { name: 'Kick to the wall' })).toHaveAttribute(
    'href',
    '/ladders/FS8?person=4',
  );
  expect(container).toHaveTextContent('L on the forearms');
  expect(container).toHaveTextContent('tried with support, 3 May');
  expect(container).toHaveTextContent('care: the neck');
});

it('says the verdict where nothing was begun, and what is asked at the door', () => {
  const { container } = show({ present: null, presentLabel: null });
  expect(container).toHaveTextContent('not begun');
  expect(container).not.toHaveTextContent('L on the forearms');
  expect(container).toHaveTextContent('if confirmed at the door');
});

it('has nothing to decide at the top, and decides on the next rung elsewhere', async () => {
  const { unmount } = show({ next: null });
  expect(screen.getByText('At the top of this ladder.')).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Decide' })).toBeNull();
  unmount();
  const { user } = show();
  await user.click(screen.getByRole('button', { name: 'Decide' }));
  expect(screen.getByText('decides on Kick to the wall')).toBeVisible();
});
