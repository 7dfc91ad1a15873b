'use client';

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ActionIcon } from '@mantine/core';
import { IconGripVertical, IconX } from '@tabler/icons-react';
import { useState } from 'react';
import type { DrillBook, DrillKey } from '@/core/catalog/drills';
import { drawnIn, type Drawn } from '@/core/compose/drawnIn';
import { doneByAll } from '@/core/compose/sittingOut';
import type { PlanFile } from '@/core/files/planFile';
import { ShowMove } from '@/design/atlas/ShowMove';
import { useHandle } from '@/design/useHandle';
import { clockAt } from '@/features/evening/marks';
import classes from './plan.module.css';

export interface OrderedDrill {
  readonly drill: DrillKey;
  readonly minutes: number;
}

interface TimeBandProps {
  readonly plan: PlanFile;
  readonly drills: DrillBook;
  readonly startsAt: string;
  readonly pxPerMinute: number;
  readonly isOwnOrder: boolean;
  readonly onOrder: (order: readonly OrderedDrill[]) => void;
  readonly onLeaveOut: (drill: DrillKey) => void;
}

type Item = PlanFile['timeline'][number];
interface Done {
  readonly drawn: Drawn;
  /** How it is done, in words, where there are some. */
  readonly how: string;
}

function doneIn(item: Item, drills: DrillBook): Done | undefined {
  const drawn = drawnIn(item, drills);
  if (drawn === null) return undefined;
  const drill = doneByAll(item);
  return { drawn, how: drill === null ? '' : (drills[drill]?.how ?? '') };
}

/** Of words in a line of the band, px: as the style sheet has it. */
const wordsPx = 16.2;
/** How many lines of words stand in so much of the band. */
const linesIn = (heightPx: number) => Math.max(1, Math.floor((heightPx - 1) / wordsPx));

/** So many letters are a full line: more than that in one is written closer. */
const tightFrom = 38;

/** No line of the band is lower than its words; the lanes beside it are cut the same way. */
export const leastPx = 17;
const leastMinutes = 1;
const mostMinutes = 20;
const stepMinutes = 0.5;

const clampMinutes = (minutes: number) =>
  Math.min(mostMinutes, Math.max(leastMinutes, Math.round(minutes / stepMinutes) * stepMinutes));

/** The running order along the clock: drills can be moved, made longer and left out. */
export function TimeBand(props: TimeBandProps) {
  const { plan, drills, startsAt, pxPerMinute, onOrder, onLeaveOut, isOwnOrder } = props;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const lines = plan.timeline.filter(({ kind }) => kind === 'drill');
  const ids = lines.map(({ id }) => id);
  const order = (list: readonly Item[]) =>
    onOrder(
      list.flatMap(({ drill, minutes }) => (drill === undefined ? [] : [{ drill, minutes }])),
    );
  const move = ({ active, over }: DragEndEvent) => {
    if (over === null || active.id === over.id) return;
    const to = ids.indexOf(String(over.id));
    if (to >= 0) order(arrayMove([...lines], ids.indexOf(String(active.id)), to));
  };
  const resize = (id: string, minutes: number) =>
    order(lines.map((item) => (item.id === id ? { ...item, minutes } : item)));
  return (
    <DndContext
      id="running-order"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={move}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className={classes.band} aria-label={`Running order${isOwnOrder ? ', yours' : ''}`}>
          {plan.timeline.map((item) => (
            <BandItem
              key={item.id}
              item={item}
              clock={clockAt(startsAt, item.startsAt)}
              pxPerMinute={pxPerMinute}
              onResize={(minutes) => resize(item.id, minutes)}
              done={doneIn(item, drills)}
              onLeaveOut={() => item.drill !== undefined && onLeaveOut(item.drill)}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface BandItemProps {
  readonly item: Item;
  /** What everybody does in it, where it is the same for all. */
  readonly done: Done | undefined;
  readonly clock: string;
  readonly pxPerMinute: number;
  readonly onResize: (minutes: number) => void;
  readonly onLeaveOut: () => void;
}

function BandItem({ item, done, clock, pxPerMinute, onResize, onLeaveOut }: BandItemProps) {
  const isDrill = item.kind === 'drill';
  const words = `${item.label}${item.waves === 2 ? ' (in two turns)' : ''}`;
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: item.id,
    disabled: !isDrill,
  });
  const [drawn, setDrawn] = useState<number | null>(null);
  const minutes = drawn ?? item.minutes;
  const height = Math.max(leastPx, minutes * pxPerMinute);
  const pulled = (from: number, dyPx: number) => clampMinutes(from + dyPx / pxPerMinute);
  const resize = useHandle<number>({
    take: () => item.minutes,
    move: (from, _, dyPx) => setDrawn(pulled(from, dyPx)),
    drop: (from, _, dyPx) => {
      setDrawn(null);
      if (pulled(from, dyPx) !== item.minutes) onResize(pulled(from, dyPx));
    },
    cancel: () => setDrawn(null),
    // Down the sheet is later: longer.
    step: (_, up) => up !== 0 && onResize(clampMinutes(item.minutes - up * stepMinutes)),
  });
  return (
    <li
      ref={setNodeRef}
      className={classes.bandItem}
      data-kind={item.kind}
      style={{
        height,
        transform: CSS.Translate.toString(transform),
        transition,
        zIndex: isDragging ? 3 : undefined,
      }}
    >
      <span className={classes.clock}>{clock}</span>
      {isDrill ? (
        <button
          type="button"
          className={classes.grip}
          aria-label={`Move ${item.label}`}
          {...attributes}
          {...listeners}
        >
          <IconGripVertical size={14} />
        </button>
      ) : (
        <span className={classes.grip} />
      )}
      <span
        className={classes.bandLabel}
        data-tight={linesIn(height) === 1 && words.length > tightFrom ? '' : undefined}
        title={words}
        style={{ WebkitLineClamp: linesIn(height) }}
      >
        {done === undefined ? (
          words
        ) : (
          <ShowMove
            drawn={done.drawn}
            label={item.label}
            how={done.how}
            className={classes.bandShow}
          >
            {words}
          </ShowMove>
        )}
      </span>
      <span className={classes.bandMinutes}>{minutes} min</span>
      {isDrill && (
        <>
          <ActionIcon
            className={classes.leaveOut}
            variant="subtle"
            size={22}
            aria-label={`Leave out ${item.label}`}
            onClick={onLeaveOut}
          >
            <IconX size={13} />
          </ActionIcon>
          <span
            role="slider"
            tabIndex={0}
            className={classes.resize}
            aria-label={`Minutes of ${item.label}`}
            aria-valuemin={leastMinutes}
            aria-valuemax={mostMinutes}
            aria-valuenow={minutes}
            {...resize}
          />
        </>
      )}
    </li>
  );
}
