import { ProfilesPage } from '@/features/profiles/ProfilesPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Profiles' };

export default teacherPage(ProfilesPage);
