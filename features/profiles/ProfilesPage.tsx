import { Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { describeChanges } from '@/core/catalog/profileChanges';
import { profileTable } from '@/core/catalog/profiles';
import { readProfiles } from './read';
import { LinkButton } from '@/design/LinkButton';
import { CautionLine, Page } from '@/design/Page';
import { Said } from '@/design/units';
import { CopyProfile, ImportFile } from './CopyProfile';
import classes from './profiles.module.css';

export function ProfilesPage() {
  const { shipped, copies, catalog, ownCount, nameFor } = readProfiles();
  return (
    <Page>
      <div className={classes.head}>
        <Title order={1} size="1.8rem">
          Profiles
        </Title>
        <p className={classes.sub}>Good teachers disagree; a profile is a set of settings.</p>
        <LinkButton href="/entries" variant="default" size="sm">
          {ownCount === 0 ? 'Your own stages and checks' : `Your own entries: ${ownCount}`}
        </LinkButton>
        <ImportFile what="profile" />
      </div>
      <ul className={classes.profiles}>
        {shipped.map((profile) => (
          <li key={profile.key}>
            <h2>
              <Link href={`/profiles/${profile.key}`}>{profile.label}</Link>
            </h2>
            <p>{profileTable[profile.origin].summary}</p>
            <CopyProfile from={profile.key} name={nameFor(profile)} />
          </li>
        ))}
        {copies.map((profile) => {
          const lines = describeChanges(profile, catalog);
          return (
            <li key={profile.key}>
              <h2>
                <Link href={`/profiles/${profile.key}`}>{profile.label}</Link>
              </h2>
              <p>
                from {profileTable[profile.origin].label}, version {profile.version} ·{' '}
                {lines.length === 0 ? (
                  'nothing changed yet'
                ) : (
                  <Said>{lines.map(({ what, after }) => `${what}: ${after}`).join(' · ')}</Said>
                )}
              </p>
              <CopyProfile from={profile.key} name={nameFor(profile)} />
            </li>
          );
        })}
      </ul>
      <CautionLine />
    </Page>
  );
}
