import { screen, waitFor } from '@testing-library/react';
import { resolveBody } from '@/core/body/body';
import { getSetup, type SetupId } from '@/core/setups/registry';
import type { BenchPerson } from '@/server/judging/views';
import { renderUi } from '@/design/testing/renderUi';
import { KeepDistance } from './KeepDistance';

const keep = jest.fn();
const drop = jest.fn();
jest.mock('@/features/person/actions', () => ({
  keepSetupAction: (...call: unknown[]) => keep(...call) as unknown,
  dropSetupAction: (...call: unknown[]) => drop(...call) as unknown,
}));

const person = { id: 3, name: 'Bo Lind', body: { heightM: 1.7 } } as BenchPerson;

const show = (setup: SetupId, units: 'cm' | 'in' = 'cm') =>
  renderUi(
    <KeepDistance
      person={person}
      setup={setup}
      distances={
        getSetup(setup).solve({
          body: resolveBody(person.body),
          profile: 'prop-led',
          pieces: [],
        }).distances
      }
      units={units}
    />,
  );

beforeEach(() => {
  keep.mockReset();
  keep.mockResolvedValue({ ok: true, value: 41 });
  drop.mockReset();
  drop.mockResolvedValue({ ok: true });
});

describe('a figure found by trying', () => {
  it('is kept for its set-up and distance, with the words, and can be taken back', async () => {
    const { user } = show('platform');
    await user.type(screen.getByLabelText('Now (cm)'), '9.5');
    await user.type(screen.getByLabelText('In words'), 'kinder to the neck');
    await user.click(screen.getByRole('button', { name: 'Keep for Bo Lind' }));
    await waitFor(() =>
      expect(keep).toHaveBeenCalledWith(3, {
        family: 'platform',
        values: { platformHeight: expect.closeTo(0.095, 9) },
        note: 'kinder to the neck',
      }),
    );
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(drop).toHaveBeenCalledWith(3, 41);
  });

  it('is read in the units of the studio', async () => {
    const { user } = show('legs-up', 'in');
    await user.type(screen.getByLabelText('Now (in)'), '8');
    await user.click(screen.getByRole('button', { name: /Keep for/ }));
    await waitFor(() => expect(keep).toHaveBeenCalled());
    expect(keep.mock.calls[0][1].values.bolsterToWall).toBeCloseTo(0.2032, 6);
  });

  it('is not sent when it is no length', async () => {
    const { user } = show('legs-up');
    await user.type(screen.getByLabelText('Now (cm)'), 'a hand');
    await user.click(screen.getByRole('button', { name: /Keep for/ }));
    expect(screen.getByText(/Write a length/)).toBeInTheDocument();
    expect(keep).not.toHaveBeenCalled();
  });

  it('that is refused stays as typed, with the reason', async () => {
    keep.mockResolvedValue({ ok: false, problems: { x: 'Out of reach for this body.' } });
    const { user } = show('platform');
    await user.type(screen.getByLabelText('Now (cm)'), '60');
    await user.click(screen.getByRole('button', { name: /Keep for/ }));
    expect((await screen.findAllByText('Out of reach for this body.')).length).toBeGreaterThan(0);
    expect(screen.getByLabelText('Now (cm)')).toHaveValue('60');
  });
});
