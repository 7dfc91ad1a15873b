'use client';

import { useEffect, useRef, useState } from 'react';
import { nobodyThere, type ReadMarks } from '@/core/plumb/reader';
import type { MarksAnswer, MarksQuestion } from '@/workers/marks.worker';
import type { LoadedPicture } from './picture';

export type ReadOutcome =
  | { readonly ok: true; readonly marks: ReadMarks }
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
  const [isReading, setReading] = useState(false);
  useEffect(() => () => worker.current?.terminate(), []);
  const read = async ({ url }: LoadedPicture): Promise<ReadOutcome | null> => {
    asked.current += 1;
    const id = asked.current;
    setReading(true);
    try {
      const picture = new Image();
      picture.src = url;
      await picture.decode();
      const image = await createImageBitmap(picture);
      worker.current ??= new Worker(new URL('../../workers/marks.worker.ts', import.meta.url), {
        type: 'module',
      });
      const answer = await ask(worker.current, { id, image });
      if (id !== asked.current) return null;
      switch (answer.kind) {
        case 'read':
          return { ok: true, marks: answer.marks };
        case 'nobody':
          return { ok: false, problem: nobodyThere };
        case 'failed':
          return { ok: false, problem: cannotRead };
      }
    } catch {
      // One that has stopped answers no more: the next question makes another.
      worker.current?.terminate();
      worker.current = null;
      return { ok: false, problem: cannotRead };
    } finally {
      if (id === asked.current) setReading(false);
    }
  };
  /** What is being read is wanted no more. */
  const forget = () => {
    asked.current += 1;
    setReading(false);
  };
  return { isReading, read, forget };
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
