'use client';

import { Group, NativeSelect } from '@mantine/core';
import { NumberField } from '@/design/NumberField';
import { memo } from 'react';
import { choiceIn, choicesOf, eyeAspectIds, getAspect } from '@/core/catalog/eye';
import { choicesIn, methodIds, methodTable } from '@/core/catalog/methods';
import { settingWords } from '@/core/catalog/profileChanges';
import type { ProfileSettings } from '@/core/catalog/profiles';
import type { ProfileChanges } from '@/core/catalog/school';
import { flatNeckDeg, isFlat } from '@/core/setups/flat';
import { withPart, type ChangeCopy } from './editor';

interface SettingsProps {
  readonly settings: ProfileSettings;
  readonly isShipped: boolean;
  /** What the copy has of its own. */
  readonly changed: ProfileChanges['settings'];
  readonly onChange: ChangeCopy;
}

/** What a school measures in centimetres, and how far a copy may set it. */
const lengthSettings = [
  { id: 'forearmGapM', most: 40, step: 1 },
  { id: 'shoulderLiftM', most: 8, step: 1 },
  { id: 'bolsterLeadM', most: 3, step: 0.5 },
] as const;

/** Distances, ways and what the eye is told to look at. */
export const Settings = memo(function Settings(props: SettingsProps) {
  const { isShipped, changed, onChange } = props;
  const settings = { ...props.settings, ...changed };
  const set = (part: Partial<ProfileSettings>) =>
    onChange((before) => withPart(before, 'settings', { ...before.settings, ...part }));
  return (
    <Group align="flex-end" mt="sm">
      {lengthSettings.map(({ id, most, step }) => (
        <NumberField
          key={id}
          label={settingWords[id]}
          w={210}
          suffix=" cm"
          min={0}
          max={most}
          step={step}
          disabled={isShipped}
          value={Math.round(settings[id] * 1000) / 10}
          onNumber={(value) => set({ [id]: Math.round(value * 10) / 1000 })}
        />
      ))}
      {methodIds.map((id) => (
        <NativeSelect
          key={id}
          label={methodTable[id].label}
          disabled={isShipped}
          data={Object.entries(choicesIn(id)).map(([value, label]) => ({ value, label }))}
          value={settings[id]}
          onChange={(event) => set({ [id]: event.currentTarget.value })}
        />
      ))}
      <NumberField
        label="Neck bend over the platform"
        w={190}
        suffix="°"
        min={30}
        max={flatNeckDeg}
        {...(isFlat(settings) ? { description: 'flat, chin locked: short times' } : {})}
        disabled={isShipped}
        value={settings.neckFlexionDeg}
        onNumber={(neckFlexionDeg) => set({ neckFlexionDeg })}
      />
      {eyeAspectIds.map((id) => (
        <NativeSelect
          key={id}
          label={getAspect(id).label}
          disabled={isShipped}
          data={choicesOf(id).map((value) => ({ value, label: choiceIn(id, value).label }))}
          value={settings[id]}
          onChange={(event) => set({ [id]: event.currentTarget.value })}
        />
      ))}
    </Group>
  );
});
