'use client';

import { useEffect, useRef, useState, type RefObject } from 'react';
import { guessFloor, sortSides } from '@/core/plumb/clipReader';
import {
  joinClocks,
  readClock,
  stillClock,
  type Clock,
  type ClockStop,
} from '@/core/plumb/clip/clock';
import type { ClipInput } from '@/core/plumb/clip/frames';
import type { ReadMarks } from '@/core/plumb/reader';
import { useReader } from '../useReader';

/** What holds while the camera looks: weight, lines, scale. */
export type LiveFacts = Omit<ClipInput, 'frames' | 'facing'>;

export interface Seen {
  readonly marks: ReadMarks;
  readonly atMs: number;
}

/** So long the clock stays armed, seconds: longer than anybody holds. */
const longestArmedS = 180;

/** So many pictures in a row that cannot be read are no accident. */
const mostFailures = 5;

/** So many pictures are read anew with each one; then, with nobody up, the stretch is put by. */
const longestStretch = 120;
/** And so many of them are kept, so that whoever is just leaving the floor was seen standing. */
const overlap = 15;

interface Row {
  readonly atS: number;
  readonly marks: ReadMarks | null;
}

/** The clip of an armed clock: sides are told by all of it. */
export function toInput(rows: readonly Row[], facts: LiveFacts): ClipInput {
  const { frames, facing, tiltDeg } = sortSides(rows.map(({ marks }) => marks));
  // One that somebody has marked is not guessed.
  const floor = facts.floor ?? guessFloor(frames, tiltDeg ?? 0);
  return {
    ...facts,
    ...(floor === null ? {} : { floor }),
    facing: facing ?? 'right',
    frames: rows.map(({ atS }, index) => ({ atS, marks: frames[index]! })),
  };
}

/** Reads a running camera picture by picture, and runs the clock while it is armed. */
export function useLive(
  video: RefObject<HTMLVideoElement | null>,
  isOpen: boolean,
  facts: LiveFacts,
  stop: ClockStop,
) {
  const reader = useReader();
  const [seen, setSeen] = useState<Seen | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [clock, setClock] = useState<Clock>(stillClock);
  /** Everything seen since the clock was armed. */
  const [taken, setTaken] = useState<ClipInput | null>(null);
  /** When the clock was armed, milliseconds of the page; `null`: it is not. */
  const [armedMs, setArmedMs] = useState<number | null>(null);
  const rows = useRef<Row[]>([]);
  /** What is read already and need not be read again: so many rows, and what they told. */
  const done = useRef({ rows: 0, clock: stillClock });
  const told = useRef(stillClock);
  const now = useRef({ facts, stop, armedMs, readNext: reader.readNext });
  useEffect(() => {
    now.current = { facts, stop, armedMs, readNext: reader.readNext };
  });
  useEffect(() => {
    if (!isOpen) return undefined;
    let isOver = false;
    let isFirst = true;
    let failures = 0;
    const look = async () => {
      while (!isOver) {
        const element = video.current;
        if (element === null || element.readyState < 2 || document.hidden) {
          await new Promise((resolve) => setTimeout(resolve, 100));
          continue;
        }
        // The moment of the picture, not of the answer.
        const atMs = performance.now();
        const found = await now.current.readNext(element, isFirst ? 'begins' : 'goes-on');
        isFirst = false;
        if (isOver) return;
        if (!found.ok) {
          failures += 1;
          if (failures === mostFailures) {
            setProblem(found.problem);
            return;
          }
          // A camera that has only just opened has pictures that cannot be taken yet.
          await new Promise((resolve) => setTimeout(resolve, 300));
          continue;
        }
        failures = 0;
        setSeen(found.marks === null ? null : { marks: found.marks, atMs });
        const { armedMs: since, facts: held, stop: ends } = now.current;
        if (since !== null && atMs >= since) {
          rows.current.push({ atS: (atMs - since) / 1000, marks: found.marks });
          const stretch = rows.current.slice(done.current.rows);
          const read = readClock(toInput(stretch, held), ends);
          const joined = joinClocks(done.current.clock, read);
          setClock(joined);
          // Somebody has come down: all of it is read once for what may be kept.
          const was = told.current;
          told.current = joined;
          const isDown = joined.sinceS === null && joined.hops > 0;
          if (isDown && (was.sinceS !== null || was.hops !== joined.hops)) {
            setTaken(toInput(rows.current, held));
          }
          if (read.sinceS === null && stretch.length > longestStretch) {
            done.current = { rows: rows.current.length - overlap, clock: joined };
          }
          if (atMs - since > longestArmedS * 1000) setArmedMs(null);
        }
      }
    };
    void look();
    return () => {
      isOver = true;
    };
  }, [isOpen, video]);
  return {
    seen,
    problem,
    clock,
    taken,
    armedMs,
    arm: () => {
      rows.current = [];
      done.current = { rows: 0, clock: stillClock };
      told.current = stillClock;
      setClock(stillClock);
      setTaken(null);
      setArmedMs(performance.now());
    },
    disarm: () => setArmedMs(null),
  };
}
