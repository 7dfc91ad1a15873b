import { screen } from '@testing-library/react';
import { fakeFloor } from '@/features/floor/testing/fakeFloor';
import { InClass } from '@/features/floor/testing/renderFloor';
import { renderUi } from '@/design/testing/renderUi';
import { StopSheet } from './StopSheet';

function show(person: string | null) {
  const fake = fakeFloor();
  const close = jest.fn();
  const shown = renderUi(
    <InClass fake={fake}>
      <StopSheet person={person} onClose={close} />
    </InClass>,
  );
  return { ...shown, ...fake, close };
}

describe('a stop', () => {
  it('is recorded with the tap that says who, before anything is asked', async () => {
    const { user, said } = show(null);
    await user.click(screen.getByRole('button', { name: /Bo/ }));
    expect(said).toEqual([{ kind: 'halt', person: '2' }]);
    expect(await screen.findByText(/The try is over and noted/)).toBeInTheDocument();
  });

  it('of somebody known already takes one tap, and one only', async () => {
    const { user, said } = show('1');
    await user.click(screen.getByRole('button', { name: 'Stop Ada now' }));
    expect(said).toEqual([{ kind: 'halt', person: '1' }]);
    expect(screen.queryByRole('button', { name: 'Stop Ada now' })).toBeNull();
  });

  it('with a sign says to get help, and what is closed', async () => {
    const { user, said } = show('1');
    await user.click(screen.getByRole('button', { name: 'Stop Ada now' }));
    await user.click(await screen.findByRole('button', { name: /tingling/i }));
    expect(said.at(-1)).toMatchObject({ kind: 'sign', person: '1', sign: 'tingling' });
    expect(await screen.findByRole('alert')).toHaveTextContent(/rules of the place/);
  });

  it('with a sore place names the place', async () => {
    const { user, said } = show('1');
    await user.click(screen.getByRole('button', { name: 'Stop Ada now' }));
    await user.click(await screen.findByRole('button', { name: /wrist/i }));
    expect(said.at(-1)).toMatchObject({ kind: 'sore', person: '1' });
  });
});
