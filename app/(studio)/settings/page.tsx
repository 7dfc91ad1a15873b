import { SettingsPage } from '@/features/settings/SettingsPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Settings' };

export default teacherPage(SettingsPage);
