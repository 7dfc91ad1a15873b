/** A picture that was kept, for the teacher's own eyes. */
import { findJpeg } from '@/db/pictures';
import { database } from '@/server/database';
import { readPersonId } from '@/server/personId';

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export async function answerPicture(_: Request, { params }: Context): Promise<Response> {
  const id = readPersonId((await params).id);
  const jpeg = id === null ? null : findJpeg(database(), id);
  if (jpeg === null) return new Response('There is no such picture.', { status: 404 });
  return new Response(new Uint8Array(jpeg), {
    headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'no-store' },
  });
}
