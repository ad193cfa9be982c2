/** A length as minutes: a number of minutes, or with a unit, or hours and minutes with a colon. */
export function readLength(text: string): number | undefined {
  const trimmed = text.trim().toLowerCase();
  const clock = /^(\d{1,3}):(\d{2})$/.exec(trimmed);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const match = /^(\d+(?:[.,]\d+)?)\s*(min|minutes?|m|h|hours?|hrs?|d|days?)?$/.exec(trimmed);
  if (!match) return undefined;
  const number = Number(match[1]!.replace(',', '.'));
  const unit = match[2] ?? 'm';
  const minutes = unit.startsWith('h') ? number * 60 : unit.startsWith('d') ? number * 1440 : number;
  return Math.round(minutes);
}
