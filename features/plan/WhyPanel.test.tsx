import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { WishesFile } from '@/core/files/classFile';
import type { PlanFile } from '@/core/files/planFile';
import type { Planner } from './usePlanner';
import { pinWords, WhyPanel } from './WhyPanel';

jest.mock('./later', () => ({ Curves: () => null }));

type Pin = WishesFile['pins'][number];

const noWishes = { absent: [], late: [], sore: [], feetDown: [], pins: [] };
const own = {
  id: '1',
  options: [
    {
      id: 'kick',
      label: 'Kick to the wall',
      props: [],
      assist: 'steady the hips',
      watch: ['wrists'],
    },
    { id: 'dolphin', label: 'Dolphin', props: [] },
  ],
  fallbacks: [],
  shut: [{ stage: 'FS11', label: 'Free forearm stand', why: 'no wall free' }],
  refused: [],
};
const placed = {
  id: '1',
  option: 'kick',
  label: 'Kick to the wall',
  letter: 'B',
  role: 'next',
  why: 'dolphin held for 45 s',
  needsHand: true,
  asksFirst: true,
  confirmAtDoor: [] as string[],
  place: { kind: 'aside' },
};

function show({
  wishes = {},
  now = {},
  pins = [],
}: {
  readonly wishes?: object;
  readonly now?: object;
  readonly pins?: PlanFile['pins'];
} = {}) {
  const changes: [object, object][] = [];
  const closed = jest.fn();
  const planner = {
    wishes: { ...noWishes, ...wishes },
    prepared: {
      people: [own],
      spans: [
        { id: 'north-1', wall: 'north', fromM: 0.5, toM: 2.9 },
        { id: 'north-2', wall: 'north', fromM: 4, toM: 6 },
      ],
      drills: {},
    },
    change: (change: object, how: object) => changes.push([change, how]),
  } as unknown as Planner;
  const plan = {
    rounds: [1, 2].map((round) => ({ round, people: [{ ...placed, ...now }] })),
    pins,
    timeline: [],
  } as unknown as PlanFile;
  const ui = renderUi(
    <WhyPanel
      wishes={planner.wishes}
      prepared={planner.prepared}
      change={planner.change}
      plan={plan}
      person="1"
      name="Ada Quill"
      round={1}
      units="cm"
      href="/people/1"
      onClose={closed}
    />,
  );
  return { changes, closed, ...ui };
}
const panel = () => screen.getByRole('region', { name: 'Why this for Ada Quill' });
const keeps = { keeps: true };

it('says what somebody does, why, who helps and how, and what is closed by what', () => {
  show();
  expect(panel()).toHaveTextContent('BKick to the wall in round 2');
  expect(panel()).toHaveTextContent('newly open: the next stage: dolphin held for 45 s.');
  expect(panel()).toHaveTextContent('Ask first before hands are laid on.');
  expect(panel()).toHaveTextContent('Help: steady the hips.');
  expect(panel()).toHaveTextContent('With care: wrists.');
  expect(panel()).toHaveTextContent('Free forearm stand (no wall free)');
  expect(screen.getByRole('link', { name: 'Ada Quill' })).toHaveAttribute('href', '/people/1');
});

it('says what is open only if it is confirmed at the door, and what is done otherwise', () => {
  show({ now: { confirmAtDoor: ['Talk test'], otherwise: 'Dolphin' } });
  expect(panel()).toHaveTextContent(
    'Open if confirmed at the door: talk test. Otherwise dolphin; both sets of props',
  );
});

it('pins somebody to a shape or a stretch of wall in this round, the newer one in the older’s place', async () => {
  const before: Pin = { kind: 'student', person: '1', option: 'kick', round: 2 };
  const others: Pin = { kind: 'student', person: '2', option: 'dolphin', round: 2 };
  const { changes, user } = show({ wishes: { pins: [before, others] } });
  await user.selectOptions(screen.getByLabelText('Pin to'), 'Dolphin');
  await user.selectOptions(screen.getByLabelText('at'), 'north wall, 4.0 to 6.0 m');
  await user.click(screen.getByRole('button', { name: 'Pin this, all rounds' }));
  const pinned = (pin: object, kept: readonly object[]) => [{ pins: [...kept, pin] }, keeps];
  expect(changes).toEqual([
    pinned({ kind: 'student', person: '1', option: 'dolphin', round: 2 }, [others]),
    pinned({ kind: 'station', person: '1', span: 'north-2', round: 2 }, [before, others]),
    pinned({ kind: 'student', person: '1', option: 'kick' }, [before, others]),
  ]);
});

it('says which pin could not be kept and why, and lets go of one', async () => {
  const pin: Pin = { kind: 'station', person: '1', span: 'north-2', round: 2 };
  const other: Pin = { kind: 'tired', person: '1' };
  const { changes, user } = show({
    wishes: { pins: [pin, other] },
    pins: [{ pin, isKept: false, why: 'it would take what others hold' }],
  });
  expect(panel()).toHaveTextContent(
    'north wall, stretch 2, round 2: not kept, it would take what others hold',
  );
  await user.click(screen.getByRole('button', { name: 'Unpin north wall, stretch 2, round 2' }));
  expect(changes).toEqual([[{ pins: [other] }, keeps]]);
});

it('takes somebody out, lets them come later, and notes what is sore, each for tonight', async () => {
  const sore = { person: '2', place: 'neck' };
  const { changes, user } = show({ wishes: { absent: ['3'], sore: [sore] } });
  await user.click(screen.getByRole('button', { name: 'Not coming' }));
  await user.selectOptions(screen.getByLabelText('Comes'), 'from round 2');
  await user.selectOptions(screen.getByLabelText('Sore today'), 'wrist');
  await user.click(screen.getByLabelText(/^Feet stay down tonight/));
  await user.click(screen.getByLabelText(/^Let tries go on when tired/));
  expect(changes).toEqual([
    [{ absent: ['3', '1'] }, keeps],
    [{ late: [{ person: '1', round: 2 }] }, keeps],
    [{ sore: [sore, { person: '1', place: 'wrist' }] }, keeps],
    [{ feetDown: ['1'] }, keeps],
    [{ pins: [{ kind: 'tired', person: '1' }] }, keeps],
  ]);
});

it('takes each of them back the same way', async () => {
  const { changes, user } = show({
    wishes: {
      late: [{ person: '1', round: 2 }],
      sore: [{ person: '1', place: 'wrist' }],
      feetDown: ['1', '2'],
      pins: [{ kind: 'tired', person: '1' }],
    },
  });
  await user.selectOptions(screen.getByLabelText('Comes'), 'for the start');
  await user.selectOptions(screen.getByLabelText('Sore today'), 'nothing');
  await user.click(screen.getByLabelText(/^Feet stay down tonight/));
  await user.click(screen.getByLabelText(/^Let tries go on when tired/));
  expect(changes).toEqual([
    [{ late: [] }, keeps],
    [{ sore: [] }, keeps],
    [{ feetDown: ['2'] }, keeps],
    [{ pins: [] }, keeps],
  ]);
});

it.each([
  [{ kind: 'student', person: '1', option: 'kick' }, 'Kick to the wall, all rounds'],
  [{ kind: 'student', person: '1', option: 'gone', round: 1 }, 'gone, round 1'],
  [{ kind: 'station', person: '1', span: 'north-1' }, 'north wall, all rounds'],
  [{ kind: 'drill', drill: 'plank', use: false }, 'plank left out'],
] as const)('says %j as %j', (pin, words) => {
  expect(pinWords(pin as Pin, own.options)).toBe(words);
});
