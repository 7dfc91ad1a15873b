import { renderUi } from '@/design/testing/renderUi';
import type { FloorBundle } from '@/server/running/floorBundle';
import { Moves } from './Moves';

type Line = FloorBundle['plan']['timeline'][number];
const said = (line: Partial<Line>) =>
  renderUi(
    <p>
      Done.
      <Moves item={line as Line} />
    </p>,
  ).container.querySelector('p')!.textContent;

it('says how everybody lies, what is fetched and what is put away, as a sentence', () => {
  expect(
    said({
      position: 'back',
      isMove: true,
      fetch: ['foam-block', 'chair'],
      putAway: ['strap-240'],
    }),
  ).toMatch(/^Done\. On the back; fetch blocks, chairs; then put away straps.*\.$/);
});

it('says nothing where nothing changes', () => {
  expect(said({ position: 'back' })).toBe('Done.');
});
