import { revalidatePath } from 'next/cache';
import { takeRecordTable } from '@/server/recordTable';
import { takeStudioFile } from '@/server/studioFile';

const mostBytes = 400_000_000;

/** A file of the studio or a table of records: a look first, then for good. */
export async function POST(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  const isFinal = asked.get('final') === 'yes';
  const headers = { 'Cache-Control': 'no-store' };
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) {
    return Response.json(
      { ok: false, problems: { form: 'This file is too large.' } },
      { status: 413, headers },
    );
  }
  try {
    const text = await request.text();
    const outcome =
      asked.get('kind') === 'records'
        ? takeRecordTable(text, isFinal)
        : takeStudioFile(text, isFinal);
    if (outcome.ok && isFinal) revalidatePath('/', 'layout');
    // A file that cannot be taken is an answer, not a failure of the exchange.
    return Response.json(outcome, { headers });
  } catch (error) {
    // The name alone: a message may quote what the file says about somebody.
    console.error('An import failed:', error instanceof Error ? error.name : 'unknown');
    return Response.json(
      { ok: false, problems: { form: 'That did not work and nothing was stored. Try again.' } },
      { status: 500, headers },
    );
  }
}
