'use client';

import { useEffect, useRef, useState } from 'react';
import type { Stack, StackRequest } from '@/core/pieces/stack';

interface Answer {
  readonly id: number;
  readonly stack: Stack;
}

/** The stack for a request, worked out beside the interface; the newest question wins. */
export function useStack(request: StackRequest | null): Stack | null {
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const [stack, setStack] = useState<Stack | null>(null);
  const key = request === null ? null : JSON.stringify(request);

  useEffect(() => {
    const own = new Worker(new URL('../../workers/stack.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = own;
    own.addEventListener('message', ({ data }: MessageEvent<Answer>) => {
      if (data.id === asked.current) setStack(data.stack);
    });
    return () => own.terminate();
  }, []);

  useEffect(() => {
    asked.current += 1;
    if (key === null) return;
    worker.current?.postMessage({ id: asked.current, request: JSON.parse(key) as StackRequest });
  }, [key]);

  return key === null ? null : stack;
}
