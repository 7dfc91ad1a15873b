/**
 * What the tablet shows over a running class: its line, or one thing instead of it, and at most one
 * sheet on top. Pure: the class itself is the engine's.
 */
import type { BaseId, CheckKey } from '@/core/catalog/checks';

/** A hold as somebody asks for it; `null`: time in the shape. */
export interface HoldWish {
  readonly check: CheckKey | null;
  readonly people: readonly string[];
  readonly side?: 'left' | 'right';
  readonly base?: BaseId;
}

export type Over =
  /** The line of the running order. */
  | { readonly kind: 'line' }
  | { readonly kind: 'pace'; readonly line: string | null }
  | { readonly kind: 'door' | 'load' }
  /** A clock: one to be started, or one that was. */
  | { readonly kind: 'hold'; readonly wish: HoldWish; readonly shown: string | null };

export type Sheet =
  | { readonly kind: 'person'; readonly person: string }
  /** For whom is still to be said where it is `null`. */
  | { readonly kind: 'stop'; readonly person: string | null }
  | { readonly kind: 'end' };

export interface FloorView {
  readonly over: Over;
  readonly sheet: Sheet | null;
}

/** What is opened over the line without a word more. */
type Opened = 'pace' | 'door' | 'load';

export type ViewEvent =
  | { readonly kind: 'open-hold'; readonly wish: HoldWish }
  | { readonly kind: 'show-hold'; readonly hold: string }
  | { readonly kind: 'toggle'; readonly what: Opened }
  /** Asked for by name: where it stands already it stays. */
  | { readonly kind: 'open'; readonly what: Opened }
  /** The pacer with the dose of the line that the class is at. */
  | { readonly kind: 'pace-line'; readonly line: string }
  | { readonly kind: 'close' }
  | { readonly kind: 'sheet'; readonly sheet: Sheet }
  | { readonly kind: 'close-sheet' };

const line: Over = { kind: 'line' };
export const firstView: FloorView = { over: line, sheet: null };
const noWish: HoldWish = { check: null, people: [] };

const opened = (what: Opened): Over =>
  what === 'pace' ? { kind: what, line: null } : { kind: what };

export function reduceView(view: FloorView, event: ViewEvent): FloorView {
  switch (event.kind) {
    case 'open-hold':
      return { over: { kind: 'hold', wish: event.wish, shown: null }, sheet: null };
    case 'show-hold': {
      const wish = view.over.kind === 'hold' ? view.over.wish : noWish;
      return { over: { kind: 'hold', wish, shown: event.hold }, sheet: null };
    }
    case 'toggle':
      return {
        over: view.over.kind === event.what ? line : opened(event.what),
        sheet: null,
      };
    case 'open':
      return {
        over: view.over.kind === event.what ? view.over : opened(event.what),
        sheet: null,
      };
    case 'pace-line':
      return { over: { kind: 'pace', line: event.line }, sheet: null };
    case 'close':
      return { ...view, over: line };
    case 'sheet':
      return { ...view, sheet: event.sheet };
    case 'close-sheet':
      return { ...view, sheet: null };
  }
}
