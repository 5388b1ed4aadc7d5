/**
 * `npm run landed [-- PAIRS]`: corrections planted in pictures, some repaired and some not, photographed anew: verdicts
 * against those of the same repair that was not photographed, and by how much figures move when nothing was done.
 */
import { checkTarget, type Target } from '../../core/critique/target'
import { convertLinearToByte, LINEAR_OF_BYTE } from '../../core/colour/srgb'
import { compareVersions } from '../../core/compare/compare'
import { believed } from '../../core/compare/outcome'
import { TARGET_NOISE } from '../../core/compare/noise'
import { landingOf } from '../../core/compare/verdict'
import { nothingKnown } from '../../core/critique/piece/known'
import { DEFAULT_STANDARDS } from '../../core/critique/standards'
import { hueHistogram } from '../../core/measure/harmony/hues'
import { align, withoutLight } from '../../core/compare/aligned'
import { measurePiece } from '../../core/critique/piece/measure'
import { readingsOfPiece } from '../../core/critique/stations/readings'
import { measurePicture } from '../../core/measure/picture'
import { seededRandom, type Random } from '../../core/numeric/random'
import { eachPixel, spansOf, type Area } from '../../core/picture/area'
import { planesOf } from '../../core/picture/planes'
import type { Raster } from '../../core/picture/raster'
import { demoPictures, openBases } from './bases'
import { pairOf } from './pairs'

const COUNT = Number(process.argv[2] ?? 60)
const SOURCE = { format: 'png', width: 1, height: 1 } as const

function relit(raster: Raster, area: Area, gains: readonly [number, number, number]): Raster {
  const data = new Uint8ClampedArray(raster.data)
  eachPixel(spansOf(area, raster), p => {
    for (let c = 0; c < 3; c++)
      data[4 * p + c] = convertLinearToByte(Math.min(1, gains[c]! * LINEAR_OF_BYTE[data[4 * p + c]!]!))
  })
  return { width: raster.width, height: raster.height, data }
}

function stateOf(raster: Raster, target: Target, area: Area) {
  const planes = planesOf(raster),
    report = measurePicture({ raster, source: SOURCE, options: { wheel: 'painter' }, planes })
  return checkTarget(target, area, { raster, planes, report, hues: hueHistogram(raster, planes, 'painter') })
}

/** Bounds that lie clear of where either version stands: a teacher's, not a coin's. */
function bounded(measure: Target['measure'], [was, is]: readonly [number, number], random: Random): Target | null {
  const noise = 2 * TARGET_NOISE[measure],
    up = is >= was,
    reach = random() < 0.5,
    bound = reach ? (was + is) / 2 : up ? is + noise + 5 * random() : is - noise - 5 * random()
  if (Math.abs(bound - was) < noise || Math.abs(bound - is) < noise) return null
  if (measure === 'separation') return up ? { measure, atLeast: bound } : null
  if (measure === 'temperature') return up ? { measure, atLeast: bound } : { measure, atMost: bound }
  return measure === 'range' && up ? { measure, atLeast: bound } : null
}

const AWAY: Readonly<Record<'separation' | 'temperature' | 'range', Target>> = {
  separation: { measure: 'separation', atLeast: 100 },
  temperature: { measure: 'temperature', atLeast: 100 },
  range: { measure: 'range', atLeast: 100 }
}
const KINDS = ['separation', 'temperature', 'range'] as const

const bases = [...(await demoPictures()), ...(await openBases(24))],
  still = new Map<string, number[]>(),
  /** Of each reading, what its figure moved by while nothing was done. */
  spread = new Map<string, number[]>(),
  /** Readings said to have moved, where nothing was done. */
  said: string[] = [],
  times: number[] = []
let compares = 0
const readingsIn = (raster: Raster) => {
  const known = nothingKnown('painter'),
    measures = measurePiece({ pixels: { raster, planes: planesOf(raster) }, source: SOURCE, known })
  return readingsOfPiece(measures, known, DEFAULT_STANDARDS)
}
let right = 0,
  all = 0,
  unchanged = 0,
  untouched = 0
for (let n = 0; n < COUNT; n++) {
  const random = seededRandom(800 + n),
    { raster: old, name } = bases[n % bases.length]!,
    area: Area = {
      kind: 'rectangle',
      x: 0.2 + 0.4 * random(),
      y: 0.2 + 0.4 * random(),
      w: 0.12 + 0.1 * random(),
      h: 0.12 + 0.1 * random()
    }
  const done = n % 2 === 1,
    by = 2 ** ((random() < 0.5 ? -1 : 1) * (0.8 + 1.2 * random())),
    warm = 2 ** (0.8 * (random() - 0.5)),
    repaired = done ? relit(old, area, [by * warm, by, by / warm]) : old
  const asked = KINDS.flatMap(kind => {
    const was = stateOf(old, AWAY[kind], area),
      is = stateOf(repaired, AWAY[kind], area)
    if (!was || !is) return []
    const target = done ? bounded(kind, [was.value, is.value], random) : AWAY[kind]
    // What was done is clear, or nothing was.
    const moved = Math.abs(is.value - was.value)
    return target && (!done || moved > 2 * TARGET_NOISE[kind] || moved < 0.3 * TARGET_NOISE[kind])
      ? [{ target, area }]
      : []
  })
  if (asked.length === 0) continue
  const { next } = await pairOf(repaired, old, { random, change: { geometry: 1, light: 1, repaint: 0 } })
  const start = performance.now()
  const compared = compareVersions(
      { raster: old, source: SOURCE },
      { raster: next, source: SOURCE },
      { known: nothingKnown('painter'), standards: DEFAULT_STANDARDS, asked }
    ),
    { landed, moved } = believed(compared)
  times.push(performance.now() - start)
  // What is not sure says so on the screen, and is not what is asked here.
  if (compared.registration.match !== 'sure') continue
  if (!done) {
    const map = compared.registration.map!,
      aligned = align(old, next, map),
      light = compared.evened ? withoutLight(aligned.next, compared.light!) : aligned.next,
      now = new Map(readingsIn(light).map(r => [r.key, r.figure]))
    for (const { id, key, figure } of readingsIn(aligned.old)) {
      const after = now.get(key)
      if (figure && after)
        spread.set(id, [
          ...(spread.get(id) ?? []),
          Math.abs(after.value - figure.value) / (figure.unit === 'times' ? Math.max(1, figure.value) : 1)
        ])
    }
    said.push(...moved.map(m => m.id))
    compares++
  }
  for (const [i, { target }] of asked.entries()) {
    const { landing, before, after } = landed[i]!
    if (landing === 'cannot-tell' || !before || !after) continue
    if (!done) {
      still.set(target.measure, [...(still.get(target.measure) ?? []), Math.abs(after.value - before.value)])
      untouched++
      if (landing === 'unchanged') unchanged++
      else if (process.env.WRONG)
        console.log(`${n} ${name} ${target.measure} ${landing} ${before.value} → ${after.value}`)
      continue
    }
    const truth = landingOf(target, stateOf(old, target, area), stateOf(repaired, target, area))
    all++
    if (landing === truth) right++
    else if (process.env.WRONG)
      console.log(`${n} ${name} ${JSON.stringify(target)} ${landing}, is ${truth}: ${before.value} → ${after.value}`)
  }
}
for (const [measure, moves] of [...still, ...spread]) {
  const sorted = moves.sort((p, q) => p - q),
    at = (share: number): string => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!.toFixed(3)
  console.log(
    `${measure.padEnd(22)} moves by itself: middle ${at(0.5)}, 90 of 100 ${at(0.9)},`
      + ` 97 of 100 ${at(0.97)} (${moves.length})`
  )
}
console.log(
  `said to have moved        ${said.length} readings of ${compares} pictures: ${[...new Set(said)].join(', ')}`
)
console.log(
  `two versions compared     ${Math.round([...times].sort((p, q) => p - q)[times.length >> 1]!)} ms in the middle`
)
console.log(`nothing done, unchanged   ${unchanged} of ${untouched}`)
console.log(`right verdict             ${right} of ${all}`)
