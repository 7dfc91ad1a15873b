'use client';

import { sayShortDay } from '@/design/days';
import { Button } from '@mantine/core';
import { useState } from 'react';
import type { DecisionView } from './read';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { Said } from '@/design/units';
import { DecisionDialog } from './later';
import classes from './person.module.css';

interface DecisionListProps {
  readonly personId: number;
  readonly decisions: readonly DecisionView[];
}

/** Suggestion and decision side by side, each explained by what it stood on then. */
export function DecisionList({ personId, decisions }: DecisionListProps) {
  const [correcting, setCorrecting] = useState<DecisionView | null>(null);
  // The last one stays named while its dialog goes.
  const [last, setLast] = useState<DecisionView | null>(null);
  const correct = (decision: DecisionView) => {
    setLast(decision);
    setCorrecting(decision);
  };
  if (decisions.length === 0) return <p>Nothing decided yet. Decide beside a ladder above.</p>;
  return (
    <>
      <ul className={classes.decisions}>
        {decisions.map((decision) => (
          <li key={decision.id}>
            <p>
              {sayShortDay(decision.madeOn)} · <strong>{decision.stageLabel}</strong>
              {decision.by !== '' && `, ${decision.by}`}
              {decision.corrects !== null && ' · corrects an earlier one'}
            </p>
            <p className={classes.sideBySide}>
              <span>
                <VerdictMark kind={decision.suggested} /> suggested{' '}
                {verdictWords[decision.suggested]}
              </span>
              <span>
                <VerdictMark kind={decision.decided} /> decided {verdictWords[decision.decided]}
              </span>
            </p>
            {decision.reason !== '' && <p>“{decision.reason}”</p>}
            <details>
              <summary>What it stood on</summary>
              <p className={classes.hint}>
                {decision.grounds.profileLabel}, version {decision.profileVersion}
              </p>
              <ul className={classes.reasons}>
                {decision.grounds.reasons.map((line) => (
                  <li key={line}>
                    <Said>{line}</Said>
                  </li>
                ))}
                {decision.grounds.figures.map(({ label, status, text }) => (
                  <li key={label}>
                    {label}, {status.replace('-', ' ')}: <Said>{text}</Said>
                  </li>
                ))}
              </ul>
            </details>
            <Button size="compact-sm" variant="subtle" onClick={() => correct(decision)}>
              Correct by a new one
            </Button>
          </li>
        ))}
      </ul>
      {last !== null && (
        <DecisionDialog
          title={last.stageLabel}
          onClose={() => setCorrecting(null)}
          about={
            correcting && {
              personId,
              stage: correcting.stage,
              suggested: correcting.suggested,
              reasons: ['as it stood then; it is judged anew when you keep this'],
              corrects: correcting.id,
            }
          }
        />
      )}
    </>
  );
}
