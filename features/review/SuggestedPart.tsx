'use client';

import { Button, Group, TextInput } from '@mantine/core';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { Said } from '@/design/units';
import { VerdictChoice } from '@/design/VerdictChoice';
import type { Suggested } from './review';
import classes from './review.module.css';

/** Another word than what is suggested, and why. */
export interface Differing {
  readonly decided: VerdictKind;
  readonly reason: string;
}

interface SuggestedPartProps {
  readonly suggested: Suggested;
  /** Named where an evening has several ladders. */
  readonly isOneOfSeveral: boolean;
  /** `null`: as suggested. */
  readonly differing: Differing | null;
  /** What is wrong with a field, by its name. */
  readonly problemOf: (field: keyof Differing) => string | undefined;
  readonly onDiffer: (differing: Differing | null) => void;
}

/** What one ladder suggests, agreed with unless another word is given. */
export function SuggestedPart(props: SuggestedPartProps) {
  const { suggested, isOneOfSeveral, differing, problemOf, onDiffer } = props;
  const { ladder, label, kind, reasons } = suggested;
  return (
    <div role="group" aria-label={ladder}>
      {isOneOfSeveral && <h4 className={classes.ladder}>{ladder}</h4>}
      <p className={classes.verdict}>
        <VerdictMark kind={kind} sizePx={30} />
        <span>
          {label}: <strong>{verdictWords[kind]}</strong>
        </span>
      </p>
      <ul className={classes.list}>
        {reasons.map((line) => (
          <li key={line}>
            <Said>{line}</Said>
          </li>
        ))}
      </ul>
      {differing === null ? (
        kind !== 'stop' && (
          <Button
            size="md"
            mt="sm"
            variant="default"
            onClick={() => onDiffer({ decided: kind, reason: '' })}
          >
            Differ
          </Button>
        )
      ) : (
        <DifferingFields {...{ differing, problemOf, onDiffer }} />
      )}
    </div>
  );
}

interface DifferingFieldsProps extends Pick<SuggestedPartProps, 'problemOf' | 'onDiffer'> {
  readonly differing: Differing;
}

function DifferingFields({ differing, problemOf, onDiffer }: DifferingFieldsProps) {
  const { decided, reason } = differing;
  return (
    <div className={classes.differ}>
      <VerdictChoice
        value={decided}
        error={problemOf('decided')}
        onChange={(one) => onDiffer({ decided: one, reason })}
      />
      <TextInput
        label="Why you differ"
        maxLength={300}
        value={reason}
        error={problemOf('reason')}
        onChange={({ currentTarget: { value } }) => onDiffer({ decided, reason: value })}
      />
      <Group>
        <Button size="md" variant="default" onClick={() => onDiffer(null)}>
          As suggested after all
        </Button>
      </Group>
    </div>
  );
}
