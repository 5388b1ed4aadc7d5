const DIGITS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/'

/** Bytes of base 64 (RFC 4648). */
export function bytesOf(text: string): Uint8Array {
  const value = new Uint8Array(128)
  for (let i = 0; i < DIGITS.length; i++) value[DIGITS.charCodeAt(i)] = i
  const digits = text.replace(/=+$/, ''),
    out = new Uint8Array(Math.floor((digits.length * 3) / 4))
  for (let i = 0, bits = 0, held = 0, to = 0; i < digits.length; i++) {
    held = ((held << 6) | value[digits.charCodeAt(i)]) & 0xffff
    bits += 6
    if (bits < 8) continue
    bits -= 8
    out[to++] = held >>> bits
  }
  return out
}
