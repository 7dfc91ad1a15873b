import type { CoursePoint } from '@/core/plumb/clip/course';
import { renderUi } from '@/design/testing/renderUi';
import { Course } from './Course';

const point = (atS: number, over: Partial<CoursePoint> = {}): CoursePoint => ({
  atS,
  hips: 0.8,
  nearFoot: 0,
  farFoot: null,
  toWall: null,
  ...over,
});

const lines = (container: HTMLElement) =>
  [...container.querySelectorAll('path[stroke]')].map((path) => path.getAttribute('d') ?? '');
/** x and y of every place a path goes to, in hundredths of the plot. */
const placesOf = (d: string) =>
  [...d.matchAll(/[ML](-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

describe('the chart of a clip', () => {
  it('draws each line between its ends, nought on the floor and the highest below the top', () => {
    const course = [point(0), point(1, { hips: 1 }), point(2, { nearFoot: 2 })];
    const { container } = renderUi(<Course course={course} last={2} />);
    const [hips, foot] = lines(container).map(placesOf);
    expect(foot!.map(([x]) => x)).toEqual([0, 50, 100]);
    expect(foot![0]![1]).toBeCloseTo(100, 3);
    expect(foot![2]![1]).toBeCloseTo(100 - 100 / 1.05, 3);
    // Half as high as the foot at its highest.
    expect(hips![1]![1]).toBeCloseTo(100 - 50 / 1.05, 3);
  });

  it('breaks where nothing is known, and draws nothing of what never is', () => {
    const course = [point(0), point(0.5), point(1, { hips: null }), point(1.5), point(2)];
    const { container } = renderUi(<Course course={course} last={2} />);
    const [hips, , far] = lines(container);
    expect(hips!.match(/M/g)).toHaveLength(2);
    expect(far).toBe('');
  });

  it.each([
    [8.1, ['0 s', '1 s', '8 s']],
    [20, ['0 s', '5 s', '20 s']],
    [1.2, ['0 s', '0.5 s', '1 s']],
  ])('names round moments of %s seconds, and none beyond the end', (last, words) => {
    const { container } = renderUi(<Course course={[point(0), point(last)]} last={last} />);
    const said = [...container.querySelectorAll('span')].map(({ textContent }) => textContent);
    const moments = said.filter((one) => one.endsWith(' s'));
    expect(moments).toEqual(expect.arrayContaining([...words]));
    expect(moments.length).toBeLessThanOrEqual(10);
    expect(Math.max(...moments.map((one) => parseFloat(one)))).toBeLessThanOrEqual(last);
    expect(said).toContain('50');
  });
});
