import { screen } from '@testing-library/react';
import { useState } from 'react';
import { renderUi } from '@/design/testing/renderUi';
import { formatHeight } from '@/core/units/length';
import { DialField } from './DialField';

const dial = { label: 'Elbows from the wall', unit: 'm', low: 0.1, high: 1.2 } as const;

function Field({ onTurn, units = 'cm' }: { onTurn: (value: number) => void; units?: 'cm' | 'in' }) {
  const [value, setValue] = useState(0.51);
  return (
    <DialField
      dial={dial}
      value={value}
      units={units}
      onTurn={(next) => {
        onTurn(next);
        setValue(next);
      }}
    />
  );
}

const typed = () => screen.getByRole<HTMLInputElement>('textbox');

it('takes what is typed with Enter or when the field is left', async () => {
  const onTurn = jest.fn();
  const { user } = renderUi(<Field onTurn={onTurn} />);
  expect(typed()).toHaveValue('51 cm');
  await user.clear(typed());
  await user.type(typed(), '48{Enter}');
  expect(onTurn).toHaveBeenLastCalledWith(0.48);
  expect(typed()).toHaveValue('48 cm');
  await user.clear(typed());
  await user.type(typed(), '1.1 m');
  await user.tab();
  expect(onTurn).toHaveBeenLastCalledWith(1.1);
});

it('says the range for what lies outside, turns nothing, and keeps what was typed', async () => {
  const onTurn = jest.fn();
  const { user } = renderUi(<Field onTurn={onTurn} />);
  await user.clear(typed());
  await user.type(typed(), '300{Enter}');
  await user.tab();
  expect(onTurn).not.toHaveBeenCalled();
  expect(screen.getByText('10 cm to 120 cm')).toBeInTheDocument();
  expect(typed()).toHaveValue('300');
  await user.click(typed());
  await user.keyboard('{Escape}');
  expect(screen.queryByText('10 cm to 120 cm')).not.toBeInTheDocument();
});

it('reads and says inches where they are used', async () => {
  const onTurn = jest.fn();
  const { user } = renderUi(<Field onTurn={onTurn} units="in" />);
  await user.clear(typed());
  await user.type(typed(), '20{Enter}');
  expect(onTurn.mock.calls[0][0]).toBeCloseTo(0.508, 3);
});

it('shows a height as heights are said', () => {
  renderUi(
    <DialField
      dial={{ ...dial, label: 'Height', high: 2.2 }}
      value={1.68}
      units="in"
      say={formatHeight}
      onTurn={() => undefined}
    />,
  );
  expect(typed()).toHaveValue('5′ 6″');
});

it('turns an angle in whole degrees, when it is typed to its end', async () => {
  const turned: number[] = [];
  function Elbows() {
    const [value, setValue] = useState(70);
    return (
      <DialField
        dial={{ label: 'Elbows', unit: 'deg', low: 60, high: 150 }}
        value={value}
        units="cm"
        onTurn={(next) => {
          turned.push(next);
          // As the bench does: within what the dial reaches.
          setValue(Math.min(150, Math.max(60, next)));
        }}
      />
    );
  }
  const { user } = renderUi(<Elbows />);
  await user.clear(typed());
  await user.type(typed(), '95{Enter}');
  expect(turned).toEqual([95]);
  await user.clear(typed());
  await user.tab();
  expect(typed()).toHaveValue('95°');
});
