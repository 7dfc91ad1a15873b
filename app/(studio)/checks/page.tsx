import { ChecksPage } from '@/features/ladders/ChecksPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Checks worth taking' };

export default teacherPage(ChecksPage);
