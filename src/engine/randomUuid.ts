/**
 * Browsers give `crypto.randomUUID` to pages of this machine and over TLS only. Over plain http from another machine it is made
 * here, from the random bytes that they give to every page (RFC 9562 5.4).
 */
function randomUuid(): ReturnType<Crypto['randomUUID']> {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const digits = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return `${digits.slice(0, 8)}-${digits.slice(8, 12)}-${digits.slice(12, 16)}-${digits.slice(16, 20)}-${digits.slice(20)}`;
}

if (typeof crypto.randomUUID !== 'function') crypto.randomUUID = randomUuid;

export {};
