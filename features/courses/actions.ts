'use server';

import { action } from '@/server/action';
import * as change from './change';

export const createCourseAction = action(change.createCourse);
export const changeCourseAction = action(change.changeCourse);
export const dropCourseAction = action(change.dropCourse);
export const changeEnrolmentAction = action(change.changeEnrolment);
export const createMeetingAction = action(change.createMeeting);
export const changeMeetingAction = action(change.changeMeeting);
export const dropMeetingAction = action(change.dropMeeting);
export const bringMeetingBackAction = action(change.bringMeetingBack);
export const changeAttendanceAction = action(change.changeAttendance);
