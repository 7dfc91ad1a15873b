'use client';

import { Link } from '@/design/Link';
import { useState } from 'react';
import type { RungView, Token } from './read';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { Said } from '@/design/units';
import { RecordButton } from '@/features/check/RecordButton';
import { rungHref } from './rungHref';
import classes from './ladders.module.css';

interface RungProps {
  readonly rung: RungView;
  readonly today: string;
  readonly breathSeconds: number;
}

/** One rung; what waits behind it is only drawn once it is opened. */
export function Rung({ rung, today, breathSeconds }: RungProps) {
  const { here, waiting } = rung;
  const [isOpen, setIsOpen] = useState(false);
  return (
    <details
      className={classes.rung}
      data-closed={rung.isClosed || undefined}
      onToggle={(event) => setIsOpen(event.currentTarget.open)}
    >
      <summary>
        <span className={classes.label}>
          {rung.label}
          {rung.isClosed && <small> · closed in this profile</small>}
        </span>
        {(here.length > 0 || waiting.length > 0) && (
          <span className={classes.tokens}>
            {here.map((token) => (
              <TokenMark key={token.id} token={token} />
            ))}
            {waiting.length > 0 && (
              <span className={classes.waits}>
                {waiting.length} {waiting.length === 1 ? 'waits' : 'wait'}
              </span>
            )}
          </span>
        )}
      </summary>
      {isOpen && (
        <div className={classes.opened}>
          {rung.branchLabel && <p className={classes.hint}>{rung.branchLabel}</p>}
          <p className={classes.hint}>
            opens with: <Said>{rung.gate === '' ? 'nothing' : rung.gate}</Said>
          </p>
          {here.length > 0 && <p>here: {here.map(({ name }) => name).join(', ')}</p>}
          {waiting.length > 0 && (
            <ul className={classes.waiting}>
              {waiting.map((person) => (
                <li key={person.id}>
                  <VerdictMark kind={person.kind} />
                  <span>
                    <Link href={`/people/${person.id}`}>{person.name}</Link>{' '}
                    {verdictWords[person.kind]}
                    {person.forWhat !== 'open' && <small>{person.forWhat}</small>}
                  </span>
                  {person.obstacle && (
                    <RecordButton
                      people={[person]}
                      row={person.obstacle}
                      today={today}
                      breathSeconds={breathSeconds}
                    />
                  )}
                </li>
              ))}
            </ul>
          )}
          <Link href={rungHref(rung.stage, (rung.here[0] ?? rung.waiting[0])?.id ?? null)}>
            Open this rung
          </Link>
        </div>
      )}
    </details>
  );
}

function TokenMark({ token }: { readonly token: Token }) {
  return (
    <span className={classes.token} title={token.name}>
      {token.initials}
    </span>
  );
}
