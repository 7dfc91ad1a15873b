import { moveOfDrawn } from '@/core/compose/moveOfLine';
import type { Drawn } from '@/core/compose/drawnIn';
import { StripView } from './StripView';

interface DrawnStripProps {
  readonly drawn: Drawn;
  readonly label: string;
  readonly heightPx: number;
}

/** What a line shows, as a strip: with the ladders, so it comes when somebody looks. */
export const DrawnStrip = ({ drawn, ...how }: DrawnStripProps) => (
  <StripView move={moveOfDrawn(drawn)} {...how} />
);
