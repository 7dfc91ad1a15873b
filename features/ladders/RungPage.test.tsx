import { screen } from '@testing-library/react';
import type { StageId } from '@/core/catalog/stages';
import { renderUi } from '@/design/testing/renderUi';
import { fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { RungPage } from './RungPage';

class NoSuchPage extends Error {}
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }),
  usePathname: () => '/ladders',
  useSearchParams: () => new URLSearchParams(),
  notFound: () => {
    throw new NoSuchPage();
  },
}));
withThrowawayStudio();
beforeEach(() => fillWithDemo());

const open = async (stage: string, asked: { person?: string; beside?: string } = {}) =>
  renderUi(
    await RungPage({ params: Promise.resolve({ stage }), searchParams: Promise.resolve(asked) }),
  );
/** What stands beside a word of the list. */
const fact = (word: string) => screen.getByText(word, { selector: 'dt' }).nextElementSibling;

it('says what opens a rung, how it is left and what comes before it', async () => {
  await open('FS10', { person: '2' });
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Kick to the wall');
  expect(fact('Opens with')).toHaveTextContent(/dolphin/);
  expect(fact('Elbows from the wall')).toHaveTextContent(/\d+ cm/);
  expect(screen.getByRole('link', { name: 'Hops at the wall' })).toHaveAttribute(
    'href',
    expect.stringMatching(/FS9\?person=2$/),
  );
  expect(screen.getByRole('heading', { name: 'Bettina Quill' })).toBeInTheDocument();
});

it('measures nothing from a wall where there is none', async () => {
  await open('FS4', { person: '2' });
  expect(fact('Wrists apart')).toHaveTextContent(/\d+ cm/);
  expect(screen.queryByText(/from the wall/i)).toBeNull();
});

it('has a drawing of a rung, however it is drawn', async () => {
  // A shape with loads, one without, one with a leg up, a pose of a movement, own hands.
  for (const stage of ['FS5', 'SS3', 'HB9', 'HS9', 'HS3'] satisfies StageId[]) {
    const { unmount, container } = await open(stage);
    expect([stage, container.querySelectorAll('figure svg').length > 0]).toEqual([stage, true]);
    unmount();
  }
});

it.each(['XX9', '%E0%A4%A', ''])('has no page for %j, and says so', async (stage) => {
  await expect(open(stage)).rejects.toThrow(NoSuchPage);
});
