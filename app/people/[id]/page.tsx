import { Title } from '@mantine/core';
import { IconRuler2 } from '@tabler/icons-react';
import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { lengthIds, type LengthId } from '@/core/body/lengths';
import { getStage } from '@/core/catalog/stages';
import { formatHeight, formatLength } from '@/core/units/length';
import { toGateRow } from '@/server/gateRows';
import { readPersonId } from '@/server/personId';
import { readPerson, type PersonView } from '@/server/views';
import { LinkButton } from '@/ui/layout/LinkButton';
import { CautionLine, Page } from '@/ui/layout/Page';
import { BodyForm } from '@/ui/person/BodyForm';
import { CareForm } from '@/ui/person/CareForm';
import { GatePanel } from '@/ui/person/GatePanel';
import { RecordList } from '@/ui/person/RecordList';
import { StageDrawing } from '@/ui/card/StageDrawing';
import { VerdictPanel } from '@/ui/person/VerdictPanel';
import classes from '@/ui/person/person.module.css';

interface PersonPageProps {
  readonly params: Promise<{ readonly id: string }>;
}

// The same title for everyone: names stay out of the history of a shared tablet.
export const metadata: Metadata = { title: 'Person' };

/** How many of the most telling lengths stand on the form before the rest unfolds. */
const tellingCount = 4;

export default async function PersonPage({ params }: PersonPageProps) {
  const id = readPersonId((await params).id);
  const view = id === null ? null : readPerson(id);
  if (view === null) notFound();
  const { person, verdict, settings, course, records, today } = view;
  const { units, breathSeconds } = settings;
  return (
    <Page>
      <div className={classes.head}>
        <div>
          <Title order={1} size="1.8rem">
            {person.name}
          </Title>
          <p className={classes.sub}>
            {formatHeight(person.body.heightM, units)} · {course.name}
            {person.presentStage ? ` · works at: ${getStage(person.presentStage).label}` : ''}
          </p>
        </div>
        <LinkButton href={`/bench?person=${person.id}`} variant="default" size="md">
          On the bench
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
          <VerdictPanel personId={person.id} verdict={verdict} hasOldPain={hasOldPain(view)} />
          <section className={classes.section}>
            <h2>What opens it</h2>
            <GatePanel
              personId={person.id}
              rows={verdict.items.map(toGateRow)}
              today={today}
              breathSeconds={breathSeconds}
            />
          </section>
          <section className={classes.section}>
            <h2>Last seen</h2>
            <RecordList records={records} />
          </section>
        </div>
        <div className={classes.side}>
          <StageDrawing judgement={view} units={units} pxPerM={150} />
          <section className={classes.section}>
            <h2>
              Measures · <Link href="/measure">how to take them</Link>
            </h2>
            <BodyForm
              key={`${units}-${person.heightTyped}`}
              personId={person.id}
              units={units}
              telling={tellingLengths(view)}
              current={currentLengths(view)}
              initial={{
                height: person.heightTyped,
                mass: person.body.massKg === undefined ? '' : String(person.body.massKg),
                lengths: Object.fromEntries(
                  lengthIds.map((length) => [length, person.typedLengths[length] ?? '']),
                ),
              }}
            />
          </section>
          <section className={classes.section}>
            <h2>Consent and cautions</h2>
            <CareForm personId={person.id} consent={person.consent} cautions={person.cautions} />
          </section>
        </div>
      </div>
      <CautionLine />
    </Page>
  );
}

/** Pain from an earlier day that still closes the stage. */
function hasOldPain({ verdict, records, today }: PersonView): boolean {
  return (
    verdict.kind === 'stop' &&
    verdict.alternative === undefined &&
    records.some(({ pain, date }) => pain === true && date < today)
  );
}

function currentLengths({ body, settings }: PersonView): Record<LengthId, string> {
  return Object.fromEntries(
    lengthIds.map((id) => [id, formatLength(body.lengths[id], settings.units)]),
  ) as Record<LengthId, string>;
}

/** The lengths whose uncertainty moves this person's distances most. */
function tellingLengths({ setup }: PersonView): LengthId[] {
  const { otherBases: _, ...distances } = setup.distances;
  const moves = new Map<LengthId, number>();
  for (const { drivers } of Object.values(distances)) {
    for (const { length, move } of drivers) {
      moves.set(length, Math.max(move, moves.get(length) ?? 0));
    }
  }
  return [...moves]
    .sort((a, b) => b[1] - a[1])
    .slice(0, tellingCount)
    .map(([length]) => length);
}
