'use client';

import type { CheckKey } from '@/core/catalog/checks';
import { Button } from '@mantine/core';
import {
  IconChevronLeft,
  IconChevronRight,
  IconClock,
  IconDoorEnter,
  IconHandStop,
  IconWind,
} from '@tabler/icons-react';
import type { FloorBundle } from '@/server/running/floorBundle';
import { useFloorClass } from './context';
import { runningHold } from './FloorBody';
import classes from './floor.module.css';
import { MoreMenu } from './later';
import { countRounds, type PlaceInClass } from './place';
import type { FloorView } from './view';

interface BottomBarProps {
  readonly view: FloorView;
  readonly place: PlaceInClass;
}

/** On from line to line, and what is at hand at any time: clock, breath, who, a stop. */
export function BottomBar({ view: { over }, place }: BottomBarProps) {
  const { floor, bundle, here, isTeacher, tell } = useFloorClass();
  const { state, say } = floor;
  const { plan, index, next } = place;
  const isRunning = runningHold(state) !== null;
  const isHolding = isRunning || over.kind === 'hold';
  const go = (to: number, event: { readonly timeStamp: number }) =>
    void say({ kind: 'segment', index: to, roundsDone: countRounds(plan, to - 1) }, event);
  return (
    <nav className={classes.bottom} aria-label="The class">
      {isTeacher && (
        <Button
          size="lg"
          variant="default"
          aria-label="Back one line"
          disabled={index === 0 || isRunning}
          onClick={(event) => go(index - 1, event)}
        >
          <IconChevronLeft size={24} />
        </Button>
      )}
      <p className={classes.next}>
        {next === undefined ? 'Last line' : `Next: ${next.label}, ${next.minutes} min`}
      </p>
      {isTeacher && (
        <Button
          size="lg"
          rightSection={<IconChevronRight size={24} />}
          disabled={isRunning || state.endedMs !== null}
          onClick={(event) =>
            next === undefined
              ? tell({ kind: 'sheet', sheet: { kind: 'end' } })
              : go(index + 1, event)
          }
        >
          {next === undefined ? 'End the class' : 'Next'}
        </Button>
      )}
      <Button
        size="lg"
        variant="default"
        leftSection={<IconClock size={22} />}
        disabled={isRunning}
        onClick={() =>
          tell({ kind: 'open-hold', wish: { check: usualHold(bundle), people: here } })
        }
      >
        Hold
      </Button>
      <Button
        size="lg"
        variant={over.kind === 'pace' ? 'light' : 'default'}
        leftSection={<IconWind size={22} />}
        disabled={isHolding}
        onClick={() => tell({ kind: 'toggle', what: 'pace' })}
      >
        Breath
      </Button>
      {isTeacher && (
        <Button
          size="lg"
          variant={over.kind === 'door' ? 'light' : 'default'}
          leftSection={<IconDoorEnter size={22} />}
          disabled={isHolding}
          onClick={() => tell({ kind: 'toggle', what: 'door' })}
        >
          Who
        </Button>
      )}
      {isTeacher && <MoreMenu />}
      <button
        type="button"
        className={classes.stop}
        onClick={() => tell({ kind: 'sheet', sheet: { kind: 'stop', person: null } })}
      >
        <IconHandStop size={26} /> Stop
      </button>
    </nav>
  );
}

function usualHold({ plan, checks }: FloorBundle): CheckKey | null {
  const planned = plan.checks.find(
    ({ check }) => checks.find((one) => one.check === check)?.kind === 'hold',
  );
  return (
    planned?.check ??
    checks.find(({ isUsualHold }) => isUsualHold)?.check ??
    checks.find(({ timedTogether }) => timedTogether)?.check ??
    null
  );
}
