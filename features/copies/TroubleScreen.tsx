'use client';

import { sayProblems } from '@/server/result';
import { Button, Group, Title } from '@mantine/core';
import { useState } from 'react';
import type { TroubleKind } from '@/server/database';
import type { RestoreLook } from '@/server/copies/restore';
import { postDesk } from '@/features/desk/post';
import { CopyList, type CopyLine } from './CopyList';
import classes from './copies.module.css';

interface TroubleScreenProps {
  readonly words: string;
  readonly kind: TroubleKind;
  readonly file: string;
  readonly copies: readonly CopyLine[];
}

/** Where a copy or a beginning would put something in the place of what is there. */
const canReplace: Readonly<Record<TroubleKind, boolean>> = {
  missing: true,
  empty: true,
  damaged: true,
  foreign: false,
  newer: false,
  locked: false,
  'read-only': false,
  closed: false,
  full: false,
};

const again = () => window.location.assign('/');

export function TroubleScreen({ words, kind, file, copies }: TroubleScreenProps) {
  const [isBeginning, setBeginning] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const begin = async () => {
    const outcome = await postDesk('/trouble/help', { what: 'begin' });
    if (outcome.ok) again();
    else setProblem(sayProblems(outcome.problems));
  };
  return (
    <main id="main" style={{ maxWidth: 760, margin: '8vh auto', padding: '0 24px' }}>
      <Title order={1} size="1.9rem">
        The studio cannot be opened
      </Title>
      <p className={classes.warning} role="alert">
        {words}
      </p>
      <p>
        It should be at <code style={{ overflowWrap: 'anywhere' }}>{file}</code>. Nothing there has
        been changed.
      </p>
      <Button onClick={again}>Look again</Button>
      {canReplace[kind] && (
        <>
          <Title order={2} size="1.3rem" mt="xl">
            Copies
          </Title>
          <CopyList
            copies={copies}
            look={(asked) => postDesk<RestoreLook>('/trouble/help', { what: 'look', ...asked })}
            restore={(asked) =>
              postDesk<string | null>('/trouble/help', { what: 'restore', ...asked })
            }
            onRestored={again}
          />
          <p className={classes.quiet}>
            A copy that lies elsewhere is taken back with <code>npm run restore -- FILE</code>.
          </p>
          {problem !== null && <p role="alert">{problem}</p>}
          <Group>
            {isBeginning ? (
              <>
                <Button color="var(--lv-stop)" onClick={() => void begin()}>
                  Begin with an empty studio
                </Button>
                <Button variant="default" onClick={() => setBeginning(false)}>
                  Leave it
                </Button>
              </>
            ) : (
              <Button variant="subtle" onClick={() => setBeginning(true)}>
                Begin anew without what was here
              </Button>
            )}
          </Group>
        </>
      )}
    </main>
  );
}
