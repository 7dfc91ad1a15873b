'use client';

import { sayClock } from '@/design/clock';
import { Button } from '@mantine/core';
import { IconArrowBackUp } from '@tabler/icons-react';
import { useFloorClass } from './context';
import classes from './floor.module.css';
import { useWallClock } from '@/design/useNow';
import type { Replan } from './useReplan';
import { actWords } from './words';

const linkWords = {
  starting: 'starting',
  heard: 'all saved',
  offline: 'no connection',
  gone: 'not known there',
  full: 'disk full',
  out: 'not let in',
  refused: 'another’s taps',
  apart: 'agreeing anew',
  unreadable: 'not read',
} as const;

/** The clock on the wall, what is saved, and the way back. */
export function TopBar({ replan }: { readonly replan: Replan }) {
  const { floor, bundle, names } = useFloorClass();
  const wall = useWallClock(1000);
  const { waiting, link, problem, state, device, undo } = floor;
  const last = device === null ? undefined : state.undoable.get(device);
  const words =
    last === undefined ? '' : actWords(last.act, (person) => names.get(person) ?? 'somebody');
  return (
    <header className={classes.top}>
      <strong className={classes.wall} suppressHydrationWarning>
        {sayClock(wall)}
      </strong>
      <span className={classes.course}>{bundle.course.name}</span>
      <span className={classes.saved} data-link={link} role="status">
        {waiting > 0 ? `${waiting} not saved yet` : linkWords[link]}
        {replan.status === 'working' && ' · planning the rounds to come'}
        {replan.status === 'failed' && ' · the old plan stands'}
        {replan.status === 'standing' &&
          replan.tookMs !== null &&
          ` · planned anew in ${(replan.tookMs / 1000).toFixed(1)} s`}
      </span>
      <Button
        size="md"
        variant="default"
        leftSection={<IconArrowBackUp size={20} />}
        disabled={last === undefined}
        onClick={undo}
      >
        Undo{words === '' ? '' : `: ${words}`}
      </Button>
      {problem !== null && (
        <p className={classes.problem} role="alert">
          {problem}
        </p>
      )}
    </header>
  );
}
