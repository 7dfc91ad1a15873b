import { readPhone } from '@/features/home/read';
import { writeHomeFile } from '@/features/home/homeFile';
import { readPersonId } from '@/server/personId';
import { teacherRoute } from '@/server/network/guarded';

async function answer(
  _request: Request,
  { params }: { readonly params: Promise<{ readonly id: string }> },
): Promise<Response> {
  const id = readPersonId((await params).id);
  const view = id === null ? null : readPhone(id);
  if (view === null) return new Response('There is no such person.', { status: 404 });
  return new Response(writeHomeFile(view), {
    headers: {
      'Content-Type': 'text/html; charset=utf-8',
      // Saved and sent on, never shown as a page of the studio.
      'Content-Disposition': 'attachment; filename="practice.html"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
