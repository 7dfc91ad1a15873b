import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Demand } from '@/core/catalog/demand';
import { shippedCatalog, withEntries } from '@/core/catalog/school';
import { renderUi } from '@/design/testing/renderUi';
import { GateEditor } from './GateEditor';
import type { EditorChecks, EditorStage } from './editor';

const row = { bar: 10, origin: 10, unit: 's', isLength: false };
const checks: EditorChecks = [
  { ...row, key: 'dolphin-hold', label: 'Dolphin hold', byBase: false },
  { ...row, key: 'own-lean', label: 'Lean on the hands', byBase: true },
];
const own = { ...shippedCatalog.checks['plank-hold'], label: 'Lean on the hands' };
const catalog = withEntries(shippedCatalog, { checks: { 'own-lean': own } });
const stage: EditorStage = {
  key: 'HB8',
  label: 'L at the wall',
  gate: [{ check: 'dolphin-hold' }],
  originGate: [{ check: 'dolphin-hold' }],
  branch: null,
  cue: '',
};

function show(gate: readonly Demand[] | null) {
  const said: (readonly Demand[] | null)[] = [];
  renderUi(
    <GateEditor
      stage={stage}
      isShipped={false}
      gate={gate}
      cue=""
      isClosed={false}
      checks={checks}
      catalog={catalog}
      onGate={(one) => said.push(one)}
      onCue={() => undefined}
      onClosed={() => undefined}
    />,
  );
  return said;
}

const open = () => userEvent.click(screen.getByRole('button', { name: 'Change L at the wall' }));

it('asks a check that is kept apart by base on a base, also one of the teacher’s own', async () => {
  const said = show(null);
  await open();
  const add = screen.getByRole('combobox', { name: 'Add a check to L at the wall' });
  await userEvent.selectOptions(add, 'own-lean');
  await userEvent.selectOptions(add, 'dolphin-hold');
  expect(said).toEqual([
    [{ check: 'dolphin-hold' }, { check: 'own-lean', base: 'hands' }],
    [{ check: 'dolphin-hold' }, { check: 'dolphin-hold' }],
  ]);
});

it('calls a check of the teacher’s own by its name, not by its key', () => {
  show([{ check: 'own-lean', base: 'hands', share: 0.5 }]);
  expect(screen.getByText(/half lean on the hands \(hands\)/)).toBeInTheDocument();
  expect(screen.queryByText(/own-lean/)).toBeNull();
});
