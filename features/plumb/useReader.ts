'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { nobodyThere, type ReadMarks } from '@/core/plumb/reader';
import type { MarksAnswer, MarksQuestion, MarksWarning } from '@/workers/marks.worker';
import type { LoadedPicture } from './picture';
import { makeReader } from './readerWorker';

export type NextOutcome =
  | { readonly ok: true; readonly marks: ReadMarks | null }
  | { readonly ok: false; readonly problem: string };

export type ReadOutcome =
  | { readonly ok: true; readonly marks: ReadMarks; readonly hasOthers?: boolean }
  | { readonly ok: false; readonly problem: string };

const cannotRead =
  'This browser cannot read pictures by itself. Put the marks on by hand: everything else is the same.';

/**
 * Reads marks in a worker, which is only made, and only loads its model, when it is asked. The newest
 * question wins.
 */
export function useReader() {
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  /** What is being read; the next one waits for it, and only the newest of those that wait is read. */
  const busy = useRef<Promise<unknown>>(Promise.resolve());
  const [isReading, setReading] = useState(false);
  useEffect(() => () => worker.current?.terminate(), []);
  const read = useCallback(async ({ url }: LoadedPicture): Promise<ReadOutcome | null> => {
    asked.current += 1;
    const id = asked.current;
    setReading(true);
    try {
      await busy.current;
      if (id !== asked.current) return null;
      const picture = new Image();
      picture.src = url;
      await picture.decode();
      const image = await createImageBitmap(picture);
      worker.current ??= makeReader();
      const answering = ask(worker.current, { id, image });
      busy.current = answering.catch(() => undefined);
      const answer = await answering;
      if (id !== asked.current) return null;
      switch (answer.kind) {
        case 'read':
          return { ok: true, marks: answer.marks, hasOthers: answer.hasOthers };
        case 'nobody':
          return { ok: false, problem: nobodyThere };
        case 'failed':
          return { ok: false, problem: cannotRead };
      }
    } catch {
      // One that has stopped answers no more: the next question makes another.
      worker.current?.terminate();
      worker.current = null;
      // What somebody has asked for since will say the same itself.
      return id === asked.current ? { ok: false, problem: cannotRead } : null;
    } finally {
      if (id === asked.current) setReading(false);
    }
  }, []);
  /** The next picture of a row; `null` marks where nobody is surely there. */
  const readNext = async (
    from: HTMLCanvasElement | HTMLVideoElement,
    row: 'begins' | 'goes-on',
  ): Promise<NextOutcome> => {
    asked.current += 1;
    const id = asked.current;
    try {
      const image = await createImageBitmap(from);
      worker.current ??= makeReader();
      const answer = await ask(worker.current, { id, image, row });
      switch (answer.kind) {
        case 'read':
          return { ok: true, marks: answer.marks };
        case 'nobody':
          return { ok: true, marks: null };
        case 'failed':
          return { ok: false, problem: cannotRead };
      }
    } catch {
      worker.current?.terminate();
      worker.current = null;
      return { ok: false, problem: cannotRead };
    }
  };
  /** Something will be read in a moment: the model is fetched meanwhile. */
  const warm = useCallback(() => {
    try {
      worker.current ??= makeReader();
      worker.current.postMessage({ kind: 'soon' } satisfies MarksWarning);
    } catch {
      // A browser without workers: it is said when something is to be read.
      worker.current = null;
    }
  }, []);
  /** What is being read is wanted no more. */
  const forget = useCallback(() => {
    asked.current += 1;
    setReading(false);
  }, []);
  return { isReading, read, readNext, warm, forget };
}

function ask(worker: Worker, question: MarksQuestion): Promise<MarksAnswer> {
  return new Promise((resolve, reject) => {
    const stop = () => {
      worker.removeEventListener('message', hear);
      worker.removeEventListener('error', fail);
    };
    const hear = ({ data }: MessageEvent<MarksAnswer>) => {
      if (data.id !== question.id) return;
      stop();
      resolve(data);
    };
    const fail = () => {
      stop();
      reject(new Error('The reader has stopped.'));
    };
    worker.addEventListener('message', hear);
    worker.addEventListener('error', fail);
    worker.postMessage(question, [question.image]);
  });
}
