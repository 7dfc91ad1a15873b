'use client';

import { Button } from '@mantine/core';
import type { Room } from '@/core/room/room';
import { usableSpans } from '@/core/room/room';
import { RoomDrawing } from '@/features/room/RoomDrawing';
import { RoomFields, usableWords } from '@/features/room/RoomFields';
import type { RoomView } from '@/features/room/read';
import { useRoomEditor } from '@/features/room/useRoomEditor';
import { LinkButton } from '@/design/LinkButton';
import { stepHref } from './steps';
import classes from './beginning.module.css';

/** Three rooms to begin from. */
const shapes = [
  { key: 'square', label: 'Square room', words: '7 by 7 m', widthM: 7, depthM: 7 },
  { key: 'long', label: 'Long room', words: '12 by 5 m', widthM: 12, depthM: 5 },
  { key: 'hall', label: 'Hall', words: '14 by 10 m', widthM: 14, depthM: 10 },
] as const;

const ceilingM = 2.8;

/** The room: one of three shapes, then its walls pulled to where they are. */
export function RoomStep({ view }: { readonly view: RoomView }) {
  const editor = useRoomEditor(view.course.id, view.room);
  const { units } = view.settings;
  const begin = ({ widthM, depthM }: (typeof shapes)[number]) => {
    const room: Room = {
      ...editor.room,
      blocked: [],
      doors: [],
      low: [],
      widthM,
      depthM,
      ceilingM,
    };
    editor.commit(room);
  };
  return (
    <>
      <div className={classes.shapes} role="group" aria-label="A room to begin from">
        {shapes.map((shape) => (
          <button key={shape.key} type="button" onClick={() => begin(shape)}>
            <svg viewBox="-0.5 -0.5 15 11" aria-hidden>
              <rect width={shape.widthM} height={shape.depthM} />
            </svg>
            <strong>{shape.label}</strong>
            <span>{shape.words}</span>
          </button>
        ))}
      </div>
      <div className={classes.room}>
        <div>
          <RoomDrawing editor={editor} units={units} />
          <p className={classes.quiet} role="status">
            {editor.problem ?? usableWords(editor.room, usableSpans(editor.room), units)}. Pull at
            the walls, or type their lengths; doors and what stands in the way come beside.
          </p>
        </div>
        <div>
          <RoomFields editor={editor} units={units} />
          <div className={classes.next}>
            <LinkButton href={stepHref('cupboard', view.course.id)} size="md">
              On to the cupboard
            </LinkButton>
            <Button size="md" variant="default" disabled={!editor.canUndo} onClick={editor.undo}>
              Undo
            </Button>
          </div>
        </div>
      </div>
    </>
  );
}
