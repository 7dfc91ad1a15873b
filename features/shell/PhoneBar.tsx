'use client';

import { Anchor, Drawer, UnstyledButton } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { IconBarbell, IconHome, IconListDetails, IconMenu2, IconUsers } from '@tabler/icons-react';
import Link from 'next/link';
import { furtherPages, isHere, places, whens, whenWords } from './places';
import classes from './shell.module.css';

const inBar = [
  { href: '/', Icon: IconHome },
  { href: '/plan', Icon: IconListDetails },
  { href: '/floor', Icon: IconBarbell },
  { href: '/people', Icon: IconUsers },
] as const satisfies readonly { readonly href: (typeof places)[number]['href']; Icon: unknown }[];

/** On a phone: four places at the thumb, all of them in a drawer. */
export function PhoneBar({ path }: { readonly path: string }) {
  const [isOpen, drawer] = useDisclosure(false);
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
          </Link>
        ))}
        <UnstyledButton className={classes.barPlace} onClick={drawer.open}>
          <IconMenu2 size={22} aria-hidden="true" />
          All places
        </UnstyledButton>
      </nav>
      <Drawer opened={isOpen} onClose={drawer.close} position="bottom" size="auto" title="Places">
        <div className={classes.drawer}>
          {whens.map((when) => (
            <section key={when} aria-label={whenWords[when]}>
              <h2>{whenWords[when]}</h2>
              <ul>
                {[...places, ...furtherPages]
                  .filter((place) => place.when === when)
                  .map(({ href, label }) => (
                    <li key={href}>
                      <Anchor
                        component={Link}
                        href={href}
                        onClick={drawer.close}
                        aria-current={isHere(href, path) ? 'page' : undefined}
                      >
                        {label}
                      </Anchor>
                    </li>
                  ))}
              </ul>
            </section>
          ))}
        </div>
      </Drawer>
    </>
  );
}
