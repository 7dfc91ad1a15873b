import type { PlanFile } from '@/core/files/planFile';
import { listEachOnce, rowWords } from '@/core/pieces/rows';
import classes from './plan.module.css';

/** What is in use in each round, of what the cupboard holds. */
export function Ledger({ plan }: { readonly plan: PlanFile }) {
  const rounds = plan.rounds.map(({ pieces }) => listEachOnce(pieces));
  const rows = [...new Set(rounds.flat().map(({ row }) => row))].filter((row) =>
    rounds.flat().some((one) => one.row === row && one.used > 0),
  );
  const helpers = plan.wishes.helpers;
  return (
    <table className={classes.ledger}>
      <caption>The cupboard by round</caption>
      <thead>
        <tr>
          <th scope="col">In use</th>
          {plan.rounds.map(({ round }) => (
            <th key={round} scope="col">
              {round}
            </th>
          ))}
          <th scope="col">there are</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => {
          const line = rounds.map((pieces) => pieces.find((one) => one.row === row));
          const of = line[0]?.of ?? 0;
          return (
            <tr key={row}>
              <th scope="row">{rowWords(row, line[0]?.label)}</th>
              {line.map((one, round) => (
                <td key={round} data-full={one !== undefined && one.used >= one.of}>
                  {one?.used ?? 0}
                </td>
              ))}
              <td>{of}</td>
            </tr>
          );
        })}
        <tr>
          <th scope="row">hands</th>
          {plan.rounds.map(({ round, handsUsed, teacherHelps }) => (
            <td key={round} data-full={handsUsed > helpers}>
              {handsUsed}
              {teacherHelps && ' *'}
            </td>
          ))}
          <td>{helpers + 1}</td>
        </tr>
      </tbody>
      {plan.rounds.some(({ teacherHelps }) => teacherHelps) && (
        <tfoot>
          <tr>
            <td colSpan={plan.rounds.length + 2}>* one of the hands is the teacher’s</td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}
