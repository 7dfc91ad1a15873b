import { sayEveningOnPaper } from '@/design/days';
import type { PlanFile } from '@/core/files/planFile';
import type { ClassView } from '@/server/judging/classViews';
import classes from './print.module.css';

/** What every sheet of a class is written from. */
export interface SheetProps {
  readonly view: ClassView;
  readonly plan: PlanFile;
}

/** What stands over every sheet of a class: which sheet, of which evening. */
export function SheetHead({ view, title }: { readonly view: ClassView; readonly title: string }) {
  return (
    <header className={classes.head}>
      <h2>{title}</h2>
      <p>
        {view.course.name} · {sayEveningOnPaper(view.meeting.date)}, {view.meeting.startsAt} ·{' '}
        {view.meeting.room}
      </p>
    </header>
  );
}
