import { fireEvent, screen } from '@testing-library/react';
import { Link } from './Link';
import { renderUi } from './testing/renderUi';

jest.mock('next/link', () => ({
  __esModule: true,
  default: ({ prefetch, ...rest }: { readonly prefetch: boolean | null }) => (
    <a data-prefetch={String(prefetch)} {...rest} />
  ),
}));

const link = () => screen.getByRole('link', { name: 'The people' });

test('fetches nothing for being there', () => {
  renderUi(<Link href="/people">The people</Link>);
  expect(link()).toHaveAttribute('href', '/people');
  expect(link()).toHaveAttribute('data-prefetch', 'false');
});

test('fetches what somebody is about to open, and lets whoever uses it know as well', () => {
  const onPointerEnter = jest.fn();
  renderUi(
    <Link href="/people" onPointerEnter={onPointerEnter}>
      The people
    </Link>,
  );
  fireEvent.pointerEnter(link());
  expect(onPointerEnter).toHaveBeenCalledTimes(1);
  expect(link()).toHaveAttribute('data-prefetch', 'null');
});

test('is as quick by the keyboard', async () => {
  const { user } = renderUi(<Link href="/people">The people</Link>);
  await user.tab();
  expect(link()).toHaveFocus();
  expect(link()).toHaveAttribute('data-prefetch', 'null');
});
