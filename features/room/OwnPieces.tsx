'use client';

import { answered } from '@/design/answered';
import { Button, Checkbox, Group, NativeSelect, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useTransition } from 'react';
import { pieceKinds } from '@/core/catalog/pieceKinds';
import type { PieceKind } from '@/core/catalog/pieces';
import { formatLength, parseLength, sayIn, type LengthUnits } from '@/core/units/length';
import { bringPieceBackAction, dropOwnPieceAction, keepOwnPieceAction } from './actions';
import type { RoomView } from './read';
import { showProblems, showSaved, showUndo } from '@/design/notices';
import { PiecePicture } from './PiecePicture';
import classes from './room.module.css';

const sides = [
  { key: 'lengthM', label: 'Longest side' },
  { key: 'widthM', label: 'Middle side' },
  { key: 'thicknessM', label: 'Shortest side' },
  { key: 'loadedM', label: 'Height with weight on it' },
] as const;

type Side = (typeof sides)[number]['key'];

const kindWords: Readonly<Record<PieceKind, string>> = {
  block: 'block',
  pad: 'pad or board',
  blanket: 'blanket or towel',
  bolster: 'bolster',
  strap: 'strap',
  furniture: 'seat or bench',
  other: 'something else',
};

const empty = {
  label: '',
  kind: 'pad' as PieceKind,
  lengthM: '',
  widthM: '',
  thicknessM: '',
  loadedM: '',
  isFirm: true,
  standsOnEdge: false,
  refolds: false,
  stacks: true,
};

/** Pieces that are in no list: their faces, and how high they stay under weight. */
export function OwnPieces({ view }: { readonly view: RoomView }) {
  const units: LengthUnits = view.settings.units;
  const [isBusy, startBusy] = useTransition();
  const form = useForm({ initialValues: empty });
  const submit = form.onSubmit((values) =>
    startBusy(async () => {
      const read = (key: Side) => parseLength(values[key], units) ?? Number.NaN;
      const lengths = {
        lengthM: read('lengthM'),
        widthM: read('widthM'),
        thicknessM: read('thicknessM'),
        loadedM: read('loadedM'),
      };
      const missing = sides.filter(({ key }) => Number.isNaN(lengths[key]));
      if (missing.length > 0) {
        form.setErrors(
          Object.fromEntries(
            missing.map(({ key }) => [key, `A length, like ${sayIn('4 cm', units)}`]),
          ),
        );
        return;
      }
      const { standsOnEdge, refolds, stacks, label, kind, isFirm } = values;
      const outcome = await answered(
        keepOwnPieceAction({
          label,
          kind,
          isFirm,
          ...lengths,
          ...(standsOnEdge ? { standsOnEdge: true as const } : {}),
          ...(refolds ? { refolds: true as const } : {}),
          ...(stacks ? { stacks: true as const } : {}),
        }),
      );
      if (outcome.ok) {
        showSaved(`${label} is in the list. Count how many there are.`);
        form.reset();
      } else form.setErrors(outcome.problems);
    }),
  );
  return (
    <section aria-label="Pieces of your own" className={classes.own}>
      <h2>Pieces of your own</h2>
      {view.own.length > 0 && (
        <ul>
          {view.own.map(({ piece, spec }) => (
            <li key={piece}>
              <PiecePicture piece={piece} spec={spec} />
              <span>
                {spec.label}: {formatLength(spec.lengthM, units)} by{' '}
                {formatLength(spec.widthM, units)} by {formatLength(spec.thicknessM, units)}, under
                weight {formatLength(spec.loadedM, units)}
              </span>
              <Button
                size="compact-sm"
                variant="subtle"
                onClick={() =>
                  startBusy(async () => {
                    const outcome = await answered(dropOwnPieceAction(piece));
                    if (!outcome.ok) return showProblems(outcome.problems);
                    showUndo(`${spec.label} is taken out.`, () =>
                      bringPieceBackAction(outcome.value),
                    );
                  })
                }
              >
                Take out
              </Button>
            </li>
          ))}
        </ul>
      )}
      <form onSubmit={submit}>
        <Group gap="sm" align="flex-start">
          <TextInput label="Name" w={170} maxLength={60} {...form.getInputProps('label')} />
          <NativeSelect
            label="Kind"
            data={pieceKinds.map((kind) => ({ value: kind, label: kindWords[kind] }))}
            {...form.getInputProps('kind')}
          />
          {sides.map(({ key, label }) => (
            <TextInput key={key} label={label} w={130} {...form.getInputProps(key)} />
          ))}
        </Group>
        <Group gap="md" mt="xs">
          <Checkbox label="firm" {...form.getInputProps('isFirm', { type: 'checkbox' })} />
          <Checkbox
            label="can be stacked"
            {...form.getInputProps('stacks', { type: 'checkbox' })}
          />
          <Checkbox
            label="may stand on its edge"
            {...form.getInputProps('standsOnEdge', { type: 'checkbox' })}
          />
          <Checkbox
            label="may be folded once more"
            {...form.getInputProps('refolds', { type: 'checkbox' })}
          />
          <Button type="submit" loading={isBusy} variant="default">
            Add the piece
          </Button>
        </Group>
      </form>
    </section>
  );
}
