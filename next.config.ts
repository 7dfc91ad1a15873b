import type { NextConfig } from 'next';

const headers = [
  { key: 'X-Content-Type-Options', value: 'nosniff' },
  { key: 'X-Frame-Options', value: 'DENY' },
  { key: 'Referrer-Policy', value: 'no-referrer' },
  { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
  { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
  { key: 'Permissions-Policy', value: 'camera=(self), microphone=(), geolocation=(), payment=()' },
];

const config: NextConfig = {
  poweredByHeader: false,
  // Packed by the server in front, which may give a page more than once (scripts/front.mjs).
  compress: false,
  devIndicators: false,
  reactStrictMode: true,
  // `npm test` checks the types of everything, tests and scripts as well: whoever builds does not wait for it.
  typescript: { ignoreBuildErrors: true },
  experimental: {
    optimizePackageImports: ['@mantine/core', '@mantine/hooks'],
    // A class file carries everybody’s records.
    serverActions: { bodySizeLimit: '5mb' },
  },
  headers: async () => [{ source: '/:path*', headers }],
};

export default config;
