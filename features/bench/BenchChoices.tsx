'use client';

import { SegmentedControl, Switch } from '@mantine/core';
import { getShape, shapeIds, shapeTable } from '@/core/shapes/registry';
import { stillIds, stillTable, type StillId } from '@/core/shapes/stills';
import { getDials } from '@/core/shapes/values';
import { formatHeight, parseHeight, type LengthUnits } from '@/core/units/length';
import { PickOne } from '@/design/Picker';
import type { BenchView } from '@/server/judging/views';
import { strangerHeights } from './benchMachine';
import { DialField } from './DialField';
import type { Bench, Compare } from './useBench';
import classes from './bench.module.css';

const stranger = 'stranger';

const groups = [...new Set(shapeIds.map((id) => getShape(id).group))];
const shapeChoices = groups.map((group) => ({
  group,
  items: shapeIds
    .filter((id) => getShape(id).group === group)
    .map((id): { value: string; label: string } => ({ value: id, label: getShape(id).label })),
}));
/** Shapes without a load model stand last and say so. */
const allChoices = [
  ...shapeChoices,
  {
    group: 'Drawing only',
    items: stillIds.map((id) => ({ value: id, label: stillTable[id].label })),
  },
];

interface PartProps {
  readonly bench: Bench;
  readonly units: LengthUnits;
}

interface ChoicesProps extends PartProps {
  readonly view: BenchView;
  readonly still: StillId | null;
  readonly onStill: (still: StillId | null) => void;
}

/** Who stands on the bench, in which shape, and beside whom. */
export function BenchChoices({ bench, view, units, still, onStill }: ChoicesProps) {
  const { state, change } = bench;
  const people = view.people.map(({ id, name }) => ({ value: String(id), label: name }));
  const toId = (value: string | null) =>
    value === null || value === stranger ? null : Number(value);
  return (
    <div className={classes.choices}>
      <PickOne
        label="Who"
        data={[...people, { value: stranger, label: 'Somebody else, by height' }]}
        value={state.personId === null ? stranger : String(state.personId)}
        onChange={(value) => change({ personId: toId(value) })}
      />
      {state.personId === null && (
        <DialField
          dial={{ label: 'Height', unit: 'm', ...strangerHeights }}
          value={state.heightM}
          units={units}
          say={formatHeight}
          read={parseHeight}
          onTurn={(heightM) => change({ heightM })}
        />
      )}
      <PickOne
        label="Shape"
        data={allChoices}
        value={still ?? state.shape}
        onChange={(value) => {
          if (value === null) return;
          const drawn = stillIds.find((id) => id === value) ?? null;
          onStill(drawn);
          const shape = shapeIds.find((id) => id === value);
          if (shape !== undefined && shape !== state.shape) change({ shape });
        }}
      />
      {still === null && 'mayLiftLeg' in shapeTable[state.shape] && (
        <Switch
          label="One leg lifted"
          checked={state.oneLeg}
          onChange={(event) => change({ oneLeg: event.currentTarget.checked })}
        />
      )}
      <div hidden={still !== null}>
        <span className={classes.dialLabel} id="compare">
          Compare with
        </span>
        <SegmentedControl
          aria-labelledby="compare"
          fullWidth
          size="sm"
          value={state.compare}
          data={[
            { value: 'nobody', label: 'nothing' },
            { value: 'person', label: 'person' },
            { value: 'shape', label: 'shape' },
          ]}
          onChange={(value) => change({ compare: value as Compare })}
        />
      </div>
      {state.compare === 'person' && (
        <PickOne
          label="Whose ghost, in the same set-up"
          data={people}
          value={String(state.otherPersonId)}
          onChange={(value) => change({ otherPersonId: toId(value) })}
        />
      )}
      {state.compare === 'shape' && (
        <PickOne
          label="Which shape as a ghost"
          data={shapeChoices}
          value={state.otherShape}
          onChange={(value) => {
            const otherShape = shapeIds.find((id) => id === value);
            if (otherShape !== undefined) change({ otherShape });
          }}
        />
      )}
    </div>
  );
}

/** A number field and a slider for each length of the shape. */
export function BenchDials({ bench, units }: PartProps) {
  const { state, values, turn } = bench;
  return (
    <div className={classes.choices}>
      {getDials(state.shape).map((dial) => (
        <DialField
          key={dial.parameter}
          dial={dial}
          value={values[dial.parameter] ?? dial.low}
          units={units}
          onTurn={(value) => turn(dial.parameter, value)}
        />
      ))}
    </div>
  );
}
