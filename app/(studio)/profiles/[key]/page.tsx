import { ProfilePage } from '@/features/profiles/ProfilePage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Profile' };

export default teacherPage(ProfilePage);
