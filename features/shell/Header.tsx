'use client';

import { answered } from '@/design/answered';
import {
  ActionIcon,
  Anchor,
  Group,
  SegmentedControl,
  useComputedColorScheme,
  useMantineColorScheme,
} from '@mantine/core';
import { useHotkeys, useMounted } from '@mantine/hooks';
import { IconLock, IconMoon, IconSearch, IconSun } from '@tabler/icons-react';
import { Link } from '@/design/Link';
import { usePathname } from 'next/navigation';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';
import { useState, useTransition } from 'react';
import { saveSettingsAction } from '@/features/settings/actions';
import type { PaperInk } from '@/core/drawing/palette';
import type { LengthUnits } from '@/core/units/length';
import { lockDesk } from './lock';
import { OnTheWay } from './OnTheWay';
import { PhoneBar } from './PhoneBar';
import { isHere, nextPlace, places, type When } from './places';
import { StudioMenu } from './StudioMenu';
import { useOfPage } from './useOfPage';
import type { Doable } from './doings';
import { findKey, helpKey } from './keys';
import classes from './shell.module.css';

// Not loaded before somebody looks for something.
const Palette = dynamic(patiently(() => import('./Palette').then((one) => one.Palette)));
const Shortcuts = dynamic(patiently(() => import('./Shortcuts').then((one) => one.Shortcuts)));

/** The parts of an evening, as short as a header wants them. */
const shortWhen = {
  before: 'Before',
  during: 'On the floor',
  after: 'After',
} as const satisfies Readonly<Record<Exclude<When, 'always'>, string>>;
const evening = Object.keys(shortWhen) as (keyof typeof shortWhen)[];

interface HeaderProps {
  readonly units: LengthUnits;
  readonly paperInk: PaperInk;
  /** An assistant's tablet is only let into the running class. */
  readonly isTeacher: boolean;
  /** A passphrase is set for this desk. */
  readonly canLock: boolean;
}

export function Header({ units, paperInk, isTeacher, canLock }: HeaderProps) {
  const path = usePathname();
  const [shown, setShown] = useOfPage<'palette' | 'keys' | null>(path, null);
  const close = () => setShown(null);
  // What was chosen in it may have opened something else already.
  const leavePalette = () => setShown((now) => (now === 'palette' ? null : now));
  // Also while a field has the focus: nobody types these.
  useHotkeys([[findKey, () => isTeacher && setShown('palette')]], []);
  // The sign itself, wherever a keyboard has it; in a field it is a letter like any other.
  useHotkeys([[`shift+${helpKey}`, () => isTeacher && setShown('keys')]]);
  const then = nextPlace(path);
  const [isSaving, startSaving] = useTransition();
  const { setColorScheme } = useMantineColorScheme();
  // The server does not know what was chosen before: the first picture is the light one.
  const isAwake = useMounted();
  const chosen = useComputedColorScheme('light', { getInitialValueInEffect: true });
  const scheme = isAwake ? chosen : 'light';
  const next = scheme === 'dark' ? 'light' : 'dark';
  const [problem, setProblem] = useState<string | null>(null);
  const save = (change: Parameters<typeof saveSettingsAction>[0]) =>
    startSaving(async () => {
      const outcome = await answered(saveSettingsAction(change));
      setProblem(outcome.ok ? null : Object.values(outcome.problems).join(' '));
    });
  const switchScheme = () => setColorScheme(next);
  const doable: Doable = {
    units,
    paperInk,
    next,
    save,
    switchScheme,
    showKeys: () => setShown('keys'),
    lock: canLock ? () => void lockDesk() : null,
  };
  return (
    <>
      <header className={`${classes.header} no-print`}>
        <a href="#main" className={classes.skip}>
          Skip to the page
        </a>
        <Group gap="lg" wrap="nowrap">
          <span className={classes.name}>Levitar</span>
          <nav aria-label="Places">
            {isTeacher && (
              <div className={classes.groups}>
                {evening.map((when) => (
                  <div key={when} className={classes.group}>
                    <span className={classes.when}>{shortWhen[when]}</span>
                    {places
                      .filter((place) => place.when === when)
                      .map(({ href, label }) => (
                        <Anchor
                          key={href}
                          component={Link}
                          href={href}
                          className={classes.place}
                          aria-current={isHere(href, path) ? 'page' : undefined}
                        >
                          {label}
                          <OnTheWay />
                        </Anchor>
                      ))}
                  </div>
                ))}
                <div className={classes.group}>
                  <span className={classes.when}>The studio</span>
                  <StudioMenu key={path} path={path} />
                </div>
                {then !== null && (
                  <div className={classes.group}>
                    <span className={classes.when}>next</span>
                    <Anchor component={Link} href={then.href} className={classes.place}>
                      {then.label} →
                      <OnTheWay />
                    </Anchor>
                  </div>
                )}
              </div>
            )}
          </nav>
        </Group>
        <Group gap="md" wrap="nowrap">
          <SegmentedControl
            aria-label="Units"
            size="sm"
            value={units}
            disabled={isSaving || !isTeacher}
            data={[
              { value: 'cm', label: 'cm' },
              { value: 'in', label: 'ft, in' },
            ]}
            onChange={(value) => save({ units: value })}
          />
          {isTeacher && (
            <ActionIcon
              variant="subtle"
              size={36}
              aria-label="Find"
              title="Find a person, a rung or a page: Ctrl K"
              onClick={() => setShown('palette')}
            >
              <IconSearch size={20} />
            </ActionIcon>
          )}
          {canLock && (
            <ActionIcon
              variant="subtle"
              size={36}
              aria-label={isTeacher ? 'Lock the desk' : 'Sign in'}
              title={isTeacher ? 'Lock the desk: Alt, Shift, L' : 'Sign in'}
              onClick={() => (isTeacher ? void lockDesk() : window.location.assign('/desk'))}
            >
              <IconLock size={20} />
            </ActionIcon>
          )}
          <ActionIcon
            variant="subtle"
            size={36}
            aria-label={`Switch to ${next} scheme`}
            onClick={switchScheme}
          >
            {scheme === 'dark' ? <IconSun size={20} /> : <IconMoon size={20} />}
          </ActionIcon>
        </Group>
      </header>
      {problem !== null && (
        <p className={`${classes.problem} no-print`} role="alert">
          {problem}
        </p>
      )}
      {isTeacher && <PhoneBar path={path} />}
      {shown === 'palette' && <Palette doable={doable} onClose={leavePalette} />}
      {shown === 'keys' && <Shortcuts onClose={close} />}
    </>
  );
}
