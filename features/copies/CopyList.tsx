'use client';

import { counted } from '@/core/units/words';
import { answered } from '@/design/answered';
import { sayMoment } from '@/design/days';
import { Button, Group, PasswordInput } from '@mantine/core';
import { useRef, useState } from 'react';
import type { CopyKind } from '@/server/copies/keeping';
import type { RestoreLook } from '@/server/copies/restore';
import type { Outcome, Problems } from '@/server/result';
import classes from './copies.module.css';

export interface CopyLine {
  readonly name: string;
  readonly atMs: number;
  readonly kind: CopyKind;
  readonly isSealed: boolean;
  readonly bytes: number;
  readonly rows: number | null;
}

const kindWords: Readonly<Record<CopyKind, string>> = {
  start: 'at a start',
  night: 'at night',
  hand: 'by hand',
  import: 'before a file was taken in',
  merge: 'before two entries were merged',
  deletion: 'before a deletion',
  restore: 'before a copy was taken back',
  version: 'before a new version',
  reset: 'put aside by a reset',
};

const sizeOf = (bytes: number) =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

interface Asked {
  readonly name: string;
  readonly passphrase: string;
}

interface CopyListProps {
  readonly copies: readonly CopyLine[];
  readonly look: (asked: Asked) => Promise<Outcome<RestoreLook>>;
  readonly restore: (asked: Asked) => Promise<Outcome<string | null>>;
  readonly onRestored: () => void;
}

const atFirst = 6;

/** The copies there are; each is looked into before it is taken back. */
export function CopyList({ copies, look, restore, onRestored }: CopyListProps) {
  const [isAll, setAll] = useState(false);
  const [chosen, setChosen] = useState<CopyLine | null>(null);
  const [found, setFound] = useState<RestoreLook | null>(null);
  const [passphrase, setPassphrase] = useState('');
  const [problems, setProblems] = useState<Problems>({});
  const [isBusy, setBusy] = useState(false);
  /** It is on its way and cannot be left any more. */
  const [isTaking, setTaking] = useState(false);
  // What is answered is shown for what was asked last, and for nothing else: one copy's difference
  // beside another copy's button would take back what nobody looked at.
  const turn = useRef(0);
  const close = () => {
    turn.current += 1;
    setBusy(false);
    setChosen(null);
    setFound(null);
    setPassphrase('');
    setProblems({});
  };
  const lookInto = async (copy: CopyLine) => {
    turn.current += 1;
    const own = turn.current;
    setBusy(true);
    setProblems({});
    const outcome = await answered(look({ name: copy.name, passphrase }));
    if (own !== turn.current) return;
    setBusy(false);
    if (outcome.ok) setFound(outcome.value);
    else setProblems(outcome.problems);
  };
  const take = async (copy: CopyLine) => {
    setTaking(true);
    setProblems({});
    const outcome = await answered(restore({ name: copy.name, passphrase }));
    setTaking(false);
    if (!outcome.ok) return setProblems(outcome.problems);
    close();
    onRestored();
  };
  const open = (copy: CopyLine) => {
    close();
    setChosen(copy);
    if (!copy.isSealed) void lookInto(copy);
  };
  if (copies.length === 0) return <p>There is no copy yet.</p>;
  return (
    <>
      <ul className={classes.list}>
        {copies.slice(0, isAll ? copies.length : atFirst).map((copy) => (
          <li key={copy.name} data-chosen={copy.name === chosen?.name}>
            <span>
              <strong>{sayMoment(copy.atMs)}</strong> {kindWords[copy.kind]}
              <span className={classes.quiet}>
                {' '}
                {sizeOf(copy.bytes)}
                {copy.rows !== null && `, ${counted(copy.rows, 'row')}, checked`}
                {copy.isSealed && ', sealed'}
              </span>
            </span>
            <Button
              variant="default"
              loading={isBusy && copy.name === chosen?.name}
              disabled={isTaking}
              onClick={() => open(copy)}
              aria-label={`Look into the copy of ${sayMoment(copy.atMs)}`}
            >
              Look into it
            </Button>
          </li>
        ))}
      </ul>
      {copies.length > atFirst && (
        <Button variant="subtle" onClick={() => setAll(!isAll)}>
          {isAll ? 'Fewer' : `All ${copies.length} copies`}
        </Button>
      )}
      {chosen !== null && (
        <div className={classes.look} role="status">
          {chosen.isSealed && found === null && (
            <form
              onSubmit={(event) => {
                event.preventDefault();
                void lookInto(chosen);
              }}
            >
              <PasswordInput
                label="Passphrase of the copies"
                description="Left empty, the one that is set now is tried."
                value={passphrase}
                error={problems.passphrase}
                onChange={({ currentTarget: { value } }) => setPassphrase(value)}
              />
              <Button type="submit" mt="sm" loading={isBusy}>
                Open it
              </Button>
            </form>
          )}
          {problems.form !== undefined && <p role="alert">{problems.form}</p>}
          {found !== null && <Difference found={found} />}
          <Group mt="sm">
            {found !== null && (
              <Button loading={isTaking} onClick={() => void take(chosen)}>
                Take it back
              </Button>
            )}
            <Button variant="default" disabled={isTaking} onClick={close}>
              Leave it
            </Button>
          </Group>
        </div>
      )}
    </>
  );
}

const named = (names: readonly string[]) =>
  names.length <= 12
    ? names.join(', ')
    : `${names.slice(0, 12).join(', ')} and ${names.length - 12} more`;

function Difference({ found: { atMs, now, then, gone, back } }: { readonly found: RestoreLook }) {
  const rows = [
    ['people', now?.people, then.people],
    ['records', now?.records, then.records],
    ['decisions', now?.decisions, then.decisions],
    ['courses', now?.courses, then.courses],
    ['classes on the floor', now?.classes, then.classes],
  ] as const;
  return (
    <>
      <p>
        As of {sayMoment(atMs)}. What is here now goes among the copies first, so this can be taken
        back too.
      </p>
      <table className={classes.table}>
        <thead>
          <tr>
            <td />
            <th scope="col">now</th>
            <th scope="col">then</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([label, before, after]) => (
            <tr key={label} data-differs={before !== after}>
              <th scope="row">{label}</th>
              <td>{before ?? '?'}</td>
              <td>{after}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {gone.length > 0 && <p>Would be gone: {named(gone)}.</p>}
      {back.length > 0 && <p>Would be back: {named(back)}.</p>}
      {now !== null && (
        <p className={classes.quiet}>
          Who was deleted stays deleted, who was put out stays out, and today’s class keeps its
          taps.
        </p>
      )}
    </>
  );
}
