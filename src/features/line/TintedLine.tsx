import type { SaidPart } from '@/core/entryline/parseEntryLine';
import { useTheme } from '@/ui/theme/theme';
import { fontFamilies, fontSizes } from '@/ui/theme/tokens';

/**
 * The line again, unseen, under the words that are typed: what was understood is tinted. It stands in the same letters, so
 * each tint lies under its words, and moves along as the field scrolls.
 */
export function TintedLine({
  line,
  spans,
  scrolled,
}: {
  line: string;
  spans: readonly SaidPart[];
  scrolled: number;
}) {
  const { colours } = useTheme();
  const pieces: { text: string; isSaid: boolean; from: number }[] = [];
  let end = 0;
  for (const { from, to } of spans) {
    pieces.push({ text: line.slice(end, from), isSaid: false, from: end });
    pieces.push({ text: line.slice(from, to), isSaid: true, from });
    end = to;
  }
  return (
    <div aria-hidden style={layer}>
      <div style={{ ...written, transform: `translateX(${-scrolled}px)` }}>
        {pieces.map(({ text, isSaid, from }) => (
          <span
            key={`${from} ${isSaid}`}
            style={isSaid ? { backgroundColor: colours.accentTint, borderRadius: 3 } : undefined}
          >
            {text}
          </span>
        ))}
      </div>
    </div>
  );
}

const layer = {
  position: 'absolute',
  inset: 0,
  overflow: 'hidden',
  pointerEvents: 'none',
  display: 'flex',
  alignItems: 'center',
} as const;
const written = {
  whiteSpace: 'pre',
  color: 'transparent',
  fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
  fontSize: fontSizes.large,
} as const;
