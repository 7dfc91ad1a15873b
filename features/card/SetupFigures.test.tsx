import { screen } from '@testing-library/react';
import { resolveBody } from '@/core/body/body';
import { getStage, type StageId } from '@/core/catalog/stages';
import { keptDistances } from '@/core/setups/registry';
import type { SetupInput } from '@/core/setups/setup';
import { solveStage } from '@/core/setups/solveStage';
import type { LengthUnits } from '@/core/units/length';
import { renderUi } from '@/design/testing/renderUi';
import { SetupFigures } from './SetupFigures';

const usual: SetupInput = {
  body: resolveBody({ heightM: 1.7 }),
  profile: 'prop-led',
  pieces: [],
};

const show = (id: StageId, more: Partial<SetupInput> = {}, units: LengthUnits = 'cm') => {
  const input = { ...usual, ...more };
  return renderUi(
    <SetupFigures
      input={input}
      stage={getStage(id)}
      result={solveStage(input, getStage(id))!}
      units={units}
      listClass="list"
      noteClass="note"
    />,
  );
};

/** What stands beside a label. */
const beside = (label: string) => screen.getByText(label).nextElementSibling;

describe('the figures of a set-up', () => {
  it('stand beside their names, estimates with a tilde', () => {
    show('HB8');
    expect(beside('Wrists from the wall')).toHaveTextContent('~90 cm');
    expect(beside('Feet on the wall')).toHaveTextContent('~105 cm');
  });

  it('say what was found by trying', () => {
    const kept = keptDistances([
      { setup: 'hand-L', distance: 'base', metres: 0.86, on: '2026-11-02', note: '' },
    ]);
    show('HB8', { kept });
    expect(beside('Wrists from the wall')).toHaveTextContent('86 cm, found by trying');
    expect(beside('By sitting reach')).toHaveTextContent('~90 cm');
  });

  it.each(['HB6', 'HB7'] as const)('leave out what another shape of the set-up has: %s', (id) => {
    show(id);
    expect(beside('Wrists from the wall')).toHaveTextContent('90 cm');
    expect(screen.queryByText('Feet on the wall')).toBeNull();
  });

  it.each(['FS3', 'HB8', 'HB11', 'SS2'] as const)(
    'say everything in inches to an inch: %s',
    (id) => {
      const { container } = show(id, { pieces: [{ piece: 'strap-240', count: 1 }] }, 'in');
      expect(container).toHaveTextContent(/\d[¼½¾]? in\b/);
      expect(container).not.toHaveTextContent(/\d cm\b/);
    },
  );

  it('say where the shape asks more than was measured, and nothing where nothing was', () => {
    const { unmount } = show('HB8', { shoulderFlexionDeg: 150, straightLegRaiseDeg: 70 });
    expect(screen.getByText(/shoulders would have to open/)).toBeInTheDocument();
    expect(screen.getByText(/legs would have to fold/)).toBeInTheDocument();
    unmount();
    show('HB8');
    expect(screen.queryByText(/would have to/)).toBeNull();
  });
});
