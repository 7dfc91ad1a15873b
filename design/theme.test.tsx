import { NumberInput, PasswordInput, TagsInput, Textarea, TextInput } from '@mantine/core';
import { screen } from '@testing-library/react';
import { renderUi } from './testing/renderUi';

it('keeps what is typed of people out of the browser’s own memory', () => {
  renderUi(
    <>
      <TextInput label="Name" />
      <Textarea label="Words" />
      <TagsInput label="Cautions" />
      <NumberInput label="Seconds" />
      <PasswordInput label="Word" autoComplete="current-password" />
      <TextInput label="Code" autoComplete="one-time-code" />
    </>,
  );
  const named = (name: string) => [
    ...screen.queryAllByRole('textbox', { name }),
    ...screen.queryAllByRole('combobox', { name }),
  ];
  for (const name of ['Name', 'Words', 'Cautions', 'Seconds']) {
    expect(named(name)).toHaveLength(1);
    expect(named(name)[0]).toHaveAttribute('autocomplete', 'off');
  }
  // Who asks for something else gets it.
  expect(screen.getByLabelText('Word')).toHaveAttribute('autocomplete', 'current-password');
  expect(screen.getByLabelText('Code')).toHaveAttribute('autocomplete', 'one-time-code');
});
