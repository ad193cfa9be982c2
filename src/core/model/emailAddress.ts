/** An address without the scheme that calendar files put before it (CAL-ADDRESS, RFC 5545 3.3.3). */
export const withoutMailto = (uri: string): string => uri.trim().replace(/^mailto:/i, '');

/** An address as calendar files write it. */
export const mailtoOf = (address: string): string => `mailto:${withoutMailto(address)}`;

/** An address as it is compared: its domain has no case, and mail goes by neither's (RFC 5321 2.4). */
export const plainAddress = (address: string): string => withoutMailto(address).toLowerCase();

/** Whether a text is an address that mail can be sent to, as far as its shape tells. */
export const isAddress = (text: string): boolean => /^[^\s@,;<>]+@[^\s@,;<>]+$/.test(text.trim());

/** Somebody as they are typed: `Oona Pell <oona@fennick.example>` (RFC 5322 3.4), or an address alone. */
export function typedPerson(text: string): { readonly name: string; readonly address: string } {
  const match = /^(.*?)\s*<([^>]+)>$/.exec(text.trim());
  return match ? { name: match[1]!.trim(), address: match[2]!.trim() } : { name: '', address: text.trim() };
}
