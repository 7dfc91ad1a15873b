'use client';

import { Button, Group, Modal, TextInput } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useState, useTransition } from 'react';
import { saveSettingsAction } from '@/features/settings/actions';
import type { Outcome } from '@/server/result';
import { answered } from '@/design/answered';
import { showProblems, showSaved } from '@/design/notices';
import classes from './courses.module.css';

interface StudioPanelProps {
  readonly studio: string;
  readonly people: number;
  readonly courses: number;
  readonly startDemo: () => Promise<Outcome>;
  readonly clear: (people: number) => Promise<Outcome>;
}

/** The studio's name, and beginning again: empty or with the made-up one. */
export function StudioPanel({ studio, people, courses, startDemo, clear }: StudioPanelProps) {
  const [name, setName] = useState(studio);
  const [isOpen, { open, close }] = useDisclosure(false);
  const [typed, setTyped] = useState('');
  const [isBusy, startBusy] = useTransition();
  const isEmpty = people === 0 && courses === 0;
  const run = (action: () => Promise<Outcome>, words: string) =>
    startBusy(async () => {
      const outcome = await answered(action());
      if (outcome.ok) showSaved(words);
      else showProblems(outcome.problems);
      close();
    });
  return (
    <section className={classes.studio} aria-label="The studio">
      <h2>The studio</h2>
      <Group align="flex-end">
        <TextInput
          label="Name"
          w={260}
          maxLength={60}
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <Button
          variant="default"
          disabled={name.trim() === studio}
          loading={isBusy}
          onClick={() => run(() => saveSettingsAction({ studio: name }), 'Kept.')}
        >
          Keep the name
        </Button>
        {isEmpty ? (
          <Button
            variant="default"
            loading={isBusy}
            onClick={() => run(startDemo, 'The made-up studio is here.')}
          >
            Fill with the made-up studio
          </Button>
        ) : (
          <Button variant="subtle" onClick={open}>
            Begin again, empty
          </Button>
        )}
      </Group>
      <Modal opened={isOpen} onClose={close} title="Begin again, empty">
        <div className={classes.form}>
          <p>
            {people} people and {courses} courses go, with everything about them. A copy is made
            first and can be taken back under Settings, where all copies can be dropped as well.
          </p>
          <TextInput
            label={`Write ${people} to go on`}
            value={typed}
            onChange={(event) => setTyped(event.currentTarget.value)}
          />
          <Button
            loading={isBusy}
            disabled={typed.trim() !== String(people)}
            onClick={() => run(() => clear(people), 'Empty. Begin with a course or a person.')}
          >
            Empty the studio
          </Button>
        </div>
      </Modal>
    </section>
  );
}
