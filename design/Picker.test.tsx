import { screen } from '@testing-library/react';
import { useState } from 'react';
import { renderToString } from 'react-dom/server';
import { MantineProvider } from '@mantine/core';
import { renderUi } from './testing/renderUi';
import { PickOne, PickSome } from './Picker';

const people = [
  { value: '1', label: 'Bettina Rohr' },
  { value: '2', label: 'Benno Adler' },
  { value: '3', label: 'Zoë Lind' },
];

function One({ onPick }: { readonly onPick: (value: string | null) => void }) {
  const [value, setValue] = useState<string | null>('3');
  return (
    <>
      <PickOne
        label="Who"
        data={people}
        value={value}
        onChange={(next) => {
          onPick(next);
          setValue(next);
        }}
      />
      <button type="button">elsewhere</button>
    </>
  );
}

const field = () => screen.getByRole<HTMLInputElement>('combobox', { name: 'Who' });

it('takes the only one that can be meant at Enter, by beginning or initials', async () => {
  const onPick = jest.fn();
  const { user } = renderUi(<One onPick={onPick} />);
  expect(field()).toHaveValue('Zoë Lind');
  await user.clear(field());
  await user.type(field(), 'bett{Enter}');
  expect(onPick).toHaveBeenLastCalledWith('1');
  expect(field()).toHaveValue('Bettina Rohr');
  await user.clear(field());
  await user.type(field(), 'zl{Enter}');
  expect(onPick).toHaveBeenLastCalledWith('3');
});

it('never takes the first of several', async () => {
  const onPick = jest.fn();
  const { user } = renderUi(<One onPick={onPick} />);
  await user.clear(field());
  await user.type(field(), 'be{Enter}');
  expect(onPick).not.toHaveBeenCalled();
});

it('does not take another at Enter when the field was only opened', async () => {
  const onPick = jest.fn();
  const { user } = renderUi(<One onPick={onPick} />);
  await user.click(field());
  await user.keyboard('{Enter}');
  expect(onPick).not.toHaveBeenCalled();
});

it('keeps and says what was typed and not taken', async () => {
  const onPick = jest.fn();
  const { user } = renderUi(<One onPick={onPick} />);
  await user.clear(field());
  await user.type(field(), 'be');
  await user.click(screen.getByRole('button', { name: 'elsewhere' }));
  expect(field()).toHaveValue('be');
  expect(screen.getByText(/“be” was not taken: choose one/)).toBeInTheDocument();
  await user.type(field(), 'nno{Enter}');
  expect(onPick).toHaveBeenLastCalledWith('2');
  expect(screen.queryByText(/was not taken/)).not.toBeInTheDocument();
});

it('says as well of a name written out in full that it was not taken', async () => {
  const onPick = jest.fn();
  const { user } = renderUi(<One onPick={onPick} />);
  await user.clear(field());
  await user.type(field(), 'Benno Adler');
  await user.click(screen.getByRole('button', { name: 'elsewhere' }));
  expect(onPick).not.toHaveBeenCalled();
  expect(screen.getByText(/“Benno Adler” was not taken/)).toBeInTheDocument();
});

it('takes what is chosen already for taken', async () => {
  const onPick = jest.fn();
  const { user } = renderUi(<One onPick={onPick} />);
  await user.clear(field());
  await user.type(field(), 'zo');
  await user.click(screen.getByRole('option', { name: 'Zoë Lind' }));
  expect(field()).toHaveValue('Zoë Lind');
  await user.click(screen.getByRole('button', { name: 'elsewhere' }));
  expect(screen.queryByText(/was not taken/)).not.toBeInTheDocument();
});

it('shows what was picked while whoever asked is still on the way', async () => {
  const { user } = renderUi(
    <PickOne label="Who" data={people} value="3" onChange={() => undefined} />,
  );
  await user.clear(field());
  await user.type(field(), 'bett{Enter}');
  expect(field()).toHaveValue('Bettina Rohr');
});

function Some() {
  const [value, setValue] = useState<readonly string[]>([]);
  return (
    <>
      <PickSome label="Who" data={people} value={value} onChange={setValue} />
      <button type="button">elsewhere</button>
      <p>chosen {value.join(' ')}</p>
    </>
  );
}

it('takes several one after the other, and keeps what names nobody', async () => {
  const { user } = renderUi(<Some />);
  const input = field();
  await user.type(input, 'bett{Enter}');
  await user.type(input, 'zo{Enter}');
  expect(screen.getByText('chosen 1 3')).toBeInTheDocument();
  await user.type(input, 'xaver');
  await user.click(screen.getByRole('button', { name: 'elsewhere' }));
  expect(input).toHaveValue('xaver');
  expect(screen.getByText(/“xaver” was not taken: nothing here/)).toBeInTheDocument();
});

it('shows the choice in what the server sends', () => {
  const html = renderToString(
    <MantineProvider>
      <PickOne label="Who" data={people} value="3" onChange={() => undefined} />
    </MantineProvider>,
  );
  expect(html).toContain('value="Zoë Lind"');
});
