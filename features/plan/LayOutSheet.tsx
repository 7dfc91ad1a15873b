import { propWords, rowLabel } from '@/core/pieces/rows';
import type { PlannedFigure } from '@/core/compose/option';
import { layOutWhere, listOut } from '@/core/compose/layOut';
import type { PlanFile } from '@/core/files/planFile';
import { figureWords } from '@/features/evening/figureWords';
import { shortNames } from '@/features/evening/names';
import type { ClassView } from '@/server/judging/classViews';
import { SheetHead, type SheetProps } from './SheetHead';
import classes from './print.module.css';

/** What is fetched and measured before anybody comes. */
export function LayOutSheet({ view, plan }: SheetProps) {
  const names = shortNames(view.members);
  return (
    <section className={classes.sheet} data-sheet="layout" aria-label="To lay out">
      <SheetHead view={view} title="To lay out before people come" />
      <p className={classes.out}>
        From the cupboard:{' '}
        {listOut(plan)
          .map(({ row, most, label }) => rowLabel(row, most, label))
          .join(', ') || 'mats alone'}
        . A mat for everybody.
      </p>
      <table className={classes.table}>
        <thead>
          <tr>
            <td />
            <th scope="col">Where</th>
            <th scope="col">What</th>
            <th scope="col">For</th>
          </tr>
        </thead>
        <tbody>
          {layOutRows(view, plan).map(({ letters, where, what, beside, people }) => (
            <tr key={letters.join() + where + what}>
              <td className={classes.letter}>{letters.join(' ')}</td>
              <td>{where}</td>
              <td>
                {what}
                {beside !== '' && <em>; beside it, if not confirmed at the door: {beside}</em>}
              </td>
              <td>{people.map((id) => names.get(id)).join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

interface LayOutRow {
  readonly letters: string[];
  readonly where: string;
  readonly what: string;
  readonly beside: string;
  readonly people: string[];
}

/** What is laid out once, at one place and in one way, stands once: with all its letters and names. */
function layOutRows(view: ClassView, plan: PlanFile): LayOutRow[] {
  const rows = new Map<string, LayOutRow>();
  for (const line of plan.layOut) {
    const what = propWords(line.props) + tapeWords(view, plan, line);
    const where = layOutWhere(plan, line, view.settings.units);
    const beside = line.fallbackProps.length === 0 ? '' : propWords(line.fallbackProps);
    const key = JSON.stringify([where, what, beside]);
    const row = rows.get(key) ?? { letters: [], where, what, beside, people: [] };
    rows.set(key, row);
    if (!row.letters.includes(line.letter)) row.letters.push(line.letter);
    row.people.push(...line.people.filter((id) => !row.people.includes(id)));
  }
  return [...rows.values()];
}

/** What is set out by the tape there. */
function tapeWords(view: ClassView, plan: PlanFile, line: PlanFile['layOut'][number]): string {
  const { baseM } = plan.stations.find((station) => station.letter === line.letter) ?? {};
  const words = figureWords(
    {
      ...(baseM === undefined ? {} : { baseM }),
      ...(line.figures === undefined ? {} : { figures: line.figures as PlannedFigure[] }),
    },
    view.settings.units,
  );
  return words === '' ? '' : `; ${words}`;
}
