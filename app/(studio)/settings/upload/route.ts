import { teacherRoute } from '@/server/network/guarded';
import { addPiece, dropUpload } from '@/server/files/uploads';

const headers = { 'Cache-Control': 'no-store' };

/** One piece of a file; the answer says how much is there. */
async function take(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  try {
    const piece = new Uint8Array(await request.arrayBuffer());
    const bytes = addPiece(asked.get('id'), Number(asked.get('at')), piece);
    return bytes === null
      ? Response.json({ problem: 'This file is larger than 400 MB.' }, { status: 413, headers })
      : Response.json({ bytes }, { headers });
  } catch (error) {
    console.error('An upload failed:', error instanceof Error ? error.name : 'unknown');
    const isFull = (error as { code?: string }).code === 'ENOSPC';
    const problem = isFull ? 'The disk of the studio’s computer is full.' : 'That did not work.';
    return Response.json({ problem }, { status: isFull ? 507 : 500, headers });
  }
}

function drop(request: Request): Response {
  dropUpload(new URL(request.url).searchParams.get('id'));
  return new Response(null, { status: 204 });
}

export const POST = teacherRoute(take);
export const DELETE = teacherRoute(drop);
