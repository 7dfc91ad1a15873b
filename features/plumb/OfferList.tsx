'use client';

import { answered } from '@/design/answered';
import { Button, Checkbox, Group, SegmentedControl } from '@mantine/core';
import { useState, useTransition } from 'react';
import { keptSide, type AskedSide } from '@/core/catalog/askedSides';
import { faultTable, getCheck, type CheckId, type FaultId } from '@/core/catalog/checks';
import type { FaultFound } from '@/core/plumb/faults';
import type { Offer } from '@/core/plumb/feeds';
import type { ReadBy } from '@/core/readiness/record';
import { showProblems } from '@/design/notices';
import { showRecorded } from '@/features/check/showRecorded';
import { recordCheckAction } from '@/features/person/actions';
import type { PlumbCheck, PlumbView } from './read';
import classes from './plumb.module.css';

interface OfferListProps {
  readonly view: PlumbView;
  readonly offers: readonly Offer[];
  /** What it was read off. */
  readonly by: ReadBy;
  /** Suggested; the teacher's tap confirms. */
  readonly faults: readonly FaultFound[];
  /** It was painted to practise on: it shows what could be kept, and keeps nothing. */
  readonly isPainted?: boolean;
}

/** What may become a record; nothing is kept without a tap. */
export function OfferList({ view, offers, by, faults, isPainted = false }: OfferListProps) {
  if (offers.length === 0) return null;
  return (
    <section aria-label="As a record">
      <h2 className={classes.heading}>As a record of {view.person.name}</h2>
      {isPainted && <PaintedNote />}
      {offers.map((offer) => {
        const check = view.checks.find((one) => one.check === offer.check);
        return (
          check && <OneOffer key={offer.check} {...{ view, offer, check, by, faults, isPainted }} />
        );
      })}
    </section>
  );
}

/** Why nothing of a painted picture or clip is kept. */
const PaintedNote = () => (
  <p className={classes.painted}>
    What is painted measures nobody: nothing of it is kept for anyone.
  </p>
);

interface OneOfferProps {
  readonly view: PlumbView;
  readonly offer: Offer;
  readonly check: PlumbCheck;
  readonly by: ReadBy;
  readonly faults: readonly FaultFound[];
  readonly isPainted: boolean;
}

/** Three of an error's own digits say no more than two. */
const sayRounded = (error: number) =>
  error >= 10 ? String(Math.round(error)) : String(rounded(error));

const rounded = (value: number) => Math.round(value * 10) / 10;

function shown({ value, error }: Offer, check: CheckId): string {
  const { scoring } = getCheck(check);
  if (scoring.kind === 'pass') return value === 1 ? 'yes' : 'no';
  if (scoring.kind === 'reps') return String(value);
  const unit =
    scoring.kind === 'hold'
      ? ' s'
      : scoring.kind === 'measure' && scoring.unit === 'cm'
        ? ' cm'
        : '°';
  return `${rounded(value)}${unit}, give or take ${sayRounded(error)}${unit}`;
}

function OneOffer({ view, offer, check, by, faults: found, isPainted }: OneOfferProps) {
  const [isSaving, start] = useTransition();
  const [side, setSide] = useState<AskedSide | null>(null);
  /** What was kept of it: the same is not kept a second time by a second tap. */
  const [keptAs, setKeptAs] = useState<string | null>(null);
  const isSideOpen = check.sides.length > 0 && side === null;
  const [seen, setSeen] = useState<readonly FaultId[]>([]);
  const now = [rounded(offer.value), side, ...seen].join(' ');
  const isKept = keptAs === now;
  const { voidedBy } = getCheck(check.check);
  const faults = found.map(({ fault }) => fault).filter((one) => voidedBy.includes(one));
  const keep = () =>
    start(async () => {
      const outcome = await answered(
        recordCheckAction(view.person.id, {
          check: check.check,
          value: String(rounded(Math.max(0, offer.value))),
          unit: 'plain',
          date: view.today,
          stoppedByTeacher: false,
          // Only what stands here now: the lines may have been moved since it was ticked.
          faults: faults.filter((one) => seen.includes(one)),
          pain: false,
          painPlace: null,
          side: side === null ? null : keptSide(side),
          base: offer.base,
          reading: { by, measure: offer.measure, error: offer.error },
        }),
      );
      if (!outcome.ok) {
        showProblems(outcome.problems);
        return;
      }
      showRecorded(view.person.id, outcome.value, check.label, () => setKeptAs(null));
      // The next one may be of the other side: said anew.
      if (check.sides.length > 0) setSide(null);
      else setKeptAs(now);
    });
  return (
    <div className={classes.offer}>
      <p>
        <strong>{check.label}</strong>: {shown(offer, check.check)}
      </p>
      {offer.tooCoarse !== undefined ? (
        <p className={classes.note}>{offer.tooCoarse} It is shown, and cannot be kept.</p>
      ) : isPainted ? null : (
        <>
          {faults.map((fault) => (
            <Checkbox
              key={fault}
              label={`${faultTable[fault].label}: I see it too`}
              checked={seen.includes(fault)}
              onChange={({ currentTarget: { checked } }) =>
                setSeen((before) =>
                  checked ? [...before, fault] : before.filter((one) => one !== fault),
                )
              }
            />
          ))}
          <Group gap="sm">
            {check.sides.length > 0 && (
              <SegmentedControl
                aria-label="Side"
                value={side ?? ''}
                data={[...check.sides]}
                onChange={(value) => setSide(value as AskedSide)}
              />
            )}
            <Button loading={isSaving} disabled={isSideOpen || isKept} onClick={keep}>
              {isKept ? 'Kept' : 'Keep it'}
            </Button>
          </Group>
        </>
      )}
    </div>
  );
}
