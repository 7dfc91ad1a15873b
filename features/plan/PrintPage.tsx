import { Group, Title } from '@mantine/core';
import { LinkButton } from '@/design/LinkButton';
import { Page } from '@/design/Page';
import { database } from '@/server/database';
import { findKeptPlan, type ClassView } from '@/server/judging/classViews';
import { readCatalog, readSchool } from '@/server/judging/schools';
import { KeepPlan } from './KeepPlan';
import { PaperPicker } from './PaperPicker';
import { PrintSheets } from './PrintSheets';
import { listSaid } from './said';
import { toKeep } from './toKeep';

/** The kept plan on paper; where none is kept, it is composed and kept first. */
export function PrintPage({ view }: { readonly view: ClassView }) {
  const plan = findKeptPlan(view);
  return (
    <Page>
      <Group justify="space-between" className="no-print" mb="sm">
        <Title order={1} size="1.6rem">
          The class on paper
        </Title>
        <Group gap="sm">
          <LinkButton href={`/plan?course=${view.course.id}`} variant="default">
            Back to the plan
          </LinkButton>
          <LinkButton href="/cards" variant="default">
            Full set-up cards
          </LinkButton>
          <PaperPicker />
        </Group>
      </Group>
      {plan === null ? (
        <KeepPlan {...toKeep(view)} />
      ) : (
        <PrintSheets
          view={view}
          plan={plan}
          stages={readCatalog(database()).stages}
          said={listSaid(plan, view.prepared, readSchool(database(), view.profile))}
        />
      )}
    </Page>
  );
}
