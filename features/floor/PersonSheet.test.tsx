import { screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { FloorAct } from '@/core/running/tap';
import type { PlacedPerson } from '@/core/running/follow';
import { PersonSheet } from './PersonSheet';
import { fakeBundle, fakeFloor, fakePlaced } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

jest.mock('./Tries', () => ({ Tries: () => <p>tries are noted here</p> }));

interface Setting {
  readonly one?: Partial<PlacedPerson>;
  readonly option?: object;
  readonly before?: readonly FloorAct[];
  readonly isTeacher?: boolean;
  readonly consent?: 'yes' | 'ask' | 'no';
  readonly askedIn?: 'the-door' | 'the-hold';
}

function show({
  one = {},
  option = {},
  before = [],
  isTeacher = true,
  consent = 'ask',
  askedIn = 'the-door',
}: Setting = {}) {
  const fake = fakeFloor(before);
  const bundle = fakeBundle({
    members: [{ id: '1', name: 'Ada', consent, body: { heightM: 1.7 } }],
    prepared: {
      people: [
        {
          id: '1',
          options: [{ id: 'kick', stage: 'FS9', props: [], checkFirst: ['Chair at the wall.'] }],
          fallbacks: [],
        },
      ],
    } as never,
    stages: {
      FS9: {
        family: 'forearm-stand',
        label: 'Kick',
        say: ['Press the forearms down.'],
        watch: ['elbows slide apart'],
        sayWith: { flat: ['Palms down.'] },
      },
    },
    questions: [{ key: 'talk-test', label: 'Talk test', question: 'A whole sentence?', askedIn }],
  });
  const options = bundle.prepared.people[0]!.options as unknown as object[];
  Object.assign(options[0]!, option);
  const called = { stop: jest.fn(), clock: jest.fn(), close: jest.fn() };
  const ui = renderUi(
    <InClass fake={fake} bundle={bundle} isTeacher={isTeacher}>
      <PersonSheet
        name="Ada"
        placed={fakePlaced(one)}
        round={2}
        onStop={called.stop}
        onClock={called.clock}
        onClose={called.close}
      />
    </InClass>,
  );
  return { fake, called, ...ui };
}
const sheet = () => screen.getByRole('dialog');

it('says what is done, what is said, what is watched for, and what is looked at first', () => {
  show({ one: { dose: '3 tries' } });
  expect(sheet()).toHaveTextContent('Kick to the wall');
  expect(sheet()).toHaveTextContent('3 tries.');
  expect(sheet()).toHaveTextContent('Say: Press the forearms down.');
  expect(sheet()).toHaveTextContent('Watch for: elbows slide apart.');
  expect(
    within(screen.getByRole('list', { name: 'Before weight goes on' })).getByText(
      'Chair at the wall.',
    ),
  ).toBeInTheDocument();
});

it('says to whoever’s hands lie otherwise what fits them', () => {
  show({ option: { variant: 'flat' } });
  expect(sheet()).toHaveTextContent('Say: Palms down.');
  expect(sheet()).not.toHaveTextContent('Press the forearms down.');
});

it('locks the shape until it is confirmed at the door, with what is done until then', async () => {
  const { fake, user } = show({
    one: { confirmAtDoor: ['Talk test'], otherwise: 'Dolphin' },
  });
  expect(sheet()).toHaveTextContent(
    'Locked until it is confirmed at the door; until then: dolphin.',
  );
  expect(screen.queryByText('tries are noted here')).toBeNull();
  expect(screen.queryByRole('button', { name: 'A clock for Ada' })).toBeNull();
  await user.click(within(sheet()).getByText('Fine'));
  expect(fake.said).toEqual([{ kind: 'door', person: '1', check: 'talk-test', isFine: true }]);
});

it('lets begin what is asked in the middle of the hold', () => {
  show({ one: { confirmAtDoor: ['Talk test'], otherwise: 'Dolphin' }, askedIn: 'the-hold' });
  expect(sheet()).toHaveTextContent('Begin below, and ask in the middle of it');
});

it('gives the shape beside it after a no', () => {
  show({
    one: { confirmAtDoor: ['Talk test'], otherwise: 'Dolphin' },
    before: [{ kind: 'door', person: '1', check: 'talk-test', isFine: false }],
  });
  expect(sheet()).toHaveTextContent('Dolphin');
  expect(sheet()).not.toHaveTextContent('Kick to the wall');
  expect(screen.getByText('tries are noted here')).toBeInTheDocument();
});

it('closes everything upside down after a sign', () => {
  show({ before: [{ kind: 'sign', person: '1', sign: 'ringing' }] });
  expect(sheet()).toHaveTextContent('Everything upside down is closed for tonight.');
  expect(screen.queryByText('tries are noted here')).toBeNull();
});

it('counts help that was given, never to whoever wants none', async () => {
  const { fake, user, unmount } = show({ one: { needsHand: true, asksFirst: true } });
  expect(sheet()).toHaveTextContent('With help: steady. Ask first.');
  await user.click(screen.getByRole('button', { name: 'Helped (0)' }));
  expect(fake.said).toEqual([{ kind: 'assist', person: '1', round: 2 }]);
  unmount();
  show({ one: { needsHand: true }, consent: 'no' });
  expect(sheet()).toHaveTextContent('Hands-on help: no');
  expect(screen.queryByRole('button', { name: /^Helped/ })).toBeNull();
});

it('keeps cares, questions and pictures from a helper', () => {
  const one = { confirmAtDoor: ['Talk test'] };
  const { unmount } = show({ one, option: { watch: ['wrists'] } });
  expect(sheet()).toHaveTextContent('With care: wrists.');
  expect(screen.getByText('A whole sentence?')).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'Lines from a picture' })).toBeInTheDocument();
  unmount();
  show({ one, option: { watch: ['wrists'] }, isTeacher: false });
  expect(sheet()).not.toHaveTextContent('With care');
  expect(screen.queryByText('A whole sentence?')).toBeNull();
  expect(screen.queryByRole('link', { name: 'Lines from a picture' })).toBeNull();
});

it('has a clock and a stop for this one person', async () => {
  const { called, user } = show();
  await user.click(screen.getByRole('button', { name: 'A clock for Ada' }));
  expect(called.clock).toHaveBeenCalled();
  await user.click(screen.getByRole('button', { name: 'Stop Ada' }));
  expect(called.stop).toHaveBeenCalled();
});
