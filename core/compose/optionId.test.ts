import { optionIdOf, rungOfOption } from './optionId';

it.each([
  [{ isEased: false }, 'FS9'],
  [{ isEased: true }, 'FS9+eased'],
  [{ isEased: false, wayUp: 'straddle', variant: 'flat' }, 'FS9+straddle+flat'],
])('names %j, and finds its rung again', (what, id) => {
  expect(optionIdOf('FS9', what)).toBe(id);
  expect(rungOfOption(id)).toBe('FS9');
});
