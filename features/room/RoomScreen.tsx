'use client';

import { sayMetres } from '@/core/units/metres';
import { Button, Group, NativeSelect, Title } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconArrowBackUp } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { usableSpans } from '@/core/room/room';
import { sayIn } from '@/core/units/length';
import type { RoomView } from './read';
import { LinkButton } from '@/design/LinkButton';
import { CupboardTable } from './CupboardTable';
import { OwnPieces } from './OwnPieces';
import { RoomDrawing } from './RoomDrawing';
import { RoomFields, usableWords } from './RoomFields';
import { TonightLine } from './TonightLine';
import { useRoomEditor } from './useRoomEditor';
import { WhatToGet } from './WhatToGet';
import classes from './room.module.css';

/** The room to scale and the shelves: what the composer has to go by. */
export function RoomScreen({ view }: { readonly view: RoomView }) {
  const editor = useRoomEditor(view.course.id, view.room);
  const router = useRouter();
  const { units } = view.settings;
  useHotkeys([['mod+Z', editor.undo]]);
  return (
    <div className={classes.screen}>
      <div className={classes.head}>
        <Title order={1} size="1.7rem">
          Room and cupboard
        </Title>
        {view.courses.length > 1 ? (
          <NativeSelect
            aria-label="Course"
            size="sm"
            value={String(view.course.id)}
            data={view.courses.map(({ id, name }) => ({ value: String(id), label: name }))}
            onChange={({ currentTarget: { value } }) => router.push(`/room?course=${value}`)}
          />
        ) : (
          <span>{view.course.name}</span>
        )}
        <Group ml="auto" gap="xs">
          <Button
            variant="default"
            disabled={!editor.canUndo}
            leftSection={<IconArrowBackUp size={16} />}
            onClick={editor.undo}
          >
            Undo
          </Button>
          <LinkButton href={`/plan?course=${view.course.id}`}>Plan the class</LinkButton>
        </Group>
      </div>
      {view.isGuessed && (
        <p className={classes.note}>
          Nobody has drawn this room yet: it is a guess. Type its lengths, or pull at the walls.
        </p>
      )}
      <div className={classes.stage}>
        <div>
          <RoomDrawing editor={editor} units={units} />
          <p className={classes.quiet} role="status">
            {editor.problem !== null
              ? sayMetres(editor.problem, units)
              : `${usableWords(editor.room, usableSpans(editor.room), units)}.`}{' '}
            Everything snaps to {sayIn('5 cm', units)}; walls count from their left end as you face
            them.
          </p>
          <TonightLine tonight={editor.tonight} courseId={view.course.id} />
        </div>
        <RoomFields editor={editor} units={units} />
      </div>
      <h2>The cupboard</h2>
      <CupboardTable view={view} />
      <div className={classes.below}>
        <OwnPieces view={view} />
        <WhatToGet courseId={view.course.id} people={view.people} />
      </div>
    </div>
  );
}
