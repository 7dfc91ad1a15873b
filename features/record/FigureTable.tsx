import classes from './record.module.css';

interface FigureTableProps {
  /** What the figures are of, for whoever goes from one table to the next. */
  readonly of: string;
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** All of it, not in a window of its own. */
  readonly whole?: true;
}

/** The figures behind a chart. */
export function FigureTable({ of, head, rows, whole }: FigureTableProps) {
  if (rows.length === 0) return <p>No figures yet.</p>;
  return (
    <div
      className={classes.scroll}
      data-whole={whole === true}
      tabIndex={0}
      role="region"
      aria-label={`Figures: ${of}`}
    >
      <table className={classes.table}>
        <thead>
          <tr>
            {head.map((word) =>
              word === '' ? (
                <td key={word} />
              ) : (
                <th key={word} scope="col">
                  {word}
                </th>
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index}>
              {row.map((cell, at) => (
                <td key={at}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
