'use client';

import { Button, SegmentedControl, Switch } from '@mantine/core';
import { NumberField } from '@/design/NumberField';
import { IconPlayerPlay, IconPlayerStop } from '@tabler/icons-react';
import { useState } from 'react';
import { listPace, paceSeconds, type PaceSpec } from '@/core/running/pacer';
import { BreathNow } from './BreathNow';
import type { FloorBundle } from '@/server/running/floorBundle';
import { useFloorClass } from './context';
import classes from './floor.module.css';
import { linePace } from './linePace';
import { wakeSound } from '@/design/sound';
import { leftWords } from './words';

type Kind = PaceSpec['kind'] | 'line';

interface PacerPanelProps {
  /** The line it was opened from: its own dose runs at once. */
  readonly line?: FloorBundle['plan']['timeline'][number] | undefined;
  /** Of that line, counted from 1; none outside the rounds. */
  readonly round?: number | null;
}

/** Breath seen and heard: the line's own dose, so many breaths, three-two-one, low and high, or rounds. */
export function PacerPanel({ line, round = null }: PacerPanelProps) {
  const own = useFloorClass();
  const { bundle, names } = own;
  const { breathSeconds } = bundle;
  const [kind, setKind] = useState<Kind>(line === undefined ? 'breaths' : 'line');
  const [breaths, setBreaths] = useState(5);
  const [rounds, setRounds] = useState(3);
  const [low, setLow] = useState(2);
  const [high, setHigh] = useState(2);
  const [up, setUp] = useState(2);
  const [seconds, setSeconds] = useState(breathSeconds);
  const [isHeard, setHeard] = useState(true);
  const [startedAt, setStarted] = useState<number | null>(() =>
    line === undefined ? null : performance.now(),
  );
  const spec = (): PaceSpec => {
    switch (kind) {
      case 'line':
      case 'breaths':
        return { kind: 'breaths', breaths };
      case 'pyramid':
        return { kind, from: 3, breathsEach: low, breathsHigh: up };
      case 'low-high':
        return { kind, times: rounds, breathsLow: low, breathsHigh: high };
      case 'rounds':
        return { kind, rounds, holdSeconds: breaths * seconds, resetSeconds: 20 };
      default:
        return kind satisfies never;
    }
  };
  // A round stands as it was begun: whoever stops meanwhile does not stop the clock of the others.
  const [begun, setBegun] = useState(() => linePace(line, round, own));
  const asked = kind === 'line' ? linePace(line, round, own, seconds) : listPace(spec(), seconds);
  const steps = kind === 'line' && startedAt !== null ? begun : asked;
  return (
    <section className={classes.pacer} aria-label="Breath pacer">
      {startedAt === null ? (
        <Resting />
      ) : (
        <BreathNow
          startedAt={startedAt}
          steps={steps}
          breathSeconds={seconds}
          isHeard={isHeard}
          names={names}
          onOver={() => setStarted(null)}
        />
      )}
      <div className={classes.pacerDials}>
        {/* Nothing of it can be turned while it runs. */}
        {startedAt === null && (
          <>
            <SegmentedControl
              size="md"
              aria-label="Kind of pace"
              value={kind}
              data={[
                ...(line === undefined
                  ? []
                  : [{ value: 'line', label: round === null ? 'This line' : 'This round' }]),
                { value: 'breaths', label: 'Breaths' },
                { value: 'pyramid', label: '3-2-1' },
                { value: 'low-high', label: 'Low, high' },
                { value: 'rounds', label: 'Rounds' },
              ]}
              onChange={(value) => setKind(value as Kind)}
            />
            {(kind === 'breaths' || kind === 'rounds') && (
              <Count label="Breaths" from={1} to={40} value={breaths} onChange={setBreaths} />
            )}
            {(kind === 'pyramid' || kind === 'low-high') && (
              <>
                <Count label="Breaths low" from={1} to={10} value={low} onChange={setLow} />
                {kind === 'pyramid' ? (
                  <Count label="Breaths up" from={1} to={10} value={up} onChange={setUp} />
                ) : (
                  <Count label="Breaths high" from={1} to={10} value={high} onChange={setHigh} />
                )}
              </>
            )}
            {kind === 'rounds' && (
              <Count label="Rounds" from={2} to={12} value={rounds} onChange={setRounds} />
            )}
            {kind === 'low-high' && (
              <Count label="Times" from={1} to={12} value={rounds} onChange={setRounds} />
            )}
            <NumberField
              size="md"
              label="Seconds a breath"
              w={140}
              min={3}
              max={8}
              step={0.5}
              value={seconds}
              onNumber={(value) => isWithin(value, 3, 8) && setSeconds(value)}
            />
          </>
        )}
        <Switch
          size="lg"
          label="Heard"
          checked={isHeard}
          onChange={({ currentTarget: { checked } }) => setHeard(checked)}
        />
        {startedAt === null ? (
          <Button
            size="lg"
            leftSection={<IconPlayerPlay size={22} />}
            onClick={() => {
              wakeSound();
              setBegun(asked);
              setStarted(performance.now());
            }}
          >
            Pace, {leftWords(paceSeconds(steps))}
          </Button>
        ) : (
          <Button
            size="lg"
            variant="default"
            leftSection={<IconPlayerStop size={22} />}
            onClick={() => setStarted(null)}
          >
            End the pace
          </Button>
        )}
      </div>
    </section>
  );
}

const isWithin = (value: number, from: number, to: number) => value >= from && value <= to;

interface CountProps {
  readonly label: string;
  readonly from: number;
  readonly to: number;
  readonly value: number;
  readonly onChange: (value: number) => void;
}

/** So many of something, within what can be counted along. */
const Count = ({ label, from, to, value, onChange }: CountProps) => (
  <NumberField
    size="md"
    label={label}
    w={92}
    min={from}
    max={to}
    value={value}
    onNumber={(typed) => isWithin(typed, from, to) && onChange(typed)}
  />
);

const Resting = () => (
  <div className={classes.breath} aria-hidden="true">
    <div className={classes.breathRound} style={{ transform: 'scale(0.45)' }} />
  </div>
);
