import { screen } from '@testing-library/react';
import type { Picture } from '@/core/drawing/svg';
import { renderUi } from '@/design/testing/renderUi';
import { PictureView } from './SceneView';

const picture = (elements: string): Picture => ({
  widthPx: 300,
  heightPx: 200,
  pxPerM: 100,
  sentences: ['86 cm from the wall.'],
  elements,
});

it('tells its measure to whoever does not see it', () => {
  renderUi(<PictureView picture={picture('<path d="M0,0"/>')} label="Kick to the wall" />);
  expect(screen.getByRole('img')).toHaveAccessibleName('Kick to the wall. 86 cm from the wall.');
});

it('leaves what is drawn where it is while it is drawn the same', () => {
  const drawn = (elements: string) => <PictureView picture={picture(elements)} label="" />;
  const { container, rerender } = renderUi(drawn('<path d="M0,0L9,9"/>'));
  const before = container.querySelector('path');
  expect(before).not.toBeNull();
  rerender(drawn('<path d="M0,0L9,9"/>'));
  expect(container.querySelector('path')).toBe(before);
  rerender(drawn('<path d="M0,0L8,8"/>'));
  expect(container.querySelector('path')).not.toBe(before);
  expect(container.querySelector('path')).toHaveAttribute('d', 'M0,0L8,8');
});

it('is true to scale on paper: one metre is so many millimetres', () => {
  renderUi(<PictureView picture={picture('')} label="The room" printScale={50} />);
  expect(screen.getByRole('img').style.getPropertyValue('--lv-print-width')).toBe('60.0mm');
});
