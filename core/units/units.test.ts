import fc from 'fast-check';
import { comingMeeting } from './course';
import { addDays, daysBetween, dayNumber, findDayNumber, sayDay } from './day';
import { formatAlong, formatStretch, sayTooLow } from './along';
import {
  formatFigure,
  formatHeight,
  formatLength,
  formatRoomFigure,
  formatRoomLength,
  parseHeight,
  parseLength,
  parseRoomLength,
  sayIn,
} from './length';
import { sayMetres } from './metres';
import { readingFrom, readingIn, sayReading } from './reading';

describe('how large a room is, as typed', () => {
  it.each([
    ['9.6', 'cm', 9.6],
    ['9,6', 'cm', 9.6],
    ['960', 'cm', 9.6],
    ['100', 'cm', 1],
    ['12 m', 'cm', 12],
    ['31', 'in', 9.4488],
    ['380', 'in', 9.652],
    ['31\'6"', 'in', 9.6012],
    // Said with its unit, it is what it says.
    ['96 cm', 'cm', 0.96],
    ['30 in', 'in', 0.762],
  ] as const)('%s in a studio of %s', (text, units, metres) => {
    expect(parseRoomLength(text, units)).toBeCloseTo(metres, 6);
  });

  it('is nothing where no length was typed', () => {
    expect(parseRoomLength('wide', 'cm')).toBeNull();
    expect(parseRoomLength('-4', 'cm')).toBeNull();
  });
});

describe('typed lengths', () => {
  it.each([
    ['168', 1.68],
    ['168 cm', 1.68],
    ['1.68 m', 1.68],
    ['1,68 m', 1.68],
    ['1.68', 1.68],
    ['5\'6"', 1.6764],
    ["5'6", 1.6764],
    ['5 ft 6 in', 1.6764],
    ['5′ 6½″', 1.6891],
    ['5\' 6 1/2"', 1.6891],
    ['66 in', 1.6764],
    ['1m85', 1.85],
    ['1750 mm', 1.75],
    ['1 metre 75', 1.75],
    ['1 meter 5 cm', 1.05],
    ['1.75 metres', 1.75],
    ['175 cms', 1.75],
    ['1 m 61', 1.61],
    ['1M05cm', 1.05],
    ['1 m 5 cm', 1.05],
    ['5’7”', 1.7018],
    ['170 cm.', 1.7],
  ])('reads a height of %s', (text, metres) => {
    expect(parseHeight(text, 'cm')).toBeCloseTo(metres, 6);
  });

  // One figure may be tenths or hundredths; three are neither.
  it.each(['1m5', '1 m 6', '1m855', '1.7m5', 'm85', `5'12`, `6'13"`, '5 ft 14 in'])(
    'does not guess at %s',
    (text) => {
      expect(parseHeight(text, 'cm')).toBeNull();
    },
  );

  it.each([
    ['one hand + 5 cm', 'one hand + 2 in'],
    [
      '3 to 7 cm, so that the hands can wrap round it',
      '1¼ to 2¾ in, so that the hands can wrap round it',
    ],
    ['a loop of 104 cm with a tail of 20 cm', 'a loop of 41 in with a tail of 7¾ in'],
    ['26 cm or nearer, or 12.5 cm', '10¼ in or nearer, or 5 in'],
    ['about 25°, 80 % of height', 'about 25°, 80 % of height'],
  ])('says %s to a tape in inches', (sentence, inInches) => {
    expect(sayIn(sentence, 'in')).toBe(inInches);
    expect(sayIn(sentence, 'cm')).toBe(sentence);
  });

  it('takes no bar of whole centimetres for another one, and no tenth of an inch', () => {
    for (let cm = 0; cm <= 200; cm += 1) expect(readingFrom(readingIn(cm, 'in'), 'in')).toBe(cm);
    for (let tenths = 0; tenths <= 900; tenths += 1) {
      expect(readingIn(readingFrom(tenths / 10, 'in'), 'in')).toBe(tenths / 10);
    }
    expect([readingIn(4.2, 'cm'), readingFrom(4.2, 'cm')]).toEqual([4.2, 4.2]);
  });

  it('says what a verdict says of a tape in inches, and leaves the rest alone', () => {
    const said = 'Head clearance: 2.5 cm (from a picture, give or take 1.0 cm), bar 3 cm, 18 s';
    expect(sayReading(said, 'in')).toBe(
      'Head clearance: 1 in (from a picture, give or take 0.4 in), bar 1.2 in, 18 s',
    );
    expect(sayReading(said, 'cm')).toBe(said);
  });

  it('reads a bare number in the teacher’s own units', () => {
    expect(parseLength('10', 'cm')).toBeCloseTo(0.1, 10);
    expect(parseLength('10', 'in')).toBeCloseTo(0.254, 10);
    expect(parseLength('10 1/4', 'in')).toBeCloseTo(0.26035, 10);
    expect(parseLength('¾', 'in')).toBeCloseTo(0.01905, 10);
  });

  it.each(['', 'tall', '-5', '1e3', '5 6', '12 kg', '1/0 in'])('refuses %j', (text) => {
    expect(parseLength(text, 'cm')).toBeNull();
  });

  it('shows whole centimetres and quarter inches, never -0', () => {
    expect(formatLength(0.4818, 'cm')).toBe('48 cm');
    expect(formatFigure(-0.001, 'cm')).toBe('0');
    expect(formatLength(0.4818, 'in')).toBe('19 in');
    expect(formatFigure(0.0065, 'in')).toBe('¼');
    expect(formatHeight(1.7, 'in')).toBe('5′ 7″');
    expect(formatHeight(1.829, 'in')).toBe('6′ 0″');
  });

  it('says how long a wall is in feet and inches, as it is measured', () => {
    expect(formatRoomFigure(7.2, 'in')).toBe('23′\u00a07½″');
    expect(formatRoomFigure(3.05, 'in')).toBe('10′\u00a00″');
    expect(formatRoomFigure(0.6, 'in')).toBe('23½″');
    expect(formatRoomLength(7.2, 'cm')).toBe('720 cm');
    // A quarter under a foot is not twelve inches.
    expect(formatRoomLength(3.046, 'in')).toBe('10′\u00a00″');
    for (let mm = 5; mm < 9000; mm += 7) {
      const shown = formatRoomLength(mm / 1000, 'in');
      expect(shown).not.toMatch(/′\s12″/);
      expect(Math.abs(parseLength(shown, 'in')! - mm / 1000)).toBeLessThan(0.0254 / 8 + 1e-9);
    }
  });

  it('says a length along a wall to a tenth of a metre, or an inch', () => {
    expect(formatAlong(6.04, 'cm')).toBe('6.0 m');
    expect(formatAlong(6.04, 'in')).toBe('19′\u00a010″');
    expect(formatStretch(0.9, 1.8, 'cm')).toBe('0.9 to 1.8 m');
    expect(formatStretch(0.9, 1.8, 'in')).toBe('2′\u00a011″ to 5′\u00a011″');
  });

  it('says that a room is too low so that it reads so', () => {
    expect(sayTooLow(2.31, 2.2, 'cm')).toBe('needs 2.31 m of height, the room has 2.20 m');
    // Both are nearest to 7′ 3″.
    expect(sayTooLow(2.216, 2.203, 'in')).toBe(
      'needs 7′\u00a04″ of height, the room has 7′\u00a02″',
    );
  });

  it('comes back within half a mark of what was shown', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 2.2, noNaN: true }), (metres) => {
        const cm = parseLength(formatLength(metres, 'cm'), 'cm')!;
        expect(Math.abs(cm - metres)).toBeLessThanOrEqual(0.005 + 1e-9);
        const inches = parseLength(formatLength(metres, 'in'), 'in')!;
        expect(Math.abs(inches - metres)).toBeLessThanOrEqual(0.0254 / 8 + 1e-9);
      }),
    );
  });
});

describe('days', () => {
  it('knows the calendar', () => {
    expect(findDayNumber('2026-02-29')).toBeNull();
    expect(findDayNumber('2028-02-29')).not.toBeNull();
    expect(findDayNumber('2026-2-9')).toBeNull();
    expect(() => dayNumber('yesterday')).toThrow('YYYY-MM-DD');
  });

  it('counts over months and years', () => {
    expect(daysBetween('2026-12-31', '2027-01-01')).toBe(1);
    expect(addDays('2026-03-01', -1)).toBe('2026-02-28');
  });

  it('finds the coming meeting and its week', () => {
    expect(comingMeeting('2026-10-29', '2026-11-23')).toEqual({ date: '2026-11-26', week: 5 });
    expect(comingMeeting('2026-10-29', '2026-11-26')).toEqual({ date: '2026-11-26', week: 5 });
    expect(comingMeeting('2026-10-29', '2026-10-01')).toEqual({ date: '2026-10-29', week: 1 });
  });

  it('reads a bare height in the only unit in which it can be one', () => {
    for (const [text, units, metres] of [
      ['1.68', 'in', 1.68],
      ['1,68', 'in', 1.68],
      ['168', 'in', 1.68],
      ['66', 'in', 1.6764],
      ['168', 'cm', 1.68],
      ['1.68', 'cm', 1.68],
      // Seldom a height in centimetres: said as such by whoever checks the range.
      ['67', 'cm', 0.67],
    ] as const) {
      expect([text, units, parseHeight(text, units)]).toEqual([
        text,
        units,
        expect.closeTo(metres, 6) as unknown,
      ]);
    }
  });
});

describe('a day as it is said', () => {
  it('has its month in words and no noughts', () => {
    expect(sayDay('2026-12-03')).toBe('3 December 2026');
    expect(sayDay('2027-01-31')).toBe('31 January 2027');
    expect(() => sayDay('2027-02-30')).toThrow();
  });
});

it('says metres of a room in feet and inches where the studio measures so', () => {
  const said = 'A room is at least 1 m and at most 60 m long and wide.';
  expect(sayMetres(said, 'cm')).toBe(said);
  expect(sayMetres(said, 'in')).toBe(
    'A room is at least 3′ 3″ and at most 196′ 10″ long and wide.',
  );
  expect(sayMetres('A ceiling is at most 2.5 m high.', 'in')).toContain('8′ 2″');
  // Minutes and what only begins with the letter stay as they are.
  expect(sayMetres('5 min, 3 mats', 'in')).toBe('5 min, 3 mats');
});
