import { renderUi } from '@/design/testing/renderUi';
import { Paper } from './Paper';

it('brings what stands for the tones along where there is one ink, and only there', () => {
  const one = renderUi(<Paper ink="one">page</Paper>);
  expect(one.container.querySelector('[data-paper="one"]')).toHaveTextContent('page');
  const ids = [...one.container.querySelectorAll('pattern')].map(({ id }) => id);
  expect(ids).toEqual(['lv-lines', 'lv-cross', 'lv-dots', 'lv-band']);
  one.unmount();
  const tones = renderUi(<Paper ink="tones">page</Paper>);
  expect(tones.container.querySelector('[data-paper="tones"]')).toHaveTextContent('page');
  expect(tones.container.querySelector('pattern')).toBeNull();
});
