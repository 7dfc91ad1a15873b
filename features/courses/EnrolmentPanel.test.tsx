import { screen, waitFor } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { EnrolmentPanel } from './EnrolmentPanel';

const change = jest.fn();
jest.mock('./actions', () => ({
  changeEnrolmentAction: (...call: unknown[]) => change(...call) as unknown,
}));

beforeEach(() => {
  change.mockReset();
  change.mockResolvedValue({ ok: true, value: undefined });
});

const show = () =>
  renderUi(
    <EnrolmentPanel
      courseId={2}
      people={[{ id: 1, name: 'Ada' }]}
      others={[
        { id: 5, name: 'Bo' },
        { id: 6, name: 'Cleo' },
      ]}
    />,
  );

it('takes somebody out, and puts them back with what is offered', async () => {
  const { user } = show();
  await user.click(screen.getByRole('button', { name: 'Take Ada out of the course' }));
  expect(change).toHaveBeenLastCalledWith(2, 1, false);
  expect(await screen.findByText('Ada is out of the course.')).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(change).toHaveBeenLastCalledWith(2, 1, true));
});

it('enrols by typing and Enter, and says why it was not done', async () => {
  const { user } = show();
  await user.type(screen.getByRole('combobox', { name: 'Enrol' }), 'cl{Enter}');
  expect(change).toHaveBeenLastCalledWith(2, 6, true);
  change.mockResolvedValue({ ok: false, problems: { form: 'This course is no longer here.' } });
  const out = screen.getByRole('button', { name: 'Take Ada out of the course' });
  await waitFor(() => expect(out).toBeEnabled());
  await user.click(out);
  expect(await screen.findByText('This course is no longer here.')).toBeInTheDocument();
});
