import { screen, within } from '@testing-library/react';
import { resolveBody } from '@/core/body/body';
import { practiceTruth, type PracticeWish } from '@/core/plumb/practice';
import { readStill } from '@/core/plumb/still';
import { getMeasure } from '@/core/plumb/measureTable';
import { firstUp } from '@/core/units/words';
import { renderUi } from '@/design/testing/renderUi';
import { Painted, PracticeCamera } from './PracticeCamera';

const body = resolveBody({ heightM: 1.7 });

const camera = (wish: PracticeWish) => {
  const asked: PracticeWish[] = [];
  const ui = renderUi(
    <PracticeCamera body={body} wish={wish} onChange={(next) => asked.push(next)} />,
  );
  return { ...ui, asked };
};
const offered = () =>
  screen
    .getAllByRole('textbox')
    .map(
      (one) => one.getAttribute('aria-label') ?? (one as HTMLInputElement).labels?.[0]?.textContent,
    );

describe('the practice camera', () => {
  it.each([
    [{ shape: 'handstand' }, ['Arch', 'Leans past base', 'Near knee bent']],
    [{ shape: 'forearmStandWall' }, ['Further from wall']],
    [{ shape: 'plank' }, []],
    [{ shape: 'handstand', view: 'front' }, ['Wider than shoulders']],
  ] as const)('offers of %j what can be wrong in it', (wish, faults) => {
    camera(wish);
    expect(offered()).toEqual([...faults, 'Camera high', 'Camera away', 'Camera tilted']);
  });

  it('asks for a picture in metres and degrees, and keeps what else was chosen', async () => {
    const { user, asked } = camera({ shape: 'handstand', view: 'front', light: 'evening' });
    const field = screen.getByLabelText('Wider than shoulders');
    await user.clear(field);
    expect(asked).toEqual([]);
    await user.type(field, '6');
    expect(asked).toEqual([{ shape: 'handstand', view: 'front', light: 'evening', apartM: 0.06 }]);
  });

  it('never asks beyond what can be painted', async () => {
    const { user, asked } = camera({ shape: 'handstand' });
    const field = screen.getByLabelText('Arch');
    await user.clear(field);
    await user.type(field, '95');
    expect(asked.every(({ archDeg = 0 }) => archDeg <= 30)).toBe(true);
  });

  it('turns from side to front and changes the light', async () => {
    const { user, asked } = camera({ shape: 'handstand', archDeg: 8 });
    await user.click(screen.getByText('From the front'));
    await user.click(screen.getByText('Against a window'));
    expect(asked).toEqual([
      { shape: 'handstand', archDeg: 8, view: 'front' },
      { shape: 'handstand', archDeg: 8, light: 'window' },
    ]);
  });
});

describe('what was painted', () => {
  const wish = { shape: 'handstand', archDeg: 12, tiltDeg: 3 } as const;

  it('stands beside what was read, for whoever asks', async () => {
    const reading = readStill({ ...practiceTruth(body, wish), shape: wish.shape });
    const { user } = renderUi(<Painted body={body} wish={wish} reading={reading} units="cm" />);
    expect(screen.queryByRole('table')).toBeNull();
    await user.click(screen.getByText('What was painted'));
    const rows = within(screen.getByRole('table')).getAllByRole('row').slice(1);
    expect(rows.length).toBeGreaterThan(5);
    for (const row of rows) {
      const [painted, read] = within(row).getAllByRole('cell');
      expect(read!.textContent).toBe(painted!.textContent);
    }
    expect(screen.getByText(new RegExp(`^${rows.length} of ${rows.length} lie`))).toBeVisible();
  });

  it('tells a reading that was off', async () => {
    const reading = readStill({
      ...practiceTruth(body, { ...wish, archDeg: 29 }),
      shape: wish.shape,
    });
    const { user } = renderUi(<Painted body={body} wish={wish} reading={reading} units="cm" />);
    await user.click(screen.getByText('What was painted'));
    const bend = within(screen.getByRole('table'))
      .getAllByRole('row')
      .find((row) => row.textContent?.startsWith(firstUp(getMeasure('hipBend').label)));
    const [painted, read] = within(bend!)
      .getAllByRole('cell')
      .map((cell) => parseFloat(cell.textContent!));
    expect(Math.abs(read! - painted!)).toBeCloseTo(17, 0);
  });
});
