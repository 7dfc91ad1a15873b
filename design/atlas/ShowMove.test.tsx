import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { ShowMove } from './ShowMove';

const shown = (
  <ShowMove drawn={{ move: 'child' }} label="Child’s pose" how="Knees wide, forehead down.">
    Child’s pose
  </ShowMove>
);

it('shows the movement and its words when it is asked for, and nothing before', async () => {
  const { user } = renderUi(shown);
  expect(screen.queryByText('Knees wide, forehead down.')).not.toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Child’s pose' }));
  expect(await screen.findByText('Knees wide, forehead down.')).toBeInTheDocument();
  const drawing = await screen.findByRole('img', { name: /^Child’s pose/ });
  expect(drawing.querySelectorAll('path').length).toBeGreaterThan(4);
});

it('opens and closes by key, and the focus stays where it was', async () => {
  const { user } = renderUi(shown);
  await user.tab();
  await user.keyboard('{Enter}');
  expect(await screen.findByText('Knees wide, forehead down.')).toBeInTheDocument();
  await user.keyboard('{Escape}');
  expect(screen.queryByText('Knees wide, forehead down.')).not.toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Child’s pose' })).toHaveFocus();
});
