'use client';

import { counted } from '@/core/units/words';
import { answered } from '@/design/answered';
import { sayMoment } from '@/design/days';
import { Button, Checkbox, Group, NumberInput, PasswordInput, TextInput } from '@mantine/core';
import { formatDistanceStrict } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { CopiesView } from '@/server/copies/schedule';
import {
  changeKeepingAction,
  dropCopiesAction,
  lookAtCopyAction,
  makeCopyAction,
  restoreCopyAction,
} from './actions';
import type { Problems } from '@/server/result';
import { showProblem, showProblems, showSaved } from '@/design/notices';
import { CopyList } from './CopyList';
import classes from './copies.module.css';

interface CopiesPanelProps {
  readonly view: CopiesView;
  /** The server's clock when the page was read. */
  readonly nowMs: number;
}

/** The copies: how old the last good one is, what is kept, and the way back. */
export function CopiesPanel({ view, nowMs }: CopiesPanelProps) {
  const router = useRouter();
  const [isBusy, setBusy] = useState(false);
  const [isDropping, setDropping] = useState(false);
  const { copies, lastGoodMs, warning } = view;
  const copyNow = async () => {
    setBusy(true);
    const outcome = await answered(makeCopyAction());
    setBusy(false);
    if (outcome.ok) showSaved('Copied and checked.');
    else showProblems(outcome.problems);
    router.refresh();
  };
  const drop = async () => {
    setBusy(true);
    const outcome = await answered(dropCopiesAction());
    setBusy(false);
    setDropping(false);
    if (outcome.ok) showSaved(`Dropped: ${counted(outcome.value, 'copy', 'copies')}.`);
    else showProblems(outcome.problems);
    router.refresh();
  };
  return (
    <>
      {lastGoodMs !== null && (
        <p>
          Last good copy: <strong>{formatDistanceStrict(lastGoodMs, nowMs)} ago</strong>,{' '}
          {sayMoment(lastGoodMs)}.
        </p>
      )}
      {warning !== null && (
        <p className={classes.warning} role="alert">
          {warning}
        </p>
      )}
      <CopyList
        copies={copies}
        look={lookAtCopyAction}
        restore={restoreCopyAction}
        onRestored={() => {
          showSaved('Taken back. What was here before is the newest copy.');
          router.refresh();
        }}
      />
      <Group my="sm">
        <Button loading={isBusy} onClick={() => void copyNow()}>
          Copy now
        </Button>
        {isDropping ? (
          <>
            <Button color="var(--lv-stop)" loading={isBusy} onClick={() => void drop()}>
              Drop all {copies.length} for good
            </Button>
            <Button variant="default" onClick={() => setDropping(false)}>
              Keep them
            </Button>
          </>
        ) : (
          <Button variant="subtle" disabled={copies.length === 0} onClick={() => setDropping(true)}>
            Drop all copies
          </Button>
        )}
      </Group>
      <KeepingForm view={view} />
    </>
  );
}

function KeepingForm({ view }: { readonly view: CopiesView }) {
  const router = useRouter();
  const [folder, setFolder] = useState(view.folder ?? '');
  const [days, setDays] = useState<number | string>(view.days);
  const [months, setMonths] = useState<number | string>(view.months);
  const [isSealed, setSealed] = useState(view.isSealed);
  const [passphrase, setPassphrase] = useState('');
  const [problems, setProblems] = useState<Problems>({});
  const [isBusy, setBusy] = useState(false);
  const keep = async () => {
    setBusy(true);
    const outcome = await answered(
      changeKeepingAction({
        folder,
        days: Number(days),
        months: Number(months),
        isSealed,
        passphrase,
      }),
    );
    setBusy(false);
    setProblems(outcome.ok ? {} : outcome.problems);
    if (outcome.ok) {
      setPassphrase('');
      showSaved('Kept, and tried with a copy.');
      router.refresh();
    } else if (outcome.problems.form) showProblem(outcome.problems.form);
  };
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <TextInput
        label="Folder for the copies"
        description="On another disk they outlive this one. Empty: beside the studio."
        value={folder}
        error={problems.folder}
        onChange={({ currentTarget: { value } }) => setFolder(value)}
      />
      <Group grow mt="sm" align="flex-end">
        <NumberInput
          label="All of the last days"
          min={1}
          max={365}
          value={days}
          error={problems.days}
          onChange={setDays}
        />
        <NumberInput
          label="One of each of the last months"
          min={0}
          max={120}
          value={months}
          error={problems.months}
          onChange={setMonths}
        />
      </Group>
      <Checkbox
        mt="sm"
        label="Seal them with a passphrase"
        checked={isSealed}
        onChange={({ currentTarget: { checked } }) => setSealed(checked)}
      />
      {isSealed && (
        <PasswordInput
          mt="sm"
          label={view.isSealed ? 'Another passphrase' : 'Passphrase'}
          description="At least ten signs. Without it nobody opens a sealed copy, not even you; older copies keep the one they were sealed with."
          value={passphrase}
          error={problems.passphrase}
          onChange={({ currentTarget: { value } }) => setPassphrase(value)}
        />
      )}
      <Button type="submit" mt="md" variant="default" loading={isBusy}>
        Keep and try
      </Button>
    </form>
  );
}
