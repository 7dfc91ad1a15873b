import { act, screen } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { renderUi } from './testing/renderUi';
import { NumberField } from './NumberField';

const sent: number[] = [];
let given: (value: number) => void;

interface KeptProps {
  readonly first?: number;
  readonly takes?: (value: number) => boolean;
  readonly whenLeft?: true;
  readonly usual?: number;
}

/** A value kept outside, as a page keeps it. */
function Kept({ first = 50, takes = () => true, whenLeft, usual }: KeptProps) {
  const [value, setValue] = useState(first);
  useEffect(() => {
    given = setValue;
  }, []);
  return (
    <>
      <NumberField
        label="Bar"
        suffix=" s"
        min={0}
        max={200}
        value={value}
        onNumber={(next) => {
          sent.push(next);
          if (takes(next)) setValue(next);
        }}
        {...(whenLeft ? { whenLeft } : {})}
        {...(usual === undefined ? {} : { onEmpty: () => setValue(usual) })}
      />
      <button type="button" onClick={() => setValue(first)}>
        Undo
      </button>
    </>
  );
}

const field = () => screen.getByRole('textbox', { name: 'Bar' });
beforeEach(() => {
  sent.length = 0;
});

it('stays empty while somebody is about to type, and takes what is typed then', async () => {
  const { user } = renderUi(<Kept />);
  await user.clear(field());
  expect(field()).toHaveValue('');
  expect(sent).toEqual([]);
  await user.type(field(), '62');
  expect(field()).toHaveValue('62 s');
  expect(sent).toEqual([6, 62]);
});

it('shows what stands where it is left empty, or the usual where it has one', async () => {
  const { user, unmount } = renderUi(<Kept />);
  await user.clear(field());
  await user.tab();
  expect(field()).toHaveValue('50 s');
  unmount();
  renderUi(<Kept usual={45} />);
  await user.clear(field());
  await user.tab();
  expect(field()).toHaveValue('45 s');
});

it('lets a figure be typed whose beginning is none, and shows what was taken of it', async () => {
  const { user } = renderUi(<Kept takes={(value) => value >= 10} />);
  await user.clear(field());
  await user.type(field(), '15');
  expect(sent).toEqual([1, 15]);
  expect(field()).toHaveValue('15 s');
  await user.clear(field());
  await user.type(field(), '3');
  await user.tab();
  expect(field()).toHaveValue('15 s');
});

it('says a figure when it is left, or with Enter, where that is asked for', async () => {
  const { user } = renderUi(<Kept whenLeft />);
  await user.clear(field());
  await user.type(field(), '62');
  expect(sent).toEqual([]);
  await user.keyboard('{Enter}');
  expect(sent).toEqual([62]);
  expect(field()).not.toHaveFocus();
  await user.clear(field());
  await user.tab();
  expect(sent).toEqual([62]);
  expect(field()).toHaveValue('62 s');
});

it('shows what comes from elsewhere, before and after', async () => {
  const { user } = renderUi(<Kept />);
  await user.clear(field());
  await user.type(field(), '62');
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(field()).toHaveValue('50 s');
  await user.clear(field());
  await user.type(field(), '70');
  act(() => given(80));
  expect(field()).toHaveValue('80 s');
});

it('goes no further than its ends', async () => {
  const { user } = renderUi(<Kept />);
  await user.clear(field());
  await user.type(field(), '300');
  await user.tab();
  expect(field()).toHaveValue('200 s');
  expect(sent.at(-1)).toBe(200);
});
