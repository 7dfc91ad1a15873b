import { NativeSelect } from '@mantine/core';
import { moveIds, type MoveId } from '@/core/atlas/moves';
import { firstUp } from '@/core/units/words';
import { StripView } from '@/design/atlas/StripView';

interface DrawingChoiceProps {
  readonly label: string;
  readonly value: MoveId | '';
  readonly onChange: (value: MoveId | '') => void;
}

const choices = [
  { value: '', label: 'none' },
  ...moveIds
    .map((value) => ({ value, label: firstUp(value.replaceAll('-', ' ')) }))
    .sort((a, b) => a.label.localeCompare(b.label)),
];

/** The drawing that comes nearest, seen before it is taken. */
export function DrawingChoice({ label, value, onChange }: DrawingChoiceProps) {
  return (
    <div>
      <NativeSelect
        label={label}
        description="The one that comes nearest."
        data={choices}
        value={value}
        onChange={({ currentTarget }) => onChange(currentTarget.value as MoveId | '')}
      />
      {value !== '' && <StripView move={value} label={`${label}: ${value.replaceAll('-', ' ')}`} />}
    </div>
  );
}
