import { TonightPage } from '@/features/tonight/TonightPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: { absolute: 'Tonight · Levitar' } };

export default teacherPage(TonightPage);
