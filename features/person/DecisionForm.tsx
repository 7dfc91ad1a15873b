'use client';

import { answered } from '@/design/answered';
import { Button, Textarea } from '@mantine/core';
import { useState, useTransition } from 'react';
import { decideAction, undoDecisionAction } from './actions';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import type { StageKey } from '@/core/catalog/stage';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { showProblem, showUndo } from '@/design/notices';
import { Said } from '@/design/units';
import { VerdictChoice } from '@/design/VerdictChoice';
import classes from './person.module.css';

export interface DecisionFormProps {
  readonly personId: number;
  readonly stage: StageKey;
  readonly suggested: VerdictKind;
  readonly reasons: readonly string[];
  /** An earlier decision that this one corrects. */
  readonly corrects?: number;
  readonly onDone: () => void;
}

/** Suggestion beside decision. Differing needs a reason; both are kept and never rewritten. */
export function DecisionForm(props: DecisionFormProps) {
  const { personId, stage, suggested, reasons, corrects, onDone } = props;
  const [decided, setDecided] = useState<VerdictKind>(suggested);
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isSaving, startSaving] = useTransition();
  const isStop = suggested === 'stop';
  return (
    <form
      className={classes.form}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        startSaving(async () => {
          const form = { stage, decided, reason, corrects: corrects ?? null };
          const outcome = await answered(decideAction(personId, form));
          if (outcome.ok) {
            showUndo('Decision kept, beside the suggestion.', () =>
              undoDecisionAction(personId, outcome.value),
            );
            onDone();
            return;
          }
          setProblems(outcome.problems);
          if (outcome.problems.form) showProblem(outcome.problems.form);
        });
      }}
    >
      <div className={classes.suggestion}>
        <p className={classes.verdictHead}>
          <VerdictMark kind={suggested} sizePx={28} />
          <span>
            Suggested: <strong>{verdictWords[suggested]}</strong>
          </span>
        </p>
        <ul className={classes.reasons}>
          {reasons.map((line) => (
            <li key={line}>
              <Said>{line}</Said>
            </li>
          ))}
        </ul>
      </div>
      {isStop ? (
        <p>
          A stop is not decided away. Note the clinician’s word, or that the pain is gone, and it is
          judged anew.
        </p>
      ) : (
        <VerdictChoice value={decided} error={problems.decided} onChange={setDecided} />
      )}
      <Textarea
        label={decided === suggested ? 'A line about it, if you like' : 'Why you differ'}
        autosize
        minRows={2}
        maxLength={300}
        value={reason}
        error={problems.reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <Button type="submit" loading={isSaving}>
        {decided === suggested ? 'Agree and keep' : 'Differ and keep'}
      </Button>
    </form>
  );
}
