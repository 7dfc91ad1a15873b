import { screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { readBench, type BenchView } from '@/server/judging/views';
import { BenchScreen } from './BenchScreen';
import type { BenchStart } from './useBench';

// Worked out beside the interface, or drawn below what is looked at here.
jest.mock('./useStack', () => ({ useStack: () => null }));
jest.mock('./later', () => ({ LoadLadder: () => null, LengthPicture: () => null }));
jest.mock('./RecipePanel', () => ({ RecipePanel: () => null }));
jest.mock('./MeasuringGuide', () => ({ MeasuringGuide: () => null }));
jest.mock('./SavedSetups', () => ({
  SavedSetups: ({ person }: { person: { name: string } }) => <p>kept for {person.name}</p>,
}));
const saved: { name: string; text: string }[] = [];
jest.mock('@/design/saveFile', () => ({
  saveFile: (name: string, _: string, text: string) => saved.push({ name, text }),
}));

withThrowawayStudio();

function show(start: Partial<BenchStart> = {}, change: (view: BenchView) => BenchView = (v) => v) {
  fillWithDemo();
  const view = change(readBench()!);
  const personId = view.people[0]!.id;
  saved.length = 0;
  return {
    view,
    ...renderUi(
      <BenchScreen view={view} start={{ personId, shape: 'wallL', still: null, ...start }} />,
    ),
  };
}

const figures = () => screen.getByLabelText('Figures').textContent;
const choose = async (user: ReturnType<typeof renderUi>['user'], label: string, name: string) => {
  await user.click(screen.getByRole('combobox', { name: label }));
  await user.click(screen.getByRole('option', { name }));
};

it('has figures that follow what is turned, and an address that says who and what', async () => {
  const { user, view } = show();
  expect(window.location.search).toBe(`?person=${view.people[0]!.id}&shape=wallL`);
  const before = figures();
  const [first] = screen.getAllByRole('textbox', { name: /wall|distance/i });
  await user.clear(first!);
  await user.type(first!, '95');
  await user.tab();
  expect(figures()).not.toBe(before);
  await choose(user, 'Shape', 'Dolphin');
  expect(window.location.search).toMatch(/shape=dolphin/);
  expect(screen.getByRole('heading', { level: 2, name: 'Dolphin' })).toBeInTheDocument();
});

it('stands somebody of a height there, of whom nothing is kept', async () => {
  const { user, view } = show();
  expect(screen.getByText(`kept for ${view.people[0]!.name}`)).toBeInTheDocument();
  await choose(user, 'Who', 'Somebody else, by height');
  expect(screen.queryByText(/^kept for/)).not.toBeInTheDocument();
  expect(window.location.search).toMatch(/^\?height=\d+&shape=wallL$/);
  const before = figures();
  const height = screen.getByRole('textbox', { name: /^Height/ });
  await user.clear(height);
  await user.type(height, '1.90');
  await user.tab();
  expect(window.location.search).toBe('?height=190&shape=wallL');
  expect(figures()).not.toBe(before);
});

it('draws what has no loads, says so, and comes back from it', async () => {
  const { user } = show({ still: 'legs-up' });
  expect(screen.getByText(/no loads to give/)).toBeInTheDocument();
  expect(screen.queryByLabelText('Figures')).not.toBeInTheDocument();
  await choose(user, 'Shape', 'L at the wall');
  expect(figures()).not.toBe('');
});

it('says of a shape that is closed to somebody that it is to be looked at, and not why', () => {
  const closed = { isOpen: false as const, watch: [] };
  show({}, (view) => ({
    ...view,
    people: view.people.map((one, at) =>
      at === 0 ? ({ ...one, rulings: { wallL: closed } } as unknown as typeof one) : one,
    ),
  }));
  const note = screen.getByRole('note');
  expect(note).toHaveTextContent(/today: to look at, not to set up/);
  expect(within(note).getByRole('link')).toHaveAttribute('href', expect.stringMatching(/#closed$/));
});

it('hands the drawing out as a file, and its figures as text', async () => {
  const { user, view } = show();
  let copied = '';
  Object.defineProperty(navigator, 'clipboard', {
    configurable: true,
    value: { writeText: (text: string) => Promise.resolve(void (copied = text)) },
  });
  await user.click(screen.getByRole('button', { name: 'Save the drawing' }));
  expect(saved).toEqual([{ name: 'levitar-bench.svg', text: expect.stringMatching(/^<svg /) }]);
  await user.click(screen.getByRole('button', { name: 'Copy as text' }));
  expect(copied.split('\n')[0]).toBe(`${view.people[0]!.name}: L at the wall`);
  for (const line of copied.split('\n').slice(1)) expect(line).toMatch(/.+: .+/);
});
