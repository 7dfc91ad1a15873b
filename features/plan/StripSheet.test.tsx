import { shippedCatalog, withEntries } from '@/core/catalog/school';
import type { PlanFile } from '@/core/files/planFile';
import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { ClassView } from '@/server/judging/classViews';
import { StripSheet } from './StripSheet';

const own = { ...shippedCatalog.stages.FS7, label: 'Dolphin by the window' };
const { stages } = withEntries(shippedCatalog, { stages: { 'own-window': own } });
const option = { id: 'own-window', stage: 'own-window' };
const view = {
  prepared: { people: [{ id: '1', options: [option], fallbacks: [] }] },
} as unknown as ClassView;
const plan = {
  timeline: [],
  rounds: [
    {
      round: 1,
      people: [{ id: '1', option: 'own-window', letter: 'A', label: own.label }],
    },
  ],
} as unknown as PlanFile;

it('draws what stands in for a rung as itself', () => {
  const instead = { id: 'chair', alternative: 'dolphin-chair', stage: 'FS7' };
  const people = [{ id: '1', options: [instead], fallbacks: [] }];
  const round = { round: 1, people: [{ id: '1', option: 'chair', letter: 'B', label: 'Chair' }] };
  renderUi(
    <StripSheet
      view={{ prepared: { people } } as unknown as ClassView}
      plan={{ timeline: [], rounds: [round] } as unknown as PlanFile}
      stages={stages}
    />,
  );
  expect(screen.getByRole('img', { name: /^Chair/ })).toBeInTheDocument();
});

it('draws a stage of the teacher’s own as the school has it, and leaves one out that has no drawing', () => {
  const drawn = renderUi(<StripSheet view={view} plan={plan} stages={stages} />);
  expect(drawn.getByText(/Dolphin by the window/)).toBeInTheDocument();
  expect(drawn.getByRole('img', { name: /Dolphin by the window/ })).toBeInTheDocument();
  drawn.unmount();
  const { move: _, ...bare } = own;
  const none = withEntries(shippedCatalog, { stages: { 'own-window': bare } }).stages;
  const plain = renderUi(<StripSheet view={view} plan={plan} stages={none} />);
  expect(plain.getByText(/Dolphin by the window/)).toBeInTheDocument();
  expect(plain.queryByRole('img')).toBeNull();
});
