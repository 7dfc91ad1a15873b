/** The marks of a clip, frame by frame, as they are read and mended: pure, with one way back. */
import type { ClipInput } from '@/core/plumb/clip/frames';
import { guessFloor, sortSides } from '@/core/plumb/clipReader';
import { guessBase } from '@/core/plumb/guessBase';
import type { PlumbBase, SideMarks } from '@/core/plumb/marks';
import { segmentOfReading, type ReadMarks } from '@/core/plumb/reader';
import type { BodyInput } from '@/core/body/body';
import { beginHistory, goBack, goOn, type History } from '@/design/history';
import type { PlumbEvent } from '../plumbMachine';
import { emptySheet, moved, removed, saysBase, toStill, type Sheet } from '../sheet';

export interface MarkedFrame {
  readonly atS: number;
  readonly near: Sheet['marks']['near'];
  readonly far: Sheet['marks']['far'];
}

export interface ClipSheet {
  /** What holds for every frame: weight, lines, scale. Its own marks are none. */
  readonly common: Sheet;
  readonly frames: readonly MarkedFrame[];
}

export interface ClipState {
  readonly history: History<ClipSheet>;
  /** A handle under way. */
  readonly live: ClipSheet | null;
  /** The frame that is looked at. */
  readonly at: number;
  /** Somebody has said what carries: it is guessed no more. */
  readonly isBaseSaid: boolean;
}

/** What happens to the marks of the frame that is looked at. */
type FrameEvent = Exclude<PlumbEvent, { readonly kind: 'read' | 'new-picture' }>;

export type ClipEvent =
  | FrameEvent
  | { readonly kind: 'look-at'; readonly index: number }
  /** What has been read so far, all of it: sides are sorted by all of them together. */
  | {
      readonly kind: 'frames-read';
      readonly reads: readonly { readonly atS: number; readonly marks: ReadMarks | null }[];
    }
  | { readonly kind: 'new-clip'; readonly common: Partial<Sheet> };

export const beginClip = (common: Partial<Sheet> = {}, isBaseSaid = false): ClipState => ({
  history: beginHistory<ClipSheet>({ common: { ...emptySheet, ...common }, frames: [] }),
  live: null,
  at: 0,
  isBaseSaid,
});

export const clipOf = ({ history, live }: ClipState): ClipSheet => live ?? history.now;

/** The frame that is looked at, as a sheet of its own. */
export function sheetAt({ common, frames }: ClipSheet, at: number): Sheet {
  const frame = frames[at];
  return frame === undefined
    ? common
    : { ...common, marks: { ...common.marks, near: frame.near, far: frame.far } };
}

/** A changed sheet put back: its marks are its frame's, everything else is the clip's. */
function putBack(clip: ClipSheet, at: number, { marks, ...rest }: Sheet): ClipSheet {
  return {
    common: { ...rest, marks: clip.common.marks },
    frames: clip.frames.map((frame, index) =>
      index === at ? { ...frame, near: marks.near, far: marks.far } : frame,
    ),
  };
}

/** What carries in most pictures that tell. */
function mostBase(frames: readonly SideMarks[]): PlumbBase | null {
  const told = frames.flatMap(({ near }) => guessBase(near) ?? []);
  const times = (base: PlumbBase) => told.filter((one) => one === base).length;
  return told.reduce<PlumbBase | null>(
    (most, base) => (most === null || times(base) > times(most) ? base : most),
    null,
  );
}

function withReads(
  { common }: ClipSheet,
  reads: readonly { readonly atS: number; readonly marks: ReadMarks | null }[],
  isBaseSaid: boolean,
): ClipSheet {
  const { frames: sorted, facing, tiltDeg } = sortSides(reads.map(({ marks }) => marks));
  const frames = reads.map(({ atS }, index): MarkedFrame => {
    const { near, far = {} } = sorted[index]!;
    return { atS, near, far };
  });
  return {
    common: {
      ...common,
      base: isBaseSaid || common.shape !== null ? common.base : (mostBase(sorted) ?? common.base),
      facing: facing ?? common.facing,
      floor: common.floor ?? guessFloor(sorted, tiltDeg ?? 0),
      scale:
        common.scale.kind === 'none'
          ? {
              kind: 'segment',
              segment: segmentOfReading(sorted.find(({ near }) => near.hip)?.near ?? {}),
            }
          : common.scale,
    },
    frames,
  };
}

export function reduceClip(state: ClipState, event: ClipEvent): ClipState {
  const { history, live, at, isBaseSaid } = state;
  const clip = clipOf(state);
  const through = (change: (sheet: Sheet) => Sheet) => putBack(clip, at, change(sheetAt(clip, at)));
  const step = (next: ClipSheet): ClipState => ({
    history: goOn(history, next),
    live: null,
    at,
    isBaseSaid,
  });
  switch (event.kind) {
    case 'look-at':
      return {
        history,
        live: null,
        isBaseSaid,
        at: Math.max(0, Math.min(clip.frames.length - 1, event.index)),
      };
    case 'frames-read':
      // Read once for all: what is read is where everything begins, and no step to go back from.
      return {
        ...state,
        history: beginHistory(withReads(clip, event.reads, isBaseSaid)),
        live: null,
      };
    case 'new-clip': {
      const { facing, base, shape } = clip.common;
      return beginClip({ facing, base, shape, ...event.common }, isBaseSaid);
    }
    case 'move':
      return { ...state, live: through((sheet) => moved(sheet, event.id, event.to)) };
    case 'drop':
      return live === null ? state : step(live);
    case 'cancel':
      return { ...state, live: null };
    case 'set':
      return {
        ...step(through((sheet) => ({ ...sheet, ...event.change }))),
        isBaseSaid: isBaseSaid || saysBase(event.change, clip.common),
      };
    case 'remove':
      return step(through((sheet) => removed(sheet, event.id)));
    case 'undo':
      return { ...state, history: live === null ? goBack(history) : history, live: null };
  }
}

/** What the core reads; `null` while too little is marked. */
export function toClipInput(
  { common, frames }: ClipSheet,
  body: BodyInput,
  isOverKnuckle: boolean,
): ClipInput | null {
  if (frames.filter(({ near }) => Object.keys(near).length > 0).length < 3) return null;
  const first = frames.find(({ near }) => Object.keys(near).length > 0)!;
  const still = toStill(
    { ...common, view: 'side', marks: { ...common.marks, near: first.near } },
    body,
    isOverKnuckle,
  );
  if (still?.view !== 'side') return null;
  const { view: _, marks: __, ...facts } = still;
  return {
    ...facts,
    frames: frames.map(({ atS, near, far }) => ({
      atS,
      marks: { near, ...(Object.keys(far).length === 0 ? {} : { far }) },
    })),
  };
}
