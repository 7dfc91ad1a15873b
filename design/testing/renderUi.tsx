import { MantineProvider } from '@mantine/core';
import { Notifications, notifications } from '@mantine/notifications';
import { act, render, type RenderResult } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { theme } from '@/design/theme';

/** Puts words into a field at once, as pasted: a form is drawn anew for each key. */
export async function putIn(user: UserEvent, field: HTMLElement, words: string): Promise<void> {
  await user.click(field);
  await user.paste(words);
}

/** Shows a component as the application does, with somebody to use it. */
export function renderUi(element: ReactElement): RenderResult & { readonly user: UserEvent } {
  // Only so many stand at once: what the test before was told would make this one's wait.
  act(() => notifications.clean());
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
