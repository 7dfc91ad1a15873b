'use client';

import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';

type Listener = (answer: ComposeAnswer) => void;

/** Composes beside the interface. */
export interface Composer {
  /** Asks; what is answered from now on goes to `onAnswer`, and to nobody where none is given. */
  readonly ask: (question: ComposeQuestion, onAnswer?: Listener) => void;
  readonly end: () => void;
}

const notCome = 'The solver did not come. Try again, or load the page anew.';

const begin = () =>
  new Worker(new URL('../../workers/compose.worker.ts', import.meta.url), { type: 'module' });

/**
 * A composer of whoever asks. One that does not come, or breaks, says so as an answer, and the next
 * question begins another one: nobody waits for what answers nothing any more.
 */
export function beginComposer(): Composer {
  let listener: Listener | undefined;
  let worker: Worker | null = null;
  const open = (): Worker => {
    const own = begin();
    own.addEventListener('message', ({ data }: MessageEvent<ComposeAnswer>) => listener?.(data));
    own.addEventListener('error', () => {
      own.terminate();
      if (worker !== own) return;
      worker = null;
      listener?.({ kind: 'failed', words: notCome });
    });
    return own;
  };
  return {
    ask: (question, onAnswer) => {
      listener = onAnswer;
      worker ??= open();
      worker.postMessage(question);
    },
    end: () => {
      listener = undefined;
      worker?.terminate();
      worker = null;
    },
  };
}
