'use client';

import {
  Button,
  Checkbox,
  MultiSelect,
  NativeSelect,
  NumberInput,
  Popover,
  ScrollArea,
} from '@mantine/core';
import { IconUsers } from '@tabler/icons-react';
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

interface WishesBarProps {
  readonly planner: Planner;
  readonly members: readonly ClassMember[];
  readonly profile: string;
  readonly profiles: readonly ProfileChoice[];
  /** A class from a file is composed as it is; people are not judged again. */
  readonly isFromFile: boolean;
}

/** Who comes, how long, which families, which school, how many hands. */
export function WishesBar({ planner, members, profile, profiles, isFromFile }: WishesBarProps) {
  const { wishes, change } = planner;
  const coming = members.filter(({ id }) => !wishes.absent.includes(id)).length;
  const number = (value: string | number) => (typeof value === 'number' ? value : Number(value));
  return (
    <div className={classes.wishes} role="group" aria-label="What is wished">
      <Popover position="bottom-start" withArrow shadow="md">
        <Popover.Target>
          <Button
            variant="default"
            leftSection={<IconUsers size={16} />}
            className={classes.coming}
          >
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
                  checked={!wishes.absent.includes(id)}
                  onChange={({ currentTarget: { checked } }) =>
                    change(
                      {
                        absent: checked
                          ? wishes.absent.filter((one) => one !== id)
                          : [...wishes.absent, id],
                      },
                      { keeps: true },
                    )
                  }
                />
              ))}
            </div>
          </ScrollArea.Autosize>
        </Popover.Dropdown>
      </Popover>
      <NumberInput
        label="Minutes"
        w={92}
        min={5}
        max={240}
        step={5}
        value={wishes.minutes}
        onBlur={({ currentTarget: { value } }) => {
          const minutes = Number(value);
          if (minutes >= 5 && minutes <= 240 && minutes !== wishes.minutes)
            change({ minutes }, { judges: !isFromFile });
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
        }}
      />
      <MultiSelect
        label="Families"
        className={classes.families}
        disabled={isFromFile}
        data={ladderIds.map((id) => ({ value: id, label: ladderTable[id].label }))}
        value={wishes.families}
        onChange={(families) => {
          if (families.length > 0) change({ families: families as LadderId[] }, { judges: true });
        }}
      />
      <NativeSelect
        label="Profile"
        disabled={isFromFile}
        value={profile}
        data={profiles.map(({ key, label }) => ({ value: key, label }))}
        onChange={({ currentTarget: { value } }) => change({ profile: value }, { judges: true })}
      />
      <NumberInput
        label="Rounds"
        w={80}
        min={0}
        max={6}
        value={wishes.rounds}
        onChange={(value) => {
          const rounds = number(value);
          if (rounds >= 0 && rounds <= 6 && rounds !== wishes.rounds)
            change({ rounds }, { judges: !isFromFile });
        }}
      />
      <NativeSelect
        label="About"
        w={150}
        value={wishes.theme ?? ''}
        data={[
          { value: '', label: wishes.rounds === 0 ? 'whatever is weak' : 'the families' },
          ...themeIds.map((value) => ({ value, label: themeTable[value].label })),
        ]}
        onChange={({ currentTarget: { value } }) =>
          change({ theme: value === '' ? undefined : (value as ThemeId) })
        }
      />
      <NativeSelect
        label="Spare minutes"
        w={128}
        value={wishes.spare ?? 'drills'}
        data={spareChoices.map((value) => ({ value, label: spareWords[value] }))}
        onChange={({ currentTarget: { value } }) => change({ spare: value as SpareChoice })}
      />
      <NumberInput
        label="Helpers"
        w={86}
        min={0}
        max={6}
        value={wishes.helpers}
        onChange={(value) => {
          const helpers = number(value);
          if (helpers >= 0 && helpers <= 6 && helpers !== wishes.helpers) change({ helpers });
        }}
      />
    </div>
  );
}
