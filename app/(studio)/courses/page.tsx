import { CoursesPage } from '@/features/courses/CoursesPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Courses' };

export default teacherPage(CoursesPage);
