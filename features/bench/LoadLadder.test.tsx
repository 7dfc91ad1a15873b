import { screen } from '@testing-library/react';
import { resolveBody } from '@/core/body/body';
import { ladderLoads } from '@/core/shapes/ladderLoads';
import { renderUi } from '@/design/testing/renderUi';
import { LoadLadder } from './LoadLadder';

const body = resolveBody({ heightM: 1.7, massKg: 60 });
const linesOf = () => screen.getAllByRole('listitem').map(({ textContent }) => textContent ?? '');

it('says the weight on the arms of every stage, and of each jump a step that goes between', () => {
  renderUi(<LoadLadder body={body} units="cm" />);
  const steps = ladderLoads(body, 'forearms');
  const lines = linesOf();
  for (const { label, armsPercent, jump } of steps) {
    expect(lines.some((line) => line.startsWith(`${label}: ${Math.round(armsPercent)}`))).toBe(
      true,
    );
    if (jump === undefined) continue;
    const told = lines.find((line) => line.startsWith(`${label} asks`));
    expect(told).toContain(`${Math.round(jump.points)} points more`);
    expect(told).toMatch(/Between: |No step between was found/);
  }
});

it('says the pull at the shoulders as something that can be felt, stage by stage', async () => {
  const { user } = renderUi(<LoadLadder body={body} units="cm" />);
  const felt = () => screen.getByText(/^At the shoulders/).textContent;
  for (const { label } of ladderLoads(body, 'forearms')) expect(felt()).toContain(label);
  expect(felt()).toMatch(/ \d+ kg \(\d\.\d Nm\/kg\)/);
  const forearms = felt();
  await user.click(screen.getByRole('radio', { name: 'hands' }));
  expect(felt()).not.toBe(forearms);
});

it('names no centimetres in a studio that measures in inches', async () => {
  const { user } = renderUi(<LoadLadder body={body} units="in" />);
  await user.click(screen.getByRole('radio', { name: 'hands' }));
  expect(screen.getByRole('region')).not.toHaveTextContent(/\d cm\b/);
});
