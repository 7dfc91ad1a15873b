import { ProfilePage } from '@/features/profiles/ProfilePage';
import { teacherPage, teacherTitle } from '@/server/network/guarded';
import { database } from '@/server/database';
import { listProfileChoices } from '@/server/judging/schools';

export const generateMetadata = teacherTitle<{ key: string }>(
  'Profile',
  ({ key }) => listProfileChoices(database()).find((profile) => profile.key === key)?.label ?? null,
);

export default teacherPage(ProfilePage);
