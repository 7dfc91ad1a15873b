import { screen, waitFor } from '@testing-library/react';
import type { GateRow } from '@/server/judging/gateRows';
import { renderUi } from '@/design/testing/renderUi';
import { UnitsProvider } from '@/design/units';
import type { LengthUnits } from '@/core/units/length';
import { RecordForm } from './RecordForm';

const record = jest.fn();
jest.mock('@/features/person/actions', () => ({
  recordCheckAction: (...call: unknown[]) => record(...call) as unknown,
  takeBackRecordAction: () => Promise.resolve({ ok: true }),
}));

const row = (more: Partial<GateRow> = {}): GateRow =>
  ({
    check: 'dolphin-one-leg',
    base: null,
    label: 'Dolphin, one leg up',
    valueKind: 'seconds',
    unitLabel: 's',
    sides: ['left', 'right'],
    voidedBy: ['sinks-on-block'],
    ...more,
  }) as GateRow;

const show = (of: GateRow = row(), units: LengthUnits = 'cm') => {
  const onRecorded = jest.fn();
  return {
    onRecorded,
    ...renderUi(
      <UnitsProvider units={units}>
        <RecordForm
          personId={7}
          row={of}
          today="2026-11-25"
          breathSeconds={5}
          onRecorded={onRecorded}
        />
      </UnitsProvider>,
    ),
  };
};

beforeEach(() => {
  record.mockReset();
  record.mockResolvedValue({ ok: true, value: 12 });
});

describe('recording a check', () => {
  it('by keyboard alone: the figure is where one begins, Enter keeps it', async () => {
    const { user, onRecorded } = show();
    await user.keyboard('18.5{Enter}');
    await waitFor(() => expect(onRecorded).toHaveBeenCalled());
    expect(record).toHaveBeenCalledWith(7, {
      check: 'dolphin-one-leg',
      base: null,
      value: '18.5',
      unit: 'plain',
      date: '2026-11-25',
      stoppedByTeacher: false,
      faults: [],
      pain: false,
      painPlace: null,
      side: 'left',
    });
  });

  it('goes on with the other side, nothing of the first left over', async () => {
    const { user } = show();
    await user.click(screen.getByRole('checkbox', { name: /sinks onto the block/ }));
    await user.type(screen.getByLabelText('How long'), '9');
    await user.click(screen.getByRole('button', { name: 'Keep this record' }));
    await waitFor(() => expect(screen.getByLabelText('How long')).toHaveValue(''));
    expect(screen.getByRole('radio', { name: 'right' })).toBeChecked();
    expect(screen.getByRole('checkbox', { name: /sinks onto the block/ })).not.toBeChecked();
    expect(record.mock.calls[0][1]).toMatchObject({ faults: ['sinks-on-block'], side: 'left' });
  });

  it('keeps what was typed when it is refused, and says why beside it', async () => {
    record.mockResolvedValue({ ok: false, problems: { value: 'More than 3600 cannot be.' } });
    const { user, onRecorded } = show();
    await user.type(screen.getByLabelText('How long'), '9999');
    await user.click(screen.getByRole('button', { name: 'Keep this record' }));
    expect(await screen.findByText('More than 3600 cannot be.')).toBeInTheDocument();
    expect(screen.getByLabelText('How long')).toHaveValue('9999');
    expect(onRecorded).not.toHaveBeenCalled();
  });

  it('keeps what was typed when nobody answers, and takes it the next time', async () => {
    record.mockRejectedValueOnce(new TypeError('Failed to fetch'));
    const { user, onRecorded } = show();
    await user.keyboard('18.5{Enter}');
    expect(await screen.findByText(/No answer came/)).toBeInTheDocument();
    expect(screen.getByDisplayValue('18.5')).toBeInTheDocument();
    expect(onRecorded).not.toHaveBeenCalled();
    await waitFor(() =>
      expect(screen.getByRole('button', { name: /^Keep|^Record/ })).toBeEnabled(),
    );
    await user.click(screen.getByRole('button', { name: /^Keep|^Record/ }));
    await waitFor(() => expect(onRecorded).toHaveBeenCalledTimes(1));
  });

  it.each([
    ['cm', '3', '3'],
    ['cm', '1.2 in', '3'],
    ['in', '1.2', '3'],
    ['in', '1,2', '3'],
    ['in', '3 cm', '3'],
    ['in', '1 1/4"', '3.2'],
    ['in', 'a hand', 'a hand'],
  ] as const)(
    'in a studio of %s takes a length typed as %j for %s cm',
    async (units, typed, kept) => {
      const clearance = row({
        check: 'head-clearance',
        valueKind: 'number',
        unitLabel: 'cm',
        isLength: true,
        sides: [],
      });
      const { user } = show(clearance, units);
      expect(screen.getByText(units)).toBeInTheDocument();
      await user.type(screen.getByLabelText('How much'), `${typed}{Enter}`);
      await waitFor(() => expect(record).toHaveBeenCalled());
      expect(record.mock.calls[0][1]).toMatchObject({ check: 'head-clearance', value: kept });
    },
  );

  it('asks where it hurts only when it does', async () => {
    const { user } = show();
    expect(screen.queryByRole('combobox', { name: 'Where it hurts' })).toBeNull();
    await user.click(screen.getByRole('checkbox', { name: 'Pain' }));
    expect(screen.getByRole('combobox', { name: 'Where it hurts' })).toBeInTheDocument();
  });

  it('offers the faults that void it first, and all of them when asked', async () => {
    const { user } = show();
    const chips = () => screen.getAllByRole('checkbox').length;
    const few = chips();
    expect(screen.getByText(/sinks onto the block: counts against only/)).toBeInTheDocument();
    await user.click(screen.getByRole('button', { name: 'More faults' }));
    expect(chips()).toBeGreaterThan(few + 8);
  });

  it('says how it is taken, and lets a level be chosen by its name', async () => {
    const { user } = show(
      row({
        check: 'lifted-tuck',
        valueKind: 'number',
        method: 'From the side, by eye.',
        levels: ['none', 'one heel', 'both heels'],
      }),
    );
    expect(screen.getByText('From the side, by eye.')).toBeInTheDocument();
    await user.selectOptions(screen.getByLabelText('Which level'), '2 both heels');
    await user.click(screen.getByRole('button', { name: /^(Record|Keep)/ }));
    await waitFor(() => expect(record).toHaveBeenCalled());
    expect(record.mock.calls.at(-1)![1]).toMatchObject({ check: 'lifted-tuck', value: '2' });
  });

  it('takes a range of each side, or of both at once', async () => {
    const { user } = show(
      row({
        check: 'wrist-extension',
        label: 'Wrist extension',
        valueKind: 'number',
        unitLabel: '°',
        sides: ['left', 'right', 'both'],
      }),
    );
    await user.click(screen.getByRole('radio', { name: 'both' }));
    await user.type(screen.getByRole('textbox', { name: /How/ }), '85{Enter}');
    await waitFor(() => expect(record).toHaveBeenCalledTimes(1));
    expect(record.mock.calls[0][1]).toMatchObject({ value: '85', side: null });
    expect(screen.getByRole('radio', { name: 'both' })).toBeChecked();
  });

  it('of a pass takes a word instead of a figure', async () => {
    const { user, onRecorded } = show(
      row({ valueKind: 'pass', sides: [], check: 'crown-control', label: 'Crown control' }),
    );
    expect(screen.queryByLabelText('How long')).toBeNull();
    await user.click(screen.getByRole('radio', { name: 'not' }));
    await user.click(screen.getByRole('button', { name: 'Keep this record' }));
    await waitFor(() => expect(onRecorded).toHaveBeenCalled());
    expect(record.mock.calls[0][1]).toMatchObject({ value: '0', side: null });
  });
});

it('leads to Plumb as the check is taken, and nowhere where Plumb knows nothing of it', () => {
  const linkOf = (more: Partial<GateRow>, name: string) => {
    const { unmount } = show(row(more));
    const link = screen.getByRole('link', { name });
    const address = link.getAttribute('href');
    unmount();
    return address;
  };
  expect(linkOf({ check: 'head-clearance' }, 'From a picture')).toMatch(/check=head-clearance$/);
  expect(linkOf({ check: 'l-hold', base: 'forearms' }, 'By the camera’s clock')).toMatch(
    /check=l-hold&base=forearms$/,
  );
  expect(linkOf({ check: 'elbow-drift' }, 'From two pictures')).toMatch(/check=elbow-drift$/);
  expect(linkOf({ check: 'controlled-exit', base: 'head' }, 'From a clip')).toMatch(
    /check=controlled-exit&base=head$/,
  );
  show();
  expect(screen.queryByRole('link')).toBeNull();
});
