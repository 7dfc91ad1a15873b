'use client';

import { answered } from '@/design/answered';
import { sayShortDay } from '@/design/days';
import { Button, Group, Textarea } from '@mantine/core';
import { IconFile } from '@tabler/icons-react';
import { useState, useTransition } from 'react';
import type { HomeReport } from '@/core/home/diary';
import { feltWords } from '@/core/home/felt';
import { FileChoice } from '@/design/FileChoice';
import { showSaved, showUndo } from '@/design/notices';
import { takeDiaryAction, undoDiaryAction } from './actions';
import classes from './home.module.css';

interface FromHomeProps {
  readonly personId: number;
  /** Oldest first. */
  readonly reports: readonly HomeReport[];
  /** What each row of a sheet is called. */
  readonly labels: Readonly<Record<string, string>>;
}

/** So many of the newest stand open; the rest unfolds. */
const mostShown = 8;

/** What was reported from home, and the way in for more: as a file or as the pasted code. */
export function FromHome({ personId, reports, labels }: FromHomeProps) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [isTaking, start] = useTransition();
  const take = (given: string) =>
    start(async () => {
      const outcome = await answered(takeDiaryAction(personId, { text: given }));
      if (!outcome.ok) {
        setProblem(outcome.problems.text ?? outcome.problems.form ?? 'It was not taken in.');
        return;
      }
      setProblem(null);
      setText('');
      const { added, isToAsk, taken } = outcome.value;
      if (added === 0) return showSaved('Everything in it was here already.');
      const count = added === 1 ? '1 entry' : `${added} entries`;
      showUndo(
        `${count} taken in.${isToAsk ? ' Something is to be asked about at the door.' : ''}`,
        () => undoDiaryAction(personId, taken),
      );
    });
  const newest = [...reports].reverse();
  const days = new Set(reports.map(({ on }) => on)).size;
  const list = (shown: readonly HomeReport[]) => (
    <ul className={classes.reports}>
      {shown.map((one, index) => (
        <li key={`${one.on}-${one.item}-${index}`}>
          {sayShortDay(one.on)} · {labels[one.item] ?? one.item} · {feltWords[one.felt]}
          {(one.pain !== null || one.sign !== null) && (
            // Where it hurts stands with what is closed, folded away.
            <strong>
              {' '}
              · <a href="#closed">to ask about</a>
            </strong>
          )}
        </li>
      ))}
    </ul>
  );
  return (
    <>
      {reports.length === 0 ? (
        <p>Nothing yet. The practice file keeps a diary; what is handed back goes in here.</p>
      ) : (
        <>
          <p>
            {reports.length} times on {days} {days === 1 ? 'day' : 'days'}. A report, not a record:
            it opens nothing.
          </p>
          {list(newest.slice(0, mostShown))}
          {newest.length > mostShown && (
            <details>
              <summary>{newest.length - mostShown} earlier</summary>
              {list(newest.slice(mostShown))}
            </details>
          )}
        </>
      )}
      <Textarea
        label="Code from the practice file"
        placeholder="LV1.…"
        value={text}
        onChange={({ currentTarget: { value } }) => setText(value)}
        error={problem}
        autosize
        minRows={1}
        maxRows={4}
        mt="sm"
      />
      <Group gap="sm" mt="xs">
        <Button
          variant="default"
          loading={isTaking}
          disabled={text.trim() === ''}
          onClick={() => take(text)}
        >
          Take it in
        </Button>
        <FileChoice accept="application/json,.json" onFile={(file) => void file.text().then(take)}>
          {({ onClick }) => (
            <Button variant="default" leftSection={<IconFile size={18} />} onClick={onClick}>
              Choose the diary’s file
            </Button>
          )}
        </FileChoice>
      </Group>
    </>
  );
}
