/**
 * A valid progressive JPEG of as many scans as are asked for, each of a few bytes and each walked over by a decoder
 * block by block (ITU-T T.81, annex G: spectral selection coefficient by coefficient, successive approximation bit by
 * bit). A picture of one grey.
 */
const BITS = 13,
  COEFFICIENTS = 63,
  COMPONENTS = 3
/** As many as the standard has room for with three components. */
export const MOST_SCANS = 1 + COMPONENTS * COEFFICIENTS * (BITS + 1)

/** Bits, most significant first, padded with ones; a byte of ones is followed by a stuffed zero. */
class BitWriter {
  private readonly bytes: number[] = []
  private held = 0
  private count = 0

  write(value: number, length: number): void {
    for (let bit = length - 1; bit >= 0; bit--) {
      this.held = (this.held << 1) | ((value >> bit) & 1)
      if (++this.count === 8) this.flush()
    }
  }

  private flush(): void {
    this.bytes.push(this.held)
    if (this.held === 0xff) this.bytes.push(0)
    this.held = this.count = 0
  }

  done(): Buffer {
    while (this.count > 0) this.write(1, 1)
    return Buffer.from(this.bytes)
  }
}

const segment = (marker: number, body: readonly number[]): Buffer =>
  Buffer.from([0xff, marker, (body.length + 2) >> 8, (body.length + 2) & 0xff, ...body])

/** Huffman table: one code of one bit for DC, fifteen of four bits for AC: runs of blocks that end at once. */
const DC_TABLE = segment(0xc4, [0x00, 1, ...Array<number>(15).fill(0), 0x00])
const RUNS = Array.from({ length: 15 }, (_, power) => power << 4)
const AC_TABLE = segment(0xc4, [0x10, 0, 0, 0, 15, ...Array<number>(12).fill(0), ...RUNS])

interface Scan {
  readonly components: readonly number[]
  readonly from: number
  readonly to: number
  readonly high: number
  readonly low: number
}
const scanHead = ({ components, from, to, high, low }: Scan): Buffer =>
  segment(0xda, [components.length, ...components.flatMap(c => [c, 0x00]), from, to, (high << 4) | low])

/** The blocks of a component, all of them without a coefficient. */
function emptyBlocks(blocks: number): Buffer {
  const bits = new BitWriter()
  for (let left = blocks; left > 0;) {
    const power = Math.min(14, Math.floor(Math.log2(left))),
      run = Math.min(left, 2 ** (power + 1) - 1)
    bits.write(power, 4)
    bits.write(run - 2 ** power, power)
    left -= run
  }
  return bits.done()
}

export function manyScans(width: number, height: number, scans: number): Buffer {
  const blocks = Math.ceil(width / 8) * Math.ceil(height / 8),
    all = [1, 2, 3]
  const frame = segment(0xc2, [
    8,
    height >> 8,
    height & 0xff,
    width >> 8,
    width & 0xff,
    COMPONENTS,
    ...all.flatMap(c => [c, 0x11, 0])
  ])
  const quantised = segment(0xdb, [0x00, ...Array<number>(64).fill(1)])
  const dc = new BitWriter()
  for (let i = 0; i < blocks * COMPONENTS; i++) dc.write(0, 1)
  const parts = [
    Buffer.from([0xff, 0xd8]),
    quantised,
    frame,
    DC_TABLE,
    scanHead({ components: all, from: 0, to: 0, high: 0, low: 0 }),
    dc.done(),
    AC_TABLE
  ]
  const empty = emptyBlocks(blocks)
  let made = 1
  for (let low = BITS; low >= 0; low--) {
    for (let at = 1; at <= COEFFICIENTS; at++) {
      for (const c of all) {
        if (made++ >= scans) continue
        parts.push(scanHead({ components: [c], from: at, to: at, high: low === BITS ? 0 : low + 1, low }), empty)
      }
    }
  }
  return Buffer.concat([...parts, Buffer.from([0xff, 0xd9])])
}
