'use client';

import { startTransition, useEffect, useRef, useState } from 'react';
import type { ClipInput } from '@/core/plumb/clip/frames';
import { readWholeClip, type WholeClip } from '@/core/plumb/clip/whole';
import { makeClipReader } from './clipWorker';

interface Question {
  readonly input: ClipInput;
  /** The clip that it is of: what was said of one is never shown of the next. */
  readonly of: object;
}

interface Answer extends Question {
  readonly whole: WholeClip | null;
}

/** Asks one question at a time; of those that wait only the newest is asked. */
class ClipReader {
  private worker: Worker | null = null;
  private isBusy = false;
  private waiting: Question | null = null;

  constructor(private readonly onAnswer: (answer: Answer) => void) {}

  ask(question: Question): void {
    this.waiting = question;
    if (!this.isBusy) this.next();
  }

  end(): void {
    this.worker?.terminate();
    this.worker = null;
    this.isBusy = false;
    this.waiting = null;
  }

  private next(): void {
    const question = this.waiting;
    this.waiting = null;
    if (question === null) return;
    this.isBusy = true;
    try {
      this.worker ??= makeClipReader();
    } catch {
      this.here(question);
      return;
    }
    const { worker } = this;
    worker.onmessage = ({ data }: MessageEvent<WholeClip | null>) => this.tell(question, data);
    worker.onerror = () => {
      worker.terminate();
      this.worker = null;
      this.here(question);
    };
    worker.postMessage(question.input);
  }

  /** Without a worker it takes a moment of the interface, and is said all the same. */
  private here(question: Question): void {
    this.tell(question, readWholeClip(question.input));
  }

  private tell(question: Question, whole: WholeClip | null): void {
    this.isBusy = false;
    this.onAnswer({ ...question, whole });
    this.next();
  }
}

/**
 * What a whole clip says of its marks, a moment after they were set.
 *
 * @param input marks of the clip; `null` while too little is marked
 * @param of the clip itself
 */
export function useWhole(
  input: ClipInput | null,
  of: object | null,
): (WholeClip & { readonly input: ClipInput }) | null {
  const [answer, setAnswer] = useState<Answer | null>(null);
  const reader = useRef<ClipReader | null>(null);
  useEffect(
    () => () => {
      reader.current?.end();
      reader.current = null;
    },
    [],
  );
  useEffect(() => {
    if (input === null || of === null) return;
    reader.current ??= new ClipReader((said) => startTransition(() => setAnswer(said)));
    reader.current.ask({ input, of });
  }, [input, of]);
  if (input === null || answer === null || answer.of !== of || answer.whole === null) return null;
  return { ...answer.whole, input: answer.input };
}
