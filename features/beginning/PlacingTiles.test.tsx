import { screen, within } from '@testing-library/react';
import { useState } from 'react';
import type { LadderId } from '@/core/catalog/stage';
import { renderUi } from '@/design/testing/renderUi';
import type { PlacingProps } from './PlacingStep';
import { PlacingTiles } from './PlacingTiles';
import { placing } from './testing/placing';

const view = placing;

/** The word kept beside the tiles, as the step keeps it. */
function Placing({ family }: { readonly family: LadderId }) {
  const [said, setSaid] = useState<PlacingProps['said']>(() =>
    Object.fromEntries(view.people.map(({ id, said: own }) => [id, own])),
  );
  return (
    <PlacingTiles
      view={view}
      family={family}
      said={said}
      open={view.people.filter(({ id }) => said[id]?.[family] === undefined).length}
      say={({ id }, stage) => setSaid((all) => ({ ...all, [id]: { ...all[id], [family]: stage } }))}
    />
  );
}

const row = (name: string) => screen.getByRole('button', { name: new RegExp(`^${name} ?(?!:)`) });
const asked = () => screen.getAllByRole('group').map((one) => one.getAttribute('aria-label'));

describe('placing on a phone', () => {
  it('asks about the first who is to go, and goes on by itself', async () => {
    const { user } = renderUi(<Placing family="forearm-stand" />);
    expect(asked()).toEqual(['Bo']);
    await user.click(screen.getByRole('button', { name: 'Bo: Base' }));
    expect(asked()).toEqual(['Cy']);
    expect(screen.getByRole('button', { name: 'Cy to go' })).toHaveFocus();
    await user.click(screen.getByRole('button', { name: 'Cy: never seen' }));
    expect(screen.queryByRole('group')).toBeNull();
    expect(screen.getByRole('status')).toHaveTextContent('Everybody is placed');
    expect(screen.getByRole('button', { name: 'Cy never seen' })).toHaveFocus();
  });

  it('goes round to who was passed over', async () => {
    const { user } = renderUi(<Placing family="forearm-stand" />);
    await user.click(row('Cy'));
    await user.click(screen.getByRole('button', { name: 'Cy: Plank' }));
    expect(asked()).toEqual(['Bo']);
  });

  it('takes a second thought without sending the teacher on', async () => {
    const { user } = renderUi(<Placing family="forearm-stand" />);
    await user.click(row('Ada'));
    expect(screen.getByRole('button', { name: 'Ada: Base', pressed: true })).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Ada: Plank' }));
    expect(screen.queryByRole('group')).toBeNull();
    expect(screen.getByRole('button', { name: 'Ada Plank' })).toHaveFocus();
  });

  it('offers no shape that is closed to somebody', () => {
    renderUi(<Placing family="forearm-stand" />);
    const tiles = within(screen.getByRole('group', { name: 'Bo' }));
    expect(tiles.getByRole('button', { name: 'Bo: Plank' })).toBeDisabled();
    expect(tiles.getByRole('button', { name: 'Bo: Base' })).toBeEnabled();
  });

  it('begins another ladder with who is first to go on it', () => {
    const { rerender } = renderUi(<Placing family="forearm-stand" />);
    rerender(<Placing family="headstand" />);
    expect(asked()).toEqual(['Ada']);
  });
});
