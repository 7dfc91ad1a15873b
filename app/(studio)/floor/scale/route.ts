import { openScale } from '@/server/scale/scale';
import { teacherRoute } from '@/server/network/guarded';

/** Readings of a load scale, as server-sent events: the practice one, or the one that was allowed. */
function answer(request: Request): Response {
  const asked = new URL(request.url).searchParams;
  return new Response(openScale(asked, request.signal), {
    headers: {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    },
  });
}

export const GET = teacherRoute(answer);
