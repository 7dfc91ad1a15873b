import { PictureView } from '@/design/drawing/SceneView';
import { PiecePicture } from '@/features/room/PiecePicture';
import type { PlacingRung } from './read';
import classes from './beginning.module.css';

/** A shape as it is drawn for placing, with the pieces that tell it from its neighbours. */
export function RungHead({
  label,
  picture,
  pieces,
}: Pick<PlacingRung, 'label' | 'picture' | 'pieces'>) {
  return (
    <>
      {picture && <PictureView picture={picture} label="" />}
      {pieces.length > 0 && (
        <span className={classes.with}>
          {pieces.map(({ piece, spec }) => (
            <PiecePicture key={piece} piece={piece} spec={spec} />
          ))}
        </span>
      )}
      <span>{label}</span>
    </>
  );
}
