import { stageKey } from '@/core/catalog/keys';
import { beforeWeight } from '@/core/setups/beforeWeight';
import { SetupFigures } from '@/features/card/SetupFigures';
import { Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { notFound } from 'next/navigation';
import { faultTable } from '@/core/catalog/checks';
import { cautionColumns } from '@/core/catalog/cautionColumns';
import { ladderTable } from '@/core/catalog/stage';
import { drawFront } from '@/core/drawing/front';
import { readPersonId } from '@/server/personId';
import { readRungPage, type RungPageView } from './rungPage';
import { getWayUp } from '@/core/catalog/waysUp';
import { MoveView } from '@/design/atlas/MoveView';
import { StripView } from '@/design/atlas/StripView';
import { SceneView } from '@/design/drawing/SceneView';
import { LinkButton } from '@/design/LinkButton';
import { CautionLine, Page } from '@/design/Page';
import { Beside } from './Beside';
import { PersonPicker } from './PersonPicker';
import { RungDrawing } from './RungDrawing';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { Said } from '@/design/units';
import { rungHref } from './rungHref';
import { sayLoads } from './sayLoads';
import classes from './ladders.module.css';

interface RungPageProps {
  readonly params: Promise<{ readonly stage: string }>;
  readonly searchParams: Promise<{
    readonly person?: string | string[];
    readonly beside?: string | string[];
  }>;
}

export async function RungPage({ params, searchParams }: RungPageProps) {
  const { person, beside } = await searchParams;
  const idOf = (text: typeof person) => (typeof text === 'string' ? readPersonId(text) : null);
  const stage = stageKey.safeParse((await params).stage);
  const view = stage.success ? readRungPage(stage.data, idOf(person), idOf(beside)) : null;
  if (view === null) notFound();
  const { spec, cue } = view.stage;
  return (
    <Page>
      <div className={classes.head}>
        <div style={{ flex: 1 }}>
          <Title order={1} size="1.8rem">
            {spec.label}
          </Title>
          <p className={classes.sub}>
            {ladderTable[spec.family].label}
            {spec.sanskrit ? ` · ${spec.sanskrit}` : ''}
            {view.stage.ways.length === 0 ? ' · closed in this profile' : ''}
          </p>
        </div>
        <PersonPicker people={view.people} chosen={view.person?.id ?? null} />
        <LinkButton href="/ladders" variant="default" size="sm">
          All ladders
        </LinkButton>
      </div>
      <div className={classes.rungPage}>
        <div>
          <RungDrawing view={view} />
          <FromFront view={view} />
          {view.recipe && <Distances view={view} />}
          <Moves view={view} />
        </div>
        <div>
          <p className={classes.lead}>{spec.how}</p>
          {cue && (
            <p>
              “{cue}” <span className={classes.hint}>({view.school.profile.label})</span>
            </p>
          )}
          <Facts view={view} />
          <Standing view={view} />
          {view.one !== null && <Beside one={view.one} other={view.other} people={view.people} />}
        </div>
      </div>
      <CautionLine />
    </Page>
  );
}

/** What the side cannot show: elbows or hands against the shoulders. */
function FromFront({ view: { setupInput, stage, settings } }: { readonly view: RungPageView }) {
  const scene = drawFront(setupInput, stage.spec, { pxPerM: 130, units: settings.units });
  if (scene === null) return null;
  return (
    <figure className={classes.fromFront}>
      <SceneView scene={scene} label={stage.spec.label} />
      <figcaption>From the front. {scene.caption}</figcaption>
    </figure>
  );
}

function Distances({
  view: { recipe, setupInput, stage, settings },
}: {
  readonly view: RungPageView;
}) {
  return (
    <>
      <h2>Set-up</h2>
      <SetupFigures
        input={setupInput}
        stage={stage.spec}
        result={recipe!}
        units={settings.units}
        listClass={classes.facts}
        noteClass={classes.hint}
      />
    </>
  );
}

/** How it is come into, with the help that is given, and how it is left. */
function Moves({
  view: {
    stage: { spec },
  },
}: {
  readonly view: RungPageView;
}) {
  return (
    <>
      {spec.move !== undefined && (
        <>
          <h2>{spec.help === undefined ? 'In' : 'In, and the help that is given'}</h2>
          <MoveView
            move={spec.move}
            label={spec.label}
            {...(spec.help === undefined ? {} : { help: spec.help })}
          />
        </>
      )}
      {spec.waysUp && spec.waysUp.length > 0 && (
        <>
          <h2>Ways up</h2>
          <ul className={classes.strips}>
            {spec.waysUp.map((way) => (
              <li key={way}>
                <StripView move={getWayUp(way).move} label={getWayUp(way).label} heightPx={110} />
                {getWayUp(way).label}
              </li>
            ))}
          </ul>
        </>
      )}
      {spec.leave !== undefined && (
        <>
          <h2>How it is left</h2>
          <StripView move={spec.leave} label={`Way out: ${spec.exit}`} heightPx={130} />
        </>
      )}
    </>
  );
}

function Facts({
  view: { stage, gate, say, before, after, person, school, recipe },
}: {
  readonly view: RungPageView;
}) {
  const { spec } = stage;
  const first = beforeWeight(spec, school.settings, recipe?.distances ?? []);
  const links = (list: RungPageView['before']) =>
    list.map(({ stage: key, label }, index) => (
      <span key={key}>
        {index > 0 && ' or '}
        <Link href={rungHref(key, person?.id ?? null)} data-alone>
          {label}
        </Link>
      </span>
    ));
  return (
    <dl className={classes.facts}>
      <dt>Dose</dt>
      <dd>{spec.dose}</dd>
      <dt>Opens with</dt>
      <dd>
        <Said>{gate.length === 0 ? 'nothing' : gate.join('; ')}</Said>
      </dd>
      {first.length > 0 && (
        <>
          <dt>Look first</dt>
          <dd>{first.join(' · ')}</dd>
        </>
      )}
      {say.length > 0 && (
        <>
          <dt>To say</dt>
          <dd>{say.join(' ')}</dd>
        </>
      )}
      <dt>Does not count if</dt>
      <dd>
        {spec.faults.length === 0 ? '—' : spec.faults.map((f) => faultTable[f].label).join(', ')}
      </dd>
      <dt>Step down</dt>
      <dd>{spec.stepDown}</dd>
      <dt>Assist</dt>
      <dd>{spec.assist ?? 'none'}</dd>
      <dt>Way out</dt>
      <dd>{spec.exit}</dd>
      <dt>Counterpose</dt>
      <dd>{spec.counter ?? ladderTable[spec.family].counter.label}</dd>
      <dt>Loads</dt>
      <dd>{sayLoads(spec.loads)}</dd>
      <dt>Cautions look at</dt>
      <dd>
        {spec.columns.length === 0
          ? 'nothing here'
          : spec.columns.map((column) => cautionColumns[column]).join(', ')}
      </dd>
      <dt>Comes after</dt>
      <dd>{before.length === 0 ? 'the floor' : links(before)}</dd>
      {after.length > 0 && (
        <>
          <dt>Leads to</dt>
          <dd>{links(after)}</dd>
        </>
      )}
    </dl>
  );
}

function Standing({ view: { verdict, person, here, waiting } }: { readonly view: RungPageView }) {
  return (
    <>
      {verdict && person && (
        <>
          <h2>{person.name}</h2>
          <p style={{ display: 'flex', gap: 8, alignItems: 'center', margin: 0 }}>
            <VerdictMark kind={verdict.kind} /> <strong>{verdictWords[verdict.kind]}</strong>
          </p>
          <ul>
            {verdict.reasons.map((reason) => (
              <li key={reason}>
                <Said>{reason}</Said>
              </li>
            ))}
          </ul>
        </>
      )}
      {here.length > 0 && <p>On this rung: {here.map(({ name }) => name).join(', ')}</p>}
      {waiting.length > 0 && (
        <>
          <h2>At this gate</h2>
          <ul className={classes.waiting}>
            {waiting.map((one) => (
              <li key={one.id}>
                <VerdictMark kind={one.kind} />
                <span>
                  <Link href={`/people/${one.id}`}>{one.name}</Link> {verdictWords[one.kind]}
                  <small>{one.forWhat}</small>
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
