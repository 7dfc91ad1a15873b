import { screen } from '@testing-library/react';
import { Component, useState, type ReactNode } from 'react';
import FloorBroke from '@/app/(class)/floor/[uid]/error';
import { renderUi } from '@/design/testing/renderUi';

let isBroken = true;

/** A screen that breaks, and is whole when it is drawn again. */
function Screen() {
  if (isBroken) throw new Error('drawn wrongly');
  return <p>Round 2, tried 3 times</p>;
}

class Boundary extends Component<{ children: ReactNode }, { broke: boolean }> {
  override state = { broke: false };

  static getDerivedStateFromError = () => ({ broke: true });

  override render() {
    return this.state.broke ? (
      <FloorBroke
        error={new Error('drawn wrongly')}
        reset={() => this.setState({ broke: false })}
      />
    ) : (
      this.props.children
    );
  }
}

function Class() {
  const [begun] = useState('begun at 18:30');
  return (
    <>
      <p>{begun}</p>
      <Boundary>
        <Screen />
      </Boundary>
    </>
  );
}

it('says that the class goes on, and opens it again in one tap', async () => {
  const silent = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { user } = renderUi(<Class />);
  expect(screen.getByRole('alert')).toHaveTextContent('every tap and the clock are kept');
  expect(screen.getByRole('link', { name: 'To the classes' })).toHaveAttribute('href', '/floor');
  isBroken = false;
  await user.click(screen.getByRole('button', { name: 'Back to the class' }));
  expect(screen.getByText('Round 2, tried 3 times')).toBeInTheDocument();
  silent.mockRestore();
});
