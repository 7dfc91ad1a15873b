import { writeProfileFile } from '@/features/profiles/read';
import { teacherRoute } from '@/server/network/guarded';

interface RouteContext {
  readonly params: Promise<{ readonly key: string }>;
}

/** A profile as a file to hand on. */
async function answer(_request: Request, { params }: RouteContext): Promise<Response> {
  const file = writeProfileFile((await params).key);
  if (file === null) return new Response('There is no such profile.', { status: 404 });
  return new Response(JSON.stringify(file, null, 2), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="levitar-profile.json"',
      'cache-control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
