import { alternativeTable } from '@/core/catalog/alternatives';
import type { Verdict } from '@/core/ladder/verdict';
import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import { Said } from '@/design/units';
import { PainGone } from './PainGone';
import classes from './person.module.css';

/** The two sentences that explain the model (handbook 06). */
const metMeans =
  'Met means the bar was held on two days and chances are at least four in five that tonight comes within a tenth of it. A hold you stopped counts as at least that long; one with a fault can only count against.';

interface VerdictPanelProps {
  readonly personId: number;
  readonly verdict: Verdict;
  readonly stageLabel: string;
  readonly profileLabel: string;
  /** Pain older than today can be noted as gone. */
  readonly hasOldPain: boolean;
}

/** The verdict, why, and what would help most. */
export function VerdictPanel({
  personId,
  verdict,
  stageLabel,
  profileLabel,
  hasOldPain,
}: VerdictPanelProps) {
  const { kind, reasons, helpMost, alternative, caution, atDoor } = verdict;
  return (
    <section aria-label="Verdict" className={classes.verdict}>
      <p className={classes.verdictHead}>
        <VerdictMark kind={kind} sizePx={34} />
        <span>
          {stageLabel}: <strong>{verdictWords[kind]}</strong>
          {atDoor.length > 0 && kind !== 'stay' ? ', if confirmed at the door' : ''}
        </span>
      </p>
      <ul className={classes.reasons}>
        {reasons.map((reason) => (
          <li key={reason}>
            <Said>{reason}</Said>
          </li>
        ))}
        {caution.isOpen &&
          caution.adaptations.map((adaptation) => <li key={adaptation}>care: {adaptation}</li>)}
      </ul>
      {alternative && (
        <p className={classes.instead}>
          Instead: <strong>{alternativeTable[alternative].label}</strong>.{' '}
          {alternativeTable[alternative].how}
        </p>
      )}
      {hasOldPain && <PainGone personId={personId} />}
      {helpMost.length > 0 && (
        <p>
          Would help most: <strong>{helpMost.join(', ')}</strong>.
        </p>
      )}
      <p className={classes.hint}>
        {metMeans} Bars by the {profileLabel} profile, version {verdict.profile.version}.
      </p>
    </section>
  );
}
