'use client';

import type { OptionRole } from '@/core/compose/option';
import { ActionIcon, Button, Group, NativeSelect, Switch } from '@mantine/core';
import { IconPin, IconX } from '@tabler/icons-react';
import { Link } from '@/design/Link';
import { useMemo } from 'react';
import { painPlaces, painPlaceTable, type PainPlace } from '@/core/catalog/regions';
import type { WishesFile } from '@/core/files/classFile';
import type { PlanFile } from '@/core/files/planFile';
import { drillsOf } from '@/core/compose/drillsOf';
import { findOption } from '@/core/compose/readBack';
import { saySpan } from '@/core/room/spanId';
import { sayingRefused } from '@/core/compose/sayingRefused';
import { firstUp } from '@/core/units/words';
import { formatStretch } from '@/core/units/along';
import type { LengthUnits } from '@/core/units/length';
import { useFollowingFrom } from '@/design/useFollowing';
import { Curves } from './later';
import type { Planner } from './usePlanner';
import classes from './plan.module.css';
import { figureWords } from '@/features/evening/figureWords';
import { Said } from '@/design/units';
import { comingFor } from '@/features/evening/comingFor';

type Pin = WishesFile['pins'][number];

interface WhyPanelProps {
  readonly wishes: Planner['wishes'];
  readonly prepared: Planner['prepared'];
  readonly change: Planner['change'];
  /** As it is drawn: while the proof goes on, nothing here does. */
  readonly plan: PlanFile;
  readonly person: string;
  readonly name: string;
  readonly round: number;
  readonly units: LengthUnits;
  /** The person's own page; absent for a class from a file. */
  readonly href?: string;
  readonly onClose: () => void;
}

const roleWords: Readonly<Record<OptionRole, string>> = {
  next: 'newly open: the next stage',
  nextWithSupport: 'newly open, with support',
  ahead: 'open as well: a step up from the round before',
  present: 'the present stage',
  aside: 'a side line that is open',
  stepDown: 'a rung on the way, to build or to share the room',
  alternative: 'the same place in the class',
  rest: 'rest',
};

const isOf = (person: string) => (pin: Pin) => 'person' in pin && pin.person === person;

/** Why somebody is where they are, and everything the teacher can do about it. */
export function WhyPanel(props: WhyPanelProps) {
  const { wishes, prepared, change, plan, person, name, round, units, href, onClose } = props;
  const own = prepared.people.find(({ id }) => id === person);
  const now = plan.rounds[round]?.people.find(({ id }) => id === person);
  // The words first, and the curves in the next picture of the screen.
  const asked = useMemo(() => ({ plan, own, name: name.split(' ')[0]! }), [plan, own, name]);
  const traced = useFollowingFrom(asked, null);
  const option = findOption(prepared, person, now?.option ?? null);
  const refused = own === undefined ? null : sayingRefused(own, now ? [now.label] : []);
  // Why care closes something is the person's own page to say.
  const kept = new Set(own?.refused?.map(({ stage }) => stage));
  const shut = own?.shut.filter(({ stage }) => !kept.has(stage)) ?? [];
  const pins = wishes.pins.filter(isOf(person));
  const report = (pin: Pin) =>
    plan.pins.find((one) => JSON.stringify(one.pin) === JSON.stringify(pin));
  const others = (pin: Pin) => wishes.pins.filter((one) => one !== pin);
  const addPin = (pin: Pin) =>
    change(
      { pins: [...wishes.pins.filter((one) => !isSamePlace(one, pin)), pin] },
      { keeps: true },
    );
  const late = wishes.late.find((one) => one.person === person);
  const sore = wishes.sore.find((one) => one.person === person);
  return (
    <section className={classes.why} aria-label={`Why this for ${name}`}>
      <header>
        <h2>{href ? <Link href={href}>{name}</Link> : name}</h2>
        <ActionIcon variant="subtle" size={34} aria-label="Close" onClick={onClose}>
          <IconX size={18} />
        </ActionIcon>
      </header>
      {now && (
        <>
          <p className={classes.whyNow}>
            {now.letter && <span className={classes.letter}>{now.letter}</span>}
            <strong>{now.label}</strong> in round {round + 1}
          </p>
          {option !== undefined && figureWords(option, units) !== '' && (
            <p>{figureWords(option, units)}.</p>
          )}
          <p>
            {now.role === null ? '' : `${roleWords[now.role]}: `}
            <Said>{now.why}</Said>.{now.asksFirst && ' Ask first before hands are laid on.'}
            {now.needsHand && option?.assist ? ` Help: ${option.assist}.` : ''}
            {now.sharesWith !== undefined && ' Takes turns at this station.'}
          </p>
          {now.confirmAtDoor.length > 0 && (
            <p>
              Open if confirmed at the door: {now.confirmAtDoor.join(', ').toLowerCase()}. Otherwise{' '}
              {now.otherwise?.toLowerCase()}; both sets of props are on the lay-out list.
            </p>
          )}
        </>
      )}
      {option?.watch !== undefined && (
        <p>
          <strong>With care:</strong> {option.watch.join('; ')}.
        </p>
      )}
      {refused !== null && <p>{firstUp(refused)}.</p>}
      {shut.length > 0 && (
        <p className={classes.quiet}>
          Closed by the ladder or the room:{' '}
          <Said>{shut.map(({ label, why }) => `${label} (${why})`).join('; ')}</Said>.
        </p>
      )}
      {own && (
        <Group gap="xs" align="flex-end">
          <NativeSelect
            label="Pin to"
            size="xs"
            value=""
            data={[
              { value: '', label: 'choose' },
              ...own.options.map(({ id, label }) => ({ value: id, label })),
            ]}
            onChange={({ currentTarget: { value } }) => {
              if (value !== '')
                addPin({ kind: 'student', person, option: value, round: round + 1 });
            }}
          />
          <NativeSelect
            label="at"
            size="xs"
            value=""
            data={[
              { value: '', label: 'any place' },
              ...prepared.spans.map(({ id, wall, fromM, toM }) => ({
                value: id,
                label: `${wall} wall, ${formatStretch(fromM, toM, units)}`,
              })),
            ]}
            onChange={({ currentTarget: { value } }) => {
              if (value !== '') addPin({ kind: 'station', person, span: value, round: round + 1 });
            }}
          />
          {now?.option && (
            <Button
              size="xs"
              variant="default"
              leftSection={<IconPin size={14} />}
              onClick={() => addPin({ kind: 'student', person, option: now.option! })}
            >
              Pin this, all rounds
            </Button>
          )}
        </Group>
      )}
      {pins.length > 0 && (
        <ul className={classes.pinList}>
          {pins.map((pin) => {
            const told = report(pin);
            return (
              <li key={JSON.stringify(pin)}>
                <IconPin size={14} aria-hidden />
                <span>
                  {pinWords(pin, own?.options ?? [])}
                  {told && !told.isKept && <strong>: not kept, {told.why}</strong>}
                </span>
                <ActionIcon
                  variant="subtle"
                  size={24}
                  aria-label={`Unpin ${pinWords(pin, own?.options ?? [])}`}
                  onClick={() => change({ pins: others(pin) }, { keeps: true })}
                >
                  <IconX size={14} />
                </ActionIcon>
              </li>
            );
          })}
        </ul>
      )}
      <Group gap="xs" align="flex-end">
        <Button
          size="xs"
          variant="default"
          onClick={() => change({ absent: [...wishes.absent, person] }, { keeps: true })}
        >
          Not coming
        </Button>
        <NativeSelect
          label="Comes"
          size="xs"
          value={String(late?.round ?? 0)}
          data={[
            { value: '0', label: 'for the start' },
            ...comingFor(plan).map(({ round: at, words }) => ({ value: String(at), label: words })),
          ]}
          onChange={({ currentTarget: { value } }) => {
            const rest = wishes.late.filter((one) => one.person !== person);
            const at = Number(value);
            change({ late: at > 0 ? [...rest, { person, round: at }] : rest }, { keeps: true });
          }}
        />
        <NativeSelect
          label="Sore today"
          size="xs"
          value={sore?.place ?? ''}
          data={[
            { value: '', label: 'nothing' },
            ...painPlaces.map((place) => ({ value: place, label: painPlaceTable[place].label })),
          ]}
          onChange={({ currentTarget: { value } }) => {
            const rest = wishes.sore.filter((one) => one.person !== person);
            change(
              { sore: value === '' ? rest : [...rest, { person, place: value as PainPlace }] },
              { keeps: true },
            );
          }}
        />
      </Group>
      <Switch
        size="sm"
        label="Feet stay down tonight (nobody asks why)"
        checked={wishes.feetDown.includes(person)}
        onChange={({ currentTarget: { checked } }) => {
          const rest = wishes.feetDown.filter((id) => id !== person);
          change({ feetDown: checked ? [...rest, person] : rest }, { keeps: true });
        }}
      />
      <Switch
        size="sm"
        label="Let tries go on when tired (your word)"
        checked={pins.some(({ kind }) => kind === 'tired')}
        onChange={({ currentTarget: { checked } }) => {
          const rest = wishes.pins.filter(
            (pin) => !(pin.kind === 'tired' && pin.person === person),
          );
          change({ pins: checked ? [...rest, { kind: 'tired', person }] : rest }, { keeps: true });
        }}
      />
      {traced?.own && (
        <Curves
          plan={traced.plan}
          person={traced.own}
          drills={drillsOf(prepared)}
          name={traced.name}
        />
      )}
    </section>
  );
}

/** A newer pin for the same round and kind takes the older one's place. */
function isSamePlace(a: Pin, b: Pin): boolean {
  if (a.kind !== b.kind || !('person' in a) || !('person' in b) || a.person !== b.person)
    return false;
  const roundOf = (pin: Pin) => ('round' in pin ? pin.round : undefined);
  return roundOf(a) === roundOf(b);
}

export function pinWords(
  pin: Pin,
  options: readonly { readonly id: string; readonly label: string }[],
): string {
  const at = 'round' in pin && pin.round !== undefined ? `, round ${pin.round}` : ', all rounds';
  switch (pin.kind) {
    case 'student':
      return `${options.find(({ id }) => id === pin.option)?.label ?? pin.option}${at}`;
    case 'station':
      return `${saySpan(pin.span)}${at}`;
    case 'drill':
      return `${pin.drill} ${pin.use ? 'in' : 'left out'}`;
    case 'tired':
      return 'tries go on when tired';
  }
}
