'use client';

import NextLink from 'next/link';
import { useState, type ComponentProps } from 'react';

type LinkProps = Omit<ComponentProps<typeof NextLink>, 'prefetch'>;

/**
 * A link to another page. What is there is fetched once somebody is about to go: with a pointer or a
 * finger on it, or the focus. Otherwise every page would ask for twenty others.
 */
export function Link({ onPointerEnter, onFocus, ...rest }: LinkProps) {
  const [isMeant, setMeant] = useState(false);
  return (
    <NextLink
      {...rest}
      // With null it fetches as it would if nothing were said.
      prefetch={isMeant ? null : false}
      onPointerEnter={(event) => {
        setMeant(true);
        onPointerEnter?.(event);
      }}
      onFocus={(event) => {
        setMeant(true);
        onFocus?.(event);
      }}
    />
  );
}
