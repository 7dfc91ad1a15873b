import { LaddersPage } from '@/features/ladders/LaddersPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Ladders' };

export default teacherPage(LaddersPage);
