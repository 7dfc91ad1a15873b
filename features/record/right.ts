/** Was it right? What was said of a course's people against what came. */
import { calibrate, calibrationRows, type Calibration } from '@/core/calibration/calibrate';
import { listCourses } from '@/db/courses';
import { listDecisionsOf } from '@/db/decisions';
import { readEvidence } from '@/db/records';
import { readGroup } from '@/features/ladders/read';
import { writeTable } from '@/server/files/csv';
import { database } from '@/server/database';

export interface RightRecord {
  readonly course: { readonly id: number; readonly name: string };
  readonly courses: readonly { readonly id: number; readonly name: string }[];
  readonly people: number;
  readonly told: Omit<Calibration, 'forecasts'>;
}

/** @returns `null` when there is no course at all */
export function readRight(courseId: number | undefined): RightRecord | null {
  const db = database();
  const { course, school, people } = readGroup(db, courseId);
  if (course === null) return null;
  const ids = people.map(({ id }) => id);
  const evidence = readEvidence(db, ids);
  const decisions = listDecisionsOf(db, ids);
  const { forecasts: _, ...told } = calibrate(
    school,
    people.map(({ id }) => ({
      id: String(id),
      evidence: evidence.get(id) ?? {},
      decisions: decisions
        .filter(({ personId }) => personId === id)
        .map(({ stage, suggested, decided, madeOn }) => ({
          stage,
          suggested,
          decided,
          on: madeOn,
        })),
    })),
  );
  return {
    course: { id: course.id, name: course.name },
    courses: listCourses(db).map(({ id, name }) => ({ id, name })),
    people: people.length,
    told,
  };
}

/** The bins of the diagram, over all and check by check. */
export const rightCsv = ({ told }: RightRecord): string => writeTable(calibrationRows(told));
