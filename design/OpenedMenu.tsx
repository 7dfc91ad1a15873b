'use client';

import { Menu } from '@mantine/core';
import { Link } from '@/design/Link';
import { useRef, useState, type ReactElement } from 'react';
import type { MenuEntry } from './LazyMenu';

interface OpenedMenuProps {
  readonly target: ReactElement;
  readonly entries: readonly MenuEntry[];
  readonly width?: number;
  /** Told what was chosen, where something was. */
  readonly onClose: (chosen: (() => void) | null) => void;
}

/** The menu itself, open from the first. */
export function OpenedMenu({ target, entries, width, onClose }: OpenedMenuProps) {
  const [isOpen, setOpen] = useState(true);
  const chosen = useRef<(() => void) | null>(null);
  return (
    <Menu
      opened={isOpen}
      onChange={(open) => {
        setOpen(open);
        if (!open) onClose(chosen.current);
      }}
      withinPortal
      position="bottom-start"
      loop
      {...(width === undefined ? {} : { width })}
    >
      <Menu.Target>{target}</Menu.Target>
      <Menu.Dropdown>
        {entries.map((entry) => {
          switch (entry.kind) {
            case 'heading':
              return <Menu.Label key={entry.label}>{entry.label}</Menu.Label>;
            case 'go':
              return (
                <Menu.Item
                  key={entry.href}
                  component={Link}
                  href={entry.href}
                  aria-current={entry.isHere === true ? 'page' : undefined}
                >
                  {entry.label}
                </Menu.Item>
              );
            case 'file':
              return (
                <Menu.Item key={entry.href} component="a" href={entry.href}>
                  {entry.label}
                </Menu.Item>
              );
            case 'do':
              return (
                <Menu.Item
                  key={entry.label}
                  onClick={() => {
                    chosen.current = entry.onClick;
                  }}
                >
                  {entry.label}
                </Menu.Item>
              );
            default:
              return entry satisfies never;
          }
        })}
      </Menu.Dropdown>
    </Menu>
  );
}
