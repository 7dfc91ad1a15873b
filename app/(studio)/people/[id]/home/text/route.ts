import { readHome, writeHomeText } from '@/features/home/read';
import { readPersonId } from '@/server/personId';
import { teacherRoute } from '@/server/network/guarded';

async function answer(
  _request: Request,
  { params }: { readonly params: Promise<{ readonly id: string }> },
): Promise<Response> {
  const id = readPersonId((await params).id);
  const view = id === null ? null : readHome(id);
  if (view === null) return new Response('There is no such person.', { status: 404 });
  return new Response(writeHomeText(view), {
    headers: { 'Content-Type': 'text/plain; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}

export const GET = teacherRoute(answer);
