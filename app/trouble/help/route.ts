import { z } from 'zod';
import { readAsker } from '@/server/network/asker';
import { beginAnew, lookAtCopy, restoreCopy } from '@/server/copies/restore';
import { findTrouble } from '@/server/database';
import { refuse, type Outcome } from '@/server/result';

const asked = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('look'), name: z.string(), passphrase: z.string() }),
  z.strictObject({ what: z.literal('restore'), name: z.string(), passphrase: z.string() }),
  z.strictObject({ what: z.literal('begin') }),
]);

async function help(input: z.infer<typeof asked>): Promise<Outcome<unknown>> {
  switch (input.what) {
    case 'look':
      return lookAtCopy({ name: input.name, passphrase: input.passphrase });
    case 'restore':
      return restoreCopy({ name: input.name, passphrase: input.passphrase });
    case 'begin':
      return beginAnew();
  }
}

/** What can be done while there is no sound studio: only then, and only at the desk. */
export async function POST(request: Request): Promise<Response> {
  const headers = { 'Cache-Control': 'no-store' };
  if (readAsker(request.headers).isInTrouble !== true || findTrouble() === null) {
    return new Response('The studio is open.', { status: 403, headers });
  }
  const parsed = asked.safeParse(await request.json().catch(() => null));
  if (!parsed.success) {
    return Response.json(refuse({ form: 'This cannot be done.' }), { status: 400, headers });
  }
  try {
    return Response.json(await help(parsed.data), { headers });
  } catch (error) {
    console.error('Help failed:', error instanceof Error ? error.name : 'unknown');
    return Response.json(refuse({ form: 'That did not work. Nothing was changed.' }), { headers });
  }
}
