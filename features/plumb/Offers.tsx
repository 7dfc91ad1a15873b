import { memo } from 'react';
import { getCheck, type CheckId } from '@/core/catalog/checks';
import { offersOfStill } from '@/core/plumb/feeds';
import type { StillReading } from '@/core/plumb/still';
import { OfferList } from './OfferList';
import type { Sheet } from './sheet';
import type { PlumbView } from './read';

interface OffersProps {
  readonly view: PlumbView;
  readonly sheet: Sheet;
  readonly reading: StillReading;
  readonly isPainted: boolean;
}

/** The bar of a check in the school that is judged by, else the gentlest that ships. */
export const barIn =
  ({ checks }: Pick<PlumbView, 'checks'>) =>
  (check: CheckId): number =>
    checks.find((one) => one.check === check)?.bar ?? getCheck(check).opensAt['prop-led'];

/** What of the picture may become a record: nothing is kept without a tap. */
export const Offers = memo(function Offers({ view, sheet, reading, isPainted }: OffersProps) {
  const offers = offersOfStill(reading, {
    view: sheet.view,
    base: sheet.base,
    shape: sheet.shape,
    barOf: barIn(view),
  });
  return (
    <OfferList
      view={view}
      offers={offers}
      by="picture"
      faults={reading.faults}
      isPainted={isPainted}
    />
  );
});
