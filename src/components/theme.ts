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

const CLOSE = { 'aria-label': 'Close' };

export const theme = createTheme({
  primaryColor: 'chestnut',
  primaryShade: 7,
  colors: { chestnut, slate, gray: slate },
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
