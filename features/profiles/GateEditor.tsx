'use client';

import { ActionIcon, Button, Group, NativeSelect, Switch, TextInput } from '@mantine/core';
import { NumberField } from '@/design/NumberField';
import { IconX } from '@tabler/icons-react';
import { useState } from 'react';
import type { BaseId } from '@/core/catalog/checks';
import type { CheckDemand, Demand } from '@/core/catalog/demand';
import { describeDemand, describeGate } from '@/core/catalog/profileChanges';
import { isLengthCheck } from '@/core/catalog/sayCheck';
import type { Catalog } from '@/core/catalog/school';
import { readingFrom, readingIn, sayReading } from '@/core/units/reading';
import { Said, useUnits } from '@/design/units';
import type { EditorChecks, EditorStage } from './editor';
import classes from './profiles.module.css';

interface GateEditorProps {
  readonly stage: EditorStage;
  readonly isShipped: boolean;
  /** The copy's own gate; `null`: as in the origin. */
  readonly gate: readonly Demand[] | null;
  readonly cue: string;
  readonly isClosed: boolean;
  readonly checks: EditorChecks;
  /** With the teacher's own rows: they have names, too. */
  readonly catalog: Catalog;
  readonly onGate: (gate: readonly Demand[] | null) => void;
  readonly onCue: (cue: string) => void;
  readonly onClosed: (isClosed: boolean) => void;
}

const shares = [
  { value: '0.5', label: 'half its bar' },
  { value: '0.6666666666666666', label: 'two thirds' },
  { value: '1', label: 'its bar' },
  { value: '2', label: 'twice its bar' },
  { value: '3', label: 'three times' },
];

/** One stage in a copy: open or closed, what it asks, what to say. */
export function GateEditor(props: GateEditorProps) {
  const { stage, isShipped, gate, cue, isClosed, checks, catalog, onGate, onCue, onClosed } = props;
  const [isOpen, setIsOpen] = useState(false);
  const current = gate ?? stage.originGate;
  const set = (index: number, demand: Demand | null) => {
    const next = current.flatMap((one, at) => (at === index ? (demand ? [demand] : []) : [one]));
    onGate(next);
  };
  return (
    <div className={classes.gate} data-changed={gate !== null || undefined}>
      <Group justify="space-between" wrap="nowrap" align="flex-start">
        <div>
          <strong>{stage.label}</strong>
          {gate !== null && <span className={classes.mark}> changed</span>}
          {isClosed && <span className={classes.mark}> closed</span>}
          <p>
            <Said>
              {current.length === 0 ? 'opens with nothing' : describeGate(current, catalog)}
            </Said>
          </p>
        </div>
        {!isShipped && (
          <Button
            variant="subtle"
            size="compact-sm"
            aria-expanded={isOpen}
            aria-label={`Change ${stage.label}`}
            onClick={() => setIsOpen(!isOpen)}
          >
            {isOpen ? 'Fold' : 'Change'}
          </Button>
        )}
      </Group>
      {isOpen && (
        <div className={classes.gateForm}>
          <Switch
            label="closed in this profile"
            checked={isClosed}
            onChange={(event) => onClosed(event.currentTarget.checked)}
          />
          {current.map((demand, index) => (
            <DemandLine
              key={`${index}-${describeDemand(demand, catalog)}`}
              demand={demand}
              catalog={catalog}
              onChange={(next) => set(index, next)}
            />
          ))}
          <Group>
            <NativeSelect
              aria-label={`Add a check to ${stage.label}`}
              size="sm"
              data={[
                { value: '', label: 'add a check' },
                ...checks.map(({ key, label }) => ({ value: key, label })),
              ]}
              value=""
              onChange={(event) => {
                const added = checks.find(({ key }) => key === event.currentTarget.value);
                if (added === undefined) return;
                const { key: check, byBase } = added;
                onGate([...current, { check, ...(byBase ? { base: 'hands' as const } : {}) }]);
              }}
            />
            {gate !== null && (
              <Button size="compact-sm" variant="subtle" onClick={() => onGate(null)}>
                As in the origin
              </Button>
            )}
          </Group>
          <TextInput
            label="What to say here"
            size="sm"
            maxLength={140}
            value={cue}
            onChange={(event) => onCue(event.currentTarget.value)}
          />
        </div>
      )}
    </div>
  );
}

interface DemandLineProps {
  readonly demand: Demand;
  readonly catalog: Catalog;
  readonly onChange: (demand: Demand | null) => void;
}

/** A plain check can be set to a share of its bar or to a figure; "or" lines only go as a whole. */
function DemandLine({ demand, catalog, onChange }: DemandLineProps) {
  const units = useUnits();
  const isPlain = 'check' in demand;
  const spec = isPlain ? catalog.checks[demand.check] : undefined;
  const typedIn = spec !== undefined && isLengthCheck(spec) ? units : 'cm';
  const change = (part: Partial<CheckDemand>) => {
    const { check, base, onDays } = demand as CheckDemand;
    onChange({
      check,
      ...(base === undefined ? {} : { base }),
      ...(onDays === undefined ? {} : { onDays }),
      ...part,
    });
  };
  return (
    <Group gap="sm">
      <span className={classes.demand}>
        <Said>{describeDemand(demand, catalog)}</Said>
      </span>
      {isPlain && (
        <>
          {demand.base !== undefined && (
            <NativeSelect
              aria-label="On which base"
              size="xs"
              data={['hands', 'forearms', 'head']}
              value={demand.base}
              onChange={(event) =>
                onChange({ ...demand, base: event.currentTarget.value as BaseId })
              }
            />
          )}
          <NativeSelect
            aria-label="How much of its bar"
            size="xs"
            data={[...shares, { value: 'value', label: 'a figure' }]}
            value={demand.value === undefined ? String(demand.share ?? 1) : 'value'}
            onChange={(event) => {
              const { value } = event.currentTarget;
              if (value === 'value') change({ value: 1 });
              else change(value === '1' ? {} : { share: Number(value) });
            }}
          />
          {demand.value !== undefined && (
            <NumberField
              aria-label="The figure"
              size="xs"
              w={90}
              min={0}
              value={readingIn(demand.value, typedIn)}
              onNumber={(value) => value > 0 && change({ value: readingFrom(value, typedIn) })}
            />
          )}
        </>
      )}
      <ActionIcon
        variant="subtle"
        aria-label={`Take out ${sayReading(describeDemand(demand, catalog), units)}`}
        onClick={() => onChange(null)}
      >
        <IconX size={15} />
      </ActionIcon>
    </Group>
  );
}
