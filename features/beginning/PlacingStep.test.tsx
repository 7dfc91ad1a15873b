import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { PlacingStep } from './PlacingStep';
import { placing } from './testing/placing';

const said: [number, object][] = [];
let isRefused = false;
jest.mock('@/features/people/actions', () => ({
  placeByWordAction: (person: number, form: object) => {
    said.push([person, form]);
    return Promise.resolve(
      isRefused ? { ok: false, problems: { form: 'Not now.' } } : { ok: true, value: undefined },
    );
  },
}));
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }));

// The first two of them.
const view = { ...placing, people: placing.people.slice(0, 2) };

beforeEach(() => {
  said.length = 0;
  isRefused = false;
});

it('shows what was said, and who is still to go', () => {
  renderUi(<PlacingStep view={view} courseId={1} />);
  expect(screen.getByRole('radio', { name: 'Ada: Base' })).toBeChecked();
  expect(screen.getByText('1 to go')).toBeInTheDocument();
});

it('keeps one tap a person at once, "never seen" as well', async () => {
  const { user } = renderUi(<PlacingStep view={view} courseId={1} />);
  await user.click(screen.getByRole('radio', { name: 'Bo: never seen' }));
  expect(said).toEqual([[2, { family: 'forearm-stand', stage: null }]]);
  expect(screen.getByText('Everybody is placed')).toBeInTheDocument();
});

it('offers no shape that is closed to somebody', () => {
  renderUi(<PlacingStep view={view} courseId={1} />);
  expect(screen.getByRole('radio', { name: 'Bo: Plank' })).toBeDisabled();
  expect(screen.getByRole('radio', { name: 'Ada: Plank' })).toBeEnabled();
});

it('takes a word back that could not be kept', async () => {
  isRefused = true;
  const { user } = renderUi(<PlacingStep view={view} courseId={1} />);
  await user.click(screen.getByRole('radio', { name: 'Ada: Plank' }));
  expect(await screen.findByText('Not now.')).toBeInTheDocument();
  expect(screen.getByRole('radio', { name: 'Ada: Base' })).toBeChecked();
});

it('has one row of pictures a family', async () => {
  const { user } = renderUi(<PlacingStep view={view} courseId={1} />);
  await user.click(screen.getByText('Headstand'));
  expect(screen.getByRole('radio', { name: 'Ada: Neck' })).not.toBeChecked();
  expect(screen.getByText('2 to go')).toBeInTheDocument();
});
