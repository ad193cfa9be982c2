import { useDeferredValue, useEffect, useId, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { abbreviationsOf, searchZones, type ZoneEntry, zoneEntries } from '@/core/time/zoneSearch';
import { instantToWall, offsetName } from '@/core/time/zones';
import { useNow, useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { ListRow } from '@/ui/primitives/ListRow';
import { TextField } from '@/ui/primitives/TextField';
import { Sheet } from '@/ui/primitives/Sheet';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';

/** Rows that are shown at once: more are found by typing on. */
const SHOWN = 60;
/** Zones whose abbreviations are read at a time, in quiet moments. */
const READ_AT_ONCE = 12;

interface Row {
  readonly value: string;
  readonly name: string;
  readonly detail: string;
  readonly offset: string;
  readonly time: string;
}

interface ZonePickerProps {
  value: string;
  none?: { value: string; label: string };
  onPick: (zone: string) => void;
  onClose: () => void;
}

/** Finds a time zone by city, country, abbreviation or offset; arrow keys walk the list, Enter takes one. */
export function ZonePicker({ value, none, onPick, onClose }: ZonePickerProps) {
  const { homeZone, homeLabel, zoneRails } = useSettings();
  const now = useNow();
  const id = useId();
  const [text, setText] = useState('');
  const [position, setPosition] = useState(0);
  const asked = useDeferredValue(text);
  useReadAbbreviations(now);

  const ownNames = useMemo(
    () => [
      ...(homeLabel ? [{ name: homeLabel, zone: homeZone }] : []),
      ...zoneRails.map(({ label, zone }) => ({ name: label, zone })),
    ],
    [homeLabel, homeZone, zoneRails],
  );
  const rows = useMemo((): Row[] => {
    const rowOf = (entry: ZoneEntry): Row => ({
      value: entry.zone,
      name: entry.city,
      detail: [
        entry.foundBy,
        entry.countries.slice(0, 2).join(', '),
        asked &&
          entry.otherCities
            .filter((city) => !entry.countries.includes(city))
            .slice(0, 2)
            .join(', '),
      ]
        .filter(Boolean)
        .join(' · '),
      offset: offsetName(entry.zone, now),
      time: timeText(instantToWall(entry.zone, now)),
    });
    const found = searchZones(asked, now, ownNames);
    if (asked.trim()) return found.slice(0, SHOWN).map(rowOf);
    const own = new Set([homeZone, ...zoneRails.map((rail) => rail.zone), value]);
    const first = found.filter((entry) => own.has(entry.zone));
    const rest = found.filter((entry) => !own.has(entry.zone)).slice(0, SHOWN);
    return [
      ...(none ? [{ value: none.value, name: none.label, detail: '', offset: '', time: '' }] : []),
      ...[...first, ...rest].map(rowOf),
    ];
  }, [asked, now, ownNames, homeZone, zoneRails, value, none]);
  const current = Math.min(position, rows.length - 1);

  const walk = (by: number) => {
    const next = Math.max(0, Math.min(rows.length - 1, current + by));
    setPosition(next);
    document.getElementById(`${id}-${next}`)?.scrollIntoView({ block: 'nearest' });
  };

  /** Of what is written now: a hurried Enter may come before its list is drawn. */
  const takenByEnter = (): string | undefined => {
    if (asked === text) return rows[current]?.value;
    return text.trim() ? searchZones(text, now, ownNames)[0]?.zone : undefined;
  };

  return (
    <Sheet title={words.zones.pick} closeLabel={words.actions.close} onClose={onClose}>
      <View
        {...webProps({
          onKeyDownCapture: (event) => {
            if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
              event.preventDefault();
              walk(event.key === 'ArrowDown' ? 1 : -1);
            } else if (event.key === 'Enter') {
              const taken = takenByEnter();
              if (taken === undefined) return;
              event.preventDefault();
              onPick(taken);
            }
          },
        })}
      >
        <TextField
          label={words.zones.search}
          value={text}
          onChangeText={(changed) => {
            setText(changed);
            setPosition(0);
          }}
          autoFocus
          placeholder={words.zones.searchHint}
          testID="zone-search"
          combobox={{ list: `${id}-list`, active: rows[current] ? `${id}-${current}` : undefined }}
        />
      </View>
      {rows.length === 0 ? (
        <AppText tone="quiet" role="status">
          {words.zones.nothing(asked.trim())}
        </AppText>
      ) : null}
      <ZoneList id={id} rows={rows} value={value} current={current} onPick={onPick} />
    </Sheet>
  );
}

/** The zones that were found. */
function ZoneList({
  id,
  rows,
  value,
  current,
  onPick,
}: {
  id: string;
  rows: readonly Row[];
  value: string;
  current: number;
  onPick: (zone: string) => void;
}) {
  return (
    <View
      id={`${id}-list`}
      {...({ role: 'listbox' } as object)}
      aria-label={words.zones.pick}
      style={styles.list}
    >
      {rows.map((row, index) => (
        <ListRow
          key={row.value}
          id={`${id}-${index}`}
          name={row.name}
          detail={row.detail}
          label={[row.name, row.detail, row.offset].filter(Boolean).join(', ')}
          end={
            <View style={styles.times}>
              <AppText figures>{row.time}</AppText>
              <AppText size="small" tone="quiet" figures>
                {row.offset}
              </AppText>
            </View>
          }
          selected={row.value === value}
          current={index === current}
          onPress={() => onPick(row.value)}
        />
      ))}
    </View>
  );
}

/** Intl takes a while to say all abbreviations; they are read ahead of the first one that is typed. */
function useReadAbbreviations(now: number): void {
  const [from] = useState(now);
  useEffect(() => {
    const zones = zoneEntries();
    let position = 0;
    let handle = requestIdleCallback(read);
    function read() {
      for (const { zone } of zones.slice(position, position + READ_AT_ONCE)) abbreviationsOf(zone, from);
      position += READ_AT_ONCE;
      if (position < zones.length) handle = requestIdleCallback(read);
    }
    return () => cancelIdleCallback(handle);
  }, [from]);
}

const styles = StyleSheet.create({
  list: { minHeight: 200 },
  times: { alignItems: 'flex-end' },
});
