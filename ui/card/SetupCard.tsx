import { format, parseISO } from 'date-fns';
import { alternativeTable } from '@/core/catalog/alternatives';
import { getRecipe } from '@/core/setup/recipes';
import { formatLength, type LengthUnits } from '@/core/units/length';
import type { Day } from '@/core/units/day';
import type { Judgement } from '@/server/judgement';
import { SceneView } from '@/ui/drawing/SceneView';
import { CautionLine } from '@/ui/layout/Page';
import { VerdictMark, verdictWords } from '@/ui/marks/VerdictMark';
import { drawTonight, isKick, stageOf } from './StageDrawing';
import { DistanceTable } from './DistanceTable';
import { PropList } from './PropList';
import { cardPrintScale, cardPxPerM } from './scale';
import classes from './card.module.css';

interface SetupCardProps {
  readonly judgement: Judgement;
  readonly date: Day;
  readonly units: LengthUnits;
}

/** One student, one stage, one page: what to set out, where, and what to look at first. */
export function SetupCard({ judgement, date, units }: SetupCardProps) {
  const { verdict, person } = judgement;
  const stage = stageOf(judgement);
  const { alternative } = verdict;
  return (
    <article className={classes.card}>
      <header className={classes.head}>
        <div>
          <h2>{person.name}</h2>
          <p className={classes.stage}>
            {alternative ? alternativeTable[alternative].label : stage.label}
          </p>
        </div>
        <p className={classes.facts}>
          {format(parseISO(date), 'EEEE d MMMM yyyy')}
          <br />
          {judgement.opened.school.profile.label} profile
          <br />
          <span className={classes.verdict}>
            <VerdictMark kind={verdict.kind} sizePx={20} /> {verdictWords[verdict.kind]}
          </span>
        </p>
      </header>
      {alternative ? (
        <AlternativeBody judgement={judgement} units={units} />
      ) : (
        <StageBody judgement={judgement} units={units} />
      )}
      <CautionLine />
    </article>
  );
}

type BodyProps = Omit<SetupCardProps, 'date'>;

function AlternativeBody({ judgement, units }: BodyProps) {
  const alternative = judgement.verdict.alternative!;
  const scene = drawTonight(judgement, { pxPerM: cardPxPerM, units, detail: 'card' });
  return (
    <div className={classes.instead}>
      <SceneView
        scene={scene}
        label={alternativeTable[alternative].label}
        printScale={cardPrintScale}
      />
      <p>{alternativeTable[alternative].how}</p>
    </div>
  );
}

function StageBody({ judgement, units }: BodyProps) {
  const { setup, verdict } = judgement;
  const stage = stageOf(judgement);
  const scene = drawTonight(judgement, { pxPerM: cardPxPerM, units, detail: 'card' });
  const watch = verdict.caution.adaptations;
  return (
    <div className={classes.columns}>
      <figure className={classes.figure}>
        <SceneView scene={scene} label={stage.label} printScale={cardPrintScale} />
        <figcaption>
          {isKick(stage) ? 'From the side, and below it from above.' : 'From the side.'} On paper 1
          to {cardPrintScale}.
        </figcaption>
      </figure>
      <div>
        {isKick(stage) ? (
          <>
            <DistanceTable setup={setup} units={units} />
            <PropList setup={setup} units={units} />
            {[...setup.cautions, ...setup.notes].map((sentence) => (
              <p key={sentence} className={classes.note}>
                {sentence}
              </p>
            ))}
          </>
        ) : (
          <RecipeBody judgement={judgement} units={units} />
        )}
        {watch.length > 0 && <p className={classes.note}>Take care: {watch.join('; ')}.</p>}
        <h2>Before weight goes on</h2>
        <ul>
          {(stage.checkFirst ?? []).map((check) => (
            <li key={check}>{check}</li>
          ))}
        </ul>
        <dl className={classes.ways}>
          <dt>Assist</dt>
          <dd>{stage.assist ?? 'None'}</dd>
          <dt>Way out</dt>
          <dd>{stage.exit}</dd>
          <dt>Step down</dt>
          <dd>{stage.stepDown}</dd>
        </dl>
      </div>
    </div>
  );
}

/** What is measured for a stage other than the kick; its words where nothing is. */
function RecipeBody({ judgement, units }: BodyProps) {
  const stage = stageOf(judgement);
  const { school } = judgement.opened;
  if (stage.recipe === undefined) return <p className={classes.note}>{stage.how}</p>;
  const { distances, cautions, notes } = getRecipe(stage.recipe).solve({
    body: judgement.body,
    profile: school.profile.origin,
    settings: school.settings,
    pieces: judgement.pieces,
  });
  return (
    <>
      <p className={classes.note}>{stage.how}</p>
      <dl className={classes.ways}>
        {distances.map(({ id, label, metres, basis }) => (
          <div key={id} style={{ display: 'contents' }}>
            <dt>{label}</dt>
            <dd>
              {basis === 'estimated' ? '~' : ''}
              {formatLength(metres, units)}
            </dd>
          </div>
        ))}
      </dl>
      {[...cautions, ...notes].map((sentence) => (
        <p key={sentence} className={classes.note}>
          {sentence}
        </p>
      ))}
    </>
  );
}
