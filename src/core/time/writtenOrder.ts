/**
 * The order in which a locale writes day, month and year in numbers.
 * @returns undefined for what is no locale
 */
export function writtenOrder(locale: string): 'dmy' | 'mdy' | 'ymd' | undefined {
  let format: Intl.DateTimeFormat;
  try {
    format = new Intl.DateTimeFormat(locale, { day: '2-digit', month: '2-digit', year: 'numeric' });
  } catch {
    return undefined;
  }
  const order = format
    .formatToParts(0)
    .filter(({ type }) => type === 'day' || type === 'month' || type === 'year')
    .map(({ type }) => type[0])
    .join('');
  return order === 'mdy' || order === 'ymd' ? order : 'dmy';
}
