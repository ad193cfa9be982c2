import ICAL from 'ical.js';
import { parseRule, RecurrenceRuleError } from '../../recurrence/rule';
import { DESIGN } from './design';
import type { ComponentLines } from './fileText';
import type { JCalComponent, JCalProperty } from '../../model/jcal';
import type { ReadContext, ReadLine } from './readContext';

/** A property's name (RFC 5545 3.1); BEGIN and END bound components and are none. */
const NAMED = /^(?!(BEGIN|END)[;:])[A-Z0-9-]+[;:]/i;

/** The properties of a component. A line that can't be read is reported and passed over. */
export function readProperties(component: ComponentLines, report: ReadContext['report']): ReadLine[] {
  return component.properties.flatMap((line) => {
    try {
      // Rules are read from their text: the standard's parts and those of later standards survive so.
      if (/^RRULE[:;]/i.test(line.text)) {
        const value = line.text.slice(line.text.indexOf(':') + 1);
        parseRule(value);
        return [{ property: ['rrule', {}, 'recur', value] satisfies JCalProperty, line }];
      }
      if (!NAMED.test(line.text)) throw new Error('no name');
      const property = ICAL.parse.property(line.text, DESIGN) as JCalProperty;
      if (typeof property[2] !== 'string' || property.length < 4) throw new Error('no value');
      return [{ property, line }];
    } catch (error) {
      const code = error instanceof RecurrenceRuleError ? 'unreadable-rule' : 'unreadable-line';
      report({ line: line.line, code, detail: line.text.slice(0, 120) });
      return [];
    }
  });
}

/** A component as it was read, in jCal form (RFC 7265 3.3). */
export const asJCal = (component: ComponentLines, report: ReadContext['report']): JCalComponent => [
  component.name.toLowerCase(),
  readProperties(component, report).map(({ property }) => property),
  component.components.map((part) => asJCal(part, report)),
];

/** The zones that properties name (TZID, RFC 5545 3.2.19), those of components inside with them. */
export function zonesNamed(
  properties: readonly (readonly unknown[])[],
  components: readonly (readonly unknown[])[],
): Set<string> {
  const named = new Set<string>();
  for (const property of properties) {
    const zone = (property as JCalProperty)[1]?.['tzid'];
    if (typeof zone === 'string') named.add(zone);
  }
  for (const [name, inner, parts] of components as readonly JCalComponent[])
    if (name !== 'vtimezone') for (const zone of zonesNamed(inner, parts)) named.add(zone);
  return named;
}
