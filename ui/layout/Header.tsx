'use client';

import {
  ActionIcon,
  Anchor,
  Group,
  SegmentedControl,
  useComputedColorScheme,
  useMantineColorScheme,
} from '@mantine/core';
import { IconMoon, IconSun } from '@tabler/icons-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useTransition } from 'react';
import { saveSettingsAction } from '@/server/actions';
import type { LengthUnits } from '@/core/units/length';
import classes from './layout.module.css';

const places = [
  { href: '/', label: 'Tonight' },
  { href: '/people', label: 'People' },
  { href: '/bench', label: 'Bench' },
] as const;

export function Header({ units }: { readonly units: LengthUnits }) {
  const path = usePathname();
  const [isSaving, startSaving] = useTransition();
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme('light', { getInitialValueInEffect: true });
  const next = scheme === 'dark' ? 'light' : 'dark';
  const isHere = (href: string) => (href === '/' ? path === '/' : path.startsWith(href));
  return (
    <header className={`${classes.header} no-print`}>
      <a href="#main" className={classes.skip}>
        Skip to the page
      </a>
      <Group gap="xl" wrap="nowrap">
        <span className={classes.name}>Levitar</span>
        <nav aria-label="Places">
          <Group gap="lg" wrap="nowrap">
            {places.map(({ href, label }) => (
              <Anchor
                key={href}
                component={Link}
                href={href}
                className={classes.place}
                aria-current={isHere(href) ? 'page' : undefined}
              >
                {label}
              </Anchor>
            ))}
          </Group>
        </nav>
      </Group>
      <Group gap="md" wrap="nowrap">
        <SegmentedControl
          aria-label="Units"
          size="sm"
          value={units}
          disabled={isSaving}
          data={[
            { value: 'cm', label: 'cm' },
            { value: 'in', label: 'ft, in' },
          ]}
          onChange={(value) => {
            startSaving(async () => {
              await saveSettingsAction({ units: value });
            });
          }}
        />
        <ActionIcon
          variant="subtle"
          size={36}
          aria-label={`Switch to ${next} scheme`}
          onClick={() => setColorScheme(next)}
        >
          {scheme === 'dark' ? <IconSun size={20} /> : <IconMoon size={20} />}
        </ActionIcon>
      </Group>
    </header>
  );
}
