import { DevicesPage } from '@/features/settings/DevicesPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Devices' };

export default teacherPage(DevicesPage);
