'use client';

import { counted } from '@/core/units/words';
import { answered } from '@/design/answered';
import { Button, Checkbox, Group, NativeSelect, Stepper, Textarea } from '@mantine/core';
import { Link } from '@/design/Link';
import Papa from 'papaparse';
import { useState, useTransition } from 'react';
import { importPeopleAction, previewImportAction, undoImportAction } from './actions';
import type { Imported, ImportRow, RowReading } from './importPeople';
import { FileChoice } from '@/design/FileChoice';
import { showProblem, showProblems, showSaved } from '@/design/notices';
import { numberRows, readText } from './readText';
import { fieldLabels, guessMapping, importFields, mapRows, type Mapping } from './mapping';
import { Readings } from './Readings';
import classes from './import.module.css';

interface ImportWizardProps {
  readonly courses: readonly { readonly id: number; readonly name: string }[];
}

interface Table {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Where each row begins in the file. */
  readonly lines: readonly number[];
  readonly warnings: readonly string[];
}

type Mended = Readonly<Record<number, ImportRow>>;

const mostBytes = 2_000_000;

/** The file stays in this window until the last step; what is stored can be taken back. */
export function ImportWizard({ courses }: ImportWizardProps) {
  const [step, setStep] = useState(0);
  const [table, setTable] = useState<Table | null>(null);
  const [mapping, setMapping] = useState<Mapping>({});
  const [readings, setReadings] = useState<readonly RowReading[]>([]);
  const [imported, setImported] = useState<Imported | null>(null);
  const [courseId, setCourseId] = useState('');
  const [skipTwins, setSkipTwins] = useState(true);
  const [isBusy, startBusy] = useTransition();

  const read = (text: string, note?: string) => {
    const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''));
    const [head, ...numbered] = numberRows(data);
    const headings = head?.row ?? [];
    const rows = numbered.map(({ row }) => row);
    if (rows.length === 0) {
      showProblem('There is a heading at most, and no row under it.');
      return;
    }
    const warnings = errors
      .filter(({ code }) => code !== 'UndetectableDelimiter')
      .slice(0, 5)
      .map(({ row, message }) => `line ${(row ?? 0) + 1}: ${message}`);
    setTable({
      headings,
      rows,
      lines: numbered.map(({ line }) => line),
      warnings: [...(note === undefined ? [] : [note]), ...warnings],
    });
    setMapping(guessMapping(headings));
    setMended({});
    setStep(1);
  };

  /** By line of the file: what was mended in the preview, in place of what the file says. */
  const [mended, setMended] = useState<Mended>({});
  const mapped = (using: Mended = mended): ImportRow[] =>
    table === null
      ? []
      : mapRows(table.rows, mapping).map((row, index) => ({
          ...row,
          ...using[table.lines[index]!],
        }));

  const preview = (using: Mended = mended) =>
    startBusy(async () => {
      const outcome = await answered(previewImportAction(mapped(using)));
      if (!outcome.ok) return showProblems(outcome.problems);
      // By the lines of the file itself, as any program shows them.
      setReadings(
        outcome.value.map((one, index) => ({ ...one, line: table?.lines[index] ?? one.line })),
      );
      setStep(2);
    });

  const store = () =>
    startBusy(async () => {
      const outcome = await answered(
        importPeopleAction({
          rows: mapped(),
          courseId: courseId === '' ? null : Number(courseId),
          skipTwins,
        }),
      );
      if (!outcome.ok) return showProblems(outcome.problems);
      setImported(outcome.value);
      setStep(3);
    });

  const undo = () =>
    startBusy(async () => {
      const outcome = await answered(undoImportAction(imported!.importId));
      if (!outcome.ok) return showProblems(outcome.problems);
      const { removed, kept } = outcome.value;
      showSaved(
        kept === 0
          ? `${removed} taken back.`
          : `${removed} taken back; ${kept} stay, since something was recorded for them.`,
      );
      setImported(null);
      setStep(2);
    });

  const good = readings.filter(
    ({ problems, isTwin }) => problems.length === 0 && !(skipTwins && isTwin),
  ).length;

  return (
    <>
      <Stepper active={step} size="sm" my="md" allowNextStepsSelect={false}>
        <Stepper.Step label="File" />
        <Stepper.Step label="Columns" />
        <Stepper.Step label="Preview" />
        <Stepper.Step label="Done" />
      </Stepper>
      {step === 0 && <FileStep onText={read} />}
      {step === 1 && table && (
        <div className={classes.step}>
          <p>
            {counted(table.rows.length, 'row')}. Say which column is what; the first rows stand
            beside it.
          </p>
          {table.warnings.map((warning) => (
            <p key={warning} className={classes.problem}>
              {warning}
            </p>
          ))}
          <div className={classes.mapping}>
            {importFields.map((field) => (
              <NativeSelect
                key={field}
                label={fieldLabels[field]}
                data={[
                  { value: '', label: 'not in the file' },
                  ...table.headings.map((heading, index) => ({
                    value: String(index),
                    label: heading.trim() || `column ${index + 1}`,
                  })),
                ]}
                value={mapping[field] === undefined ? '' : String(mapping[field])}
                description={
                  mapping[field] === undefined
                    ? ' '
                    : table.rows
                        .slice(0, 3)
                        .map((row) => row[mapping[field]!] ?? '')
                        .join(' · ')
                }
                onChange={(event) => {
                  const { value } = event.currentTarget;
                  setMapping({ ...mapping, [field]: value === '' ? undefined : Number(value) });
                }}
              />
            ))}
          </div>
          <Group>
            <Button variant="default" onClick={() => setStep(0)}>
              Back
            </Button>
            <Button
              loading={isBusy}
              disabled={mapping.name === undefined || mapping.height === undefined}
              onClick={() => preview()}
            >
              Look at the rows
            </Button>
          </Group>
        </div>
      )}
      {step === 2 && (
        <div className={classes.step}>
          <Group gap="lg">
            <strong role="status">
              {good} of {counted(readings.length, 'row')} would come in
            </strong>
            <Checkbox
              label="leave out names that are here already"
              checked={skipTwins}
              onChange={(event) => setSkipTwins(event.currentTarget.checked)}
            />
            <NativeSelect
              aria-label="Enrol in"
              data={[
                { value: '', label: 'enrol in no course' },
                ...courses.map(({ id, name }) => ({
                  value: String(id),
                  label: `enrol in ${name}`,
                })),
              ]}
              value={courseId}
              onChange={(event) => setCourseId(event.currentTarget.value)}
            />
          </Group>
          <Readings
            readings={readings}
            rows={new Map(mapped().map((row, index) => [table!.lines[index]!, row]))}
            skipTwins={skipTwins}
            isBusy={isBusy}
            onMend={(line, row) => {
              const next = { ...mended, [line]: row };
              setMended(next);
              preview(next);
            }}
          />
          <Group>
            <Button variant="default" onClick={() => setStep(1)}>
              Back
            </Button>
            <Button loading={isBusy} disabled={good === 0} onClick={store}>
              Take {good} in
            </Button>
          </Group>
        </div>
      )}
      {step === 3 && imported && (
        <div className={classes.step}>
          <p>
            <strong>
              {imported.added === 1 ? 'One person is' : `${imported.added} people are`} here
            </strong>
            {imported.leftOut > 0 ? `; left out: ${counted(imported.leftOut, 'row')}.` : '.'}
          </p>
          <Group>
            <Button variant="default" loading={isBusy} onClick={undo}>
              Take it all back
            </Button>
            <Button component={Link} href="/people">
              To the people
            </Button>
          </Group>
        </div>
      )}
    </>
  );
}

function FileStep({ onText }: { readonly onText: (text: string, note?: string) => void }) {
  const [pasted, setPasted] = useState('');
  const open = async (file: File) => {
    if (file.size > mostBytes) showProblem('This file is larger than 2 MB.');
    else {
      const { text, note } = readText(new Uint8Array(await file.arrayBuffer()));
      onText(text, note);
    }
  };
  return (
    <div className={classes.step}>
      <p>
        A CSV file with a heading row: a name and a height for each person; body mass, consent to
        hands-on help (yes, ask, no) and an id of your own if you have them. Cautions are asked in
        person and do not come from a table.
      </p>
      <FileChoice onFile={(file) => void open(file)} accept=".csv,.txt,text/csv">
        {(props) => <Button {...props}>Choose a file</Button>}
      </FileChoice>
      <Textarea
        label="or paste the rows"
        autosize
        minRows={5}
        maxRows={14}
        value={pasted}
        onChange={(event) => setPasted(event.currentTarget.value)}
      />
      <Group>
        <Button variant="default" disabled={pasted.trim() === ''} onClick={() => onText(pasted)}>
          Read what I pasted
        </Button>
      </Group>
    </div>
  );
}
