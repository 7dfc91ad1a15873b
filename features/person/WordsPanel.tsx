'use client';

import { answered } from '@/design/answered';
import { sayShortDay } from '@/design/days';
import { Button, Chip, Group, Modal, Select, TextInput } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import type { ClearanceForm } from './careChanges';
import { useState, useTransition } from 'react';
import {
  dropClearanceAction,
  dropSignAction,
  noteClearanceAction,
  noteScreenedAction,
  undoScreenedAction,
  noteSignAction,
} from './actions';
import { cautionColumns, type CautionColumn } from '@/core/catalog/cautionColumns';
import { cautionTable, type CautionId } from '@/core/catalog/cautions';
import { stopSigns, stopSignTable, type StopSign } from '@/core/catalog/regions';
import { addDays, type Day } from '@/core/units/day';
import type { Outcome } from '@/server/result';
import { showProblems, showSaved, showUndo } from '@/design/notices';
import classes from './person.module.css';

interface Word {
  readonly id: number;
  readonly about: CautionId | 'stop-sign';
  readonly covers: readonly CautionColumn[];
  readonly notedOn: Day;
  readonly until: Day;
}

interface WordsPanelProps {
  readonly personId: number;
  readonly today: Day;
  readonly cautions: readonly CautionId[];
  readonly words: readonly Word[];
  readonly signs: readonly { readonly id: number; readonly sign: StopSign; readonly date: Day }[];
  readonly screenedOn: Day | null;
  readonly isScreeningDue: boolean;
}

const aboutLabel = (about: Word['about']) =>
  about === 'stop-sign' ? 'The stop sign of an earlier class' : cautionTable[about].label;
const shortDay = (day: Day) => sayShortDay(day);
const columns = Object.keys(cautionColumns) as CautionColumn[];
const usualDays = 182;

/** Screening, stop signs and clinicians' words, each with its day. */
export function WordsPanel(props: WordsPanelProps) {
  const { personId, today, cautions, words, signs, screenedOn, isScreeningDue } = props;
  const [isBusy, startBusy] = useTransition();
  const [isOpen, { open, close }] = useDisclosure(false);
  const noteAsked = () =>
    startBusy(async () => {
      const outcome = await answered(noteScreenedAction(personId));
      if (outcome.ok) {
        showUndo('Screening noted for today.', () =>
          undoScreenedAction(personId, { was: outcome.value }),
        );
      } else showProblems(outcome.problems);
    });
  const run = (action: () => Promise<Outcome<unknown>>, words_: string) =>
    startBusy(async () => {
      const outcome = await answered(action());
      if (outcome.ok) showSaved(words_);
      else showProblems(outcome.problems);
    });

  return (
    <div className={classes.form}>
      <Group justify="space-between">
        <span>
          Screening: {screenedOn === null ? 'never asked' : `asked on ${shortDay(screenedOn)}`}
          {isScreeningDue && <strong> · due</strong>}
        </span>
        <Button size="xs" variant="default" loading={isBusy} onClick={noteAsked}>
          Asked today
        </Button>
      </Group>
      {signs.map(({ id, sign, date }) => (
        <Group key={id} justify="space-between">
          <span className={classes.stopText}>
            {stopSignTable[sign].label} on {shortDay(date)}
          </span>
          {date === today && (
            <Button
              size="xs"
              variant="subtle"
              onClick={() => run(() => dropSignAction(personId, id), 'Taken back.')}
            >
              Take back
            </Button>
          )}
        </Group>
      ))}
      {words.map(({ id, about, covers, notedOn, until }) => (
        <Group key={id} justify="space-between" wrap="nowrap">
          <span>
            Clinician’s word noted {shortDay(notedOn)}, good until {shortDay(until)}:{' '}
            {aboutLabel(about).toLowerCase()}
            {' · '}
            {covers.length === 0
              ? 'nothing named, so it lifts nothing'
              : covers.map((column) => cautionColumns[column]).join(', ')}
            {until < today && <strong> · run out</strong>}
          </span>
          <Button
            size="xs"
            variant="subtle"
            onClick={() => run(() => dropClearanceAction(personId, id), 'Taken back.')}
          >
            Take back
          </Button>
        </Group>
      ))}
      <Group grow preventGrowOverflow={false}>
        <Button variant="default" onClick={open}>
          Note a clinician’s word
        </Button>
        <Select
          aria-label="Note a stop sign seen today"
          placeholder="Stop sign today"
          data={stopSigns.map((id) => ({ value: id, label: stopSignTable[id].label }))}
          value={null}
          onChange={(sign) =>
            sign !== null &&
            run(
              () => noteSignAction(personId, { sign, date: today }),
              'Noted. Everything head-down is closed; get help by the rules of the place.',
            )
          }
        />
      </Group>
      <Modal opened={isOpen} onClose={close} title="A clinician has given their word">
        <WordForm
          today={today}
          choices={[...cautions, ...(signs.length > 0 ? (['stop-sign'] as const) : [])]}
          onSave={async (form) => {
            const outcome = await answered(noteClearanceAction(personId, form));
            if (!outcome.ok) return outcome.problems;
            close();
            showSaved('Noted. Only what it names is lifted.');
            return null;
          }}
        />
      </Modal>
    </div>
  );
}

interface WordFormProps {
  readonly today: Day;
  readonly choices: readonly Word['about'][];
  readonly onSave: (form: ClearanceForm) => Promise<Readonly<Record<string, string>> | null>;
}

function WordForm({ today, choices, onSave }: WordFormProps) {
  const [first] = choices;
  const [chosen, setAbout] = useState<Word['about'] | null>(null);
  const [covers, setCovers] = useState<CautionColumn[]>([]);
  const [notedOn, setNotedOn] = useState(today);
  const [until, setUntil] = useState(addDays(today, usualDays));
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isSaving, startSaving] = useTransition();
  if (first === undefined) return <p>Nothing was reported, so there is nothing to lift.</p>;
  const about = chosen ?? first;
  return (
    <form
      className={classes.form}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        startSaving(async () => {
          setProblems((await onSave({ about, covers, ladders: [], notedOn, until })) ?? {});
        });
      }}
    >
      <Select
        label="About"
        data={choices.map((id) => ({ value: id, label: aboutLabel(id) }))}
        value={about}
        error={problems.about}
        onChange={(value) => setAbout(choices.find((one) => one === value) ?? null)}
      />
      <div role="group" aria-label="What it covers">
        <span className={classes.label}>It covers</span>
        <Chip.Group
          multiple
          value={covers}
          onChange={(values) => setCovers(columns.filter((column) => values.includes(column)))}
        >
          <Group gap="xs">
            {columns.map((column) => (
              <Chip key={column} value={column} size="sm" variant="outline">
                {cautionColumns[column]}
              </Chip>
            ))}
          </Group>
        </Chip.Group>
        {problems.covers && <p className={classes.problem}>{problems.covers}</p>}
      </div>
      <Group grow>
        <TextInput
          type="date"
          label="Given on"
          max={today}
          value={notedOn}
          error={problems.notedOn}
          onChange={(event) => setNotedOn(event.currentTarget.value)}
        />
        <TextInput
          type="date"
          label="Good until"
          value={until}
          error={problems.until}
          onChange={(event) => setUntil(event.currentTarget.value)}
        />
      </Group>
      {problems.form && <p className={classes.problem}>{problems.form}</p>}
      <p className={classes.hint}>
        You note that a clinician has spoken; Levitar clears nobody and lifts only what is named
        here.
      </p>
      <Button type="submit" loading={isSaving}>
        Note it
      </Button>
    </form>
  );
}
