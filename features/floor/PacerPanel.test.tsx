import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { PacerPanel } from './PacerPanel';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

it('says how long each kind of pace takes, with what is held low and high', async () => {
  const { user } = renderUi(
    <InClass fake={fakeFloor()} bundle={fakeBundle()} here={[]}>
      <PacerPanel />
    </InClass>,
  );
  const pace = () => screen.getByRole('button', { name: /^Pace, / });
  expect(pace()).toHaveAccessibleName('Pace, 0:25');
  await user.click(screen.getByRole('radio', { name: '3-2-1' }));
  expect(pace()).toHaveAccessibleName('Pace, 1:50');
  await user.click(screen.getByRole('radio', { name: 'Low, high' }));
  // Three times two breaths low and two high, five seconds each.
  expect(pace()).toHaveAccessibleName('Pace, 1:00');
  await user.clear(screen.getByLabelText('Breaths high'));
  await user.type(screen.getByLabelText('Breaths high'), '4');
  expect(pace()).toHaveAccessibleName('Pace, 1:30');
  await user.clear(screen.getByLabelText('Times'));
  await user.type(screen.getByLabelText('Times'), '2');
  expect(pace()).toHaveAccessibleName('Pace, 1:00');
});
