'use client';

import { UnstyledButton } from '@mantine/core';
import { IconBarbell, IconHome, IconListDetails, IconMenu2, IconUsers } from '@tabler/icons-react';
import { Link } from '@/design/Link';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';
import { useState } from 'react';
import { OnTheWay } from './OnTheWay';
import { isHere, places } from './places';
import { useOfPage } from './useOfPage';
import classes from './shell.module.css';

const inBar = [
  { href: '/', Icon: IconHome },
  { href: '/plan', Icon: IconListDetails },
  { href: '/floor', Icon: IconBarbell },
  { href: '/people', Icon: IconUsers },
] as const satisfies readonly { readonly href: (typeof places)[number]['href']; Icon: unknown }[];

// Not loaded before somebody opens it.
const PhoneDrawer = dynamic(
  patiently(() => import('./PhoneDrawer').then((one) => one.PhoneDrawer)),
);

/** On a phone: four places at the thumb, all of them in a drawer. */
export function PhoneBar({ path }: { readonly path: string }) {
  const [isOpen, setOpen] = useOfPage(path, false);
  const [isWanted, setWanted] = useState(false);
  return (
    <>
      <nav data-phone-bar aria-label="At the thumb" className={`${classes.bar} no-print`}>
        {inBar.map(({ href, Icon }) => (
          <Link
            key={href}
            href={href}
            className={classes.barPlace}
            aria-current={isHere(href, path) ? 'page' : undefined}
          >
            <Icon size={22} aria-hidden="true" />
            {places.find((place) => place.href === href)!.label}
            <OnTheWay />
          </Link>
        ))}
        <UnstyledButton
          className={classes.barPlace}
          onClick={() => {
            setWanted(true);
            setOpen(true);
          }}
        >
          <IconMenu2 size={22} aria-hidden="true" />
          All places
        </UnstyledButton>
      </nav>
      {isWanted && <PhoneDrawer isOpen={isOpen} path={path} onClose={() => setOpen(false)} />}
    </>
  );
}
