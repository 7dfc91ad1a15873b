'use client';

import { Anchor, Drawer } from '@mantine/core';
import { Link } from '@/design/Link';
import { furtherPages, isHere, places, whens, whenWords } from './places';
import classes from './shell.module.css';

interface PhoneDrawerProps {
  readonly isOpen: boolean;
  readonly path: string;
  readonly onClose: () => void;
}

/** Every place there is, for the thumb. */
export function PhoneDrawer({ isOpen, path, onClose }: PhoneDrawerProps) {
  return (
    <Drawer opened={isOpen} onClose={onClose} position="bottom" size="auto" title="Places">
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
                      onClick={onClose}
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
  );
}
