'use client';

import { Button } from '@mantine/core';
import { IconPlayerPlay } from '@tabler/icons-react';
import { drawnIn, type Drawn } from '@/core/compose/drawnIn';
import { doneByAll, listSittingOut, sayingCares, sayingOut } from '@/core/compose/sittingOut';
import { paceSeconds } from '@/core/running/pacer';
import { feetDownNow } from '@/core/running/follow';
import { isOutTonight, saidTonight } from '@/core/running/holdOut';
import { doorKey } from '@/core/running/replay';
import type { FloorBundle } from '@/server/running/floorBundle';
import { useFloorClass } from './context';
import classes from './floor.module.css';
import { Moves, NowDrawings } from './later';
import { linePace } from './linePace';
import { screeningOn } from './questions';
import { wakeSound } from '@/design/sound';
import { useNow } from '@/design/useNow';
import { leftWords } from './words';

/** What the counterpose of a line loads or strains; nothing for every other line. */
const regionsAfter = (
  { kind, family }: FloorBundle['plan']['timeline'][number],
  { counters = {} }: FloorBundle,
) => (kind === 'counter' && family !== undefined ? counters[family] : []);

/** The line of the running order that the class is at, and the time left of it. */
export function Now({
  item,
  next,
  round = null,
  isPacing = false,
}: {
  readonly item: FloorBundle['plan']['timeline'][number] | undefined;
  /** The line after it, shown small. */
  readonly next?: FloorBundle['plan']['timeline'][number] | undefined;
  /** Of the line, counted from 1; none outside the rounds. */
  readonly round?: number | null;
  /** The pacer is on the screen already. */
  readonly isPacing?: boolean;
}) {
  const own = useFloorClass();
  const { floor, bundle, names, here, isTeacher, tell } = own;
  const now = useNow(500);
  if (item === undefined) return null;
  const { state, nowLine } = floor;
  const since = state.segmentSinceMs ?? bundle.startedMs;
  const left = item.minutes * 60 - (nowLine(now) - since) / 1000;
  const done = doneByAll(item);
  const regions = done === null ? regionsAfter(item, bundle) : bundle.drills[done]?.regions;
  const said = saidTonight(state, bundle.plan.wishes, isTeacher);
  const feetDown = new Set(feetDownNow(state, bundle.plan));
  const screening = screeningOn(bundle);
  const answerOf = (id: string) => state.door.get(doorKey(id, screening));
  const known = listSittingOut(
    item,
    bundle.prepared.people.filter(({ id }) => here.includes(id)),
    (id) =>
      isOutTonight(id, regions, said) ||
      (done !== null && bundle.drills[done]?.feetUp === true && feetDown.has(id)),
    answerOf,
  );
  // What was said before the class stands in the line for who is not told what it was.
  const told = isTeacher ? [] : (item.sitOut ?? []);
  const out = [
    ...known,
    ...told.flatMap(({ id, instead, unlessAsked }) =>
      unlessAsked !== true && here.includes(id) && !known.some((one) => one.id === id)
        ? [{ id, instead }]
        : [],
    ),
  ];
  // An assistant's device is sent no cares.
  const cares = sayingCares(
    item,
    bundle.prepared.people.filter(({ id }) => here.includes(id)),
    (who) => names.get(who) ?? who,
    answerOf,
  );
  const drill = item.drill === undefined ? undefined : bundle.drills[item.drill];
  const steps = linePace(item, round, own);
  const [drawn, drawnNext] = [drawingOf(item, bundle), drawingOf(next, bundle)];
  return (
    <section className={classes.now} aria-label="Now" data-drawn={drawn !== null}>
      <div>
        <h1>{item.label}</h1>
        {drill && (
          <div className={classes.how}>
            {drill.how} <strong>{item.dose ?? drill.dose}.</strong>
            <Moves item={item} />
            {item.waves === 2 && ' In two turns: the pieces go round half.'}
          </div>
        )}
        {steps.length > 0 && !isPacing && (
          <Button
            size="lg"
            variant="default"
            mt="sm"
            leftSection={<IconPlayerPlay size={22} />}
            onClick={() => {
              wakeSound();
              tell({ kind: 'pace-line', line: item.id });
            }}
          >
            Pace it, {leftWords(paceSeconds(steps))}
          </Button>
        )}
        {cares !== '' && <p className={classes.quiet}>With care: {cares}.</p>}
        {out.length > 0 && (
          <p className={classes.out}>Instead: {sayingOut(out, (who) => names.get(who) ?? who)}</p>
        )}
      </div>
      <div className={classes.beside}>
        <output
          className={classes.left}
          data-over={left < 0}
          aria-label={left < 0 ? 'Over time' : 'Left'}
          suppressHydrationWarning
        >
          {leftWords(left)}
        </output>
        {(drawn !== null || drawnNext !== null) && <NowDrawings now={drawn} next={drawnNext} />}
      </div>
    </section>
  );
}

type FloorLine = FloorBundle['plan']['timeline'][number];
type Line = FloorLine | undefined;

/** What is done by all in a line, as it is drawn; `null` where nothing is, or nothing is drawn. */
function drawingOf(line: Line, { drills }: FloorBundle): { line: FloorLine; drawn: Drawn } | null {
  if (line === undefined) return null;
  const drawn = drawnIn(line, drills);
  return drawn === null ? null : { line, drawn };
}
