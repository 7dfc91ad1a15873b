/** Stacks off the interface thread: a search may take longer than a frame leaves. */
import { findStack, type StackRequest } from '@/core/pieces/stack';

interface Question {
  readonly id: number;
  readonly request: StackRequest;
}

self.addEventListener('message', ({ data }: MessageEvent<Question>) => {
  self.postMessage({ id: data.id, stack: findStack(data.request) });
});
