/** What Plumb is opened for: a shape, or a check, and what carries then. */
import { baseIds, type BaseId } from '@/core/catalog/checks';
import {
  clipChecks,
  isClipCheck,
  isStillCheck,
  isTimedCheck,
  stillChecks,
  type TimedCheck,
} from '@/core/plumb/feeds';
import type { PlumbBase, Sheet } from '@/core/plumb/marks';
import { baseOfShape } from '@/core/plumb/shapeBase';
import type { ShapeId } from '@/core/shapes/postures';
import { shapeIds } from '@/core/shapes/registry';
import { plumbAnswers } from './address';

export interface PlumbLook {
  /** `null`: nobody said one, or the check is taken in none that has loads. */
  readonly shape: ShapeId | null;
  /** `null`: nobody said it; the marks will. */
  readonly base: PlumbBase | null;
  readonly view: Sheet['view'];
  /** What is opened first. */
  readonly opens: 'picture' | 'clip' | 'camera';
  /** What the camera's clock is set to. */
  readonly timed: TimedCheck | null;
  /** The same as an address, to keep when another person is chosen. */
  readonly query: Readonly<Record<string, string>>;
}

export const anyLook: PlumbLook = {
  shape: null,
  base: null,
  view: 'side',
  opens: 'picture',
  timed: null,
  query: {},
};

/** What an address asks for; what it names and is not known is left out. */
export function readLook(asked: {
  readonly shape?: unknown;
  readonly check?: unknown;
  readonly base?: unknown;
}): PlumbLook {
  const shape = shapeIds.find((one) => one === asked.shape);
  const on = baseIds.find((one) => one === asked.base);
  const check = typeof asked.check === 'string' ? asked.check : '';
  const way = plumbAnswers(check);
  if (way === null) {
    return shape === undefined
      ? anyLook
      : { ...anyLook, shape, base: baseOfShape(shape), query: { shape } };
  }
  const query = { check, ...(on === undefined ? {} : { base: on }) };
  if (isStillCheck(check)) return { ...anyLook, ...stillChecks[check], query };
  if (!isClipCheck(check)) return { ...anyLook, base: 'forearms', view: 'front', query };
  const bases: readonly BaseId[] = clipChecks[check].bases;
  const base = on !== undefined && bases.includes(on) ? on : bases[0]!;
  return isTimedCheck(check)
    ? { ...anyLook, base, opens: 'camera', timed: check, query }
    : { ...anyLook, base, opens: 'clip', query };
}
