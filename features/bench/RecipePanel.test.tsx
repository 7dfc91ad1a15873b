import { screen, within } from '@testing-library/react';
import { resolveBody } from '@/core/body/body';
import { profileTable, settingsOf } from '@/core/catalog/profiles';
import { getSetup } from '@/core/setups/registry';
import type { SetupInput } from '@/core/setups/setup';
import { renderUi } from '@/design/testing/renderUi';
import type { BenchPerson } from '@/server/judging/views';
import { RecipePanel } from './RecipePanel';

jest.mock('./KeepDistance', () => ({
  KeepDistance: ({ setup }: { setup: string }) => <p>keep for {setup}</p>,
}));

const input: SetupInput = {
  body: resolveBody({ heightM: 1.7 }),
  profile: 'prop-led',
  pieces: [
    { piece: 'shoulder-pad', count: 8 },
    { piece: 'blanket', count: 8 },
    { piece: 'foam-block', count: 2 },
  ],
};
const person = { id: 3, name: 'Bo Lind', body: { heightM: 1.7 } } as BenchPerson;

const show = (
  more: Partial<Parameters<typeof RecipePanel>[0]> = {},
  shape: Parameters<typeof RecipePanel>[0]['shape'] = 'forearmStandWall',
) => renderUi(<RecipePanel input={input} shape={shape} person={null} units="cm" {...more} />);

/** The figure that stands before a distance. */
const figureOf = (label: RegExp) =>
  within(screen.getByText(label, { selector: 'strong' }).closest('tr')!).getAllByRole('cell')[0]!
    .textContent;
const gapIn = getSetup('forearm-kick')
  .solve(input)
  .distances.find(({ id }) => id === 'gap')!;

it('lists every distance of the set-up of the shape, as it is worked out', () => {
  show();
  const { distances } = getSetup('forearm-kick').solve(input);
  expect(screen.getAllByRole('row')).toHaveLength(distances.length);
  for (const { label, metres } of distances) {
    const row = screen.getAllByRole('row').find((one) => within(one).queryByText(label));
    expect(row).toHaveTextContent(`${Math.round(metres * 100)} cm`);
  }
  // Nobody in particular stands there: nothing to keep.
  expect(screen.queryByText(/^keep for/)).not.toBeInTheDocument();
});

it('has the figures of another profile, and a copy’s own only for its own', async () => {
  const settings = { ...settingsOf(profileTable['prop-led']), forearmGapM: 0.08 };
  const { user } = show({ input: { ...input, settings } });
  const label = new RegExp(gapIn.label);
  expect(figureOf(label)).toBe('8 cm');
  await user.click(screen.getByRole('combobox', { name: 'Profile' }));
  await user.click(screen.getByRole('option', { name: 'Play-led' }));
  expect(figureOf(label)).toBe('15 cm');
  await user.click(screen.getByRole('combobox', { name: 'Profile' }));
  await user.click(screen.getByRole('option', { name: 'Prop-led' }));
  expect(figureOf(label)).toBe('8 cm');
});

it('stacks from what is at hand, and says so when it is not enough', async () => {
  const { user } = show({ person }, 'shoulderStand');
  expect(screen.getByText('keep for platform')).toBeInTheDocument();
  expect(
    screen.getByText(/^Stack, from below: 6 × blanket, folded: 13 cm with weight on it/),
  ).toBeInTheDocument();
  await user.click(screen.getByText('Pieces at hand'));
  for (const name of [/shoulder pad/i, /blanket/i, /foam block/i]) {
    await user.clear(screen.getByRole('textbox', { name }));
    await user.type(screen.getByRole('textbox', { name }), '0');
  }
  expect(screen.queryByText(/^Stack, from below/)).not.toBeInTheDocument();
});

it('says what is looked at before weight goes on, and the way out', () => {
  show({ units: 'in' }, 'shoulderStand');
  expect(screen.getByText(/Head lower/i)).toBeInTheDocument();
  expect(screen.getByText(getSetup('platform').exit, { exact: false })).toBeInTheDocument();
  expect(screen.getAllByRole('row')[0]).toHaveTextContent(/[\d½] in/);
});
