import { scaleBand, scaleLinear } from 'd3-scale';
import { stack } from 'd3-shape';
import Svg, { Defs, G, Line, Path, Pattern, Rect, Text } from 'react-native-svg';
import { useTheme } from '@/ui/theme/theme';
import { fontFamilies, fontSizes } from '@/ui/theme/tokens';

/** What is stacked, in the order of its colours from below. */
export interface Stacked {
  readonly key: string;
  readonly mark: string;
  readonly colour: string;
  /** Minutes in each column. */
  readonly values: readonly number[];
}

interface StackedBarsProps {
  /** Read out in place of the picture. */
  label: string;
  columns: readonly string[];
  parts: readonly Stacked[];
  /** How high an outline stands over each column, in minutes. */
  outlines?: readonly number[];
  width: number;
  height: number;
}

const LEFT = 40;
const BOTTOM = 22;
const TOP = 10;
const TICKS = 4;
/** A letter of the smallest type, in pixels. */
const LETTER = 6.5;
/** A part bears its mark where it is so high and wide. */
const MARK_HEIGHT = 14;
const MARK_WIDTH = 20;
/** Papers by turns, so that parts are told apart without their colours. */
const PAPERS = [undefined, 'M0 8 L8 0', 'M0 0 L8 8', 'M0 4 H8', 'M4 0 V8'] as const;

/** Bars of hours in stacked parts: each part has a colour, a paper and, where there is room, its mark. */
export function StackedBars({ label, columns, parts, outlines, width, height }: StackedBarsProps) {
  const { colours, calendar } = useTheme();
  const rows = columns.map((_, at) =>
    Object.fromEntries(parts.map(({ key, values }) => [key, (values[at] ?? 0) / 60])),
  );
  const layers = stack()
    .keys(parts.map(({ key }) => key))
    .value((row, key) => row[key] ?? 0)(rows);
  const most = Math.max(
    1,
    ...layers.flatMap((layer) => layer.map(([, to]) => to)),
    ...(outlines ?? []).map((value) => value / 60),
  );
  const y = scaleLinear([0, most], [height - BOTTOM, TOP]).nice(TICKS);
  const x = scaleBand(
    columns.map((_, at) => at),
    [LEFT, width],
  ).padding(columns.length > 20 ? 0.15 : 0.25);
  const text = { fontFamily: fontFamilies.text, fontSize: fontSizes.small, fill: colours.quietInk } as const;
  // As many names stand below as have room.
  const longest = Math.max(...columns.map((name) => name.length)) * LETTER + 8;
  const every = Math.max(1, Math.ceil(longest / x.step()));
  return (
    <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label}>
      <Defs>
        {PAPERS.map((lines, at) =>
          lines ? (
            <Pattern key={at} id={`paper-${at}`} width={8} height={8} patternUnits="userSpaceOnUse">
              <Path d={lines} stroke={colours.card} strokeWidth={1.5} />
            </Pattern>
          ) : null,
        )}
      </Defs>
      {y.ticks(TICKS).map((value) => (
        <G key={value}>
          <Line x1={LEFT} x2={width} y1={y(value)} y2={y(value)} stroke={colours.line} strokeWidth={1} />
          <Text x={LEFT - 6} y={y(value) + 4} textAnchor="end" {...text}>
            {`${value} h`}
          </Text>
        </G>
      ))}
      {layers.map((layer, index) => {
        const { colour, mark, key } = parts[index]!;
        const tones = calendar(colour);
        const paper = index % PAPERS.length;
        return (
          <G key={key}>
            {layer.map(([from, to], at) => {
              const box = { x: x(at) ?? 0, y: y(to), width: x.bandwidth(), height: y(from) - y(to) };
              if (box.height <= 0) return null;
              return (
                <G key={at}>
                  <Rect {...box} fill={tones.band} stroke={colours.card} strokeWidth={1} />
                  {PAPERS[paper] ? <Rect {...box} fill={`url(#paper-${paper})`} opacity={0.55} /> : null}
                  {box.height >= MARK_HEIGHT && box.width >= MARK_WIDTH ? (
                    <>
                      <Rect
                        x={box.x + box.width / 2 - MARK_WIDTH / 2}
                        y={box.y + box.height / 2 - 7}
                        width={MARK_WIDTH}
                        height={14}
                        fill={tones.band}
                      />
                      <Text
                        x={box.x + box.width / 2}
                        y={box.y + box.height / 2 + 4}
                        textAnchor="middle"
                        fontFamily={fontFamilies.text}
                        fontSize={fontSizes.small}
                        fontWeight="700"
                        fill={tones.onBand}
                      >
                        {mark}
                      </Text>
                    </>
                  ) : null}
                </G>
              );
            })}
          </G>
        );
      })}
      {outlines?.map((value, at) =>
        value > 0 ? (
          <Rect
            key={at}
            x={x(at)}
            y={y(value / 60)}
            width={x.bandwidth()}
            height={y(0) - y(value / 60)}
            fill="none"
            stroke={colours.ink}
            strokeWidth={1.5}
            strokeDasharray="4 3"
          />
        ) : null,
      )}
      {columns.map((name, at) =>
        at % every === 0 ? (
          <Text key={at} x={(x(at) ?? 0) + x.bandwidth() / 2} y={height - 6} textAnchor="middle" {...text}>
            {name}
          </Text>
        ) : null,
      )}
    </Svg>
  );
}
