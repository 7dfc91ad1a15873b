import { Title } from '@mantine/core';
import { ladderIds } from '@/core/catalog/stage';
import { readProfiles, readOwnEntries } from './read';
import { EntryForms } from './EntryForms';
import { EntryList } from './EntryList';
import { ImportFile } from './CopyProfile';
import { LinkButton } from '@/design/LinkButton';
import { CautionLine, Page } from '@/design/Page';
import classes from './profiles.module.css';

export function EntriesPage() {
  const { catalog } = readProfiles();
  const entries = readOwnEntries();
  return (
    <Page>
      <div className={classes.head}>
        <Title order={1} size="1.8rem">
          Your own stages, drills and checks
        </Title>
        <p className={classes.sub}>
          Held to the same rules as the shipped ones: cautions, gates and pain close them alike.
        </p>
        <ImportFile what="entries" />
        <LinkButton href="/entries/file" variant="default" size="sm">
          As a file
        </LinkButton>
      </div>
      <div className={classes.entries}>
        <EntryList entries={entries} />
        <EntryForms
          checks={Object.entries(catalog.checks).map(([value, { label }]) => ({ value, label }))}
          branches={Object.entries(catalog.branches).map(([value, { label }]) => ({
            value,
            label,
          }))}
          stages={ladderIds.flatMap((family) =>
            Object.entries(catalog.stages)
              .filter(([, stage]) => stage.family === family)
              .map(([value, { label }]) => ({ value, label, family })),
          )}
        />
      </div>
      <CautionLine />
    </Page>
  );
}
