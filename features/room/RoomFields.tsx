'use client';

import { ActionIcon, Button, Group, NativeSelect, Switch } from '@mantine/core';
import { IconPlus, IconX } from '@tabler/icons-react';
import { wallIds, wallLength, type Room, type WallId } from '@/core/room/room';
import { formatAlong } from '@/core/units/along';
import type { LengthUnits } from '@/core/units/length';
import { LengthInput } from './LengthInput';
import { replaceAt } from './RoomDrawing';
import { WordInput } from './WordInput';
import { resize, tidy } from './roomMachine';
import type { RoomEditor } from './useRoomEditor';
import classes from './room.module.css';

interface RoomFieldsProps {
  readonly editor: RoomEditor;
  readonly units: LengthUnits;
}

/** In this order, under these words. */
const lowSides = [
  ['widthM', 'Wide'],
  ['depthM', 'Deep'],
  ['heightM', 'Height'],
  ['xM', 'From west'],
  ['yM', 'From south'],
] as const;

const wallChoices = wallIds.map((wall) => ({ value: wall, label: wall }));

/** The room in figures: every length can be typed. */
export function RoomFields({ editor, units }: RoomFieldsProps) {
  const { room, commit } = editor;
  const drop = (list: 'blocked' | 'doors' | 'low', at: number) =>
    commit({ ...room, [list]: room[list].filter((_, index) => index !== at) });
  return (
    <div className={classes.fields}>
      <Group gap="sm" align="flex-start">
        <LengthInput
          label="Width"
          isOfRoom
          metres={room.widthM}
          units={units}
          onChange={(widthM) => commit(resize(room, { widthM }))}
        />
        <LengthInput
          label="Depth"
          isOfRoom
          metres={room.depthM}
          units={units}
          onChange={(depthM) => commit(resize(room, { depthM }))}
        />
        <LengthInput
          label="Ceiling"
          isOfRoom
          metres={room.ceilingM}
          units={units}
          onChange={(ceilingM) => commit({ ...room, ceilingM })}
        />
      </Group>
      <Kind title="Nobody can use">
        <Add
          label="Blocked stretch"
          onClick={() =>
            commit({
              ...room,
              blocked: [...room.blocked, { wall: 'north', fromM: 0, toM: 1, what: '' }],
            })
          }
        />
      </Kind>
      {room.blocked.map((one, index) => (
        <StretchRow
          key={index}
          name={`Blocked stretch ${index + 1}`}
          one={one}
          units={units}
          onChange={(change) => commit(replaceAt(room, 'blocked', index, { ...one, ...change }))}
          onDrop={() => drop('blocked', index)}
        >
          <WordInput
            label={`What blocks stretch ${index + 1}`}
            width={118}
            words={one.what}
            onChange={(what) => commit(replaceAt(room, 'blocked', index, { ...one, what }))}
          />
        </StretchRow>
      ))}
      <Kind title="Doors">
        <Add
          label="Door"
          onClick={() =>
            commit({
              ...room,
              doors: [...room.doors, { wall: 'south', fromM: 0.5, toM: 1.4, opensIn: true }],
            })
          }
        />
      </Kind>
      {room.doors.map((one, index) => (
        <StretchRow
          key={index}
          name={`Door ${index + 1}`}
          one={one}
          units={units}
          onChange={(change) => commit(replaceAt(room, 'doors', index, { ...one, ...change }))}
          onDrop={() => drop('doors', index)}
        >
          <Switch
            className={classes.opens}
            label="opens in"
            checked={one.opensIn}
            onChange={({ currentTarget: { checked } }) =>
              commit(replaceAt(room, 'doors', index, { ...one, opensIn: checked }))
            }
          />
        </StretchRow>
      ))}
      <Kind title="Low spots">
        <Add
          label="Low spot"
          onClick={() => commit({ ...room, low: [...room.low, newLowSpot(room)] })}
        />
      </Kind>
      {room.low.map((one, index) => (
        <div key={index} role="group" aria-label={`Low spot ${index + 1}`} className={classes.low}>
          <Group gap={6} wrap="nowrap">
            <WordInput
              label={`What hangs low ${index + 1}`}
              width={250}
              words={one.what}
              onChange={(what) => commit(replaceAt(room, 'low', index, { ...one, what }))}
            />
            <Drop label={`Take out low spot ${index + 1}`} onClick={() => drop('low', index)} />
          </Group>
          {lowSides.map(([side, label]) => (
            <LengthInput
              key={side}
              label={label}
              width={82}
              metres={one[side]}
              units={units}
              onChange={(metres) =>
                commit(replaceAt(room, 'low', index, { ...one, [side]: metres }))
              }
            />
          ))}
        </div>
      ))}
    </div>
  );
}

const newLowSpot = (room: Room): Room['low'][number] => ({
  xM: tidy(room.widthM / 2),
  yM: 0,
  widthM: 0.3,
  depthM: tidy(room.depthM),
  heightM: tidy(Math.max(0.5, room.ceilingM - 0.4)),
  what: 'beam',
});

interface StretchRowProps {
  readonly name: string;
  readonly one: { readonly wall: WallId; readonly fromM: number; readonly toM: number };
  readonly units: LengthUnits;
  readonly onChange: (change: { wall?: WallId; fromM?: number; toM?: number }) => void;
  readonly onDrop: () => void;
  readonly children: React.ReactNode;
}

function StretchRow({ name, one, units, onChange, onDrop, children }: StretchRowProps) {
  return (
    <Group gap={6} wrap="nowrap" className={classes.line}>
      <NativeSelect
        size="sm"
        w={94}
        aria-label={`${name}: wall`}
        value={one.wall}
        data={wallChoices}
        onChange={({ currentTarget: { value } }) => onChange({ wall: value as WallId })}
      />
      <LengthInput
        isLabelHidden
        label={`${name}: from its left end`}
        width={92}
        metres={one.fromM}
        units={units}
        onChange={(fromM) => onChange({ fromM })}
      />
      <LengthInput
        isLabelHidden
        label={`${name}: to`}
        width={92}
        metres={one.toM}
        units={units}
        onChange={(toM) => onChange({ toM })}
      />
      {children}
      <Drop label={`Take out: ${name}`} onClick={onDrop} />
    </Group>
  );
}

function Drop({ label, onClick }: { readonly label: string; readonly onClick: () => void }) {
  return (
    <ActionIcon variant="subtle" size={32} aria-label={label} onClick={onClick}>
      <IconX size={16} />
    </ActionIcon>
  );
}

/** What there may be several of, and how one more comes. */
const Kind = ({
  title,
  children,
}: {
  readonly title: string;
  readonly children: React.ReactNode;
}) => (
  <div className={classes.kind}>
    <h2>{title}</h2>
    {children}
  </div>
);

function Add({ label, onClick }: { readonly label: string; readonly onClick: () => void }) {
  return (
    <Button
      size="compact-md"
      variant="default"
      leftSection={<IconPlus size={14} />}
      onClick={onClick}
    >
      {label}
    </Button>
  );
}

/** How much wall is left to use, for the line under the drawing. */
export const usableWords = (
  room: Room,
  spans: readonly { fromM: number; toM: number }[],
  units: LengthUnits,
): string => {
  const whole = wallIds.reduce((sum, wall) => sum + wallLength(room, wall), 0);
  const usable = spans.reduce((sum, { fromM, toM }) => sum + toM - fromM, 0);
  return `${formatAlong(usable, units)} of ${formatAlong(whole, units)} of wall can be used`;
};
