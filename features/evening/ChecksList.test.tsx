import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { ChecksList } from './ChecksList';

const members = ['Ada Wren', 'Bo Lind', 'Ada Marsh'].map((name, at) => ({
  id: String(at + 1),
  name,
})) as never;
const check = (label: string, isTogether: boolean, ids: readonly string[]) => ({
  check: 'plank-hold',
  label,
  isTogether,
  minutes: 2,
  people: ids.map((id) => ({ id, why: '' })),
});

function linesOf(absent: readonly string[]) {
  const checks = [
    check(
      'Plank',
      true,
      ['1', '2', '3'].filter((id) => !absent.includes(id)),
    ),
    check('Dolphin', true, ['2', '3']),
    check('Leg raise', false, ['3']),
  ];
  const { unmount } = renderUi(
    <ChecksList plan={{ checks, wishes: { absent } } as never} members={members} />,
  );
  const lines = screen.getAllByRole('listitem').map((item) => item.textContent);
  unmount();
  return lines;
}

it('names whom a check is for, unless one clock serves everybody who comes', () => {
  expect(linesOf([])).toEqual([
    'Plank, all together',
    'Dolphin, together: Bo, Ada M',
    'Leg raise: Ada M',
  ]);
  // Two are everybody where the third is away.
  expect(linesOf(['1'])).toEqual([
    'Plank, all together',
    'Dolphin, all together',
    'Leg raise: Ada M',
  ]);
});
