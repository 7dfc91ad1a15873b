import { takenTable, type TakenId } from '@/core/body/taken';
import { drawMeasure } from '@/core/drawing/measure/measure';
import { SceneView } from '@/design/drawing/SceneView';

/** Where the tape runs for one measure. */
export function LengthPicture({ length }: { readonly length: TakenId }) {
  return <SceneView scene={drawMeasure(length)} label={takenTable[length].label} />;
}
