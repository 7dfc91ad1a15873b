import type { PlannedOption } from '@/core/compose/option';
import { findOption } from '@/core/compose/readBack';
import { propWords } from '@/core/pieces/rows';
import type { PlanFile } from '@/core/files/planFile';
import { firstUp } from '@/core/units/words';
import { SceneView } from '@/design/drawing/SceneView';
import { figureWords } from '@/features/evening/figureWords';
import { drawStation, type DrawingContext } from '@/features/evening/marks';
import { nameOf } from '@/features/evening/names';
import type { ClassMember } from '@/server/judging/classViews';
import classes from './print.module.css';

interface StudentCardsProps {
  readonly plan: PlanFile;
  readonly context: DrawingContext;
  readonly members: readonly ClassMember[];
}

/** What one person does, with the rounds in which they do it. */
interface Turn {
  readonly placed: PlanFile['rounds'][number]['people'][number];
  readonly rounds: number[];
  readonly option: PlannedOption | undefined;
}

const cardScale = 80;

function listTurns(id: string, plan: PlanFile, { prepared }: DrawingContext): Turn[] {
  const turns: Turn[] = [];
  for (const { round, people } of plan.rounds) {
    const placed = people.find((one) => one.id === id);
    if (placed === undefined) continue;
    const known = turns.find(
      (turn) => turn.placed.option === placed.option && turn.placed.letter === placed.letter,
    );
    if (known !== undefined) known.rounds.push(round);
    else {
      turns.push({ placed, rounds: [round], option: findOption(prepared, id, placed.option) });
    }
  }
  return turns;
}

/** Everybody's own card: what they do in each round, how much of it, and every distance of it. */
export function StudentCards({ plan, context, members }: StudentCardsProps) {
  const ids = plan.rounds[0]!.people.map(({ id }) => id);
  return (
    <section className={classes.cards} aria-label="Cards">
      {ids.map((id) => (
        <article key={id} className={classes.card}>
          <h3>{nameOf(members, id)}</h3>
          <ol className={classes.turns}>
            {listTurns(id, plan, context).map(({ placed, rounds, option }) => {
              const scene = option && drawStation(option, id, context, { pxPerM: 60 });
              const laid = option === undefined ? '' : sayLaid(option, context.units);
              return (
                <li key={`${placed.option}${placed.letter}`}>
                  {scene && <SceneView scene={scene} label={placed.label} printScale={cardScale} />}
                  <p>
                    <span className={classes.letter}>{placed.letter ?? '–'}</span>{' '}
                    {rounds.length === 1 ? 'Round' : 'Rounds'} {rounds.join(', ')}:{' '}
                    <strong>{placed.label}</strong>
                    {placed.dose === undefined ? '' : `, ${placed.dose}`}
                    {placed.sharesWith ? ', in turn' : ''}.{laid === '' ? '' : ` ${firstUp(laid)}.`}
                    {option?.checkFirst !== undefined && (
                      <small> First: {option.checkFirst.join('; ')}.</small>
                    )}
                    {placed.confirmAtDoor.length > 0 &&
                      ` Only if confirmed at the door; otherwise ${placed.otherwise?.toLowerCase() ?? 'rest'}.`}
                  </p>
                </li>
              );
            })}
          </ol>
        </article>
      ))}
    </section>
  );
}

/** What is laid out and measured; the dose stands beside it. */
function sayLaid({ tries: _, ...option }: PlannedOption, units: DrawingContext['units']): string {
  return [propWords(option.props), figureWords(option, units)]
    .filter((words) => words !== '')
    .join('; ');
}
