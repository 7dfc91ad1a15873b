import { readSetAside } from '@/features/settings/setAside';
import { exportRoute } from '@/server/files/exportRoute';

/** Everything that was set aside, as it stood. It holds health notes: only for whoever teaches here. */
function answer(): Response {
  return new Response(`${JSON.stringify(readSetAside(), null, 1)}\n`, {
    headers: {
      'Content-Type': 'application/json',
      'Content-Disposition': 'attachment; filename="set-aside.json"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = exportRoute(answer);
