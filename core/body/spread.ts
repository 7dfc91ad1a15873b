import type { Basis, Body, Lengths } from './body';
import { lengthIds, type LengthId } from './lengths';

/** A figure worked out from body lengths, with what one standard deviation of them does to it. */
export interface Spread {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Measured only when every length it rests on was measured. */
  readonly basis: Basis;
  /** The lengths it rests on, the one that moves it most first, with the size of that move. */
  readonly drivers: readonly { readonly length: LengthId; readonly move: number }[];
}

/**
 * Evaluates a figure at the body's lengths and carries their uncertainty through: each length is
 * moved by one standard deviation both ways, and half the difference adds in root sum of squares
 * (handbook 04: nothing else enters, but a height that was never said).
 *
 * @param figure pure function of the lengths in metres; its result keeps its own unit
 */
export function spreadOf(body: Body, figure: (lengths: Lengths) => number): Spread {
  const value = figure(body.lengths);
  const drivers: { length: LengthId; move: number }[] = [];
  let squares = 0;
  const moved = { ...body.lengths };
  for (const id of lengthIds) {
    const nominal = body.lengths[id];
    moved[id] = nominal + body.sdM[id];
    const up = figure(moved);
    moved[id] = nominal - body.sdM[id];
    const down = figure(moved);
    moved[id] = nominal;
    if (up === value && down === value) continue;
    const move = Math.abs(up - down) / 2;
    squares += move * move;
    drivers.push({ length: id, move });
  }
  // A height that nobody has said moves everything that follows from it, all the same way.
  if (body.heightSdM > 0) {
    const at = (share: number) =>
      figure(
        Object.fromEntries(
          lengthIds.map((id) => [
            id,
            body.basis[id] === 'measured' ? body.lengths[id] : body.lengths[id] * (1 + share),
          ]),
        ) as Record<LengthId, number>,
      );
    const share = body.heightSdM / body.heightM;
    squares += (Math.abs(at(share) - at(-share)) / 2) ** 2;
  }
  drivers.sort((a, b) => b.move - a.move);
  const sd = Math.sqrt(squares);
  const isMeasured = drivers.every(({ length }) => body.basis[length] === 'measured');
  return {
    value,
    low: value - sd,
    high: value + sd,
    basis: isMeasured ? 'measured' : 'estimated',
    drivers,
  };
}
