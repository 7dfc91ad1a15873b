'use client';

import { sayEvening } from '@/design/days';
import { Button, NativeSelect, SegmentedControl, Title } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconArrowBackUp, IconPrinter } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { memo, useCallback, useEffect, useMemo, useState } from 'react';
import type { PlanFile } from '@/core/files/planFile';
import type { Taken } from './change';
import type { ClassView } from '@/server/judging/classViews';
import { LinkButton } from '@/design/LinkButton';
import { showSaved } from '@/design/notices';
import { BindingPanel } from './BindingPanel';
import { ComparePanel } from './ComparePanel';
import { useFollowing } from '@/design/useFollowing';
import { DrillPins } from './DrillPins';
import { FilesMenu } from './FilesMenu';
import type { DrillKey } from '@/core/catalog/drills';
import { drillsOf } from '@/core/compose/drillsOf';
import { Lanes } from './Lanes';
import { PlanChanges, WhyPanel, layBy } from './later';
import { Ledger } from './Ledger';
import { type DrawingContext } from '@/features/evening/marks';
import { nameOf } from '@/features/evening/names';
import { Refused } from '@/features/evening/Refused';
import { PlanStatusLine } from './PlanStatusLine';
import { RoomView } from '@/features/evening/RoomView';
import { StationRow } from '@/features/evening/StationRow';
import { TimeBand, type OrderedDrill } from './TimeBand';
import { usePlanner } from './usePlanner';
import { WishesBar } from './WishesBar';
import classes from './plan.module.css';

interface Source {
  readonly key: string;
  readonly view: ClassView;
  readonly isFromFile: boolean;
  /** A plan file that is only looked at. */
  readonly shown: PlanFile | null;
}

/** The composer: a course's coming class, or one from a file. */
export function PlanScreen({ view }: { readonly view: ClassView }) {
  const [taken, setTaken] = useState<Source | null>(null);
  const key = `${view.course.id}/${view.meeting.date}`;
  const source = taken ?? { key, view, isFromFile: false, shown: null };
  const take = (file: Taken) => {
    if (file.kind === 'plan') {
      showSaved('The plan is on the screen. Nothing was stored.');
      setTaken({ key: `plan ${Date.now()}`, view, isFromFile: true, shown: file.plan });
      return;
    }
    showSaved('The class is on the screen. Nothing was stored.');
    const { prepared, wishes, members } = file;
    setTaken({
      key: `class ${Date.now()}`,
      isFromFile: true,
      shown: null,
      view: { ...view, prepared, members, wishes, kept: null, outdated: [], gained: [] },
    });
  };
  return (
    <PlanBody
      key={source.key}
      source={source}
      onTaken={take}
      onBack={taken === null ? undefined : () => setTaken(null)}
    />
  );
}

interface PlanBodyProps {
  readonly source: Source;
  readonly onTaken: (taken: Taken) => void;
  readonly onBack: (() => void) | undefined;
}

/** While the proof reports how far it is, what it does not change is not drawn again. */
const KeptRoom = memo(RoomView);
const KeptStations = memo(StationRow);
const KeptLanes = memo(Lanes);
const KeptLedger = memo(Ledger);
const KeptBand = memo(TimeBand);
const KeptBinding = memo(BindingPanel);
const KeptRefused = memo(Refused);
const KeptFiles = memo(FilesMenu);
const KeptCompare = memo(ComparePanel);
const KeptWishes = memo(WishesBar);
const KeptWhy = memo(WhyPanel);

/** Two lines of words in three minutes. */
const pxPerMinute = 11.5;

function PlanBody({ source, onTaken, onBack }: PlanBodyProps) {
  const { view, isFromFile, shown } = source;
  const router = useRouter();
  const { members, meeting, settings, school, course } = view;
  const planner = usePlanner({
    courseId: isFromFile ? null : course.id,
    day: meeting.date,
    wishes: view.wishes,
    prepared: view.prepared,
    kept: shown ?? view.kept,
    revision: view.revision,
  });
  const { plan, picture, wishes, prepared, change, undo, canUndo, status } = planner;
  const [asked, setRound] = useState(0);
  const [chosen, setChosen] = useState<string | null>(null);
  const round = Math.min(asked, Math.max(0, (plan?.rounds.length ?? 1) - 1));
  useHotkeys([
    ['mod+Z', undo],
    ['[', () => setRound(Math.max(0, round - 1))],
    [']', () => setRound(Math.min((plan?.rounds.length ?? 1) - 1, round + 1))],
  ]);
  useEffect(layBy, []);
  const { units } = settings;
  const context = useMemo(
    (): DrawingContext => ({ prepared, members, school, units }),
    [prepared, members, school, units],
  );
  // A picture of the screen each: the room, the row of figures, the running order, the lanes.
  const now = useMemo(() => ({ plan: picture, round, context }), [picture, round, context]);
  const row = useFollowing(now);
  const order = useFollowing(row);
  const lanes = useFollowing(order);
  // Why comes first; where they are marked follows.
  const marked = useFollowing(chosen);
  const { order: ownOrder, pins } = wishes;
  const setOrder = useCallback(
    (list: readonly OrderedDrill[]) => change({ order: [...list] }, { keeps: true }),
    [change],
  );
  const leaveOut = useCallback(
    (drill: DrillKey) =>
      change(
        ownOrder !== undefined
          ? { order: ownOrder.filter((one) => one.drill !== drill) }
          : { pins: [...pins, { kind: 'drill', drill, use: false }] },
        { keeps: true },
      ),
    [change, ownOrder, pins],
  );
  const close = useCallback(() => setChosen(null), []);
  const callOf = useCallback((id: string) => nameOf(members, id), [members]);
  const drillPins = wishes.pins.filter((pin) => pin.kind === 'drill');
  const heading = isFromFile ? 'A class from a file' : course.name;
  return (
    <div className={classes.screen}>
      <div className={classes.head}>
        <Title order={1} size="1.7rem">
          {heading}
        </Title>
        <p className={classes.facts}>
          {isFromFile
            ? 'nothing of it is stored'
            : `${sayEvening(meeting.date)}, ${meeting.startsAt} · ${meeting.room}`}
        </p>
        <div className={classes.actions}>
          {!isFromFile && view.courses.length > 1 && (
            <NativeSelect
              aria-label="Course"
              w={220}
              value={String(course.id)}
              data={view.courses.map(({ id, name }) => ({ value: String(id), label: name }))}
              onChange={({ currentTarget: { value } }) => router.push(`/plan?course=${value}`)}
            />
          )}
          {onBack && (
            <Button variant="default" onClick={onBack}>
              Back to the course
            </Button>
          )}
          <Button
            variant="default"
            disabled={!canUndo}
            leftSection={<IconArrowBackUp size={16} />}
            onClick={undo}
          >
            Undo
          </Button>
          <KeptFiles
            courseId={isFromFile ? null : course.id}
            plan={plan}
            members={members}
            people={prepared.people}
            drills={drillsOf(prepared)}
            heading={heading}
            startsAt={meeting.startsAt}
            units={units}
            onTaken={onTaken}
          />
          {!isFromFile && (
            <LinkButton
              href={`/plan/print?course=${course.id}`}
              leftSection={<IconPrinter size={16} />}
            >
              Print
            </LinkButton>
          )}
        </div>
      </div>
      <KeptWishes
        wishes={wishes}
        change={change}
        members={members}
        profile={wishes.profile ?? view.profile}
        profiles={view.profiles}
        isFromFile={isFromFile}
      />
      <PlanStatusLine
        planner={planner}
        outdated={source.shown === null ? view.outdated : []}
        gained={source.shown === null ? view.gained : []}
      />
      <PlanChanges planner={planner} members={members} />
      {view.isRoomGuessed && !isFromFile && (
        <p className={classes.note}>
          This room is a guess of 9 by 6 m. <a href={`/room?course=${course.id}`}>Draw yours</a>,
          and the walls and places are right.
        </p>
      )}
      {plan !== null && picture !== null && (
        <>
          <div className={classes.stage}>
            <div>
              {plan.rounds.length > 0 && (
                <SegmentedControl
                  aria-label="Round"
                  value={String(round)}
                  data={plan.rounds.map(({ round: at }, index) => ({
                    value: String(index),
                    label: `Round ${at}`,
                  }))}
                  onChange={(value) => setRound(Number(value))}
                />
              )}
              <div className={classes.room}>
                <KeptRoom
                  plan={picture}
                  round={round}
                  prepared={prepared}
                  members={members}
                  units={settings.units}
                  widthPx={760}
                  chosen={marked}
                  withDimensions
                  textPx={12}
                />
              </div>
            </div>
            {chosen !== null && prepared.people.some(({ id }) => id === chosen) ? (
              <KeptWhy
                wishes={wishes}
                prepared={prepared}
                change={change}
                plan={picture}
                person={chosen}
                name={nameOf(members, chosen)}
                round={round}
                units={settings.units}
                {...(isFromFile ? {} : { href: `/people/${chosen}` })}
                onClose={close}
              />
            ) : (
              <div>
                <KeptBinding
                  plan={plan}
                  members={members}
                  units={units}
                  isAsking={status === 'asking'}
                />
                <KeptCompare plan={plan} wishes={wishes} prepared={prepared} members={members} />
              </div>
            )}
          </div>
          {row.plan !== null && (
            <KeptStations
              plan={row.plan}
              round={row.round}
              context={row.context}
              chosen={marked}
              onChoose={setChosen}
            />
          )}
          <section className={classes.order} aria-label="Running order and lanes">
            <div className={classes.orderHead}>
              <h2>Running order</h2>
              {wishes.order !== undefined && (
                <Button
                  size="compact-sm"
                  variant="default"
                  onClick={() => change({ order: undefined })}
                >
                  Let the composer order it again
                </Button>
              )}
              <DrillPins
                drills={drillsOf(prepared)}
                pins={drillPins}
                onDrop={(drill) =>
                  change({
                    pins: wishes.pins.filter(
                      (pin) => !(pin.kind === 'drill' && pin.drill === drill),
                    ),
                  })
                }
              />
            </div>
            {order.plan !== null && (
              <div className={classes.score}>
                <KeptBand
                  drills={drillsOf(order.context.prepared)}
                  plan={order.plan}
                  startsAt={meeting.startsAt}
                  pxPerMinute={pxPerMinute}
                  isOwnOrder={wishes.order !== undefined}
                  onOrder={setOrder}
                  onLeaveOut={leaveOut}
                />
                {lanes.plan !== null && (
                  <KeptLanes
                    plan={lanes.plan}
                    prepared={lanes.context.prepared}
                    members={members}
                    pxPerMinute={pxPerMinute}
                    chosen={marked}
                    onChoose={setChosen}
                  />
                )}
              </div>
            )}
            <p className={classes.quiet}>
              ° with help · ? confirm at the door · ! with care, how stands beside the name · ✓ a
              check is taken · – sits it out; what they do instead stands on the printed order and
              on Floor. Press [ and ] to step through the rounds.
            </p>
          </section>
          <KeptRefused
            plan={picture}
            people={prepared.people}
            nameOf={callOf}
            hasPages={!isFromFile}
          />
          <KeptLedger plan={picture} />
        </>
      )}
    </div>
  );
}
