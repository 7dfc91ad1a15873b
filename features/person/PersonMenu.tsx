'use client';

import { sayProblems } from '@/server/result';
import { Button, Menu, Modal, TextInput } from '@mantine/core';
import { PickOne } from '@/design/Picker';
import { useDisclosure } from '@mantine/hooks';
import { IconChevronDown } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import {
  archivePeopleAction,
  deletePersonAction,
  mergePeopleAction,
  renamePersonAction,
} from '@/features/people/actions';
import { showProblems, showSaved } from '@/design/notices';
import classes from './person.module.css';

interface PersonMenuProps {
  readonly personId: number;
  readonly name: string;
  readonly isArchived: boolean;
  readonly others: readonly { readonly id: number; readonly name: string }[];
}

/** Rename, put away, merge, take everything out, delete. */
export function PersonMenu({ personId, name, isArchived, others }: PersonMenuProps) {
  const router = useRouter();
  const [isBusy, startBusy] = useTransition();
  const [renaming, rename] = useDisclosure(false);
  const [merging, merge] = useDisclosure(false);
  const [deleting, remove] = useDisclosure(false);

  const putAway = (isAway: boolean) =>
    startBusy(async () => {
      const outcome = await archivePeopleAction([personId], isAway);
      if (outcome.ok) showSaved(isAway ? 'Put away; the records stay.' : 'Back among the people.');
      else showProblems(outcome.problems);
    });

  return (
    <>
      <Menu position="bottom-end">
        <Menu.Target>
          <Button variant="default" rightSection={<IconChevronDown size={16} />} loading={isBusy}>
            This entry
          </Button>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item onClick={rename.open}>Rename</Menu.Item>
          <Menu.Item component="a" href={`/people/${personId}/export`}>
            Take everything out as a file
          </Menu.Item>
          <Menu.Item onClick={merge.open} disabled={others.length === 0}>
            Merge with another entry
          </Menu.Item>
          <Menu.Item onClick={() => putAway(!isArchived)}>
            {isArchived ? 'Bring back' : 'Put away'}
          </Menu.Item>
          <Menu.Divider />
          <Menu.Item onClick={remove.open}>Delete for good</Menu.Item>
        </Menu.Dropdown>
      </Menu>
      <Modal opened={renaming} onClose={rename.close} title="Rename">
        <RenameForm personId={personId} name={name} onDone={rename.close} />
      </Modal>
      <Modal opened={merging} onClose={merge.close} title={`Another entry of ${name}`}>
        <MergeForm personId={personId} name={name} others={others} onDone={merge.close} />
      </Modal>
      <Modal opened={deleting} onClose={remove.close} title={`Delete ${name} for good`}>
        <DeleteForm personId={personId} name={name} onDone={() => router.push('/people')} />
      </Modal>
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
        const outcome = await renamePersonAction(personId, value);
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
            const outcome = await mergePeopleAction(personId, Number(other));
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
        autoComplete="off"
        value={typed}
        onChange={(event) => setTyped(event.currentTarget.value)}
      />
      <Button
        disabled={typed.trim() !== name}
        loading={isBusy}
        onClick={() =>
          startBusy(async () => {
            const outcome = await deletePersonAction(personId);
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
