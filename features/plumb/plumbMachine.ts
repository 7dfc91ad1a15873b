/** The marks of one picture as they are placed: pure, with one way back. */
import type { Body } from '@/core/body/body';
import { guessBase } from '@/core/plumb/guessBase';
import type { Pixel, Sheet } from '@/core/plumb/marks';
import type { ReadMarks } from '@/core/plumb/reader';
import { settleMarks } from '@/core/plumb/settle';
import type { ShapeId } from '@/core/shapes/postures';
import { beginHistory, canGoBack, goBack, goOn, type History } from '@/design/history';
import {
  emptySheet,
  listHandles,
  lookAt,
  moved,
  removed,
  saysBase,
  type HandleId,
  type ImageSize,
  type View,
} from './sheet';
import { readSheet } from './readSheet';

interface OnePicture {
  readonly history: History<Sheet>;
  /** A handle under way; not a step of its own yet. */
  readonly live: Sheet | null;
  /** Which of the pictures that were opened; 0: none yet. */
  readonly picture: number;
}

export interface PlumbState extends OnePicture {
  /** The last picture that something was marked on: opening another one can be taken back. */
  readonly before: OnePicture | null;
  /** Somebody has said what carries: it is guessed no more. */
  readonly isBaseSaid: boolean;
}

export type PlumbEvent =
  | { readonly kind: 'move'; readonly id: HandleId; readonly to: Pixel }
  | { readonly kind: 'drop' }
  | { readonly kind: 'cancel' }
  | { readonly kind: 'set'; readonly change: Partial<Sheet> }
  | { readonly kind: 'remove'; readonly id: HandleId }
  /** What a reader has found: laid over the sheet as it is by then. */
  | {
      readonly kind: 'read';
      readonly marks: ReadMarks;
      /** Whoever was chosen, whose lengths the near side is brought together with; `null`: as read. */
      readonly body: Body | null;
      readonly image: ImageSize;
    }
  /** Another picture: nothing that was marked on the last one is of it; what it shows may be known. */
  | {
      readonly kind: 'new-picture';
      readonly picture: number;
      readonly view?: View;
      readonly shape?: ShapeId;
    }
  | { readonly kind: 'undo' };

export const beginPlumb = (
  sheet: Sheet = emptySheet,
  isBaseSaid = sheet.shape !== null,
): PlumbState => ({
  history: beginHistory(sheet),
  live: null,
  picture: 0,
  before: null,
  isBaseSaid,
});

export const canUndo = ({ history, live, before }: PlumbState): boolean =>
  live !== null || canGoBack(history) || before !== null;

/** The sheet that is read into, on what carries by the marks where nobody has said it. */
function withBase(state: PlumbState, { near }: ReadMarks): Sheet {
  const sheet = sheetOf(state);
  const isKnown = state.isBaseSaid || sheet.shape !== null || sheet.view !== 'side';
  return isKnown ? sheet : { ...sheet, base: guessBase(near) ?? sheet.base };
}

/** The near side by the lengths of whoever was chosen and by what lies flat: a reader knows neither. */
function settled(marks: ReadMarks, body: Body | null, { shape, base, view }: Sheet): ReadMarks {
  if (body === null || view !== 'side') return marks;
  const { facing, tiltDeg } = marks;
  return { ...marks, near: settleMarks(marks.near, body, { shape, base, facing, tiltDeg }) };
}

const isMarked = (state: PlumbState): boolean => listHandles(sheetOf(state)).length > 0;

export const sheetOf = ({ history, live }: PlumbState): Sheet => live ?? history.now;

export function reducePlumb(state: PlumbState, event: PlumbEvent): PlumbState {
  const { history, live, ...rest } = state;
  const on = (next: History<Sheet>): PlumbState => ({ ...rest, history: next, live: null });
  switch (event.kind) {
    case 'move':
      return { ...state, live: moved(sheetOf(state), event.id, event.to) };
    case 'drop':
      return live === null ? state : on(goOn(history, live));
    case 'cancel':
      return on(history);
    case 'set':
      return {
        ...on(goOn(history, { ...sheetOf(state), ...event.change })),
        isBaseSaid: state.isBaseSaid || saysBase(event.change, sheetOf(state)),
      };
    case 'remove':
      return on(goOn(history, removed(sheetOf(state), event.id)));
    case 'read': {
      const sheet = withBase(state, event.marks);
      const marks = settled(event.marks, event.body, sheet);
      return on(goOn(history, readSheet(sheet, marks, event.image)));
    }
    case 'new-picture': {
      const { view, facing, ...last } = sheetOf(state);
      const { base, shape } = event.shape === undefined ? last : lookAt(event.shape);
      return {
        ...beginPlumb({ ...emptySheet, view: event.view ?? view, facing, base, shape }),
        isBaseSaid: state.isBaseSaid,
        picture: event.picture,
        before: isMarked(state) ? { history, live: null, picture: state.picture } : state.before,
      };
    }
    case 'undo':
      if (live !== null) return on(history);
      if (canGoBack(history) || state.before === null) return on(goBack(history));
      return { ...state.before, before: null, isBaseSaid: state.isBaseSaid };
  }
}
