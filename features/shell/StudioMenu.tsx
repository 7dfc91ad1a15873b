import { Menu, UnstyledButton } from '@mantine/core';
import { IconChevronDown } from '@tabler/icons-react';
import Link from 'next/link';
import { furtherPages, isHere, places } from './places';
import classes from './shell.module.css';

/** What the studio always has, in one menu; it is called by where one is. */
export function StudioMenu({ path }: { readonly path: string }) {
  const always = [...places, ...furtherPages].filter(({ when }) => when === 'always');
  const here = always.find(({ href }) => isHere(href, path));
  return (
    <Menu position="bottom-start" width={200} loop>
      <Menu.Target>
        <UnstyledButton
          className={classes.place}
          data-here={here !== undefined || undefined}
          aria-label={
            here === undefined ? 'Places of the studio' : `Places of the studio: ${here.label}`
          }
        >
          {here?.label ?? 'People, ladders, room'} <IconChevronDown size={15} aria-hidden="true" />
        </UnstyledButton>
      </Menu.Target>
      <Menu.Dropdown>
        {always.map(({ href, label }) => (
          <Menu.Item
            key={href}
            component={Link}
            href={href}
            aria-current={isHere(href, path) ? 'page' : undefined}
          >
            {label}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}
