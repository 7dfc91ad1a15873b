'use client';

import { createTheme, type MantineColorsTuple } from '@mantine/core';

/** The one colour for action: a deep sea-green. */
const sea: MantineColorsTuple = [
  '#e6f4f1',
  '#cfe6e1',
  '#a1cdc4',
  '#6fb2a6',
  '#479b8c',
  '#2e8c7c',
  '#1c7868',
  '#0d5c54',
  '#084a44',
  '#033833',
];

export const theme = createTheme({
  primaryColor: 'sea',
  primaryShade: { light: 7, dark: 5 },
  colors: { sea },
  white: '#fffdf8',
  black: '#1b2733',
  fontFamily: "'Atkinson Hyperlegible Next Variable', 'Helvetica', sans-serif",
  headings: { fontFamily: "'Besley Variable', 'Georgia', serif", fontWeight: '600' },
  defaultRadius: 'xs',
  cursorType: 'pointer',
  fontSizes: { xs: '0.8rem', sm: '0.9rem', md: '1rem', lg: '1.12rem', xl: '1.3rem' },
});
