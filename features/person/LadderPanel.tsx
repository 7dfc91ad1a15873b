'use client';

import { sayShortDay } from '@/design/days';
import { Button, NativeSelect } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import Link from 'next/link';
import { useState, useTransition } from 'react';
import { placeOnRungAction } from '@/features/people/actions';
import { getAlternative } from '@/core/catalog/alternatives';
import { ladderTable, type LadderId, type StageKey } from '@/core/catalog/stage';
import type { Day } from '@/core/units/day';
import type { Standing } from '@/server/judging/standings';
import { StatusMark } from '@/design/marks/StatusMark';
import { AnotherWayMark, VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { DecisionDialog } from './later';
import { showProblems } from '@/design/notices';
import classes from './ladders.module.css';

interface LadderPanelProps {
  readonly personId: number;
  readonly standings: readonly Standing[];
  /** Rungs of each ladder, foot first. */
  readonly rungs: Readonly<Record<LadderId, readonly { value: StageKey; label: string }[]>>;
  /** Stages last agreed to with support, and when. */
  readonly tried: Readonly<Partial<Record<StageKey, Day>>>;
}

/** The five ladders of one person: where they stand and what the next rung says. */
export function LadderPanel({ personId, standings, rungs, tried }: LadderPanelProps) {
  return (
    <ul className={classes.five}>
      {standings.map((standing) => (
        <li key={standing.family} className={classes.ladder}>
          <OneLadder
            personId={personId}
            standing={standing}
            rungs={rungs[standing.family]}
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
  readonly rungs: readonly { value: StageKey; label: string }[];
  /** The next one was tried with support on this day. */
  readonly tried: Day | undefined;
}

function OneLadder({ personId, standing, rungs, tried }: OneLadderProps) {
  const { family, present, next } = standing;
  const [isMoving, startMoving] = useTransition();
  const [isOpen, { open: show, close }] = useDisclosure(false);
  const [wasOpen, setWasOpen] = useState(false);
  const open = () => {
    setWasOpen(true);
    show();
  };
  const [stage, setStage] = useState(present ?? '');
  const move = (value: string) => {
    setStage(value);
    startMoving(async () => {
      const outcome = await placeOnRungAction(personId, {
        family,
        stage: rungs.find((one) => one.value === value)?.value ?? null,
      });
      if (!outcome.ok) showProblems(outcome.problems);
    });
  };
  return (
    <>
      <h3>{ladderTable[family].label}</h3>
      <span className={classes.onPaper}>{standing.presentLabel ?? 'not begun'}</span>
      <NativeSelect
        aria-label={`Works at, ${ladderTable[family].label}`}
        size="sm"
        disabled={isMoving}
        value={present ?? stage}
        data={[{ value: '', label: 'not begun' }, ...rungs]}
        onChange={(event) => move(event.currentTarget.value)}
      />
      {next === null ? (
        <p className={classes.top}>At the top of this ladder.</p>
      ) : (
        <>
          <p className={classes.next}>
            next:{' '}
            <Link href={`/ladders/${next.stage}?person=${personId}`} prefetch={false}>
              {next.label}
            </Link>
          </p>
          <p className={classes.mark}>
            {next.alternative && present !== null ? (
              <>
                <AnotherWayMark /> {getAlternative(next.alternative).label}
              </>
            ) : (
              <>
                <VerdictMark kind={next.kind} />
                {verdictWords[next.kind]}
                {next.atDoor.length > 0 ? ', if confirmed at the door' : ''}
              </>
            )}
          </p>
          {tried !== undefined && (
            <p className={classes.tried}>tried with support, {sayShortDay(tried)}</p>
          )}
          <ul className={classes.obstacles}>
            {next.obstacles.slice(0, 3).map((row) => (
              <li key={row.key}>
                <StatusMark status={row.status} />
                <span>
                  {row.label}
                  <small>{row.figures}</small>
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
