'use client';

import { Button } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { Link } from '@/design/Link';
import { useState } from 'react';
import type { LadderId, StageKey } from '@/core/catalog/stage';
import type { Standing } from '@/server/judging/standings';
import { StatusMark } from '@/design/marks/StatusMark';
import { AnotherWayMark, VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { Said } from '@/design/units';
import { DecisionDialog, RungSelect } from './later';
import classes from './ladders.module.css';

export interface LadderChoices {
  readonly label: string;
  /** Foot first. */
  readonly rungs: readonly { readonly value: StageKey; readonly label: string }[];
}

interface LadderPanelProps {
  readonly personId: number;
  readonly standings: readonly Standing[];
  readonly ladders: Readonly<Record<LadderId, LadderChoices>>;
  /** What is done in place of a next rung, by that rung; the catalog itself would come with a label. */
  readonly instead: Readonly<Partial<Record<StageKey, string>>>;
  /** Stages last agreed to with support, and when, in words. */
  readonly tried: Readonly<Partial<Record<StageKey, string>>>;
}

/** The five ladders of one person: where they stand and what the next rung says. */
export function LadderPanel({ personId, standings, ladders, instead, tried }: LadderPanelProps) {
  return (
    <ul className={classes.five}>
      {standings.map((standing) => (
        <li key={standing.family} className={classes.ladder}>
          <OneLadder
            personId={personId}
            standing={standing}
            ladder={ladders[standing.family]}
            instead={standing.next === null ? undefined : instead[standing.next.stage]}
            tried={standing.next === null ? undefined : tried[standing.next.stage]}
          />
        </li>
      ))}
    </ul>
  );
}

interface OneLadderProps {
  readonly personId: number;
  readonly standing: Standing;
  readonly ladder: LadderChoices;
  readonly instead: string | undefined;
  /** The next one was tried with support on this day. */
  readonly tried: string | undefined;
}

function OneLadder({ personId, standing, ladder, instead, tried }: OneLadderProps) {
  const { family, present, next } = standing;
  const [isOpen, { open: show, close }] = useDisclosure(false);
  const [wasOpen, setWasOpen] = useState(false);
  const open = () => {
    setWasOpen(true);
    show();
  };
  return (
    <>
      <h3>{ladder.label}</h3>
      <span className={classes.onPaper}>{standing.presentLabel ?? 'not begun'}</span>
      <RungSelect
        personId={personId}
        family={family}
        present={present}
        presentLabel={standing.presentLabel}
        rungs={ladder.rungs}
      />
      {next === null ? (
        <p className={classes.top}>At the top of this ladder.</p>
      ) : (
        <>
          <p className={classes.next}>
            next: <Link href={`/ladders/${next.stage}?person=${personId}`}>{next.label}</Link>
          </p>
          <p className={classes.mark}>
            {instead !== undefined && present !== null ? (
              <>
                <AnotherWayMark /> {instead}
              </>
            ) : (
              <>
                <VerdictMark kind={next.kind} />
                {verdictWords[next.kind]}
                {next.atDoor.length > 0 ? ', if confirmed at the door' : ''}
              </>
            )}
          </p>
          {tried !== undefined && <p className={classes.tried}>tried with support, {tried}</p>}
          <ul className={classes.obstacles}>
            {next.obstacles.slice(0, 3).map((row) => (
              <li key={row.key}>
                <StatusMark status={row.status} />
                <span>
                  {row.label}
                  <small>
                    <Said>{row.figures}</Said>
                  </small>
                </span>
              </li>
            ))}
            {next.watches.map((words) => (
              <li key={words}>
                <span>care: {words}</span>
              </li>
            ))}
          </ul>
          <Button variant="default" size="sm" onClick={open}>
            Decide
          </Button>
          {wasOpen && (
            <DecisionDialog
              title={next.label}
              onClose={close}
              about={
                isOpen
                  ? {
                      personId,
                      stage: next.stage,
                      suggested: next.kind,
                      reasons: next.reasons,
                    }
                  : null
              }
            />
          )}
        </>
      )}
    </>
  );
}
