import { sayMoves } from '@/core/files/moveWords';
import { firstUp } from '@/core/units/words';
import type { FloorBundle } from '@/server/running/floorBundle';

/** What is fetched and put away with a line, as a sentence; the table of pieces comes with it. */
export function Moves({ item }: { readonly item: FloorBundle['plan']['timeline'][number] }) {
  const moves = sayMoves(item);
  return moves === '' ? null : <> {firstUp(moves)}.</>;
}
