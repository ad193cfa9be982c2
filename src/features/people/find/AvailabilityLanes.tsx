import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  availabilityLane,
  type BusyPiece,
  type LaneOwner,
  type LanePiece,
} from '@/core/layout/availabilityLane';
import type { Hue } from '@/core/model/colour';
import { DAY, MINUTE } from '@/core/time/civil';
import type { InstantRange } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { useSettings } from '@/store';
import { fullDayText, hourText, timeRangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { LANE_NAME, LaneCursor } from './LaneCursor';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { peopleWords as said } from '@/ui/words/people';

/** Somebody's lane. */
export interface PersonLane extends LaneOwner {
  readonly id: string;
  readonly name: string;
  readonly mark: string;
  readonly hue: Hue;
  readonly place: string;
}

interface AvailabilityLanesProps {
  /** A day number on the home zone's clock. */
  day: number;
  lanes: readonly PersonLane[];
  /** A time that is proposed: marked over all lanes. */
  proposed?: InstantRange | undefined;
  /** Proposes a time that begins at an instant: by pressing, dragging or keys. */
  onPropose?: ((start: number) => void) | undefined;
  /** What is said of the proposed time. */
  verdict?: string;
}

/** The hours that are drawn, in minutes, and every how many of them a line and a figure stand. */
const HOURS = { from: 6 * 60, to: 20 * 60 };
const EVERY = 120;
/** Narrower, half of the figures have room, in pixels. */
const NARROW = 320;
const HEIGHT = 40;
/** About how wide a letter is, in pixels. */
const LETTER = 6.4;
const HATCH = 'repeating-linear-gradient(135deg, transparent 0 4px, currentColor 4px 5px)';

const percent = ({ left, width }: LanePiece) =>
  ({ left: `${left * 100}%`, width: `${width * 100}%` }) as const;

/** The day of some people beside each other, on the home zone's clock: their working hours, and what takes their time. */
export function AvailabilityLanes({ day, lanes, proposed, onPropose, verdict = '' }: AvailabilityLanesProps) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const [room, setRoom] = useState(0);
  const ticks: number[] = [];
  const every = room > 0 && room < NARROW ? 2 * EVERY : EVERY;
  for (let minute = HOURS.from; minute <= HOURS.to; minute += every) ticks.push(minute);
  const place = (minute: number): number => (minute - HOURS.from) / (HOURS.to - HOURS.from);
  const minuteOf = (instant: number): number => (instantToWall(homeZone, instant) - day * DAY) / MINUTE;
  const band = proposed && {
    left: place(minuteOf(proposed.start)),
    width: place(minuteOf(proposed.end)) - place(minuteOf(proposed.start)),
  };
  return (
    <View role="group" aria-label={fullDayText(day)} testID="lanes">
      {onPropose ? (
        <LaneCursor
          day={day}
          room={room}
          proposed={proposed}
          verdict={verdict}
          hours={HOURS}
          onPropose={onPropose}
        />
      ) : null}
      <View style={styles.row} aria-hidden>
        <View style={styles.name} />
        <View style={styles.hours} onLayout={({ nativeEvent }) => setRoom(nativeEvent.layout.width)}>
          {ticks.slice(0, -1).map((minute) => (
            <View key={minute} style={[styles.tick, { left: `${place(minute) * 100}%` }]}>
              <AppText size="small" tone="quiet" figures>
                {hourText(minute * MINUTE)}
              </AppText>
            </View>
          ))}
        </View>
      </View>
      {lanes.map((lane) => {
        const { working, busy, unknown } = availabilityLane(lane, day, homeZone, HOURS);
        return (
          <View
            key={lane.id}
            role="img"
            aria-label={said.laneLabel(lane.name, [
              ...busy.map(
                ({ kind, title, startWall, endWall }) =>
                  `${timeRangeText(startWall, endWall)} ${title || said.busyKinds[kind]}`,
              ),
              ...(unknown.length > 0 ? [said.unknown] : []),
            ])}
            style={styles.row}
          >
            <View style={styles.name}>
              <Mark small mark={lane.mark} colour={lane.hue} />
              <AppText size="small" numberOfLines={1} style={styles.grow}>
                {lane.name}
              </AppText>
            </View>
            <View style={[styles.track, { backgroundColor: colours.page, borderColor: colours.line }]}>
              {working.map((piece) => (
                <View
                  key={piece.left}
                  style={[styles.piece, percent(piece), { backgroundColor: colours.card }]}
                />
              ))}
              {ticks.slice(1, -1).map((minute) => (
                <View
                  key={minute}
                  style={[styles.line, { left: `${place(minute) * 100}%`, backgroundColor: colours.line }]}
                />
              ))}
              {unknown.map((piece) => (
                <View key={`unknown ${piece.left}`} style={[styles.piece, styles.unknown, percent(piece)]}>
                  <AppText size="small" tone="quiet" numberOfLines={1}>
                    {`? ${said.unknown}`}
                  </AppText>
                </View>
              ))}
              {busy.map((piece) => (
                <BusyCard
                  key={`${piece.startWall} ${piece.left} ${piece.title}`}
                  piece={piece}
                  hue={lane.hue}
                  room={piece.width * room}
                />
              ))}
              {band ? <View style={[styles.band, percent(band), { borderColor: colours.accent }]} /> : null}
            </View>
          </View>
        );
      })}
    </View>
  );
}

/** What takes somebody's time: its paper says how taken it is, as a card's does in Plan. */
function BusyCard({ piece, hue, room }: { piece: BusyPiece; hue: Hue; room: number }) {
  const { calendar } = useTheme();
  const tones = calendar(hue);
  const { kind, title } = piece;
  const text = `${title || said.busyKinds[kind]}${kind === 'tentative' ? '?' : ''}`;
  return (
    <View
      {...webProps({ title: text })}
      style={[
        styles.piece,
        styles.card,
        percent(piece),
        { borderColor: tones.band, backgroundColor: tones.tint },
        kind === 'tentative' ? styles.tentative : null,
      ]}
    >
      {kind === 'away' ? (
        <div
          style={{ position: 'absolute', inset: 0, opacity: 0.35, color: tones.band, backgroundImage: HATCH }}
        />
      ) : null}
      {/* Whole words or none: what has no room is read out, and shown on hover. */}
      {text.length * LETTER + 2 * space(1) <= room ? (
        <AppText size="small" colour={tones.ink} numberOfLines={1}>
          {text}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', minHeight: HEIGHT / 2, marginBottom: space(1) },
  name: {
    width: LANE_NAME,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(1),
    paddingRight: space(1),
  },
  grow: { flex: 1, minWidth: 0 },
  hours: { flex: 1, height: 18 },
  tick: { position: 'absolute', top: 0 },
  track: { flex: 1, height: HEIGHT, borderWidth: hairline, borderRadius: corner, overflow: 'hidden' },
  line: { position: 'absolute', top: 0, bottom: 0, width: hairline },
  piece: { position: 'absolute', top: 0, bottom: 0, overflow: 'hidden', justifyContent: 'center' },
  unknown: { paddingHorizontal: space(1) },
  card: { top: 3, bottom: 3, borderWidth: hairline, borderRadius: corner, paddingHorizontal: space(1) },
  tentative: { borderStyle: 'dashed' },
  band: { position: 'absolute', top: 0, bottom: 0, borderWidth: 2, borderRadius: corner },
});
