'use client';

import { Link } from '@/design/Link';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import type { GateRow } from '@/server/judging/gateRows';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import { PickOne } from '@/design/Picker';
import { StatusMark, statusWords } from '@/design/marks/StatusMark';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { Said } from '@/design/units';
import classes from './ladders.module.css';

/** One person at a rung's gate, as it is compared. */
export interface AtGate {
  readonly id: number;
  readonly name: string;
  readonly kind: VerdictKind;
  /** Care closes it: why stands on their own page, and nowhere else. */
  readonly isClosed: boolean;
  readonly rows: readonly GateRow[];
}

interface BesideProps {
  readonly one: AtGate;
  readonly other: AtGate | null;
  readonly people: readonly { readonly id: number; readonly name: string }[];
}

const firstOf = (name: string) => name.split(' ')[0];

/** Why one may and the other may not: the same gate, line by line, for two. */
export function Beside({ one, other, people }: BesideProps) {
  const router = useRouter();
  const path = usePathname();
  const params = useSearchParams();
  const choose = (id: string | null) => {
    const next = new URLSearchParams(params);
    next.set('person', String(one.id));
    if (id === null) next.delete('beside');
    else next.set('beside', id);
    router.push(`${path}?${next.toString()}`, { scroll: false });
  };
  const rows = one.rows.map((row) => ({
    row,
    beside: other?.rows.find(({ key }) => key === row.key),
  }));
  const parted = rows.filter(
    ({ row, beside }) => beside && (row.status === 'met') !== (beside.status === 'met'),
  );
  return (
    <section aria-label="Beside somebody else" className={classes.beside}>
      <h2>Beside somebody else</h2>
      <PickOne
        label={`Who may do what ${firstOf(one.name)} does not, or the other way round`}
        placeholder="a name"
        clearable
        data={people
          .filter(({ id }) => id !== one.id)
          .map(({ id, name }) => ({ value: String(id), label: name }))}
        value={other === null ? null : String(other.id)}
        onChange={choose}
      />
      {other !== null && (
        <>
          <table className={classes.besideTable}>
            <thead>
              <tr>
                <td />
                {[one, other].map(({ id, name, kind }) => (
                  <th key={id} scope="col">
                    <Link href={`/people/${id}`}>{name}</Link>
                    <span className={classes.besideVerdict}>
                      <VerdictMark kind={kind} /> {verdictWords[kind]}
                    </span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(({ row, beside }) => (
                <tr
                  key={row.key}
                  data-parts={
                    beside !== undefined && (row.status === 'met') !== (beside.status === 'met')
                  }
                >
                  <th scope="row">{row.label}</th>
                  <Cell row={row} />
                  <Cell row={beside} />
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            {[one, other]
              .filter(({ isClosed }) => isClosed)
              .map(({ id, name }) => (
                <span key={id}>
                  Closed to {firstOf(name)} today:{' '}
                  <Link href={`/people/${id}#closed`}>why stands on their page</Link>.{' '}
                </span>
              ))}
            {parted.length === 0
              ? 'No line of the gate parts them.'
              : `What parts them: ${parted.map(({ row }) => row.label.toLowerCase()).join(', ')}.`}
          </p>
        </>
      )}
    </section>
  );
}

function Cell({ row }: { readonly row: GateRow | undefined }) {
  if (row === undefined) return <td>not asked</td>;
  return (
    <td>
      <span className={classes.besideStatus}>
        <StatusMark status={row.status} />
        {row.isAtDoor ? 'at the door' : statusWords[row.status]}
      </span>
      <small>
        <Said>{row.figures}</Said>
      </small>
    </td>
  );
}
