import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Coordinates } from '@/core/model/geo';
import type { KnownPlace } from '@/core/places/placeBook';
import { type Outlines, placeMap } from '@/core/places/placeMap';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { placeWords } from '@/ui/words/places';

const said = placeWords.drawn;
const HEIGHT = 220;
/** A name beside a point needs so much room to its right, in pixels. */
const NAME_ROOM = 90;

/** The outlines of all land, which ship with the application and come when a map is first drawn. */
async function readOutlines(): Promise<Outlines> {
  const [{ feature }, { default: atlas }] = await Promise.all([
    import('topojson-client'),
    import('world-atlas/land-50m.json'),
  ]);
  const { features } = feature(atlas, atlas.objects.land);
  const coordinates = features.flatMap(({ geometry }) => {
    if (geometry.type === 'Polygon') return [geometry.coordinates];
    return geometry.type === 'MultiPolygon' ? geometry.coordinates : [];
  });
  return { type: 'MultiPolygon', coordinates };
}

/** A map about a place, of shipped outlines of land: no roads, no tiles. Other known places are named on it. */
export function PlaceMapView({
  name,
  coordinates,
  book,
}: {
  name: string;
  coordinates: Coordinates;
  book: readonly KnownPlace[];
}) {
  const { colours } = useTheme();
  const [width, setWidth] = useState(0);
  const { data: outlines, isError } = useQuery({
    queryKey: ['outlines'],
    queryFn: readOutlines,
    staleTime: Infinity,
  });
  const { latitude, longitude } = coordinates;
  const map = useMemo(() => {
    if (!outlines || width === 0) return undefined;
    const others = book.flatMap((other) =>
      other.coordinates && other.name !== name ? { name: other.name, coordinates: other.coordinates } : [],
    );
    return placeMap(outlines, { latitude, longitude }, others, { width, height: HEIGHT });
  }, [outlines, width, book, name, latitude, longitude]);
  const text = { fontFamily: fontFamilies.text, fontSize: fontSizes.small, fill: colours.ink };
  const nameAt = (x: number) =>
    x > width - NAME_ROOM
      ? ({ dx: -8, textAnchor: 'end' } as const)
      : ({ dx: 8, textAnchor: 'start' } as const);
  return (
    <View style={styles.part}>
      <View
        role="img"
        aria-label={said.label(name, map?.others.map((other) => other.name) ?? [])}
        testID="place-map"
        onLayout={(event) => setWidth(Math.round(event.nativeEvent.layout.width) - 2 * hairline)}
        style={[styles.map, { borderColor: colours.line, backgroundColor: colours.page }]}
      >
        {map ? (
          <Svg width={width} height={HEIGHT} aria-hidden>
            <Path d={map.land} fill={colours.card} stroke={colours.line} strokeWidth={1} />
            {map.others.map((other) => (
              <Circle key={other.name} cx={other.x} cy={other.y} r={3} fill={colours.quietInk} />
            ))}
            {map.others
              .filter(({ isNamed }) => isNamed)
              .map((other) => (
                <SvgText
                  key={other.name}
                  {...text}
                  {...nameAt(other.x)}
                  fill={colours.quietInk}
                  x={other.x}
                  y={other.y + 4}
                >
                  {other.name}
                </SvgText>
              ))}
            <Circle
              cx={map.place.x}
              cy={map.place.y}
              r={6}
              fill={colours.accent}
              stroke={colours.card}
              strokeWidth={2}
            />
            {/* Twice, first as wide as a rim: what lies under the name does not run into it. */}
            {[{ stroke: colours.card, strokeWidth: 4 }, {}].map((rim, at) => (
              <SvgText
                key={at}
                {...text}
                {...nameAt(map.place.x)}
                {...rim}
                fontWeight="700"
                dx={10}
                x={map.place.x}
                y={map.place.y - 8}
              >
                {name}
              </SvgText>
            ))}
            <Rect
              x={8}
              y={HEIGHT - 26}
              width={map.scale.pixels + 8}
              height={20}
              fill={colours.card}
              opacity={0.85}
            />
            <Line
              x1={12}
              x2={12 + map.scale.pixels}
              y1={HEIGHT - 10}
              y2={HEIGHT - 10}
              stroke={colours.ink}
              strokeWidth={2}
            />
            <SvgText {...text} x={12} y={HEIGHT - 14}>
              {said.kilometres(map.scale.kilometres)}
            </SvgText>
          </Svg>
        ) : null}
      </View>
      <AppText size="small" tone={isError ? 'error' : 'quiet'}>
        {isError ? said.failed : said.made}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space(1) },
  map: { height: HEIGHT + 2 * hairline, borderWidth: hairline, borderRadius: corner, overflow: 'hidden' },
});
