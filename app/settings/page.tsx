import { Button, Group, Title } from '@mantine/core';
import Link from 'next/link';
import { readSettings } from '@/server/views';
import { CautionLine, Page } from '@/ui/layout/Page';
import { ImportFile } from '@/ui/settings/ImportFile';
import { SettingsForm } from '@/ui/settings/SettingsForm';
import classes from '@/ui/settings/settings.module.css';

export const metadata = { title: 'Settings' };

export default function SettingsPage() {
  const { studio, breathSeconds, scaleAddress } = readSettings();
  return (
    <Page>
      <Title order={1} size="1.8rem" mb="md">
        Settings
      </Title>
      <div className={classes.grid}>
        <section className={classes.block}>
          <h2>The place</h2>
          <SettingsForm
            studio={studio}
            breathSeconds={breathSeconds}
            scaleAddress={scaleAddress ?? ''}
          />
        </section>
        <section className={classes.block}>
          <h2>Everything as one file</h2>
          <p>
            People, records, courses, plans, classes and profiles. It holds health notes: keep it as
            you would keep them. Taking a file in shows first what would change; it is all or
            nothing.
          </p>
          <Group>
            <Button component="a" href="/settings/studio">
              Hand out everything
            </Button>
            <ImportFile kind="studio" label="Take a file in" />
          </Group>
        </section>
        <section className={classes.block}>
          <h2>As tables</h2>
          <p>
            One line a person, or one line a record. People come in under{' '}
            <Link href="/people/import">People</Link>; records here, by uid or by a name that is
            nobody else’s.
          </p>
          <Group>
            <Button component="a" href="/settings/people" variant="default">
              People as CSV
            </Button>
            <Button component="a" href="/settings/records" variant="default">
              Records as CSV
            </Button>
            <ImportFile kind="records" label="Take records in" />
          </Group>
        </section>
        <section className={classes.block}>
          <h2>Devices</h2>
          <p>
            By default the program answers this machine only. A tablet on the studio’s network is
            let in under <Link href="/devices">Devices</Link>.
          </p>
        </section>
      </div>
      <CautionLine />
    </Page>
  );
}
