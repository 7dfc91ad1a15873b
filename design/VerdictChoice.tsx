import { Group, Radio } from '@mantine/core';
import { verdictKinds, type VerdictKind } from '@/core/ladder/verdictKinds';
import { verdictWords } from './marks/VerdictMark';

interface VerdictChoiceProps {
  readonly value: VerdictKind;
  readonly error: string | undefined;
  readonly onChange: (value: VerdictKind) => void;
}

/** What the teacher decides, of all that can be decided. */
export function VerdictChoice({ value, error, onChange }: VerdictChoiceProps) {
  return (
    <Radio.Group
      label="You decide"
      value={value}
      error={error}
      onChange={(chosen) => onChange(verdictKinds.find((kind) => kind === chosen) ?? value)}
    >
      <Group gap="md" mt={6}>
        {verdictKinds.map((kind) => (
          <Radio key={kind} value={kind} label={verdictWords[kind]} />
        ))}
      </Group>
    </Radio.Group>
  );
}
