import { MantineProvider } from '@mantine/core';
import { Notifications } from '@mantine/notifications';
import { render, type RenderResult } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { theme } from '@/design/theme';

/** Shows a component as the application does, with somebody to use it. */
export function renderUi(element: ReactElement): RenderResult & { readonly user: UserEvent } {
  const shown = render(element, {
    wrapper: ({ children }) => (
      // Without transitions: what is opened is there, what is closed is gone.
      <MantineProvider theme={theme} env="test">
        <Notifications />
        {children}
      </MantineProvider>
    ),
  });
  return { ...shown, user: userEvent.setup({ delay: null }) };
}
