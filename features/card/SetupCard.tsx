import { sayEveningOnPaper } from '@/design/days';
import { beforeWeight } from '@/core/setups/beforeWeight';
import { alternativeTable } from '@/core/catalog/alternatives';
import { toDrawn } from '@/core/drawing/alternativeSide';
import { forearmKickSetup, type ForearmKickSetup } from '@/core/setups/forearmKick';
import { forearmHandsOf } from '@/core/setups/forearms';
import { lookAt, sayAt, watchAt } from '@/core/ladder/eyeWords';
import type { StageSpec } from '@/core/catalog/stage';
import { variantTable } from '@/core/setups/setup';
import { getSetup } from '@/core/setups/registry';
import { solveStage } from '@/core/setups/solveStage';
import { sayIn, type LengthUnits } from '@/core/units/length';
import type { Day } from '@/core/units/day';
import type { Judgement } from '@/server/judging/judgement';
import { SceneView } from '@/design/drawing/SceneView';
import { CautionLine } from '@/design/Page';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { drawTonight, stageOf } from './StageDrawing';
import { DistanceTable } from './DistanceTable';
import { PropList } from './PropList';
import { listBeyond, SetupFigures } from './SetupFigures';
import { cardPrintScale, cardPxPerM } from './scale';
import classes from './card.module.css';

interface SetupCardProps {
  /** What of tonight it shows: `B, rounds 1 and 2`; absent: the rung, whatever the evening holds. */
  readonly tonight?: string;
  readonly judgement: Judgement;
  readonly date: Day;
  readonly units: LengthUnits;
}

/** One student, one stage, one page: what to set out, where, and what to look at first. */
export function SetupCard({ judgement, date, units, tonight }: SetupCardProps) {
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
            {alternative ? '' : handsSaid(judgement, stage)}
          </p>
          {tonight !== undefined && <p className={classes.mark}>{tonight}</p>}
        </div>
        <p className={classes.facts}>
          {sayEveningOnPaper(date)}
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

/** Hands that need no block, beside a name that speaks of one. */
function handsSaid({ setupInput }: Judgement, { recipe }: StageSpec): string {
  if (recipe === undefined || getSetup(recipe).hasHands !== true) return '';
  const hands = forearmHandsOf(setupInput);
  return hands === 'block' ? '' : `, ${variantTable[hands]}`;
}

type BodyProps = Omit<SetupCardProps, 'date'>;

function AlternativeBody({ judgement, units }: BodyProps) {
  const alternative = judgement.verdict.alternative!;
  const drawn = toDrawn(alternative);
  const result = solveStage(judgement.setupInput, drawn);
  const scene = drawTonight(judgement, { pxPerM: cardPxPerM, units, detail: 'card' });
  return (
    <div className={classes.instead}>
      <SceneView
        scene={scene}
        label={alternativeTable[alternative].label}
        printScale={cardPrintScale}
      />
      <div>
        <p>{alternativeTable[alternative].how}</p>
        {result && (
          <SetupFigures
            input={judgement.setupInput}
            stage={drawn}
            result={result}
            units={units}
            listClass={classes.ways}
            noteClass={classes.note}
          />
        )}
      </div>
    </div>
  );
}

function StageBody({ judgement, units }: BodyProps) {
  const { setup, setupInput, verdict } = judgement;
  const stage = stageOf(judgement);
  const scene = drawTonight(judgement, { pxPerM: cardPxPerM, units, detail: 'card' });
  const watch = verdict.caution.adaptations;
  const isKick = stage.recipe !== undefined && getSetup(stage.recipe).sideView === 'kick';
  return (
    <div className={classes.columns}>
      <figure className={classes.figure}>
        <SceneView scene={scene} label={stage.label} printScale={cardPrintScale} />
        <figcaption>
          {isKick ? 'From the side, and below it from above.' : 'From the side.'} On paper 1 to{' '}
          {cardPrintScale}. <LookFor judgement={judgement} />
        </figcaption>
      </figure>
      <div>
        {isKick ? (
          <KickBody setup={forearmKickSetup(setupInput)} units={units} />
        ) : (
          <>
            <p className={classes.note}>{stage.how}</p>
            {setup && (
              <SetupFigures
                input={setupInput}
                stage={stage}
                result={setup}
                units={units}
                listClass={classes.ways}
                noteClass={classes.note}
              />
            )}
          </>
        )}
        {(isKick || setup === null) &&
          listBeyond(setupInput, stage, setup).map((sentence) => (
            <p key={sentence} className={classes.note}>
              {sentence}
            </p>
          ))}
        {watch.length > 0 && <p className={classes.note}>Take care: {watch.join('; ')}.</p>}
        <SayAndWatch judgement={judgement} />
        <h2>Before weight goes on</h2>
        <ul>
          {beforeWeight(stage, judgement.opened.school.settings, setup?.distances ?? []).map(
            (check) => (
              <li key={check}>{check}</li>
            ),
          )}
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

/** On paper a few words beside the drawing, where there is room: what is said is known. */
function LookFor({
  judgement: { opened, verdict, setupInput },
}: Pick<SetupCardProps, 'judgement'>) {
  const look = lookAt(opened.school, verdict.stage, setupInput.body.forearmHands);
  return look.length === 0 ? null : (
    <span className="only-print">For the eye: {look.join(', ')}.</span>
  );
}

function SayAndWatch({ judgement }: Pick<SetupCardProps, 'judgement'>) {
  const { opened, verdict } = judgement;
  const hands = judgement.setupInput.body.forearmHands;
  const say = sayAt(opened.school, verdict.stage, hands);
  const watch = watchAt(opened.school, verdict.stage);
  if (say.length === 0 && watch.length === 0) return null;
  return (
    <>
      {say.length > 0 && <p className={`${classes.note} no-print`}>Say: {say.join(' ')}</p>}
      {watch.length > 0 && <p className={classes.note}>Watch for: {watch.join(', ')}.</p>}
    </>
  );
}

function KickBody({
  setup,
  units,
}: {
  readonly setup: ForearmKickSetup;
  readonly units: LengthUnits;
}) {
  return (
    <>
      <DistanceTable setup={setup} units={units} />
      <PropList setup={setup} units={units} />
      {[...setup.cautions, ...setup.notes].map((sentence) => (
        <p key={sentence} className={classes.note}>
          {sayIn(sentence, units)}
        </p>
      ))}
    </>
  );
}
