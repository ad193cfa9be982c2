import type { ReactNode } from 'react';
import { Text, type StyleProp, type TextProps, type TextStyle } from 'react-native';
import { useTheme } from '../theme/theme';
import { fontFamilies, fontSizes, type FontSize } from '../theme/tokens';

export interface AppTextProps extends Omit<TextProps, 'style'> {
  size?: FontSize;
  weight?: '400' | '500' | '700';
  tone?: 'ink' | 'quiet' | 'accent' | 'error' | 'onPrimary';
  /** Tabular figures, for times. */
  figures?: boolean;
  colour?: string;
  style?: StyleProp<TextStyle>;
  children?: ReactNode;
}

const body = `${fontFamilies.text}, ${fontFamilies.fallback}`;

/** Text in the interface's type. */
export function AppText({
  size = 'body',
  weight = '400',
  tone = 'ink',
  figures,
  colour,
  style,
  ...rest
}: AppTextProps) {
  const { colours } = useTheme();
  const tones = {
    ink: colours.ink,
    quiet: colours.quietInk,
    accent: colours.accentInk,
    error: colours.error,
    onPrimary: colours.onPrimary,
  };
  return (
    <Text
      {...rest}
      style={[
        { fontFamily: body, fontSize: fontSizes[size], fontWeight: weight, color: colour ?? tones[tone] },
        figures ? { fontVariant: ['tabular-nums'] } : null,
        style,
      ]}
    />
  );
}

/** The title of a place, a period or a sheet. */
export function TitleText({
  size = 'title',
  level = 2,
  colour,
  style,
  children,
  numberOfLines,
}: {
  size?: FontSize;
  /** `none`: what it stands in is the heading. */
  level?: 1 | 2 | 3 | 'none';
  colour?: string;
  style?: StyleProp<TextStyle>;
  children?: ReactNode;
  numberOfLines?: number;
}) {
  const { colours } = useTheme();
  return (
    <Text
      {...(level === 'none' ? null : { role: 'heading' as const, 'aria-level': level })}
      numberOfLines={numberOfLines}
      style={[
        {
          fontFamily: `${fontFamilies.title}, Georgia, serif`,
          fontSize: fontSizes[size],
          fontWeight: '600',
          color: colour ?? colours.ink,
        },
        style,
      ]}
    >
      {children}
    </Text>
  );
}
