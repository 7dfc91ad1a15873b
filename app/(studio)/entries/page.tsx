import { EntriesPage } from '@/features/profiles/EntriesPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Your own entries' };

export default teacherPage(EntriesPage);
