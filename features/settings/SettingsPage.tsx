import { sayMoment } from '@/design/days';
import { Button, Group, Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { diaryTable } from '@/core/files/diaryKinds';
import { nowMs } from '@/server/clock';
import { readCopies } from '@/server/copies/schedule';
import { hasDeskLock } from '@/server/desk/desk';
import { readDiary, readSetAsideLines } from './setAside';
import { CopiesPanel } from '@/features/copies/CopiesPanel';
import { DeskPanel } from '@/features/desk/DeskPanel';
import { SealedExport } from './SealedExport';
import { readSettings } from '@/server/judging/views';
import { CautionLine, Page } from '@/design/Page';
import { ImportFile } from './ImportFile';
import { SetAside } from './SetAside';
import { SettingsForm } from './SettingsForm';
import classes from './settings.module.css';

export function SettingsPage() {
  const settings = readSettings();
  const { studio, breathSeconds, paperInk, scaleAddress, deskName, deskIdleMinutes } = settings;
  const aside = readSetAsideLines();
  const diary = readDiary(12);
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
            paperInk={paperInk}
            deskIdleMinutes={deskIdleMinutes}
            deviceIdleDays={settings.deviceIdleDays}
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
          <SealedExport />
        </section>
        <section className={classes.block} id="copies">
          <h2>Copies</h2>
          <p>
            Made by themselves: at every start, every night, and before a file is taken in, entries
            are merged or several people go. Each is checked as it is made.
          </p>
          {settings.erasePending && (
            <p className={classes.problem} role="alert">
              Somebody was deleted, and what they left on the disk is not overwritten yet: the disk
              was full, or the file in use. It is done at the next chance.
            </p>
          )}
          <CopiesPanel view={readCopies()} nowMs={nowMs()} />
        </section>
        <section className={classes.block} id="desk">
          <h2>Sign-in at this desk</h2>
          <p>
            Without a passphrase everybody who has an account on this computer can read everything.
            With one, every page asks for it; a running class goes on taking taps meanwhile.
          </p>
          <DeskPanel isSet={hasDeskLock()} name={deskName} />
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
          <h2>Diary</h2>
          <p>Who did what kind of thing when; about whom is not said.</p>
          {diary.length === 0 && <p className={classes.quiet}>Nothing yet.</p>}
          <ul className={classes.diary}>
            {diary.map(({ id, atMs, who, kind }) => (
              <li key={id}>
                <span className={classes.quiet}>{sayMoment(atMs)}</span> {who}: {diaryTable[kind]}
              </li>
            ))}
          </ul>
          <Button component="a" href="/settings/diary" variant="default">
            Diary as CSV
          </Button>
        </section>
        {aside.length > 0 && (
          <section className={classes.block}>
            <h2>Set aside</h2>
            <p>
              These rows could not be read and would have kept pages from opening. Nothing of them
              is thrown away unasked.
            </p>
            <SetAside lines={aside.slice(0, 12)} />
            <Button component="a" href="/settings/set-aside" variant="default">
              All {aside.length} as a file
            </Button>
          </section>
        )}
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
