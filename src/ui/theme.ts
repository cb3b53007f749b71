import { createTheme } from '@mui/material/styles';
import { LANGUAGE } from '@/words/language';
import { say } from '@/words/say';

/**
 * Toner-black on the cool off-white of a damp sheet's back; one colour for each thing it means. Checked for AA on both
 * grounds.
 */
const LIGHT = {
  ground: '#F2F4F5',
  sheet: '#FFFFFF',
  ink: '#1E2126',
  muted: '#535A63',
  rule: '#CDD3D8',
  plum: '#5B2D5E',
  verdigris: '#0B665E',
  marigold: '#8F5400',
  wet: '#2C5C94',
  brick: '#A72F2A',
};
const DARK = {
  ground: '#14171A',
  sheet: '#1D2125',
  ink: '#E9EBED',
  muted: '#A6AEB6',
  rule: '#3A4148',
  plum: '#D9ADDD',
  verdigris: '#63C9BF',
  marigold: '#EFB04F',
  wet: '#93BDEE',
  brick: '#F49A91',
};

const paletteOf = (colours: typeof LIGHT) => ({
  primary: { main: colours.plum },
  success: { main: colours.verdigris },
  warning: { main: colours.marigold },
  info: { main: colours.wet },
  error: { main: colours.brick },
  background: { default: colours.ground, paper: colours.sheet },
  text: { primary: colours.ink, secondary: colours.muted },
  divider: colours.rule,
});

const TEXT_FONT = say`"Atkinson Hyperlegible Next Variable", sans-serif`;

/** What is pressed with a finger is as large as one. */
const FINGER_PX = 44;
const UNDER_A_FINGER = '@media (pointer: coarse)';
const FINGER_HIGH = { [UNDER_A_FINGER]: { minHeight: FINGER_PX } };

export const theme = createTheme({
  direction: LANGUAGE.direction,
  cssVariables: { cssVarPrefix: 'fb', colorSchemeSelector: '[data-scheme="%s"]' },
  colorSchemes: { light: { palette: paletteOf(LIGHT) }, dark: { palette: paletteOf(DARK) } },
  shape: { borderRadius: 3 },
  typography: {
    fontFamily: TEXT_FONT,
    fontSize: 14.5,
    button: { textTransform: 'none', fontWeight: 600 },
  },
  components: {
    MuiButton: { defaultProps: { disableElevation: true }, styleOverrides: { root: FINGER_HIGH } },
    MuiIconButton: { styleOverrides: { root: { [UNDER_A_FINGER]: { minWidth: FINGER_PX, minHeight: FINGER_PX } } } },
    MuiInputBase: { styleOverrides: { root: FINGER_HIGH } },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: {
        root: { '&.Mui-focusVisible': { outline: '3px solid var(--fb-palette-info-main)', outlineOffset: 2 } },
      },
    },
    MuiCheckbox: { defaultProps: { color: 'success' } },
    // Tables take their letters from where they stand.
    MuiTableCell: {
      styleOverrides: { root: { font: 'inherit', color: 'inherit', letterSpacing: 'inherit', padding: 0, border: 0 } },
    },
    MuiInputLabel: { styleOverrides: { root: { color: 'var(--fb-palette-text-secondary)' } } },
  },
});
