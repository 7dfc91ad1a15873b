import { RungPage } from '@/features/ladders/RungPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'A rung' };

export default teacherPage(RungPage);
