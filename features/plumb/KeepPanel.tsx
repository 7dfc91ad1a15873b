'use client';

import { answered } from '@/design/answered';
import { Button, Checkbox } from '@mantine/core';
import { useState, useTransition } from 'react';
import { useRouter } from 'next/navigation';
import { showProblems, showSaved } from '@/design/notices';
import { keepPictureAction } from './actions';
import { toKeptJpeg, type LoadedPicture } from './picture';
import type { Sheet } from './sheet';
import type { PlumbView } from './read';
import classes from './plumb.module.css';

interface KeepPanelProps {
  readonly view: PlumbView;
  readonly picture: LoadedPicture;
  readonly sheet: Sheet;
}

/** Keeps the marks for comparing; the picture with them only where the person agrees. */
export function KeepPanel({ view, picture, sheet }: KeepPanelProps) {
  const router = useRouter();
  const [isSaving, start] = useTransition();
  const [isWith, setWith] = useState(false);
  const { person } = view;
  const { pictures } = person;
  const keep = () =>
    start(async () => {
      const kept = isWith ? await toKeptJpeg(picture) : null;
      if (kept !== null && !kept.ok) {
        showProblems({ form: kept.problem });
        return;
      }
      const outcome = await answered(
        keepPictureAction(person.id, {
          width: picture.width,
          height: picture.height,
          sheet,
          jpeg: kept?.jpeg ?? null,
          hasAsked: isWith,
        }),
      );
      if (!outcome.ok) {
        showProblems(outcome.problems);
        return;
      }
      showSaved(isWith ? 'Marks and picture kept.' : 'Marks kept, without the picture.');
      router.refresh();
    });
  return (
    <section aria-label="To compare later" className={classes.offer}>
      <h2 className={classes.heading}>To compare later</h2>
      {pictures.kind === 'never' ? (
        <p className={classes.note}>{pictures.why}</p>
      ) : (
        <Checkbox
          label={
            pictures.kind === 'ask'
              ? `With the picture: ${person.name} was asked just now and agrees`
              : 'With the picture'
          }
          checked={isWith}
          onChange={({ currentTarget: { checked } }) => setWith(checked)}
        />
      )}
      <Button variant="default" loading={isSaving} onClick={keep}>
        {isWith ? 'Keep marks and picture' : 'Keep the marks'}
      </Button>
    </section>
  );
}
