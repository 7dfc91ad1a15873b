'use client';

import { Button, Checkbox, MultiSelect, NativeSelect, Popover, ScrollArea } from '@mantine/core';
import { NumberField } from '@/design/NumberField';
import { IconUsers } from '@tabler/icons-react';
import { memo } from 'react';
import { ladderIds, ladderTable, type LadderId } from '@/core/catalog/stage';
import { themeIds, themeTable, type ThemeId } from '@/core/catalog/themes';
import { spareChoices, type SpareChoice } from '@/core/compose/budget';
import type { ClassMember } from '@/server/judging/classViews';
import type { ProfileChoice } from '@/server/judging/schools';
import type { Planner } from './usePlanner';
import classes from './plan.module.css';

const spareWords: Readonly<Record<SpareChoice, string>> = {
  drills: 'to the drills',
  rounds: 'to the rounds',
  rest: 'to the rest',
};

interface WishesBarProps extends Pick<Planner, 'wishes' | 'change'> {
  readonly members: readonly ClassMember[];
  readonly profile: string;
  readonly profiles: readonly ProfileChoice[];
  /** A class from a file is composed as it is; people are not judged again. */
  readonly isFromFile: boolean;
}

/** Who comes, how long, which families, which school, how many hands. */
export function WishesBar(props: WishesBarProps) {
  const { wishes, change, members, profile, profiles, isFromFile } = props;
  return (
    <div className={classes.wishes} role="group" aria-label="What is wished">
      <Coming absent={wishes.absent} {...{ members, change }} />
      <Minutes minutes={wishes.minutes} {...{ isFromFile, change }} />
      <Families families={wishes.families} {...{ isFromFile, change }} />
      <Profile {...{ profile, profiles, isFromFile, change }} />
      <Rounds rounds={wishes.rounds} {...{ isFromFile, change }} />
      <About theme={wishes.theme} isWithoutRounds={wishes.rounds === 0} change={change} />
      <Spare spare={wishes.spare} change={change} />
      <Helpers helpers={wishes.helpers} change={change} />
    </div>
  );
}

type Changing = Pick<WishesBarProps, 'change'>;
type Field<Wish extends keyof Planner['wishes']> = Pick<Planner['wishes'], Wish> & Changing;
type Judging = Pick<WishesBarProps, 'isFromFile'>;

// Each field by itself: a hand that changes one does not wait for the others to be drawn.

const Coming = memo(function Coming({
  absent,
  members,
  change,
}: Field<'absent'> & Pick<WishesBarProps, 'members'>) {
  const coming = members.filter(({ id }) => !absent.includes(id)).length;
  return (
    <Popover position="bottom-start" withArrow shadow="md">
      <Popover.Target>
        <Button variant="default" leftSection={<IconUsers size={16} />} className={classes.coming}>
          {coming} of {members.length} come
        </Button>
      </Popover.Target>
      <Popover.Dropdown>
        <ScrollArea.Autosize mah={380}>
          <div className={classes.comingList}>
            {members.map(({ id, name }) => (
              <Checkbox
                key={id}
                label={name}
                checked={!absent.includes(id)}
                onChange={({ currentTarget: { checked } }) =>
                  change(
                    { absent: checked ? absent.filter((one) => one !== id) : [...absent, id] },
                    { keeps: true },
                  )
                }
              />
            ))}
          </div>
        </ScrollArea.Autosize>
      </Popover.Dropdown>
    </Popover>
  );
});

const Minutes = memo(function Minutes({
  minutes: now,
  isFromFile,
  change,
}: Field<'minutes'> & Judging) {
  return (
    <NumberField
      label="Minutes"
      w={92}
      min={5}
      max={240}
      step={5}
      allowDecimal={false}
      value={now}
      whenLeft
      onNumber={(minutes) => {
        if (minutes >= 5 && minutes <= 240) change({ minutes }, { judges: !isFromFile });
      }}
    />
  );
});

const Families = memo(function Families({
  families: now,
  isFromFile,
  change,
}: Field<'families'> & Judging) {
  return (
    <MultiSelect
      label="Families"
      className={classes.families}
      disabled={isFromFile}
      data={ladderIds.map((id) => ({ value: id, label: ladderTable[id].label }))}
      value={now}
      onChange={(families) => {
        if (families.length > 0) change({ families: families as LadderId[] }, { judges: true });
      }}
    />
  );
});

const Profile = memo(function Profile({
  profile,
  profiles,
  isFromFile,
  change,
}: Pick<WishesBarProps, 'profile' | 'profiles'> & Judging & Changing) {
  return (
    <NativeSelect
      label="Profile"
      disabled={isFromFile}
      value={profile}
      data={profiles.map(({ key, label }) => ({ value: key, label }))}
      onChange={({ currentTarget: { value } }) => change({ profile: value }, { judges: true })}
    />
  );
});

const Rounds = memo(function Rounds({
  rounds: now,
  isFromFile,
  change,
}: Field<'rounds'> & Judging) {
  return (
    <NumberField
      label="Rounds"
      w={80}
      min={0}
      max={6}
      allowDecimal={false}
      value={now}
      onNumber={(rounds) => {
        if (rounds >= 0 && rounds <= 6) change({ rounds }, { judges: !isFromFile });
      }}
    />
  );
});

const About = memo(function About({
  theme,
  isWithoutRounds,
  change,
}: Changing & { readonly theme: ThemeId | undefined; readonly isWithoutRounds: boolean }) {
  return (
    <NativeSelect
      label="About"
      w={210}
      value={theme ?? ''}
      data={[
        { value: '', label: isWithoutRounds ? 'whatever is weak' : 'the families' },
        ...themeIds.map((value) => ({ value, label: themeTable[value].label })),
      ]}
      onChange={({ currentTarget: { value } }) =>
        change({ theme: value === '' ? undefined : (value as ThemeId) })
      }
    />
  );
});

const Spare = memo(function Spare({
  spare,
  change,
}: Changing & { readonly spare: SpareChoice | undefined }) {
  return (
    <NativeSelect
      label="Spare minutes"
      w={138}
      value={spare ?? 'drills'}
      data={spareChoices.map((value) => ({ value, label: spareWords[value] }))}
      onChange={({ currentTarget: { value } }) => change({ spare: value as SpareChoice })}
    />
  );
});

const Helpers = memo(function Helpers({ helpers: now, change }: Field<'helpers'>) {
  return (
    <NumberField
      label="Helpers"
      w={86}
      min={0}
      max={6}
      allowDecimal={false}
      value={now}
      onNumber={(helpers) => {
        if (helpers >= 0 && helpers <= 6) change({ helpers });
      }}
    />
  );
});
