/** What the unit tests made once for all of them goes when they end. */
import { rmSync } from 'node:fs';
import process from 'node:process';

export default function throwAway() {
  const kept = process.env.LEVITAR_TEST_KEPT;
  if (kept !== undefined) rmSync(kept, { recursive: true, force: true });
}
