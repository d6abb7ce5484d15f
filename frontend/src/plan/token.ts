/** A token for a page that asks to be a player: 24 random bytes, hexadecimal. */
export const newToken = (): string =>
  [...crypto.getRandomValues(new Uint8Array(24))].map((byte) => byte.toString(16).padStart(2, '0')).join('')
