'use client';

import { Button, FileButton, Group } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Outcome } from '@/server/result';
import type { TableLook } from '@/server/recordTable';
import type { StudioCounts } from '@/server/studioFile';
import { showProblem, showSaved } from '@/ui/person/notices';
import classes from './settings.module.css';

type Kind = 'studio' | 'records';
type Found = StudioCounts | TableLook;

interface ImportFileProps {
  readonly kind: Kind;
  readonly label: string;
}

const isTable = (found: Found): found is TableLook => 'rows' in found;

async function send(kind: Kind, text: string, isFinal: boolean): Promise<Outcome<Found>> {
  try {
    const response = await fetch(`/settings/import?kind=${kind}${isFinal ? '&final=yes' : ''}`, {
      method: 'POST',
      body: text,
    });
    return (await response.json()) as Outcome<Found>;
  } catch {
    return { ok: false, problems: { form: 'The studio’s computer did not answer.' } };
  }
}

/** Opens a file, shows what it would change, and takes it in when told to. */
export function ImportFile({ kind, label }: ImportFileProps) {
  const router = useRouter();
  const [text, setText] = useState<string | null>(null);
  const [found, setFound] = useState<Found | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const clear = () => {
    setText(null);
    setFound(null);
  };
  const look = async (file: File | null) => {
    if (file === null) return;
    clear();
    setProblem(null);
    setBusy(true);
    const held = await file.text();
    const outcome = await send(kind, held, false);
    setBusy(false);
    if (!outcome.ok) {
      setProblem(Object.values(outcome.problems).join(' '));
      return;
    }
    setText(held);
    setFound(outcome.value);
  };
  const take = async () => {
    if (text === null) return;
    setBusy(true);
    const outcome = await send(kind, text, true);
    setBusy(false);
    if (outcome.ok) {
      showSaved('Taken in.');
      clear();
      router.refresh();
    } else showProblem(Object.values(outcome.problems).join(' '));
  };
  const hasErrors = found !== null && isTable(found) && found.problems.length > 0;
  return (
    <div>
      <FileButton
        onChange={(file) => void look(file)}
        accept={kind === 'studio' ? 'application/json,.json' : 'text/csv,.csv'}
      >
        {({ onClick }) => (
          <Button variant="default" loading={isBusy} onClick={onClick}>
            {label}
          </Button>
        )}
      </FileButton>
      {problem !== null && (
        <p role="alert" className={classes.problem}>
          {problem}
        </p>
      )}
      {found !== null && (
        <div className={classes.look} role="status">
          {isTable(found) ? <TableWords found={found} /> : <StudioWords found={found} />}
          <Group mt="sm">
            <Button loading={isBusy} disabled={hasErrors} onClick={() => void take()}>
              Take it in
            </Button>
            <Button variant="default" onClick={clear}>
              Leave it
            </Button>
          </Group>
        </div>
      )}
    </div>
  );
}

function StudioWords({ found }: { readonly found: StudioCounts }) {
  const lines: readonly (readonly [number, string])[] = [
    [found.peopleNew, 'people are new'],
    [found.peopleKnown, 'are here already: what is here stays, what restricts is united'],
    [found.peopleRemoved, 'were deleted here on request and stay so'],
    [found.recordsNew, 'records are new'],
    [found.recordsKnown, 'records are here already'],
    [found.coursesNew, 'courses are new'],
    [found.coursesKnown, 'courses are here already and stay as they are'],
    [found.classesNew, 'classes from the floor are new'],
    [found.profilesNew, 'versions of profiles are new'],
    [found.entriesNew, 'entries of your own are new'],
  ];
  const said = lines.filter(([count]) => count > 0);
  if (said.length === 0) return <p>There is nothing in this file.</p>;
  return (
    <ul>
      {said.map(([count, words]) => (
        <li key={words}>
          <strong>{count}</strong> {words}
        </li>
      ))}
    </ul>
  );
}

function TableWords({ found }: { readonly found: TableLook }) {
  if (found.problems.length === 0) return <p>{found.rows} records, none with an error.</p>;
  return (
    <>
      <p>{found.rows} rows. Nothing is stored while any of them has an error:</p>
      <ul>
        {found.problems.slice(0, 20).map(({ line, words }) => (
          <li key={line}>
            Line {line}: {words}
          </li>
        ))}
      </ul>
    </>
  );
}
