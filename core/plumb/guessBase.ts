/**
 * What carries, read off the marks of a picture from the side: a guess to begin with, where nobody
 * has said it. Limits are the product's own.
 */
import type { MarkName, MarkSet, PlumbBase } from './marks';
import { heightInPixels } from './still';

/** As near to the lowest mark as what lies on the floor is, as a share of the standing height. */
const downShare = 0.1;
/** Shoulders that lie on the floor, or on a platform; over forearms they stand at .18. */
const lyingShare = 0.12;

/**
 * Head and forearms lie side by side in a headstand as in a forearm stand: there the forearms are
 * said, and the eye decides.
 *
 * @param near pixels, y down, of a picture that is about level
 * @returns `null` where too little is marked to tell
 */
export function guessBase(near: MarkSet): PlumbBase | null {
  const { shoulder, elbow, wrist } = near;
  if (shoulder === undefined || wrist === undefined) return null;
  const heightPx = heightInPixels((name: MarkName) => {
    const mark = near[name];
    return mark === undefined ? null : [mark.x, mark.y];
  });
  if (heightPx === null) return null;
  const floorY = Math.max(...Object.values(near).map(({ y }) => y));
  const isDown = ({ y }: { readonly y: number }, share = downShare) =>
    floorY - y <= share * heightPx;
  if (isDown(shoulder, lyingShare) || !isDown(wrist)) return 'feet';
  return elbow !== undefined && isDown(elbow) ? 'forearms' : 'hands';
}
