'use client';

import { Button, Menu, Modal } from '@mantine/core';
import {
  IconChevronLeft,
  IconChevronRight,
  IconClock,
  IconDoorEnter,
  IconDots,
  IconHandStop,
  IconWind,
} from '@tabler/icons-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { awayFrom, planOf } from '@/core/running/follow';
import { needsWord } from '@/core/running/replay';
import type { FloorRole } from '@/core/running/roles';
import type { FloorBundle } from '@/server/running/floorBundle';
import { shortNames } from '@/features/evening/marks';
import { ChecksPanel } from './ChecksPanel';
import { DoorPanel } from './DoorPanel';
import type { Other } from './NewAtDoor';
import { HoldPanel, type HoldWish } from './HoldPanel';
import { LoadPanel } from './LoadPanel';
import { Now } from './Now';
import { PacerPanel } from './PacerPanel';
import { PersonSheet } from './PersonSheet';
import { ResetPanel, RoundPanel } from './RoundPanel';
import { StopSheet } from './StopSheet';
import { TopBar } from './TopBar';
import classes from './floor.module.css';
import { keepOffline } from './offline';
import { tidy } from './store';
import { useFloor } from './useFloor';
import { useWakeLock } from './useNow';
import { useReplan } from './useReplan';

interface FloorScreenProps {
  readonly bundle: FloorBundle;
  readonly role: FloorRole;
  /** Who could still be let in; nobody for an assistant. */
  readonly others: readonly Other[];
}

type Over =
  | { readonly kind: 'hold' }
  | { readonly kind: 'pace' }
  | { readonly kind: 'door' }
  | { readonly kind: 'load' };

/** The running class on a tablet: now, next, the clock; everything else within two taps. */
export function FloorScreen({ bundle, role, others }: FloorScreenProps) {
  const isTeacher = role === 'teacher';
  const floor = useFloor(bundle.uid);
  const { state, say } = floor;
  const replan = useReplan(floor, bundle, isTeacher);
  const [over, setOver] = useState<Over | null>(null);
  const [wish, setWish] = useState<HoldWish>({ check: null, people: [] });
  const [shownHold, setShownHold] = useState<string | null>(null);
  const [person, setPerson] = useState<string | null>(null);
  const [stopping, setStopping] = useState<{ readonly person: string | null } | null>(null);
  const [isEnding, setEnding] = useState(false);
  const router = useRouter();
  useWakeLock(state.endedMs === null);
  useEffect(() => {
    void tidy(Date.now()).catch(() => undefined);
  }, []);
  // The page on the device is kept anew with every change to who is in the class.
  useEffect(() => void keepOffline(), [bundle.revision]);
  const isOlder = floor.revision !== null && floor.revision > bundle.revision;
  useEffect(() => {
    if (isOlder) router.refresh();
  }, [isOlder, floor.revision, router]);
  // Put out, or signed out: the page that asks also looks after what never went.
  useEffect(() => {
    if (floor.link === 'out') {
      window.location.replace(window.location.protocol === 'https:' ? '/pair' : '/desk');
    }
  }, [floor.link]);
  const plan = planOf(state, bundle.plan);
  const names = shortNames(bundle.members);
  const away = awayFrom(state, bundle.plan);
  const here = bundle.members.map(({ id }) => id).filter((id) => !away.has(id));
  const index = Math.min(state.segment, plan.timeline.length - 1);
  const item = plan.timeline[index];
  const next = plan.timeline[index + 1];
  const roundAt = (at: number) =>
    plan.timeline.slice(0, at + 1).filter(({ kind }) => kind === 'round').length;
  const round = item?.kind === 'round' ? roundAt(index) : null;
  const running = state.holds.find(({ stopped }) => stopped === null) ?? null;
  const hold = running ?? state.holds.find(({ id }) => id === shownHold) ?? null;
  const isHolding = running !== null || over?.kind === 'hold';
  const go = (to: number, event: { readonly timeStamp: number }) => {
    const roundsDone = plan.timeline.slice(0, to).filter(({ kind }) => kind === 'round').length;
    void say({ kind: 'segment', index: to, roundsDone }, event);
  };
  const openHold = (wanted: HoldWish) => {
    setWish(wanted);
    setShownHold(null);
    setOver({ kind: 'hold' });
  };
  const showHold = (id: string) => {
    setShownHold(id);
    setOver({ kind: 'hold' });
  };
  // Stopped on another page, or by a device whose clocks disagree.
  const unsettled = state.holds.find(
    (one) => one.stopped !== null && one.id !== hold?.id && needsWord(one),
  );
  const placedIn = round ?? Math.min(plan.rounds.length, state.roundsDone + 1);
  const placed = plan.rounds[placedIn - 1]?.people.find(({ id }) => id === person);
  return (
    <div className={classes.screen}>
      <TopBar floor={floor} bundle={bundle} names={names} replan={replan} />
      {state.endedMs !== null && (
        <div className={classes.ended} role="status">
          <p>
            The class has ended.{' '}
            {state.afterEnd > 0 && `${state.afterEnd} taps came after the end; they are kept.`}
          </p>
          {isTeacher && (
            <Button component={Link} href={`/review/${bundle.uid}`} size="lg">
              Review the evening
            </Button>
          )}
        </div>
      )}
      {isTeacher && unsettled !== undefined && running === null && state.endedMs === null && (
        <div className={classes.ended} role="status">
          <p>The clocks disagree about a hold; it is not in the record yet.</p>
          <Button size="lg" variant="default" onClick={() => showHold(unsettled.id)}>
            Look at it
          </Button>
        </div>
      )}
      <div className={classes.body}>
        {isHolding ? (
          <HoldPanel
            key={hold?.id ?? JSON.stringify(wish)}
            floor={floor}
            bundle={bundle}
            names={names}
            here={here}
            wish={wish}
            hold={hold}
            onShow={showHold}
            onAgain={openHold}
            onClose={() => {
              setShownHold(null);
              setOver(null);
            }}
          />
        ) : (
          <>
            <Now floor={floor} item={item} bundle={bundle} />
            {over?.kind === 'pace' && <PacerPanel breathSeconds={bundle.breathSeconds} />}
            {over?.kind === 'load' && isTeacher && (
              <LoadPanel floor={floor} bundle={bundle} names={names} here={here} />
            )}
            {(over?.kind === 'door' || item?.kind === 'arrive') && isTeacher && (
              <DoorPanel
                floor={floor}
                bundle={bundle}
                names={names}
                others={others}
                onStop={(who) => setStopping({ person: who })}
              />
            )}
            {over === null && item?.kind === 'checks' && (
              <ChecksPanel
                floor={floor}
                bundle={bundle}
                names={names}
                here={here}
                onHold={openHold}
              />
            )}
            {over === null && round !== null && (
              <RoundPanel
                floor={floor}
                bundle={bundle}
                names={names}
                round={round - 1}
                onPerson={setPerson}
              />
            )}
            {over === null && (item?.kind === 'reset' || item?.kind === 'settle') && (
              <ResetPanel
                floor={floor}
                bundle={bundle}
                names={names}
                round={roundAt(index)}
                onPerson={setPerson}
              />
            )}
          </>
        )}
      </div>
      <nav className={classes.bottom} aria-label="The class">
        {isTeacher && (
          <Button
            size="lg"
            variant="default"
            aria-label="Back one line"
            disabled={index === 0 || running !== null}
            onClick={(event) => go(index - 1, event)}
          >
            <IconChevronLeft size={24} />
          </Button>
        )}
        <p className={classes.next}>
          {next === undefined ? 'Last line' : `Next: ${next.label}, ${next.minutes} min`}
        </p>
        {isTeacher && (
          <Button
            size="lg"
            rightSection={<IconChevronRight size={24} />}
            disabled={next === undefined || running !== null}
            onClick={(event) => go(index + 1, event)}
          >
            Next
          </Button>
        )}
        <Button
          size="lg"
          variant="default"
          leftSection={<IconClock size={22} />}
          disabled={running !== null}
          onClick={() => openHold({ check: usualHold(bundle), people: here })}
        >
          Hold
        </Button>
        <Button
          size="lg"
          variant={over?.kind === 'pace' ? 'light' : 'default'}
          leftSection={<IconWind size={22} />}
          disabled={isHolding}
          onClick={() => setOver(over?.kind === 'pace' ? null : { kind: 'pace' })}
        >
          Breath
        </Button>
        {isTeacher && (
          <Button
            size="lg"
            variant={over?.kind === 'door' ? 'light' : 'default'}
            leftSection={<IconDoorEnter size={22} />}
            disabled={isHolding}
            onClick={() => setOver(over?.kind === 'door' ? null : { kind: 'door' })}
          >
            Who
          </Button>
        )}
        {isTeacher && (
          <Menu position="top-end">
            <Menu.Target>
              <Button size="lg" variant="default" aria-label="More">
                <IconDots size={24} />
              </Button>
            </Menu.Target>
            <Menu.Dropdown>
              <Menu.Item onClick={() => setOver({ kind: 'load' })}>Head load on a scale</Menu.Item>
              <Menu.Item component={Link} href="/floor">
                Leave the screen; the class goes on
              </Menu.Item>
              <Menu.Item disabled={state.endedMs !== null} onClick={() => setEnding(true)}>
                End the class
              </Menu.Item>
            </Menu.Dropdown>
          </Menu>
        )}
        <button
          type="button"
          className={classes.stop}
          onClick={() => setStopping({ person: null })}
        >
          <IconHandStop size={26} /> Stop
        </button>
      </nav>
      {person !== null && placed !== undefined && (
        <PersonSheet
          key={person}
          floor={floor}
          bundle={bundle}
          name={names.get(person) ?? person}
          placed={placed}
          round={round}
          isTeacher={isTeacher}
          onStop={() => {
            setStopping({ person });
            setPerson(null);
          }}
          onClock={() => {
            openHold({ check: null, people: [person] });
            setPerson(null);
          }}
          onClose={() => setPerson(null)}
        />
      )}
      {stopping !== null && (
        <StopSheet
          floor={floor}
          names={names}
          here={here}
          person={stopping.person}
          onClose={() => setStopping(null)}
        />
      )}
      <Modal opened={isEnding} onClose={() => setEnding(false)} title="End the class?" centered>
        <p>Taps that come later are kept all the same. You can take the end back.</p>
        <Button
          size="lg"
          onClick={(event) => {
            void say({ kind: 'end' }, event);
            setEnding(false);
          }}
        >
          End it
        </Button>
      </Modal>
    </div>
  );
}

function usualHold({ plan, checks }: FloorBundle): string | null {
  const planned = plan.checks.find(
    ({ check }) => checks.find((one) => one.check === check)?.kind === 'hold',
  );
  return (
    planned?.check ??
    checks.find(({ isUsualHold }) => isUsualHold)?.check ??
    checks.find(({ timedTogether }) => timedTogether)?.check ??
    null
  );
}
