import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { Planner } from './usePlanner';
import { WishesBar } from './WishesBar';

const changed: unknown[][] = [];

beforeEach(() => {
  changed.length = 0;
});

function open(more: object = {}, isFromFile = false) {
  const planner = {
    wishes: {
      minutes: 75,
      rounds: 3,
      helpers: 1,
      families: ['forearm-stand'],
      absent: [],
      ...more,
    },
    change: (...asked: unknown[]) => changed.push(asked),
  } as unknown as Pick<Planner, 'wishes' | 'change'>;
  return renderUi(
    <WishesBar
      {...planner}
      members={
        [
          { id: '1', name: 'Ada Poole' },
          { id: '2', name: 'Bo Lind' },
        ] as never
      }
      profile="prop-led"
      profiles={[
        { key: 'prop-led', label: 'Prop-led', origin: 'prop-led', version: 1 },
        { key: 'own-1', label: 'Quiet', origin: 'prop-led', version: 1 },
      ]}
      isFromFile={isFromFile}
    />,
  );
}

it('does not take an emptied field for a class without rounds or helpers', async () => {
  const { user } = open();
  for (const label of ['Rounds', 'Helpers']) {
    await user.clear(screen.getByLabelText(label));
  }
  expect(changed).toEqual([]);
  // Left empty, it says again what stands.
  expect(screen.getByLabelText('Rounds')).toHaveValue('3');
  await user.clear(screen.getByLabelText('Rounds'));
  await user.type(screen.getByLabelText('Rounds'), '2');
  expect(changed).toEqual([[{ rounds: 2 }, { judges: true }]]);
});

it('asks for nothing beyond what there can be, and no part of a round', async () => {
  const { user } = open();
  await user.clear(screen.getByLabelText('Rounds'));
  await user.type(screen.getByLabelText('Rounds'), '9');
  await user.clear(screen.getByLabelText('Helpers'));
  await user.type(screen.getByLabelText('Helpers'), '0');
  // Left with more than there can be, the most is taken, and is what the field shows.
  expect(changed).toEqual([[{ rounds: 6 }, { judges: true }], [{ helpers: 0 }]]);
});

it('takes the minutes when the field is left or with Enter, not with every sign', async () => {
  const { user } = open();
  const minutes = screen.getByLabelText('Minutes');
  await user.clear(minutes);
  await user.type(minutes, '90');
  expect(changed).toEqual([]);
  await user.keyboard('{Enter}');
  expect(changed).toEqual([[{ minutes: 90 }, { judges: true }]]);
});

it('composes a class from a file as it is, without judging anybody again', async () => {
  const { user } = open({}, true);
  expect(screen.getByLabelText('Profile')).toBeDisabled();
  await user.clear(screen.getByLabelText('Rounds'));
  await user.type(screen.getByLabelText('Rounds'), '2');
  expect(changed).toEqual([[{ rounds: 2 }, { judges: false }]]);
});

it('judges by another profile, and strives for a theme', async () => {
  const { user } = open();
  await user.selectOptions(screen.getByLabelText('Profile'), 'Quiet');
  const [, theme] = screen.getByLabelText<HTMLSelectElement>('About').options;
  await user.selectOptions(screen.getByLabelText('About'), theme!.value);
  await user.selectOptions(screen.getByLabelText('Spare minutes'), 'to the rest');
  expect(changed).toEqual([
    [{ profile: 'own-1' }, { judges: true }],
    [{ theme: theme!.value }],
    [{ spare: 'rest' }],
  ]);
});

it('says who comes, and lets somebody out and in', async () => {
  const { user } = open({ absent: ['2'] });
  await user.click(screen.getByRole('button', { name: '1 of 2 come' }));
  await user.click(await screen.findByRole('checkbox', { name: 'Bo Lind', hidden: true }));
  await user.click(screen.getByRole('checkbox', { name: 'Ada Poole', hidden: true }));
  expect(changed).toEqual([
    [{ absent: [] }, { keeps: true }],
    [{ absent: ['2', '1'] }, { keeps: true }],
  ]);
});
