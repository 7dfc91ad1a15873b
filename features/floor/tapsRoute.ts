import { StudioTrouble, toTrouble } from '@/db/trouble';
import type { Asker } from '@/server/network/asker';
import { databaseFile } from '@/server/database';
import { takeTaps, type Taken } from '@/server/running/floor';
import { classRole } from '@/server/running/floorRole';
import { whenIdle } from '@/server/files/importing';

const mostBytes = 8_000_000;
const headers = { 'Cache-Control': 'no-store' };
/** Shorter than a tablet waits for its answer. */
const patienceMs = 5000;

const say = (problem: string, status: number) => Response.json({ problem }, { status, headers });

function toResponse(taken: Taken): Response {
  if (taken.ok) return Response.json(taken.value, { headers });
  const { form } = taken.problems;
  switch (taken.reason) {
    case 'unreadable':
      return say(form!, 400);
    case 'gone':
      return say(form!, 404);
    case 'not-yours':
      return Response.json({ problem: form, reason: taken.reason }, { status: 403, headers });
    case 'apart': {
      const { upTo, differs, era } = taken;
      return Response.json({ problem: form, upTo, differs, era }, { status: 409, headers });
    }
  }
}

/** Takes in taps and answers with the others'. Small enough to be sent at every tap. */
export async function takeDelivery(
  request: Request,
  asker: Asker,
  { params }: { readonly params: Promise<{ readonly uid: string }> },
): Promise<Response> {
  const text = await request.text();
  if (text.length > mostBytes) return say('too large', 413);
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    return say('not JSON', 400);
  }
  if (!(await whenIdle(patienceMs))) return say('busy', 503);
  try {
    const { uid } = await params;
    const maySay = asker.role === 'teacher' ? 'teacher' : 'assistant';
    const { deviceId } = asker;
    return toResponse(takeTaps(uid, input, { maySay, maySee: classRole(asker), deviceId }));
  } catch (error) {
    // The name alone; a full disk says so, since the teacher can do something about it.
    console.error('Taps were not kept:', error instanceof Error ? error.name : 'unknown');
    const trouble = toTrouble(error, databaseFile());
    const isFull = trouble instanceof StudioTrouble && trouble.kind === 'full';
    return say(isFull ? 'full' : 'not kept', isFull ? 507 : 500);
  }
}
