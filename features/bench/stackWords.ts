import { specOf } from '@/core/catalog/pieces';
import type { StackLayer } from '@/core/pieces/stack';

const faceWords = {
  flat: 'flat',
  side: 'on its side',
  end: 'on its end',
} as const satisfies Record<StackLayer['face'], string>;

/** One layer: `2 × shoulder pad`, with the face where it is not simply flat. */
function sayLayer({ count, face, isRefolded, ...one }: StackLayer): string {
  const how = isRefolded ? ', folded once more' : face === 'flat' ? '' : `, ${faceWords[face]}`;
  return `${count} × ${specOf(one).label.toLowerCase()}${how}`;
}

/** Layers from below; the same one over the other are said once: `3 layers of 2 × shoulder pad`. */
export function sayLayers(layers: readonly StackLayer[]): string {
  const runs: { layer: StackLayer; words: string; times: number }[] = [];
  for (const layer of layers) {
    const words = sayLayer(layer);
    const last = runs.at(-1);
    if (last?.words === words) last.times += 1;
    else runs.push({ layer, words, times: 1 });
  }
  return runs
    .map(({ layer, words, times }) => {
      if (times === 1) return words;
      // One on the other: so many of it.
      if (layer.count === 1) return sayLayer({ ...layer, count: times });
      return `${times} layers of ${words}`;
    })
    .join(', then ');
}
