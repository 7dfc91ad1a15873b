import { format, parseISO } from 'date-fns';
import { alternativeTable } from '@/core/catalog/alternatives';
import { profileTable } from '@/core/catalog/profiles';
import { getStage } from '@/core/catalog/stages';
import { drawAlternative } from '@/core/drawing/alternative';
import { drawForearmKick } from '@/core/drawing/elevation';
import type { Meeting } from '@/core/units/course';
import type { LengthUnits } from '@/core/units/length';
import type { Judgement } from '@/server/judgement';
import { SceneView } from '@/ui/drawing/SceneView';
import { CautionLine } from '@/ui/layout/Page';
import { VerdictMark, verdictWords } from '@/ui/marks/VerdictMark';
import { DistanceTable } from './DistanceTable';
import { PropList } from './PropList';
import { cardPrintScale, cardPxPerM } from './scale';
import classes from './card.module.css';

interface SetupCardProps {
  readonly judgement: Judgement;
  readonly meeting: Meeting;
  readonly units: LengthUnits;
}

/** One student, one stage, one page: what to set out, where, and what to look at first. */
export function SetupCard({ judgement, meeting, units }: SetupCardProps) {
  const { verdict, person } = judgement;
  const stage = getStage(verdict.stage);
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
          {format(parseISO(meeting.date), 'EEEE d MMMM yyyy')}
          <br />
          {profileTable[verdict.profile].label} profile
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

type BodyProps = Omit<SetupCardProps, 'meeting'>;

function AlternativeBody({ judgement: { body, verdict }, units }: BodyProps) {
  const alternative = verdict.alternative!;
  const scene = drawAlternative(body, alternative, { pxPerM: cardPxPerM, units, detail: 'card' });
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

function StageBody({ judgement: { body, setup, verdict }, units }: BodyProps) {
  const stage = getStage(verdict.stage);
  const scene = drawForearmKick(body, setup, { pxPerM: cardPxPerM, units, detail: 'card' });
  const watch = verdict.caution.adaptations;
  return (
    <div className={classes.columns}>
      <figure className={classes.figure}>
        <SceneView scene={scene} label={stage.label} printScale={cardPrintScale} />
        <figcaption>
          From the side, and below it from above. On paper 1 to {cardPrintScale}.
        </figcaption>
      </figure>
      <div>
        <DistanceTable setup={setup} units={units} />
        <PropList setup={setup} units={units} />
        {[...setup.cautions, ...setup.notes].map((sentence) => (
          <p key={sentence} className={classes.note}>
            {sentence}
          </p>
        ))}
        {watch.length > 0 && <p className={classes.note}>Take care: {watch.join('; ')}.</p>}
        <h2>Before weight goes on</h2>
        <ul>
          {(stage.checkFirst ?? []).map((check) => (
            <li key={check}>{check}</li>
          ))}
        </ul>
        <dl className={classes.ways}>
          <dt>Assist</dt>
          <dd>{stage.assist}</dd>
          <dt>Way out</dt>
          <dd>{stage.exit}</dd>
          <dt>Step down</dt>
          <dd>{stage.stepDown}</dd>
        </dl>
      </div>
    </div>
  );
}
