/**
 * A TIFF written anew around its first picture: the tags that say how to read the samples, the samples as they were
 * coded, the colour profile (Adobe, TIFF 6.0; ICC.1, annex B.3). Nothing that those do not point at comes along.
 */

/** Bytes of a value by its type's number. */
const SIZE = [0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8]
const SHORT = 3
const STRIP_OFFSETS = 273,
  STRIP_COUNTS = 279,
  TILE_OFFSETS = 324,
  TILE_COUNTS = 325,
  COMPRESSION = 259,
  OLD_JPEG = 6
const KEPT = new Set([
  ...[254, 255, 256, 257, 258, 259, 262, 263, 264, 265, 266, STRIP_OFFSETS, 274, 277, 278, STRIP_COUNTS, 280, 281],
  ...[282, 283, 284, 290, 291, 292, 293, 296, 301, 317, 318, 319, 320, 321, 322, 323, TILE_OFFSETS, TILE_COUNTS],
  ...[332, 334, 336, 338, 339, 340, 341, 342, 347, 529, 530, 531, 532, 34675]
])

interface Entry {
  readonly tag: number
  readonly type: number
  readonly count: number
  readonly value: Buffer
}

/**
 * @returns null for a TIFF of a kind that cannot be written anew like this: big ones, and those of the old JPEG kind.
 */
export function bareTiff(bytes: Uint8Array): Uint8Array[] | null {
  const view = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
    little = view[0] === 0x49
  const u16 = (b: Buffer, at: number): number => (little ? b.readUInt16LE(at) : b.readUInt16BE(at)),
    u32 = (b: Buffer, at: number): number => (little ? b.readUInt32LE(at) : b.readUInt32BE(at))
  const put16 = (b: Buffer, v: number, at: number) => (little ? b.writeUInt16LE(v, at) : b.writeUInt16BE(v, at)),
    put32 = (b: Buffer, v: number, at: number) => (little ? b.writeUInt32LE(v, at) : b.writeUInt32BE(v, at))
  if (u16(view, 2) !== 42) return null

  const first = u32(view, 4)
  const entries: Entry[] = Array.from({ length: u16(view, first) }, (_, i) => {
    const at = first + 2 + 12 * i,
      type = u16(view, at + 2),
      count = u32(view, at + 4),
      size = (SIZE[type] ?? 0) * count,
      from = size <= 4 ? at + 8 : u32(view, at + 8)
    return { tag: u16(view, at), type, count, value: view.subarray(from, from + size) }
  }).filter(({ tag, type, count, value }) => KEPT.has(tag) && value.length === (SIZE[type] ?? 0) * count)

  const numbers = (tag: number): number[] => {
    const entry = entries.find(e => e.tag === tag)
    if (!entry) return []
    return Array.from({ length: entry.count }, (_, i) =>
      entry.type === SHORT ? u16(entry.value, 2 * i) : u32(entry.value, 4 * i)
    )
  }
  if (numbers(COMPRESSION)[0] === OLD_JPEG) return null
  const tiled = entries.some(e => e.tag === TILE_OFFSETS),
    offsetsTag = tiled ? TILE_OFFSETS : STRIP_OFFSETS
  const sizes = numbers(tiled ? TILE_COUNTS : STRIP_COUNTS),
    data = numbers(offsetsTag).map((from, i) => view.subarray(from, from + sizes[i]!))
  if (data.length === 0 || data.length !== sizes.length) return null

  // Header, directory, values too long for it, samples; each on an even byte.
  const even = (n: number): number => n + (n % 2)
  const longer = entries.filter(e => e.tag !== offsetsTag && e.value.length > 4),
    directory = 2 + 12 * entries.length + 4
  const placeOf = new Map<Entry, number>()
  let next = 8 + directory
  for (const entry of longer) {
    placeOf.set(entry, next)
    next += even(entry.value.length)
  }
  const offsetsAt = next
  if (data.length > 1) next += 4 * data.length
  const head = Buffer.alloc(next)
  view.copy(head, 0, 0, 4)
  put32(head, 8, 4)
  put16(head, entries.length, 8)
  const starts: number[] = []
  for (const part of data) {
    starts.push(next)
    next += even(part.length)
  }
  entries.forEach((entry, i) => {
    const at = 10 + 12 * i,
      moved = entry.tag === offsetsTag
    put16(head, entry.tag, at)
    put16(head, moved ? 4 : entry.type, at + 2)
    put32(head, entry.count, at + 4)
    if (moved) put32(head, data.length > 1 ? offsetsAt : starts[0]!, at + 8)
    else if (placeOf.has(entry)) {
      put32(head, placeOf.get(entry)!, at + 8)
      entry.value.copy(head, placeOf.get(entry)!)
    } else entry.value.copy(head, at + 8)
  })
  if (data.length > 1) starts.forEach((start, i) => put32(head, start, offsetsAt + 4 * i))
  return [head, ...data.flatMap(part => (part.length % 2 ? [part, Buffer.alloc(1)] : [part]))]
}
