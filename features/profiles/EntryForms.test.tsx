import { screen, waitFor } from '@testing-library/react';
import { ownCheckSchema, ownDrillSchema } from '@/core/catalog/entries';
import { putIn, renderUi } from '@/design/testing/renderUi';
import type { LengthUnits } from '@/core/units/length';
import { UnitsProvider } from '@/design/units';
import { EntryForms } from './EntryForms';

const keep = jest.fn();
jest.mock('./actions', () => ({
  keepEntryAction: (...call: unknown[]) => keep(...call) as unknown,
}));
jest.mock('@/features/person/actions', () => ({}));

const show = (units: LengthUnits = 'cm') =>
  renderUi(
    <UnitsProvider units={units}>
      <EntryForms
        checks={[{ value: 'dolphin-hold', label: 'Dolphin hold' }]}
        branches={[]}
        stages={[]}
      />
    </UnitsProvider>,
  );

beforeEach(() => {
  keep.mockReset();
  keep.mockResolvedValue({ ok: true, value: undefined });
});

describe('a stage of one’s own', () => {
  it('asks for the ways up of a hop to the wall, and sends those that were chosen', async () => {
    const { user } = show();
    await putIn(user, screen.getByLabelText('Name'), 'Hop from a step');
    expect(screen.queryByRole('combobox', { name: 'Ways up' })).not.toBeInTheDocument();
    await user.selectOptions(screen.getByLabelText('It is'), 'tried, by hops');
    await user.click(screen.getByLabelText('at a wall'));
    await user.click(screen.getByRole('combobox', { name: 'Ways up' }));
    await user.click(screen.getByRole('option', { name: 'bent-knee hop', hidden: true }));
    await user.click(screen.getByRole('button', { name: 'Put it on the ladder' }));
    await waitFor(() => expect(keep).toHaveBeenCalled());
    const [, key, spec] = keep.mock.calls[0];
    expect(key).toBe('own-hop-from-a-step');
    expect(spec).toMatchObject({ isHop: true, needsWall: true, waysUp: ['bent-knee'] });
  });
});

describe('a drill of one’s own', () => {
  it('is sent as the catalog reads it, with its sets and whether it stays in the room', async () => {
    const { user } = show();
    await user.click(screen.getByRole('radio', { name: 'a drill' }));
    await putIn(user, screen.getByLabelText('Name'), 'Wall press, elbows in');
    await putIn(user, screen.getByLabelText('What to do'), 'Press the wall away.');
    await putIn(user, screen.getByLabelText('Dose'), '4 sets of 15 s');
    await user.clear(screen.getByLabelText('Sets'));
    await user.type(screen.getByLabelText('Sets'), '4');
    await user.selectOptions(screen.getByLabelText('It'), 'warms');
    await user.click(screen.getByLabelText(/stays in the room/));
    await user.click(screen.getByRole('button', { name: 'Add the drill' }));
    await waitFor(() => expect(keep).toHaveBeenCalled());
    const [kind, key, spec] = keep.mock.calls[0];
    expect([kind, key]).toEqual(['drills', 'own-wall-press-elbows-in']);
    expect(ownDrillSchema.parse(spec)).toMatchObject({
      work: { sets: 4, seconds: 20 },
      purpose: 'warms',
      isClassOnly: true,
    });
  });

  it('that is refused stays in the form, with the reason beside the field', async () => {
    keep.mockResolvedValue({
      ok: false,
      problems: { label: 'You have one of this name already.' },
    });
    const { user } = show();
    await user.click(screen.getByRole('radio', { name: 'a drill' }));
    await putIn(user, screen.getByLabelText('Name'), 'Boat');
    await user.click(screen.getByRole('button', { name: 'Add the drill' }));
    expect(
      (await screen.findAllByText('You have one of this name already.')).length,
    ).toBeGreaterThan(0);
    expect(screen.getByLabelText('Name')).toHaveValue('Boat');
  });
});

describe('a check of one’s own', () => {
  it('may be the teacher’s alone', async () => {
    const { user } = show();
    await user.click(screen.getByRole('radio', { name: 'a check' }));
    await putIn(user, screen.getByLabelText('Name'), 'Reverse plank');
    await user.click(screen.getByLabelText(/mine alone/));
    await user.click(screen.getByRole('button', { name: 'Add the check' }));
    await waitFor(() => expect(keep).toHaveBeenCalled());
    expect(ownCheckSchema.parse(keep.mock.calls[0][2])).toMatchObject({
      isPrivate: true,
      timedTogether: true,
      columns: [],
      strains: [],
    });
  });

  it('says how it is taken and names its levels', async () => {
    const { user } = show();
    await user.click(screen.getByRole('radio', { name: 'a check' }));
    await putIn(user, screen.getByLabelText('Name'), 'Bridge');
    expect(screen.queryByLabelText('What the levels are called')).not.toBeInTheDocument();
    await user.selectOptions(screen.getByLabelText('Kind'), 'levels with names');
    // A bar in seconds is none for a level.
    expect(screen.getByLabelText('Opens at level')).toHaveValue('1');
    await user.type(screen.getByLabelText('What the levels are called'), 'hips down{enter}up');
    await putIn(user, screen.getByLabelText('How it is taken'), 'Feet flat.');
    await user.click(screen.getByRole('button', { name: 'Add the check' }));
    await waitFor(() => expect(keep).toHaveBeenCalled());
    expect(ownCheckSchema.parse(keep.mock.calls[0][2])).toMatchObject({
      taking: { view: 'side', instrument: 'eye' },
      method: 'Feet flat.',
      levels: ['hips down', 'up'],
      most: 1,
    });
  });

  it('takes the bar of a length as the studio measures', async () => {
    const { user } = show('in');
    await user.click(screen.getByRole('radio', { name: 'a check' }));
    await putIn(user, screen.getByLabelText('Name'), 'Reach');
    await user.selectOptions(screen.getByLabelText('Kind'), 'a measure, in');
    await user.clear(screen.getByLabelText('Opens at'));
    await user.type(screen.getByLabelText('Opens at'), '2');
    await user.click(screen.getByRole('button', { name: 'Add the check' }));
    await waitFor(() => expect(keep).toHaveBeenCalled());
    const { opensAt, taking } = ownCheckSchema.parse(keep.mock.calls[0][2]);
    expect(opensAt['prop-led']).toBe(5);
    expect(taking).toEqual({ view: 'side', instrument: 'tape' });
  });
});
