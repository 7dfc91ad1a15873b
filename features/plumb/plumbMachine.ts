/** The marks of one picture as they are placed: pure, with one way back. */
import type { Pixel, Sheet } from '@/core/plumb/marks';
import type { ReadMarks } from '@/core/plumb/reader';
import { beginHistory, canGoBack, goBack, goOn, type History } from '@/design/history';
import {
  emptySheet,
  listHandles,
  moved,
  readSheet,
  removed,
  type HandleId,
  type ImageSize,
  type View,
} from './sheet';

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
}

export type PlumbEvent =
  | { readonly kind: 'move'; readonly id: HandleId; readonly to: Pixel }
  | { readonly kind: 'drop' }
  | { readonly kind: 'cancel' }
  | { readonly kind: 'set'; readonly change: Partial<Sheet> }
  | { readonly kind: 'remove'; readonly id: HandleId }
  /** What a reader has found: laid over the sheet as it is by then. */
  | { readonly kind: 'read'; readonly marks: ReadMarks; readonly image: ImageSize }
  /** Another picture: nothing that was marked on the last one is of it; how it is seen may be known. */
  | { readonly kind: 'new-picture'; readonly picture: number; readonly view?: View }
  | { readonly kind: 'undo' };

export const beginPlumb = (sheet: Sheet = emptySheet): PlumbState => ({
  history: beginHistory(sheet),
  live: null,
  picture: 0,
  before: null,
});

export const canUndo = ({ history, live, before }: PlumbState): boolean =>
  live !== null || canGoBack(history) || before !== null;

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
      return on(goOn(history, { ...sheetOf(state), ...event.change }));
    case 'remove':
      return on(goOn(history, removed(sheetOf(state), event.id)));
    case 'read':
      return on(goOn(history, readSheet(sheetOf(state), event.marks, event.image)));
    case 'new-picture': {
      const { view, facing, base, shape } = sheetOf(state);
      return {
        ...beginPlumb({ ...emptySheet, view: event.view ?? view, facing, base, shape }),
        picture: event.picture,
        before: isMarked(state) ? { history, live: null, picture: state.picture } : state.before,
      };
    }
    case 'undo':
      if (live !== null) return on(history);
      if (canGoBack(history) || state.before === null) return on(goBack(history));
      return { ...state.before, before: null };
  }
}
