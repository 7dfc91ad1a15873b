import { renderUi } from './testing/renderUi';
import { FileChoice } from './FileChoice';

const inputOf = (container: HTMLElement) =>
  container.querySelector<HTMLInputElement>('input[type=file]')!;

it('hands over the same file as often as it is chosen', async () => {
  const onFile = jest.fn<void, [File]>();
  const { user, container } = renderUi(
    <FileChoice accept=".csv" onFile={onFile}>
      {({ onClick }) => <button onClick={onClick}>Choose</button>}
    </FileChoice>,
  );
  const file = new File(['Ada'], 'people.csv', { type: 'text/csv' });
  await user.upload(inputOf(container), file);
  await user.upload(inputOf(container), file);
  expect(onFile.mock.calls.map(([{ name }]) => name)).toEqual(['people.csv', 'people.csv']);
});

it('says what it takes and asks for the camera only where told', () => {
  const { container } = renderUi(
    <FileChoice accept="image/*" capture="environment" onFile={jest.fn()}>
      {({ onClick }) => <button onClick={onClick}>Take one</button>}
    </FileChoice>,
  );
  expect(inputOf(container)).toHaveAttribute('accept', 'image/*');
  expect(inputOf(container)).toHaveAttribute('capture', 'environment');
});
