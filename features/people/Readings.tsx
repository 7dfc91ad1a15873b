'use client';

import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { ImportRow, RowReading } from './importPeople';
import { fieldLabels, importFields } from './mapping';
import classes from './import.module.css';

const mostShown = 200;

interface ReadingsProps {
  readonly readings: readonly RowReading[];
  /** What each line says now, mended or not. */
  readonly rows: ReadonlyMap<number, ImportRow>;
  readonly skipTwins: boolean;
  readonly isBusy: boolean;
  readonly onMend: (line: number, row: ImportRow) => void;
}

/** Rows with something to say first; what is wrong with one is mended where it stands. */
export function Readings({ readings, rows, skipTwins, isBusy, onMend }: ReadingsProps) {
  const [open, setOpen] = useState<number | null>(null);
  const rank = ({ problems, isTwin }: RowReading) => (problems.length > 0 ? 0 : isTwin ? 1 : 2);
  const ordered = [...readings].sort((a, b) => rank(a) - rank(b) || a.line - b.line);
  const words = ({ problems, isTwin }: RowReading) =>
    problems.length > 0
      ? `no: ${problems.join('; ')}`
      : isTwin
        ? `${skipTwins ? 'no' : 'yes'}: this name is here already`
        : 'yes';
  return (
    <div className={classes.rows}>
      <table>
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">Name</th>
            <th scope="col">Comes in</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {ordered.slice(0, mostShown).map((reading) => {
            const { line, name } = reading;
            const row = rows.get(line);
            return (
              <tr key={line}>
                <td>{line}</td>
                <td>{name === '' ? '—' : name}</td>
                <td>
                  {words(reading)}
                  {open === line && row !== undefined && (
                    <MendRow
                      line={line}
                      row={row}
                      isBusy={isBusy}
                      onMend={(next) => {
                        setOpen(null);
                        onMend(line, next);
                      }}
                    />
                  )}
                </td>
                <td>
                  {open !== line && (
                    <Button
                      size="compact-sm"
                      variant={rank(reading) === 2 ? 'subtle' : 'default'}
                      aria-label={`Mend line ${line}`}
                      onClick={() => setOpen(line)}
                    >
                      Mend
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {ordered.length > mostShown && <p>and {ordered.length - mostShown} more rows</p>}
    </div>
  );
}

interface MendRowProps {
  readonly line: number;
  readonly row: ImportRow;
  readonly isBusy: boolean;
  readonly onMend: (row: ImportRow) => void;
}

/** One line of the file, to be written otherwise; the file itself stays as it is. */
function MendRow({ line, row, isBusy, onMend }: MendRowProps) {
  const [values, setValues] = useState(row);
  return (
    <form
      className={classes.mend}
      aria-label={`Line ${line}`}
      onSubmit={(event) => {
        event.preventDefault();
        onMend(values);
      }}
    >
      {importFields.map((field, index) => (
        <TextInput
          key={field}
          size="sm"
          label={fieldLabels[field]}
          data-autofocus={index === 0 || undefined}
          autoFocus={index === 0}
          value={values[field]}
          onChange={({ currentTarget: { value } }) => setValues({ ...values, [field]: value })}
        />
      ))}
      <Button type="submit" size="sm" loading={isBusy}>
        Look again
      </Button>
    </form>
  );
}
