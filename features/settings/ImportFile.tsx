'use client';

import { sayProblems } from '@/server/result';
import { Button, Group, PasswordInput, Progress } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { TableLook } from '@/server/files/recordTable';
import type { StudioCounts } from '@/server/files/studioFile';
import { FileChoice } from '@/design/FileChoice';
import { showProblems, showSaved } from '@/design/notices';
import { dropUpload, takeUploaded, uploadFile } from './upload';
import classes from './settings.module.css';

type Kind = 'studio' | 'records';
type Found = StudioCounts | TableLook;

const mostBytes = 400_000_000;

interface ImportFileProps {
  readonly kind: Kind;
  readonly label: string;
}

const isTable = (found: Found): found is TableLook => 'rows' in found;

/** Opens a file, shows what it would change, and takes it in when told to. */
export function ImportFile({ kind, label }: ImportFileProps) {
  const router = useRouter();
  const [id, setId] = useState<string | null>(null);
  const [found, setFound] = useState<Found | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [needsWord, setNeedsWord] = useState<string | null>(null);
  const [passphrase, setPassphrase] = useState('');
  const [step, setStep] = useState<{ readonly words: string; readonly share: number } | null>(null);
  const isBusy = step !== null;
  const progress = (words: string) => (share: number) => setStep({ words, share });
  const clear = () => {
    if (id !== null) dropUpload(id);
    setId(null);
    setFound(null);
    setNeedsWord(null);
    setPassphrase('');
  };
  const ask = async (which: string, isFinal: boolean) => {
    const words = isFinal ? 'Taking it in' : 'Looking through it';
    progress(words)(0);
    const outcome = await takeUploaded({ id: which, kind, passphrase }, isFinal, progress(words));
    setStep(null);
    return outcome;
  };
  const look = async (which: string) => {
    const outcome = await ask(which, false);
    if (outcome.ok) {
      setNeedsWord(null);
      setFound(outcome.value);
    } else if (outcome.problems.passphrase !== undefined) {
      setNeedsWord(outcome.problems.passphrase);
    } else {
      dropUpload(which);
      setId(null);
      setProblem(sayProblems(outcome.problems));
    }
  };
  const open = async (file: File) => {
    clear();
    setProblem(null);
    if (file.size > mostBytes) return setProblem('This file is larger than 400 MB.');
    progress('Bringing it here')(0);
    const sent = await uploadFile(file, progress('Bringing it here'));
    setStep(null);
    if ('problem' in sent) return setProblem(sent.problem);
    setId(sent.id);
    await look(sent.id);
  };
  const take = async () => {
    if (id === null) return;
    const outcome = await ask(id, true);
    if (outcome.ok) {
      showSaved('Taken in.');
      setId(null);
      setFound(null);
      router.refresh();
    } else showProblems(outcome.problems);
  };
  const hasErrors = found !== null && isTable(found) && found.problems.length > 0;
  return (
    <div>
      <FileChoice
        onFile={(file) => void open(file)}
        accept={kind === 'studio' ? 'application/json,.json,.sealed' : 'text/csv,.csv'}
      >
        {({ onClick }) => (
          <Button variant="default" loading={isBusy} onClick={onClick}>
            {label}
          </Button>
        )}
      </FileChoice>
      {step !== null && (
        <div role="status" className={classes.look}>
          <p>{step.words} …</p>
          <Progress value={step.share * 100} aria-label={step.words} />
        </div>
      )}
      {needsWord !== null && id !== null && (
        <form
          className={classes.look}
          onSubmit={(event) => {
            event.preventDefault();
            void look(id);
          }}
        >
          <PasswordInput
            label="Passphrase of the file"
            value={passphrase}
            error={needsWord}
            onChange={({ currentTarget: { value } }) => setPassphrase(value)}
          />
          <Button type="submit" mt="sm" loading={isBusy}>
            Open it
          </Button>
        </form>
      )}
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
  const lines: readonly (readonly [count: number, one: string, many: string])[] = [
    [found.peopleNew, 'person is new', 'people are new'],
    [
      found.peopleKnown,
      'person is here already: what is here stays, what restricts is united',
      'people are here already: what is here stays, what restricts is united',
    ],
    [
      found.peopleRemoved,
      'person was deleted here on request and stays so',
      'people were deleted here on request and stay so',
    ],
    [found.recordsNew, 'record is new', 'records are new'],
    [found.recordsKnown, 'record is here already', 'records are here already'],
    [found.coursesNew, 'course is new', 'courses are new'],
    [
      found.coursesKnown,
      'course is here already and stays as it is',
      'courses are here already and stay as they are',
    ],
    [found.classesNew, 'class from the floor is new', 'classes from the floor are new'],
    [found.profilesNew, 'version of a profile is new', 'versions of profiles are new'],
    [found.entriesNew, 'entry of your own is new', 'entries of your own are new'],
  ];
  const said = lines.flatMap(([count, one, many]) =>
    count > 0 ? [[count, count === 1 ? one : many] as const] : [],
  );
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

const sayRows = (count: number, one: string) => `${count} ${count === 1 ? one : `${one}s`}`;

function TableWords({ found }: { readonly found: TableLook }) {
  if (found.problems.length === 0)
    return <p>{sayRows(found.rows, 'record')}, none with an error.</p>;
  return (
    <>
      <p>{sayRows(found.rows, 'row')}. Nothing is stored while any of them has an error:</p>
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
