import { drillsOf } from '@/core/compose/drillsOf';
import { sayingRefused } from '@/core/compose/sayingRefused';
import { outAsWished, thereFor } from '@/core/compose/saidBefore';
import { caresIn, listSittingOut, sayingOut } from '@/core/compose/sittingOut';
import { Refused } from '@/features/evening/Refused';
import type { PlanFile } from '@/core/files/planFile';
import { sayMoves } from '@/core/files/moveWords';
import { findOption } from '@/core/compose/readBack';
import { propWords } from '@/core/pieces/rows';
import type { ClassView } from '@/server/judging/classViews';
import { CautionLine } from '@/design/Page';
import { firstUp } from '@/core/units/words';
import { clockAt, type DrawingContext } from '@/features/evening/marks';
import { ChecksList } from '@/features/evening/ChecksList';
import { nameOf, shortNames } from '@/features/evening/names';
import { RoomView } from '@/features/evening/RoomView';
import { StationRow } from '@/features/evening/StationRow';
import classes from './print.module.css';
import { LayOutSheet } from './LayOutSheet';
import type { Said } from './said';
import { SheetHead, type SheetProps } from './SheetHead';
import { sayRound } from './sayRound';
import { StripSheet, type StripSheetProps } from './StripSheet';
import { StudentCards } from './StudentCards';

const toContext = ({ prepared, members, school, settings }: ClassView): DrawingContext => ({
  prepared,
  members,
  school,
  units: settings.units,
});

/** The class on paper: the order, what to lay out, the room, the helper's sheet, everybody's card. */
export function PrintSheets({
  view,
  plan,
  stages,
  said,
}: SheetProps & Pick<StripSheetProps, 'stages'> & SaidProps) {
  return (
    <div className={classes.sheets}>
      <OrderSheet view={view} plan={plan} said={said} />
      <TeacherSheet view={view} plan={plan} />
      {plan.rounds.length > 0 && <LayOutSheet view={view} plan={plan} />}
      {listRoomSheets(plan).map((round) => (
        <RoomSheet key={round} view={view} plan={plan} round={round} />
      ))}
      {plan.rounds.length > 0 && <HelperSheet view={view} plan={plan} />}
      <StripSheet view={view} plan={plan} stages={stages} />
      {plan.rounds.length > 0 && (
        <div data-sheet="cards">
          <StudentCards plan={plan} context={toContext(view)} members={view.members} />
        </div>
      )}
    </div>
  );
}

const stationScale = 80;
/** What the room and its margins may take on paper, metres, beside the row of set-ups. */
const paper = { widthM: 0.165, heightM: 0.096 } as const;

/** The largest round scale at which the room fits the sheet. */
const roomScale = ({ widthM, depthM }: ClassView['prepared']['room']): number =>
  Math.ceil(Math.max(widthM / paper.widthM, depthM / paper.heightM) / 5) * 5;

/** A round that looks like the one before it needs no sheet of its own. */
function listRoomSheets({ rounds }: PlanFile): number[] {
  const looks = rounds.map(({ people }) =>
    JSON.stringify(people.map(({ id, letter, place }) => [id, letter, place])),
  );
  return looks.flatMap((look, index) => (index > 0 && look === looks[index - 1] ? [] : [index]));
}

/** What was said of tonight before the class. */
const wishedOut = (
  { prepared }: ClassView,
  { wishes }: PlanFile,
  item: PlanFile['timeline'][number],
) => outAsWished(item, wishes, drillsOf(prepared));

const peopleIn = (
  { prepared }: ClassView,
  { wishes }: PlanFile,
  item: PlanFile['timeline'][number],
) => thereFor(item, prepared.people, wishes);

interface SaidProps {
  readonly said: Said;
}

function OrderSheet({ view, plan, said }: SheetProps & SaidProps) {
  const names = shortNames(view.members);
  const drills = drillsOf(view.prepared);
  return (
    <section className={classes.sheet} data-sheet="order" aria-label="Running order">
      <SheetHead view={view} title="Running order" />
      <ol className={classes.order}>
        {plan.timeline.map((item) => {
          const round = roundOf(plan, item);
          const { id, label, startsAt, minutes, kind, waves, drill } = item;
          const how = drill === undefined ? undefined : drills[drill]?.how;
          const out = listSittingOut(item, peopleIn(view, plan, item), wishedOut(view, plan, item));
          return (
            <li key={id} data-kind={kind}>
              <strong>{clockAt(view.meeting.startsAt, startsAt)}</strong>
              <span>
                {label}
                {item.dose === undefined ? '' : `: ${item.dose}`}
                {waves === 2 ? ' (in two turns)' : ''}
                {sayMoves(item) !== '' && <em>. {firstUp(sayMoves(item))}.</em>}
                {how !== undefined && <small>{how}</small>}
                {round !== undefined && <small>{sayRound(round, names)}</small>}
                {out.length > 0 && (
                  <small> Instead: {sayingOut(out, (who) => names.get(who) ?? who)}</small>
                )}
              </span>
              <span>{minutes} min</span>
            </li>
          );
        })}
      </ol>
      {plan.checks.length > 0 && (
        <>
          <h3>Checks tonight</h3>
          <ChecksList plan={plan} members={view.members} taken={said.taken} />
        </>
      )}
      <SaidList said={said} />
      {plan.moves !== undefined && (
        <p>
          {sayCount(plan.moves.positions, 'change')} of position,{' '}
          {sayCount(plan.moves.props, 'thing')} fetched or put away.
        </p>
      )}
      {plan.notes.map((note) => (
        <p key={note}>{note}</p>
      ))}
      <CautionLine />
    </section>
  );
}

/** The round that a line of the order stands for. */
function roundOf({ timeline, rounds }: PlanFile, item: PlanFile['timeline'][number]) {
  if (item.kind !== 'round') return undefined;
  return rounds[timeline.filter(({ kind }) => kind === 'round').indexOf(item)];
}

function SaidList({ said: { alike, lines } }: SaidProps) {
  if (alike.length + lines.length === 0) return null;
  return (
    <>
      <h3>Said, and looked for</h3>
      <ul className={classes.said}>
        {alike.map(({ letters, say }) => (
          <li key={say[0]}>
            <strong>{letters.join(', ')}.</strong> {say.map(toSentence).join(' ')}
          </li>
        ))}
        {lines.map(({ stage, label, letters, say, watch }) => (
          <li key={stage}>
            <strong>
              {letters.join(', ')} {label}.
            </strong>{' '}
            {say.map(toSentence).join(' ')}
            {watch.length > 0 && <em> Watch for: {watch.join('; ').toLowerCase()}.</em>}
          </li>
        ))}
      </ul>
    </>
  );
}

const toSentence = (words: string) => (/[.!?]$/.test(words) ? words : `${words}.`);

const sayCount = (count: number, one: string) => `${count} ${one}${count === 1 ? '' : 's'}`;

/** What the teacher alone reads: who is refused what, who does what with care, what is asked. */
function TeacherSheet({ view, plan }: SheetProps) {
  const names = shortNames(view.members);
  const toName = (id: string) => names.get(id) ?? id;
  const { people } = view.prepared;
  const here = people.filter(({ id }) => !plan.wishes.absent.includes(id));
  const lines = here.flatMap((person) => sayLines(view, plan, person));
  const rounds = plan.rounds.flatMap(({ round, people: placed }) =>
    placed.flatMap(({ id, option, label, confirmAtDoor, otherwise }) => {
      const watch = findOption(view.prepared, id, option)?.watch ?? [];
      const asked =
        confirmAtDoor.length === 0
          ? []
          : [
              `only if confirmed: ${confirmAtDoor.join(', ').toLowerCase()}; otherwise ${otherwise?.toLowerCase() ?? 'rest'}`,
            ];
      const words = [...watch, ...asked];
      return words.length === 0 ? [] : [{ key: `${round}/${id}`, round, id, label, words }];
    }),
  );
  const isQuiet =
    lines.length === 0 && rounds.length === 0 && here.every((one) => sayingRefused(one) === null);
  if (isQuiet) return null;
  return (
    <section className={classes.sheet} data-sheet="teacher" aria-label="For the teacher alone">
      <SheetHead view={view} title="For the teacher alone" />
      <p>Kept in the pocket: it is not for the wall, nor for anybody else’s eyes.</p>
      <Refused plan={plan} people={here} nameOf={toName} hasPages={false} />
      {lines.length > 0 && (
        <>
          <h3>With care, in the running order</h3>
          <ul>
            {lines.map(({ id, at, words }) => (
              <li key={`${id}/${words}`}>
                <strong>{toName(id)}</strong>: {words} ({at.join(', ')})
              </li>
            ))}
          </ul>
        </>
      )}
      {rounds.length > 0 && (
        <>
          <h3>With care, in the rounds</h3>
          <ul>
            {sayRounds(rounds).map(({ key, rounds: at, id, label, words }) => (
              <li key={key}>
                <strong>{toName(id)}</strong>, {label} ({at}): {words.join('; ')}
              </li>
            ))}
          </ul>
        </>
      )}
      <CautionLine />
    </section>
  );
}

/** Each care of one person once, with the times of the lines that it is for. */
function sayLines(
  view: ClassView,
  plan: PlanFile,
  person: ClassView['prepared']['people'][number],
): { id: string; words: string; at: string[] }[] {
  const groups = new Map<string, Set<string>>();
  for (const item of plan.timeline) {
    if (thereFor(item, [person], plan.wishes).length === 0) continue;
    const [out] = listSittingOut(item, [person], wishedOut(view, plan, item));
    // Whoever may yet be asked at the door may yet do it, and then with care.
    if (out !== undefined && !out.unlessAsked) continue;
    for (const words of caresIn(item, person)) {
      const at = clockAt(view.meeting.startsAt, item.startsAt);
      groups.set(words, (groups.get(words) ?? new Set()).add(at));
    }
  }
  return [...groups].map(([words, at]) => ({ id: person.id, words, at: [...at] }));
}

interface RoundCare {
  readonly round: number;
  readonly id: string;
  readonly label: string;
  readonly words: readonly string[];
}

/** The same words for the same person are said once, with the rounds they are for. */
function sayRounds(cares: readonly RoundCare[]) {
  const groups = new Map<string, RoundCare & { readonly all: number[] }>();
  for (const care of cares) {
    const key = `${care.id}/${care.label}/${care.words.join('/')}`;
    const known = groups.get(key);
    if (known === undefined) groups.set(key, { ...care, all: [care.round] });
    else known.all.push(care.round);
  }
  return [...groups].map(([key, { all, ...care }]) => ({
    ...care,
    key,
    rounds: `round${all.length > 1 ? 's' : ''} ${all.join(', ')}`,
  }));
}

function RoomSheet({ view, plan, round }: SheetProps & { readonly round: number }) {
  const same = listRoomSheets(plan);
  const next = same[same.indexOf(round) + 1] ?? plan.rounds.length;
  const scale = roomScale(view.prepared.room);
  const title = next - round > 1 ? `Rounds ${round + 1} to ${next}` : `Round ${round + 1}`;
  return (
    <section className={classes.sheet} data-sheet="rooms" aria-label={title}>
      <SheetHead view={view} title={title} />
      <p className={classes.scale}>
        Room drawn 1 to {scale}:{' '}
        {view.settings.units === 'cm'
          ? `a centimetre on paper is ${scale} cm`
          : `an inch on paper is ${scale} in`}{' '}
        of the floor; set-ups 1 to {stationScale}.
      </p>
      <div className={classes.room}>
        <RoomView
          plan={plan}
          round={round}
          prepared={view.prepared}
          members={view.members}
          units={view.settings.units}
          widthPx={680}
          withDimensions
          textPx={12}
          printScale={scale}
        />
      </div>
      <StationRow
        plan={plan}
        round={round}
        context={toContext(view)}
        pxPerM={52}
        printScale={stationScale}
        wraps
      />
    </section>
  );
}

/** What a helper needs: where, whom, whether to ask first. Nothing of anybody's health. */
function HelperSheet({ view, plan }: SheetProps) {
  const names = shortNames(view.members);
  const outs = plan.timeline.flatMap((item) => {
    const words = sayingOut(
      listSittingOut(item, peopleIn(view, plan, item), wishedOut(view, plan, item)),
      (who) => names.get(who) ?? who,
    );
    return words === '' ? [] : [{ id: item.id, label: item.label, words }];
  });
  return (
    <section className={classes.sheet} data-sheet="helper" aria-label="For the assistant">
      <SheetHead view={view} title="For the assistant" />
      <p>
        Hands on only where it says so. Ask first where it says ask. Anything unusual: the teacher.
      </p>
      {plan.rounds.map(({ round, people, teacherHelps }) => {
        const helped = people.filter(({ needsHand }) => needsHand);
        return (
          <div key={round}>
            <h3>
              Round {round}
              {teacherHelps ? ' (the teacher helps as well)' : ''}
            </h3>
            {helped.length === 0 ? (
              <p>Nobody is helped: watch the ends of the walls, pass props.</p>
            ) : (
              <ul>
                {helped.map(({ id, letter, label, option, asksFirst }) => (
                  <li key={id}>
                    <strong>
                      {letter} {nameOf(view.members, id)}
                    </strong>
                    , {label}: {findOption(view.prepared, id, option)?.assist ?? 'steady'}.
                    {asksFirst ? ' Ask first.' : ''}
                  </li>
                ))}
              </ul>
            )}
          </div>
        );
      })}
      {outs.length > 0 && (
        <>
          <h3>Who does something else meanwhile</h3>
          <ul>
            {outs.map(({ id, label, words }) => (
              <li key={id}>
                {label}: {words}
              </li>
            ))}
          </ul>
        </>
      )}
      <h3>Stations</h3>
      <ul>
        {listPosts(plan).map(({ letter, words, people }) => (
          <li key={letter + words}>
            {letter}: {words} ({people.map((id) => names.get(id) ?? id).join(', ')})
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What stands where under which letter: once, with all who use it in any round. */
function listPosts({ layOut }: PlanFile) {
  const posts = new Map<string, { letter: string; words: string; people: string[] }>();
  for (const { letter, where, props, people } of layOut) {
    const words = `${where}, ${propWords(props)}`;
    const post = posts.get(letter + words) ?? { letter, words, people: [] };
    post.people.push(...people.filter((id) => !post.people.includes(id)));
    posts.set(letter + words, post);
  }
  return [...posts.values()];
}
