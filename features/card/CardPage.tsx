import { Button, Group, VisuallyHidden } from '@mantine/core';
import { IconArrowLeft } from '@tabler/icons-react';
import { notFound } from 'next/navigation';
import { readPersonId } from '@/server/personId';
import { readPerson } from '@/server/judging/views';
import { PrintButton } from '@/design/PrintButton';
import { drawFront } from '@/core/drawing/front';
import { SceneView } from '@/design/drawing/SceneView';
import { alternativeTable } from '@/core/catalog/alternatives';
import { StripView } from '@/design/atlas/StripView';
import { SetupCard } from './SetupCard';
import { stageOf } from './StageDrawing';
import classes from './card.module.css';
import { LinkButton } from '@/design/LinkButton';
import { Page } from '@/design/Page';

interface CardPageProps {
  readonly params: Promise<{ readonly id: string }>;
}

export async function CardPage({ params }: CardPageProps) {
  const id = readPersonId((await params).id);
  const view = id === null ? null : readPerson(id);
  if (view === null) notFound();
  return (
    <Page>
      <VisuallyHidden component="h1">Set-up card</VisuallyHidden>
      <Group justify="space-between" className="no-print" mb="sm">
        <LinkButton
          href={`/people/${view.person.id}`}
          variant="subtle"
          leftSection={<IconArrowLeft size={18} />}
        >
          {view.person.name}
        </LinkButton>
        <Group gap="sm">
          {!view.verdict.alternative && (
            <Button component="a" href={`/people/${view.person.id}/card/drawing`} variant="default">
              Save the drawing
            </Button>
          )}
          <PrintButton />
        </Group>
      </Group>
      <SetupCard judgement={view} date={view.date} units={view.settings.units} />
      <HowItMoves judgement={view} />
    </Page>
  );
}

/** In and out as strips: on screen, below the sheet that is printed. */
function HowItMoves({
  judgement,
}: {
  readonly judgement: NonNullable<ReturnType<typeof readPerson>>;
}) {
  const { alternative } = judgement.verdict;
  const stage = stageOf(judgement);
  const instead = alternative === undefined ? null : alternativeTable[alternative];
  const moves =
    instead === null
      ? [
          { move: stage.move, label: stage.label },
          { move: stage.leave, label: `Way out: ${stage.exit}` },
        ]
      : [{ move: instead.move, label: instead.label }];
  const front =
    instead === null
      ? drawFront(judgement.setupInput, stage, { pxPerM: 110, units: judgement.settings.units })
      : null;
  return (
    <section className={`${classes.moves} no-print`} aria-label="From the front, and how it moves">
      {front !== null && (
        <figure>
          <SceneView scene={front} label={stage.label} />
          <figcaption>From the front. {front.caption}</figcaption>
        </figure>
      )}
      {moves.map(
        ({ move, label }) =>
          move !== undefined && (
            <figure key={label}>
              <StripView move={move} label={label} heightPx={110} />
              <figcaption>{label}</figcaption>
            </figure>
          ),
      )}
    </section>
  );
}
