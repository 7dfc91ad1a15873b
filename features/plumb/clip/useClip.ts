'use client';

import {
  startTransition,
  useCallback,
  useEffect,
  useMemo,
  useReducer,
  useRef,
  useState,
} from 'react';
import type { ReadMarks } from '@/core/plumb/reader';
import { showProblem } from '@/design/notices';
import type { Sheet } from '../sheet';
import { useReader } from '../useReader';
import { beginClip, reduceClip } from './clipMachine';
import { framesPerS, longestClipS, type FrameSource } from './source';

/** Measures are shown anew after so many pictures. */
const everyFrames = 5;

const toBlob = (canvas: HTMLCanvasElement) =>
  new Promise<Blob | null>((resolve) => {
    canvas.toBlob(resolve, 'image/jpeg', 0.82);
  });

interface Read {
  readonly atS: number;
  readonly marks: ReadMarks | null;
}

interface Opened {
  readonly size: { readonly width: number; readonly height: number };
  readonly isPainted: boolean;
}

/** A clip on this device: its pictures in memory, its marks as they are read. */
export function useClip(common: Partial<Sheet>, isBaseSaid: boolean) {
  const [state, tell] = useReducer(reduceClip, undefined, () => beginClip(common, isBaseSaid));
  const reader = useReader();
  const turn = useRef(0);
  const source = useRef<FrameSource | null>(null);
  /** Pictures of the clip, as addresses of this page alone. */
  const made = useRef<string[]>([]);
  const [urls, setUrls] = useState<readonly string[]>([]);
  const [opened, setOpened] = useState<Opened | null>(null);
  /** Pictures read, of how many; `null` while none is being read. */
  const [progress, setProgress] = useState<readonly [done: number, all: number] | null>(null);
  const letGo = () => {
    turn.current += 1;
    source.current?.close();
    source.current = null;
    made.current.forEach((url) => URL.revokeObjectURL(url));
    made.current = [];
  };
  useEffect(() => letGo, []);

  const show = (reads: readonly Read[]) => {
    const [all, addresses] = [[...reads], [...made.current]];
    // Much to draw, and nobody waits for it: whatever a hand asks for meanwhile comes first.
    startTransition(() => {
      tell({ kind: 'frames-read', reads: all });
      setUrls(addresses);
    });
  };
  const read = async (from: FrameSource) => {
    const mine = turn.current;
    const all = Math.floor(Math.min(from.durationS, longestClipS) * framesPerS) + 1;
    const canvas = document.createElement('canvas');
    const reads: Read[] = [];
    let canRead = true;
    for (let index = 0; index < all; index += 1) {
      setProgress([index, all]);
      const atS = index / framesPerS;
      try {
        await from.paint(canvas, atS);
      } catch {
        // Another clip has taken its place: nothing of this one may be laid over it.
        if (mine !== turn.current) return;
        showProblem(`The clip cannot be read beyond ${atS} s.`);
        break;
      }
      const blob = await toBlob(canvas);
      const found = canRead
        ? await reader.readNext(canvas, index === 0 ? 'begins' : 'goes-on')
        : null;
      if (mine !== turn.current) return;
      if (found !== null && !found.ok) {
        // The pictures are still there to be marked by hand.
        canRead = false;
        showProblem(found.problem);
      }
      made.current.push(blob === null ? '' : URL.createObjectURL(blob));
      reads.push({ atS, marks: found?.ok === true ? found.marks : null });
      if (reads.length % everyFrames === 0) show(reads);
    }
    show(reads);
    if (canRead && reads.length > 0 && reads.every(({ marks }) => marks === null)) {
      showProblem('Nobody is found in this clip: put the marks on by hand, picture by picture.');
    }
    setProgress(null);
  };

  const open = (from: FrameSource, lines: Partial<Sheet>) => {
    letGo();
    setUrls([]);
    source.current = from;
    setOpened({ size: { width: from.width, height: from.height }, isPainted: from.isPainted });
    tell({ kind: 'new-clip', common: lines });
    void read(from);
  };
  /** What has been read so far stays. */
  const stop = () => {
    turn.current += 1;
    setProgress(null);
  };
  const url = urls[state.at];
  const urlAt = useCallback((index: number): string | null => urls[index] ?? null, [urls]);
  const picture = useMemo(
    () => (opened === null || url === undefined ? null : { url, ...opened.size }),
    [opened, url],
  );
  return {
    state,
    tell,
    progress,
    open,
    stop,
    urlAt,
    /** The clip that is open, as itself and no other. */
    opened,
    isPainted: opened?.isPainted ?? false,
    picture,
  };
}
