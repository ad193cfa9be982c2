/**
 * The address of a feed as it is fetched: with a protocol, `webcal` as `https`.
 * @returns undefined if it is none
 */
export function feedAddress(text: string): string | undefined {
  const trimmed = text.trim();
  const plain = trimmed.replace(/^webcals?:\/\//i, 'https://');
  const whole = /^[a-z][a-z0-9+.-]*:/i.test(plain) ? plain : `https://${plain}`;
  if (trimmed === '' || trimmed.length > 2000 || !URL.canParse(whole)) return undefined;
  const url = new URL(whole);
  if (url.protocol !== 'http:' && url.protocol !== 'https:') return undefined;
  return url.hostname.includes('.') || url.hostname.startsWith('[') || url.hostname === 'localhost'
    ? url.href
    : undefined;
}
