import type { LoadLevel } from '@/core/layout/yearMonths';

/** Every size and neutral colour of the interface. Components name these and hold no numbers of their own for them. */
export const fontFamilies = {
  text: 'Atkinson Hyperlegible Next',
  title: 'Literata',
  fallback: 'system-ui, sans-serif',
} as const;

export const fontSizes = { small: 12, body: 14, large: 16, title: 20, display: 28 } as const;
export type FontSize = keyof typeof fontSizes;

export const space = (steps: number): number => steps * 4;
export const corner = 4;
export const hairline = 1;
export const focusWidth = 2;

export const sizes = {
  target: 40,
  touchTarget: 44,
  rail: 72,
  bottomBar: 56,
  lowBar: 40,
  titleRow: 48,
  chipRow: 48,
  strip: 44,
  todos: 244,
  desk: 320,
  editor: 420,
  hourRail: 56,
  zoneRail: 52,
  dayHead: 36,
  ribbon: 26,
  fold: 28,
  /** Pixels of an hour, at the least and where there is room, and of the finest grid step. */
  hourHeights: {
    compact: { least: 34, most: 44, step: 6 },
    regular: { least: 46, most: 60, step: 9 },
    roomy: { least: 72, most: 96, step: 12 },
  },
  entryLine: 52,
} as const;

/** From this width on there is a rail, and the desk stands beside the view. */
export const WIDE = 900;
/** From this width on the desk fits beside the view without hiding it. */
export const DESK_BESIDE = 1100;
/** From this width of Plan on, all of its tools stand in the title row. */
export const ALL_TOOLS = 1060;
/** Below this height of the window the rows around the view fold into one button. */
export const LOW_HEIGHT = 560;
/** Below this height Plan's places go with them. */
export const LEAST_HEIGHT = 340;
/** What the switch of views needs beside the title and the steps. */
export const VIEW_SWITCH = 820;

export interface NeutralColours {
  page: string;
  card: string;
  line: string;
  ink: string;
  quietInk: string;
  primary: string;
  onPrimary: string;
  /** Now, what is due, and what is selected. */
  accent: string;
  /** The accent as words: dark enough to be read on cards. */
  accentInk: string;
  accentTint: string;
  error: string;
  onError: string;
  /** The part of today that is over, and hatching of folds. */
  shade: string;
  scrim: string;
  /** Lines on the primary colour. */
  onPrimaryLine: string;
  /** How booked a day is: grounds from quiet to full, and the ink on each. */
  heat: Record<LoadLevel, { background: string; ink: string }>;
}

export const lightColours: NeutralColours = {
  page: '#EEF1EC',
  card: '#FBFCF9',
  line: '#CBD3C9',
  ink: '#17211D',
  quietInk: '#52605A',
  primary: '#14524A',
  onPrimary: '#FFFFFF',
  accent: '#B86E00',
  accentInk: '#8A5200',
  accentTint: '#FBF1DE',
  error: '#A4262C',
  onError: '#FFFFFF',
  shade: '#17211D0D',
  scrim: '#17211D66',
  onPrimaryLine: '#FFFFFF66',
  heat: {
    none: { background: '#E8ECE7', ink: '#52605A' },
    'under-quarter': { background: '#C9DED7', ink: '#24423B' },
    half: { background: '#9DC4B9', ink: '#17211D' },
    'three-quarters': { background: '#45786D', ink: '#FFFFFF' },
    full: { background: '#1F5F54', ink: '#FFFFFF' },
    over: { background: '#9A5B00', ink: '#FFFFFF' },
  },
};

export const darkColours: NeutralColours = {
  page: '#121815',
  card: '#1A221E',
  line: '#35423B',
  ink: '#E9EFEA',
  quietInk: '#A3B1A9',
  primary: '#1C6A60',
  onPrimary: '#FFFFFF',
  accent: '#F2B134',
  accentInk: '#F2B134',
  accentTint: '#3A2E14',
  error: '#F0898D',
  onError: '#2B0A0C',
  shade: '#FFFFFF0D',
  scrim: '#00000099',
  onPrimaryLine: '#FFFFFF66',
  heat: {
    none: { background: '#222B26', ink: '#A3B1A9' },
    'under-quarter': { background: '#1E3B35', ink: '#CFE3DB' },
    half: { background: '#225A50', ink: '#FFFFFF' },
    'three-quarters': { background: '#2F7A6C', ink: '#FFFFFF' },
    full: { background: '#8CCBBC', ink: '#0E1C18' },
    over: { background: '#F2B134', ink: '#1B1403' },
  },
};
