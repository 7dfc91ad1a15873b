/** The picture's screen with two people, and the first steps on it. */
import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { readLook } from '../look';
import { PlumbScreen } from '../PlumbScreen';
import { plumbViewOf } from '.';

export const view = plumbViewOf({
  people: [
    { id: 3, name: 'Ada' },
    { id: 4, name: 'Bo' },
  ],
  checks: [
    { check: 'head-clearance', label: 'Head clearance in dolphin', bar: 3, sides: [] },
    {
      check: 'straight-leg-raise',
      label: 'Straight-leg raise',
      bar: 70,
      sides: ['left', 'right', 'both'],
    },
  ],
});

type User = ReturnType<typeof renderUi>['user'];

/** A photograph of somebody, as a file. */
export const choosePhoto = (user: User) =>
  user.upload(
    document.querySelector<HTMLInputElement>('input[type=file]')!,
    new File(['x'], 'photo.jpg', { type: 'image/jpeg' }),
  );

export const practise = (user: User) =>
  user.click(screen.getByRole('button', { name: 'A practice picture' }));

export async function withMarks(
  shape: 'dolphin' | 'handstandWall',
  base = 'hands',
  take = choosePhoto,
) {
  const ui = renderUi(<PlumbScreen view={view} opened={readLook({ shape })} />);
  await take(ui.user);
  await screen.findByRole('button', { name: 'Put the marks on' });
  await ui.user.selectOptions(screen.getByLabelText('Weight on'), base);
  await ui.user.click(screen.getByRole('button', { name: 'Put the marks on' }));
  return ui;
}
