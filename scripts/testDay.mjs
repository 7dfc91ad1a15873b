/**
 * The day that tests and pictures take for today: the coming Wednesday, or today if it is one. The demo
 * course meets on Thursdays and another on Saturdays; what stands on a screen must not hang on the day of the
 * week on which somebody runs the tests. Never behind today: what a browser dates is not ahead of the studio.
 */
const wednesday = 3;
const dayMs = 86_400_000;

export function testDay(now = new Date()) {
  const ahead = (wednesday - now.getDay() + 7) % 7;
  const noon = new Date(now.getFullYear(), now.getMonth(), now.getDate(), 12);
  const day = new Date(noon.getTime() + ahead * dayMs);
  const two = (figure) => String(figure).padStart(2, '0');
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}
