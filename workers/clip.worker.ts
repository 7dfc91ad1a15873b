/** A clip is read off the interface thread: eighty pictures take longer than a frame leaves. */
import type { ClipInput } from '@/core/plumb/clip/frames';
import { readWholeClip } from '@/core/plumb/clip/whole';

self.addEventListener('message', ({ data }: MessageEvent<ClipInput>) => {
  self.postMessage(readWholeClip(data));
});
