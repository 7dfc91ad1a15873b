import { joinDevice } from '@/server/network/devices';
import { deviceCookie } from '@/server/network/doorRules';
import { anybodysWords } from '@/server/useCase';

const yearSeconds = 365 * 86_400;

/** A device asks to be let in with the code on the teacher's screen. */
export async function POST(request: Request): Promise<Response> {
  const headers = new Headers({ 'Cache-Control': 'no-store' });
  let input: unknown;
  try {
    input = await request.json();
  } catch {
    input = null;
  }
  const outcome = anybodysWords(joinDevice)(input);
  if (!outcome.ok) return Response.json(outcome, { headers });
  headers.append(
    'Set-Cookie',
    `${deviceCookie}=${outcome.value.token}; Path=/; Max-Age=${yearSeconds}; HttpOnly; Secure; SameSite=Strict`,
  );
  return Response.json({ ok: true, value: { role: outcome.value.role } }, { headers });
}
