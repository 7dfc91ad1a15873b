'use client';

import {
  createTheme,
  type ButtonProps,
  defaultVariantColorsResolver,
  type DrawerProps,
  type MantineColorsTuple,
  type MenuProps,
  type ModalProps,
  type NumberInputProps,
  type TagsInputProps,
  type TextareaProps,
  type TextInputProps,
  type VariantColorsResolver,
} from '@mantine/core';

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

/** Evening blue instead of the library's grey, to go with the dark paper. */
const dark: MantineColorsTuple = [
  '#e9e2d3',
  '#c4c6c2',
  '#9aa5a8',
  '#6f7d84',
  '#38444c',
  '#27323a',
  '#182128',
  '#12191f',
  '#0d1317',
  '#080c0f',
];

/** The library picks the text of filled buttons for the light scheme only; a token knows both. */
const variantColorResolver: VariantColorsResolver = (input) => {
  const colors = defaultVariantColorsResolver(input);
  return input.variant === 'filled' ? { ...colors, color: 'var(--lv-onAction)' } : colors;
};

const withCross = { closeButtonProps: { 'aria-label': 'Close', size: 48 } };

const unremembered = { autoComplete: 'off' } as const;

export const theme = createTheme({
  // Whoever asked for less motion is shown what unfolds at once.
  respectReducedMotion: true,
  primaryColor: 'sea',
  primaryShade: { light: 7, dark: 3 },
  variantColorResolver,
  colors: { sea, dark },
  white: '#fffdf8',
  black: '#1b2733',
  fontFamily: "'Atkinson Hyperlegible Next Variable', 'Helvetica', sans-serif",
  headings: { fontFamily: "'Besley Variable', 'Georgia', serif", fontWeight: '600' },
  components: {
    // The closing cross has no words of its own.
    // By name: to extend them here would load them on every page.
    Modal: { defaultProps: withCross satisfies Partial<ModalProps> },
    Drawer: { defaultProps: withCross satisfies Partial<DrawerProps> },
    // What is typed of people is kept in the studio alone, not in the memory of a shared browser.
    TextInput: { defaultProps: unremembered satisfies Partial<TextInputProps> },
    Textarea: { defaultProps: unremembered satisfies Partial<TextareaProps> },
    TagsInput: { defaultProps: unremembered satisfies Partial<TagsInputProps> },
    NumberInput: { defaultProps: unremembered satisfies Partial<NumberInputProps> },
    // Its place for the first focus is no line of a menu: the first line takes it.
    Menu: { defaultProps: { withInitialFocusPlaceholder: false } satisfies Partial<MenuProps> },
    // In a row with words it is the words that give way: a label is never cut.
    Button: { styles: { root: { flexShrink: 0 } } satisfies ButtonProps['styles'] },
  },
  defaultRadius: 'xs',
  cursorType: 'pointer',
  fontSizes: { xs: '0.8rem', sm: '0.9rem', md: '1rem', lg: '1.12rem', xl: '1.3rem' },
});
