import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { configureFonts, PaperProvider } from 'react-native-paper';
import { MD3DarkTheme, MD3LightTheme } from 'react-native-paper/lib/module/styles/themes';
import { AppIcon } from '../icons/AppIcon';
import { calendarColours, type CalendarColours } from './calendarColours';
import { useScheme } from './scheme';
import { corner, darkColours, fontFamilies, fontSizes, lightColours, type NeutralColours } from './tokens';

export interface Theme {
  readonly dark: boolean;
  readonly colours: NeutralColours;
  /** The tones of a calendar's colour. */
  readonly calendar: (colour: string) => CalendarColours;
}

const themeOf = (dark: boolean): Theme => {
  const colours = dark ? darkColours : lightColours;
  return { dark, colours, calendar: (colour) => calendarColours(colour, colours) };
};
const light = themeOf(false);
const dark = themeOf(true);

const ThemeContext = createContext<Theme>(light);

/** The colours in force. */
export const useTheme = (): Theme => useContext(ThemeContext);

/** The colours of what stands on white paper, whatever scheme the screen has. */
export const PaperTheme = ({ children }: { children: ReactNode }) => (
  <ThemeContext.Provider value={light}>{children}</ThemeContext.Provider>
);

const face = { fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`, letterSpacing: 0 };
/** Paper's roles of type in the interface's five sizes. */
const paperFonts = {
  labelLarge: { ...face, fontSize: fontSizes.body, fontWeight: '500', lineHeight: 20 },
  labelMedium: { ...face, fontSize: fontSizes.small, fontWeight: '500', lineHeight: 16 },
  bodyLarge: { ...face, fontSize: fontSizes.body, fontWeight: '400', lineHeight: 20 },
  bodyMedium: { ...face, fontSize: fontSizes.body, fontWeight: '400', lineHeight: 20 },
  bodySmall: { ...face, fontSize: fontSizes.small, fontWeight: '400', lineHeight: 16 },
} as const;

function paperTheme({ dark: isDark, colours }: Theme) {
  const base = isDark ? MD3DarkTheme : MD3LightTheme;
  return {
    ...base,
    roundness: corner,
    fonts: { ...configureFonts({ config: face }), ...paperFonts },
    colors: {
      ...base.colors,
      primary: isDark ? '#7FC4B7' : colours.primary,
      onPrimary: isDark ? '#08201C' : colours.onPrimary,
      primaryContainer: colours.primary,
      onPrimaryContainer: colours.onPrimary,
      secondaryContainer: colours.page,
      onSecondaryContainer: colours.ink,
      background: colours.page,
      onBackground: colours.ink,
      surface: colours.card,
      onSurface: colours.ink,
      surfaceVariant: colours.page,
      onSurfaceVariant: colours.quietInk,
      outline: colours.line,
      outlineVariant: colours.line,
      error: colours.error,
      onError: colours.onError,
      errorContainer: colours.error,
      onErrorContainer: colours.onError,
      inverseSurface: colours.ink,
      inverseOnSurface: colours.card,
      inversePrimary: colours.card,
      surfaceDisabled: 'transparent',
      onSurfaceDisabled: colours.quietInk,
      backdrop: colours.scrim,
      elevation: {
        level0: 'transparent',
        level1: colours.card,
        level2: colours.card,
        level3: colours.card,
        level4: colours.card,
        level5: colours.card,
      },
    },
  };
}

// Made once: a new object at every render would render every icon again.
const settings = { icon: AppIcon, rippleEffectEnabled: false };

/** Gives the colours of the chosen scheme, or the system's, to everything inside, Paper's components too. */
export function ThemeProvider({ children }: { children: ReactNode }) {
  const theme = useScheme() === 'dark' ? dark : light;
  const paper = useMemo(() => paperTheme(theme), [theme]);
  return (
    <ThemeContext.Provider value={theme}>
      <PaperProvider theme={paper} settings={settings}>
        {children}
      </PaperProvider>
    </ThemeContext.Provider>
  );
}
