import '@fontsource-variable/literata'
import '@fontsource-variable/source-sans-3'
import '@fontsource/source-code-pro/400.css'
import {createTheme} from '@mui/material/styles'

/** The colours of the desk, by what they are: every other file names these and no colour. */
interface Desk {
  sheet: string
  rule: string
  pencil: string
  ink: string
  fault: string
  merit: string
  waits: string
  tag: string
  string: string
}

declare module '@mui/material/styles' {
  interface Palette {
    desk: Desk
  }
  interface PaletteOptions {
    desk: Desk
  }
}

const serif = '"Literata Variable", Georgia, serif'
const sans = '"Source Sans 3 Variable", system-ui, sans-serif'

export const mono = '"Source Code Pro", ui-monospace, monospace'

export const theme = createTheme({
  cssVariables: {colorSchemeSelector: 'class'},
  colorSchemes: {
    light: {
      palette: {
        primary: {main: '#2f2b73'},
        error: {main: '#7a1f2b'},
        success: {main: '#46581f'},
        warning: {main: '#7d5200'},
        background: {default: '#f4eee0', paper: '#fdfbf5'},
        text: {primary: '#26231f', secondary: '#5b564d'},
        divider: '#d9cfb8',
        desk: {
          sheet: '#fdfbf5',
          rule: '#d9cfb8',
          pencil: '#635e55',
          ink: '#2f2b73',
          fault: '#7a1f2b',
          merit: '#46581f',
          waits: '#7d5200',
          tag: '#3f4a57',
          string: '#6b4a2b',
        },
      },
    },
    dark: {
      palette: {
        primary: {main: '#b9b6f6'},
        error: {main: '#eba3a8'},
        success: {main: '#b6ca8d'},
        warning: {main: '#e4b763'},
        background: {default: '#1b1917', paper: '#25221f'},
        text: {primary: '#ece5d8', secondary: '#b3aca0'},
        divider: '#443e36',
        desk: {
          sheet: '#25221f',
          rule: '#443e36',
          pencil: '#a9a297',
          ink: '#b9b6f6',
          fault: '#eba3a8',
          merit: '#b6ca8d',
          waits: '#e4b763',
          tag: '#b9c4cf',
          string: '#d8b48a',
        },
      },
    },
  },
  shape: {borderRadius: 2},
  typography: {
    fontFamily: sans,
    fontSize: 14,
    h1: {fontFamily: serif, fontSize: '1.9rem', fontWeight: 500, letterSpacing: '-0.01em'},
    h2: {fontFamily: serif, fontSize: '1.25rem', fontWeight: 500},
    h3: {fontFamily: serif, fontSize: '1.02rem', fontWeight: 600},
    body1: {fontFamily: serif, fontSize: '1rem', lineHeight: 1.6},
    body2: {fontFamily: sans, fontSize: '0.9rem', lineHeight: 1.45},
    button: {textTransform: 'none', fontWeight: 600},
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: theme => ({
        'html, body, #desk': {height: '100%'},
        body: {fontFamily: sans},
        ':focus-visible': {outline: `2px solid ${theme.vars.palette.desk.ink}`, outlineOffset: 2},
        '.unseen': {
          position: 'absolute',
          width: 1,
          height: 1,
          overflow: 'hidden',
          clipPath: 'inset(50%)',
          whiteSpace: 'nowrap',
        },
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': {
            animationDuration: '0s !important',
            animationDelay: '0s !important',
            transitionDuration: '0s !important',
            transitionDelay: '0s !important',
            scrollBehavior: 'auto !important',
          },
        },
        '@media print': {'.not-printed': {display: 'none !important'}, 'html, body': {background: 'none'}},
      }),
    },
    MuiButtonBase: {defaultProps: {disableRipple: true}},
    MuiButton: {defaultProps: {disableElevation: true, size: 'small'}},
    MuiLink: {defaultProps: {underline: 'hover'}},
    MuiInputBase: {styleOverrides: {root: {fontFamily: sans, lineHeight: 1.4}}},
    MuiInputLabel: {styleOverrides: {root: {fontFamily: sans}}},
    MuiMenuItem: {styleOverrides: {root: {fontFamily: sans}}},
    MuiToggleButton: {styleOverrides: {root: {color: 'inherit', textTransform: 'none'}}},
    MuiTextField: {defaultProps: {size: 'small'}},
  },
})
