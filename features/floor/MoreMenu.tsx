'use client';

import { Button, Menu } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import { Link } from '@/design/Link';
import { useFloorClass } from './context';

/** What is wanted once an evening. */
export function MoreMenu() {
  const { floor, tell } = useFloorClass();
  return (
    <Menu position="top-end">
      <Menu.Target>
        <Button size="lg" variant="default" aria-label="More">
          <IconDots size={24} />
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item onClick={() => tell({ kind: 'open', what: 'door' })}>Somebody new</Menu.Item>
        <Menu.Item onClick={() => tell({ kind: 'open', what: 'load' })}>
          Head load on a scale
        </Menu.Item>
        <Menu.Item component={Link} href="/floor">
          Leave the screen; the class goes on
        </Menu.Item>
        <Menu.Item
          disabled={floor.state.endedMs !== null}
          onClick={() => tell({ kind: 'sheet', sheet: { kind: 'end' } })}
        >
          End the class
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
