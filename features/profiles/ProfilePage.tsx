import { isShippedCheck } from '@/core/catalog/checks';
import type { Catalog, Entries } from '@/core/catalog/school';
import { stageIds } from '@/core/catalog/stages';
import { entriesOf, tableOf } from '@/core/units/keyed';
import { Title } from '@mantine/core';
import { notFound } from 'next/navigation';
import { describeChanges } from '@/core/catalog/profileChanges';
import { profileTable } from '@/core/catalog/profiles';
import { isLengthCheck, unitOf } from '@/core/catalog/sayCheck';
import { ladderIds, ladderTable } from '@/core/catalog/stage';
import { readProfilePage } from './read';
import { LinkButton } from '@/design/LinkButton';
import { CautionLine, Page } from '@/design/Page';
import { CopyProfile } from './CopyProfile';
import { UseFor } from './UseFor';
import type { EditorChecks, EditorStages } from './editor';
import { ProfileEditor } from './ProfileEditor';
import classes from './profiles.module.css';

interface ProfilePageProps {
  readonly params: Promise<{ readonly key: string }>;
  /** The check whose bar was looked for. */
  readonly searchParams: Promise<{ readonly bar?: string }>;
}

/** What of a catalog does not ship: the page has the rest. */
const ownRows = ({ checks, stages }: Catalog): Entries => ({
  checks: tableOf(entriesOf(checks).filter(([key]) => !isShippedCheck(key))),
  stages: tableOf(entriesOf(stages).filter(([key]) => !stageIds.some((id) => id === key))),
});

export async function ProfilePage({ params, searchParams }: ProfilePageProps) {
  const view = readProfilePage((await params).key);
  if (view === null) notFound();
  const { profile, isShipped, school, catalog, nameForCopy, courses } = view;
  const origin = profileTable[profile.origin];
  const { bar: aim } = await searchParams;
  const checks: EditorChecks = [...school.checks].map(([key, { spec, bar }]) => ({
    key,
    label: spec.label,
    bar,
    origin: spec.opensAt[profile.origin],
    unit: unitOf(spec, 'cm'),
    isLength: isLengthCheck(spec),
    byBase: spec.byBase === true,
  }));
  const stages: EditorStages = ladderIds.map((family) => ({
    family,
    label: ladderTable[family].label,
    stages: school.ladders[family].map((key) => {
      const stage = school.stages.get(key)!;
      return {
        key,
        label: stage.spec.label,
        gate: stage.gate,
        originGate: stage.spec.gateByProfile?.[profile.origin]?.gate ?? stage.spec.gate,
        cue: stage.cue ?? '',
        branch: stage.spec.branch ?? null,
      };
    }),
  }));
  return (
    <Page>
      <div className={classes.head}>
        <Title order={1} size="1.8rem">
          {profile.label}
        </Title>
        <p className={classes.sub}>
          {isShipped
            ? `${origin.summary} It ships with Levitar and stays as it is; copy it to change it.`
            : `from ${origin.label} · version ${profile.version}; earlier versions stay, so that old verdicts can be explained`}
        </p>
        <CopyProfile from={profile.key} name={nameForCopy} />
        <LinkButton href={`/profiles/${profile.key}/file`} variant="default" size="sm">
          As a file
        </LinkButton>
      </div>
      <UseFor profileKey={profile.key} label={profile.label} courses={courses} />
      <ProfileEditor
        key={profile.key}
        profileKey={profile.key}
        label={profile.label}
        version={profile.version}
        isShipped={isShipped}
        {...(aim === undefined ? {} : { aim })}
        changes={profile.changes}
        lines={describeChanges(profile, catalog)}
        checks={checks}
        own={ownRows(catalog)}
        stages={stages}
        settings={school.settings}
        branches={entriesOf(catalog.branches).map(([key, { label }]) => ({ key, label }))}
        closedBranches={[...(profile.changes.closedBranches ?? origin.closedBranches)]}
      />
      <CautionLine />
    </Page>
  );
}
