/** Answers of the desk: a session in a cookie that only this server reads. */
import { z } from 'zod';
import { done, type Outcome } from '../result';
import { deskCookie } from './desk';

const headers = { 'Cache-Control': 'no-store' };

/** The session ends with the browser. */
const sessionCookie = (token: string) =>
  `${deskCookie}=${token}; Path=/; HttpOnly; SameSite=Strict`;

export const tokenOf = (request: Request): string | undefined =>
  z
    .string()
    .safeParse(
      new RegExp(`(?:^|;\\s*)${deskCookie}=([\\w-]+)`).exec(
        request.headers.get('cookie') ?? '',
      )?.[1],
    ).data;

/** What was typed, tried; the token goes into the cookie and nowhere else. */
export async function answerDesk<T extends { readonly token: string }>(
  request: Request,
  attempt: (input: unknown) => Outcome<T> | Promise<Outcome<T>>,
): Promise<Response> {
  let input: unknown;
  try {
    input = await request.json();
  } catch {
    input = null;
  }
  const outcome = await attempt(input);
  if (!outcome.ok) return Response.json(outcome, { headers });
  const { token, ...shown } = outcome.value;
  return Response.json(done(shown), {
    headers: { ...headers, 'Set-Cookie': sessionCookie(token) },
  });
}
