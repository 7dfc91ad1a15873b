'use client';

import { answered } from '@/design/answered';
import type { CheckKey } from '@/core/catalog/checks';
import { sayProblems } from '@/server/result';
import {
  Accordion,
  Button,
  Group,
  NativeSelect,
  NumberInput,
  Switch,
  TextInput,
} from '@mantine/core';
import { useDebouncedValue, useHotkeys } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState, useTransition } from 'react';
import type { Demand } from '@/core/catalog/demand';
import { settingWords, type ChangeLine } from '@/core/catalog/profileChanges';
import { choiceIn, choicesOf, eyeAspectIds, getAspect } from '@/core/catalog/eye';
import type { ProfileSettings } from '@/core/catalog/profiles';
import { readingFrom, readingIn } from '@/core/units/reading';
import { flatNeckDeg, isFlat } from '@/core/setups/flat';
import { choicesIn, methodIds, methodTable } from '@/core/catalog/methods';
import {
  shippedCatalog,
  withEntries,
  type Entries,
  type ProfileChanges,
} from '@/core/catalog/school';
import type { LadderId, BranchKey, StageKey } from '@/core/catalog/stage';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import type { ProfilePreview } from './change';
import {
  bringProfileBackAction,
  changeProfileAction,
  previewProfileAction,
  retireProfileAction,
} from './actions';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { showProblem, showProblems, showSaved, showUndo } from '@/design/notices';
import { Said, useUnits } from '@/design/units';
import { GateEditor } from './GateEditor';
import classes from './profiles.module.css';

export type EditorChecks = readonly {
  readonly key: CheckKey;
  readonly label: string;
  readonly bar: number;
  readonly origin: number;
  /** A length is in centimetres here. */
  readonly unit: string;
  readonly isLength: boolean;
  readonly byBase: boolean;
}[];

export interface EditorStage {
  readonly key: StageKey;
  readonly label: string;
  readonly gate: readonly Demand[];
  readonly originGate: readonly Demand[];
  readonly cue: string;
  readonly branch: string | null;
}

export type EditorStages = readonly {
  readonly family: LadderId;
  readonly label: string;
  readonly stages: readonly EditorStage[];
}[];

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
  const router = useRouter();
  const catalog = useMemo(() => withEntries(shippedCatalog, props.own), [props.own]);
  const [label, setLabel] = useState(props.label);
  const units = useUnits();
  const [changes, setChanges] = useState<ProfileChanges>(props.changes);
  const [preview, setPreview] = useState<ProfilePreview | null>(null);
  const [isSaving, startSaving] = useTransition();
  const [settled] = useDebouncedValue(changes, 250);
  const isChanged =
    JSON.stringify(changes) !== JSON.stringify(props.changes) || label !== props.label;

  useEffect(() => {
    if (isShipped || settled === props.changes) return;
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
  }, [settled, isShipped, profileKey, props.changes]);

  const save = () =>
    startSaving(async () => {
      const outcome = await answered(
        changeProfileAction(profileKey, { label, changes, seen: version }),
      );
      if (outcome.ok) showSaved(`Kept as version ${outcome.value}.`);
      else showProblem(outcome.problems.form ?? sayProblems(outcome.problems));
    });
  // Whoever works by keys keeps from wherever they are.
  const mayKeep = !isShipped && isChanged && !isSaving && (preview?.problems.length ?? 0) === 0;
  useHotkeys([['mod+Enter', () => mayKeep && save()]], []);
  const bars = useRef<HTMLUListElement>(null);
  useEffect(() => {
    const fields = bars.current?.querySelectorAll<HTMLInputElement>('input[data-check]') ?? [];
    const field = [...fields].find((one) => one.dataset.check === props.aim);
    field?.focus();
    field?.select();
  }, [props.aim]);
  const setBar = (check: CheckKey, origin: number, bar: number) => {
    const bars = { ...changes.bars };
    // A bar like the origin's is no change.
    if (!(bar > 0) || bar === origin) delete bars[check];
    else bars[check] = bar;
    setChanges(withPart('bars', bars));
  };
  function withPart<Key extends keyof ProfileChanges>(key: Key, part: ProfileChanges[Key]) {
    const next = { ...changes, [key]: part };
    if (typeof part === 'object' && Object.keys(part).length === 0 && key !== 'closedBranches') {
      delete next[key];
    }
    return next;
  }
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
        <ul className={classes.bars} ref={bars}>
          {checks.map(({ key, label: name, origin, unit, isLength }) => {
            const value = changes.bars?.[key] ?? origin;
            const typedIn = isLength ? units : 'cm';
            const shownUnit = isLength ? units : unit;
            return (
              <li key={key} data-changed={value !== origin || undefined}>
                <NumberInput
                  label={name}
                  data-check={key}
                  size="sm"
                  min={0}
                  allowNegative={false}
                  disabled={isShipped}
                  suffix={unit === '' ? '' : ` ${shownUnit}`}
                  value={readingIn(value, typedIn)}
                  description={value === origin ? undefined : `was ${readingIn(origin, typedIn)}`}
                  onChange={(next) => setBar(key, origin, readingFrom(Number(next), typedIn))}
                />
              </li>
            );
          })}
        </ul>
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
                setChanges(withPart('closedBranches', next));
              }}
            />
          ))}
        </Group>
        <Settings
          settings={{ ...settings, ...changes.settings }}
          isShipped={isShipped}
          onChange={(part) => setChanges(withPart('settings', { ...changes.settings, ...part }))}
        />
        <h2>Gates and cues</h2>
        <Accordion variant="default" chevronPosition="left">
          {stages.map(({ family, label: name, stages: list }) => (
            <Accordion.Item key={family} value={family}>
              <Accordion.Control>{name}</Accordion.Control>
              <Accordion.Panel>
                {list.map((stage) => (
                  <GateEditor
                    key={stage.key}
                    stage={stage}
                    isShipped={isShipped}
                    gate={changes.gates?.[stage.key] ?? null}
                    cue={changes.cues?.[stage.key] ?? stage.cue}
                    isClosed={(changes.closedStages ?? []).includes(stage.key)}
                    checks={checks}
                    catalog={catalog}
                    onGate={(gate) => {
                      const gates = { ...changes.gates };
                      if (gate === null) delete gates[stage.key];
                      else gates[stage.key] = gate;
                      setChanges(withPart('gates', gates));
                    }}
                    onCue={(cue) =>
                      setChanges(withPart('cues', { ...changes.cues, [stage.key]: cue }))
                    }
                    onClosed={(isClosed) => {
                      const rest = (changes.closedStages ?? []).filter((one) => one !== stage.key);
                      setChanges(withPart('closedStages', isClosed ? [...rest, stage.key] : rest));
                    }}
                  />
                ))}
              </Accordion.Panel>
            </Accordion.Item>
          ))}
        </Accordion>
      </fieldset>
      {!isShipped && (
        <aside className={classes.effect}>
          <h2>What it would change</h2>
          <Effect preview={isChanged ? preview : null} />
          <Group>
            <Button disabled={!mayKeep && !isSaving} loading={isSaving} onClick={save}>
              Keep as version {version + 1}
            </Button>
            <Button
              variant="subtle"
              disabled={!isChanged}
              onClick={() => {
                setChanges(props.changes);
                setLabel(props.label);
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

function Effect({ preview }: { readonly preview: ProfilePreview | null }) {
  if (preview === null)
    return <p>Change something, and the verdicts that would turn stand here.</p>;
  if (preview.problems.length > 0) {
    return (
      <ul className={classes.problems} role="alert">
        {preview.problems.map((problem) => (
          <li key={problem}>{problem}</li>
        ))}
      </ul>
    );
  }
  if (preview.changes.length === 0) return <p role="status">Nobody’s next rung would change.</p>;
  return (
    <ul className={classes.lines} role="status">
      {preview.changes.map(({ name, stage, before, after }) => (
        <li key={`${name}${stage}`}>
          <strong>
            {name}, {stage.toLowerCase()}
          </strong>
          <span className={classes.turn}>
            <VerdictMark kind={before as VerdictKind} /> {verdictWords[before as VerdictKind]} →{' '}
            <VerdictMark kind={after as VerdictKind} /> {verdictWords[after as VerdictKind]}
          </span>
        </li>
      ))}
    </ul>
  );
}

interface SettingsProps {
  readonly settings: ProfileSettings;
  readonly isShipped: boolean;
  readonly onChange: (part: Partial<ProfileSettings>) => void;
}

/** What a school measures in centimetres, and how far a copy may set it. */
const lengthSettings = [
  { id: 'forearmGapM', most: 40, step: 1 },
  { id: 'shoulderLiftM', most: 8, step: 1 },
  { id: 'bolsterLeadM', most: 3, step: 0.5 },
] as const;

function Settings({ settings, isShipped, onChange }: SettingsProps) {
  return (
    <Group align="flex-end" mt="sm">
      {lengthSettings.map(({ id, most, step }) => (
        <NumberInput
          key={id}
          label={settingWords[id]}
          w={210}
          suffix=" cm"
          min={0}
          max={most}
          step={step}
          disabled={isShipped}
          value={Math.round(settings[id] * 1000) / 10}
          onChange={(value) => onChange({ [id]: Math.round(Number(value) * 10) / 1000 })}
        />
      ))}
      {methodIds.map((id) => (
        <NativeSelect
          key={id}
          label={methodTable[id].label}
          disabled={isShipped}
          data={Object.entries(choicesIn(id)).map(([value, label]) => ({ value, label }))}
          value={settings[id]}
          onChange={(event) => onChange({ [id]: event.currentTarget.value })}
        />
      ))}
      <NumberInput
        label="Neck bend over the platform"
        w={190}
        suffix="°"
        min={30}
        max={flatNeckDeg}
        {...(isFlat(settings) ? { description: 'flat, chin locked: short times' } : {})}
        disabled={isShipped}
        value={settings.neckFlexionDeg}
        onChange={(value) => onChange({ neckFlexionDeg: Number(value) })}
      />
      {eyeAspectIds.map((id) => (
        <NativeSelect
          key={id}
          label={getAspect(id).label}
          disabled={isShipped}
          data={choicesOf(id).map((value) => ({ value, label: choiceIn(id, value).label }))}
          value={settings[id]}
          onChange={(event) => onChange({ [id]: event.currentTarget.value })}
        />
      ))}
    </Group>
  );
}
