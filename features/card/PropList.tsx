import { specOf } from '@/core/catalog/pieces';
import { liftWords, type ForearmKickSetup } from '@/core/setups/forearmKick';
import { formatFigure, formatLength, type LengthUnits } from '@/core/units/length';

interface PropListProps {
  readonly setup: ForearmKickSetup;
  readonly units: LengthUnits;
}

const faceWords = { length: 'long', width: 'middle', thickness: 'short' } as const;

/** Which pieces, which way round. */
export function PropList({ setup, units }: PropListProps) {
  const { block, strap, spacer, lift, distances } = setup;
  return (
    <>
      <h2>To lay out</h2>
      <ul>
        {block && (
          <li>
            {block.faces.map((face) => specOf(face).label).join(' and ')}, flat, long face across (
            {formatLength(block.acrossM, units)}), held in the L of thumb and first finger
          </li>
        )}
        {strap && (
          <li>
            {specOf(strap).label}: loop of {formatLength(distances.strapLoop.metres, units)}, just
            above the elbows
          </li>
        )}
        {lift && <li>{liftWords(lift)} under both forearms and hands</li>}
        {spacer && (
          <li>
            Between the forearms, if wanted ({formatFigure(distances.spacerGap.metres, units)}{' '}
            {units}):{' '}
            {spacer.faces
              .map(
                ({ face, metres, ...one }) =>
                  `${specOf(one).label.toLowerCase()}, ${faceWords[face]} face ${formatFigure(metres, units)}`,
              )
              .join(' + ')}
            , off by {formatLength(Math.abs(spacer.errorM), units)}
          </li>
        )}
      </ul>
    </>
  );
}
