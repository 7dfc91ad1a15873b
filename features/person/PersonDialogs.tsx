'use client';

import { answered } from '@/design/answered';
import { Button, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { Dialog } from '@/design/Dialog';
import { PickOne } from '@/design/Picker';
import { showProblems, showSaved } from '@/design/notices';
import {
  deletePersonAction,
  mergePeopleAction,
  renamePersonAction,
} from '@/features/people/actions';
import { sayProblems } from '@/server/result';
import type { PersonMenuProps } from './PersonMenu';
import classes from './person.module.css';

/** What is done to an entry in a dialog. */
export type Asked = 'rename' | 'merge' | 'delete';

interface PersonDialogsProps extends Pick<PersonMenuProps, 'personId' | 'name' | 'others'> {
  readonly asked: Asked | null;
  readonly onClose: () => void;
}

export function PersonDialogs({ asked, personId, name, others, onClose }: PersonDialogsProps) {
  const router = useRouter();
  const own = { personId, name };
  return (
    <>
      <Dialog opened={asked === 'rename'} onClose={onClose} title="Rename">
        <RenameForm {...own} onDone={onClose} />
      </Dialog>
      <Dialog opened={asked === 'merge'} onClose={onClose} title={`Another entry of ${name}`}>
        <MergeForm {...own} others={others} onDone={onClose} />
      </Dialog>
      <Dialog opened={asked === 'delete'} onClose={onClose} title={`Delete ${name} for good`}>
        <DeleteForm {...own} onDone={() => router.push('/people')} />
      </Dialog>
    </>
  );
}

interface FormProps {
  readonly personId: number;
  readonly name: string;
  readonly onDone: () => void;
}

function RenameForm({ personId, name, onDone }: FormProps) {
  const [value, setValue] = useState(name);
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <form
      className={classes.form}
      onSubmit={async (event) => {
        event.preventDefault();
        const outcome = await answered(renamePersonAction(personId, value));
        if (outcome.ok) onDone();
        else setProblem(sayProblems(outcome.problems));
      }}
    >
      <TextInput
        label="Name"
        data-autofocus
        value={value}
        error={problem}
        onChange={(event) => setValue(event.currentTarget.value)}
      />
      <Button type="submit">Keep</Button>
    </form>
  );
}

function MergeForm({
  personId,
  name,
  others,
  onDone,
}: FormProps & Pick<PersonMenuProps, 'others'>) {
  const [other, setOther] = useState<string | null>(null);
  const [isBusy, startBusy] = useTransition();
  return (
    <div className={classes.form}>
      <PickOne
        label="The entry that goes into this one"
        placeholder="name"
        data={others.map((one) => ({ value: String(one.id), label: one.name }))}
        value={other}
        onChange={setOther}
      />
      <p className={classes.hint}>
        Records, decisions, courses, evenings and set-ups move to {name}. Cautions of both are kept,
        the stricter word on touch counts, and pain that only one entry knew to be gone counts as
        open. This cannot be taken back.
      </p>
      <Button
        disabled={other === null}
        loading={isBusy}
        onClick={() =>
          startBusy(async () => {
            const outcome = await answered(mergePeopleAction(personId, Number(other)));
            if (!outcome.ok) return showProblems(outcome.problems);
            showSaved('One entry now.');
            onDone();
          })
        }
      >
        Merge
      </Button>
    </div>
  );
}

function DeleteForm({ personId, name, onDone }: FormProps) {
  const [typed, setTyped] = useState('');
  const [isBusy, startBusy] = useTransition();
  return (
    <div className={classes.form}>
      <p>
        Everything about {name} goes: body, cautions, records, decisions, set-ups, evenings. Also in
        the copies that can be opened. An unreadable mark stays, so that nothing arriving later can
        bring them back.
      </p>
      <Button component="a" href={`/people/${personId}/export`} variant="default">
        Take everything out as a file first
      </Button>
      <TextInput
        label="Write the name to go on"
        value={typed}
        onChange={(event) => setTyped(event.currentTarget.value)}
      />
      <Button
        disabled={typed.trim() !== name}
        loading={isBusy}
        onClick={() =>
          startBusy(async () => {
            const outcome = await answered(deletePersonAction(personId));
            if (!outcome.ok) return showProblems(outcome.problems);
            const { copiesLeft, isErasePending } = outcome.value;
            showSaved(
              [
                copiesLeft.length === 0
                  ? 'Deleted, also from the copies.'
                  : `Deleted here. ${copiesLeft.join(', ')} could not be opened: whoever takes it back leaves this entry out.`,
                ...(isErasePending
                  ? [
                      'Traces on the disk are not overwritten yet, for want of room or because the file is in use. It is done at the next chance; Settings shows it until then.',
                    ]
                  : []),
              ].join(' '),
            );
            onDone();
          })
        }
      >
        Delete for good
      </Button>
    </div>
  );
}
