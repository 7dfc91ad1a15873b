'use client';

import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, type ReactNode } from 'react';
import { needsWord, type FloorState } from '@/core/running/replay';
import { useFloorClass } from './context';
import classes from './floor.module.css';
import { ChecksPanel, DoorPanel, HoldPanel, LoadPanel, PacerPanel } from './later';
import type { Other } from './NewAtDoor';
import { Now } from './Now';
import type { PlaceInClass } from './place';
import { ResetPanel, RoundPanel } from './RoundPanel';
import type { FloorView, Over } from './view';

export const runningHold = ({ holds }: FloorState) =>
  holds.find(({ stopped }) => stopped === null) ?? null;

/** The clock that runs, or the one that is asked for. */
function holdOn(state: FloorState, over: Over) {
  const shown = over.kind === 'hold' ? over.shown : null;
  return runningHold(state) ?? state.holds.find(({ id }) => id === shown) ?? null;
}

/** What has to be said above everything: the end, and times that the clocks disagree about. */
export function Notices({ view: { over } }: { readonly view: FloorView }) {
  const { floor, bundle, isTeacher, tell } = useFloorClass();
  // The router itself is in every page; its link would come with the class and be used once.
  const router = useRouter();
  const { state } = floor;
  if (state.endedMs !== null) {
    return (
      <div className={classes.ended} role="status">
        <p>
          The class has ended.{' '}
          {state.afterEnd > 0 && `${state.afterEnd} taps came after the end; they are kept.`}
        </p>
        {isTeacher && (
          <Button
            component="a"
            href={`/review/${bundle.uid}`}
            size="lg"
            onClick={(event) => {
              // Another window is the browser's own matter.
              if (event.metaKey || event.ctrlKey || event.shiftKey) return;
              event.preventDefault();
              router.push(`/review/${bundle.uid}`);
            }}
          >
            Review the evening
          </Button>
        )}
      </div>
    );
  }
  // Stopped on another page, or by a device whose clocks disagree.
  const shown = holdOn(state, over);
  const unsettled = state.holds.find(
    (one) => one.stopped !== null && one.id !== shown?.id && needsWord(one),
  );
  if (!isTeacher || unsettled === undefined || runningHold(state) !== null) return null;
  return (
    <div className={classes.ended} role="status">
      <p>The clocks disagree about a hold; it is not in the record yet.</p>
      <Button
        size="lg"
        variant="default"
        onClick={() => tell({ kind: 'show-hold', hold: unsettled.id })}
      >
        Look at it
      </Button>
    </div>
  );
}

interface OpenedProps {
  /** It was tapped for, and is not there by itself. */
  readonly isAsked: boolean;
  readonly children: ReactNode;
}

/** What was tapped for comes to the top where the screen is too small to show all of it below the line. */
function Opened({ isAsked, children }: OpenedProps) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const own = box.current;
    if (!isAsked || own === null) return;
    const watch = new ResizeObserver(() => show());
    const show = () => {
      const frame = own.parentElement?.getBoundingClientRect();
      const { top, bottom } = own.getBoundingClientRect();
      if (frame === undefined || bottom <= frame.bottom || top <= frame.top) return;
      own.scrollIntoView({ block: 'start' });
      // Once: whoever scrolls on by hand is not called back.
      if (own.getBoundingClientRect().top <= frame.top + 1) watch.disconnect();
    };
    // Its script may be on the way: as long as it is, a skeleton stands there.
    watch.observe(own);
    show();
    return () => watch.disconnect();
  }, [isAsked]);
  return (
    <div ref={box} data-opened>
      {children}
    </div>
  );
}

interface FloorBodyProps {
  readonly view: FloorView;
  readonly place: PlaceInClass;
  readonly others: readonly Other[];
}

/** The line, or what is shown instead of it. */
export function FloorBody({ view: { over }, place, others }: FloorBodyProps) {
  const { floor, isTeacher, tell } = useFloorClass();
  const { item, round, rounds } = place;
  const hold = holdOn(floor.state, over);
  if (runningHold(floor.state) !== null || over.kind === 'hold') {
    const wish = over.kind === 'hold' ? over.wish : { check: null, people: [] };
    return (
      <div className={classes.body}>
        <HoldPanel
          key={hold?.id ?? JSON.stringify(wish)}
          wish={wish}
          hold={hold}
          onShow={(id) => tell({ kind: 'show-hold', hold: id })}
          onAgain={(again) => tell({ kind: 'open-hold', wish: again })}
          onClose={() => tell({ kind: 'close' })}
        />
      </div>
    );
  }
  const isLine = over.kind === 'line';
  // A line that is over is paced no more.
  const paced = over.kind === 'pace' && over.line === item?.id ? item : undefined;
  const onPerson = (person: string) => tell({ kind: 'sheet', sheet: { kind: 'person', person } });
  return (
    <div className={classes.body}>
      <Now item={item} next={place.next} round={round} isPacing={over.kind === 'pace'} />
      {over.kind === 'pace' && (
        <Opened isAsked>
          <PacerPanel key={paced?.id ?? 'free'} line={paced} round={round} />
        </Opened>
      )}
      {over.kind === 'load' && isTeacher && (
        <Opened isAsked>
          <LoadPanel />
        </Opened>
      )}
      {(over.kind === 'door' || item?.kind === 'arrive') && isTeacher && (
        <Opened isAsked={over.kind === 'door'}>
          <DoorPanel
            others={others}
            onStop={(person) => tell({ kind: 'sheet', sheet: { kind: 'stop', person } })}
          />
        </Opened>
      )}
      {isLine && item?.kind === 'checks' && (
        <ChecksPanel onHold={(wish) => tell({ kind: 'open-hold', wish })} />
      )}
      {(isLine || over.kind === 'pace') && round !== null && (
        <RoundPanel round={round - 1} onPerson={onPerson} />
      )}
      {isLine && (item?.kind === 'reset' || item?.kind === 'settle') && (
        <ResetPanel round={rounds} onPerson={onPerson} />
      )}
    </div>
  );
}
