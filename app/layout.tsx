import '@mantine/core/styles.css';
import '@mantine/notifications/styles.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/besley/wght.css';
import '@/design/tokens.css';
import '@/design/global.css';

import { ColorSchemeScript, mantineHtmlProps, MantineProvider } from '@mantine/core';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { EarlyTaps } from '@/design/EarlyTaps';
import { earlyTapsScript } from '@/design/earlyTaps';
import { NoticeList } from '@/design/NoticeList';
import { theme } from '@/design/theme';

export const metadata: Metadata = {
  title: { default: 'Levitar', template: '%s · Levitar' },
  description: 'Set-ups, readiness and classes for teachers of inversions and arm balances.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

/** Of every page, also of those before anybody is let in: nothing here belongs to the teacher. */
export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const asked = await headers();
  const nonce = asked.get('x-nonce') ?? undefined;
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript nonce={nonce} defaultColorScheme="auto" />
        <script
          nonce={nonce}
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: earlyTapsScript }}
        />
      </head>
      <body>
        <MantineProvider theme={theme} defaultColorScheme="auto">
          <NoticeList />
          {children}
          <EarlyTaps />
        </MantineProvider>
      </body>
    </html>
  );
}
