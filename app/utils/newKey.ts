/** 128 bits by which one thing that is sent is known again: 32 hexadecimal digits. */
export const newKey = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), byte => byte.toString(16).padStart(2, '0')).join('')
