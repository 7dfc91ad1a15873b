import { act } from '@testing-library/react';
import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';

/** A solver that answers what the test says. */
export class FakeComposer extends EventTarget {
  static last: FakeComposer;
  /** How many were begun since the test file was. */
  static begun = 0;
  asked: ComposeQuestion | null = null;
  isEnded = false;
  constructor() {
    super();
    FakeComposer.last = this;
    FakeComposer.begun += 1;
  }
  postMessage(question: ComposeQuestion) {
    this.asked = question;
  }
  terminate() {
    this.isEnded = true;
  }
  answer(data: ComposeAnswer) {
    act(() => {
      this.dispatchEvent(new MessageEvent('message', { data }));
    });
  }
  /** It does not come, or breaks. */
  fail() {
    act(() => {
      this.dispatchEvent(new Event('error'));
    });
  }
}

/** In place of the browser's own workers: before the tests of a file, since others may share its realm. */
export function fakeComposers(): void {
  Object.assign(globalThis, { Worker: FakeComposer });
}
