/** When the checks that hold people may be past their bars: spans, or an honest none. */
import type { Db } from '@/db/open';
import { listPieces } from '@/db/cupboards';
import { listNext } from '@/core/ladder/stand';
import { judge } from '@/core/ladder/verdict';
import { ladderIds } from '@/core/catalog/stage';
import { forecast } from '@/core/readiness/forecast';
import { readCases } from '@/server/judging/cases';
import type { Group } from '@/features/ladders/read';

export interface ForecastLine {
  readonly personId: number;
  readonly name: string;
  readonly label: string;
  /** Days from today; absent: no honest forecast. */
  readonly fromDays?: number;
  readonly toDays?: number;
  readonly words: string;
}

const week = (days: number) => Math.max(1, Math.round(days / 7));

/** People for whom something rises plainly enough, the soonest first. */
export function readForecasts(db: Db, { people, school, course, today }: Group): ForecastLine[] {
  const pieces = course === null ? [] : listPieces(db, course.id);
  const cases = readCases(db, people, () => ({ school, day: today, pieces }));
  const lines = people.flatMap((person): ForecastLine[] => {
    const opened = cases.get(person.id)!;
    const seen = new Set<string>();
    return ladderIds.flatMap((family): ForecastLine[] => {
      if (opened.present[family] === undefined) return [];
      const [next] = listNext(opened, family);
      if (next === undefined) return [];
      return judge(next, opened).items.flatMap((item): ForecastLine[] => {
        if (item.status === 'met' || item.isAtDoor || !('check' in item.demand)) return [];
        if (seen.has(item.label)) return [];
        seen.add(item.label);
        const { demand } = item;
        const all = opened.assessor
          .histories(demand.check, demand.base)
          .map((history) => forecast(history, demand));
        // Both sides must come: the later end of the later one.
        const spans = all.filter((one) => one.kind === 'span');
        if (spans.length === 0 || all.some(({ kind }) => kind === 'none')) return [];
        const fromDays = Math.max(...spans.map((one) => one.fromDays));
        const toDays = Math.max(...spans.map((one) => one.toDays));
        const [from, to] = [week(fromDays), week(toDays)];
        const words =
          from === to
            ? `in about ${from} ${from === 1 ? 'week' : 'weeks'}`
            : `in ${from} to ${to} weeks`;
        const { id: personId, name } = person;
        return [{ personId, name, label: item.label, fromDays, toDays, words }];
      });
    });
  });
  return lines.sort((a, b) => (a.fromDays ?? 0) - (b.fromDays ?? 0));
}
