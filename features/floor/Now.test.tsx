import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { times } from '@/core/catalog/dose';
import type { PainPlace } from '@/core/catalog/regions';
import { screeningQuestion } from '@/core/ladder/door';
import type { FloorAct } from '@/core/running/tap';
import { renderUi } from '@/design/testing/renderUi';
import { Now } from './Now';
import { PacerPanel } from './PacerPanel';
import { listTurns } from './roundTurns';
import type { Floor } from './useFloor';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

const person = (id: string, closedDrills: string[]) => ({
  id,
  closedDrills,
  fallbacks: [
    { label: 'Standing', props: [] },
    { label: 'Seated', props: [] },
  ],
});

const bundle = fakeBundle({
  startedMs: 0,
  drills: { hollow: { how: 'Head up.', dose: '5 times', regions: ['core', 'back'] } },
  prepared: {
    people: [person('1', ['hollow']), person('2', []), person('9', ['hollow'])],
  } as never,
});

function show(before: FloorAct[] = [], shown = bundle, tell: () => void = () => undefined) {
  const item = {
    id: 'hollow',
    kind: 'drill',
    drill: 'hollow',
    label: 'Hollow',
    minutes: 3,
  } as const;
  return renderUi(
    <InClass fake={fakeFloor(before)} bundle={shown} tell={tell}>
      <Now item={{ ...item, startsAt: 0 }} />
    </InClass>,
  );
}

describe('on a device that is not told why', () => {
  const sitOut = [{ id: '2', instead: 'Seated' }];
  const shown = (before: FloorAct[], isTeacher: boolean) => {
    const line = { id: 'hollow', kind: 'drill', drill: 'hollow', label: 'Hollow' } as const;
    const { unmount } = renderUi(
      <InClass fake={fakeFloor(before)} bundle={bundle} isTeacher={isTeacher}>
        <Now item={{ ...line, minutes: 3, startsAt: 0, sitOut }} />
      </InClass>,
    );
    const words = screen.getByText(/^Instead/).textContent;
    unmount();
    return words;
  };

  it('whoever said something before the class sits out as the line has it', () => {
    expect(shown([], false)).toBe('Instead: Ada: Standing; Bo: Seated');
    // The teacher's own goes by what was said, and by nothing that is older.
    expect(shown([], true)).toBe('Instead: Ada: Standing');
  });

  it('whoever was stopped sits out what loads anything', () => {
    const stopped: FloorAct = { kind: 'halt', person: '1' };
    expect(shown([stopped], false)).toBe('Instead: Ada, Bo: Seated');
  });
});

describe('the line that the class is at', () => {
  it('asks nobody for a counterpose that loads what they said is sore', () => {
    const line = { id: 'counter-handstand', kind: 'counter', label: 'Wrist releases' } as const;
    const counters = { handstand: ['wrist', 'hamstring'] } as const;
    const after = (place: PainPlace, of: object = { counters }) => {
      const { unmount } = renderUi(
        <InClass
          fake={fakeFloor([{ kind: 'sore', person: '2', place }])}
          bundle={fakeBundle({ ...bundle, ...of })}
        >
          <Now item={{ ...line, family: 'handstand', minutes: 2, startsAt: 0 }} />
        </InClass>,
      );
      const words = screen.queryByText(/^Instead/)?.textContent;
      unmount();
      return words;
    };
    expect(after('wrist')).toBe('Instead: Bo: Seated');
    expect(after('neck')).toBeUndefined();
    // A class that was begun before the regions were said.
    expect(after('wrist', {})).toBeUndefined();
  });

  it('says who of those here does what instead', () => {
    show();
    expect(screen.getByText('Instead: Ada: Standing')).toBeInTheDocument();
  });

  it.each([
    { kind: 'sign', person: '2', sign: 'ringing' },
    { kind: 'sore', person: '2', place: 'back' },
  ] as const)('and who has just said something: %j', (act) => {
    show([act]);
    expect(screen.getByText('Instead: Ada: Standing; Bo: Seated')).toBeInTheDocument();
  });

  it.each([
    [[], 'Instead: Ada: Seated, unless confirmed at the door'],
    [[false], 'Instead: Ada: Seated'],
    [[true], null],
  ])('and whom the first questions would let into what follows the holds: %j', (given, words) => {
    const asked = fakeBundle({
      startedMs: 0,
      questions: [screeningQuestion],
      prepared: {
        people: [
          {
            ...person('1', []),
            closedCounters: ['shoulder-stand'],
            askedCounters: ['shoulder-stand'],
          },
        ],
      } as never,
    });
    const item = { id: 'c', kind: 'counter', label: 'Back-arch', minutes: 2, startsAt: 0 } as const;
    const door = given.map((isFine): FloorAct => ({
      kind: 'door',
      person: '1',
      check: 'screening',
      isFine,
    }));
    renderUi(
      <InClass fake={fakeFloor(door)} bundle={asked} tell={() => undefined}>
        <Now item={{ ...item, family: 'shoulder-stand' }} />
      </InClass>,
    );
    if (words === null) expect(screen.queryByText(/^Instead/)).toBeNull();
    else expect(screen.getByText(words)).toBeInTheDocument();
  });

  it('and who keeps the feet down, where a foot leaves the floor', () => {
    const up = fakeBundle({
      ...bundle,
      drills: { hollow: { ...bundle.drills['hollow']!, feetUp: true } },
    });
    show([{ kind: 'feet-down', person: '2', isDown: true }], up);
    expect(screen.getByText('Instead: Ada: Standing; Bo: Seated')).toBeInTheDocument();
  });

  it('says to the teacher who does it with care, and how', () => {
    const cares = [{ drill: 'hollow', words: ['breath never held'] }];
    const people = bundle.prepared.people.map((one) => (one.id === '2' ? { ...one, cares } : one));
    show([], fakeBundle({ ...bundle, prepared: { people } as never }));
    expect(screen.getByText('With care: Bo: breath never held.')).toBeInTheDocument();
  });

  it('starts the pacer with the dose of the line, as often as the line holds it', async () => {
    const spec = { ...bundle.drills['hollow']!, paced: { dose: [times(5)], minutes: 1.5 } };
    const tell = jest.fn();
    const { user } = show([], fakeBundle({ ...bundle, drills: { hollow: spec } }), tell);
    // Twice in three minutes: five slow ones, a change, five again.
    await user.click(screen.getByRole('button', { name: 'Pace it, 0:40' }));
    expect(tell).toHaveBeenCalledWith({ kind: 'pace-line', line: 'hollow' });
  });

  it('but not for a place that it does not load', () => {
    show([{ kind: 'sore', person: '2', place: 'wrist' }]);
    expect(screen.getByText('Instead: Ada: Standing')).toBeInTheDocument();
  });
});

describe('a round', () => {
  const item = { id: 'round-1', kind: 'round', label: 'Round 1', minutes: 4, startsAt: 0 } as const;
  const option = (id: string, more: object = {}) => ({
    id,
    label: id,
    pass: 'open',
    value: 1,
    spans: [30, 30],
    ...more,
  });
  const placed = (id: string, confirmAtDoor: string[] = []) => ({
    id,
    option: `o${id}`,
    label: 'Dolphin',
    place: null,
    confirmAtDoor,
  });
  const inRound = (more: object = {}, confirm: string[] = []) => {
    const plan = fakeBundle().plan;
    return fakeBundle({
      startedMs: 0,
      prepared: {
        people: [
          { id: '1', options: [option('o1')], fallbacks: [], closedDrills: [] },
          {
            id: '2',
            options: [option('o2', { spans: [10], ...more })],
            fallbacks: [],
            closedDrills: [],
          },
        ],
      } as never,
      plan: {
        ...plan,
        rounds: [{ round: 1, people: [placed('1'), placed('2', confirm)] }],
      } as never,
      drills: {},
    });
  };
  const turnsOf = (
    bundle: ReturnType<typeof inRound>,
    before: FloorAct[] = [],
    here = ['1', '2'],
  ) => listTurns(0, { floor: fakeFloor(before).now(), bundle, here }).map(({ person }) => person);

  it('is paced with everybody’s own dose', () => {
    const told: unknown[] = [];
    renderUi(
      <InClass fake={fakeFloor()} bundle={inRound()} tell={(event) => told.push(event)}>
        <Now item={item} round={1} />
      </InClass>,
    );
    // Two sets of thirty seconds, the rest of the four minutes shared out, a minute at most.
    screen.getByRole('button', { name: 'Pace it, 2:00' }).click();
    expect(told).toEqual([{ kind: 'pace-line', line: 'round-1' }]);
  });

  it('counts whoever works by the clock, and nobody who is away, stopped, unconfirmed, resting or trying', () => {
    expect(turnsOf(inRound())).toEqual(['1', '2']);
    expect(turnsOf(inRound(), [], ['1'])).toEqual(['1']);
    expect(turnsOf(inRound(), [{ kind: 'sign', person: '2', sign: 'ringing' }])).toEqual(['1']);
    expect(turnsOf(inRound(), [{ kind: 'sore', person: '2', place: 'wrist' }])).toEqual(['1']);
    expect(turnsOf(inRound({}, ['Neck ease']))).toEqual(['1']);
    expect(turnsOf(inRound({ isRest: true }))).toEqual(['1']);
    expect(turnsOf(inRound({ tries: 2 }))).toEqual(['1']);
    expect(turnsOf(inRound({ spans: undefined }))).toEqual(['1']);
  });

  it('is paced anew as it then is, once it was ended', async () => {
    const fake = fakeFloor();
    const shown = inRound();
    const panel = (floor: Floor) => (
      <InClass fake={fake} floor={floor} bundle={shown}>
        <PacerPanel line={item} round={1} />
      </InClass>
    );
    const { rerender } = renderUi(panel(fake.now()));
    await userEvent.click(screen.getByRole('button', { name: 'End the pace' }));
    expect(screen.getByRole('button', { name: 'Pace, 2:00' })).toBeInTheDocument();
    // Whoever has the longer dose has to stop: ten seconds of the other are left.
    await fake.floor.say({ kind: 'sign', person: '1', sign: 'ringing' });
    rerender(panel(fake.now()));
    expect(screen.getByRole('button', { name: 'Pace, 0:10' })).toBeInTheDocument();
  });
});
