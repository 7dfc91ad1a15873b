import { lengthTable, type LengthId } from '@/core/body/lengths';
import { drawLength } from '@/core/drawing/measure';
import { SceneView } from '@/design/drawing/SceneView';

/** Where the tape runs for one length. */
export function LengthPicture({ length }: { readonly length: LengthId }) {
  return <SceneView scene={drawLength(length)} label={lengthTable[length].label} />;
}
