import { screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { EveningStrips } from './EveningStrips';

it('draws what is done, in its order, with its time and its minutes', () => {
  renderUi(
    <EveningStrips
      startsAt="18:50"
      lines={[
        { id: 'boat', label: 'Boat', startsAt: 4, minutes: 3, move: 'boat' },
        { id: 'counter', label: 'Child’s pose', startsAt: 12.5, minutes: 2, move: 'child' },
      ]}
    />,
  );
  const lines = within(screen.getByRole('list', { name: 'What is done' })).getAllByRole('listitem');
  expect(lines.map(({ textContent }) => textContent)).toEqual([
    expect.stringContaining('18:54 Boat 3 min'),
    expect.stringContaining('19:02 Child’s pose 2 min'),
  ]);
  for (const line of lines) expect(within(line).getByRole('img')).toBeInTheDocument();
});
