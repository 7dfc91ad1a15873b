'use client';

import { Button } from '@mantine/core';
import { useElementSize, useMediaQuery } from '@mantine/hooks';
import { IconZoomIn, IconZoomOut } from '@tabler/icons-react';
import { useState } from 'react';
import { roomFrame } from '@/core/drawing/roomFrame';
import { drawRoom } from '@/core/drawing/roomPlan';
import { floorBefore, usableSpans, wallLength, type Room, type WallId } from '@/core/room/room';
import { formatRoomLength, type LengthUnits } from '@/core/units/length';
import { SceneView } from '@/design/drawing/SceneView';
import { phoneQuery } from '@/design/phone';
import { useHandle } from '@/design/useHandle';
import { resize, snapM, tidy } from './roomMachine';
import type { RoomEditor } from './useRoomEditor';
import classes from './room.module.css';

interface RoomDrawingProps {
  readonly editor: RoomEditor;
  readonly units: LengthUnits;
}

const fullPx = 760;
/** Two handles nearer to each other than this are one under a finger. */
const apartPx = 30;

/** One thing that can be taken hold of: where it is, and what the room is when it is moved. */
interface Handle {
  readonly key: string;
  readonly label: string;
  readonly x: number;
  readonly y: number;
  readonly cursor: string;
  readonly value: number;
  readonly max: number;
  /** What stands where, in words, where one number does not say it. */
  readonly said?: string;
  /** Taken in the middle: all of it moves. */
  readonly isWhole?: true;
  /** The room with this handle moved by so many metres across the sheet. */
  readonly move: (dxM: number, dyM: number) => Room;
}

/** Along a wall, which way the sheet runs: to the right or upwards counts more or less of it. */
function along(wall: WallId, dxM: number, dyM: number): number {
  return { north: dxM, south: -dxM, west: dyM, east: -dyM }[wall];
}

const stretchName = (list: 'blocked' | 'doors', one: object) =>
  list === 'doors' ? 'Door' : `Blocked stretch${'what' in one && one.what ? `, ${one.what},` : ''}`;

/** Nothing that is shown is smaller than can be taken hold of. */
const leastLowM = 0.1;

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/**
 * The room to scale; walls, blocked stretches, doors and low spots are moved by their handles.
 *
 * On a phone all of it is seen first; larger, it moves under the thumb, and what lies too close
 * together for a finger can be taken hold of.
 */
export function RoomDrawing({ editor, units }: RoomDrawingProps) {
  const isPhone = useMediaQuery(phoneQuery, false);
  const [isLarge, setLarge] = useState(false);
  const { ref, width } = useElementSize();
  const isWhole = isPhone && !isLarge && width > 0;
  return (
    <>
      {isPhone && (
        <Button
          variant="subtle"
          leftSection={isLarge ? <IconZoomOut size={18} /> : <IconZoomIn size={18} />}
          onClick={() => setLarge(!isLarge)}
        >
          {isLarge ? 'The whole room' : 'Larger, every handle'}
        </Button>
      )}
      <div ref={ref} className={classes.sheet}>
        <RoomSheet
          editor={editor}
          units={units}
          widthPx={isWhole ? Math.min(width, fullPx) : fullPx}
          isWhole={isWhole}
        />
      </div>
    </>
  );
}

interface RoomSheetProps extends RoomDrawingProps {
  readonly widthPx: number;
  /** Ends are left out where they lie too close to their middle. */
  readonly isWhole: boolean;
}

function RoomSheet({ editor, units, widthPx, isWhole }: RoomSheetProps) {
  const { room, preview, commit } = editor;
  const frame = roomFrame(room, widthPx, units);
  const scene = {
    widthPx,
    heightPx: frame.heightPx,
    pxPerM: frame.pxPerM,
    shapes: drawRoom(room, usableSpans(room), frame, {
      units,
      withDimensions: true,
      textPx: 12,
      withWalls: true,
      withObstacleNames: !isWhole,
    }),
    sentences: usableSpans(room).map(
      ({ wall, fromM, toM }) =>
        `${wall} wall: usable from ${formatRoomLength(fromM, units)} to ${formatRoomLength(toM, units)}.`,
    ),
  };
  /** A door or an obstacle taken in its middle: it keeps its width. */
  const wholeOf = (of: Room, list: 'blocked' | 'doors', index: number): Handle => {
    const one = of[list][index]!;
    const widthM = one.toM - one.fromM;
    const most = wallLength(of, one.wall) - widthM;
    const at = floorBefore(of, one.wall, one, 0);
    return {
      key: `${list}-${index}-whole`,
      label: `${stretchName(list, one)} on the ${one.wall} wall`,
      x: frame.x((at.left + at.right) / 2),
      y: frame.y((at.bottom + at.top) / 2),
      cursor: one.wall === 'north' || one.wall === 'south' ? 'ew-resize' : 'ns-resize',
      value: one.fromM,
      max: Math.max(0, most),
      isWhole: true,
      said: `from ${formatRoomLength(one.fromM, units)} to ${formatRoomLength(one.toM, units)}`,
      move: (dx, dy) => {
        const fromM = clamp(tidy(one.fromM + along(one.wall, dx, dy)), 0, Math.max(0, most));
        return replaceAt(of, list, index, { ...one, fromM, toM: tidy(fromM + widthM) });
      },
    };
  };
  const handles = (of: Room): Handle[] => [
    {
      key: 'width',
      label: 'Width of the room',
      x: frame.x(of.widthM),
      y: frame.y(of.depthM / 2),
      cursor: 'ew-resize',
      value: of.widthM,
      max: 60,
      move: (dx) => resize(of, { widthM: clamp(tidy(of.widthM + dx), 1, 60) }),
    },
    {
      key: 'depth',
      label: 'Depth of the room',
      x: frame.x(of.widthM / 2),
      y: frame.y(of.depthM),
      cursor: 'ns-resize',
      value: of.depthM,
      max: 60,
      move: (_, dy) => resize(of, { depthM: clamp(tidy(of.depthM + dy), 1, 60) }),
    },
    ...(['blocked', 'doors'] as const).flatMap((list) =>
      of[list].flatMap((one, index) => [
        wholeOf(of, list, index),
        ...(['fromM', 'toM'] as const).map((end): Handle => {
          const length = wallLength(of, one.wall);
          const at = floorBefore(of, one.wall, { fromM: one[end], toM: one[end] }, 0);
          return {
            key: `${list}-${index}-${end}`,
            label: `${stretchName(list, one)} on the ${one.wall} wall, ${end === 'fromM' ? 'left' : 'right'} end`,
            x: frame.x(at.left),
            y: frame.y(at.bottom),
            cursor: one.wall === 'north' || one.wall === 'south' ? 'ew-resize' : 'ns-resize',
            value: one[end],
            max: length,
            move: (dx, dy) => {
              const to = tidy(one[end] + along(one.wall, dx, dy));
              const moved =
                end === 'fromM'
                  ? clamp(to, 0, one.toM - snapM)
                  : clamp(to, one.fromM + snapM, length);
              return replaceAt(of, list, index, { ...one, [end]: tidy(moved) });
            },
          };
        }),
      ]),
    ),
    ...of.low.flatMap((one, index): Handle[] => [
      {
        key: `low-${index}-place`,
        label: `Low spot${one.what ? `, ${one.what}` : ''}: place`,
        x: frame.x(one.xM + one.widthM / 2),
        y: frame.y(one.yM + one.depthM / 2),
        cursor: 'move',
        value: one.xM,
        max: of.widthM,
        isWhole: true,
        said: `${formatRoomLength(one.xM, units)} from the west wall, ${formatRoomLength(one.yM, units)} from the south wall`,
        move: (dx, dy) =>
          replaceAt(of, 'low', index, {
            ...one,
            xM: clamp(tidy(one.xM + dx), 0, tidy(Math.max(0, of.widthM - one.widthM))),
            yM: clamp(tidy(one.yM + dy), 0, tidy(Math.max(0, of.depthM - one.depthM))),
          }),
      },
      {
        key: `low-${index}-size`,
        label: `Low spot${one.what ? `, ${one.what}` : ''}: size`,
        x: frame.x(one.xM + one.widthM),
        y: frame.y(one.yM),
        cursor: 'nwse-resize',
        value: one.widthM,
        max: of.widthM,
        said: `${formatRoomLength(one.widthM, units)} wide, ${formatRoomLength(one.depthM, units)} deep`,
        move: (dx, dy) => {
          // The north and west sides stay where they are.
          const up = clamp(tidy(dy), -one.yM, tidy(one.depthM - leastLowM));
          const widest = tidy(Math.max(leastLowM, of.widthM - one.xM));
          return replaceAt(of, 'low', index, {
            ...one,
            widthM: clamp(tidy(one.widthM + dx), leastLowM, widest),
            depthM: tidy(one.depthM - up),
            yM: tidy(one.yM + up),
          });
        },
      },
    ]),
  ];

  const all = handles(room);
  const isFree = (handle: Handle) =>
    !isWhole ||
    handle.isWhole === true ||
    all.every(
      (other) =>
        other.isWhole !== true || Math.hypot(other.x - handle.x, other.y - handle.y) >= apartPx,
    );
  return (
    <div className={classes.drawing} style={{ width: widthPx }}>
      <SceneView scene={scene} label="The room from above" />
      {all.filter(isFree).map((handle) => (
        <RoomHandle
          key={handle.key}
          handle={handle}
          room={room}
          units={units}
          widthPx={widthPx}
          find={(of) => handles(of).find(({ key }) => key === handle.key) ?? handle}
          preview={preview}
          commit={commit}
        />
      ))}
    </div>
  );
}

interface RoomHandleProps {
  readonly handle: Handle;
  readonly room: Room;
  readonly units: LengthUnits;
  readonly widthPx: number;
  /** The same handle in another room. */
  readonly find: (of: Room) => Handle;
  readonly preview: (room: Room) => void;
  readonly commit: (room: Room) => void;
}

function RoomHandle({ handle, room, units, widthPx, find, preview, commit }: RoomHandleProps) {
  const moved = (from: Room, dxPx: number, dyPx: number): Room => {
    // The scale of the moment it was taken: growing the room must not run away under the hand.
    const scale = roomFrame(from, widthPx, units).pxPerM;
    return find(from).move(dxPx / scale, -dyPx / scale);
  };
  const moves = useHandle<Room>({
    take: () => room,
    move: (from, dxPx, dyPx) => preview(moved(from, dxPx, dyPx)),
    drop: (from, dxPx, dyPx) => commit(moved(from, dxPx, dyPx)),
    cancel: preview,
    step: (right, up, isWide) => {
      const by = isWide ? 10 * snapM : snapM;
      commit(handle.move(right * by, up * by));
    },
  });
  return (
    <span
      role="slider"
      tabIndex={0}
      aria-label={handle.label}
      aria-valuemin={0}
      aria-valuemax={handle.max}
      aria-valuenow={handle.value}
      aria-valuetext={handle.said ?? formatRoomLength(handle.value, units)}
      data-whole={handle.isWhole}
      className={classes.handle}
      style={{ left: handle.x, top: handle.y, cursor: handle.cursor }}
      {...moves}
    />
  );
}

/** The room with one thing of a list replaced. */
export function replaceAt<L extends 'blocked' | 'doors' | 'low'>(
  room: Room,
  list: L,
  index: number,
  one: Room[L][number],
): Room {
  return { ...room, [list]: room[list].map((old, at) => (at === index ? one : old)) };
}
