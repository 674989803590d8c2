import { createTheme, type MantineColorsTuple } from '@mantine/core';

/** Chestnut: the one strong accent. */
const chestnut: MantineColorsTuple = [
  '#fbf0ec',
  '#f2ddd5',
  '#e4b8a9',
  '#d6917a',
  '#ca7053',
  '#c15a3a',
  '#a94527',
  '#8f3820',
  '#752d1a',
  '#5a2112',
];

/** Slate: the cool half of a roan coat, for all that is quiet. */
const slate: MantineColorsTuple = [
  '#f3f4f5',
  '#e4e6e9',
  '#c6cbd2',
  '#a5adb8',
  '#8590a0',
  '#6b7788',
  '#566274',
  '#45505f',
  '#343d4a',
  '#232a34',
];

/** Sand that is wet: what is to be heeded. */
const ochre: MantineColorsTuple = [
  '#fbf4e6',
  '#f3e5c8',
  '#e7cd98',
  '#d9b266',
  '#cd9c42',
  '#bd882d',
  '#a37122',
  '#8a5d1a',
  '#6f4a14',
  '#54370d',
];

/** Night in the yard: from what is written to what lies behind it. */
const dark: MantineColorsTuple = [
  '#f1ece0',
  '#d8dde3',
  '#b0b8c2',
  '#97a2af',
  '#566274',
  '#414a55',
  '#2a323b',
  '#1e242b',
  '#191e24',
  '#14181d',
];

const CLOSE = { 'aria-label': 'Close' };

export const theme = createTheme({
  primaryColor: 'chestnut',
  primaryShade: 7,
  colors: { chestnut, slate, gray: slate, ochre, dark },
  black: '#20262e',
  white: '#fffdf8',
  fontFamily: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
  headings: { fontFamily: 'var(--roan-display)', fontWeight: '700' },
  defaultRadius: 'sm',
  cursorType: 'pointer',
  focusRing: 'auto',
  components: {
    TextInput: { defaultProps: { inputWrapperOrder: ['label', 'input', 'description', 'error'] } },
    Select: { defaultProps: { allowDeselect: false, comboboxProps: { shadow: 'sm' } } },
    // What scrolls sideways can be scrolled by keys.
    TableScrollContainer: { defaultProps: { scrollAreaProps: { viewportProps: { tabIndex: 0 } } } },
    Modal: { defaultProps: { overlayProps: { backgroundOpacity: 0.35 }, centered: false, closeButtonProps: CLOSE } },
    Drawer: { defaultProps: { closeButtonProps: CLOSE } },
    // Not a head of the page beside its own.
    ModalHeader: { defaultProps: { role: 'presentation' } },
    DrawerHeader: { defaultProps: { role: 'presentation' } },
  },
});
