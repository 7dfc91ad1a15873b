import { fireEvent, screen, within } from '@testing-library/react';
import { useEffect, useReducer } from 'react';
import type { Room } from '@/core/room/room';
import type { LengthUnits } from '@/core/units/length';
import { renderUi } from '@/design/testing/renderUi';
import { RoomDrawing } from './RoomDrawing';
import { RoomFields, usableWords } from './RoomFields';
import { beginRoom, canUndo, findRoomProblem, reduceRoom } from './roomMachine';

const aRoom: Room = {
  format: 'levitar-room',
  version: 1,
  name: 'Hall',
  widthM: 8,
  depthM: 6,
  ceilingM: 2.6,
  blocked: [
    { wall: 'north', fromM: 0, toM: 1, what: 'piano' },
    { wall: 'west', fromM: 2, toM: 3, what: 'heater' },
  ],
  doors: [{ wall: 'south', fromM: 0.5, toM: 1.4, opensIn: true }],
  low: [
    { xM: 4, yM: 1, widthM: 0.3, depthM: 4, heightM: 2.2, what: 'beam' },
    { xM: 1, yM: 0, widthM: 1, depthM: 1, heightM: 2, what: 'lamp' },
  ],
};

let now: Room;

/** The editor as it is, without a studio behind it. */
function Editor({ units }: { readonly units: LengthUnits }) {
  const [state, tell] = useReducer(reduceRoom, aRoom, beginRoom);
  useEffect(() => {
    now = state.kept.now;
  });
  const editor = {
    room: state.shown,
    problem: findRoomProblem(state.shown),
    canUndo: canUndo(state),
    tonight: null,
    preview: (room: Room) => tell({ kind: 'preview', room }),
    commit: (room: Room) => tell({ kind: 'commit', room }),
    undo: () => tell({ kind: 'undo' }),
  };
  return (
    <>
      <RoomDrawing editor={editor} units={units} />
      <RoomFields editor={editor} units={units} />
      <button type="button" onClick={editor.undo}>
        Undo
      </button>
    </>
  );
}

const open = (units: LengthUnits = 'cm') => renderUi(<Editor units={units} />);
type User = ReturnType<typeof open>['user'];

async function write(user: User, field: HTMLElement, text: string) {
  await user.clear(field);
  await user.type(field, text);
}

const named = (label: string) => screen.getByRole('textbox', { name: label });
const nudge = (name: string, key: string, isWide = false) =>
  fireEvent.keyDown(screen.getByRole('slider', { name }), { key, shiftKey: isWide });

describe('the room in figures', () => {
  it('keeps a name with its own thing when another is taken out, and on the way back', async () => {
    const { user } = open();
    await user.click(screen.getByRole('button', { name: 'Take out: Blocked stretch 1' }));
    const left = named('What blocks stretch 1');
    expect(left).toHaveValue('heater');
    // Passing through the field renames nothing.
    await user.click(left);
    await user.tab();
    expect(now.blocked).toEqual([aRoom.blocked[1]]);
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    expect(named('What blocks stretch 1')).toHaveValue('piano');
    await user.click(screen.getByRole('button', { name: 'Take out low spot 1' }));
    expect(named('What hangs low 1')).toHaveValue('lamp');
  });

  it('keeps a name with Enter, and gives it back with Escape', async () => {
    const { user } = open();
    await write(user, named('What hangs low 2'), 'light{Escape}');
    expect(named('What hangs low 2')).toHaveValue('lamp');
    await write(user, named('What hangs low 2'), ' light {Enter}');
    expect(now.low[1]!.what).toBe('light');
  });

  it('takes every length of a low spot, in either unit', async () => {
    const { user } = open('in');
    const spot = within(screen.getByRole('group', { name: 'Low spot 1' }));
    for (const [label, text] of [
      ['Wide', '40 cm'],
      ['Deep', '3 m'],
      ['Height', '7 ft'],
      ['From west', '100'],
      ['From south', `6'`],
    ] as const) {
      await write(user, spot.getByRole('textbox', { name: label }), text);
      await user.tab();
    }
    const { widthM, depthM, heightM, xM, yM } = now.low[0]!;
    expect([widthM, depthM, heightM, xM, yM].map((metres) => metres.toFixed(2))).toEqual([
      '0.40',
      '3.00',
      '2.13',
      '2.54',
      '1.83',
    ]);
  });

  it('knows that a room of 9.6 is one of metres, and a stretch of 90 one of centimetres', async () => {
    const { user } = open();
    for (const [label, text] of [
      ['Width', '9.6'],
      ['Depth', '7'],
      ['Ceiling', '2,75'],
    ] as const) {
      await write(user, named(label), text);
      await user.tab();
    }
    expect([now.widthM, now.depthM, now.ceilingM]).toEqual([9.6, 7, 2.75]);
    const to = screen.getByRole('textbox', { name: 'Blocked stretch 1: to' });
    await write(user, to, '90');
    await user.tab();
    expect(now.blocked[0]!.toM).toBeCloseTo(0.9);
  });

  it('keeps nothing of what is no length, and Escape gives the old one back', async () => {
    const { user } = open();
    const width = named('Width');
    await write(user, width, 'wide');
    expect(width).toBeInvalid();
    await user.keyboard('{Escape}');
    expect(width).toHaveValue('800 cm');
    expect(now.widthM).toBe(8);
  });

  it('adds what is missing, and moves a door to another wall', async () => {
    const { user } = open();
    for (const name of ['Blocked stretch', 'Door', 'Low spot']) {
      await user.click(screen.getByRole('button', { name }));
    }
    expect([now.blocked.length, now.doors.length, now.low.length]).toEqual([3, 2, 3]);
    expect(findRoomProblem(now)).toBeNull();
    await user.selectOptions(screen.getByLabelText('Door 1: wall'), 'east');
    await user.click(screen.getAllByRole('switch', { name: 'opens in' })[0]!);
    expect(now.doors[0]).toEqual({ wall: 'east', fromM: 0.5, toM: 1.4, opensIn: false });
  });

  it('says how much wall is left, in the studio’s units', () => {
    const spans = [{ fromM: 1, toM: 8 }];
    expect(usableWords(aRoom, spans, 'cm')).toBe('7.0 m of 28.0 m of wall can be used');
    expect(usableWords(aRoom, spans, 'in')).toBe('23′\u00a00″ of 91′\u00a010″ of wall can be used');
  });
});

describe('the room drawn', () => {
  it('moves a whole door by keys, its width kept, and not beyond its wall', () => {
    open();
    nudge('Door on the south wall', 'ArrowLeft');
    // Along the south wall the left end is the east one, as one faces it.
    expect(now.doors[0]).toMatchObject({ fromM: 0.55, toM: 1.45 });
    for (let press = 0; press < 20; press += 1) nudge('Door on the south wall', 'ArrowLeft', true);
    expect(now.doors[0]).toMatchObject({ fromM: 7.1, toM: 8 });
  });

  it('keeps an end of a stretch on its own side of the other', () => {
    open();
    const left = 'Blocked stretch, heater, on the west wall, left end';
    for (let press = 0; press < 5; press += 1) nudge(left, 'ArrowUp', true);
    expect(now.blocked[1]).toMatchObject({ fromM: 2.95, toM: 3 });
    expect(screen.getByRole('slider', { name: left })).toHaveAttribute('aria-valuetext', '295 cm');
  });

  it('lets a low spot grow to the walls and no further, its far sides where they were', () => {
    open();
    const size = 'Low spot, lamp: size';
    for (let press = 0; press < 4; press += 1) nudge(size, 'ArrowDown', true);
    expect(now.low[1]).toMatchObject({ yM: 0, depthM: 1 });
    for (let press = 0; press < 20; press += 1) nudge(size, 'ArrowRight', true);
    expect(now.low[1]).toMatchObject({ xM: 1, widthM: 7 });
    for (let press = 0; press < 9; press += 1) nudge(size, 'ArrowUp', true);
    expect(now.low[1]!.depthM).toBeCloseTo(0.1, 9);
    expect(now.low[1]!.yM + now.low[1]!.depthM).toBeCloseTo(1, 9);
  });

  it('makes the room smaller with what stands in it', () => {
    open();
    for (let press = 0; press < 14; press += 1) nudge('Width of the room', 'ArrowLeft', true);
    expect(now.widthM).toBe(1);
    expect(now.low).toEqual([]);
    expect(findRoomProblem(now)).toBeNull();
  });
});
