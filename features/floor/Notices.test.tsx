import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { Notices } from './FloorBody';
import { fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';
import { firstView } from './view';

const mockPush = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: mockPush }) }));
jest.mock('./later', () => ({}));

const show = (isTeacher: boolean) =>
  renderUi(
    <InClass fake={fakeFloor([{ kind: 'end' }])} isTeacher={isTeacher}>
      <Notices view={firstView} />
    </InClass>,
  );

beforeEach(() => mockPush.mockReset());

it('leads from a class that has ended to its review, without a page anew', async () => {
  const { user } = show(true);
  const link = screen.getByRole('link', { name: 'Review the evening' });
  expect(link).toHaveAttribute('href', '/review/u');
  await user.click(link);
  expect(mockPush).toHaveBeenCalledWith('/review/u');
});

it('leaves a window of its own to the browser', async () => {
  const { user } = show(true);
  const link = screen.getByRole('link', { name: 'Review the evening' });
  // jsdom goes nowhere; what matters is that nobody else does.
  link.addEventListener('click', (event) => event.preventDefault());
  await user.keyboard('{Control>}');
  await user.click(link);
  await user.keyboard('{/Control}');
  expect(mockPush).not.toHaveBeenCalled();
});

it('offers no review to an assistant', () => {
  show(false);
  expect(screen.getByRole('status')).toHaveTextContent('The class has ended');
  expect(screen.queryByRole('link')).toBeNull();
});
