import type { Preserved } from '../../model/preserved';
import type { Colour } from '../../model/colour';
import { COLOUR_PROPERTY, readColour } from '../../fields/colourProperty';
import type { ComponentLines } from './fileText';
import type { JCalComponent, JCalProperty } from '../../model/jcal';
import type { ReadContext } from './readContext';
import { asJCal, readProperties, zonesNamed } from './readLines';

/** Written anew in every file. */
const OF_THE_FILE = new Set(['version', 'prodid', 'calscale']);
/** Components that are read as what they are. */
const READ = new Set(['VEVENT', 'VTODO', 'VTIMEZONE']);
const OF_THE_CALENDAR = new Set(['name', 'x-wr-calname', 'description', 'color', COLOUR_PROPERTY]);

/** What a file says of its calendar (RFC 5545 3.6, RFC 7986 5), and what it holds beyond events. */
export interface CalendarProperties {
  readonly name: string | undefined;
  readonly description: string;
  readonly colour: Colour | undefined;
  readonly preserved: Preserved | undefined;
}

/**
 * Reads what stands beside the events: name, description and colour; all other properties, and components that are no
 * entries with the zones that they name, are kept as they were read. Of several calendars in one file, the first counts.
 * @param further components that were to be entries and could not be read as such
 */
export function readCalendarProperties(
  calendars: readonly ComponentLines[],
  further: readonly ComponentLines[],
  context: Pick<ReadContext, 'findZone' | 'report'>,
): CalendarProperties {
  const [first = [], ...others] = calendars.map((calendar) =>
    readProperties(calendar, context.report).map(({ property }) => property),
  );
  const text = (name: string) =>
    String(first.find((property) => property[0] === name)?.[3] ?? '').trim() || undefined;
  const known = new Set(first.map(([name]) => name));
  const colour = readColour(first);
  const isKept = ([name]: JCalProperty) =>
    !OF_THE_FILE.has(name) && (!OF_THE_CALENDAR.has(name) || (name === 'color' && colour === undefined));
  const properties = [
    ...first.filter(isKept),
    ...others.flat().filter((property) => isKept(property) && !known.has(property[0])),
  ];

  const parts = calendars.flatMap((calendar) => calendar.components);
  const components: JCalComponent[] = [
    ...parts.filter(({ name }) => !READ.has(name)).map((component) => asJCal(component, context.report)),
    // What is wrong with their lines was said before.
    ...further.map((component) => asJCal(component, () => undefined)),
  ];
  const named = zonesNamed(properties, components);
  const zones = parts
    .filter((part) => part.name === 'VTIMEZONE')
    .map((part) => asJCal(part, context.report))
    .filter((zone) => {
      const name = String(zone[1].find(([property]) => property === 'tzid')?.[3] ?? '');
      const found = context.findZone(name);
      return found === undefined || (named.has(name) && found !== name);
    });
  return {
    name: text('name') ?? text('x-wr-calname'),
    description: text('description') ?? '',
    colour,
    preserved:
      properties.length + components.length + zones.length > 0
        ? { properties, components: [...zones, ...components] }
        : undefined,
  };
}
