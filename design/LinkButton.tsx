'use client';

import { Button, type ButtonProps } from '@mantine/core';
import { Link } from '@/design/Link';
import type { ReactNode } from 'react';

interface LinkButtonProps extends ButtonProps {
  readonly href: string;
  readonly children: ReactNode;
}

/** A link that looks like a button. A component cannot be handed over from the server, so it lives here. */
export function LinkButton({ href, ...rest }: LinkButtonProps) {
  return <Button component={Link} href={href} {...rest} />;
}
