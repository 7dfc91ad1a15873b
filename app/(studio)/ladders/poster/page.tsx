import { PosterPage } from '@/features/ladders/PosterPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'A ladder as a poster' };

export default teacherPage(PosterPage);
