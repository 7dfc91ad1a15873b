'use client';

import { answered } from '@/design/answered';
import { sayProblems } from '@/server/result';
import { Button, Group, Switch, TextInput } from '@mantine/core';
import { useDebouncedValue, useHotkeys } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState, useTransition } from 'react';
import type { ChangeLine } from '@/core/catalog/profileChanges';
import type { ProfileSettings } from '@/core/catalog/profiles';
import {
  shippedCatalog,
  withEntries,
  type Entries,
  type ProfileChanges,
} from '@/core/catalog/school';
import type { BranchKey } from '@/core/catalog/stage';
import type { ProfilePreview } from './change';
import {
  bringProfileBackAction,
  changeProfileAction,
  previewProfileAction,
  retireProfileAction,
} from './actions';
import { showProblem, showProblems, showSaved, showUndo } from '@/design/notices';
import { Said } from '@/design/units';
import { isSameCopy, withPart, type EditorChecks, type EditorStages } from './editor';
import { ProfileBars } from './ProfileBars';
import { Effect } from './ProfileEffect';
import { ProfileGates } from './ProfileGates';
import { Settings } from './ProfileSettings';
import classes from './profiles.module.css';

const none: NonNullable<ProfileChanges['bars']> = {};

interface ProfileEditorProps {
  readonly profileKey: string;
  readonly label: string;
  readonly version: number;
  readonly isShipped: boolean;
  readonly changes: ProfileChanges;
  readonly lines: readonly ChangeLine[];
  readonly checks: EditorChecks;
  readonly stages: EditorStages;
  readonly settings: ProfileSettings;
  /** The teacher's own checks and stages, for their names in gates. */
  readonly own: Entries;
  readonly branches: readonly { readonly key: BranchKey; readonly label: string }[];
  readonly closedBranches: readonly BranchKey[];
  /** The check whose bar was looked for: its field takes the focus. */
  readonly aim?: string;
}

/** A copy's bars, gates, branches, distances and cues; what they would change is shown at once. */
export function ProfileEditor(props: ProfileEditorProps) {
  const { profileKey, version, isShipped, lines, checks, stages, settings, branches } = props;
  const stored = props.changes;
  const router = useRouter();
  const catalog = useMemo(() => withEntries(shippedCatalog, props.own), [props.own]);
  const [label, setLabel] = useState(props.label);
  const [changes, setChanges] = useState<ProfileChanges>(props.changes);
  // The version that what is typed stands on: another window's is never written over unseen.
  const [base, setBase] = useState(version);
  const [shown, setShown] = useState({ version, label: props.label, changes: props.changes });
  if (shown.version !== version) {
    setShown({ version, label: props.label, changes: props.changes });
    // What was typed while a version was being kept, or beside another window, stays as it is.
    if (isSameCopy({ label, changes }, shown)) {
      setLabel(props.label);
      setChanges(props.changes);
      setBase(version);
    }
  }
  const [preview, setPreview] = useState<ProfilePreview | null>(null);
  const [isSaving, startSaving] = useTransition();
  const [settled] = useDebouncedValue(changes, 250);
  const isChanged = !isSameCopy({ label, changes }, props);

  useEffect(() => {
    if (isShipped || isSameCopy({ label: '', changes: settled }, { label: '', changes: stored })) {
      return;
    }
    let isCurrent = true;
    const unknown = 'What this would turn is not known: no answer came.';
    void answered(previewProfileAction(profileKey, settled), unknown).then((outcome) => {
      if (!isCurrent) return;
      setPreview(
        outcome.ok ? outcome.value : { problems: Object.values(outcome.problems), changes: [] },
      );
    });
    return () => {
      isCurrent = false;
    };
  }, [settled, isShipped, profileKey, stored]);

  const save = () =>
    startSaving(async () => {
      const outcome = await answered(
        changeProfileAction(profileKey, { label, changes, seen: base }),
      );
      if (outcome.ok) {
        setBase(outcome.value);
        showSaved(`Kept as version ${outcome.value}.`);
      } else showProblem(outcome.problems.form ?? sayProblems(outcome.problems));
    });
  // Whoever works by keys keeps from wherever they are.
  // What is wrong with it is said by the one who keeps it: a look ahead may not have come, or be of before.
  const mayKeep = !isShipped && isChanged && !isSaving;
  useHotkeys([['mod+Enter', () => mayKeep && save()]], []);
  const closed = changes.closedBranches ?? props.closedBranches;

  return (
    <div className={classes.editor}>
      <fieldset disabled={isShipped} className={classes.fields}>
        {!isShipped && (
          <TextInput
            label="Name"
            w={300}
            maxLength={60}
            value={label}
            onChange={(event) => setLabel(event.currentTarget.value)}
          />
        )}
        <h2>Bars</h2>
        <ProfileBars
          checks={checks}
          bars={changes.bars ?? none}
          isShipped={isShipped}
          aim={props.aim}
          onChange={setChanges}
        />
        <h2>Branches and distances</h2>
        <Group align="flex-end">
          {branches.map(({ key, label: name }) => (
            <Switch
              key={key}
              label={name}
              disabled={isShipped}
              checked={!closed.includes(key)}
              onChange={(event) => {
                const next = event.currentTarget.checked
                  ? closed.filter((one) => one !== key)
                  : [...closed, key];
                setChanges((before) => withPart(before, 'closedBranches', next));
              }}
            />
          ))}
        </Group>
        <Settings
          settings={settings}
          changed={changes.settings}
          isShipped={isShipped}
          onChange={setChanges}
        />
        <h2>Gates and cues</h2>
        <ProfileGates
          stages={stages}
          checks={checks}
          catalog={catalog}
          gates={changes.gates}
          cues={changes.cues}
          closedStages={changes.closedStages}
          isShipped={isShipped}
          onChange={setChanges}
        />
      </fieldset>
      {!isShipped && (
        <aside className={classes.effect}>
          <h2>What it would change</h2>
          <Effect preview={isChanged ? preview : null} />
          <Group>
            <Button disabled={!mayKeep && !isSaving} loading={isSaving} onClick={save}>
              Keep as version {base + 1}
            </Button>
            <Button
              variant="subtle"
              disabled={!isChanged}
              onClick={() => {
                setChanges(props.changes);
                setLabel(props.label);
                setBase(version);
              }}
            >
              Undo
            </Button>
          </Group>
          <h2>Against its origin</h2>
          {lines.length === 0 ? (
            <p>Nothing changed yet.</p>
          ) : (
            <ul className={classes.lines}>
              {lines.map(({ what, before, after }) => (
                <li key={what}>
                  <strong>{what}</strong>
                  <span>
                    <Said>{`${before} → ${after}`}</Said>
                  </span>
                </li>
              ))}
            </ul>
          )}
          <Button
            variant="subtle"
            size="compact-md"
            onClick={() =>
              startSaving(async () => {
                const outcome = await answered(retireProfileAction(profileKey));
                if (!outcome.ok) return showProblems(outcome.problems);
                showUndo('The copy is put away.', () => bringProfileBackAction(profileKey));
                router.push('/profiles');
              })
            }
          >
            Put this copy away
          </Button>
        </aside>
      )}
    </div>
  );
}
