import { screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { FloorAct } from '@/core/running/tap';
import type { PlacedPerson } from '@/core/running/follow';
import { ResetPanel, RoundPanel } from './RoundPanel';
import type * as moves from './ResetMoves';
import { fakeBundle, fakeFloor, fakePlaced } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

jest.mock('./later', () => ({
  RoundPictures: () => null,
  ResetMoves: jest.requireActual<typeof moves>('./ResetMoves').ResetMoves,
}));

const placed = (more: Partial<PlacedPerson>) => fakePlaced({ dose: '3 tries', ...more });
const open = (id: string, ...options: string[]) => ({
  id,
  options: options.map((one) => ({ id: one, props: [{ piece: 'foam-block', count: 2 }] })),
  fallbacks: [],
});

function show(
  rounds: readonly (readonly PlacedPerson[])[],
  before: readonly FloorAct[] = [],
  panel = <RoundPanel round={0} onPerson={() => undefined} />,
) {
  const bundle = fakeBundle({
    prepared: { people: [open('1', 'kick', 'hop'), open('2', 'kick')] } as never,
    plan: {
      families: ['forearm-stand'],
      checks: [],
      timeline: [],
      wishes: { absent: [], late: [], sore: [], feetDown: [], pins: [] },
      rounds: rounds.map((people) => ({ people })),
    } as never,
    questions: [
      { key: 'talk-test', label: 'Talk test', question: 'A sentence?', askedIn: 'the-door' },
    ],
  });
  return renderUi(
    <InClass fake={fakeFloor(before)} bundle={bundle}>
      {panel}
    </InClass>,
  );
}
const tile = (name: RegExp) => screen.getByRole('button', { name });

describe('a round', () => {
  it('shows everybody by their letter, with dose and help', () => {
    show([[placed({ id: '2', letter: null, needsHand: true }), placed({})]]);
    const tiles = within(screen.getByLabelText('Everybody in this round')).getAllByRole('button');
    expect(tiles.map(({ textContent }) => textContent)).toEqual([
      expect.stringMatching(/^BAda/),
      expect.stringMatching(/^Bo/),
    ]);
    expect(tiles[0]!.textContent!.replace(/\u00a0/g, ' ')).toContain('Kick to the wall, 3 tries');
    expect(tiles[1]).toHaveTextContent('with help');
  });

  it('locks what is to be asked at the door, and gives the shape beside it after a no', () => {
    const asked = placed({ confirmAtDoor: ['Talk test'], otherwise: 'Dolphin' });
    show([[asked]]);
    expect(tile(/Ada/)).toHaveTextContent('confirm first; dolphin');
    show(
      [[{ ...asked, id: '2' }]],
      [{ kind: 'door', person: '2', check: 'talk-test', isFine: false }],
    );
    expect(tile(/Bo/)).toHaveTextContent('Dolphin');
    expect(tile(/Bo/)).not.toHaveTextContent('Kick');
  });

  it('lays down whoever showed a sign, whatever the plan says, and marks a stop', () => {
    show(
      [[placed({}), placed({ id: '2' })]],
      [
        { kind: 'sign', person: '1', sign: 'seeing-stars' },
        { kind: 'halt', person: '2' },
      ],
    );
    expect(tile(/Ada/)).toHaveTextContent('Rest; somebody sees to them');
    expect(tile(/Bo/)).toHaveTextContent('stopped');
  });

  it('lets nobody do what is no longer open to them', () => {
    show([[placed({ option: 'handstand', label: 'Handstand' })]]);
    expect(tile(/Ada/)).toHaveTextContent('Wait: no longer open');
    expect(tile(/Ada/)).not.toHaveTextContent('Handstand');
  });
});

describe('between two rounds', () => {
  const reset = <ResetPanel round={1} onPerson={() => undefined} />;
  it('says who goes where, with what, and that the others stay', () => {
    show(
      [
        [placed({}), placed({ id: '2' })],
        [placed({ option: 'hop', label: 'Hops', letter: 'C' }), placed({ id: '2' })],
      ],
      [],
      reset,
    );
    expect(
      screen.getByRole('heading', { name: 'One person moves; the others stay.' }),
    ).toBeInTheDocument();
    const [move] = screen.getAllByRole('listitem');
    expect(move).toHaveTextContent(/Ada.*B.*→.*C.*Hops, with 2 blocks/);
  });

  it('says so where nobody moves', () => {
    show([[placed({})], [placed({})]], [], reset);
    expect(
      screen.getByRole('heading', { name: 'Everybody stays at their place.' }),
    ).toBeInTheDocument();
  });
});
