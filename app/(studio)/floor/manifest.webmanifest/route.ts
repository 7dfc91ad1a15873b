import { classRoute } from '@/server/network/guarded';

/** Lets the running class be put on a tablet's home screen. */
function answer(): Response {
  return Response.json(
    {
      name: 'Levitar Floor',
      short_name: 'Floor',
      start_url: '/floor',
      scope: '/floor',
      display: 'standalone',
      orientation: 'any',
      background_color: '#f6f1e7',
      theme_color: '#f6f1e7',
      icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
    },
    { headers: { 'Content-Type': 'application/manifest+json' } },
  );
}

export const GET = classRoute(answer);
