import { Button, Loader } from '@mantine/core';
import type { PlanKeeping } from './plannerEngine';
import type { Planner } from './usePlanner';
import classes from './plan.module.css';

const gapWords = (percent: number) =>
  percent < 0.05 ? 'the best there is' : `at most ${percent.toFixed(1)} % from the best there is`;

const keptWords = {
  kept: 'Kept for Tonight',
  coming: 'On its way to Tonight',
  refused: 'Not kept, another plan stands',
  lost: 'Not kept',
  nowhere: 'On this screen alone',
} as const satisfies Readonly<Record<PlanKeeping, string>>;

const isMissed = (keeping: PlanKeeping) => keeping === 'refused' || keeping === 'lost';

/** How good the plan on the screen is known to be, and what is still running. */
export function PlanStatusLine({
  planner,
  outdated,
  gained,
}: {
  readonly planner: Planner;
  /** What changed since the plan was kept. */
  readonly outdated: readonly string[];
  /** What has come since: it stands, and may be bettered. */
  readonly gained: readonly string[];
}) {
  const { status, keeping, plan, gapPercent, asked, stop, again, keepAgain } = planner;
  const isBusy = status === 'starting' || status === 'proving' || status === 'asking';
  const mayGain = status === 'kept' && gained.length > 0;
  const isOutdated = status === 'kept' && outdated.length > 0;
  const words = (): string => {
    switch (status) {
      case 'starting':
        return 'Composing';
      case 'proving':
        return gapPercent === null
          ? 'A quick plan stands; proving a better one'
          : `A quick plan stands; proving, ${gapPercent.toFixed(1)} % to go`;
      case 'asking':
        return asked === null
          ? `Proved: ${gapWords(plan?.gapPercent ?? 0)}. Asking what binds`
          : `Proved: ${gapWords(plan?.gapPercent ?? 0)}. Asking what binds, ${asked[0]} of ${asked[1]}`;
      case 'failed':
        return 'Composing stopped with an error. What you see is the last plan';
      case 'stopped':
        return plan === null
          ? 'Stopped'
          : `Stopped. This plan is ${plan.stoppedBy === 'quick' ? 'quick, within' : 'within'} ${plan.gapPercent.toFixed(1)} % of the best there can be${isMissed(keeping) ? '; it is not kept' : ''}`;
      case 'kept':
        if (outdated.length > 0) return `Outdated: ${outdated.join('; ')}`;
        if (plan === null) return '';
        return mayGain
          ? `${keptWords[keeping]}. Since it was planned, ${gained.join('; ')}`
          : `${keptWords[keeping]}: ${gapWords(plan.gapPercent)}`;
      case 'done':
        return plan === null ? '' : `${keptWords[keeping]}: ${gapWords(plan.gapPercent)}`;
      default:
        return status satisfies never;
    }
  };
  return (
    <div className={classes.status} role="status" aria-live="polite">
      {isBusy && <Loader size={16} type="dots" aria-hidden />}
      <span>
        {words()}
        {plan !== null && status !== 'starting' && !isOutdated && !mayGain && (
          <span className={classes.figures}>
            {plan.stoppedBy === 'time' ? ' · ended by the clock' : ''}{' '}
            <details className={classes.how}>
              <summary>How is that known?</summary>
              Every shape, check, drill and minute of the evening has a worth for each person. No
              plan with this room, cupboard and time can come to{' '}
              {plan.gapPercent < 0.05
                ? 'more'
                : `more than ${plan.gapPercent.toFixed(1)} % over this one`}
              .
            </details>
          </span>
        )}
      </span>
      {isBusy ? (
        <Button size="compact-sm" variant="default" onClick={stop}>
          Stop here
        </Button>
      ) : (
        <>
          {(isOutdated || mayGain || (status !== 'kept' && status !== 'done')) && (
            <Button size="compact-sm" variant="default" onClick={again}>
              Compose again
            </Button>
          )}
          {keeping === 'lost' && (
            <Button size="compact-sm" variant="default" onClick={keepAgain}>
              Keep it now
            </Button>
          )}
          {keeping === 'refused' && (
            <Button size="compact-sm" variant="default" onClick={() => window.location.reload()}>
              See the kept one
            </Button>
          )}
        </>
      )}
    </div>
  );
}
