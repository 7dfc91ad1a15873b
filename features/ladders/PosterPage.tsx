import { Group, Title } from '@mantine/core';
import { ladderIds, ladderTable, type LadderId } from '@/core/catalog/stage';
import { getStageIn } from '@/core/catalog/school';
import { StripView } from '@/design/atlas/StripView';
import { LinkButton } from '@/design/LinkButton';
import { Page } from '@/design/Page';
import { PrintButton } from '@/design/PrintButton';
import { readPosterSchool } from './posterSchool';
import classes from './poster.module.css';

interface PosterPageProps {
  readonly searchParams: Promise<{ readonly ladder?: string | string[] }>;
}

/** One ladder on one sheet of A3, its foot at the bottom, for the studio’s wall. */
export async function PosterPage({ searchParams }: PosterPageProps) {
  const asked = (await searchParams).ladder;
  const family: LadderId = ladderIds.find((id) => id === asked) ?? 'forearm-stand';
  const school = readPosterSchool();
  const { label, sanskrit } = ladderTable[family];
  // From the top of the sheet down: the furthest rung first.
  const stages = [...school.ladders[family]].reverse();
  return (
    <Page>
      <style>{'@media print { @page { size: A3 portrait; margin: 12mm; } }'}</style>
      <Group justify="space-between" className="no-print" mb="md">
        <Title order={1} size="1.6rem">
          A ladder as a poster
        </Title>
        <Group gap="xs">
          {ladderIds.map((id) => (
            <LinkButton
              key={id}
              href={`/ladders/poster?ladder=${id}`}
              variant={id === family ? 'filled' : 'default'}
              size="xs"
            >
              {ladderTable[id].label}
            </LinkButton>
          ))}
          <PrintButton />
        </Group>
      </Group>
      <article className={classes.poster} aria-label={`${label}, rung by rung`}>
        <header>
          <h2>{label}</h2>
          <p>{sanskrit}</p>
        </header>
        <ol reversed className={classes.rungs} data-many={stages.length > 12 || undefined}>
          {stages.map((stage) => {
            const { spec } = getStageIn(school, stage);
            return (
              <li key={stage}>
                <h3>{spec.label}</h3>
                {spec.move !== undefined && (
                  <StripView
                    move={spec.move}
                    label={spec.label}
                    heightPx={stages.length > 12 ? 120 : 150}
                  />
                )}
                <p>{spec.dose}</p>
              </li>
            );
          })}
        </ol>
        <footer>
          Shown by a teacher first. Stop at any pain, tingling, pressure in the neck or dizziness.
        </footer>
      </article>
    </Page>
  );
}
