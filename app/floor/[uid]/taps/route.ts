import { takeTaps } from '@/server/floor';
import { readRole } from '@/server/roles';

const mostBytes = 8_000_000;

/** Takes in taps and answers with the others'. Small enough to be sent at every tap. */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ readonly uid: string }> },
): Promise<Response> {
  const headers = { 'Cache-Control': 'no-store' };
  const text = await request.text();
  if (text.length > mostBytes)
    return Response.json({ problem: 'too large' }, { status: 413, headers });
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    return Response.json({ problem: 'not JSON' }, { status: 400, headers });
  }
  try {
    const outcome = takeTaps((await params).uid, input, readRole(request.headers));
    if (outcome.ok) return Response.json(outcome.value, { headers });
    return Response.json({ problem: outcome.problems.form }, { status: 404, headers });
  } catch (error) {
    // The name alone; a full disk says so, since the teacher can do something about it.
    console.error('Taps were not kept:', error instanceof Error ? error.name : 'unknown');
    const isFull = (error as { code?: string }).code === 'SQLITE_FULL';
    return Response.json(
      { problem: isFull ? 'full' : 'not kept' },
      { status: isFull ? 507 : 500, headers },
    );
  }
}
