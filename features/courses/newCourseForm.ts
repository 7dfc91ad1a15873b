import type { ProfileChoice } from '@/server/judging/schools';

/** What a new course begins with until somebody types otherwise. */
export const newCourse = (place: string, today: string, profiles: readonly ProfileChoice[]) => ({
  name: '',
  place,
  startsOn: today,
  startsAt: '18:30',
  minutes: 75,
  weeks: 10,
  profile: profiles[0]!.key,
});
