import { tableOf } from '@/core/units/keyed';
import { Title } from '@mantine/core';
import { IconRuler2 } from '@tabler/icons-react';
import { Link } from '@/design/Link';
import { notFound } from 'next/navigation';
import { forearmHandsIds, getForearmHands, type ForearmHandsId } from '@/core/body/hands';
import { lengthIds, type LengthId } from '@/core/body/lengths';
import { takenIds } from '@/core/body/taken';
import { forearmKickSetup } from '@/core/setups/forearmKick';
import { getSetup } from '@/core/setups/registry';
import { getStageIn } from '@/core/catalog/school';
import { firstUp } from '@/core/units/words';
import { getAlternative } from '@/core/catalog/alternatives';
import { isSoreBefore } from '@/core/ladder/case';
import { isScreeningDue } from '@/core/caution/care';
import { ladderIds, ladderTable, type LadderId, type StageKey } from '@/core/catalog/stage';
import { formatHeight, formatLength } from '@/core/units/length';
import { toGateRow } from '@/server/judging/gateRows';
import { readPersonId } from '@/server/personId';
import { readPersonPage, type PersonPageView } from './read';
import { sayShortDay } from '@/design/days';
import { LinkButton } from '@/design/LinkButton';
import { CautionLine, Page } from '@/design/Page';
import { Said } from '@/design/units';
import { readFloorDays } from '@/features/record/read';
import { TriesShown } from '@/features/record/TriesShown';
import { StageDrawing } from '@/features/card/StageDrawing';
import {
  BodyForm,
  CareForm,
  CheckCharts,
  DecisionList,
  FloorDays,
  FromHome,
  MeetingList,
  WordsPanel,
} from './later';
import { GatePanel } from './GatePanel';
import { LadderPanel, type LadderChoices } from './LadderPanel';
import { PainGone } from './PainGone';
import { PersonMenu } from './PersonMenu';
import { PrivatePart } from './PrivatePart';
import { RecordList } from './RecordList';
import { SetupList } from './SetupList';
import { VerdictPanel } from './VerdictPanel';
import classes from './person.module.css';

interface PersonPageProps {
  readonly params: Promise<{ readonly id: string }>;
  /** What is to be recorded at once, from the palette. */
  readonly searchParams: Promise<{ readonly record?: string }>;
}

/** How many of the most telling lengths stand on the form before the rest unfolds. */
const tellingCount = 4;

export async function PersonPage({ params, searchParams }: PersonPageProps) {
  const { record: asked } = await searchParams;
  const id = readPersonId((await params).id);
  const view = id === null ? null : readPersonPage(id);
  if (view === null) notFound();
  const { person, verdict, settings, course, records, today, school } = view;
  const { units, breathSeconds } = settings;
  const stage = getStageIn(school, view.stage).spec;
  const isSore = isSoreBefore(view.opened, today);
  return (
    <Page>
      <div className={classes.head}>
        <div>
          <Title order={1} size="1.8rem">
            {person.name}
          </Title>
          <p className={classes.sub}>
            {course?.name ?? 'in no course'} · {school.profile.label}
            {person.archivedOn === null ? '' : ' · put away'}
          </p>
        </div>
        <PersonMenu
          personId={person.id}
          name={person.name}
          isArchived={person.archivedOn !== null}
          others={view.others}
        />
        <LinkButton href={`/people/${person.id}/home`} variant="default" size="md">
          Home practice
        </LinkButton>
        <LinkButton href={`/bench?person=${person.id}`} variant="default" size="md">
          On the bench
        </LinkButton>
        <LinkButton href={`/plumb?person=${person.id}`} variant="default" size="md">
          From a picture
        </LinkButton>
        <LinkButton
          href={`/people/${person.id}/card`}
          leftSection={<IconRuler2 size={18} />}
          size="md"
        >
          Set-up card
        </LinkButton>
      </div>
      <div className={classes.columns}>
        <div>
          <VerdictPanel
            personId={person.id}
            verdict={verdict}
            stageLabel={stage.label}
            profileLabel={school.profile.label}
            hasOldPain={isSore && verdict.cause === 'pain'}
          />
          <section className={classes.section}>
            <h2>What opens it</h2>
            <GatePanel
              personId={person.id}
              rows={verdict.items.map((item) => toGateRow(item, school))}
              today={today}
              breathSeconds={breathSeconds}
            />
          </section>
          {view.worth.length > 0 && (
            <section className={classes.section}>
              <h2>Worth a look tonight</h2>
              <ul className={classes.reasons}>
                {view.worth.map(({ check, base, why }) => (
                  <li key={`${check}${base ?? ''}`}>
                    <Said>{why}</Said>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
        <div className={classes.side}>
          <StageDrawing judgement={view} units={units} pxPerM={150} />
          <PrivatePart>
            {view.closed.length > 0 && (
              <div id="closed">
                <h2>Closed today, and why</h2>
                <ul className={classes.reasons}>
                  {view.closed.map(({ why, what }) => (
                    <li key={why}>
                      <strong>{firstUp(why)}</strong>: {what.join(', ')}.
                    </li>
                  ))}
                </ul>
                {isSore && verdict.cause !== 'pain' && <PainGone personId={person.id} />}
              </div>
            )}
            <div>
              <h2>Consent and cautions</h2>
              <CareForm
                personId={person.id}
                initial={{
                  consent: person.consent,
                  pictureConsent: person.pictureConsent,
                  cautions: [...person.cautions],
                  otherWords: [...person.otherWords],
                }}
              />
              <WordsPanel
                personId={person.id}
                today={today}
                cautions={person.cautions}
                words={person.clearances}
                signs={person.signs}
                screenedOn={person.screenedOn}
                isScreeningDue={isScreeningDue(person.screenedOn, today)}
              />
            </div>
            <div>
              <h2>
                Measures, {formatHeight(person.body.heightM, units)} ·{' '}
                <Link href="/measure">how to take them</Link>
              </h2>
              <BodyForm
                key={`${units}-${person.heightTyped}`}
                personId={person.id}
                units={units}
                telling={tellingLengths(view)}
                current={currentLengths(view)}
                hands={handChoices(view)}
                initial={{
                  height: person.heightTyped,
                  mass: person.body.massKg === undefined ? '' : String(person.body.massKg),
                  forearmHands: person.body.forearmHands ?? '',
                  lengths: Object.fromEntries(
                    takenIds.map((length) => [length, person.typedLengths[length] ?? '']),
                  ),
                }}
              />
            </div>
          </PrivatePart>
          <section className={classes.section}>
            <h2>Last seen</h2>
            <RecordList records={records} checks={school.catalog.checks} units={units} />
          </section>
        </div>
      </div>
      <section className={classes.section} id="ladders">
        <h2>Five ladders</h2>
        <LadderPanel
          key={JSON.stringify(person.present)}
          personId={person.id}
          standings={view.standings}
          ladders={ladderChoices(view)}
          instead={insteadOfNext(view)}
          tried={triedWithSupport(view)}
        />
      </section>
      <section className={classes.section}>
        <h2>Checks over the weeks</h2>
        <CheckCharts
          key={asked ?? ''}
          {...(asked === undefined ? {} : { asked })}
          personId={person.id}
          personName={person.name}
          histories={view.histories}
          today={today}
          breathSeconds={breathSeconds}
        />
      </section>
      <section className={classes.section}>
        <h2>On the floor</h2>
        <FloorDays days={readFloorDays(person.id)} csv={`/people/${person.id}/floor-file`} />
        {view.tries.dates.length > 0 && <TriesShown seen={view.tries} />}
      </section>
      <section className={classes.section} id="from-home">
        <h2>From home</h2>
        <FromHome personId={person.id} reports={view.reports} labels={view.reportLabels} />
      </section>
      <div className={classes.thirds}>
        <section className={classes.section}>
          <h2>Decisions</h2>
          <DecisionList personId={person.id} decisions={view.decisions} />
        </section>
        <section className={classes.section}>
          <h2>Evenings</h2>
          <MeetingList personId={person.id} meetings={view.meetings} />
        </section>
        <section className={classes.section}>
          <h2>Set-ups that were tried</h2>
          <SetupList setups={view.setups} units={units} />
        </section>
      </div>
      <CautionLine />
    </Page>
  );
}

/** How the hands may lie in a forearm stand, each with the place and the base it gives here. */
function handChoices({ setupInput, school, settings }: PersonPageView) {
  const give = (hands: ForearmHandsId) => {
    const { distances } = forearmKickSetup({
      ...setupInput,
      body: { ...setupInput.body, forearmHands: hands },
    });
    const { base, elbowWidth, wristSpacing } = distances;
    const say = (metres: number) => formatLength(metres, settings.units);
    const wrists = wristSpacing === undefined ? '' : `, wrists ${say(wristSpacing.metres)}`;
    return `elbows ${say(base.metres)} from the wall, ${say(elbowWidth.metres)} apart${wrists}`;
  };
  const usual = school.settings.forearmHands;
  return [
    {
      value: '' as const,
      label: `As ${school.profile.label} has them: ${getForearmHands(usual).label}`,
    },
    ...forearmHandsIds.map((value) => ({
      value,
      label: `${getForearmHands(value).label}: ${give(value)}`,
    })),
  ];
}

function currentLengths({ body, settings }: PersonPageView): Record<LengthId, string> {
  return Object.fromEntries(
    lengthIds.map((id) => [id, formatLength(body.lengths[id], settings.units)]),
  ) as Record<LengthId, string>;
}

/** What is done in place of a next rung, by that rung. */
function insteadOfNext({ standings }: PersonPageView): Partial<Record<StageKey, string>> {
  return tableOf(
    standings.flatMap(({ next }) =>
      next === null || next.alternative === null
        ? []
        : [[next.stage, getAlternative(next.alternative).label]],
    ),
  );
}

/** The newest word on each stage and its day in words, where that was: with support. */
function triedWithSupport({ decisions }: PersonPageView): Partial<Record<StageKey, string>> {
  const newest = new Map<StageKey, PersonPageView['decisions'][number]>();
  for (const one of decisions) if (!newest.has(one.stage)) newest.set(one.stage, one);
  return tableOf(
    [...newest].flatMap(([stage, { decided, madeOn }]) =>
      decided === 'advance-with-support' ? [[stage, sayShortDay(madeOn)] as const] : [],
    ),
  );
}

function ladderChoices({ school }: PersonPageView): Record<LadderId, LadderChoices> {
  const choicesOf = (family: LadderId): LadderChoices => ({
    label: ladderTable[family].label,
    rungs: school.ladders[family].map((stage) => ({
      value: stage,
      label: getStageIn(school, stage).spec.label,
    })),
  });
  return Object.fromEntries(ladderIds.map((family) => [family, choicesOf(family)])) as Record<
    LadderId,
    LadderChoices
  >;
}

/** The lengths whose uncertainty moves this person's distances most. */
function tellingLengths({ setup, setupInput }: PersonPageView): LengthId[] {
  const { distances } = setup ?? getSetup('forearm-kick').solve(setupInput);
  const moves = new Map<LengthId, number>();
  for (const { drivers } of distances) {
    for (const { length, move } of drivers) {
      moves.set(length, Math.max(move, moves.get(length) ?? 0));
    }
  }
  return [...moves]
    .sort((a, b) => b[1] - a[1])
    .slice(0, tellingCount)
    .map(([length]) => length);
}
