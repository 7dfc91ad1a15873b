import { renderUi } from '@/design/testing/renderUi';
import { OnTheWay } from './OnTheWay';

let mockPending = false;
jest.mock('next/link', () => ({ useLinkStatus: () => ({ pending: mockPending }) }));

it('shows nothing where nobody goes anywhere, and a line while the page is on its way', () => {
  const seen = renderUi(<OnTheWay />);
  const line = () => seen.container.querySelector('[data-on-the-way]');
  expect(line()).toBeNull();
  mockPending = true;
  seen.rerender(<OnTheWay />);
  // The page that comes says its own title: nothing is announced in between.
  expect(line()).toHaveAttribute('aria-hidden', 'true');
});
