import { counted } from '@/core/units/words';
import { sayEvening } from '@/design/days';
import { Title } from '@mantine/core';
import { IconClipboardList, IconPlayerPlay, IconPrinter } from '@tabler/icons-react';
import { findStandingPlan, readClass } from '@/server/judging/classViews';
import { readCourse } from '@/server/judging/views';
import { drillsOf } from '@/core/compose/drillsOf';
import { listDrawn } from '@/core/compose/moveOfLine';
import { startDemoAction } from '@/features/beginning/actions';
import { LinkButton } from '@/design/LinkButton';
import { CautionLine, Page } from '@/design/Page';
import { Gained } from '@/features/evening/Gained';
import { RoomView } from '@/features/evening/RoomView';
import { Refused } from '@/features/evening/Refused';
import { StationRow } from '@/features/evening/StationRow';
import { EveningStrips } from './EveningStrips';
import { KeepPlan } from '@/features/plan/KeepPlan';
import { toKeep } from '@/features/plan/toKeep';
import { TonightNames } from './TonightNames';
import { readFromHome } from './fromHome';
import { TonightNotes } from './TonightNotes';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import classes from './tonight.module.css';

export function TonightPage() {
  const view = readCourse();
  const coming = view === null ? null : readClass(view.course.id);
  if (view === null || coming === null) return <EmptyCourse startDemo={startDemoAction} />;
  const { course, meeting, people, settings } = view;
  const plan = findStandingPlan(coming);
  const { prepared, members, school } = coming;
  const isKept = plan === coming.kept;
  return (
    <Page>
      <div className={classes.head}>
        <Title order={1} size="1.9rem">
          {course.name}
        </Title>
        <div className={classes.actions}>
          <LinkButton href="/floor" variant="default" leftSection={<IconPlayerPlay size={18} />}>
            Floor
          </LinkButton>
          <LinkButton
            href={`/plan?course=${course.id}`}
            leftSection={<IconClipboardList size={18} />}
          >
            Plan
          </LinkButton>
          <LinkButton
            href={`/plan/print?course=${course.id}`}
            variant="default"
            leftSection={<IconPrinter size={18} />}
          >
            Print
          </LinkButton>
        </div>
        <p className={classes.facts}>
          {sayEvening(meeting.date)}, {meeting.startsAt} · week {meeting.week} · {meeting.minutes}{' '}
          min · {meeting.room} · {counted(people.length, 'person', 'people')} ·{' '}
          {view.school.profile.label}
        </p>
      </div>
      {!isKept && prepared.people.length > 0 && <KeepPlan {...toKeep(coming)} />}
      {isKept && <Gained courseId={course.id} gained={coming.gained} />}
      {plan.rounds.length > 0 && (
        <div className={classes.opening}>
          <StationRow
            plan={plan}
            round={0}
            context={{ prepared, members, school, units: settings.units }}
            pxPerM={50}
            hrefOf={(id) => `/people/${id}`}
            wraps
          />
          <div className={classes.above}>
            <RoomView
              plan={plan}
              round={0}
              prepared={prepared}
              members={members}
              units={settings.units}
              widthPx={430}
              textPx={13}
              withNames={false}
            />
          </div>
        </div>
      )}
      {plan.rounds.length === 0 && plan.timeline.length > 0 && (
        <EveningStrips
          lines={listDrawn(plan, drillsOf(prepared)).filter(({ kind }) => kind !== 'pause')}
          startsAt={meeting.startsAt}
        />
      )}
      {isKept && prepared.people.length > 0 && (
        <TonightNames
          {...toKeep(coming)}
          plan={plan}
          members={members.map(({ id, name }) => ({ id, name }))}
        />
      )}
      {plan.rounds.length === 0 && plan.notes.map((note) => <p key={note}>{note}</p>)}
      <TonightNotes
        view={view}
        plan={plan}
        members={members}
        prepared={prepared.people}
        fromHome={readFromHome(people.map(({ person }) => person.id))}
      />
      <Refused
        plan={plan}
        people={prepared.people}
        nameOf={(id) => members.find((one) => one.id === id)?.name ?? id}
      />
      <CautionLine />
    </Page>
  );
}
