import { Group, Title } from '@mantine/core';
import { database } from '@/server/database';
import { readCatalog, readSchool } from '@/server/judging/schools';
import { findKeptPlan, readClass } from '@/server/judging/classViews';
import { readCourseParam } from '@/server/courseParam';
import { LinkButton } from '@/design/LinkButton';
import { Page } from '@/design/Page';
import { KeepPlan } from '@/features/plan/KeepPlan';
import { toKeep } from '@/features/plan/toKeep';
import { PaperPicker } from '@/features/plan/PaperPicker';
import { listSaid } from '@/features/plan/said';
import { PrintSheets } from '@/features/plan/PrintSheets';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'The class on paper' };

interface PrintPageProps {
  readonly searchParams: Promise<{ readonly course?: string | string[] }>;
}

async function PlanPrintPage({ searchParams }: PrintPageProps) {
  const view = readClass(readCourseParam((await searchParams).course) ?? null);
  if (view === null) return <EmptyCourse />;
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

export default teacherPage(PlanPrintPage);
