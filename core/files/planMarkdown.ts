/** A plan as a text that reads anywhere: running order, rounds, what to lay out. No health notes. */
import { counted } from '../units/words';
import { propWords } from '../pieces/rows';
import type { DrillBook } from '../catalog/drills';
import { outAsWished, thereFor } from '../compose/saidBefore';
import { listSittingOut, sayingOut } from '../compose/sittingOut';
import { bindingWords } from '../compose/bindingWords';
import { layOutWhere, placeWords } from '../compose/layOut';
import type { LengthUnits } from '../units/length';
import { sayMoves } from './moveWords';
import type { PlanFile } from './planFile';

export interface MarkdownWords {
  readonly heading: string;
  /** `HH:MM`. */
  readonly startsAt: string;
  readonly nameOf: (id: string) => string;
  /** Who is in the class: some sit a line out, and are told what instead. */
  readonly people: Parameters<typeof listSittingOut>[1];
  /** The drills of the class: what was said of tonight before it is kept out of them. */
  readonly drills: DrillBook;
  readonly units: LengthUnits;
}

const two = (value: number) => String(value).padStart(2, '0');

function clock(startsAt: string, minutes: number): string {
  const [hour, minute] = startsAt.split(':').map(Number);
  const total = hour! * 60 + minute! + Math.floor(minutes + 1e-6);
  return `${two(Math.floor(total / 60) % 24)}:${two(total % 60)}`;
}

/** Signs that mean something in Markdown are taken at their word. */
const plain = (words: string) => words.replace(/([\\`*_{}[\]<>|#])/g, '\\$1');

export function writeMarkdown(plan: PlanFile, words: MarkdownWords): string {
  const { heading, startsAt, units } = words;
  const name = (id: string) => plain(words.nameOf(id));
  const lines: string[] = [`# ${plain(heading)}`, ''];
  lines.push(
    `${plan.wishes.minutes} minutes, ${counted(plan.rounds.length, 'round')}. At most ${plan.gapPercent.toFixed(1)} % from the best there is.`,
    '',
    '## Running order',
    '',
  );
  for (const item of plan.timeline) {
    const { label, startsAt: at, minutes, dose } = item;
    const out = sayingOut(
      listSittingOut(
        item,
        thereFor(item, words.people, plan.wishes),
        outAsWished(item, plan.wishes, words.drills),
      ),
      words.nameOf,
    );
    const instead = out === '' ? '' : `; instead, ${plain(out)}`;
    const much = dose === undefined ? '' : `, ${plain(dose)}`;
    const moved = plain(sayMoves(item));
    lines.push(
      `- ${clock(startsAt, at)} ${plain(label)} (${minutes} min${much})${moved === '' ? '' : `; ${moved}`}${instead}`,
    );
  }
  for (const { round, people } of plan.rounds) {
    lines.push(
      '',
      `## Round ${round}`,
      '',
      '| | who | what | where |',
      '| --- | --- | --- | --- |',
    );
    for (const one of people) {
      const where = placeWords(one.place, units);
      const door =
        one.confirmAtDoor.length > 0
          ? ` (if confirmed at the door: ${one.confirmAtDoor.join(', ')}; otherwise ${one.otherwise ?? 'rest'})`
          : '';
      const hand = one.needsHand ? (one.asksFirst ? ' (help, ask first)' : ' (help)') : '';
      lines.push(
        `| ${one.letter ?? ''} | ${name(one.id)} | ${plain(one.label)}${one.dose === undefined ? '' : `, ${plain(one.dose)}`}${hand}${plain(door)} | ${where} |`,
      );
    }
  }
  lines.push('', '## To lay out', '');
  // Mats without a place of their own are one line.
  const out = new Map<string, (readonly string[])[]>();
  for (const line of plan.layOut) {
    const { letter, props: pieces, fallbackProps, people } = line;
    const also = fallbackProps.length > 0 ? `; beside it ${propWords(fallbackProps)}` : '';
    const said = `- ${letter}, ${layOutWhere(plan, line, units)}: ${propWords(pieces)}${also}`;
    out.set(said, [...(out.get(said) ?? []), people]);
  }
  for (const [said, each] of out) {
    lines.push(`${said}${each.length > 1 ? ' each' : ''} (${each.flat().map(name).join(', ')})`);
  }
  if (plan.checks.length > 0) {
    lines.push('', '## Checks', '');
    for (const { label, minutes, people } of plan.checks) {
      lines.push(
        `- ${plain(label)} (${minutes.toFixed(1)} min): ${people.map(({ id }) => name(id)).join(', ')}`,
      );
    }
  }
  if (plan.notes.length > 0 || plan.binding.length > 0) {
    lines.push('', '## What binds', '');
    for (const note of plan.notes) lines.push(`- ${plain(note)}`);
    for (const one of plan.binding) lines.push(`- ${plain(bindingWords(one, units))}`);
  }
  return `${lines.join('\n')}\n`;
}
